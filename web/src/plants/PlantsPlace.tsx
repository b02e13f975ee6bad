import {
  severityWord,
  commonName,
  formatCount,
  partingTells,
  plainWords,
  searchPlants,
  type PlantHit,
  type Taxon,
  formatDate,
} from '@ellop/core'
import { Input } from 'antd'
import { useDeferredValue, useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { PlantSketch } from '../drawing/plant/sketch'
import { SideBySide } from '../tells/SideBySide'
import { NothingKnown } from './NothingKnown'

const SHOWN = 24

/** Looking a plant up: by any name, a misspelling, a part, a month. It finds records; it never says what a plant is. */
export default function PlantsPlace() {
  const { catalogue } = useJudgeContext()
  const [search, setSearch] = useSearchParams()
  const question = search.get('find') ?? ''
  const asked = useDeferredValue(question)
  const found = useMemo(() => searchPlants(catalogue, asked), [catalogue, asked])
  return (
    <>
      <div className="place-head">
        <div>
          <h1>Plants</h1>
          <p>
            {formatCount(catalogue.taxa.length, 'plant')} on record, as of {formatDate(catalogue.revision)}. A name in
            English, German, French or Latin finds a record; only looking tells a plant.
          </p>
        </div>
        <div className="place-acts">
          <Link className="big-link" to="/plants/own">
            A plant of your own
          </Link>
        </div>
      </div>
      <Input
        data-find
        allowClear
        autoFocus
        size="large"
        className="find"
        aria-label="Find a plant"
        placeholder="A name, a part, a month  ( / )"
        value={question}
        onChange={(event) =>
          setSearch(event.target.value === '' ? {} : { find: event.target.value }, { replace: true })
        }
      />
      {found.renamed !== undefined && (
        <p className="caution">
          <i>{found.renamed.asked}</i> bears another name now: <i>{found.renamed.taxon.scientificName}</i>. Older books
          say the older one.
        </p>
      )}
      {found.shared !== undefined && <SharedName name={found.shared.name} taxa={found.shared.taxa} />}
      {found.hits.length === 0 ? (
        <NothingKnown name={asked} />
      ) : (
        <>
          <ul className="plant-list">
            {found.hits.slice(0, SHOWN).map((hit) => (
              <PlantLine key={hit.taxon.scientificName} hit={hit} />
            ))}
          </ul>
          {found.hits.length > SHOWN && (
            <p className="soft">{found.hits.length - SHOWN} more: say more of the name, the part or the month.</p>
          )}
        </>
      )}
    </>
  )
}

/** More plants than these do not fit beside each other. */
const BESIDE_AT_MOST = 4
const PARTING_SHOWN = 4

function SharedName({ name, taxa }: { name: string; taxa: readonly Taxon[] }) {
  const [first, ...others] = taxa
  return (
    <section className="shared-name" aria-label="One name, several plants">
      <h2>
        “{name}” means {taxa.length} plants on record
      </h2>
      <p>A common name is not a plant. See which one you mean, side by side.</p>
      <ul>
        {taxa.slice(0, 8).map((taxon) => (
          <li key={taxon.scientificName} className={taxon.role === 'danger' ? 'danger' : ''}>
            <Link to={plantPath(taxon)}>
              <PlantSketch taxon={taxon} />
              <strong>{commonName(taxon)}</strong>
              <i>{taxon.scientificName}</i>
              <span>{standingOf(taxon)}</span>
            </Link>
          </li>
        ))}
      </ul>
      {first !== undefined && others.length < BESIDE_AT_MOST && (
        <SideBySide
          claimed={first}
          claimedSays={standingOf(first)}
          rivals={others.map((taxon) => ({ taxon, says: standingOf(taxon), out: false }))}
          rows={partingTells(taxa).slice(0, PARTING_SHOWN)}
          caption={`What parts the plants called ${name}`}
        />
      )}
    </section>
  )
}

function PlantLine({ hit: { taxon, name, uses } }: { hit: PlantHit }) {
  const parts = [...new Set(uses.map(({ part }) => plainWords(part)))]
  return (
    <li className={taxon.role === 'danger' ? 'danger' : ''}>
      <Link to={plantPath(taxon)}>
        <PlantSketch taxon={taxon} />
        <span>
          <strong>{commonName(taxon)}</strong> <i>{taxon.scientificName}</i>
          {name.toLowerCase() !== commonName(taxon).toLowerCase() && name !== taxon.scientificName && <em>{name}</em>}
          <span className="soft">{parts.length === 0 ? standingOf(taxon) : parts.join(', ')}</span>
        </span>
      </Link>
    </li>
  )
}

export const plantPath = ({ scientificName }: Taxon) => `/plant/${encodeURIComponent(scientificName)}`

function standingOf({ role, severity, uses }: Taxon): string {
  if (role === 'danger') return `${severityWord(severity)}: never food`
  return uses.some(({ verdict }) => verdict !== 'never') ? 'some of it is food' : 'not food here'
}

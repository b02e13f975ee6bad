import {
  severityWord,
  CHARACTERS,
  commonName,
  findTaxon,
  formatCount,
  formatList,
  isHarmful,
  isPoisonous,
  meetingsNeeded,
  plainWords,
  tellsToSee,
  type Taxon,
} from '@ellop/core'
import { Button } from 'antd'
import { useMemo } from 'react'
import { useParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { PlantSketch } from '../drawing/plant/sketch'
import { SideBySide, type Rival } from '../tells/SideBySide'
import { NothingKnown } from './NothingKnown'

const DOUBLES = 4
const ROWS = 8

/** One page to take along: a plant, what it is taken for, and the tells in the order of asking. */
export default function FieldCard() {
  const { name = '' } = useParams()
  const { catalogue } = useJudgeContext()
  const taxon = findTaxon(catalogue, name)
  const rows = useMemo(() => (taxon === undefined ? [] : tellsToSee(taxon, catalogue)), [taxon, catalogue])
  if (taxon === undefined) return <NothingKnown name={name} level="h1" />
  const rivals = taxon.lookalikes
    .filter(isHarmful)
    .slice(0, DOUBLES)
    .flatMap(({ scientificName, severity }): readonly Rival[] => {
      const other = findTaxon(catalogue, scientificName)
      return other === undefined ? [] : [{ taxon: other, says: severity, out: false }]
    })
  return (
    <article className="field-card">
      <div className="field-head">
        <PlantSketch taxon={taxon} told={`${commonName(taxon)}, drawn from its record`} />
        <div>
          <h1>{commonName(taxon)}</h1>
          <p>
            <i>{taxon.scientificName}</i> · {taxon.family}
          </p>
          <p>
            {taxon.neverFood === undefined ? foodWords(taxon) : `Never food (${severityWord(taxon.severity)}).`}{' '}
            {taxon.neverFood === undefined &&
              `Do not eat it before ${formatCount(meetingsNeeded(taxon), 'sure day')}. Nearly certain is not certain.`}
            {taxon.crossesWith !== undefined &&
              ` It crosses with ${formatList(taxon.crossesWith)}: such a plant shows marks of both.`}
          </p>
          <ol>
            {rows.slice(0, ROWS).map((character) => (
              <li key={character}>{CHARACTERS[character]?.ask}</li>
            ))}
          </ol>
        </div>
        <div className="acts">
          <Button type="primary" size="large" onClick={() => window.print()}>
            Print this card
          </Button>
        </div>
      </div>
      <SideBySide
        claimed={taxon}
        rivals={rivals}
        rows={rows.slice(0, ROWS)}
        caption={`${commonName(taxon)} and what it is taken for`}
      />
      <p className="caution">
        It tells no plant by itself. In doubt it stays where it is. Poisoned? Call the emergency number and the poison
        centre at once and keep a sample.
      </p>
    </article>
  )
}

function foodWords({ uses, severity }: Taxon): string {
  const food = uses
    .filter(({ verdict }) => verdict !== 'never')
    .map(({ part, stage }) => `${plainWords(part)} (${plainWords(stage)})`)
  const rest = isPoisonous({ severity }) ? ` Other parts and stages of it are ${severityWord(severity)}.` : ''
  return food.length === 0 ? 'Not food here.' : `Food: ${food.join(', ')}.${rest}`
}

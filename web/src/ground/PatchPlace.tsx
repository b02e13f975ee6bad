import {
  commonName,
  nameInTextOf,
  formatCount,
  formatDay,
  formatList,
  GIFTS,
  grouped,
  kitchenAt,
  patchView,
  plainWords,
  type Gift,
  type GroundVerdict,
  type Instant,
  type PatchPlant,
  type PatchView,
  positionWords,
} from '@ellop/core'
import { Button, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { GateIcon } from '../drawing/GateMark'
import { StandRanking } from '../take/AlongStand'
import { SetAside, setAsideSays } from '../take/SetAside'
import { GroundForm } from './GroundForm'
import { Multiply } from './Multiply'
import { LastFound, StopForm } from './StopForm'
import { factLines } from './words'
import '../app/ground.css'
import { Refusal } from '../controls/Refusal'
import { NotThere } from '../controls/NotThere'
import { formatMass, inUnits } from '../units/units'

/** One patch: what its ground is fit for, what was seen, taken and given back there, and what else might grow. */
export default function PatchPlace() {
  const { id = '' } = useParams()
  const context = useJudgeContext()
  const view = useMemo(() => patchView(id, context), [id, context])
  const [noting, setNoting] = useState(false)
  const [stopping, setStopping] = useState(false)
  const kitchen = kitchenAt(context.book.house, context.now)
  const timeZone = kitchen?.timeZone ?? 'UTC'
  if (view === undefined) return <NotThere what="No patch of that name" to="/patches" onward="All patches" />
  const { patch, plants, gifts, recalled } = view
  const day = (instant: string) => formatDay(instant, timeZone, true)
  return (
    <article className="patch">
      <div className="place-head">
        <div>
          <h1>{patch.name}</h1>
          <p>
            {patch.elevation_m === undefined
              ? 'Height not noted'
              : inUnits(`${grouped(patch.elevation_m)} m above the sea`)}
            {patch.position !== undefined && ` · ${positionWords(patch.position)}, kept in this browser`} · judged by
            the {kitchen?.groundSchool === 'usual' ? 'usual' : 'careful'} school (<Link to="/books">change it</Link>)
          </p>
        </div>
        <div className="place-acts">
          <Button type="primary" size="large" onClick={() => setStopping(!stopping)} aria-expanded={stopping}>
            What is here now
          </Button>
          <Button size="large" onClick={() => setNoting(!noting)} aria-expanded={noting}>
            Note the ground
          </Button>
          <Link className="big-link" to="/recall">
            Recall it
          </Link>
        </div>
      </div>
      {recalled.map((why) => (
        <p key={why} className="refusal">
          Recalled: {inUnits(why)}
        </p>
      ))}
      {noting && (
        <section className="card">
          <GroundForm patch={id} known={patch} asked={[]} toAsk={[]} onDone={() => setNoting(false)} />
        </section>
      )}
      {stopping && <StopForm patch={id} context={context} onDone={() => setStopping(false)} />}
      <section className="card">
        <h2>Plants of this patch</h2>
        {plants.length === 0 && <p className="soft">None was met or picked here yet.</p>}
        <ul className="patch-plants">
          {plants.map((plant) => (
            <PlantHere key={plant.taxon.scientificName} patch={id} plant={plant} day={day} />
          ))}
        </ul>
      </section>
      <section className="card">
        <h2>How it stood when you last stopped here</h2>
        <LastFound context={context} patch={id} />
      </section>
      <div className="patch-columns">
        <section className="card">
          <h2>The ground</h2>
          <Facts view={view} day={day} now={context.now} />
        </section>
        <section className="card">
          <h2>Given back</h2>
          <Gifts gifts={gifts} day={day} />
          <GiveBack patch={id} plants={plants} />
        </section>
      </div>
      <section className="card">
        <h2>What might grow here</h2>
        <MayGrow view={view} />
      </section>
      <p className="caution">
        Washing mends dust and soil, not what the plant has taken up. Local law, the owner’s word, a label and a soil
        test outrank all of this.
      </p>
    </article>
  )
}

function Facts({ view: { patch }, day, now }: { view: PatchView; day: (instant: string) => string; now: Instant }) {
  const lines = factLines(patch.facts)
  if (lines.length === 0) return <p>Nothing is noted of this ground, so nothing from it is judged fit.</p>
  const days = lines.map(({ at }) => day(at))
  const mostly = days.toSorted((a, b) => count(days, b) - count(days, a))[0]
  return (
    <>
      <p className="soft">Noted {mostly} where nothing else is said.</p>
      <dl className="facts">
        {lines.map(({ fact, label, says, at, stale }) => (
          <div key={fact}>
            <dt>{label}</dt>
            <dd>
              {inUnits(says)}
              {stale(now) ? (
                <small className="stale">noted {day(at)}: ask again</small>
              ) : (
                day(at) !== mostly && <small>noted {day(at)}</small>
              )}
            </dd>
          </div>
        ))}
      </dl>
    </>
  )
}

const count = (all: readonly string[], one: string) => all.filter((each) => each === one).length

const STATE_WORD = { open: 'clean enough', ajar: 'to be asked', closed: 'not clean enough' } as const

function PlantHere({ patch, plant, day }: { patch: string; plant: PatchPlant; day: (instant: string) => string }) {
  const { taxon, seen, grounds, takes, restsUntil, declines, setAside } = plant
  const now = useJudgeContext().now
  const shared = setAsideSays(setAside)
  return (
    <li>
      <h3>
        <Link to={`/plant/${encodeURIComponent(taxon.scientificName)}`}>{commonName(taxon)}</Link>{' '}
        <span className="soft">
          seen on {formatCount(seen.length, 'day')}, last {day(seen.at(-1) ?? '')}
        </span>
      </h3>
      {restsUntil !== undefined && restsUntil > now && (
        <p className="told">More than its share was taken: it is left alone until {day(restsUntil)}.</p>
      )}
      {declines !== undefined && (
        <p className="refusal">
          The stand counts {declines.to}, of {declines.from} in its best year. Pass it by this year.
        </p>
      )}
      {shared !== undefined && <p className="told">{shared}</p>}
      <ul className="grounds">
        {sameTogether(grounds).map(({ parts, verdict }) => (
          <li key={parts.join()}>
            <GateIcon state={verdict.state} />
            <div>
              <strong>
                {formatList(parts)}: {STATE_WORD[verdict.state]}
              </strong>
              <Reasons verdict={verdict} />
            </div>
          </li>
        ))}
      </ul>
      {takes.length > 0 && (
        <ul className="takes">
          {takes.map(({ lot, code, at, mass_g, stand, held }) => (
            <li key={lot} className={held?.over === true ? 'over' : ''}>
              <Link to={`/lot/${lot}`}>{code}</Link> {day(at)}: {formatMass(mass_g)}
              {stand !== null && held !== undefined && `, ${stand.taken} of ${stand.stems} cut, ${held.fair} was fair`}
            </li>
          ))}
        </ul>
      )}
      {grounds.map(({ part }) => (
        <StandRanking key={part} patch={patch} taxon={taxon} part={part} />
      ))}
      {grounds.length > 0 && <SetAside patch={patch} plant={plant} />}
    </li>
  )
}

function Reasons({ verdict: { closed, toAsk, living, remarks } }: { verdict: GroundVerdict }) {
  return (
    <>
      {closed.map((each) => (
        <p key={each}>{inUnits(each)}</p>
      ))}
      {toAsk.length > 0 && <p>Ask {inUnits(toAsk.join('; '))}.</p>}
      {living.map((each) => (
        <p key={each}>Only cooked right through. {inUnits(each)}</p>
      ))}
      {remarks.map((each) => (
        <p key={each} className="soft">
          {inUnits(each)}
        </p>
      ))}
    </>
  )
}

/** Parts for which the ground means the same are told once. */
function sameTogether(grounds: PatchPlant['grounds']) {
  const together = new Map<string, { parts: string[]; verdict: GroundVerdict }>()
  for (const { part, verdict } of grounds) {
    const key = JSON.stringify(verdict)
    const there = together.get(key)
    if (there === undefined) together.set(key, { parts: [plainWords(part)], verdict })
    else there.parts.push(plainWords(part))
  }
  return [...together.values()]
}

function Gifts({ gifts, day }: { gifts: readonly Gift[]; day: (instant: string) => string }) {
  if (gifts.length === 0) return <p className="soft">Nothing yet. Fill the holes, scatter seed, take litter home.</p>
  return (
    <ul>
      {gifts.map(({ at, what, count, taxon }) => (
        <li key={`${at} ${what}`}>
          {plainWords(what)}
          {count !== null && ` (${count})`}
          {taxon !== undefined && `, ${taxon}`} <small className="soft">{day(at)}</small>
        </li>
      ))}
    </ul>
  )
}

function GiveBack({ patch, plants }: { patch: string; plants: readonly PatchPlant[] }) {
  const { write, otherError } = useNote()
  const [what, setWhat] = useState<Gift['what']>('holes-filled')
  const [taxon, setTaxon] = useState<string>()
  const [count, setCount] = useState('')
  const [fault, setFault] = useState<string>()
  const note = async () => {
    const read = readField(count)
    if (count.trim() !== '' && 'error' in read) return setFault(`How many: ${read.error}`)
    setFault(undefined)
    const noted = await write(
      {
        type: 'gave-back',
        patch,
        what,
        ...(taxon === undefined ? {} : { taxon }),
        count: count.trim() !== '' && 'value' in read ? Math.round(read.value) : null,
      },
      'Noted',
    )
    if (noted.ok) setCount('')
  }
  const sentence = fault ?? otherError([])
  return (
    <div className="form give-back">
      <Select
        size="large"
        aria-label="What was given back"
        value={what}
        onChange={setWhat}
        options={GIFTS.map((each) => ({ value: each, label: plainWords(each) }))}
      />
      <Select
        size="large"
        aria-label="Of which plant"
        placeholder="of which plant"
        allowClear
        value={taxon}
        onChange={setTaxon}
        options={plants.map(({ taxon: each }) => ({ value: each.scientificName, label: commonName(each) }))}
      />
      <NumberField label="How many" unit="" value={count} onChange={setCount} hint="May stay empty." />
      {MULTIPLIES.includes(what) && taxon !== undefined && <Multiply name={taxon} onCount={setCount} />}
      <Refusal sentence={sentence} />
      <Button size="large" onClick={() => void note()}>
        Note it
      </Button>
    </div>
  )
}

const MULTIPLIES: readonly Gift['what'][] = ['crowns-replanted', 'clump-divided']

function MayGrow({ view: { patch, mayGrow } }: { view: PatchView }) {
  const { catalogue } = useJudgeContext()
  const named = (name: string) => nameInTextOf(name, catalogue)
  if (patch.facts.habitat === undefined || patch.facts.habitat.value.length === 0)
    return <p className="soft">Note what kind of ground it is, and what might grow here is told.</p>
  return (
    <>
      <ul className="may-grow">
        {mayGrow.map(({ taxon, matched, companions }) => (
          <li key={taxon.scientificName}>
            <Link to={`/plant/${encodeURIComponent(taxon.scientificName)}`}>{commonName(taxon)}</Link>{' '}
            <span className="soft">
              likes {formatList(matched.map(plainWords))}
              {companions.length > 0 && `; grows beside ${formatList(companions.map(named))}`}
              {taxon.habitat.length > matched.length &&
                `; also ${formatList(taxon.habitat.filter((each) => !matched.includes(each)).map(plainWords))}`}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft">A kind of ground is a hint and no tell: what it is, only its tells say.</p>
    </>
  )
}

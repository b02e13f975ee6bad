import {
  commonName,
  dayNumber,
  dayOfNumber,
  formatCount,
  formatDay,
  growingYear,
  kitchenAt,
  plainWords,
  ROUND_THE_KITCHEN,
  STAGES,
  type SeasonRow,
  type Stage,
} from '@ellop/core'
import { Button, Dropdown, Input, Select, Spin, Switch } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useIsPhone } from '../app/useWidth'
import { useBook, useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { says } from '../controls/FindBar'
import { sayRefused } from '../controls/said'
import { useNote } from '../controls/useNote'
import { saveFile } from '../notebook/saveFile'
import { Lens } from './Lens'
import { useSeason } from './useSeason'
import { WeatherLine } from './WeatherLine'
import { isKind, KINDS, rowName, stateWord, whenWords, type Kind } from './words'
import '../app/season.css'

const SOON_days = 56
const OPEN_STATES = ['ready', 'best', 'nearly-past', 'second-growth']
/** So many rows of one group are drawn before the cook asks for more. */
const SHOWN = 40

/** What is good when: the year as lenses, one row a part and stage, with what is open now first. */
export default function SeasonPlace() {
  const context = useJudgeContext()
  const [search] = useSearchParams()
  const { book, now } = context
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const { told, known, reload, today, site } = useSeason(context, { station: search.get('station') ?? '' })
  const phone = useIsPhone()
  const [find, setFind] = useState(search.get('find') ?? '')
  const [kind, setKind] = useState<Kind>('all')
  const [patch, setPatch] = useState<string>()
  const [all, setAll] = useState(false)
  const [missing, setMissing] = useState(false)
  const patchName = (id: string) =>
    id === ROUND_THE_KITCHEN ? 'round the kitchen' : (book.house.patches[id]?.name ?? id)
  const stored = useMemo(
    () =>
      new Set(
        [...book.lots.values()].flatMap((lot) =>
          lot.packs.some(({ mass_g }) => mass_g > 0) ? [lot.weighedIn?.taxon ?? ''] : [],
        ),
      ),
    [book],
  )
  if (told === undefined)
    return (
      <>
        <div className="place-head">
          <h1>What is good when</h1>
        </div>
        <section className="empty" aria-busy="true">
          <Spin />
          <p>Reckoning the season …</p>
        </section>
      </>
    )
  if (told === 'failed')
    return (
      <section className="empty" role="alert">
        <h1>The season could not be reckoned</h1>
        <p>The part of the program that does it did not answer. Nothing in the book was changed.</p>
        <Button type="primary" size="large" onClick={() => window.location.reload()}>
          Try again
        </Button>
      </section>
    )
  const rows = told.rows.filter(
    (row) =>
      (all || row.patch !== ROUND_THE_KITCHEN || find !== '') &&
      isKind(kind, row) &&
      (patch === undefined || row.patch === patch) &&
      !(missing && [row.taxon.scientificName, ...row.taxon.synonyms].some((name) => stored.has(name))) &&
      says(
        find,
        ...row.taxon.commonNames.en,
        row.taxon.scientificName,
        rowName(row).name,
        rowName(row).part,
        patchName(row.patch),
      ),
  )
  const open = rows.filter(({ state }) => OPEN_STATES.includes(state)).toSorted((a, b) => a.in_days - b.in_days)
  const soon = rows
    .filter(({ state, in_days }) => state === 'not-yet' && in_days <= SOON_days)
    .toSorted((a, b) => a.in_days - b.in_days)
  const later = rows
    .filter((row) => !open.includes(row) && !soon.includes(row))
    .toSorted((a, b) => (a.from < b.from ? -1 : 1))
  const yearFrom = growingYear(today, site)
  const shared = { yearFrom, today: dayNumber(today), patchName, sightings: told.sightings }
  const { offsets } = told
  const filters = (
    <div className="season-filters">
      <Choice label="Which kind" options={KINDS} value={kind} onChange={setKind} />
      <Select
        allowClear
        size="large"
        aria-label="At which patch"
        placeholder="every patch"
        value={patch ?? null}
        onChange={(value: string | null) => setPatch(value ?? undefined)}
        options={Object.values(book.house.patches).map(({ id, name }) => ({ value: id, label: name }))}
      />
      <label className="switch">
        <Switch checked={missing} onChange={setMissing} /> not in the larder
      </label>
      <label className="switch">
        <Switch checked={all} onChange={setAll} /> no patch yet
      </label>
    </div>
  )
  return (
    <>
      <div className="place-head">
        <div>
          <h1>What is good when</h1>
          <p>
            {formatDay(now, timeZone, true)} · {site.latitude_deg}° {site.latitude_deg >= 0 ? 'north' : 'south'},
            patches at their own height ·{' '}
            {offsets.trusted
              ? `dates shifted by your ${formatCount(offsets.sightings, 'sighting')}. Usual error: ${Math.round(offsets.leftOut_days)} days; published dates: ${Math.round(offsets.bookAlone_days)}`
              : offsets.sightings === 0
                ? 'published dates. Log sightings to fit them to your patches'
                : `published dates: your ${formatCount(offsets.sightings, 'sighting')} are too few to shift them`}
          </p>
        </div>
        <div className="place-acts">
          <Button
            size="large"
            onClick={() =>
              void calendarOfRows([...open, ...soon, ...later], patchName).then((text) =>
                saveFile(text, 'text/calendar', `ellop-season-${today}.ics`),
              )
            }
          >
            To a calendar
          </Button>
        </div>
      </div>
      <WeatherLine known={known} onTaken={reload} />
      <div className="season-find">
        <Input
          data-find
          allowClear
          size="large"
          aria-label="Find in the season"
          placeholder="Find a plant, a part, a patch  ( / )"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        {phone ? (
          <details>
            <summary>Narrow it down</summary>
            {filters}
          </details>
        ) : (
          filters
        )}
      </div>
      {rows.length === 0 && (
        <section className="empty">
          <h2>Nothing of that kind</h2>
          <p>
            {told.rows.every((row) => row.patch === ROUND_THE_KITCHEN)
              ? 'No plant has a patch in this book yet. Weigh one in or note that you met it, or look at the plants without a patch.'
              : 'Look for another part, another patch, or the plants without a patch.'}
          </p>
        </section>
      )}
      <Group title="Open now" rows={open} {...shared} />
      <Group title="In the next eight weeks" rows={soon} {...shared} />
      {told.lookAgain.length > 0 && find === '' && (
        <section className="look-again">
          <h2>Look again</h2>
          <ul>
            {told.lookAgain.slice(0, 6).map(({ taxon, patch: at, use, from, seen, seenOn }) => (
              <li key={`${taxon.scientificName}${at}${use.part}${use.stage}`}>
                <strong>{commonName(taxon)}</strong> at {patchName(at)}: seen {plainWords(seen)} on{' '}
                {formatDay(`${seenOn}T12:00:00.000Z`, 'UTC')}; {plainWords(use.part)}, {plainWords(use.stage)}, from
                about <strong>{formatDay(`${from}T12:00:00.000Z`, 'UTC')}</strong>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Group title="Later, or past" rows={later} {...shared} />
      <p className="caution">
        Estimates for planning a walk. Whether a plant is fit is for the plant in front of you and the gates to say.
      </p>
    </>
  )
}

async function calendarOfRows(rows: readonly SeasonRow[], patchName: (id: string) => string): Promise<string> {
  const { calendarOf } = await import('./calendar')
  return calendarOf(rows, patchName)
}

interface Shared {
  readonly yearFrom: number
  readonly today: number
  readonly patchName: (id: string) => string
  readonly sightings: readonly {
    readonly taxon: string
    readonly stage: Stage
    readonly patch: string
    readonly day: string
  }[]
}

function Group({ title, rows, ...shared }: { title: string; rows: readonly SeasonRow[] } & Shared) {
  const [most, setMost] = useState(SHOWN)
  if (rows.length === 0) return null
  return (
    <section className="season-group" aria-label={title}>
      <div className="season-head">
        <h2>{title}</h2>
        <div className="season-months" aria-hidden="true">
          {Array.from({ length: 12 }, (_, month) => (
            <span key={month}>
              {
                formatDay(`${dayOfNumber(shared.yearFrom + Math.round(month * 30.5) + 14)}T12:00:00.000Z`, 'UTC').split(
                  ' ',
                )[2]
              }
            </span>
          ))}
        </div>
      </div>
      <ul className="season-rows">
        {rows.slice(0, most).map((row) => (
          <li key={`${row.taxon.scientificName}${row.use.part}${row.use.stage}${row.use.called ?? ''}${row.patch}`}>
            <Row row={row} {...shared} />
          </li>
        ))}
      </ul>
      {rows.length > most && (
        <Button size="large" onClick={() => setMost(most + SHOWN)}>
          {formatCount(rows.length - most, 'more row')}
        </Button>
      )}
    </section>
  )
}

function Row({ row, yearFrom, today, patchName, sightings }: { row: SeasonRow } & Shared) {
  const { write } = useNote()
  const guest = useBook(({ book }) => book.kind === 'guest')
  const { name, part } = rowName(row)
  const names = [row.taxon.scientificName, ...row.taxon.synonyms]
  const seen = [
    ...new Set(
      sightings.flatMap(({ taxon, stage, patch, day }) =>
        names.includes(taxon) && patch === row.patch && stage === row.use.stage ? [dayNumber(day)] : [],
      ),
    ),
  ]
  const noteSeen = (stage: Stage) =>
    void write(
      {
        type: 'plant-met',
        taxon: row.taxon.scientificName,
        stage,
        ...(row.patch === ROUND_THE_KITCHEN ? {} : { patch: row.patch }),
      },
      `${commonName(row.taxon)}, ${plainWords(stage)}: noted`,
    ).then((noted) => {
      if (!noted.ok) sayRefused(noted.message)
    })
  return (
    <article className={`season-row ${row.state}`}>
      <div className="season-who">
        <h3>
          <Link to={`/plant/${encodeURIComponent(row.taxon.scientificName)}`}>{name}</Link>
        </h3>
        <p>
          {part} · {patchName(row.patch)}
        </p>
      </div>
      <Lens row={row} yearFrom={yearFrom} today={today} seen={seen} />
      <div className="season-says">
        <p>
          <strong>{stateWord(row.state)}</strong>
          {row.narrow && <span className="tag">short</span>}
        </p>
        <p>{whenWords(row)}</p>
      </div>
      {!guest && (
        <Dropdown
          trigger={['click']}
          menu={{
            items: STAGES.filter((stage) => stage !== 'any').map((stage) => ({ key: stage, label: plainWords(stage) })),
            onClick: ({ key }) => noteSeen(key as Stage),
          }}
        >
          <Button className="season-seen" aria-label={`I saw ${name} at ${patchName(row.patch)} today: which stage?`}>
            Log it seen
          </Button>
        </Dropdown>
      )}
    </article>
  )
}

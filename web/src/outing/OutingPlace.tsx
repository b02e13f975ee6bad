import {
  severityWord,
  addDays,
  commonName,
  dayOf,
  fairShare,
  keptFor,
  ownTender,
  setAsideAt,
  formatCount,
  formatDay,
  formatList,
  formatSpan,
  grouped,
  kitchenAt,
  outingChoices,
  outingWater,
  planOuting,
  tellLabel,
  tellsToSee,
  weatherOn,
  type Catalogue,
  type OutingChoice,
  type OutingLine,
  type OutingWater,
  type Range,
} from '@ellop/core'
import { Button, Checkbox, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { useJudgeContext } from '../book/bookStore'
import { NumberField, readField, TextField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { tenderSays } from '../take/SnapForm'
import { rowName, stateWord } from '../season/words'
import { useSeason } from '../season/useSeason'
import '../app/field.css'
import '../app/season.css'
import { Refusal } from '../controls/Refusal'
import { formatVolume, inUnits } from '../units/units'

const DAYS_AHEAD = 10
const MOST_PLATES = 500
const TELLS = 4

/** Where to go, for what, how much of it, with what in the bag; and the sheet to take along. */
export default function OutingPlace() {
  const context = useJudgeContext()
  const { book, catalogue, now } = context
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const [ahead, setAhead] = useState(0)
  const [plates, setPlates] = useState('4')
  const [company, setCompany] = useState('')
  const [carried, setCarried] = useState('')
  const { write, otherError } = useNote()
  const navigate = useNavigate()
  const [wanted, setWanted] = useState<readonly string[]>([])
  const at = addDays(now, ahead)
  const day = dayOf(at, timeZone)
  const { told, known } = useSeason(context, { at })
  const choices = useMemo(
    () =>
      outingChoices(told === undefined || told === 'failed' ? [] : told.rows, { book, catalogue, now: at }).toSorted(
        (a, b) => a.against.length - b.against.length || (a.patch < b.patch ? -1 : 1),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is open changes by the day, not by the minute
    [book, catalogue, told],
  )
  const read = readField(plates)
  const count = 'value' in read && read.value >= 1 && read.value <= MOST_PLATES ? Math.round(read.value) : undefined
  const chosen = choices.filter((choice) => wanted.includes(keyOf(choice)) && choice.against.length === 0)
  const weather = weatherOn(known?.days ?? [], day)
  const plan = useMemo(
    () =>
      planOuting(
        chosen.map((choice) => ({ choice, plates: count ?? 1 })),
        { book, catalogue, now: at },
        weather,
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the choices are told by what was ticked
    [choices, wanted, count, book, catalogue, weather],
  )
  const litres = readCarried(carried)
  const carried_mL = litres !== undefined && 'value' in litres ? litres.value * 1000 : undefined
  const water = useMemo(
    () =>
      outingWater(
        plan.stops.flatMap(({ lines }) => lines),
        { book, catalogue, now },
        carried_mL,
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the kitchen changes with the book, not by the minute
    [plan, book, catalogue, carried_mL],
  )
  const keep = async () => {
    const outing = `outing-${v7().slice(-8)}`
    const noted = await write(
      {
        type: 'outing-planned',
        outing,
        day,
        company: company
          .split(/[,;]+/)
          .map((name) => name.trim())
          .filter(Boolean),
        plates: count ?? 1,
        wishes: chosen.map(({ taxon, use: { part, stage }, patch }) => ({
          taxon: taxon.scientificName,
          part,
          stage,
          patch,
        })),
      },
      'The outing is kept: take it along on a phone',
    )
    if (noted.ok) await navigate(`/outing/${outing}`)
  }
  const patchName = (id: string) => book.house.patches[id]?.name ?? id
  const days = Array.from({ length: DAYS_AHEAD + 1 }, (_, index) => ({
    value: index,
    label: `${index === 0 ? 'today, ' : ''}${formatDay(addDays(now, index), timeZone)}`,
  }))
  return (
    <>
      <div className="place-head">
        <div>
          <h1>An outing</h1>
          <p>
            {formatCount(choices.filter(({ against }) => against.length === 0).length, 'picking')} open at your patches
            · what is closed says why
          </p>
        </div>
        <div className="place-acts">
          <Link className="big-link" to="/patches">
            Patches
          </Link>
          {chosen.length > 0 && (
            <>
              <Button size="large" onClick={() => window.print()}>
                Print the field sheet
              </Button>
              <Button type="primary" size="large" onClick={() => void keep()}>
                Keep this plan
              </Button>
            </>
          )}
        </div>
      </div>
      <Refusal sentence={otherError([])} />
      <KeptOutings />
      <div className="outing">
        <section className="outing-choose" aria-label="What for">
          <div className="outing-ask">
            <label className="field">
              <span>Which day</span>
              <Select size="large" aria-label="Which day" value={ahead} onChange={setAhead} options={days} />
            </label>
            <NumberField
              label="How many plates"
              unit="plates"
              value={plates}
              onChange={setPlates}
              error={count === undefined ? `Give a number from 1 to ${MOST_PLATES}.` : undefined}
            />
          </div>
          <TextField
            label="Who comes"
            hint="Names with commas between them; may stay empty."
            maxLength={300}
            value={company}
            onChange={setCompany}
          />
          {told === undefined && (
            <p className="told" aria-busy="true">
              Reckoning the season …
            </p>
          )}
          {told === 'failed' && (
            <Refusal sentence="The season could not be reckoned, so nothing is offered. Open this place again." />
          )}
          {told !== undefined && told !== 'failed' && choices.length === 0 && (
            <p className="told">
              Nothing is open at a patch of yours on that day. <Link to="/season">See what comes</Link>, or note where
              you met a plant.
            </p>
          )}
          <ul className="outing-list">
            {choices.map((choice) => {
              const { name, part } = rowName(choice)
              const shut = choice.against.length > 0
              return (
                <li key={keyOf(choice)} className={shut ? 'shut' : ''}>
                  <Checkbox
                    disabled={shut}
                    checked={!shut && wanted.includes(keyOf(choice))}
                    onChange={(event) =>
                      setWanted(
                        event.target.checked
                          ? [...wanted, keyOf(choice)]
                          : wanted.filter((key) => key !== keyOf(choice)),
                      )
                    }
                  >
                    <strong>{name}</strong> {part} ·{' '}
                    <Link to={`/patch/${choice.patch}`}>{patchName(choice.patch)}</Link>
                  </Checkbox>
                  <p className="soft">
                    {stateWord(choice.state)}
                    {choice.narrow && ', a short window'}
                    {choice.toAsk.length > 0 && !shut && `; still to ask: ${formatList(choice.toAsk)}`}
                  </p>
                  {shut && <p className="refusal">{inUnits(choice.against.join(' '))}</p>}
                </li>
              )
            })}
          </ul>
        </section>
        <section className="card outing-sheet" aria-label="Field sheet">
          <h2>
            Field sheet, {formatDay(at, timeZone, true)}
            {weather !== undefined &&
              inUnits(
                ` · ${Math.round(weather.min_C)} to ${Math.round(weather.max_C)} °C${(weather.rain_mm ?? 0) > 0.5 ? `, ${Math.round(weather.rain_mm ?? 0)} mm rain` : ', dry'}`,
              )}
          </h2>
          {chosen.length === 0 ? (
            <p>Tick what you want to bring home: the sheet says how much, in what order and what to look at.</p>
          ) : (
            <>
              {plan.warnings.map((warning) => (
                <p key={warning} className="refusal">
                  {inUnits(warning)}
                </p>
              ))}
              <ol className="stops">
                {plan.stops.map(({ patch, lines }) => (
                  <li key={patch}>
                    <h3>{patchName(patch)}</h3>
                    {lines.map((line) => (
                      <Line key={keyOf(line.choice)} line={line} catalogue={catalogue} />
                    ))}
                  </li>
                ))}
              </ol>
              {plan.picking_min.high > 0 && (
                <p>
                  Picking alone takes about <strong>{formatSpan(plan.picking_min.usual)}</strong> (
                  {formatSpan(plan.picking_min.low)} to {formatSpan(plan.picking_min.high)}), where the record knows a
                  rate. Add time to check marks, count and walk.
                </p>
              )}
              <Water
                water={water}
                carried={carried}
                onCarried={setCarried}
                error={litres !== undefined && 'error' in litres ? litres.error : undefined}
              />
              <h3>To bring</h3>
              <p>{plan.gear.join(' · ')}</p>
              <p className="caution">
                Amounts and times are planning values. Nearly certain is not certain: leave it. Count before you cut.
                Nothing from this sheet is food before its gates are open. The law of the place and the owner’s word
                outrank it.
              </p>
            </>
          )}
        </section>
      </div>
    </>
  )
}

/** Litres, 0 or more; undefined where the field was left empty. */
function readCarried(text: string): ReturnType<typeof readField> | undefined {
  const read = text.trim() === '' ? undefined : readField(text)
  return read !== undefined && 'value' in read && read.value < 0
    ? { error: 'Give 0 or more, or leave it empty.' }
    : read
}

/** What it takes to make all of it ready where there is only what one carries, and what to leave out when that is too much. */
function Water({
  water: { needs, total_mL, leaveOut },
  carried,
  onCarried,
  error,
}: {
  water: OutingWater
  carried: string
  onCarried: (litres: string) => void
  error: string | undefined
}) {
  if (needs.length === 0) return null
  const names = (of: OutingWater['needs']) =>
    formatList(of.map(({ line, water_mL }) => `${rowName(line.choice).name} ${formatVolume(water_mL)}`))
  const out = leaveOut === undefined ? [] : leaveOut
  return (
    <div className="outing-water">
      <h3>Water, if it is cooked out there</h3>
      <p>
        About <strong>{formatVolume(total_mL)}</strong>, {inUnits(`${grouped(Math.round(total_mL / 1000))} kg`)} on the
        back: {names(needs)}. Drinking comes on top.
        {needs.some(({ running }) => running) && ' What lies in a stream is not counted.'}
      </p>
      <NumberField
        label="Water there is, or that you carry"
        unit="L"
        value={carried}
        onChange={onCarried}
        hint="may be left empty"
        error={error}
      />
      {out.length > 0 && (
        <p className="told">
          {out.length === needs.length
            ? 'Too little for any of it: carry the food to the water instead.'
            : `Too little for all: carry the food home, or leave out ${formatList(out.map(({ line }) => rowName(line.choice).name))}.`}
        </p>
      )}
    </div>
  )
}

const KEPT_SHOWN = 5

/** Outings that were planned for today or later, or last. */
function KeptOutings() {
  const { book, now } = useJudgeContext()
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const kept = Object.values(book.house.outings)
    .toSorted((a, b) => (a.day > b.day ? -1 : 1))
    .slice(0, KEPT_SHOWN)
  if (kept.length === 0) return null
  return (
    <ul className="kept-outings" aria-label="Outings kept">
      {kept.map(({ id, day, wishes }) => (
        <li key={id}>
          <Link to={`/outing/${id}`}>Outing, {formatDay(`${day}T12:00:00.000Z`, timeZone)}</Link>{' '}
          <span className="soft">
            {formatList([...new Set(wishes.map(({ patch }) => book.house.patches[patch]?.name ?? patch))])}
          </span>
        </li>
      ))}
    </ul>
  )
}

function Line({ line, catalogue }: { line: OutingLine; catalogue: Catalogue }) {
  const { choice, plates, effort, keeps_h } = line
  const { name, part } = rowName(choice)
  const { book, now } = useJudgeContext()
  const setAside = setAsideAt({ house: book.house, catalogue }, choice.patch, choice.taxon, now)
  const kept = setAside === undefined ? 100 : keptFor(100, setAside, choice.use.part)
  const own = tenderSays(ownTender(choice.taxon, choice.use, { book, catalogue }))
  const share = fairShare({
    taxon: choice.taxon,
    part: choice.use.part,
    stand: { pieces: 100 },
    othersPick: false,
    clone: false,
    wildlifeOn: 0,
  })
  const tells = tellsToSee(choice.taxon, catalogue).slice(0, TELLS)
  return (
    <article className="sheet-line">
      <p>
        <strong>{name}</strong>, {part}:{' '}
        {effort === undefined ? (
          'no portion is on record: take little.'
        ) : (
          <>
            <strong>{massRange(effort.picked_g)}</strong> for {formatCount(plates, 'plate')}
            {effort.pieces !== undefined && `, about ${grouped(Math.ceil(effort.pieces.usual))} pieces`}
            {effort.basket_L !== undefined && `, ${formatVolume(Math.round(effort.basket_L.usual * 10) * 100)} loose`}
            {effort.kept.from === 'own' && ` (by ${formatCount(effort.kept.pickings, 'sorting')} of your own)`}
            {effort.picking_min !== undefined &&
              effort.rate !== undefined &&
              `; picking takes ${formatSpan(effort.picking_min.usual)} (${formatSpan(effort.picking_min.low)} to ${formatSpan(effort.picking_min.high)}), ${portionsAnHour(effort.rate.portions.usual)}${effort.rate.from === 'own' ? `, as you did ${formatCount(effort.rate.pickings, 'time')}` : ''}`}
            {effort.energy_kcal_per_h !== undefined && `; ${energyWords(effort.energy_kcal_per_h)}`}
          </>
        )}
      </p>
      <p>
        {share.pieces <= kept
          ? share.pieces === 0
            ? `Take none: ${share.school}. `
            : `Take ${share.pieces} of every 100 at most: ${share.school}. `
          : kept === 0
            ? 'Take none: this stand is kept for what else is wanted of it. '
            : `Take ${kept} of every 100 at most: the rest is kept for what else is wanted of it. `}
        {choice.use.cut ?? ''} {own}
      </p>
      {choice.taxon.wildlifeHost !== undefined && <p>First look for who lives on it. {choice.taxon.wildlifeHost}</p>}
      <p>Look at: {tells.map((character) => tellLabel(character)).join(' · ')}.</p>
      {choice.doubles.length > 0 && (
        <p className="grave">
          A container of its own. Taken for it:{' '}
          {choice.doubles
            .slice(0, 4)
            .map(({ scientificName, severity }) => `${nameOf(scientificName, catalogue)} (${severityWord(severity)})`)
            .join(', ')}
          .
        </p>
      )}
      {keeps_h !== undefined && <p className="soft">Raw and cool it keeps about {formatSpan(keeps_h * 60)}.</p>}
    </article>
  )
}

function nameOf(scientificName: string, { taxa }: Catalogue): string {
  const taxon = taxa.find((each) => each.scientificName === scientificName)
  return taxon === undefined ? scientificName : commonName(taxon)
}

function massRange({ low, usual, high }: Range): string {
  const nice = (mass_g: number) => Math.round(mass_g / 10) * 10
  return inUnits(`${grouped(nice(usual))} g (${grouped(nice(low))} to ${grouped(nice(high))} g)`)
}

function energyWords({ low, usual, high }: Range): string {
  const nice = (kcal: number) => grouped(Number(kcal.toPrecision(2)))
  return `food energy of about ${nice(usual)} kcal an hour (${nice(low)} to ${nice(high)}; planning value of the record)`
}

function portionsAnHour(portions: number): string {
  return portions < 1
    ? `${formatSpan(60 / portions)} a portion`
    : `${formatCount(Math.round(portions), 'portion')} an hour`
}

function keyOf({ taxon, use, patch }: OutingChoice): string {
  return [taxon.scientificName, use.part, use.stage, patch].join('|')
}

import {
  severityWord,
  CHARACTERS,
  commonName,
  dishesAtTable,
  findTaxon,
  formatCount,
  formatDay,
  eatenBy,
  formatList,
  isBegun,
  isPoisonous,
  kitchenAt,
  meetingDays,
  meetingsNeeded,
  mustTell,
  nameInTextOf,
  plainWords,
  rangeDoubt,
  regionOf,
  strandsOf,
  tellsToSee,
  wrapperVerdict,
  type DishAtTable,
  type JudgeContext,
  type Taxon,
} from '@ellop/core'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { PlantSketch } from '../drawing/plant/sketch'
import { TellDrawing } from '../drawing/TellDrawing'
import { StandReason } from '../take/StandReason'
import { formatMass, inUnits } from '../units/units'
import { MONTHS } from '../ground/words'
import { Figures } from './Figures'
import { KnownNow, NothingKnown } from './NothingKnown'
import { UseCard } from './UseCard'
import { partsOf, percent, VERDICTS } from './words'

/** A plant's record: what of it is food and when, how it is told, what it is taken for, how it is treated, and one's own log of it. */
export default function PlantPlace() {
  const { name = '' } = useParams()
  const context = useJudgeContext()
  const taxon = findTaxon(context.catalogue, name)
  if (taxon === undefined) return <NothingKnown name={name} level="h1" />
  const kitchen = kitchenAt(context.book.house, context.now)
  const doubt = rangeDoubt(taxon, context.catalogue, regionOf(kitchen?.timeZone ?? 'UTC'))
  const part = taxon.uses.find(({ verdict }) => verdict !== 'never')?.part
  const deadly = mustTell(taxon).map(({ scientificName }) => nameInTextOf(scientificName, context.catalogue))
  return (
    <article className="plant">
      <div className="plant-head">
        <PlantSketch taxon={taxon} told={`${commonName(taxon)}, drawn from its record`} />
        <div>
          <h1>
            {commonName(taxon)}
            {taxon.own === true && <span className="tag">your own record</span>}
          </h1>
          <p className="names">
            <i>{taxon.scientificName}</i> · {taxon.family}
            {taxon.synonyms.length > 0 && (
              <>
                {' '}
                · formerly <i>{taxon.synonyms.join(', ')}</i>
              </>
            )}
          </p>
          <p className="names">
            {formatList([...taxon.commonNames.en.slice(1), ...taxon.commonNames.de, ...taxon.commonNames.fr]) || ' '}
          </p>
          {taxon.crossesWith !== undefined && (
            <p className="told">
              It crosses with <i>{formatList(taxon.crossesWith)}</i>. A plant between the two shows marks of both, and
              its taste and strength may be either’s: where a key tell does not fit, it is not told.
            </p>
          )}
          {doubt !== undefined && taxon.neverFood === undefined && <p className="told doubt">{inUnits(doubt.says)}</p>}
          {taxon.neverFood === undefined ? (
            <>
              {isPoisonous(taxon) && (
                <p className="refusal">
                  <strong>Other parts and stages of it are {severityWord(taxon.severity)}.</strong> Only what is named
                  below as food is eaten, treated as it says there.
                </p>
              )}
              {deadly.length > 0 && (
                <p className="refusal">
                  <strong>Deadly, and taken for it: {formatList(deadly)}.</strong> Look at every piece by itself.
                </p>
              )}
              <Verdicts taxon={taxon} />
            </>
          ) : (
            <>
              <p className="refusal">
                <strong>Never food ({severityWord(taxon.severity)}).</strong> {taxon.neverFood}
              </p>
              <KnownNow />
            </>
          )}
          <p>
            <Link className="big-link" to="card">
              Field card to print
            </Link>
          </p>
        </div>
      </div>
      <Tells taxon={taxon} />
      {taxon.lookalikes.length > 0 && <TakenFor taxon={taxon} context={context} />}
      {taxon.uses
        .filter(({ verdict }) => taxon.neverFood === undefined || verdict !== 'never')
        .map((use) => (
          <UseCard
            key={`${use.part} ${use.stage}`}
            taxon={taxon}
            use={use}
            elevation_m={kitchen?.elevation_m ?? 0}
            context={context}
          />
        ))}
      {part !== undefined && (
        <section className="card">
          <StandReason taxon={taxon} part={part} title="How much a stand bears" />
        </section>
      )}
      <OwnLog taxon={taxon} context={context} />
      <Figures taxon={taxon} context={context} />
      <p>
        <strong>As a wrapping.</strong> {wrapperVerdict(taxon).says}
      </p>
      <p className="soft">
        Kinds of source: {taxon.sources.join(', ')}.{' '}
        {taxon.own === true
          ? 'On record by you alone: nobody else has checked it.'
          : 'Written once and read a second time by those who make Ellop; nobody else has checked it.'}{' '}
        It defers to a botanist who has the plant in hand, to local law, to a doctor and to the poison centre.
      </p>
    </article>
  )
}

function Verdicts({ taxon }: { taxon: Taxon }) {
  return (
    <table className="verdicts">
      <thead>
        <tr>
          <th scope="col">Part</th>
          <th scope="col">Stage</th>
          <th scope="col">Eaten</th>
          <th scope="col">About when</th>
        </tr>
      </thead>
      <tbody>
        {taxon.uses.map((use) => (
          <tr key={`${use.part} ${use.stage}`} className={use.verdict}>
            <th scope="row">{partsOf(use)}</th>
            <td>{plainWords(use.stage)}</td>
            <td>{VERDICTS[use.verdict]}</td>
            <td>{use.window === undefined ? '' : `${monthDay(use.window.from)} – ${monthDay(use.window.to)}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const monthDay = (text: string) => `${Number(text.slice(3))} ${MONTHS[Number(text.slice(0, 2)) - 1] ?? ''}`

function Tells({ taxon }: { taxon: Taxon }) {
  return (
    <section className="card">
      <h2>How to know it</h2>
      <p className="soft">
        Key marks first, each with all that the plant shows.{' '}
        {taxon.neverFood === undefined
          ? `Meet it on ${formatCount(meetingsNeeded(taxon), 'day')} before you eat it.`
          : 'Never food. No number of sure days changes that.'}
      </p>
      <ul className="tell-list">
        {[
          ...taxon.keyCharacters,
          ...Object.keys(taxon.characters).filter((each) => !taxon.keyCharacters.includes(each)),
        ].map((character) => (
          <li key={character} className={taxon.keyCharacters.includes(character) ? 'key' : ''}>
            <strong>{CHARACTERS[character]?.label}</strong>
            <span className="drawn">
              {(taxon.characters[character] ?? []).slice(0, 3).map((state) => (
                <TellDrawing key={state} character={character} state={state} />
              ))}
            </span>
            <span>{inUnits((taxon.characters[character] ?? []).map(plainWords).join(' or '))}</span>
            {taxon.visible[character] !== undefined && <em>{taxon.visible[character].join(', ')} only</em>}
          </li>
        ))}
      </ul>
    </section>
  )
}

function TakenFor({ taxon, context }: { taxon: Taxon; context: JudgeContext }) {
  return (
    <section className="card">
      <h2>What it is taken for</h2>
      <ul className="taken-for">
        {taxon.lookalikes.map(({ scientificName, severity, why, tells }) => {
          const other = findTaxon(context.catalogue, scientificName)
          return (
            <li key={scientificName} className={severity}>
              {other !== undefined && <PlantSketch taxon={other} />}
              <div>
                <h3>
                  {other === undefined ? (
                    scientificName
                  ) : (
                    <Link to={`/plant/${encodeURIComponent(scientificName)}`}>{commonName(other)}</Link>
                  )}{' '}
                  <i>{scientificName}</i> <span className="tag">{severityWord(severity)}</span>
                </h3>
                <p>{inUnits(why)}</p>
                <ul>
                  {tells.map((tell) => (
                    <li key={tell}>{tell}</li>
                  ))}
                </ul>
              </div>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** What this cook's own log says of the plant. */
function OwnLog({ taxon, context }: { taxon: Taxon; context: JudgeContext }) {
  const lots = useMemo(
    () =>
      [...context.book.lots.values()].filter(
        (lot) => isBegun(lot) && strandsOf(lot).some((strand) => strand.lot.weighedIn?.taxon === taxon.scientificName),
      ),
    [context.book, taxon],
  )
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const days = meetingDays(taxon, context)
  const meetings = [taxon.scientificName, ...taxon.synonyms].flatMap((name) => context.book.house.meetings[name] ?? [])
  const stages = [...new Set(meetings.map(({ stage }) => stage))]
  const mentors = [...new Set(meetings.flatMap(({ mentor }) => mentor ?? []))]
  const eaters = useMemo(
    () =>
      Object.values(context.book.house.eaters).filter(({ id }) =>
        eatenBy(context.book, context.catalogue, id).some((each) => each.taxon === taxon),
      ),
    [context.book, context.catalogue, taxon],
  )
  const { book, catalogue } = context
  const dishes = useMemo(() => dishesAtTable(taxon, { book, catalogue }), [taxon, book, catalogue])
  const unseen = [...new Set(taxon.uses.map(({ stage }) => stage))].filter(
    (stage) => stage !== 'any' && !stages.includes(stage),
  )
  return (
    <section className="card">
      <h2>In your book</h2>
      <p>
        {days === 0 ? 'Not met yet' : `Met on ${formatCount(days, 'day')}`}
        {stages.length > 0 && ` (${formatList(stages.map(plainWords))})`}.{' '}
        {mentors.length > 0 && `Shown to you by ${formatList(mentors)}. `}
        {days > 0 && unseen.length > 0 && `Not met yet: ${formatList(unseen.map(plainWords))}. `}
        {taxon.neverFood === undefined &&
          (eaters.length === 0
            ? 'Read of, not tried: nobody here has eaten it. '
            : `Eaten by ${formatList(eaters.map(({ name }) => name))}. `)}
        {lots.length === 0 ? 'Never weighed in.' : `${formatCount(lots.length, 'lot')} of it:`}
      </p>
      <ul className="own-lots">
        {lots.map((lot) => (
          <li key={lot.id}>
            <Link to={`/lot/${lot.id}`}>{lot.code}</Link>{' '}
            {lot.weighedIn !== null &&
              `${formatMass(lot.weighedIn.mass_g)} of ${plainWords(lot.weighedIn.part)}, ${formatDay(lot.weighedIn.pickedAt, timeZone, true)}, ${context.book.house.patches[lot.weighedIn.patch]?.name ?? lot.weighedIn.patch}`}
            {lot.sorted !== null && lot.weighedIn !== null && (
              <> · {percent(lot.sorted.kept_g / lot.weighedIn.mass_g)} kept</>
            )}
          </li>
        ))}
      </ul>
      <AtTable dishes={dishes} />
      {taxon.neverFood === undefined && (
        <p className="soft">
          Marks to check: {tellsToSee(taxon, context.catalogue).length} on a typical plant; more if unusual.
        </p>
      )}
    </section>
  )
}

/** How its dishes went down: liked, eaten up and filling are told apart. */
function AtTable({ dishes }: { dishes: readonly DishAtTable[] }) {
  if (dishes.length === 0) return null
  return (
    <table className="at-table">
      <caption>At the table</caption>
      <thead>
        <tr>
          <th scope="col">Dish</th>
          <th scope="col">Liked</th>
          <th scope="col">Eaten up</th>
          <th scope="col">Fills</th>
        </tr>
      </thead>
      <tbody>
        {dishes.map(({ dish, liking, eaten: { eaten_g, served_g }, energy_kcal, portions }) => (
          <tr key={dish}>
            <th scope="row">{dish}</th>
            <td>
              {liking === undefined ? 'nobody said' : `${liking.middle} of 10 (${formatCount(liking.said, 'eater')})`}
            </td>
            <td>
              {percent(eaten_g / served_g)} of {formatCount(portions, 'portion')}
            </td>
            <td>
              {energy_kcal === undefined
                ? 'not on record'
                : `about ${Math.round(energy_kcal)} kcal a portion (planning value)`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

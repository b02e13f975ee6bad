import {
  isBegun,
  isDrink,
  eaterVerdict,
  freshnessOf,
  packFreshness,
  gateViews,
  heldFood,
  isStopped,
  isUsedUp,
  lotName,
  packAsLot,
  packView,
  rawPerServed,
  shutFor,
  formatList,
  GATE_NAMES,
  GATE_STATE_WORDS,
  withCapital,
  type Gate,
  type EaterState,
  type EaterVerdict,
  type JudgeContext,
  type LotState,
  type PackState,
} from '@ellop/core'
import { Checkbox, Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { Field, readField } from '../controls/Field'
import { FreshnessLine } from '../freshness/FreshnessLine'
import { HoldButton } from '../controls/HoldButton'
import { sayRefused } from '../controls/said'
import { useNote } from '../controls/useNote'
import { AskEater } from './AskEater'
import { HowWasIt } from './HowWasIt'
import { formatAmount, formatMass, inUnits } from '../units/units'
import { Refusal } from '../controls/Refusal'
import { useQuantityText } from '../units/useQuantityText'

interface Food {
  readonly key: string
  readonly label: string
  readonly lot: LotState
  readonly pack: PackState | null
  readonly held_g: number
}

/** Serving: what, as which dish, before whom, within everybody's limits. */
export default function TablePlace() {
  const context = useJudgeContext()
  const [search, setSearch] = useSearchParams()
  const foods = useMemo(() => foodsOf(context), [context])
  const chosen = foods.find(({ key }) => key === (search.get('pack') ?? search.get('lot'))) ?? foods[0]
  const asked = search.get('lot')
  const missed = asked === null || foods.some(({ key }) => key === asked) ? undefined : context.book.lots.get(asked)
  const away = missed === undefined || isUsedUp(missed) ? undefined : missed
  const held = useMemo(() => heldFood(context), [context])
  return (
    <>
      <div className="place-head">
        <div>
          <h1>At the table</h1>
          <p>Each person is checked against everything in the dish. Ask everybody about allergies first.</p>
        </div>
      </div>
      {held.servings.length > 0 && (
        <p className="refusal" role="alert">
          What was eaten is not safe by what is known now:{' '}
          {held.servings
            .map(
              ({ dish, eaters }) =>
                `${dish} (${eaters.map((id) => context.book.house.eaters[id]?.name ?? id).join(', ')})`,
            )
            .join('; ')}
          . Tell each of them. If anybody feels ill, call the poison centre or a doctor now.{' '}
          <Link to="/ill">If somebody is ill</Link>
        </p>
      )}
      {away !== undefined && (
        <p className="refusal" role="alert">
          Lot {away.code} does not come to the table as it is.{' '}
          <Link to={`/lot/${away.id}`}>See what stands against it</Link>
        </p>
      )}
      {chosen === undefined ? (
        <section className="empty">
          <h2>Nothing is ready to serve</h2>
          <p>
            A lot comes to the table when its gates are open. <Link to="/basket">See what each still needs</Link>.
          </p>
        </section>
      ) : (
        <Serving
          key={chosen.key}
          food={chosen}
          foods={foods}
          context={context}
          onChoose={(key) => setSearch({ [key.startsWith('pack:') ? 'pack' : 'lot']: key })}
        />
      )}
      <HowWasIt context={context} />
    </>
  )
}

/** What must be open for a lot to be offered; of the others its refusal is read at the table. */
const NEEDED: readonly Gate[] = ['identity', 'ground', 'makeSafe']

function foodsOf(context: JudgeContext): readonly Food[] {
  return [...context.book.lots.values()].flatMap((lot): Food[] => {
    if (!isBegun(lot)) return []
    const name = lotName(lot, context)
    const packs = lot.packs
      .filter(({ mass_g }) => mass_g > 0)
      .map((pack) => ({ pack, view: packView(lot, pack, context) }))
      .filter(({ view }) => !view.notYetFood && view.held.length === 0 && view.state !== 'discard')
      .map(({ pack, view }) => ({
        key: `pack:${pack.id}`,
        label: `${view.label}, ${pack.store} ${view.code} · ${formatAmount(pack.lotThen, pack.mass_g)}`,
        lot,
        pack,
        held_g: pack.mass_g,
      }))
    // What is held, for a stray or its ground, is no choice at a table.
    const safe = gateViews(lot, context)
      .filter(({ gate }) => NEEDED.includes(gate))
      .every(({ state }) => state === 'open')
    const own =
      !isUsedUp(lot) && safe && !isStopped(lot, context)
        ? [
            {
              key: lot.id,
              label: `${name.title}, ${isDrink(lot) ? 'to drink' : 'fresh'}, lot ${lot.code} · ${formatAmount(lot, lot.mass_g)}`,
              lot,
              pack: null,
              held_g: lot.mass_g,
            },
          ]
        : []
    return [...own, ...packs]
  })
}

/** What is put on the plate or in the cup to begin with. */
const PORTION_g = 60
const CUP_mL = 150

/** Beside a name its sentences begin without it. */
const withoutName = (reason: string, name: string) =>
  withCapital(reason.startsWith(`${name}: `) ? reason.slice(name.length + 2) : reason)

function Serving({
  food,
  foods,
  context,
  onChoose,
}: {
  food: Food
  foods: readonly Food[]
  context: JudgeContext
  onChoose: (key: string) => void
}) {
  const { write, errorOf, otherError } = useNote()
  const [dish, setDish] = useState('')
  const [portions, setPortions] = useState<Readonly<Record<string, string>>>({})
  const [fault, setFault] = useState<string>()
  const [asking, setAsking] = useState<EaterState>()
  const served = food.pack === null ? food.lot : packAsLot(food.lot, food.pack)
  const eaters = Object.values(context.book.house.eaters)
  const verdicts = eaters.map((eater) => ({ eater, verdict: eaterVerdict(served, context, eater.id) }))
  const shared = saidOfSeveral(verdicts)
  const shut = shutFor('serve', served, context, { serve: { portions: [], pack: food.pack } }).filter(
    ({ gate }) => gate !== 'plate',
  )
  const total_g = Object.values(portions).reduce((sum, text) => {
    const read = readField(text)
    return sum + ('value' in read ? read.value : 0)
  }, 0)
  const serve = async () => {
    const read = Object.entries(portions).map(([eater, text]) => ({ eater, read: readField(text) }))
    const wrong = read.find(({ read: each }) => 'error' in each)
    if (wrong !== undefined && 'error' in wrong.read)
      return setFault(`${context.book.house.eaters[wrong.eater]?.name ?? wrong.eater}: ${wrong.read.error}`)
    setFault(undefined)
    const list = read.flatMap(({ eater, read: each }) => ('value' in each ? [{ eater, mass_g: each.value }] : []))
    const noted = await write(
      {
        type: 'served',
        lot: food.lot.id,
        pack: food.pack?.id ?? null,
        // A dish without a name is called by its food, wherever it is spoken of later.
        dish: dish.trim() === '' ? lotName(food.lot, context).title : dish.trim(),
        portions: list,
      },
      'Served',
    )
    if (noted.ok) setPortions({})
    // The food itself may be gone from the list by then: the sentence stays where it is read.
    else sayRefused(noted.message)
  }
  const toggle = ({ eater, verdict }: { eater: EaterState; verdict: EaterVerdict }, on: boolean) => {
    const rest = Object.fromEntries(Object.entries(portions).filter(([id]) => id !== eater.id))
    setPortions(
      on
        ? {
            ...rest,
            [eater.id]: String(Math.max(1, Math.min(isDrink(served) ? CUP_mL : PORTION_g, Math.floor(verdict.most_g)))),
          }
        : rest,
    )
  }
  return (
    <div className="table-work">
      <section className="card">
        <div className="form two">
          <Field label="What">
            {(id) => (
              <Select
                id={id}
                size="large"
                value={food.key}
                onChange={onChoose}
                options={foods.map(({ key, label }) => ({ value: key, label }))}
              />
            )}
          </Field>
          <Field label="As which dish" error={errorOf('dish')}>
            {(id) => (
              <Input
                id={id}
                size="large"
                placeholder="soup, dumplings …"
                value={dish}
                onChange={(event) => setDish(event.target.value)}
              />
            )}
          </Field>
        </div>
        <FreshnessLine
          freshness={food.pack === null ? freshnessOf(food.lot, context) : packFreshness(food.pack, context)}
        />
        {isDrink(served) && (
          <p className="told">
            A litre holds {formatMass(1000 * rawPerServed(served, context.catalogue))} of the plant, as it was raw.
          </p>
        )}
        {shut.map(({ gate, state, reasons }) => (
          <p key={gate} className="refusal">
            {GATE_NAMES[gate]} is {GATE_STATE_WORDS[state]}. {inUnits(reasons.join(' '))}
          </p>
        ))}
        <ul className="eaters">
          {verdicts.map(({ eater, verdict }) => (
            <li key={eater.id} className={verdict.state}>
              <Checkbox
                checked={portions[eater.id] !== undefined}
                disabled={verdict.state !== 'open'}
                onChange={(event) => toggle({ eater, verdict }, event.target.checked)}
              >
                <strong>{eater.name}</strong>
                {eater.kind !== 'adult' && <span className="tag quiet">{eater.kind}</span>}
              </Checkbox>
              <div className="eater-says">
                <EaterSays verdict={verdict} served={served} name={eater.name} shared={shared} />
              </div>
              {portions[eater.id] === undefined ? (
                <button
                  type="button"
                  className={eater.sensitivities === null ? 'ask' : 'ask anew'}
                  onClick={() => setAsking(eater)}
                >
                  {eater.sensitivities === null ? `Ask ${eater.name}` : 'Ask again'}
                </button>
              ) : (
                <Portion
                  of={eater.name}
                  unit={isDrink(served) ? 'mL' : 'g'}
                  value={portions[eater.id] ?? ''}
                  onChange={(text) => setPortions({ ...portions, [eater.id]: text })}
                />
              )}
            </li>
          ))}
        </ul>
        {shared.length > 0 && (
          <details className="shared-says">
            <summary>Why these amounts</summary>
            {shared.map(({ why, names }) => (
              <p key={why}>
                <strong>{formatList(names)}:</strong> {inUnits(why)}
              </p>
            ))}
          </details>
        )}
        {(fault ?? otherError(['dish'])) !== undefined && (
          <p className="refusal" role="alert">
            {fault ?? otherError(['dish'])}
          </p>
        )}
        <div className="acts serve-acts">
          <p className="serve-sum">
            <strong>{formatAmount(served, total_g)}</strong> of {formatAmount(served, food.held_g)}
          </p>
          <HoldButton disabled={Object.keys(portions).length === 0} onHold={() => void serve()}>
            Press and hold to serve it
          </HoldButton>
        </div>
        <p className="caution">
          This is no medical advice: what a doctor told an eater outranks it. If anybody feels ill, call the poison
          centre or a doctor and keep a sample.
        </p>
      </section>
      {asking !== undefined && <AskEater eater={asking} onClose={() => setAsking(undefined)} />}
    </div>
  )
}

interface SaidOnce {
  readonly why: string
  readonly names: readonly string[]
}

/** What holds for several who may have of it, once, with who they are. */
function saidOfSeveral(verdicts: readonly { readonly verdict: EaterVerdict }[]): readonly SaidOnce[] {
  const open = verdicts.map(({ verdict }) => verdict).filter(({ state }) => state === 'open')
  const all = [...new Set(open.flatMap(({ because }) => because))]
  return all
    .map((why) => ({ why, names: open.filter(({ because }) => because.includes(why)).map(({ name }) => name) }))
    .filter(({ names }) => names.length > 1)
}

/** No in red; what is to be asked; or how much, and what is for this eater alone to mind. */
function EaterSays({
  verdict,
  served,
  name,
  shared,
}: {
  verdict: EaterVerdict
  served: LotState
  name: string
  shared: readonly SaidOnce[]
}) {
  if (verdict.state !== 'open')
    return verdict.reasons.map((reason) => <p key={reason}>{inUnits(withoutName(reason, name))}</p>)
  const own = verdict.because.filter((why) => !shared.some((each) => each.why === why))
  const capped = Number.isFinite(verdict.most_g)
  return (
    <>
      {capped && <p className="up-to">Up to {formatAmount(served, verdict.most_g)} now</p>}
      {[...own, ...verdict.theirs].map((why) => (
        <p key={why}>
          <span className="tag quiet">MIND</span> {inUnits(withoutName(why, name))}
        </p>
      ))}
      {!capped && own.length + verdict.theirs.length === 0 && <p>No caution known for {name}.</p>}
    </>
  )
}

const UNIT_WORDS: Readonly<Record<string, string>> = { g: 'grams', oz: 'ounces', mL: 'millilitres' }

function Portion({
  of,
  unit,
  value,
  onChange,
}: {
  of: string
  unit: 'g' | 'mL'
  value: string
  onChange: (text: string) => void
}) {
  const quantity = useQuantityText(value, unit, onChange)
  return (
    <div className="portion">
      <Input
        className="number"
        size="large"
        inputMode="decimal"
        aria-label={`Portion of ${of} in ${UNIT_WORDS[quantity.unit] ?? quantity.unit}`}
        aria-invalid={quantity.refused !== undefined}
        suffix={quantity.comesTo === undefined ? quantity.unit : `= ${quantity.comesTo}`}
        value={quantity.text}
        onChange={(event) => quantity.type(event.target.value)}
      />
      <Refusal sentence={quantity.refused} />
    </div>
  )
}

import {
  heldFood,
  isBegun,
  isDrink,
  lotName,
  minutesBetween,
  type JudgeContext,
  type LotState,
  type Serving,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { PalateStrip } from '../lot/PalateStrip'
import { formatAmount } from '../units/units'
import '../app/palate.css'

/** So long after, people still know how it was. */
const REMEMBERED_h = 72
const MOST_SHOWN = 3

interface Dish {
  readonly lot: LotState
  readonly serving: Serving
}

/** The dishes of the last days of which nobody said yet how they went down; eating up, liking and being filled are three things. */
export function HowWasIt({ context }: { context: JudgeContext }) {
  // Of food that is held it is asked how they feel, never how they liked it.
  const held = new Set(heldFood(context).servings.map(({ entry }) => entry))
  const dishes = [...context.book.lots.values()]
    .flatMap((lot) => lot.servings.map((serving): Dish => ({ lot, serving })))
    .filter(
      ({ serving: { entry, at, portions, heard = [] } }) =>
        !held.has(entry) &&
        at <= context.now &&
        minutesBetween(at, context.now) <= REMEMBERED_h * 60 &&
        heard.length < portions.length,
    )
    .toSorted((a, b) => (a.serving.at > b.serving.at ? -1 : 1))
    .slice(0, MOST_SHOWN)
  if (dishes.length === 0) return null
  return (
    <section className="card how-was-it">
      <h2>How was it?</h2>
      <p className="soft">
        Liked and eaten up are two things. For the limits of the day all that was served counts as eaten.
      </p>
      {dishes.map((dish) => (
        <OneDish key={dish.serving.entry} dish={dish} context={context} />
      ))}
    </section>
  )
}

function OneDish({ dish: { lot, serving }, context }: { dish: Dish; context: JudgeContext }) {
  const { write, otherError } = useNote()
  const toAsk = serving.portions.filter(({ eater }) => !(serving.heard ?? []).some((each) => each.eater === eater))
  const [portion] = toAsk
  const [left, setLeft] = useState('0')
  const [liking, setLiking] = useState<number>()
  const [fault, setFault] = useState<string>()
  if (portion === undefined) return null
  const food = isBegun(serving.lotThen) ? serving.lotThen : lot
  const name = context.book.house.eaters[portion.eater]?.name ?? portion.eater
  const note = async () => {
    const read = readField(left)
    if ('error' in read) return setFault(`Left on the plate: ${read.error}`)
    if (read.value < 0 || read.value > portion.mass_g)
      return setFault(`Left on the plate: between 0 and ${formatAmount(food, portion.mass_g)}.`)
    setFault(undefined)
    const noted = await write(
      {
        type: 'table-noted',
        lot: lot.id,
        serving: serving.entry,
        heard: [{ eater: portion.eater, eaten_g: portion.mass_g - read.value, liking: liking ?? null }],
      },
      'Noted',
    )
    if (!noted.ok) return
    setLeft('0')
    setLiking(undefined)
  }
  return (
    <div className="form">
      <h3>
        {[...new Set([serving.dish, lotName(lot, context).title])].join(', ')}: {name},{' '}
        {formatAmount(food, portion.mass_g)}
      </h3>
      <PalateStrip note="liking" value={liking} onChange={setLiking} />
      <NumberField label="Left on the plate" unit={isDrink(food) ? 'mL' : 'g'} value={left} onChange={setLeft} />
      <Refusal sentence={fault ?? otherError([])} />
      <Button size="large" onClick={() => void note()}>
        Note how it was for {name}
      </Button>
    </div>
  )
}

import { SCALE_g } from '../quantity/scale'
import { freshnessOf, packFreshness, packRule } from '../freshness/freshness'
import type { Goal, Taxon, Use } from '../flora/taxon'
import type { EaterId } from '../log/entry'
import { kitchenAt, type EaterState } from '../log/houseState'
import { strandsOf, type LotState, type PackState, type Portion } from '../lot/lotState'
import { eaterAt } from '../meal/age'
import { capsFor, cautionsFor, ownCapsFor, sharedLeft, type PlantHeld } from '../meal/dayShare'
import { eatenBy, eatenOn, plantsServed, type EatenServing, type PlantServed } from '../meal/eaten'
import { bowlAgainst } from '../meal/inTheBowl'
import { sensitivityWords } from '../flora/vocabulary'
import { formatList, formatMass } from '../quantity/format'
import { formatDay, minutesBetween } from '../quantity/instant'
import { babyFood, babySays, type BabyFood } from '../treatment/babyFood'
import { lotUse } from '../treatment/batchUse'
import { formatServed } from '../treatment/drink'
import { protocolOf } from '../treatment/progress'
import { ajarFor, finding, type Finding, type GateState, type JudgeContext } from './verdict'

/** Hours that must lie between a first taste and an ordinary portion. */
const FIRST_TASTE_WAIT_MINUTES = 12 * 60

/** What one eater may have of this food now, and why not more. */
export interface EaterVerdict {
  readonly eater: EaterId
  readonly name: string
  readonly state: GateState
  /** The most of it as served, g; 0 where refused. */
  readonly most_g: number
  readonly reasons: readonly string[]
  /** Why not more, of the plant and not of the person, without name and amount: for several it need be said once. None unless open. */
  readonly because: readonly string[]
  /** What is so for them: every caution for what they have, a first taste, what they once said. */
  readonly theirs: readonly string[]
}

/** What a serving puts before whom, from the lot in hand or from a pack of it. */
export interface ServingIntent {
  readonly portions: readonly Portion[]
  readonly pack: PackState | null
}

/** Opens for these eaters when sensitivities were asked and allow it, amounts a day are kept, and the food has life left. */
export function plateGate(lot: LotState, context: JudgeContext, intent: ServingIntent | undefined): Finding {
  if (intent === undefined || intent.portions.length === 0) return ajarFor('Choose who eats it.')
  const stale = lifeReasons(lot, context, intent.pack)
  const verdicts = intent.portions.map(({ eater, mass_g }) => ({ mass_g, verdict: eaterVerdict(lot, context, eater) }))
  const closed = verdicts.flatMap(({ mass_g, verdict }) => {
    if (verdict.state === 'closed') return verdict.reasons
    return verdict.state === 'open' && mass_g > verdict.most_g + SCALE_g
      ? [
          `${verdict.name}: ${formatServed(lot, mass_g)} is more than ${formatServed(lot, verdict.most_g)}. ${verdict.reasons.join(' ')}`,
        ]
      : []
  })
  const ajar = verdicts.flatMap(({ verdict }) => (verdict.state === 'ajar' ? verdict.reasons : []))
  return finding(
    [...stale, ...closed],
    ajar,
    verdicts.flatMap(({ verdict }) => verdict.reasons),
  )
}

/** One eater against one lot: sensitivities, what was already eaten of each plant in it that day, and the first taste. */
export function eaterVerdict(lot: LotState, context: JudgeContext, id: EaterId): EaterVerdict {
  const eater = context.book.house.eaters[id]
  const say = (
    state: GateState,
    most_g: number,
    reasons: readonly string[],
    { because = [], theirs = [] }: Partial<Pick<EaterVerdict, 'because' | 'theirs'>> = {},
  ): EaterVerdict => ({
    ...{ eater: id, name: eater?.name ?? id, state, most_g, reasons },
    ...{ because: [...new Set(because)], theirs: [...new Set(theirs)] },
  })
  if (eater === undefined) return say('ajar', 0, ['This eater is not known yet.'])
  if (eater.sensitivities === null)
    return say('ajar', 0, [`${eater.name}: allergies and illnesses not asked. Ask before you serve.`])
  const bowl = bowlAgainst(lot, eater)
  if (bowl.closed.length > 0) return say('closed', 0, bowl.closed)
  if (bowl.toAsk.length > 0) return say('ajar', 0, bowl.toAsk)
  const timeZone = zoneOf(context)
  const { book, catalogue, now } = context
  const eaten = eatenOn({ book, catalogue, eater: id, at: now, timeZone })
  const plants = plantsServed(lot, catalogue)
  if (plants.length < strandsOf(lot).length) return say('closed', 0, ['Nothing is on record about eating this.'])
  const verdicts = plants.map((plant) => plantVerdict(lot, allOf(plant, plants), { eater, eaten }, context))
  const closed = verdicts.filter(({ state }) => state === 'closed')
  if (closed.length > 0) return say('closed', 0, [...new Set(closed.flatMap(({ reasons }) => reasons))])
  const own_g = Math.min(...verdicts.map(({ most_g }) => most_g))
  const held = plants.flatMap((plant) => heldIn(lot, plant, eater, context))
  const shared = sharedLeft({ bowl: held, eater, eaten, catalogue })
    .filter(({ left_g }) => left_g < own_g)
    .toSorted((a, b) => a.left_g - b.left_g)[0]
  if (shared !== undefined) {
    const why = `${eater.name}: ${upTo(lot, shared.left_g)}. ${shared.why}`
    if (shared.left_g <= 0) return say('closed', 0, [why])
    const laxer = laxerRemark(eater, timeZone)
    return say('open', shared.left_g, [...new Set([...verdicts.flatMap(({ cautions }) => cautions), why, ...laxer])], {
      because: [shared.why, ...verdicts.flatMap(({ because }) => because)],
      theirs: [...verdicts.flatMap(({ theirs }) => theirs), ...laxer],
    })
  }
  const laxer = laxerRemark(eater, timeZone)
  return say('open', own_g, [...new Set([...verdicts.flatMap(({ reasons }) => reasons), ...laxer])], {
    because: verdicts.flatMap(({ because }) => because),
    theirs: [...verdicts.flatMap(({ theirs }) => theirs), ...laxer],
  })
}

function barredBy(cautions: Use['cautionFor'], { name }: EaterState): readonly string[] {
  const avoid = cautions.filter(({ what }) => what === 'avoid').map(({ why }) => why)
  return avoid.length === 0 ? [] : [`${name} must not eat this: ${avoid.join(' ')}`]
}

function zoneOf({ book, now }: JudgeContext): string {
  return kitchenAt(book.house, now)?.timeZone ?? 'UTC'
}

/** What a record says of an eater and a goal; of a baby that may have the food in its own way, not that babies have none. */
function cautionsOf(use: Use, eater: EaterState, goal: Goal, baby: BabyFood | undefined): Use['cautionFor'] {
  return cautionsFor(use, eater, goal).filter(
    ({ who, what }) => !(baby !== undefined && who === 'infant' && what === 'avoid'),
  )
}

/** Why somebody must not have any of a food, however little: by what they cannot bear of its plants or of what was put to it. */
export function neverFor(lot: LotState, eater: EaterState, context: JudgeContext): readonly string[] {
  const byPlants = strandsOf(lot).flatMap(({ lot: strand }) => {
    const use = lotUse(strand, context.catalogue)
    const goal = lot.way?.goal ?? strand.way?.goal ?? 'eat'
    const baby = use && babyFood(use, eaterAt(eater, context.now, zoneOf(context)), goal)
    return barredBy(use === undefined ? [] : cautionsOf(use, eater, goal, baby), eater)
  })
  const { closed, toAsk } = bowlAgainst(lot, eater)
  return [...new Set([...byPlants, ...closed, ...toAsk])]
}

/** What held against them once and by a later word does not: said wherever they are served. */
function laxerRemark({ name, laxer }: EaterState, timeZone: string): readonly string[] {
  return laxer === undefined
    ? []
    : [
        `${name}: noted without ${formatList(laxer.dropped.map(sensitivityWords))} since ${formatDay(laxer.at, timeZone, true)}.`,
      ]
}

/** A plant with all that there is of it in the food: of two pickings in a batch each is no measure by itself. */
function allOf(plant: PlantServed, plants: readonly PlantServed[]): PlantServed {
  const same = plants.filter(({ taxon }) => taxon === plant.taxon)
  return {
    ...plant,
    share: same.reduce((sum, { share }) => sum + share, 0),
    raw_per_g: same.reduce((sum, { raw_per_g }) => sum + raw_per_g, 0),
  }
}

/** What holds one plant of a food for an eater by the day; none where nothing is on record about eating it. */
function heldIn(
  lot: LotState,
  { strand, taxon, raw_per_g }: PlantServed,
  eater: EaterState,
  context: JudgeContext,
): readonly (PlantHeld & { readonly cautions: Use['cautionFor']; readonly baby: BabyFood | undefined })[] {
  const use = lotUse(strand, context.catalogue)
  if (use === undefined) return []
  const goal = lot.way?.goal ?? strand.way?.goal ?? 'eat'
  const baby = babyFood(use, eaterAt(eater, context.now, zoneOf(context)), goal)
  const cautions = cautionsOf(use, eater, goal, baby)
  const school = protocolOf(lot.joined.length > 0 ? strand : lot, use)?.name
  const forBabies = baby === undefined ? [] : [{ perDay_g: baby.atMost_g, why: babySays(baby) }]
  return [{ use, taxon, raw_per_g, cautions, baby, caps: [...capsFor(use, eater, cautions, school), ...forBabies] }]
}

interface PlantVerdict {
  readonly state: 'open' | 'closed'
  readonly most_g: number
  readonly reasons: readonly string[]
  /** What is to be minded whatever the amount. */
  readonly cautions: readonly string[]
  readonly because: readonly string[]
  readonly theirs: readonly string[]
}

/** An eater against one plant in the food. */
function plantVerdict(
  lot: LotState,
  plant: PlantServed,
  { eater, eaten }: { readonly eater: EaterState; readonly eaten: readonly EatenServing[] },
  context: JudgeContext,
): PlantVerdict {
  const { taxon, raw_per_g } = plant
  const [held] = heldIn(lot, plant, eater, context)
  const refused = (reasons: readonly string[]): PlantVerdict => ({
    ...{ state: 'closed', most_g: 0, reasons, cautions: [], because: [], theirs: [] },
  })
  if (held === undefined) return refused(['Nothing is on record about eating this.'])
  const { use, cautions, caps } = held
  const barred = barredBy(cautions, eater)
  if (barred.length > 0) return refused(barred)
  const had_g = eaten.filter((each) => each.taxon === taxon).reduce((sum, { raw_g }) => sum + raw_g, 0)
  const left = [...caps, ...ownCapsFor(taxon, eater)].map(({ perDay_g, why }) => ({
    why,
    left_g: Math.max(0, perDay_g - had_g) / raw_per_g,
    because: `The day’s limit is ${formatMass(perDay_g)}, weighed raw. ${why}`,
    says: (most: string) => `${eater.name}: ${most} (the day’s limit is ${formatMass(perDay_g)}, weighed raw). ${why}`,
  }))
  const first = firstTaste(use, taxon, eater, plant, context)
  const limits = [...left, ...(first === undefined ? [] : [first])]
  const [tightest] = limits.toSorted((a, b) => a.left_g - b.left_g)
  const most_g = tightest?.left_g ?? Infinity
  const limitSays = tightest === undefined || tightest.because === '' ? [] : [tightest.because]
  // What is held against them by an illness is never folded away with what holds for everybody.
  const ofPlant = !cautions.some(({ why }) => tightest?.why.startsWith(why) === true)
  const minded = (except?: string) =>
    cautions
      .filter(({ why }) => except === undefined || !except.startsWith(why))
      .map(({ why }) => `${eater.name}: ${why}`)
  return {
    state: most_g <= 0 ? 'closed' : 'open',
    most_g,
    reasons: [...minded(tightest?.why), ...(tightest === undefined ? [] : [tightest.says(upTo(lot, tightest.left_g))])],
    cautions: minded(),
    because: ofPlant ? limitSays : [],
    theirs: [
      ...(ofPlant ? [] : limitSays),
      ...cautions.filter(({ why }) => tightest?.why.startsWith(why) !== true).map(({ why }) => why),
      ...(first === undefined ? [] : ['First time with this plant: no more of it until tomorrow.']),
    ],
  }
}

/** @example upTo(soup, 190) // 'up to 190 g now' */
const upTo = (lot: LotState, most_g: number) =>
  most_g <= 0 ? 'no more today' : `up to ${formatServed(lot, most_g)} now`

/** Dried to a powder a gram is many grams of the plant [planning value: three, more than any pot shrinks greens]. */
const CONCENTRATED = 3

/** How much of a first taste a gram of plant as served is: of a drink or a thin soup, and of dry powder, what it was raw. */
const tasteOf_g = (mass_g: number, raw_g: number) => (raw_g < mass_g || raw_g > CONCENTRATED * mass_g ? raw_g : mass_g)

/** The first-taste rule: a very little of a plant never eaten before, then a wait. */
function firstTaste(
  use: Use,
  taxon: Taxon,
  { id, name }: EaterState,
  { share, raw_per_g }: Pick<PlantServed, 'share' | 'raw_per_g'>,
  { book, catalogue, now }: JudgeContext,
) {
  if (use.firstTaste_g === undefined) return undefined
  const earlier = eatenBy(book, catalogue, id).filter((each) => each.taxon === taxon && each.serving.at <= now)
  const first = earlier[0]
  if (first !== undefined && minutesBetween(first.serving.at, now) >= FIRST_TASTE_WAIT_MINUTES) return undefined
  const had_g = earlier.reduce((sum, { mass_g, raw_g }) => sum + tasteOf_g(mass_g, raw_g), 0)
  return {
    left_g: Math.max(0, use.firstTaste_g - had_g) / tasteOf_g(share, raw_per_g),
    why: '',
    because: '',
    says: (most: string) => `${name}’s first time with this plant: ${most}, then no more until tomorrow.`,
  }
}

/** Why food in hand, or in a pack, has no life left to be eaten in; none where it has. */
export function lifeReasons(lot: LotState, context: JudgeContext, pack: PackState | null): readonly string[] {
  if (pack === null) return freshnessOf(lot, context).must
  return packRule(pack, context).rule === undefined
    ? ['The record does not allow the way this pack was kept.']
    : packFreshness(pack, context).must
}

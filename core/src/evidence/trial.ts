import { findTaxon, findUse, type Catalogue } from '../flora/catalogue'
import type { Protocol, Use } from '../flora/taxon'
import type { EaterId, LotId, PatchId } from '../log/entry'
import type { TrialArm, TrialFact } from '../log/houseState'
import type { BookState } from '../log/fold'
import { strandsOf, type LotState, type TasteFact } from '../lot/lotState'
import { opNoun } from '../lot/opNoun'
import { mean } from '../quantity/average'
import { chance } from '../quantity/chance'
import { formatCount, formatList, formatSpan } from '../quantity/format'
import { notForTongue, notLeftOut } from '../treatment/tongue'

/**
 * Why a step is not tried with less of it (REC-5); undefined where only the tongue has a say. Barred as well in a school that only keeps
 * the food, and in one that is contested or advised against: there a bland bowl proves nothing.
 */
export function trialBarred(
  use: Pick<Use, 'hazards'>,
  { standing, steps, storeOnly }: Protocol,
  at: number,
): string | undefined {
  const step = steps[at]
  if (step === undefined) return 'There is no such step in this school.'
  if (standing === 'contested' || standing === 'not-advised')
    return 'This school is contested or advised against: nothing of it is tried here.'
  if (storeOnly === true) return 'This way only keeps the food: nothing of it is tried with less.'
  return notForTongue(use, step)
}

/** Bowls of a trial: fewer are no comparison, more tire the tongue. */
export const ARMS = { least: 2, most: 4 } as const

/** The order in which one taster is handed the bowls, so that nobody knows which is which: the same each time it is asked. */
export function cupOrder({ id, arms }: Pick<TrialFact, 'id' | 'arms'>, taster: EaterId): readonly number[] {
  const random = chance([...`${id} ${taster}`].reduce((sum, letter) => Math.imul(sum, 31) + letter.charCodeAt(0), 7))
  const order = arms.map((_, index) => index)
  for (let left = order.length - 1; left > 0; left -= 1) {
    const other = Math.floor(random() * (left + 1))
    const [a, b] = [order[left] as number, order[other] as number]
    ;[order[left], order[other]] = [b, a]
  }
  return order
}

/** How a bowl did against the one with most of the step. */
export type ArmStanding = 'reference' | 'not-as-set' | 'untasted' | 'few' | 'no-worse' | 'unsure' | 'worse'

export interface ArmOutcome {
  readonly lot: LotId
  readonly minutes: number
  /** As it was really done; undefined as long as it was not. */
  readonly did_min: number | undefined
  readonly tasters: number
  /** Mean of the harsher of first taste and what lingers, 0 to 10. */
  readonly harsh: number | undefined
  readonly accepted: number
  readonly standing: ArmStanding
}

export interface TrialOutcome {
  readonly trial: TrialFact
  /** Most of the step first. */
  readonly arms: readonly ArmOutcome[]
  readonly patch: PatchId | undefined
  /** Tasters who had every bowl: to them it is no secret any more. */
  readonly through: readonly EaterId[]
  readonly says: string
  /** Minutes to set against the best next time; undefined where there is nothing more to be found out. */
  readonly next_min: number | undefined
}

/** A timer is off by so much, or by a tenth, and it is still what was set. */
const AS_SET_min = 1
const AS_SET_share = 0.1
/** One tongue differs from itself by a point from spoon to spoon; a bowl harsher by less than a point is no worse [planning values]. */
const NOISE = 1
const WORSE_BY = 1
const SURELY_WORSE_BY = 0.5
const ENOUGH_TASTERS = 2

/**
 * What a trial has told so far: each bowl against the one with most of the step, taster by taster, so that a harsh tongue counts no
 * more than a mild one. It holds for the patch that the picking came from, moves no limit, and is no property of the plant (REC-3, TAS-4).
 */
export function trialOutcome(
  trial: TrialFact,
  { book, catalogue }: { readonly book: BookState; readonly catalogue: Catalogue },
): TrialOutcome {
  const ordered = trial.arms.toSorted((a, b) => b.minutes - a.minutes)
  const bowls = ordered.map((arm) => {
    const lot = book.lots.get(arm.lot)
    const tastes = lot === undefined ? new Map<EaterId, TasteFact>() : firstTastes(lot, trial)
    const did_min = lot === undefined ? undefined : doneMinutes(lot, trial, tastes.size > 0)
    return { ...arm, did_min, tastes }
  })
  const [reference] = bowls
  const arms = bowls.map((bowl): ArmOutcome => {
    const tastes = [...bowl.tastes.values()]
    const scores = tastes.map(harshness)
    return {
      lot: bowl.lot,
      minutes: bowl.minutes,
      did_min: bowl.did_min,
      tasters: tastes.length,
      harsh: scores.length === 0 ? undefined : mean(scores),
      accepted: tastes.filter(({ accepts, alarm }) => accepts && alarm === null).length,
      standing: standingOf(bowl, reference),
    }
  })
  const through = [...(reference?.tastes.keys() ?? [])].filter((taster) =>
    bowls.every(({ tastes }) => tastes.has(taster)),
  )
  const [lot] = trial.arms.flatMap((arm) => book.lots.get(arm.lot) ?? [])
  const patch = lot === undefined ? undefined : strandsOf(lot)[0]?.lot.weighedIn?.patch
  const next_min = nextMinutes(arms)
  return { trial, arms, patch, through, next_min, says: outcomeWords({ trial, arms, next_min }, catalogue, patch === undefined ? undefined : book.house.patches[patch]?.name) } // prettier-ignore
}

interface Bowl extends TrialArm {
  readonly did_min: number | undefined
  readonly tastes: ReadonlyMap<EaterId, TasteFact>
}

function standingOf(bowl: Bowl, reference: Bowl | undefined): ArmStanding {
  const off =
    bowl.did_min !== undefined &&
    Math.abs(bowl.did_min - bowl.minutes) > Math.max(AS_SET_min, AS_SET_share * bowl.minutes)
  if (off) return 'not-as-set'
  if (bowl === reference || reference === undefined) return 'reference'
  const pairs = [...bowl.tastes].flatMap(([taster, taste]) => {
    const other = reference.tastes.get(taster)
    return other === undefined ? [] : [{ taste, other, by: harshness(taste) - harshness(other) }]
  })
  if (pairs.length === 0) return 'untasted'
  if (pairs.length < ENOUGH_TASTERS) return 'few'
  const by = mean(pairs.map((pair) => pair.by))
  const squares = pairs.reduce((sum, pair) => sum + (pair.by - by) ** 2, 0)
  const error = Math.sqrt((NOISE ** 2 + squares) / pairs.length / pairs.length)
  const refused = pairs.some(({ taste, other }) => (!taste.accepts && other.accepts) || taste.alarm !== null)
  if (refused || by - error > SURELY_WORSE_BY) return 'worse'
  return by + error <= WORSE_BY ? 'no-worse' : 'unsure'
}

/** The first taste of each taster after the bowl had its step; a crumb that is spat out tells of a leach, not of a bowl. */
function firstTastes(lot: LotState, trial: TrialFact): ReadonlyMap<EaterId, TasteFact> {
  const tastes = new Map<EaterId, TasteFact>()
  for (const taste of lot.tastes.toSorted((a, b) => (a.at < b.at ? -1 : 1)))
    if (taste.at >= trial.at && !taste.crumb && !tastes.has(taste.taster)) tastes.set(taste.taster, taste)
  return tastes
}

/** Minutes that a bowl had of the step; none where a later step was begun without it; undefined as long as it may still come. */
function doneMinutes(lot: LotState, { school, step }: TrialFact, tasted: boolean): number | undefined {
  const runs = lot.runs.filter(({ protocol, done }) => protocol === school && done?.outcome === 'done')
  const own = runs.filter((run) => run.step === step)
  if (own.length > 0) return Math.max(...own.map(({ done }) => done?.minutes ?? 0))
  return runs.some((run) => run.step > step) || tasted ? 0 : undefined
}

function harshness({ bitter, astringent, aftertaste = 0, notes }: TasteFact): number {
  return Math.max(bitter, astringent, aftertaste, notes?.acrid ?? 0)
}

/** Half of the least that was no worse, down to none; the same again where nobody can be sure. */
function nextMinutes(arms: readonly ArmOutcome[]): number | undefined {
  const told = arms.slice(1)
  if (told.length === 0 || told.some(({ standing }) => standing === 'few' || standing === 'untasted')) return undefined
  const unsure = told.find(({ standing }) => standing === 'unsure')
  if (unsure !== undefined) return unsure.minutes
  const good = told.findLast(({ standing }) => standing === 'no-worse')
  const bad = told.find(({ standing, minutes }) => standing === 'worse' && minutes < (good?.minutes ?? Infinity))
  const from = good ?? arms[0]
  if (from === undefined || from.minutes === 0) return undefined
  const between = Math.round((from.minutes + (bad?.minutes ?? 0)) / 2)
  return between < from.minutes && between > (bad?.minutes ?? -1) ? between : undefined
}

const STANDING_SAYS: Readonly<Record<Exclude<ArmStanding, 'reference'>, string>> = {
  'not-as-set': 'was not done as set, and says nothing',
  untasted: 'is not tasted yet',
  few: 'has too few tasters to say',
  'no-worse': 'was no worse',
  unsure: 'may be worse or not',
  worse: 'was worse',
}

function outcomeWords(
  { trial, arms, next_min }: Pick<TrialOutcome, 'trial' | 'arms' | 'next_min'>,
  catalogue: Catalogue,
  place: string | undefined,
): string {
  const taxon = findTaxon(catalogue, trial.taxon)
  const use = taxon && findUse(taxon, trial.part, trial.stage)
  const op = use?.protocols.find(({ name }) => name === trial.school)?.steps[trial.step]?.op ?? 'the step'
  const [reference, ...less] = arms
  if (reference === undefined) return ''
  const amount = (minutes: number) => (minutes === 0 ? `no ${opNoun(op)}` : `${formatSpan(minutes)} of ${opNoun(op)}`)
  const told = less.map(({ minutes, standing, tasters }) =>
    standing === 'reference'
      ? ''
      : `${amount(minutes)} ${STANDING_SAYS[standing]}${tasters > 0 ? ` (${formatCount(tasters, 'taster')})` : ''}`,
  )
  const next = next_min === undefined ? '' : ` Next time, against the best of these: ${amount(next_min)}.`
  return `Against ${amount(reference.minutes)}, ${formatList(told)}.${next} True of what grows ${place === undefined ? 'there' : `at ${place}`}, and of these tongues; it moves no limit.`
}

/** A trial that cannot be set, and which field is wrong; undefined where it can. */
export function trialFault(
  trial: Omit<TrialFact, 'at'>,
  { book, catalogue }: { readonly book: BookState; readonly catalogue: Catalogue },
): { readonly field: string; readonly message: string } | undefined {
  const fault = (field: string, message: string) => ({ field, message })
  if (book.house.trials[trial.id] !== undefined) return fault('trial', 'This trial is set already.')
  const taxon = findTaxon(catalogue, trial.taxon)
  const use = taxon && findUse(taxon, trial.part, trial.stage)
  const protocol = use?.protocols.find(({ name }) => name === trial.school)
  if (use === undefined || protocol === undefined) return fault('school', 'There is no such school of this part.')
  const barred = trialBarred(use, protocol, trial.step)
  if (barred !== undefined) return fault('step', barred)
  const { arms } = trial
  const kept = arms.some(({ minutes }) => minutes === 0) ? notLeftOut(use, protocol, trial.step) : undefined
  if (kept !== undefined) return fault('arms', kept)
  if (arms.length < ARMS.least || arms.length > ARMS.most)
    return fault('arms', `A trial takes ${ARMS.least} to ${ARMS.most} bowls.`)
  if (new Set(arms.map(({ lot }) => lot)).size < arms.length) return fault('arms', 'Each bowl is a lot of its own: split the picking first.') // prettier-ignore
  if (new Set(arms.map(({ minutes }) => minutes)).size < arms.length)
    return fault('arms', 'Two bowls have the same minutes: one thing differs from bowl to bowl, and nothing else.')
  const lots = arms.map(({ lot }) => book.lots.get(lot))
  const families = new Set(arms.map(({ lot }) => book.families.get(lot)?.[0]))
  if (lots.includes(undefined) || families.size > 1 || families.has(undefined))
    return fault(
      'arms',
      'The bowls of a trial are parts of one picking: what grew elsewhere or later is another plant.',
    )
  for (const lot of lots as readonly LotState[]) {
    const strands = strandsOf(lot)
    const [strand] = strands
    const of = strand?.lot.weighedIn
    if (
      strands.length !== 1 ||
      of === null ||
      of === undefined ||
      findTaxon(catalogue, of.taxon) !== taxon ||
      findUse(taxon as NonNullable<typeof taxon>, of.part, of.stage) !== use
    )
      // prettier-ignore
      return fault('arms', `Lot ${lot.code} is not only this part of this plant.`)
    if (lot.mass_g <= 0) return fault('arms', `Nothing is left of lot ${lot.code}.`)
    if (lot.runs.some(({ protocol: name, step }) => name === trial.school && step >= trial.step))
      return fault('arms', `Lot ${lot.code} is past this step already.`)
    const other = Object.values(book.house.trials).find(({ arms: theirs }) => theirs.some((arm) => arm.lot === lot.id))
    if (other !== undefined) return fault('arms', `Lot ${lot.code} is in a trial already: one change at a time.`)
  }
  return undefined
}

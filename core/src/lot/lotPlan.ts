import { findTaxon } from '../flora/catalogue'
import type { Goal, Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import { formatList } from '../quantity/format'
import type { JudgeContext } from '../gates/verdict'
import { efficiencyInWind } from '../heat/wind'
import { kitchenAt, type EaterState, type KitchenFact } from '../log/houseState'
import { plan } from '../treatment/plan'
import type { Plan, PlanInput, PlanKitchen } from '../treatment/planTypes'
import { lotUse } from '../treatment/batchUse'
import { protocolOf } from '../treatment/progress'
import { strandsOf, type LotState } from './lotState'

/** The plan for a lot in this kitchen, by its way and goal or those asked for. Not sorted yet: by the share that is usually kept. */
export function lotPlan(
  lot: LotState,
  context: JudgeContext,
  wanted: { readonly goal?: Goal; readonly school?: string } = {},
): Plan | undefined {
  const input = lotPlanInput(lot, context, wanted)
  const school = wanted.school ?? lot.way?.protocol
  return input && plan({ ...input, ...(school === undefined ? {} : { school }) }, context.catalogue)
}

/** What a lot asks of a plan in this kitchen, whatever its school; undefined where nothing is left of it, or it is a batch. */
export function lotPlanInput(
  lot: LotState,
  context: JudgeContext,
  wanted: { readonly goal?: Goal } = {},
): PlanInput | undefined {
  const { weighedIn } = lot
  const kitchen = kitchenAt(context.book.house, context.now)
  const taxon = weighedIn === null ? undefined : findTaxon(context.catalogue, weighedIn.taxon)
  if (weighedIn === null || taxon === undefined || lot.mass_g <= 0) return undefined
  const use = lotUse(lot, context.catalogue)
  const usual = lot.sorted === null ? (use?.edibleFraction?.usual ?? 1) : 1
  const following = use === undefined ? undefined : protocolOf(lot, use)?.name
  const begun_g = lot.runs.find(({ protocol }) => protocol === following)?.lotMass_g
  return {
    taxon: weighedIn.taxon,
    part: weighedIn.part,
    stage: lot.sorted?.stageSeen ?? weighedIn.stage,
    mass_g: (begun_g ?? lot.mass_g) * usual,
    goal: wanted.goal ?? lot.way?.goal ?? defaultGoal(lot, context),
    ...(kitchen === undefined ? {} : { kitchen: planKitchen(kitchen) }),
  }
}

/** What a plan asks of a kitchen, as the book knows it. */
export function planKitchen({ elevation_m, burner, pots_mL, waterTemp_C, ice_g, kit }: KitchenFact): PlanKitchen {
  const efficiency = efficiencyInWind(burner.efficiency, burner.wind)
  return {
    elevation_m,
    power_W: burner.power_W,
    efficiency,
    pots_mL,
    waterTemp_C,
    ice_g,
    ...(kit === undefined ? {} : { kit }),
  }
}

/** What a lot is for where the cook has not said. */
export function defaultGoal(lot: LotState, { catalogue }: JudgeContext): Goal {
  return goalOf(lotUse(lot, catalogue))
}

/** What a part is for where nobody has said: eating, else the first thing that the record knows to make of it. */
export function goalOf(use: Pick<Use, 'protocols'> | undefined): Goal {
  const goals = use?.protocols.flatMap((way) => (way.storeOnly === true ? [] : way.goals)) ?? []
  return goals.includes('eat') ? 'eat' : (goals[0] ?? 'eat')
}

/** What becomes of the water of a step. */
export interface WaterVerdict {
  readonly keep: boolean
  readonly says: string
}

/** Washing water is never a question. */
const WASHES = ['wash', 'rinse', 'float-off']

/**
 * Whether the water of a step of a way (the lot's where none is named) may be kept: never where the record throws it away, since it holds what it was there to take
 * out; else by the ground it grew on and the people at the table. Of no step in particular: the strictest of those that have a water.
 * Undefined where there is none.
 */
export function waterVerdict(
  lot: LotState,
  context: JudgeContext,
  { protocol, step: at }: { readonly protocol?: string | undefined; readonly step?: number } = {},
): WaterVerdict | undefined {
  const use = lotUse(lot, context.catalogue)
  const way =
    protocol === undefined ? use && protocolOf(lot, use) : use?.protocols.find(({ name }) => name === protocol)
  const steps = way?.steps.filter(
    ({ op, water }, index) => water !== undefined && !WASHES.includes(op) && (at === undefined || index === at),
  )
  const asked = steps?.find(({ water }) => water === 'discard') ?? steps?.[0]
  if (asked === undefined) return undefined
  if (asked.water === 'discard') {
    const out = asked.control.map(plainWords)
    return {
      keep: false,
      says: `Throw away the water, not the food. The water holds ${out.length === 0 ? 'what it took out' : `the ${formatList(out)} that it took out`}. Not for soup, stock or beasts.`,
    }
  }
  return waterByTable(lot, context)
}

function waterByTable(lot: LotState, context: JudgeContext): WaterVerdict {
  const patches = strandsOf(lot).map(({ lot: { weighedIn } }) => context.book.house.patches[weighedIn?.patch ?? ''])
  const [patch] = patches
  const eaters: readonly EaterState[] = Object.values(context.book.house.eaters)
  const fed = patches.some((each) => each?.facts.manured?.value !== 'no')
  const unasked = eaters.filter(({ sensitivities }) => sensitivities === null)
  const barred = eaters.filter(
    ({ kind, sensitivities }) =>
      kind === 'infant' || (sensitivities ?? []).some((each) => each === 'kidney-disease' || each === 'kidney-stone'),
  )
  const reasons = [
    ...(fed ? ['the ground is manured or nobody knows, so the water carries nitrate'] : []),
    ...barred.map(({ name, kind }) => `unsafe for ${name} (${kind === 'infant' ? 'infant' : 'kidneys'})`),
    ...unasked.map(({ name }) => `${name} was not asked about allergies yet`),
  ]
  return reasons.length === 0
    ? {
        keep: true,
        says: `Keep the water for soup, or to cook grain in: ${patch?.name ?? 'the ground'} is not manured, and nobody at the table is an infant or has trouble with the kidneys.`,
      }
    : { keep: false, says: `Throw away the water, not the food: ${reasons.join('; ')}.` }
}

/** How many loads are still to go, at the size planned; one where none is planned. */
export function loadsToGo(left_g: number, load_g: number | undefined): number {
  // A rest that a scale would round away is not a load.
  return load_g === undefined ? 1 : Math.max(1, Math.ceil((left_g - 1) / load_g))
}

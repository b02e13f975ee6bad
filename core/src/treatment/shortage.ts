import { findTaxon, findUse, type Catalogue } from '../flora/catalogue'
import type { Protocol } from '../flora/taxon'
import { formatList, formatMass, formatSpan, formatVolume } from '../quantity/format'
import { plan } from './plan'
import type { Plan, PlanInput, PlanKitchen } from './planTypes'
import { planWork } from './work'

/** What there is for a treatment; what is not told is not short. */
export interface Means {
  readonly water_mL?: number
  readonly fuel_kWh?: number
  readonly time_min?: number
}

/** One accepted way as far as it goes with what there is. */
export interface WayThatFits {
  readonly way: string
  readonly standing: Protocol['standing']
  readonly plan: Plan
  /** Of the lot: all of it, or the most that fits. */
  readonly mass_g: number
  readonly whole: boolean
  readonly drawn: Drawn
}

export interface Drawn {
  readonly water_mL: number
  readonly fuel_kWh: number
  /** One pair of practised hands, one thing after another. */
  readonly time_min: number
}

export interface UnderShortage {
  /** The best first: all of the lot before a part of it, then the more careful school, then the more of it, then the less water. */
  readonly fits: readonly WayThatFits[]
  /** What the lot would need for all of it, of each accepted way, and cannot have here; or why the way is shut whatever there is. */
  readonly missing: readonly { readonly way: string; readonly says: string }[]
}

/** Less than this is not worth a fire. */
const LEAST_g = 50
/** A batch is found to so much. */
const TO_g = 5
/** Batches tried before one is looked for closely. */
const GRID = 20
const CAREFUL: readonly Protocol['standing'][] = ['cautious', 'usual', 'minimal']

/**
 * The best that can be done with too little water, fuel or time (SAF-5): over every accepted school of the part and, within each, over pots,
 * fillings, loads and water ratios (`blanchPlan.ts`) and the size of the batch. A smaller batch before a thinner bath than the record has,
 * and no limit is ever bent: a school whose limit cannot be met is told as missing.
 * @param input the plan asked for; the water and fuel of its kitchen are replaced by the means
 */
export function plansUnderShortage(input: PlanInput, means: Means, catalogue: Catalogue): UnderShortage {
  const schools = schoolsFor(input, catalogue)
  const tried = schools.map((protocol) => ({ protocol, fit: mostThatFits(input, protocol, means, catalogue) }))
  const fits = tried
    .flatMap(({ fit }) => fit ?? [])
    .toSorted(
      (a, b) =>
        Number(b.whole) - Number(a.whole) ||
        CAREFUL.indexOf(a.standing) - CAREFUL.indexOf(b.standing) ||
        b.mass_g - a.mass_g ||
        a.drawn.water_mL - b.drawn.water_mL,
    )
  const missing = tried
    .filter(({ fit }) => fit?.whole !== true)
    .map(({ protocol }) => ({ way: protocol.name, says: whatIsMissing(input, protocol, means, catalogue) }))
  return { fits, missing }
}

function schoolsFor({ taxon, part, stage, goal }: PlanInput, catalogue: Catalogue): readonly Protocol[] {
  const known = findTaxon(catalogue, taxon)
  const use = known && part !== undefined && stage !== undefined ? findUse(known, part, stage) : undefined
  return (use?.protocols ?? []).filter(
    ({ goals, standing, storeOnly }) => goals.includes(goal) && CAREFUL.includes(standing) && storeOnly !== true,
  )
}

/** The largest batch of a school within the means, to a few grams; undefined where not even a small one fits. */
function mostThatFits(
  input: PlanInput,
  protocol: Protocol,
  means: Means,
  catalogue: Catalogue,
): WayThatFits | undefined {
  const fitOf = (mass_g: number): WayThatFits | undefined => {
    const made = planned(input, protocol, mass_g, means, catalogue)
    const drawn = drawnBy(mass_g, made)
    if (made.verdict === 'refuse' || drawn.time_min > (means.time_min ?? Infinity)) return undefined
    const { name: way, standing } = protocol
    return { way, standing, plan: made, mass_g, whole: mass_g === input.mass_g, drawn }
  }
  const whole = fitOf(input.mass_g)
  if (whole !== undefined || input.mass_g <= LEAST_g) return whole
  // Fillings and loads come in whole numbers, so that a larger batch may fit where a smaller one does not: from the top down first.
  const step_g = (input.mass_g - LEAST_g) / GRID
  for (let at = GRID - 1; at >= 0; at -= 1) {
    const best = fitOf(LEAST_g + at * step_g)
    if (best !== undefined) return upward(best, best.mass_g + step_g, fitOf)
  }
  return undefined
}

/** Larger by halves, as long as it fits. */
function upward(fits: WayThatFits, tooMuch_g: number, fitOf: (mass_g: number) => WayThatFits | undefined): WayThatFits {
  let [best, high] = [fits, tooMuch_g]
  while (high - best.mass_g > TO_g) {
    const middle = (best.mass_g + high) / 2
    const fit = fitOf(middle)
    if (fit === undefined) high = middle
    else best = fit
  }
  return best
}

function planned(input: PlanInput, { name }: Protocol, mass_g: number, means: Means, catalogue: Catalogue): Plan {
  const { water_mL, fuel_kWh } = means
  const known = Object.entries(input.kitchen ?? {}).filter(([what]) => what !== 'water_mL' && what !== 'fuel_kWh')
  const short: PlanKitchen = {
    ...Object.fromEntries(known),
    ...(water_mL === undefined ? {} : { water_mL }),
    ...(fuel_kWh === undefined ? {} : { fuel_kWh }),
  }
  return plan({ ...input, mass_g, school: name, kitchen: short }, catalogue)
}

/** What a plan draws on in all. */
export function drawnBy(mass_g: number, { steps }: Plan): Drawn {
  const work = planWork(mass_g, steps)
  return {
    water_mL: steps.reduce((sum, { water_mL = 0, loads }) => sum + water_mL * (loads?.fillings ?? 1), 0),
    fuel_kWh: steps.reduce((sum, { fuel_kWh = 0 }) => sum + fuel_kWh, 0),
    time_min: work.hands_min.usual + work.waiting_min,
  }
}

function whatIsMissing(input: PlanInput, protocol: Protocol, means: Means, catalogue: Catalogue): string {
  const ample = planned(input, protocol, input.mass_g, {}, catalogue)
  if (ample.verdict === 'refuse') return ample.reasons[0]?.text ?? 'It is not allowed here.'
  // What has to be brought is told of the way with the least water; its time is that of the ample one.
  const full = drawnBy(input.mass_g, ample)
  const thrifty = thriftiest(input, protocol, catalogue) ?? full
  const lacks = [
    ...lack('of water', means.water_mL, thrifty.water_mL, formatVolume),
    ...lack('of fuel', means.fuel_kWh, thrifty.fuel_kWh, (each) => `${each.toFixed(2)} kWh`),
    ...lack('', means.time_min, full.time_min, (each) => formatSpan(Math.round(each))),
  ]
  return lacks.length === 0
    ? `All of ${formatMass(input.mass_g)} does not fit water, fuel and time at once.`
    : `For all of ${formatMass(input.mass_g)}: ${formatList(lacks)}.`
}

function lack(what: string, there: number | undefined, needed: number, words: (amount: number) => string): string[] {
  return there === undefined || needed <= there
    ? []
    : [`${words(needed)} ${what}`.trim() + `, and there is ${words(there)}`]
}

/** The least water with which the whole lot still goes through, by halving. */
function thriftiest(input: PlanInput, protocol: Protocol, catalogue: Catalogue): Drawn | undefined {
  const at = (water_mL: number) => planned(input, protocol, input.mass_g, { water_mL }, catalogue)
  const ample = drawnBy(input.mass_g, planned(input, protocol, input.mass_g, {}, catalogue)).water_mL
  let [low, high] = [0, ample]
  for (let step = 0; step < 14; step += 1) {
    const middle = (low + high) / 2
    if (at(middle).verdict === 'refuse') low = middle
    else high = middle
  }
  const made = at(high)
  return made.verdict === 'refuse' ? undefined : drawnBy(input.mass_g, made)
}

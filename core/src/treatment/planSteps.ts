import type { Protocol, Step } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import { chillIce, DEFAULT_WATER_C, simmerFuel } from '../heat/balance'
import { boilingPoint } from '../heat/boil'
import { opNoun } from '../lot/opNoun'
import { formatMass } from '../quantity/format'
import { planBlanch, type BlanchPlan } from './blanchPlan'
import { atATime_g } from './browning'
import { byPiece, cutTo_mm } from './cutTo'
import { doneWith, KIT, wantsWords } from './kit'
import { limitHere } from './limit'
import type { PlanInput, PlanKitchen, PlannedStep, PlanReason } from './planTypes'

type KnownKitchen = Required<Omit<PlanKitchen, 'water_mL' | 'fuel_kWh' | 'ice_g'>> & Pick<PlanKitchen, 'ice_g'>

/** What a kitchen is taken to have where it does not say [planning values]. */
const KITCHEN_DEFAULT: KnownKitchen = {
  elevation_m: 0,
  power_W: 2000,
  efficiency: 0.55,
  pots_mL: [5000],
  washWater: 'safe',
  kit: KIT,
  waterTemp_C: DEFAULT_WATER_C,
}
const FOOD_TEMP_C = 15
/** Cold water around a load while it is chilled, mL a gram, and the temperature wanted. */
const REFRESH_mL_PER_g = 2
const REFRESH_TO_C = 5
/** Litres of bath to a kilogram where the record has no figure. */
const LEAST_RATIO = 5
/** From this ratio of water to food up, a boil is a bath for loads; below it the food boils in its own juice. */
const BATH_RATIO = 2
const BOILED_OPS = ['blanch', 'boil']

/** Why a school cannot be carried out here; `unreachable` where no amount of water or fuel would help. */
type Failure = PlanReason & { readonly unreachable?: boolean; readonly noKit?: boolean }

type FilledWay = { readonly steps: readonly PlannedStep[]; readonly notes: readonly PlanReason[] } | Failure

/**
 * The steps of a school for one kitchen, each with its water, minutes, loads, fuel and ice, drawing on what is left one after
 * another; or why this kitchen cannot carry it out. Where water or fuel would run out, each step has the least water on record, so that
 * the first does not drink what the last needs. Limits are looked up for the elevation, never rescaled.
 */
export function fillSteps(protocol: Protocol, input: PlanInput, part: Part): FilledWay {
  const ample = fill(protocol, input, part, 'usual')
  const short = input.kitchen?.water_mL !== undefined || input.kitchen?.fuel_kWh !== undefined
  if ('steps' in ample || !short) return ample
  return fill(protocol, input, part, 'least')
}

function fill(protocol: Protocol, input: PlanInput, part: Part, ratio: Filling['ratio']): FilledWay {
  const filling: Filling = {
    ratio,
    input,
    part,
    kitchen: { ...KITCHEN_DEFAULT, ...input.kitchen },
    notes: [],
    left: { water_mL: input.kitchen?.water_mL ?? Infinity, fuel_kWh: input.kitchen?.fuel_kWh ?? Infinity },
    boil: undefined,
    before: [],
  }
  const steps: PlannedStep[] = []
  for (const step of protocol.steps.filter(({ onlyFor }) => onlyFor?.includes(input.goal) ?? true)) {
    const limit = step.limit === undefined ? undefined : limitHere(step.limit, filling.kitchen.elevation_m)
    if (limit !== undefined && !limit.reachable)
      return { about: 'kitchen', rank: 'must', text: limit.says, unreachable: true }
    const tool = doneWith(step.op, filling.kitchen.kit)
    if (tool === 'missing')
      return {
        about: 'kitchen',
        rank: 'must',
        text: `${opNoun(step.op)} takes ${wantsWords(step.op)}, and there is none here.`,
        noKit: true,
      }
    const unfit = WASHING_OPS.includes(step.op) ? unfitWater(protocol, filling) : undefined
    if (unfit !== undefined) return unfit
    const made = isBathForLoads(step)
      ? boiledStep(step, limit, filling)
      : step.limit?.measure === 'baths'
        ? bathsStep(step, step.limit.least, limit, filling)
        : plainStep(step, limit, filling)
    if ('about' in made) return made
    filling.left.water_mL -= made.uses.water_mL
    filling.left.fuel_kWh -= made.uses.fuel_kWh
    const told = input.kitchen?.kit === undefined || tool === 'none' ? {} : { on: tool }
    steps.push({ ...made.step, ...told })
    filling.before.push(step.op)
  }
  return { steps, notes: filling.notes }
}

/** What the steps of a way draw on as they are filled in, one after another. */
interface Filling {
  /** Which water of the record the steps are given. */
  readonly ratio: 'usual' | 'least'
  readonly input: PlanInput
  readonly part: Part
  readonly kitchen: KnownKitchen
  readonly notes: PlanReason[]
  readonly left: { water_mL: number; fuel_kWh: number }
  /** The last boil, which tells how hot what comes out of it is. */
  boil: BlanchPlan | undefined
  /** What was done before. */
  readonly before: string[]
}

type Filled =
  { readonly step: PlannedStep; readonly uses: { readonly water_mL: number; readonly fuel_kWh: number } } | Failure

const WASHING_OPS = ['wash', 'rinse']
/** Dry salt of the mass that goes in: between the 2 and 2.5 % of practice (Pederson & Albury 1969, The Sauerkraut Fermentation). */
const FERMENT_SALT = 0.022
/** Citric acid in the bowl that keeps cut pieces pale, 0.5 %; or as much vinegar as makes it taste sour [planning values]. */
const SOUR_g_per_mL = 0.005
const COVER_RATIO = 3
const COOKING_OPS = ['blanch', 'boil', 'simmer', 'steam', 'infuse-water']
const GRINDING_OPS = ['grind', 'mill']
/** Steps that need a flame under a pot for all of their minutes. */
const SIMMERED_OPS = [...COOKING_OPS, 'cook-jam', 'leach-hot']

/** Why the washing water will not do; germs do where a boil comes after. */
function unfitWater(protocol: Protocol, { kitchen, notes }: Filling): Failure | undefined {
  if (kitchen.washWater === 'chemicals')
    return {
      about: 'water',
      rank: 'must',
      text: 'this water carries chemicals; no washing or cooking takes those out. Use other water.',
    }
  if (kitchen.washWater !== 'germs') return undefined
  if (!protocol.steps.some(({ op, critical }) => critical && COOKING_OPS.includes(op)))
    return { about: 'water', rank: 'must', text: 'this water carries germs and nothing here is cooked afterwards.' }
  notes.push({
    about: 'water',
    rank: 'must',
    text: 'The washing water carries germs: the boil afterwards is what answers them.',
  })
  return undefined
}

/** A boil in so much water that loads go through it; below that the food boils in its own juice. */
function isBathForLoads({ op, waterRatio }: Step): boolean {
  return BOILED_OPS.includes(op) && (waterRatio?.least ?? LEAST_RATIO) >= BATH_RATIO
}

type LimitMet = ReturnType<typeof limitHere> | undefined

function boiledStep(step: Step, limit: LimitMet, filling: Filling): Filled {
  const { input, kitchen, left } = filling
  const bath = {
    mass_g: input.mass_g,
    minutes: (limit?.reachable ? limit.minutes : undefined) ?? step.minutes?.high ?? 0,
    foodTemp_C: FOOD_TEMP_C,
    kitchen: { ...kitchen, ...left },
  }
  const ample = planBlanch({ ...bath, leastRatio: step.waterRatio?.[filling.ratio] ?? LEAST_RATIO })
  const planned = ample.fits ? ample : planBlanch({ ...bath, leastRatio: step.waterRatio?.least ?? LEAST_RATIO })
  if (!planned.fits) return { about: 'kitchen', rank: 'must', text: planned.shortage.says }
  filling.boil = planned.plan
  const { water_mL, fuel_kWh } = planned.plan
  return {
    step: { ...loadsOf(step, planned.plan, limit), ...cutOf(step, bath.minutes, filling) },
    uses: { water_mL, fuel_kWh },
  }
}

/** A taste-ended leach: its least number of baths, each with its water and, where it is hot, its fuel. */
function bathsStep(step: Step, least: number, limit: LimitMet, filling: Filling): Filled {
  const { input, kitchen, left } = filling
  const running = step.op === 'leach-running'
  const least_mL = input.mass_g * (step.waterRatio?.least ?? LEAST_RATIO) * least
  if (!running && least_mL > left.water_mL)
    return {
      about: 'kitchen',
      rank: 'must',
      text: `${least} baths take at least ${litres(least_mL)} of water and ${litres(left.water_mL)} are left.`,
    }
  const water_mL = running
    ? 0
    : Math.min(input.mass_g * (step.waterRatio?.[filling.ratio] ?? LEAST_RATIO) * least, left.water_mL)
  const boil_C = roundTo(boilingPoint({ elevation_m: kitchen.elevation_m }).temp_C, 1)
  const hot = step.op === 'leach-hot'
  const minutes = (limit?.reachable ? limit.minutes : 0) * least
  const fuel_kWh = hot ? flame(step, water_mL, minutes, filling) : 0
  if (fuel_kWh > left.fuel_kWh) return tooLittleFuel(step, fuel_kWh, left.fuel_kWh)
  return {
    step: {
      ...written(step, limit, filling),
      ...(running ? {} : { water_mL: Math.round(water_mL) }),
      ...(step.temp_C === undefined ? {} : { temp_C: hot ? boil_C : step.temp_C }),
      ...(hot ? { fuel_kWh: roundTo(fuel_kWh, 2) } : {}),
      baths: { least, ...(running ? {} : { each_mL: Math.round(water_mL / least) }) },
    },
    uses: { water_mL, fuel_kWh },
  }
}

function plainStep(step: Step, limit: LimitMet, filling: Filling): Filled {
  const { input, left } = filling
  const least_mL = input.mass_g * (step.waterRatio?.least ?? 0)
  if (least_mL > left.water_mL)
    return {
      about: 'kitchen',
      rank: 'must',
      text: `${opNoun(step.op)} takes at least ${litres(least_mL)} of water and ${litres(left.water_mL)} are left.`,
    }
  const water_mL = Math.min(input.mass_g * (step.waterRatio?.[filling.ratio] ?? 0), left.water_mL)
  const made = written(step, limit, filling)
  const heated = SIMMERED_OPS.includes(step.op)
  const fuel_kWh = heated ? flame(step, water_mL, made.minutes ?? 0, filling) : 0
  if (fuel_kWh > left.fuel_kWh) return tooLittleFuel(step, fuel_kWh, left.fuel_kWh)
  return {
    step: {
      ...made,
      ...cutOf(step, made.minutes ?? 0, filling),
      ...(step.waterRatio === undefined ? {} : { water_mL: Math.round(water_mL) }),
      ...(heated ? { fuel_kWh: roundTo(fuel_kWh, 2) } : {}),
    },
    uses: { water_mL, fuel_kWh },
  }
}

/** How thick the pieces may be; a blanch begins with raw food, and so is any boil taken to. */
function cutOf(
  step: Step,
  minutes: number,
  { part, kitchen, before }: Filling,
): Pick<PlannedStep, 'cutTo_mm' | 'byPiece'> {
  const boil_C = boilingPoint({ elevation_m: kitchen.elevation_m }).temp_C
  const times = before.some((op) => GRINDING_OPS.includes(op))
    ? undefined
    : byPiece(part, step, { start_C: FOOD_TEMP_C, boil_C })
  if (times !== undefined) return { byPiece: times }
  // Where the food itself is measured, the probe says when its middle is there.
  if (step.limit?.measure === 'food-temperature') return {}
  const water_C = Math.min(boil_C, step.temp_C ?? Infinity)
  const thickest_mm = cutTo_mm(part, step, { minutes, start_C: FOOD_TEMP_C, water_C })
  return thickest_mm === undefined ? {} : { cutTo_mm: thickest_mm }
}

/** Fuel for a pot kept hot on a small flame, kWh; what comes out of a boil goes on hot only where the record says so, so it is taken as cool. */
function flame({ op }: Step, water_mL: number, minutes: number, { input, kitchen }: Filling): number {
  const boil_C = boilingPoint({ elevation_m: kitchen.elevation_m }).temp_C
  // Water that is only poured over is brought to the boil and left.
  const kept_min = op === 'infuse-water' ? 0 : minutes
  return simmerFuel({
    water_mL,
    waterTemp_C: kitchen.waterTemp_C,
    food_g: op === 'infuse-water' ? 0 : input.mass_g,
    foodTemp_C: FOOD_TEMP_C,
    temp_C: boil_C,
    efficiency: kitchen.efficiency,
    minutes: kept_min,
  }).fuel_kWh
}

function tooLittleFuel({ op }: Step, needed_kWh: number, left_kWh: number): Failure {
  return {
    about: 'kitchen',
    rank: 'must',
    text: `${opNoun(op)} takes about ${needed_kWh.toFixed(2)} kWh of fuel and ${Math.max(0, left_kWh).toFixed(2)} kWh are left.`,
  }
}

function litres(volume_mL: number): string {
  return `${(volume_mL / 1000).toFixed(1)} L`
}

function loadsOf(step: Step, blanch: BlanchPlan, limit: LimitMet): PlannedStep {
  const { loads, load_g, recovery_s, toBoil_min, fillings } = blanch
  return {
    op: step.op,
    ...(limit?.reachable ? { minutes: limit.minutes, limit: limit.says } : {}),
    temp_C: roundTo(blanch.boil_C, 1),
    water_mL: Math.round(blanch.bath_mL),
    critical: step.critical,
    control: step.control,
    ...(step.water === undefined ? {} : { water: step.water }),
    ...(step.check === undefined ? {} : { check: step.check }),
    loads: {
      count: loads,
      load_g: roundTo(load_g, 1),
      recovery_s: Math.round(recovery_s),
      toBoil_min: roundTo(toBoil_min, 1),
      fillings,
    },
    fuel_kWh: roundTo(blanch.fuel_kWh, 2),
  }
}

/** A step as it is written down, but for its water and fuel. */
function written(step: Step, limit: LimitMet, { input, kitchen, notes, boil, before }: Filling): PlannedStep {
  const minutes = limit?.reachable && limit.minutes > 0 ? limit.minutes : step.minutes?.high
  const temp_C = (limit?.reachable ? limit.temp_C : null) ?? step.temp_C
  const ice =
    step.op === 'refresh' && boil !== undefined ? refreshIce(input.mass_g, boil, kitchen.waterTemp_C) : undefined
  if (ice !== undefined && kitchen.ice_g !== undefined && kitchen.ice_g < ice)
    notes.push({
      about: 'kitchen',
      rank: 'mind',
      text: `${formatMass(ice)} of ice would be wanted and there are ${formatMass(kitchen.ice_g)}: use cold water, changed as soon as it feels warm, until the food is cold right through.`,
    })
  return {
    op: step.op,
    ...(minutes === undefined ? {} : { minutes }),
    ...(temp_C === undefined ? {} : { temp_C }),
    critical: step.critical,
    control: step.control,
    ...(limit?.reachable && step.limit?.measure !== 'seen' ? { limit: limit.says } : {}),
    ...(step.check === undefined ? {} : { check: step.check }),
    ...(step.water === undefined ? {} : { water: step.water }),
    ...(ice === undefined ? {} : { ice_g: Math.round(ice) }),
    ...(step.op === 'soak-acidulated' ? sourBowl(step, input, before) : {}),
    ...(isLactic(step) ? { salt_g: roundTo(FERMENT_SALT * input.mass_g, 1) } : {}),
  }
}

/** The bowl that cut pieces lie in so that they do not brown: the record's water, else what covers them. */
function soakWater_mL({ waterRatio }: Step, { mass_g }: PlanInput): number {
  return mass_g * (waterRatio?.usual ?? COVER_RATIO)
}

function sourBowl(step: Step, input: PlanInput, before: readonly string[]): Pick<PlannedStep, 'acid_g' | 'atATime_g'> {
  const open_g = atATime_g(before)
  return {
    acid_g: roundTo(SOUR_g_per_mL * soakWater_mL(step, input), 0),
    ...(open_g === undefined ? {} : { atATime_g: open_g }),
  }
}

/** A ferment that a measured sourness ends; a leaf that is left to brown for tea has no salt in it. */
function isLactic({ op, limit }: Step): boolean {
  return op === 'ferment' && limit?.measure === 'ph'
}

/** Ice for all loads together, each chilled in fresh water. */
function refreshIce(mass_g: number, { boil_C }: BlanchPlan, waterTemp_C: number): number {
  return chillIce({
    food_g: mass_g,
    foodTemp_C: boil_C,
    water_mL: mass_g * REFRESH_mL_PER_g,
    waterTemp_C,
    target_C: REFRESH_TO_C,
  }).ice_g
}

function roundTo(value: number, digits: number): number {
  return Math.round(value * 10 ** digits) / 10 ** digits
}

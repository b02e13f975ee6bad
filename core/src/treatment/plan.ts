import { commonName, findTaxon, usesOf, type Catalogue } from '../flora/catalogue'
import type { Caution, Goal, Protocol, Step, Store, StoreRule, Taxon, Use } from '../flora/taxon'
import { plainWords, type Part, type Sensitivity, type Stage } from '../flora/vocabulary'
import { chillIce, DEFAULT_WATER_C, simmerFuel } from '../heat/balance'
import { boilingPoint } from '../heat/boil'
import { formatList, formatMass } from '../quantity/format'
import { multiplyRanges, scaleRange, type Range } from '../quantity/range'
import { planBlanch, type BlanchPlan } from './blanchPlan'
import { limitHere } from './limit'

export interface PlanInput {
  readonly taxon: string
  readonly part?: Part
  readonly stage?: Stage
  /** Trimmed, as it goes into the treatment. */
  readonly mass_g: number
  readonly goal: Goal
  readonly storage?: 'none' | 'room' | 'chilled' | 'frozen'
  readonly perDay_g?: number
  readonly eaters?: readonly PlanEater[]
  readonly kitchen?: PlanKitchen
  readonly school?: string
}

export interface PlanEater {
  readonly kind: 'adult' | 'child' | 'infant'
  readonly sensitivities?: readonly Sensitivity[]
}

export interface PlanKitchen {
  readonly elevation_m?: number
  readonly power_W?: number
  readonly efficiency?: number
  readonly pots_mL?: readonly number[]
  readonly water_mL?: number
  readonly waterTemp_C?: number
  readonly fuel_kWh?: number
  readonly ice_g?: number
  readonly washWater?: 'safe' | 'germs' | 'chemicals'
}

export interface PlanReason {
  readonly about: string
  readonly text: string
}

export interface PlannedStep {
  readonly op: string
  readonly minutes?: number
  readonly temp_C?: number
  readonly water_mL?: number
  readonly critical: boolean
  readonly control: readonly string[]
  readonly limit?: string
  readonly check?: string
  readonly ice_g?: number
  /** Discard, or may be kept by ground and eater. */
  readonly water?: 'discard' | 'may-keep'
  readonly loads?: {
    readonly count: number
    readonly load_g: number
    readonly recovery_s: number
    readonly toBoil_min: number
    readonly fillings: number
  }
  readonly fuel_kWh?: number
  /** For a taste-ended leach: the least number of baths, and the water of each. */
  readonly baths?: { readonly least: number; readonly each_mL?: number }
}

export interface Plan {
  readonly verdict: 'allow' | 'conditional' | 'refuse'
  readonly reasons: readonly PlanReason[]
  readonly steps: readonly PlannedStep[]
  readonly yield_g?: Range
  readonly instead?: string
  readonly way?: string
  readonly otherWays?: readonly { readonly name: string; readonly standing: string; readonly why: string }[]
}

type KnownKitchen = Required<Omit<PlanKitchen, 'water_mL' | 'fuel_kWh' | 'ice_g'>> & Pick<PlanKitchen, 'ice_g'>

/** What a kitchen is taken to have where it does not say [planning values]. */
const KITCHEN_DEFAULT: KnownKitchen = {
  elevation_m: 0,
  power_W: 2000,
  efficiency: 0.55,
  pots_mL: [5000],
  washWater: 'safe',
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
const DRY_GOALS: readonly Goal[] = ['dry', 'tea', 'flavouring', 'flour']

/**
 * What it takes to make a picking safe and good in this kitchen for these eaters, or why it is refused.
 *
 * A verdict, one reason for each hazard, eater, store and look-alike, and the steps of one accepted school with every
 * number filled in. The school is the named one, else the cautious, else the usual, else the minimal one that this kitchen
 * can carry out; a critical limit that cannot be reached here is never rescaled. Contested schools only when named.
 * Identity is taken as certain. Masses are of trimmed food as it goes in; yields are drained.
 */
export function plan(input: PlanInput, catalogue: Catalogue): Plan {
  const taxon = findTaxon(catalogue, input.taxon)
  if (taxon === undefined)
    return refuse(
      [{ about: 'identity', text: `${input.taxon} is not in the catalogue, so nothing about it can be said.` }],
      'a plant that is in the catalogue',
    )
  const uses = usesOf(taxon, input.part, input.stage)
  if (uses.length === 0)
    return refuse(
      [{ about: 'identity', text: taxon.neverFood ?? nothingOnRecord(taxon, input) }, ...doubles(taxon)],
      otherFood(taxon),
    )
  const food = uses.filter(({ verdict }) => verdict !== 'never')
  const [first] = food
  if (first === undefined)
    return refuse(
      [...neverReasons(uses), ...doubles(taxon)],
      uses.find(({ instead }) => instead)?.instead ?? otherFood(taxon),
    )
  const settled = input.part !== undefined && input.stage !== undefined && input.stage !== 'any'
  // A refused use of the same part and stage outranks an allowed one.
  if (settled && food.length < uses.length) return refuse([...neverReasons(uses), ...doubles(taxon)], otherFood(taxon))
  const planned = food.map((use) => planUse(taxon, use, input))
  const best = planned.find(({ verdict }) => verdict !== 'refuse') ?? planned[0]
  if (best === undefined) throw new RangeError('plan: expected at least one use')
  if (settled || uses.length === 1 || best.verdict === 'refuse') return best
  return { ...best, verdict: 'conditional', reasons: [...whichAreFood(uses), ...best.reasons] }
}

function planUse(taxon: Taxon, use: Use, input: PlanInput): Plan {
  const eaters = input.eaters ?? [{ kind: 'adult' as const }]
  const barred = cautions(use, eaters, 'avoid', input.goal)
  if (barred.length > 0) return refuse([...barred, ...doubles(taxon)], 'something else for these eaters')
  const store = storeReasons(taxon, use, input)
  const chosen = chooseWay(use, input)
  // A store that can kill is told before anything else.
  if (store.refused !== undefined && (AIRLESS.includes(input.goal) || !('refused' in chosen)))
    return refuse([store.refused, ...doubles(taxon)], store.instead)
  if ('refused' in chosen) return refuse([...chosen.refused, ...doubles(taxon)], chosen.instead)
  const { protocol, steps, notes } = chosen
  const tooMuch = overCap(use, eaters, input.perDay_g, protocol.name)
  if (tooMuch !== undefined) return refuse([tooMuch.reason, ...doubles(taxon)], tooMuch.instead)
  const reasons = [
    ...hazardReasons(use, protocol, input.goal),
    ...notes,
    ...(protocol.storeOnly === true
      ? [{ about: 'store', text: `NOT YET FOOD: “${protocol.name}” only keeps it. ${protocol.why}` }]
      : []),
    ...cautions(use, eaters, 'limit', input.goal),
    ...amountReasons(use, eaters, protocol.name),
    ...store.reasons,
    ...doubles(taxon),
  ]
  const essential = steps.some(({ critical }) => critical) || reasons.some(({ about }) => about === 'eater')
  const cooked = use.cookedYield !== undefined && !DRY_GOALS.includes(input.goal) && input.goal !== 'eat-raw'
  return {
    verdict: essential ? 'conditional' : 'allow',
    reasons,
    steps,
    yield_g: scaleRange(cooked && use.cookedYield ? use.cookedYield : driedYield(use, input.goal), input.mass_g),
    way: protocol.name,
    otherWays: use.protocols
      .filter((each) => each !== protocol)
      .map(({ name, standing, why }) => ({ name, standing, why })),
  }
}

/** What is kept of the mass by drying, from the moisture on record to a tenth of water; all of it where nothing is dried. */
function driedYield(use: Use, goal: Goal): Range {
  if (!DRY_GOALS.includes(goal) || use.moisture === undefined) return { low: 1, usual: 1, high: 1 }
  const { low, usual, high } = use.moisture
  return multiplyRanges({ low: 1 - high, usual: 1 - usual, high: 1 - low }, { low: 1, usual: 1 / 0.9, high: 1 / 0.9 })
}

type Way = {
  readonly protocol: Protocol
  readonly steps: readonly PlannedStep[]
  readonly notes: readonly PlanReason[]
}
type NoWay = { readonly refused: readonly PlanReason[]; readonly instead: string }

function chooseWay(use: Use, input: PlanInput): Way | NoWay {
  const goal = input.goal
  const fitting = use.protocols.filter(({ goals }) => goals.includes(goal))
  const named = use.protocols.find(({ name }) => name === input.school)
  if (input.school !== undefined && named === undefined)
    return {
      refused: [
        {
          about: 'school',
          text: `No school called “${input.school}” is on record; there are ${formatList(use.protocols.map(({ name }) => name))}.`,
        },
      ],
      instead: 'one of those schools',
    }
  const accepted = ['cautious', 'usual', 'minimal']
    .flatMap((standing) => fitting.filter((each) => each.standing === standing))
    // A way that only keeps it comes after every way that makes it food.
    .sort((a, b) => Number(a.storeOnly ?? false) - Number(b.storeOnly ?? false))
  const tried = named === undefined ? accepted : fitting.filter((each) => each === named)
  if (tried.length === 0) return { refused: [noWayReason(use, goal, named)], instead: waysOnRecord(use) }
  const failures: PlanReason[] = []
  let unreachable = false
  for (const protocol of tried) {
    const made = fillSteps(protocol, input)
    if ('steps' in made) return { protocol, steps: made.steps, notes: [...failures, ...made.notes] }
    unreachable ||= made.unreachable === true
    failures.push({ about: made.about, text: `${protocol.name}: ${made.text}` })
  }
  return {
    refused: failures,
    instead:
      unreachable && use.ifUnreachable !== undefined
        ? use.ifUnreachable
        : failures.some(({ about }) => about === 'kitchen')
          ? 'a smaller amount, or a kitchen with more water, fuel or a lower place'
          : waysOnRecord(use),
  }
}

/** Why a school cannot be carried out here; `unreachable` where no amount of water or fuel would help. */
type Failure = PlanReason & { readonly unreachable?: boolean }

function fillSteps(
  protocol: Protocol,
  input: PlanInput,
): { steps: readonly PlannedStep[]; notes: readonly PlanReason[] } | Failure {
  const filling: Filling = {
    input,
    kitchen: { ...KITCHEN_DEFAULT, ...input.kitchen },
    notes: [],
    left: { water_mL: input.kitchen?.water_mL ?? Infinity, fuel_kWh: input.kitchen?.fuel_kWh ?? Infinity },
    boil: undefined,
  }
  const steps: PlannedStep[] = []
  for (const step of protocol.steps.filter(({ onlyFor }) => onlyFor?.includes(input.goal) ?? true)) {
    const limit = step.limit === undefined ? undefined : limitHere(step.limit, filling.kitchen.elevation_m)
    if (limit !== undefined && !limit.reachable) return { about: 'kitchen', text: limit.says, unreachable: true }
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
    steps.push(made.step)
  }
  return { steps, notes: filling.notes }
}

/** What the steps of a way draw on as they are filled in, one after another. */
interface Filling {
  readonly input: PlanInput
  readonly kitchen: KnownKitchen
  readonly notes: PlanReason[]
  readonly left: { water_mL: number; fuel_kWh: number }
  /** The last boil, which tells how hot what comes out of it is. */
  boil: BlanchPlan | undefined
}

type Filled =
  { readonly step: PlannedStep; readonly uses: { readonly water_mL: number; readonly fuel_kWh: number } } | Failure

const WASHING_OPS = ['wash', 'rinse']
const COOKING_OPS = ['blanch', 'boil', 'simmer', 'steam', 'infuse-water']
/** Steps that need a flame under a pot for all of their minutes. */
const SIMMERED_OPS = [...COOKING_OPS, 'cook-jam', 'leach-hot']

/** Why the washing water will not do; germs do where a boil comes after. */
function unfitWater(protocol: Protocol, { kitchen, notes }: Filling): Failure | undefined {
  if (kitchen.washWater === 'chemicals')
    return {
      about: 'water',
      text: 'this water carries chemicals; no washing or cooking takes those out. Use other water.',
    }
  if (kitchen.washWater !== 'germs') return undefined
  if (!protocol.steps.some(({ op, critical }) => critical && COOKING_OPS.includes(op)))
    return { about: 'water', text: 'this water carries germs and nothing here is cooked afterwards.' }
  notes.push({ about: 'water', text: 'The washing water carries germs: the boil afterwards is what answers them.' })
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
  const ample = planBlanch({ ...bath, leastRatio: step.waterRatio?.usual ?? LEAST_RATIO })
  const planned = ample.fits ? ample : planBlanch({ ...bath, leastRatio: step.waterRatio?.least ?? LEAST_RATIO })
  if (!planned.fits) return { about: 'kitchen', text: planned.shortage.says }
  filling.boil = planned.plan
  const { water_mL, fuel_kWh } = planned.plan
  return { step: loadsOf(step, planned.plan, limit), uses: { water_mL, fuel_kWh } }
}

/** A taste-ended leach: its least number of baths, each with its water and, where it is hot, its fuel. */
function bathsStep(step: Step, least: number, limit: LimitMet, filling: Filling): Filled {
  const { input, kitchen, left } = filling
  const running = step.op === 'leach-running'
  const least_mL = input.mass_g * (step.waterRatio?.least ?? LEAST_RATIO) * least
  if (!running && least_mL > left.water_mL)
    return {
      about: 'kitchen',
      text: `${least} baths take at least ${litres(least_mL)} of water and ${litres(left.water_mL)} are left.`,
    }
  const water_mL = running ? 0 : Math.min(input.mass_g * (step.waterRatio?.usual ?? LEAST_RATIO) * least, left.water_mL)
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
      text: `the ${step.op} takes at least ${litres(least_mL)} of water and ${litres(left.water_mL)} are left.`,
    }
  const water_mL = Math.min(input.mass_g * (step.waterRatio?.usual ?? 0), left.water_mL)
  const made = written(step, limit, filling)
  const heated = SIMMERED_OPS.includes(step.op)
  const fuel_kWh = heated ? flame(step, water_mL, made.minutes ?? 0, filling) : 0
  if (fuel_kWh > left.fuel_kWh) return tooLittleFuel(step, fuel_kWh, left.fuel_kWh)
  return {
    step: {
      ...made,
      ...(step.waterRatio === undefined ? {} : { water_mL: Math.round(water_mL) }),
      ...(heated ? { fuel_kWh: roundTo(fuel_kWh, 2) } : {}),
    },
    uses: { water_mL, fuel_kWh },
  }
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
    text: `the ${op} takes about ${needed_kWh.toFixed(2)} kWh of fuel and ${Math.max(0, left_kWh).toFixed(2)} kWh are left.`,
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
function written(step: Step, limit: LimitMet, { input, kitchen, notes, boil }: Filling): PlannedStep {
  const minutes = limit?.reachable && limit.minutes > 0 ? limit.minutes : step.minutes?.high
  const temp_C = (limit?.reachable ? limit.temp_C : null) ?? step.temp_C
  const ice =
    step.op === 'refresh' && boil !== undefined ? refreshIce(input.mass_g, boil, kitchen.waterTemp_C) : undefined
  if (ice !== undefined && kitchen.ice_g !== undefined && kitchen.ice_g < ice)
    notes.push({
      about: 'kitchen',
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
  }
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

/** Stores that shut out air round moist, low-acid food. */
const AIRLESS: readonly Goal[] = ['infused-oil', 'can']
/** The store that a goal means, where one is asked for. */
const GOAL_STORES: Readonly<Partial<Record<Goal, Store>>> = {
  'infused-oil': 'oiled',
  ferment: 'soured',
  pickle: 'soured',
  syrup: 'sugared',
  jam: 'sugared',
}
/** Where a goal ordinarily ends up. */
const ORDINARY_STORAGE: Readonly<Partial<Record<Goal, NonNullable<PlanInput['storage']>>>> = {
  freeze: 'frozen',
  dry: 'room',
  flour: 'room',
  'infused-oil': 'room',
  can: 'room',
  syrup: 'chilled',
  jam: 'chilled',
  ferment: 'chilled',
  pickle: 'chilled',
}

function storeReasons(
  taxon: Taxon,
  use: Use,
  { goal, storage = ORDINARY_STORAGE[goal] ?? 'none' }: PlanInput,
): { refused?: PlanReason; instead: string; reasons: readonly PlanReason[] } {
  const instead = waysOnRecord(use)
  const refused = (text: string, better = instead) => ({
    refused: { about: 'store', text },
    instead: better,
    reasons: [],
  })
  if (goal === 'can')
    return refused(
      `${commonName(taxon)} is moist and low in acid: shut off from air in a jar outside a tested recipe it can grow botulism, which nobody sees or smells.`,
    )
  if (goal === 'infused-oil' && (storage === 'room' || storageRule(use, goal, storage) === undefined))
    return refused(
      `${commonName(taxon)} is moist and low in acid: under oil it can grow botulism, which nobody sees or smells.`,
      storageRule(use, goal, 'chilled') === undefined
        ? instead
        : 'made fresh, kept at 4 °C or colder and eaten within 4 days; or frozen; or dried first, then put in oil',
    )
  if (storage === 'none') return { instead, reasons: [] }
  const rule = storageRule(use, goal, storage)
  if (rule !== undefined) return { instead, reasons: [{ about: 'store', text: rule.says }] }
  if (storage !== 'room') return refused(`Keeping it ${storage} is not on record for this part.`)
  const cold = storageRule(use, goal, 'chilled')
  return refused(
    cold !== undefined && GOAL_STORES[goal] !== undefined
      ? `At room warmth it is not on record. ${cold.says}`
      : 'Kept moist at room warmth it spoils, and low-acid food shut off from air can grow botulism. It keeps at room warmth only thoroughly dried.',
  )
}

/** The record's rule for a goal's product in a kind of storage. */
function storageRule(use: Use, goal: Goal, storage: 'room' | 'chilled' | 'frozen' | 'none'): StoreRule | undefined {
  const made = GOAL_STORES[goal]
  const raw = goal === 'eat-raw' || goal === 'infused-oil' || goal === 'flavouring'
  const as = DRY_GOALS.includes(goal) && goal !== 'flavouring' ? 'dried' : raw ? 'raw' : 'treated'
  if (storage === 'room')
    return use.stores.find(
      ({ store, atRoom }) =>
        (store === 'dried' && DRY_GOALS.includes(goal)) || (atRoom === true && made !== undefined && store === made),
    )
  if (storage === 'chilled' && made !== undefined) return use.stores.find(({ store }) => store === made)
  if (storage === 'none') return undefined
  const kept = use.stores.filter(({ store }) => store === storage)
  return kept.find(({ after }) => after === as) ?? (goal === 'freeze' ? kept[0] : undefined)
}

function hazardReasons(use: Use, protocol: Protocol, goal: Goal): readonly PlanReason[] {
  const controlled = new Set(
    protocol.steps.filter(({ onlyFor }) => onlyFor?.includes(goal) ?? true).flatMap(({ control }) => control),
  )
  return use.hazards
    .filter(({ level, onlyFor }) => level !== 'trace' && (onlyFor?.includes(goal) ?? true))
    .map((hazard) => {
      const answers = hazard.answers.filter(
        (each) =>
          (each.kind !== 'control' || controlled.has(hazard.id)) &&
          (each.kind !== 'amount' || (each.schools?.includes(protocol.name) ?? true)),
      )
      const name = plainWords(hazard.id)
      const said = answers.map(({ says }) => says).join(' ') || 'still to be answered before it is food.'
      return { about: hazard.id, text: `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${said}` }
    })
}

function cautions(use: Use, eaters: readonly PlanEater[], what: Caution['what'], goal: Goal): readonly PlanReason[] {
  const named: readonly string[] = eaters.flatMap(({ kind, sensitivities = [] }) => [
    ...sensitivities,
    ...(kind === 'adult' ? [] : [kind]),
  ])
  return use.cautionFor
    .filter(
      (caution) => caution.what === what && named.includes(caution.who) && (caution.onlyFor?.includes(goal) ?? true),
    )
    .map(({ who, why, perDay_g }) => ({
      about: 'eater',
      text: `${what === 'avoid' ? 'Not for' : 'With'} ${plainWords(who)}: ${why}${perDay_g === undefined ? '' : ` At most ${formatMass(perDay_g)} of raw, trimmed food a day.`}`,
    }))
}

function amountReasons(use: Use, eaters: readonly PlanEater[], school: string): readonly PlanReason[] {
  return amountsUnder(use, school)
    .filter(({ who }) => eaters.some(({ kind }) => kind === who))
    .map(({ perDay_g, who, why }) => ({
      about: 'amount',
      text: `At most ${formatMass(perDay_g)} a day for an ${who === 'adult' ? 'adult' : who}. ${why}`.replace(
        'an child',
        'a child',
      ),
    }))
}

function amountsUnder(use: Use, school: string): Use['amounts'] {
  return use.amounts.filter((each) => each.school === undefined || each.school === school)
}

function overCap(
  use: Use,
  eaters: readonly PlanEater[],
  perDay_g: number | undefined,
  school: string,
): { reason: PlanReason; instead: string } | undefined {
  if (perDay_g === undefined) return undefined
  const named: readonly string[] = eaters.flatMap(({ sensitivities = [] }) => sensitivities)
  const caps = [
    ...amountsUnder(use, school)
      .filter(({ who }) => eaters.some(({ kind }) => kind === who))
      .map((cap) => ({ perDay_g: cap.perDay_g, why: cap.why })),
    ...use.cautionFor.flatMap((each) =>
      each.perDay_g !== undefined && named.includes(each.who) ? [{ perDay_g: each.perDay_g, why: each.why }] : [],
    ),
  ]
  const broken = caps.filter((cap) => perDay_g > cap.perDay_g).sort((a, b) => a.perDay_g - b.perDay_g)[0]
  if (broken === undefined) return undefined
  return {
    reason: {
      about: 'amount',
      text: `${formatMass(perDay_g)} a day is more than ${formatMass(broken.perDay_g)}. ${broken.why}`,
    },
    instead: `up to ${formatMass(broken.perDay_g)} a day`,
  }
}

/** Every deadly or toxic plant it is mistaken for, by name, though identity is taken as certain. */
function doubles(taxon: Taxon): readonly PlanReason[] {
  return taxon.lookalikes
    .filter(({ severity }) => severity === 'deadly' || severity === 'toxic')
    .map(({ scientificName, severity, tells }) => ({
      about: 'identity',
      text: `${scientificName} (${severity}) is mistaken for it: ${tells.join('; ')}.`,
    }))
}

function neverReasons(uses: readonly Use[]): readonly PlanReason[] {
  return uses
    .filter(({ verdict }) => verdict === 'never')
    .map(({ hazards, whyNever }) => ({ about: hazards[0]?.id ?? 'refused', text: whyNever ?? 'This is not food.' }))
}

function whichAreFood(uses: readonly Use[]): readonly PlanReason[] {
  const named = (yes: boolean) =>
    uses
      .filter(({ verdict }) => (verdict !== 'never') === yes)
      .map(({ part, stage }) => `${plainWords(part)} (${plainWords(stage)})`)
  const not = named(false)
  return [
    { about: 'part', text: `Food: ${formatList(named(true))}.` },
    ...(not.length === 0
      ? []
      : [
          {
            about: 'part',
            text: `Not food: ${formatList(not)}. ${uses.find(({ verdict }) => verdict === 'never')?.whyNever ?? ''}`.trim(),
          },
        ]),
  ]
}

function nothingOnRecord(taxon: Taxon, { part, stage }: PlanInput): string {
  if (taxon.uses.length === 0)
    return `${taxon.scientificName} is in the catalogue only as a look-alike: nothing is on record about eating it.`
  const what = `${stage === undefined || stage === 'any' ? '' : `${plainWords(stage)} `}${part === undefined ? 'plant' : plainWords(part)}`
  return `Nothing is on record about eating the ${what} of ${taxon.scientificName}, and a gap is never filled by likeness.`
}

function noWayReason(use: Use, goal: Goal, named: Protocol | undefined): PlanReason {
  if (named !== undefined) return { about: 'school', text: `“${named.name}” is not a way to ${plainWords(goal)}.` }
  if (goal === 'eat-raw') {
    const contested = use.protocols.find(({ goals }) => goals.includes('eat-raw'))
    const grave = use.hazards.filter(({ level }) => level === 'high' || level === 'deadly')
    const told = grave.length > 0 ? grave : use.hazards.filter(({ level }) => level === 'moderate')
    const hazards = told.map(({ id, note }) => (note === '' ? plainWords(id) : `${plainWords(id)} (${note})`))
    return {
      about: use.hazards[0]?.id ?? 'raw',
      text: `Not raw: ${formatList(hazards)} ${contested === undefined ? '' : `The school “${contested.name}” is contested: ${contested.why}`}`.trim(),
    }
  }
  return { about: 'store', text: `No accepted way to ${plainWords(goal)} this is on record.` }
}

function waysOnRecord(use: Use): string {
  const goals = [
    ...new Set(
      use.protocols
        .filter(({ standing }) => standing !== 'contested' && standing !== 'not-advised')
        .flatMap(({ goals: each }) => each),
    ),
  ]
  return goals.length === 0 ? 'another plant' : `on record for it: ${formatList(goals.map(plainWords))}`
}

function otherFood(taxon: Taxon): string {
  const food = taxon.uses.filter(({ verdict }) => verdict !== 'never')
  return food.length === 0
    ? 'another plant, surely known'
    : formatList(food.map(({ part, stage }) => `its ${plainWords(part)} (${plainWords(stage)})`))
}

function refuse(reasons: readonly PlanReason[], instead: string): Plan {
  return { verdict: 'refuse', reasons, steps: [], instead }
}

function roundTo(value: number, digits: number): number {
  return Math.round(value * 10 ** digits) / 10 ** digits
}

import type { Use } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { Bath } from '../leach/leach'
import { leachSolutes, type Solute, type SolutesInput } from '../leach/solutes'
import { multiplyRanges, scaleRange, type Range } from '../quantity/range'
import type { PlannedStep } from './planTypes'

/** What a plan takes out of the food, or lets perish in it. */
export interface Loss {
  readonly what: string
  /** Whether one would rather be rid of it. */
  readonly unwanted: boolean
  /** Share that is still in the food: with quick pieces, usual and slow ones. */
  readonly kept: Range
  /** Of what one wants: a cooked portion gives as much of it as so much eaten raw, g. Where a portion is on record. */
  readonly asRaw_g?: Range
}

export interface PlanLossesInput {
  readonly use: Pick<Use, 'part' | 'hazards' | 'moisture' | 'portion_g' | 'cookedYield'>
  /** As it goes into the treatment. */
  readonly mass_g: number
  readonly steps: readonly PlannedStep[]
}

export interface PlanLosses {
  readonly losses: readonly Loss[]
  /** Of a part with starch: whether a water above 50 °C that is poured off has cooked it; undefined for parts without. */
  readonly starch: 'cooked' | 'binds' | undefined
  /** Some of the water may be kept and drunk: what left the food is in it. */
  readonly waterMayBeKept: boolean
  /** The thinnest way through the pieces that this was reckoned for. */
  readonly pieces_mm: number
  /** Whether the cook decides it with a knife. */
  readonly cut: boolean
  /** One portion, cooked, g. */
  readonly portion_g?: number
}

interface Pieces {
  readonly pieces: SolutesInput['pieces']
  readonly skin: boolean
}

/**
 * Skins and the cuticle of boiled greens hold back as much as so thick a layer of flesh, mm: chosen so that potassium, vitamin C,
 * folate, nitrate and soluble oxalate of greens boiled 8 minutes in much water fall into the published ranges [process physics, section 9]. Fitted
 * by hand, and not held against other minutes: section 9 does not tell for how long its greens were boiled.
 */
const SKIN_mm = { low: 5, usual: 9, high: 17 }
const LEAF: Pieces = { pieces: { shape: 'slab', size_mm: 0.4 }, skin: true }
const STALK: Pieces = { pieces: { shape: 'cylinder', size_mm: 8 }, skin: true }
const CUT: Pieces = { pieces: { shape: 'slab', size_mm: 8 }, skin: false }
const MEAL: Pieces = { pieces: { shape: 'sphere', size_mm: 2 }, skin: false }
/** The thinnest way through a part as it goes into the pot [planning values]. */
const PIECES: Readonly<Partial<Record<Part, Pieces>>> = {
  leaf: LEAF,
  'leafy-top': LEAF,
  flower: LEAF,
  'flower-bud': { pieces: { shape: 'sphere', size_mm: 6 }, skin: true },
  'needle-tip': { pieces: { shape: 'cylinder', size_mm: 1.5 }, skin: true },
  shoot: STALK,
  stem: STALK,
  midrib: STALK,
  fruit: { pieces: { shape: 'sphere', size_mm: 8 }, skin: true },
  seed: { pieces: { shape: 'sphere', size_mm: 2 }, skin: true },
  nut: CUT,
  root: CUT,
  rhizome: CUT,
  tuber: CUT,
  corm: CUT,
  bulb: CUT,
}
const GREEN: readonly Part[] = ['leaf', 'leafy-top', 'shoot', 'stem', 'midrib', 'flower-bud', 'needle-tip']
const STARCHY: readonly Part[] = ['nut', 'root', 'rhizome', 'tuber', 'corm', 'seed']

const UNWANTED: readonly (readonly [RegExp, Solute, string])[] = [
  [/^soluble-oxalate$/, 'oxalate', 'soluble oxalate'],
  [/^nitrate$/, 'nitrate', 'nitrate'],
  [/^salt$/, 'salt', 'salt'],
  [/^bitter$/, 'bitter', 'bitterness'],
  [/tannin/, 'tannin', 'tannin'],
]
const WANTED_OF_GREENS: readonly (readonly [Solute, string])[] = [
  ['vitamin-c', 'vitamin C'],
  ['folate', 'folate'],
  ['potassium', 'potassium'],
]

const MOISTURE = 0.85
const GRINDING_OPS: readonly string[] = ['grind', 'mill']
const BATH_OPS: readonly string[] = [
  'leach-static',
  'leach-hot',
  'leach-running',
  'soak-cold',
  'boil',
  'blanch',
  'simmer',
]
const HEATING_OPS: readonly string[] = ['boil', 'blanch', 'simmer', 'steam', 'wilt', 'saute', 'roast', 'bake', 'fry', 'leach-hot', 'cook-jam', 'pit-bake'] // prettier-ignore
const FLOW_mL_min = 1000
/** Steamed greens keep so much of what is dissolved: vitamin C, folate, potassium, and what one would be rid of [section 9]. */
const STEAMED: Readonly<Partial<Record<Solute, Range>>> = {
  'vitamin-c': { low: 0.6, usual: 0.75, high: 0.9 },
  folate: { low: 0.75, usual: 0.9, high: 1 },
  potassium: { low: 0.85, usual: 0.93, high: 1 },
  oxalate: { low: 0.47, usual: 0.75, high: 0.95 },
  nitrate: { low: 0.7, usual: 0.85, high: 1 },
}
/** Minutes in which nine tenths are gone at 100 °C, and the degrees that make it ten times as fast [section 8]. */
const PERISHES = {
  'vitamin C': { D100_min: { low: 200, usual: 500, high: 2000 }, z_C: 30 },
  green: { D100_min: { low: 10, usual: 25, high: 60 }, z_C: 30 },
} as const
const STARCH_COOKS_C = 50

/**
 * What a plan's waters and heat take: of what its hazards name the soluble part, and of what one wants to keep vitamin C, folate,
 * potassium, sugars and the green. Diffusion out of the part's usual pieces (`leach/solutes.ts`), and first-order loss in heat; each as
 * a range. Undefined where a plan neither heats nor waters it. Planning values: no hazard is answered by a share computed here.
 */
export function planLosses({ use, mass_g, steps }: PlanLossesInput): PlanLosses | undefined {
  const waters = steps.filter(({ op, water }) => water !== undefined && BATH_OPS.includes(op))
  const heats = steps.filter(({ op }) => HEATING_OPS.includes(op))
  if (mass_g <= 0 || (waters.length === 0 && heats.length === 0)) return undefined
  const { part } = use
  const ground = steps.some(({ op }) => GRINDING_OPS.includes(op))
  const { pieces, skin } = ground ? MEAL : (PIECES[part] ?? CUT)
  const peeled = steps.some(({ op }) => op === 'peel')
  const green = GREEN.includes(part)
  const wanted = green
    ? WANTED_OF_GREENS
    : [...(part === 'fruit' ? WANTED_OF_GREENS : []), ['sugars', 'sugars'] as const]
  const unwanted = UNWANTED.filter(([id]) => use.hazards.some((hazard) => id.test(hazard.id)))
  const named = [
    ...unwanted.map(([, solute, what]) => ({ solute, what, unwanted: true })),
    ...wanted.map(([solute, what]) => ({ solute, what, unwanted: false })),
  ]
  const left = leachSolutes({
    pieces,
    ...(skin && !peeled ? { skinAs_mm: SKIN_mm } : {}),
    heldLiquid_mL: mass_g * (use.moisture?.usual ?? MOISTURE),
    tissue: ground || steps.some(({ op }) => op === 'freeze-thaw') ? 'opened' : 'raw',
    baths: waters.flatMap((step) => bathsOf(step, mass_g)),
    solutes: named.map(({ solute }) => solute),
  })
  const steamed = heats.some(({ op }) => op === 'steam')
  const losses = named.map(({ solute, what, unwanted: rid }, index): Loss => {
    const { low, usual, high } = left[index]?.left.at(-1) ?? ALL
    const factors = [{ low, usual, high }]
    if (steamed) factors.push(STEAMED[solute] ?? ALL)
    if (solute === 'vitamin-c') factors.push(perished('vitamin C', heats))
    return { what, unwanted: rid, kept: factors.reduce(multiplyRanges) }
  })
  if (green && heats.length > 0) losses.push({ what: 'the green', unwanted: false, kept: perished('green', heats) })
  const raw_g = rawOfPortion_g(use)
  return {
    losses: losses.map((loss) =>
      loss.unwanted || raw_g === undefined ? loss : { ...loss, asRaw_g: scaleRange(loss.kept, raw_g) },
    ),
    ...(raw_g === undefined || use.portion_g === undefined ? {} : { portion_g: use.portion_g }),
    starch: STARCHY.includes(part)
      ? waters.some((step) => warmth(step) > STARCH_COOKS_C)
        ? 'cooked'
        : 'binds'
      : undefined,
    waterMayBeKept: waters.some(({ water }) => water === 'may-keep'),
    pieces_mm: pieces.size_mm,
    cut: pieces === CUT.pieces,
  }
}

/** Raw food in a cooked portion; a heap that is cooked shrinks, and is eaten by the plateful, which nobody does raw. */
function rawOfPortion_g({ portion_g, cookedYield }: PlanLossesInput['use']): number | undefined {
  return portion_g === undefined || cookedYield === undefined ? undefined : portion_g / cookedYield.usual
}

const ALL: Range = { low: 1, usual: 1, high: 1 }

function bathsOf(step: PlannedStep, mass_g: number): readonly Bath[] {
  const { op, baths, water_mL = 5 * mass_g, minutes = 1 } = step
  const one: Bath = {
    water_mL: baths?.each_mL ?? water_mL,
    minutes,
    temp_C: warmth(step),
    ...(op === 'leach-running' ? { flow_mL_min: FLOW_mL_min } : {}),
  }
  return Array.from({ length: baths?.least ?? 1 }, () => one)
}

const AT_THE_POT_C = 95
const COLD_C = 12

function warmth({ op, temp_C }: PlannedStep): number {
  return Math.min(100, temp_C ?? (HEATING_OPS.includes(op) ? AT_THE_POT_C : COLD_C))
}

function perished(what: keyof typeof PERISHES, heats: readonly PlannedStep[]): Range {
  const { D100_min, z_C } = PERISHES[what]
  const kept = (D_min: number) =>
    heats.reduce((share, step) => {
      const times = (step.minutes ?? 1) * (step.baths?.least ?? 1)
      return share * 10 ** (-times / (D_min * 10 ** ((100 - warmth(step)) / z_C)))
    }, 1)
  return { low: kept(D100_min.low), usual: kept(D100_min.usual), high: kept(D100_min.high) }
}

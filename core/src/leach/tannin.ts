import { efficiencyInWind } from '../heat/wind'
import { minutesBetween, type Instant } from '../quantity/instant'
import type { BathFact, TasteFact } from '../lot/lotState'
import type { Use } from '../flora/taxon'
import { boilingPoint } from '../heat/boil'
import { TASTE_NOISE, type TasteForecastInput } from '../taste/forecast'
import { harshness } from '../taste/palate'

import type { KitchenFact } from '../log/houseState'
import type { LeachInput } from './leach'
import type { CompareWaysInput, WayOn } from './compareWays'
import { warmestBath_C, type LeachChoice } from './optimise'

/**
 * Tannin (0.5 to 3 kDa, binding) in tissue whose cells are broken by grinding or heat, 25 °C: median and geometric standard
 * deviation of a wide prior, m²/s; and its activation. Planning values after Schwartzberg & Chao 1982 and kin.
 */
const TANNIN_D25_m2_s = { median: 6e-11, gsd: 2.5 }
const TANNIN_ACTIVATION_kJ_mol = 27
/** Coarse meal: the larger grains decide. */
const MEAL_mm = 2
/** Water that soaked meal holds, mL a gram of dry kernel [planning value]. */
const HELD_mL_PER_g = 0.7
/**
 * How much more tannin the meal holds than the bath at rest, for it binds: quick, usual and slow lots. Chosen so that the 6 to 14
 * changed baths of practice come out [planning value, no source]; it goes into the held liquid (process physics: α/K for α).
 */
const TANNIN_PARTITION = { quick: 4, usual: 8, slow: 16 }
/** A cold bath whose warmth was not measured. */
const ASSUMED_COLD_C = 8

/** How strongly meal tastes before the first bath: 10x/(1+x) of ten at x; wide, for trees differ [planning value]. */
const TANNIN_STRENGTH = { median: 6, gsd: 2 }
/** Meal as the leach engine is asked about it, the book's middle lot. */
export const MEAL = {
  held_mL_per_g: HELD_mL_PER_g,
  tanninPartition: TANNIN_PARTITION.usual,
  tanninActivation_kJ_mol: TANNIN_ACTIVATION_kJ_mol,
  /** Of tannin, before anything is tasted. */
  prior: { diffusivity25_m2_s: TANNIN_D25_m2_s, strength: TANNIN_STRENGTH },
  /** Sugars in tissue whose cells are broken, 25 °C [process physics, section 3]: what a leach for taste takes along. */
  sugar: { diffusivity25_m2_s: 2.5e-10, activation_kJ_mol: 24 },
} as const

const BATHS_AHEAD = 14

/**
 * What the forecast is asked about a lot of meal that is leached until a crumb is no longer bitter: the baths to come are taken to be
 * like the middle one of those so far. Undefined before the first is poured off.
 */
export function tanninForecast(
  baths: readonly BathFact[],
  tastes: readonly Pick<TasteFact, 'at' | 'bitter' | 'astringent' | 'aftertaste' | 'crumb' | 'alarm'>[],
  mass_g: number,
  limit: { readonly least: number; readonly minutes: number; readonly tasteAtMost: number },
): TasteForecastInput | undefined {
  const done = baths.flatMap((bath) => (bath.endedAt === null ? [] : [{ ...bath, endedAt: bath.endedAt }]))
  if (done.length === 0 || mass_g <= 0) return undefined
  const middle = (of: (bath: (typeof done)[number]) => number) => {
    const sorted = done.map(of).sort((a, b) => a - b)
    return sorted[Math.floor(sorted.length / 2)] ?? 0
  }
  // Not timed, it is taken for still: that forecasts more, not fewer.
  const flow_mL_min = middle((bath) => bath.flow_mL_min ?? 0)
  return {
    pieces: { shape: 'sphere', size_mm: MEAL_mm },
    heldLiquid_mL: mass_g * HELD_mL_PER_g * TANNIN_PARTITION.usual,
    activation_kJ_mol: TANNIN_ACTIVATION_kJ_mol,
    bath: {
      water_mL: middle(({ water_mL }) => water_mL),
      minutes: Math.max(
        limit.minutes,
        middle(({ begunAt, endedAt }) => minutesBetween(begunAt, endedAt)),
      ),
      temp_C: middle(({ temp_C }) => temp_C ?? ASSUMED_COLD_C),
      ...(flow_mL_min > 0 ? { flow_mL_min } : {}),
    },
    prior: { diffusivity25_m2_s: TANNIN_D25_m2_s, strength: TANNIN_STRENGTH },
    noise: TASTE_NOISE,
    observations: tastes
      .filter(({ crumb, alarm }) => crumb && alarm === null)
      .map((taste) => ({
        afterBath: done.filter(({ endedAt }) => endedAt <= taste.at).length,
        score: Math.round(harshness(taste)),
      })),
    target: limit.tasteAtMost,
    maxBaths: Math.max(done.length, limit.least) + BATHS_AHEAD,
  }
}

/** More baths than anybody changes, and how much longer than it must a bath may lie. */
const BATHS_AT_MOST = 20
const LONGER_AT_MOST = 3
const FILLED = 0.8
const CHANGE_min = 8

/**
 * What may be chosen for the whole leach of a lot of meal, and what it is to come to: the taste of the limit, for a lot as strong as
 * the book's middle one. No bath is shorter, none warmer and their number not smaller than the limit says; a leach in the boil stays
 * there. Undefined where no pot holds the meal and the least water of the step; the ratio is the record's.
 */
export function tanninChoice(
  mass_g: number,
  limit: { readonly least: number; readonly minutes: number; readonly tasteAtMost: number; readonly atMost_C?: number },
  step: { readonly temp_C?: number; readonly waterRatio: { readonly least: number } },
  kitchen: KitchenFact,
): LeachChoice | undefined {
  const pot_mL = Math.max(...kitchen.pots_mL) * FILLED - mass_g
  const least_mL = step.waterRatio.least * mass_g
  if (mass_g <= 0 || pot_mL < least_mL) return undefined
  const warmest = warmestBath_C(kitchen.elevation_m)
  const hot = limit.atMost_C === undefined && (step.temp_C ?? 0) >= HOT_FROM_C
  const coldest = Math.min(kitchen.waterTemp_C, limit.atMost_C ?? kitchen.waterTemp_C)
  return {
    shape: 'sphere',
    heldLiquid_mL: mass_g * HELD_mL_PER_g * TANNIN_PARTITION.usual,
    solute: { diffusivity25_m2_s: TANNIN_D25_m2_s.median, activation_kJ_mol: TANNIN_ACTIVATION_kJ_mol },
    target: enoughStrength(limit.tasteAtMost) / TANNIN_STRENGTH.median,
    baths: { least: limit.least, most: Math.max(limit.least, BATHS_AT_MOST) },
    water_mL: { least: least_mL, most: pot_mL },
    minutes: { least: limit.minutes, most: LONGER_AT_MOST * limit.minutes },
    temp_C: hot ? { least: warmest, most: warmest } : { least: coldest, most: coldest },
    size_mm: { least: MEAL_mm, most: MEAL_mm },
    tap_C: kitchen.waterTemp_C,
    burnerEfficiency: efficiencyInWind(kitchen.burner.efficiency, kitchen.burner.wind),
    change_min: CHANGE_min,
  }
}

/** A step at such a warmth is one in the boil. */
const HOT_FROM_C = 90

const HIGHEST_SCORE = 10

/** The strength that is tasted as so much, the mean score 10x/(1+x) solved for x. */
function enoughStrength(score: number): number {
  return score / (HIGHEST_SCORE - score)
}

/** The same baths with tannin moving slowly, as usual, and quickly: about two in three lots lie between the ends. */
export interface TanninInputs {
  readonly slow: LeachInput
  readonly usual: LeachInput
  readonly quick: LeachInput
}

/**
 * What the leach engine is asked about the baths so far of a lot of ground meal; undefined before the first. An estimate for
 * taste: only the crumb, after the least number of baths, ends the leach.
 */
export function tanninInputs(baths: readonly BathFact[], mass_g: number, now: Instant): TanninInputs | undefined {
  if (baths.length === 0 || mass_g <= 0) return undefined
  const input = (factor: number, partition: number): LeachInput => ({
    pieces: { shape: 'sphere', size_mm: MEAL_mm },
    heldLiquid_mL: mass_g * HELD_mL_PER_g * partition,
    diffusivity25_m2_s: TANNIN_D25_m2_s.median * factor,
    activation_kJ_mol: TANNIN_ACTIVATION_kJ_mol,
    baths: baths.map(({ begunAt, endedAt, water_mL, flow_mL_min = 0, temp_C }) => ({
      water_mL,
      flow_mL_min,
      minutes: Math.max(0, minutesBetween(begunAt, endedAt ?? now)),
      temp_C: temp_C ?? ASSUMED_COLD_C,
    })),
  })
  const { gsd } = TANNIN_D25_m2_s
  return {
    slow: input(1 / gsd, TANNIN_PARTITION.slow),
    usual: input(1, TANNIN_PARTITION.usual),
    quick: input(gsd, TANNIN_PARTITION.quick),
  }
}

/** Through a cloth under a tap or in a brook, mL a minute [planning value]. */
const FLOW_mL_min = 1000
const RUNNING_HOURS = 24
const RUNNING_BASIN_mL_PER_g = 5

/** A way on record that cannot be gone here or is not offered, and why. */
export interface WayNot {
  readonly name: string
  readonly why: string
}

/**
 * The ways on that the record has for meal that is leached by taste, as this kitchen would do them, and those that it has not. A bath of
 * another way does not count towards the least number of this one, whatever it took out.
 */
export function tanninWays(
  use: Use,
  { baths, mass_g }: { readonly baths: readonly BathFact[]; readonly mass_g: number },
  asked: TasteForecastInput,
  kitchen: KitchenFact,
): { readonly input: CompareWaysInput; readonly not: readonly WayNot[] } {
  const ways: WayOn[] = []
  const not: WayNot[] = []
  for (const protocol of use.protocols) {
    const index = protocol.steps.findIndex(({ limit }) => limit?.measure === 'baths')
    const step = protocol.steps[index]
    if (step?.limit?.measure !== 'baths') continue
    if (protocol.standing === 'contested' || protocol.standing === 'not-advised') {
      not.push({
        name: protocol.name,
        why: `${protocol.standing === 'contested' ? 'Contested' : 'Not advised'}: ${protocol.why}`,
      })
      continue
    }
    const { least, minutes, atMost_C } = step.limit
    const boil_C = boilingPoint({ elevation_m: kitchen.elevation_m }).temp_C
    const temp_C = step.op === 'leach-hot' ? boil_C : kitchen.waterTemp_C
    if (atMost_C !== undefined && temp_C > atMost_C) {
      not.push({
        name: protocol.name,
        why: `It wants water no warmer than ${Math.round(atMost_C)} °C; here it comes at ${Math.round(temp_C)} °C.`,
      })
      continue
    }
    const counted = baths.filter(
      (bath) =>
        bath.protocol === protocol.name &&
        bath.step === index &&
        bath.endedAt !== null &&
        minutesBetween(bath.begunAt, bath.endedAt) >= minutes - 1,
    ).length
    const running = step.op === 'leach-running'
    ways.push({
      name: protocol.name,
      op: running ? 'leach-running' : step.op === 'leach-hot' ? 'leach-hot' : 'leach-static',
      least: Math.max(0, least - counted),
      bath: {
        water_mL: mass_g * (running ? RUNNING_BASIN_mL_PER_g : (step.waterRatio?.usual ?? LEAST_RATIO)),
        minutes: running ? Math.max(minutes, RUNNING_HOURS * 60) : minutes,
        temp_C,
        ...(running ? { flow_mL_min: FLOW_mL_min } : {}),
      },
      change_min: CHANGE_min,
    })
  }
  return {
    input: {
      asked,
      done: baths.filter(({ endedAt }) => endedAt !== null).length,
      ways,
      tap_C: kitchen.waterTemp_C,
      efficiency: efficiencyInWind(kitchen.burner.efficiency, kitchen.burner.wind),
      keep: { ...MEAL.sugar, heldLiquid_mL: mass_g * HELD_mL_PER_g },
    },
    not: [...not, ...NO_HELP],
  }
}

const LEAST_RATIO = 5

/** What else is told of, and why it is no way on. */
const NO_HELP: readonly WayNot[] = [
  { name: 'roasting', why: 'Dry heat takes no tannin out; it only covers the taste.' },
  {
    name: 'freezing and thawing',
    why: 'It opens the cells of whole kernels; what is ground is open already, and goes no faster for it.',
  },
  { name: 'ash or lye', why: 'No school on record for it takes it, so nobody has said how much is safe.' },
]

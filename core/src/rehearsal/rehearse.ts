import type { Taxon } from '../flora/taxon'
import { simmerFuel } from '../heat/balance'
import { boilingPoint } from '../heat/boil'
import { leach, type Bath, type LeachInput } from '../leach/leach'
import { starchAfter, type Starch } from '../leach/compareWays'
import { MEAL } from '../leach/tannin'
import { chance, normals } from '../quantity/chance'
import { formatCount } from '../quantity/format'
import { clampScore, meanScore, TASTE_NOISE, type LogNormal, type TasteForecastInput } from '../taste/forecast'
import type { Scenario } from './scenarios'

/** How the water is put on. */
export type RehearsalWater = 'cold' | 'hot' | 'running'

/** One thing the learner does. */
export type Move =
  | { readonly kind: 'look' }
  | { readonly kind: 'grind'; readonly size_mm: number }
  | { readonly kind: 'bath'; readonly water: RehearsalWater; readonly water_mL: number; readonly hours: number }
  | { readonly kind: 'crumb' }
  | { readonly kind: 'serve' }
  | { readonly kind: 'throw-away' }

/** What the learner sees of it. */
export interface RehearsalState {
  readonly hours: number
  readonly water_mL: number
  readonly fuel_kWh: number
  readonly size_mm: number
  readonly baths: readonly DoneBath[]
  readonly crumbs: readonly { readonly afterBath: number; readonly score: number }[]
  /** What each move showed, in words. */
  readonly story: readonly { readonly hours: number; readonly text: string }[]
  readonly end: RehearsalEnd | undefined
}

export interface DoneBath extends Bath {
  readonly kind: RehearsalWater
  /** As strong as its water was at the end, over the lot's own at the start: what its colour tells. */
  readonly strength: number
}

/** The truth at the end, held against the best that was possible. */
export interface RehearsalEnd {
  readonly verdict: 'well' | 'passable' | 'badly'
  readonly served: boolean
  /** What would harm, or would not be accepted, in words; empty when nothing. */
  readonly unsafe: readonly string[]
  /** How it really tastes to the table, 0 to 10. */
  readonly score: number
  readonly sugarKept: number
  readonly starch: Starch
  readonly lost: readonly string[]
  /** The quickest and the thriftiest that this lot allowed; undefined where none would have been good. */
  readonly quickest: RehearsalBest | undefined
  readonly thriftiest: RehearsalBest | undefined
}

export interface RehearsalBest {
  readonly hours: number
  readonly water_mL: number
  readonly baths: number
  readonly water: RehearsalWater
}

/** The record's limit for each kind of water. */
export interface RehearsalLimits {
  readonly tasteAtMost: number
  readonly by: Readonly<
    Partial<Record<RehearsalWater, { least: number; minutes: number; atMost_C: number | undefined }>>
  >
}

const CHANGE_h = 8 / 60
const GRIND_h = 0.5
export const GRAINS_mm = [1, 2, 4, 8] as const
const FIRST_GRAIN_mm = 8
const FLOW_mL_min = 1000
/** Wet meal is sour after a day at 20 °C, two and a half times as soon ten degrees warmer; fresh water halves what there is [planning values]. */
const SOURS = { hours: 24, at_C: 20, q10: 2.5 } as const
const EFFICIENCY = 0.55
/** So much above the best is let go. */
const NEAR = 1.35

/** The limits of the record's leach ways, by the kind of water. @throws RangeError where the record has none. */
export function rehearsalLimits(taxon: Taxon): RehearsalLimits {
  const by: Partial<Record<RehearsalWater, { least: number; minutes: number; atMost_C: number | undefined }>> = {}
  let tasteAtMost: number | undefined
  for (const protocol of taxon.uses.flatMap(({ protocols }) => protocols)) {
    if (protocol.standing === 'contested' || protocol.standing === 'not-advised') continue
    for (const { op, limit } of protocol.steps) {
      if (limit?.measure !== 'baths') continue
      tasteAtMost ??= limit.tasteAtMost
      by[WATER_OF[op] ?? 'cold'] ??= { least: limit.least, minutes: limit.minutes, atMost_C: limit.atMost_C }
    }
  }
  if (tasteAtMost === undefined)
    throw new RangeError(`rehearsalLimits: expected a leach by taste on record for ${taxon.scientificName}`)
  return { tasteAtMost, by }
}

const WATER_OF: Readonly<Record<string, RehearsalWater>> = {
  'leach-static': 'cold',
  'leach-hot': 'hot',
  'leach-running': 'running',
}

/**
 * A rehearsal as it stands after some moves: the leach engine on values that the learner does not see, drawn from one seed; tastes
 * with the noise of a tongue; souring by warmth and time. Never touches a book. A move that the record forbids changes nothing
 * but tells why.
 */
export function rehearse(
  scenario: Scenario,
  limits: RehearsalLimits,
  moves: readonly Move[],
  seed: number,
): RehearsalState {
  const game: Game = { scenario, limits, lot: hiddenLot(scenario, seed) }
  let state: RehearsalState = {
    hours: 0,
    water_mL: 0,
    fuel_kWh: 0,
    size_mm: FIRST_GRAIN_mm,
    baths: [],
    crumbs: [],
    story: [],
    end: undefined,
  }
  for (const move of moves) {
    if (state.end !== undefined) break
    const { told, ...after } = moved(state, move, game)
    const next = { ...state, ...after }
    state = told === undefined ? next : { ...next, story: [...state.story, { hours: next.hours, text: told }] }
  }
  return state
}

interface Game {
  readonly scenario: Scenario
  readonly limits: RehearsalLimits
  readonly lot: HiddenLot
}

interface HiddenLot {
  readonly diffusivity25_m2_s: number
  readonly strength: number
  /** How far off a crumb is tasted, in standard deviations. */
  readonly noise: readonly number[]
}

/** So many crumbs nobody tastes. */
const CRUMBS = 60

function hiddenLot({ truth }: Scenario, seed: number): HiddenLot {
  const normal = normals(chance(seed))
  const draw = ({ median, gsd }: LogNormal) => median * gsd ** normal()
  return {
    diffusivity25_m2_s: draw(truth.diffusivity25_m2_s),
    strength: draw(truth.strength),
    noise: Array.from({ length: CRUMBS }, normal),
  }
}

type Moved = Partial<RehearsalState> & { readonly told?: string }

function moved(state: RehearsalState, move: Move, game: Game): Moved {
  const { scenario, lot } = game
  switch (move.kind) {
    case 'look': {
      const seen = [
        ...(scenario.truth.spoiled === undefined ? [] : [scenario.truth.spoiled]),
        ...(isSour(state.baths) ? ['It smells sour, and bubbles rise when you stir.'] : []),
      ]
      return { told: seen.length === 0 ? 'Sound and clean: it smells of nuts and wet bark.' : seen.join(' ') }
    }
    case 'grind':
      return state.baths.length > 0
        ? { told: 'Wet meal cannot be ground finer.' }
        : {
            told: `Ground: the larger grains are ${move.size_mm} mm across.`,
            size_mm: move.size_mm,
            hours: state.hours + grinding_h(state.size_mm, move.size_mm),
          }
    case 'bath':
      return bathed(state, move, game)
    case 'crumb': {
      const left = stillDue(state.baths, game)
      if (left > 0) return { told: `Not yet: ${formatCount(left, 'more bath')} before anything is tasted.` }
      const mean = trueScore(state, game) + scenario.truth.tongue
      const score = clampScore(Math.round(mean + TASTE_NOISE * (lot.noise[state.crumbs.length % CRUMBS] ?? 0)))
      return {
        told: `A crumb, spat out: ${score} of 10.`,
        crumbs: [...state.crumbs, { afterBath: state.baths.length, score }],
      }
    }
    case 'serve':
    case 'throw-away':
      return { end: endOf(state, move.kind === 'serve', game) }
  }
}

function bathed(state: RehearsalState, move: Extract<Move, { kind: 'bath' }>, { scenario, limits, lot }: Game): Moved {
  const limit = limits.by[move.water]
  const running = move.water === 'running'
  if (limit === undefined) return { told: 'The record has no such way.' }
  if (running && !scenario.running) return { told: 'There is no water here that may run.' }
  const temp_C = warmth(move.water, scenario)
  if (limit.atMost_C !== undefined && temp_C > limit.atMost_C)
    return {
      told: `The record wants water no warmer than ${limit.atMost_C} °C for this; here it comes at ${temp_C} °C.`,
    }
  // What runs is not drawn from the store.
  const drawn_mL = running ? 0 : move.water_mL
  if (state.water_mL + drawn_mL > scenario.water_mL)
    return { told: `There are only ${((scenario.water_mL - state.water_mL) / 1000).toFixed(1)} L left.` }
  const minutes = move.hours * 60
  const bath = bathOf(move.water, move.water_mL, minutes, scenario)
  const baths = [...state.baths, bath]
  const strength = lot.strength * (leach(tanninOf(baths, state.size_mm, scenario, lot), 'quick').bath.at(-1) ?? 0)
  const short = minutes < limit.minutes - 1 ? ' Too short to count.' : ''
  return {
    told: `${WATER_WORDS[move.water]}, ${hoursText(move.hours)}; ${colourOf(strength)}.${short}`,
    hours: state.hours + move.hours + CHANGE_h,
    water_mL: state.water_mL + drawn_mL,
    fuel_kWh: state.fuel_kWh + (move.water === 'hot' ? fuelOf(bath, scenario) : 0),
    baths: [...state.baths, { ...bath, kind: move.water, strength }],
  }
}

const WATER_WORDS: Readonly<Record<RehearsalWater, string>> = {
  cold: 'Cold water on it',
  hot: 'Kept at the boil',
  running: 'Left in running water',
}

function hoursText(hours: number): string {
  return hours < 1 ? `${Math.round(hours * 60)} min` : `${Math.round(hours * 10) / 10} h`
}

/** What the eye tells of the poured-off water, by how it would taste; strong ones look alike. */
export function colourOf(strength: number): string {
  if (strength > 0.5) return 'the water is brown as tea'
  if (strength > 0.15) return 'the water is amber'
  return strength > 0.04 ? 'the water is straw yellow' : 'the water is nearly clear'
}

function warmth(water: RehearsalWater, { tap_C, elevation_m }: Scenario): number {
  return water === 'hot' ? boilingPoint({ elevation_m }).temp_C : tap_C
}

function bathOf(water: RehearsalWater, water_mL: number, minutes: number, scenario: Scenario): Bath {
  return {
    water_mL,
    minutes,
    temp_C: warmth(water, scenario),
    ...(water === 'running' ? { flow_mL_min: FLOW_mL_min } : {}),
  }
}

function fuelOf({ water_mL, temp_C, minutes }: Bath, { tap_C, mass_g }: Scenario): number {
  return simmerFuel({
    ...{ water_mL, temp_C, minutes, efficiency: EFFICIENCY },
    ...{ waterTemp_C: tap_C, food_g: mass_g, foodTemp_C: tap_C },
  }).fuel_kWh
}

function grinding_h(from_mm: number, to_mm: number): number {
  return GRIND_h * Math.max(0, Math.log2(from_mm / to_mm))
}

/** Baths that the record still asks for, by the kind of water that has come furthest. */
function stillDue(baths: readonly DoneBath[], { scenario, limits }: Game): number {
  const here = Object.entries(limits.by).filter(([kind]) => kind !== 'running' || scenario.running)
  const left = here.map(
    ([kind, { least, minutes }]) =>
      least - baths.filter((bath) => bath.kind === kind && bath.minutes >= minutes - 1).length,
  )
  return Math.max(0, Math.min(...left))
}

function tanninOf(
  baths: readonly Bath[],
  size_mm: number,
  { mass_g }: Pick<Scenario, 'mass_g'>,
  { diffusivity25_m2_s }: Pick<HiddenLot, 'diffusivity25_m2_s'>,
): LeachInput {
  return {
    pieces: { shape: 'sphere', size_mm },
    heldLiquid_mL: mass_g * MEAL.held_mL_per_g * MEAL.tanninPartition,
    activation_kJ_mol: MEAL.tanninActivation_kJ_mol,
    diffusivity25_m2_s,
    baths,
  }
}

function trueScore({ baths, size_mm }: Pick<RehearsalState, 'baths' | 'size_mm'>, { scenario, lot }: Game): number {
  const left = baths.length === 0 ? 1 : (leach(tanninOf(baths, size_mm, scenario, lot), 'quick').residual.at(-1) ?? 1)
  return meanScore(lot.strength * left)
}

/** What the forecast is asked about a rehearsal: the book's wide prior, the crumbs, the last bath over again. Undefined before the first bath. */
export function rehearsalForecast(
  { baths, crumbs, size_mm }: Pick<RehearsalState, 'baths' | 'crumbs' | 'size_mm'>,
  { mass_g }: Scenario,
  { tasteAtMost }: RehearsalLimits,
): TasteForecastInput | undefined {
  const bath = baths.at(-1)
  if (bath === undefined) return undefined
  const { pieces, heldLiquid_mL, activation_kJ_mol } = tanninOf([], size_mm, { mass_g }, { diffusivity25_m2_s: 1 })
  return {
    ...{ pieces, heldLiquid_mL, activation_kJ_mol },
    bath,
    prior: MEAL.prior,
    noise: TASTE_NOISE,
    observations: crumbs,
    target: tasteAtMost,
    maxBaths: baths.length + BATHS_AHEAD,
  }
}

const BATHS_AHEAD = 14

/** How sour wet meal is: from 1 on it smells of it. Each fresh water takes half of it away; near the boil nothing sours. */
function isSour(baths: readonly Bath[]): boolean {
  let sour = 0
  let worst = 0
  for (const { minutes, temp_C } of baths) {
    const pace = temp_C > STERILE_C ? 0 : SOURS.q10 ** ((temp_C - SOURS.at_C) / 10) / SOURS.hours
    sour = sour / 2 + pace * (minutes / 60)
    worst = Math.max(worst, sour)
  }
  return worst >= 1
}

const STERILE_C = 60

function endOf(state: RehearsalState, served: boolean, game: Game): RehearsalEnd {
  const { scenario, limits } = game
  const { baths, crumbs } = state
  const due = stillDue(baths, game)
  const last = crumbs.findLast(({ afterBath }) => afterBath === baths.length)
  const spoiled = scenario.truth.spoiled
  const sour = isSour(baths)
  const lasting = [
    ...(spoiled === undefined ? [] : [spoiled]),
    ...(sour ? ['It had gone sour: warm, wet meal left too long. Sour, fizzy or slimy is thrown away.'] : []),
  ]
  const unsafe = [
    ...lasting,
    ...(due === 0
      ? []
      : [`${formatCount(due, 'bath')} fewer than the record’s least: half leached, it is hard on the kidneys.`]),
    ...(last === undefined
      ? ['Nobody tasted a crumb after the last water.']
      : last.score > limits.tasteAtMost
        ? [`The last crumb tasted ${last.score} of 10; the record ends a leach at ${limits.tasteAtMost}.`]
        : []),
  ]
  const score = trueScore(state, game)
  const starch = starchAfter(Math.max(0, ...baths.map(({ temp_C }) => temp_C)))
  const { quickest, thriftiest } = bestOf(game)
  const more = baths.length - neededOf(state, game)
  const lost = [
    ...(scenario.wants === 'flour' && starch !== 'binds' ? ['The starch is cooked: the dough will not hold.'] : []),
    ...(served && state.hours > scenario.hours ? [`It came ${hoursText(state.hours - scenario.hours)} late.`] : []),
    ...(served && more > 1 ? [`${formatCount(more, 'bath')} more than it took.`] : []),
  ]
  const good = quickest !== undefined && lasting.length === 0
  return {
    verdict: verdictOf(),
    served,
    unsafe: served ? unsafe : lasting,
    score,
    sugarKept: baths.length === 0 ? 1 : sugarLeft(state, scenario),
    starch,
    lost: served || !good ? lost : ['It was sound and could have been made good.'],
    quickest: spoiled === undefined ? quickest : undefined,
    thriftiest: spoiled === undefined ? thriftiest : undefined,
  }

  function verdictOf(): RehearsalEnd['verdict'] {
    if (served && unsafe.length > 0) return 'badly'
    // Thrown away: right where nothing could mend it, a pity where it went sour in these hands, wrong where it was sound.
    if (!served && spoiled === undefined && quickest !== undefined) return sour ? 'passable' : 'badly'
    if (!served) return 'well'
    const near =
      state.hours <= NEAR * (quickest?.hours ?? Infinity) || state.water_mL <= NEAR * (thriftiest?.water_mL ?? Infinity)
    return lost.length === 0 && near && score <= limits.tasteAtMost + 1 ? 'well' : 'passable'
  }
}

function sugarLeft({ baths, size_mm }: RehearsalState, { mass_g }: Scenario): number {
  const input = {
    pieces: { shape: 'sphere', size_mm },
    heldLiquid_mL: mass_g * MEAL.held_mL_per_g,
    ...MEAL.sugar,
  } as const
  return leach({ ...input, baths }, 'quick').residual.at(-1) ?? 1
}

/** With how many of the baths that were given it was already good, and allowed. */
function neededOf(state: RehearsalState, game: Game): number {
  for (let count = 0; count <= state.baths.length; count += 1) {
    const baths = state.baths.slice(0, count)
    if (stillDue(baths, game) === 0 && trueScore({ ...state, baths }, game) <= game.limits.tasteAtMost) return count
  }
  return state.baths.length
}

const BATHS_AT_MOST = 24
const RATIOS = [3, 4, 6, 9] as const
const LONGER = [1, 1.5, 2.5] as const

/** The quickest and the thriftiest equal baths that make it good within the time and the water there are. */
function bestOf(game: Game): {
  readonly quickest: RehearsalBest | undefined
  readonly thriftiest: RehearsalBest | undefined
} {
  const { scenario, limits, lot } = game
  const finest = Math.min(...GRAINS_mm)
  const found: RehearsalBest[] = []
  for (const [kind, limit] of Object.entries(limits.by)) {
    const water = kind as RehearsalWater
    if (water === 'running' && !scenario.running) continue
    const temp_C = warmth(water, scenario)
    if (limit.atMost_C !== undefined && temp_C > limit.atMost_C) continue
    if (scenario.wants === 'flour' && starchAfter(temp_C) !== 'binds') continue
    for (const ratio of RATIOS)
      for (const longer of LONGER) {
        const bath = bathOf(water, ratio * scenario.mass_g, limit.minutes * longer, scenario)
        const all = Array.from({ length: BATHS_AT_MOST }, () => bath)
        const { residual } = leach(tanninOf(all, finest, scenario, lot), 'quick')
        const index = residual.findIndex(
          (left, at) => at + 1 >= limit.least && meanScore(lot.strength * left) <= limits.tasteAtMost,
        )
        if (index < 0 || isSour(all.slice(0, index + 1))) continue
        const baths = index + 1
        const hours = grinding_h(FIRST_GRAIN_mm, finest) + baths * (bath.minutes / 60 + CHANGE_h)
        const water_mL = water === 'running' ? 0 : baths * bath.water_mL
        if (hours <= scenario.hours && water_mL <= scenario.water_mL) found.push({ hours, water_mL, baths, water })
      }
  }
  const least = (of: (best: RehearsalBest) => number) =>
    found.reduce<RehearsalBest | undefined>((a, b) => (a === undefined || of(b) < of(a) ? b : a), undefined)
  return { quickest: least(({ hours }) => hours), thriftiest: least(({ water_mL, hours }) => water_mL + hours) }
}

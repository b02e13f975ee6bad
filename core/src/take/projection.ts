import type { Taxon } from '../flora/taxon'
import { chance, normals } from '../quantity/chance'
import { growthForm, type GrowthForm } from './removal'

/** Yearly rates between the stages of a plant's life: `rates[to][from]`. */
export interface LifeTable {
  readonly stages: readonly string[]
  readonly rates: readonly (readonly number[])[]
  /** Stages that are taken as whole plants. */
  readonly taken: readonly number[]
}

/** Seedling, juvenile, small and flowering plants. */
const STAGES = ['seedling', 'juvenile', 'small', 'flowering'] as const
const GROWN = [2, 3]

/** A slow woodland bulb (illustrative, after the field studies named at {@link projectStand}). */
const SLOW_BULB: LifeTable = {
  stages: STAGES,
  rates: [
    [0, 0, 0, 6],
    [0.1, 0.55, 0, 0],
    [0, 0.2, 0.7, 0.12],
    [0, 0, 0.18, 0.84],
  ],
  taken: GROWN,
}

/** Yearly survival of grown plants, years to flower where the record has none, and growth of an untouched stand: planning values. */
const FORMS: Readonly<Record<GrowthForm, { survival: number; years: number; growth: number }>> = {
  annual: { survival: 0, years: 1, growth: 1.2 },
  biennial: { survival: 0.05, years: 2, growth: 1.12 },
  herb: { survival: 0.85, years: 3, growth: 1.07 },
  bulb: { survival: 0.84, years: 7, growth: 1.06 },
  shrub: { survival: 0.95, years: 5, growth: 1.04 },
  tree: { survival: 0.98, years: 20, growth: 1.015 },
  lichen: { survival: 0.93, years: 15, growth: 1.03 },
}
const TOLERANCE_GROWTH: Readonly<Record<string, number>> = { high: 1.03, medium: 1, low: 0.99, none: 0.985 }
/** A spreading foreigner grows like this at least. */
const INVASIVE_GROWTH = 1.3
const SLOW_BULB_FROM_years = 4
/** Of a seedling's first year one in ten comes through. */
const TO_JUVENILE = 0.1

/**
 * The life table of a plant: how many years from seed to flower, how long a grown plant lives, and seeds so many that an
 * untouched stand grows as its form and record let expect. Planning values, but for the slow bulb; a stand in the wild may grow
 * or shrink by itself.
 */
export function lifeTableOf(
  taxon: Pick<Taxon, 'lifeForm' | 'yearsToMaturity' | 'harvestTolerance' | 'standing'>,
): LifeTable {
  const form = growthForm(taxon)
  const { survival, years: usual, growth: plain } = FORMS[form]
  const years = taxon.yearsToMaturity ?? usual
  const invasive = taxon.standing === 'often-invasive'
  if (form === 'bulb' && years >= SLOW_BULB_FROM_years && !invasive) return SLOW_BULB
  const wanted = Math.max(
    plain * (TOLERANCE_GROWTH[taxon.harvestTolerance ?? 'medium'] ?? 1),
    invasive ? INVASIVE_GROWTH : 0,
  )
  // What of a stage passes on each year, so that the stages before flowering last as long as the record says.
  const pass = Math.min(0.9, 2 / Math.max(2, years))
  const young = 0.75 + 0.2 * survival
  const [stays, passes] = [young * (1 - pass), young * pass]
  // The seeds with which the dominant eigenvalue is the growth wanted: the table's characteristic equation solved for them.
  const seeds = (wanted * (wanted - stays) ** 2 * (wanted - survival)) / (TO_JUVENILE * passes ** 2)
  return {
    stages: STAGES,
    rates: [
      [0, 0, 0, seeds],
      [TO_JUVENILE, stays, 0, 0],
      [0, passes, stays, 0],
      [0, 0, passes, survival],
    ],
    taken: GROWN,
  }
}

/** Yearly growth of a stand in the long run: the dominant eigenvalue of its life table (Caswell 2001), by power iteration. */
export function growthRate(table: LifeTable, take = 0): number {
  let vector = table.stages.map(() => 1)
  // Squaring the table makes a slow mixing fast: each step is a thousand years.
  const many = squared(takenFrom(table, take), 10)
  for (let step = 0; step < 100; step += 1) {
    const next = times(many, vector)
    const sum = next.reduce((total, each) => total + each, 0)
    if (sum === 0) return 0
    const scaled = next.map((each) => each / sum)
    const moved = scaled.reduce((most, each, index) => Math.max(most, Math.abs(each - (vector[index] ?? 0))), 0)
    vector = scaled
    if (moved < 1e-15) break
  }
  return times(takenFrom(table, take), vector).reduce((total, each) => total + each, 0)
}

/** The share of grown plants that may be taken each year before the average stand begins to shrink; no odd years in it. */
export function largestTake(table: LifeTable): number {
  return bisect((take) => growthRate(table, take) >= 1)
}

export interface StandProjection {
  /** Plants over plants now, a year each from now on: 10, 50 and 90 of a hundred futures lie below. */
  readonly years: readonly { readonly low: number; readonly middle: number; readonly high: number }[]
  readonly growthRate: number
  /** Before the average stand shrinks. */
  readonly largestTake: number
  /** With which nine of ten futures are no smaller after the years than now. */
  readonly safeTake: number
  /** Share of futures in which less than half is left. */
  readonly halved: number
}

const YEARS = 30
const FUTURES = 400
/** How far good and bad years, and not knowing the plant, spread a stand: so that thirty years spread as the field studies say. */
const YEAR_SPREAD = 0.32
const PLANT_SPREAD = 0.02
const CONFIDENCE = 0.9
const SEED = 22

/**
 * A stand over thirty years when this share of its grown plants is taken each year, with good and bad years and the
 * uncertainty of its rates. n(t+1) = A (I − H) n(t). Seeds vary from year to year log-normally, survival with them on the
 * logit scale. That a few per cent a year is the most a slow woodland bulb bears: Nault & Gagnon 1993; Nantel, Gagnon & Nault
 * 1996; Rock, Beckage & Gross 2004. Planning values: for comparing ways of taking, not for promising a number.
 */
export function projectStand(table: LifeTable, take: number, seed = SEED): StandProjection {
  const { futures, shares, safe } = futuresOf(table, seed)
  const stand = grownStand(table, take, shares)
  const runs = Array.from({ length: FUTURES }, (_, future) => {
    const seen = new Float64Array(YEARS + 1)
    stand(futures, future, seen)
    return seen
  })
  const quantile = (sorted: Float64Array, share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0
  const years = Array.from({ length: YEARS + 1 }, (_, year) => {
    const sorted = Float64Array.from(runs, (each) => each[year] ?? 0).sort()
    return { low: quantile(sorted, 0.1), middle: quantile(sorted, 0.5), high: quantile(sorted, 0.9) }
  })
  return {
    years,
    growthRate: growthRate(table, take),
    largestTake: largestTake(table),
    safeTake: safe,
    halved: runs.filter((each) => (each[YEARS] ?? 0) < 0.5).length / FUTURES,
  }
}

/** The largest yearly take for which nine of ten futures keep the stand; see {@link projectStand}. */
export function safeTake(table: LifeTable): number {
  return futuresOf(table, SEED).safe
}

/**
 * Futures one after another, each of thirty years, each year told by what the seeds are multiplied with and then what lives on of
 * each stage: one array of figures, since each is gone through a dozen times.
 */
type YearFactors = Float64Array

interface Futures {
  readonly futures: YearFactors
  readonly shares: readonly number[]
  readonly safe: number
}

/** The futures of a table are asked for with one take after another. */
const MADE_UP = new Map<string, Futures>()
const KEPT_AT_MOST = 200

function futuresOf(table: LifeTable, seed: number): Futures {
  const key = JSON.stringify([table, seed])
  const known = MADE_UP.get(key)
  if (known !== undefined) return known
  const futures = madeUp(table, seed)
  const shares = stableShares(table)
  // More taken never leaves more: what a future bore, or did not, settles it for every smaller or greater take.
  const bears = new Float64Array(FUTURES).fill(-1)
  const breaks = new Float64Array(FUTURES).fill(2)
  const safe = bisect((take) => {
    const stand = grownStand(table, take, shares)
    let lost = 0
    // Nine of ten must be kept: once a tenth is lost the rest need not be followed.
    for (let future = 0; future < FUTURES; future += 1) {
      if (take > (bears[future] ?? 0) && take < (breaks[future] ?? 0))
        (stand(futures, future) < 1 ? breaks : bears)[future] = take
      if (take >= (breaks[future] ?? 0)) lost += 1
      if (lost > (1 - CONFIDENCE) * FUTURES) return false
    }
    return true
  })
  const made = { futures, shares, safe }
  if (MADE_UP.size >= KEPT_AT_MOST) MADE_UP.clear()
  MADE_UP.set(key, made)
  return made
}

function madeUp(table: LifeTable, seed: number): YearFactors {
  const normal = normals(chance(seed))
  const usual = table.stages.map((_, from) => table.rates.slice(1).reduce((sum, row) => sum + (row[from] ?? 0), 0))
  const width = usual.length + 1
  const futures = new Float64Array(FUTURES * YEARS * width)
  let at = 0
  for (let future = 0; future < FUTURES; future += 1) {
    const plant = PLANT_SPREAD * normal()
    for (let year = 0; year < YEARS; year += 1) {
      const good = plant + YEAR_SPREAD * normal()
      futures[at] = Math.exp(2 * good - 2 * YEAR_SPREAD ** 2)
      // A survival shifted on the logit scale, over itself.
      const bad = Math.exp(-good)
      for (let stage = 0; stage < usual.length; stage += 1) {
        const share = usual[stage] ?? 0
        futures[at + 1 + stage] = share > 0 && share < 1 ? 1 / (share + (1 - share) * bad) : 1
      }
      at += width
    }
  }
  return futures
}

/** A stand of which so much is taken, gone through one future after another: what is left of its grown plants in the end, and year by year where that is asked. */
function grownStand({ rates, taken }: LifeTable, take: number, from: readonly number[]) {
  const size = rates.length
  const seeds = Float64Array.from(rates[0] ?? [])
  const kept = Float64Array.from(rates, (_, stage) => (taken.includes(stage) ? 1 - take : 1))
  // Most plants of a stage stay in it or pass to the next: only what is not nothing is gone through, a thousand times a year.
  const passed = rates.flatMap((row, to) =>
    to === 0 ? [] : row.flatMap((rate, stage) => (rate === 0 ? [] : [{ to, stage, rate }])),
  )
  const into = Uint8Array.from(passed, ({ to }) => to)
  const outOf = Uint8Array.from(passed, ({ stage }) => stage)
  const rate = Float64Array.from(passed, (each) => each.rate)
  const begin = Float64Array.from(from)
  const start = grownIn(begin)
  const plants = new Float64Array(size)
  const live = new Float64Array(size)
  return (futures: YearFactors, future: number, seen?: Float64Array): number => {
    plants.set(begin)
    let at = future * YEARS * (size + 1)
    if (seen !== undefined) seen[0] = 1
    for (let year = 1; year <= YEARS; year += 1) {
      let seedlings = 0
      for (let stage = 0; stage < size; stage += 1) {
        const there = (plants[stage] ?? 0) * (kept[stage] ?? 0)
        // Seeds have good and bad years of their own.
        seedlings += there * (seeds[stage] ?? 0) * (futures[at] ?? 0)
        live[stage] = there * (futures[at + 1 + stage] ?? 0)
        plants[stage] = 0
      }
      plants[0] = seedlings
      for (let each = 0; each < rate.length; each += 1) {
        const to = into[each] ?? 0
        plants[to] = (plants[to] ?? 0) + (live[outOf[each] ?? 0] ?? 0) * (rate[each] ?? 0)
      }
      at += size + 1
      if (seen !== undefined) seen[year] = grownIn(plants) / start
    }
    return grownIn(plants) / start
  }
}

/** Seedlings come and go by the thousand: a stand is counted without them. */
function grownIn(plants: Float64Array): number {
  let sum = 0
  for (let stage = 1; stage < plants.length; stage += 1) sum += plants[stage] ?? 0
  return sum
}

/** The shares of the stages in a stand that grows as its table says. */
function stableShares({ rates, stages }: LifeTable): readonly number[] {
  let plants = stages.map(() => 1)
  const many = squared(rates, 10)
  for (let step = 0; step < 20; step += 1) {
    const next = times(many, plants)
    const sum = next.reduce((total, each) => total + each, 0)
    plants = next.map((each) => each / sum)
  }
  return plants
}

function takenFrom({ rates, taken }: LifeTable, take: number): readonly (readonly number[])[] {
  return rates.map((row) => row.map((rate, from) => (taken.includes(from) ? rate * (1 - take) : rate)))
}

function times(rates: readonly (readonly number[])[], plants: readonly number[]): number[] {
  return rates.map((row) => row.reduce((sum, rate, from) => sum + rate * (plants[from] ?? 0), 0))
}

/** A table applied 2^doublings times, scaled so that no figure overflows. */
function squared(rates: readonly (readonly number[])[], doublings: number): readonly (readonly number[])[] {
  let power = rates
  for (let step = 0; step < doublings; step += 1) {
    const columns = power.map((_, column) => power.map((row) => row[column] ?? 0))
    const product = columns.map((column) => times(power, column))
    const most = Math.max(...product.flat(), Number.MIN_VALUE)
    power = power.map((_, row) => product.map((column) => (column[row] ?? 0) / most))
  }
  return power
}

/** The largest share, 0 to 1, for which something holds that holds for less when it holds for more. */
function bisect(holds: (share: number) => boolean): number {
  if (!holds(0)) return 0
  let [low, high] = [0, 1]
  for (let step = 0; step < 11; step += 1) {
    const middle = (low + high) / 2
    if (holds(middle)) low = middle
    else high = middle
  }
  return low
}

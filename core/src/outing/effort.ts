import type { Use } from '../flora/taxon'
import type { Range } from '../quantity/range'

/** What a cook's own pickings say, one figure a picking. */
export interface OwnPickings {
  /** Kept over picked, of each sorting. */
  readonly kept: readonly number[]
  /** Grams an hour, of each picking that was timed. */
  readonly rates_g_per_h: readonly number[]
}

/** From plates back to the basket: what to pick, how much room it takes, how long it takes; each with its range. */
export interface Effort {
  readonly picked_g: Range
  /** Pieces, where the record knows what one weighs. */
  readonly pieces: Range | undefined
  readonly basket_L: Range | undefined
  readonly picking_min: Range | undefined
  /** Grams picked an hour and portions an hour of picking, and whose figures they are; undefined where neither the record nor the cook knows. */
  readonly rate: (Told & { readonly portions: Range }) | undefined
  /** Food energy that an hour of picking brings, kcal; undefined where either is not known. */
  readonly energy_kcal_per_h: Range | undefined
  /** Share of what is picked that goes on, and whose it is. */
  readonly kept: Told
}

/** A figure with its range, and whose it is: the record's, or the cook's own with so many pickings behind it. */
export interface Told extends Range {
  readonly from: 'book' | 'own'
  readonly pickings: number
}

/** What a ratio of the book may be off by, where it gives one figure alone; and how far one weighing is from the next. */
const BOOK_SD = 0.15
const WEIGHING_SD = 0.12
/** Picking goes faster or slower by day and stand: planning value. */
export const RATE_SD = 0.35
/** What food energy of a plant may be off by, from one place and ripeness to another: planning value. */
const ENERGY_SD = 0.2
/** Standard deviations on either side that hold the middle four fifths of a normal spread. */
export const EIGHTY = 1.28
/** So many of one's own, and the figure is called one's own. */
const OWN_FROM = 3

/**
 * What so many plates ask: portion over what is left after cooking over what is left after trimming. The share kept begins as the
 * record's, as does the speed of picking, and is drawn to the cook's own figures as they come (normal on the logarithm). Undefined where the record knows no
 * portion: unknown stays unknown. Planning values.
 */
export function effortFor(use: Use, plates: number, own: OwnPickings = NOTHING_OWN): Effort | undefined {
  const { portion_g, edibleFraction, cookedYield, bulk_g_per_L, pieceMass_g, pickRate_g_per_h, energy_kcal_per_100g } =
    use
  if (portion_g === undefined || edibleFraction === undefined) return undefined
  const shares = own.kept.filter((ratio) => ratio > 0 && ratio <= 1)
  const kept = drawnTo(logOf(edibleFraction), shares, WEIGHING_SD)
  const speeds = own.rates_g_per_h.filter((rate) => rate > 0)
  const rate = drawnTo(
    pickRate_g_per_h === undefined ? undefined : logOf(withMiddle(pickRate_g_per_h)),
    speeds,
    RATE_SD,
  )
  const cooked = logOf(cookedYield ?? { low: 1, usual: 1, high: 1 })
  const eaten_g = portion_g * plates
  const picked = { middle: Math.log(eaten_g) - kept.middle - cooked.middle, sd: Math.hypot(kept.sd, cooked.sd) }
  const picked_g = rangeOf(picked)
  const by = (divisor: number): Range => ({
    low: picked_g.low / divisor,
    usual: picked_g.usual / divisor,
    high: picked_g.high / divisor,
  })
  return {
    picked_g,
    pieces: pieceMass_g === undefined ? undefined : by(pieceMass_g),
    basket_L: bulk_g_per_L === undefined ? undefined : by(bulk_g_per_L),
    picking_min:
      rate === undefined
        ? undefined
        : // Whoever picks more than usual may do so on a day as slow as any: the two spreads are told as one.
          rangeOf({
            middle: Math.log(60) + picked.middle - rate.middle,
            sd: Math.hypot(picked.sd, rate.sd),
          }),
    rate:
      rate === undefined
        ? undefined
        : {
            ...told(rate, speeds.length),
            portions: rangeOf({
              middle: rate.middle - picked.middle + Math.log(plates),
              sd: Math.hypot(picked.sd, rate.sd),
            }),
          },
    energy_kcal_per_h:
      rate === undefined || energy_kcal_per_100g === undefined
        ? undefined
        : rangeOf({
            middle: rate.middle + kept.middle + Math.log(energy_kcal_per_100g / 100),
            sd: Math.hypot(rate.sd, kept.sd, ENERGY_SD),
          }),
    kept: told(kept, shares.length),
  }
}

const NOTHING_OWN: OwnPickings = { kept: [], rates_g_per_h: [] }

interface Log {
  readonly middle: number
  readonly sd: number
}

function logOf({ low, usual, high }: Range): Log {
  return { middle: Math.log(usual), sd: high > low ? Math.log(high / low) / (2 * EIGHTY) : 0 }
}

function withMiddle({ low, high }: { readonly low: number; readonly high: number }): Range {
  return { low, usual: Math.sqrt(low * high), high }
}

/** The record's figure drawn to the cook's own, by how far one of those is from the next. */
function drawnTo(book: Log, own: readonly number[], ownSd: number): Log
function drawnTo(book: Log | undefined, own: readonly number[], ownSd: number): Log | undefined
function drawnTo(book: Log | undefined, own: readonly number[], ownSd: number): Log | undefined {
  if (own.length === 0) return book
  const weight = book === undefined ? 0 : 1 / Math.max(book.sd, BOOK_SD / EIGHTY) ** 2
  const ownWeight = own.length / ownSd ** 2
  const mean = own.reduce((sum, each) => sum + Math.log(each), 0) / own.length
  return {
    middle: (weight * (book?.middle ?? 0) + ownWeight * mean) / (weight + ownWeight),
    // The next picking differs from the mean as pickings do.
    sd: Math.hypot(1 / Math.sqrt(weight + ownWeight), ownSd),
  }
}

function told(log: Log, pickings: number): Told {
  return { ...rangeOf(log), from: pickings >= OWN_FROM ? 'own' : 'book', pickings }
}

function rangeOf({ middle, sd }: Log): Range {
  return { low: Math.exp(middle - EIGHTY * sd), usual: Math.exp(middle), high: Math.exp(middle + EIGHTY * sd) }
}

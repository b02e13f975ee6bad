import type { Use } from '../flora/taxon'
import type { Range } from '../quantity/range'

/** What a cook's own weighings say of one ratio: its usual value and how many weighings stand behind it. */
export interface OwnRatios {
  /** Kept over picked, of each sorting. */
  readonly kept: readonly number[]
}

/** From plates back to the basket: what to pick, how much room it takes, how long it takes; each with its range. */
export interface Effort {
  readonly picked_g: Range
  /** Pieces, where the record knows what one weighs. */
  readonly pieces: Range | undefined
  readonly basket_L: Range | undefined
  readonly picking_min: Range | undefined
  /** Share of what is picked that goes on, and whose it is. */
  readonly kept: Range & { readonly from: 'book' | 'own'; readonly weighings: number }
}

/** What a ratio of the book may be off by, where it gives one figure alone; and how far one weighing is from the next. */
const BOOK_SD = 0.15
const WEIGHING_SD = 0.12
const EIGHTY = 1.28
/** More than this of one's own and the ratio is called one's own. */
const OWN_FROM = 3

/**
 * What so many plates ask: portion over what is left after cooking over what is left after trimming. The share kept begins as the
 * record's and is drawn to the cook's own weighings as they come (normal on the logarithm). Undefined where the record knows no
 * portion: unknown stays unknown. Planning values.
 */
export function effortFor(use: Use, plates: number, own: OwnRatios = { kept: [] }): Effort | undefined {
  const { portion_g, edibleFraction, cookedYield, bulk_g_per_L, pieceMass_g, pickRate_g_per_h } = use
  if (portion_g === undefined || edibleFraction === undefined) return undefined
  const kept = drawnTo(edibleFraction, own.kept)
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
      pickRate_g_per_h === undefined
        ? undefined
        : {
            low: (60 * picked_g.low) / pickRate_g_per_h.high,
            usual: (60 * picked_g.usual) / Math.sqrt(pickRate_g_per_h.low * pickRate_g_per_h.high),
            high: (60 * picked_g.high) / pickRate_g_per_h.low,
          },
    kept: { ...rangeOf(kept), from: own.kept.length >= OWN_FROM ? 'own' : 'book', weighings: own.kept.length },
  }
}

interface Log {
  readonly middle: number
  readonly sd: number
}

function logOf({ low, usual, high }: Range): Log {
  return { middle: Math.log(usual), sd: high > low ? Math.log(high / low) / (2 * EIGHTY) : 0 }
}

/** The record's range drawn to weighings, by how sharp each is. */
function drawnTo(book: Range, weighings: readonly number[]): Log {
  const prior = logOf(book)
  const sd = Math.max(prior.sd, BOOK_SD / EIGHTY)
  const good = weighings.filter((ratio) => ratio > 0 && ratio <= 1)
  if (good.length === 0) return prior
  const weight = 1 / sd ** 2
  const own = good.length / WEIGHING_SD ** 2
  const mean = good.reduce((sum, ratio) => sum + Math.log(ratio), 0) / good.length
  return {
    middle: (weight * prior.middle + own * mean) / (weight + own),
    // The next lot differs from the mean as lots do.
    sd: Math.hypot(1 / Math.sqrt(weight + own), WEIGHING_SD),
  }
}

function rangeOf({ middle, sd }: Log): Range {
  return { low: Math.exp(middle - EIGHTY * sd), usual: Math.exp(middle), high: Math.exp(middle + EIGHTY * sd) }
}

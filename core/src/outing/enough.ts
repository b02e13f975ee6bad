import { findTaxon } from '../flora/catalogue'
import type { Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import type { Dug, LotState } from '../lot/lotState'
import type { Range } from '../quantity/range'
import { removalOf } from '../take/removal'
import { pickingOfLot } from '../take/rest'
import { EIGHTY, RATE_SD, type Effort } from './effort'

/** When to stop picking: what comes first, how much is left until then and how long that takes. */
export interface Enough {
  /** What ends it: the plates are covered, or the fair share of the stand is taken. */
  readonly first: 'need' | 'share'
  readonly left_g: number
  /** Of the fair share, pieces; undefined before the stand was counted today. */
  readonly leftOfShare: number | undefined
  /** At today's pace where a picking was timed, else at the cook's own or the record's. */
  readonly left_min: Range | undefined
  readonly pace: 'today' | 'before' | undefined
}

/**
 * Whether the plates or the stand's fair share ends the picking of one wish, from what was brought in of it on this outing, and of
 * that at this patch. The
 * share is known once the stand was counted; its grams from what the pieces cut today weighed. Undefined where the need is not known
 * or there is nothing left to pick.
 */
export function enoughFor(
  taxon: Taxon,
  effort: Effort | undefined,
  { brought, here }: { readonly brought: readonly LotState[]; readonly here: readonly LotState[] },
  { book, catalogue }: JudgeContext,
): Enough | undefined {
  if (effort === undefined) return undefined
  const picked_g = sum(brought.map(({ weighedIn }) => weighedIn?.mass_g ?? 0))
  const need_g = effort.picked_g.usual - picked_g
  const counted = here.filter(({ stand }) => stand !== null && stand.taken > 0)
  const last = counted.at(-1)
  const share = last && pickingOfLot(last, taxon, { ...book, catalogue })
  const leftOfShare = share && Math.max(0, share.fair - (last.stand?.taken ?? 0))
  const piece_g =
    sum(counted.map(({ weighedIn }) => weighedIn?.mass_g ?? 0)) / sum(counted.map(({ stand }) => stand?.taken ?? 0))
  const share_g = leftOfShare === undefined ? Infinity : leftOfShare * piece_g
  if (need_g <= 0) return undefined
  const first = share_g < need_g ? 'share' : 'need'
  const left_g = Math.min(need_g, share_g)
  const timed = brought.filter(({ weighedIn }) => (weighedIn?.took_min ?? 0) > 0)
  const today_g_per_min =
    sum(timed.map(({ weighedIn }) => weighedIn?.mass_g ?? 0)) /
    sum(timed.map(({ weighedIn }) => weighedIn?.took_min ?? 0))
  const spread = Math.exp(EIGHTY * RATE_SD * Math.sqrt(1 + 1 / Math.max(1, timed.length)))
  const paces: Range | undefined =
    timed.length > 0
      ? { low: today_g_per_min / spread, usual: today_g_per_min, high: today_g_per_min * spread }
      : effort.rate && { low: effort.rate.low / 60, usual: effort.rate.usual / 60, high: effort.rate.high / 60 }
  return {
    first,
    left_g,
    leftOfShare,
    left_min: paces && { low: left_g / paces.high, usual: left_g / paces.usual, high: left_g / paces.low },
    pace: paces && (timed.length > 0 ? 'today' : 'before'),
  }
}

/** Holes to dig for so many whole pieces, from how many of one's own came up whole. */
export interface Digging {
  readonly holes: Range
  /** Own holes and whole pieces behind the figure. */
  readonly dug: number
  readonly whole: number
}

/** Before any of one's own: one in five breaks off or is lost, as sure as five holes would make it [planning value]. */
const PRIOR_WHOLE = 4
const PRIOR_LOST = 1
/** What a hole tells of one dug with another tool, or with one that was not noted; and over how much depth [planning values]. */
const OTHER_TOOL = 0.25
const UNTOLD_TOOL = 0.5
const DEPTH_SCALE_cm = 10

/**
 * How many holes so many whole pieces of a dug part ask for. The share that comes up whole is a beta distribution (prior 4 of 5,
 * then the cook's own diggings of the plant that were counted: cut against pieces brought); what was dug with another tool or at another
 * depth counts for less (a power prior: Ibrahim & Chen 2000). The range is its middle four fifths by the normal approximation.
 * Undefined for what is not dug.
 */
export function diggingFor(
  taxon: Taxon,
  use: Use,
  pieces: number,
  { book, catalogue }: Pick<JudgeContext, 'book' | 'catalogue'>,
  meant: Partial<Dug> = {},
): Digging | undefined {
  if (removalOf(use.part) !== 'whole' || !(pieces > 0)) return undefined
  const own = [...book.lots.values()].flatMap(({ weighedIn, stand, from }) =>
    from.length === 0 &&
    weighedIn?.counted !== undefined &&
    weighedIn.part === use.part &&
    stand !== null &&
    stand.taken >= weighedIn.counted &&
    findTaxon(catalogue, weighedIn.taxon) === taxon
      ? [{ dug: stand.taken, whole: weighedIn.counted, weight: alike(stand.dug, meant) }]
      : [],
  )
  const a = PRIOR_WHOLE + sum(own.map(({ whole, weight }) => whole * weight))
  const b = PRIOR_LOST + sum(own.map(({ dug, whole, weight }) => (dug - whole) * weight))
  const share = a / (a + b)
  const sd = Math.sqrt((share * (1 - share)) / (a + b + 1))
  const holes = (of: number) => Math.ceil(pieces / Math.min(1, Math.max(0.02, of)))
  return {
    holes: { low: holes(share + EIGHTY * sd), usual: holes(share), high: holes(share - EIGHTY * sd) },
    dug: sum(own.map(({ dug }) => dug)),
    whole: sum(own.map(({ whole }) => whole)),
  }
}

/** How much a digging of before tells of one that is meant, 0 to 1. */
function alike(before: Dug | undefined, { tool, depth_cm }: Partial<Dug>): number {
  const byTool = tool === undefined || before?.tool === tool ? 1 : before === undefined ? UNTOLD_TOOL : OTHER_TOOL
  if (depth_cm === undefined || before?.depth_cm === undefined) return byTool
  return byTool * Math.exp(-(((depth_cm - before.depth_cm) / DEPTH_SCALE_cm) ** 2) / 2)
}

function sum(values: readonly number[]): number {
  return values.reduce((total, each) => total + each, 0)
}

import { findTaxon } from '../flora/catalogue'
import { groundGate } from '../gates/ground'
import type { JudgeContext } from '../gates/verdict'
import { carriedOver } from '../identity/carriedOver'
import { lotClearance } from '../identity/lotTells'
import type { LotState, SortFact, StandFact } from './lotState'

/** What a lot can take over from the last one of the same plant, part and patch; the cook confirms it in one go. */
export interface AsLastTime {
  readonly fromCode: string
  /** The one tell that is looked at live. */
  readonly character: string
  readonly stand: Omit<StandFact, 'at'>
  readonly sort: Omit<SortFact, 'at' | 'kept_g' | 'trimmed_g'>
  /** What of it would go on, by last time's share, g: an estimate until it is weighed. */
  readonly kept_g: number
}

/**
 * Answers carried over, where {@link carriedOver} allows it and the ground is still open: the stand and who lives on it, the
 * sorting and its share. Undefined where anything has to be asked anew.
 */
export function asLastTime(lot: LotState, context: JudgeContext): AsLastTime | undefined {
  const { weighedIn } = lot
  const taxon = weighedIn === null ? undefined : findTaxon(context.catalogue, weighedIn.taxon)
  if (weighedIn === null || taxon === undefined || lot.sorted !== null || lot.stand !== null) return undefined
  const carried = carriedOver(lot, taxon, context)
  if (carried === undefined || groundGate(lot, context).state !== 'open') return undefined
  const last = [...context.book.lots.values()].find(({ code }) => code === carried.fromCode)
  const { missing, next } = lotClearance(lot, taxon, context)
  const character = next.find((each) => missing.includes(each.character))?.character
  if (last === undefined || last.weighedIn === null || last.stand === null || last.sorted === null) return undefined
  if (character === undefined) return undefined
  const { stems, taken, wildlifeLooked, wildlifeOn, othersPick, school } = last.stand
  const { stageSeen, trimmedTo, wash, kept_g } = last.sorted
  const share = weighedIn.mass_g / last.weighedIn.mass_g
  return {
    fromCode: carried.fromCode,
    character,
    stand: { stems, taken: Math.round(taken * share), wildlifeLooked, wildlifeOn, othersPick, school },
    sort: { stageSeen, trimmedTo, wash },
    kept_g: Math.round(kept_g * share),
  }
}

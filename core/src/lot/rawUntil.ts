import type { JudgeContext } from '../gates/verdict'
import { cookedAt } from '../keep/storage'
import { addDays, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import { strandsOf, type LotState } from './lotState'

/** Until when the picking is good raw, at the warmth of a kitchen or, crisped and wrapped, in the cold; null once it was heated, leached or stored, or where nothing is on record. */
export function rawUntil(lot: LotState, { catalogue }: JudgeContext): Instant | null {
  const keeps = lotUse(lot, catalogue)?.keepsRaw_days
  // Crisped, wrapped and cold they keep as chilled ones do, from the picking; not where the water did no good.
  const cold = lot.revived !== null && lot.revived.chilled && ['crisp', 'better'].includes(lot.revived.looks)
  const days = cold ? keeps?.chilled : keeps?.ambient
  const picked = strandsOf(lot)
    .flatMap(({ lot: { weighedIn } }) => (weighedIn === null ? [] : [weighedIn.pickedAt]))
    .sort()[0]
  return days === undefined ||
    picked === undefined ||
    cookedAt(lot) !== undefined ||
    lot.baths.length > 0 ||
    lot.outOfStoreAt !== null
    ? null
    : addDays(picked, days)
}

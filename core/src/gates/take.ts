import { findTaxon } from '../flora/catalogue'
import { strandsOf, type LotState } from '../lot/lotState'
import { leftAlone } from '../ground/leftAlone'
import { pickingOfLot } from '../take/rest'
import { ajarFor, closedBy, openWith, worstOf, type Finding, type JudgeContext } from './verdict'

/**
 * Opens when the stand was counted and its wildlife looked for. Taking too much does not make food unfit: the gate opens
 * and says so, the patch is booked a rest, and further picking there is shut.
 */
export function takeGate(lot: LotState, context: JudgeContext): Finding {
  return worstOf(strandsOf(lot).map((strand) => pickingTake(strand.lot, context)))
}

function pickingTake(lot: LotState, { catalogue, book }: JudgeContext): Finding {
  const { weighedIn } = lot
  const taxon = weighedIn === null ? undefined : findTaxon(catalogue, weighedIn.taxon)
  if (weighedIn === null || taxon === undefined) return closedBy('This plant is not in the catalogue.')
  if (taxon.standing === 'protected') return closedBy('It is protected: it is not picked.')
  // Of a batch the stand is counted in the lot it came from, whenever.
  const stand = lot.stand ?? book.lots.get(lot.id)?.stand ?? null
  if (stand === null) return ajarFor('Say how many plants there were and how many you cut.')
  if (taxon.wildlifeHost !== undefined && !stand.wildlifeLooked)
    return ajarFor('Check the plants for insects, eggs and nests.')
  const alone = leftAlone(book.house, weighedIn.patch, weighedIn.pickedAt)
  const picking = pickingOfLot(lot, taxon, { ...book, catalogue })?.text ?? ''
  return openWith(alone === undefined ? picking : `${picking} ${alone}`)
}

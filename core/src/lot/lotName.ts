import { commonName, findTaxon } from '../flora/catalogue'
import type { JudgeContext } from '../gates/verdict'
import { kitchenAt } from '../log/houseState'
import type { BookState } from '../log/fold'
import { dayOf, fromMs } from '../quantity/instant'
import type { LotState } from './lotState'
import { partWord } from './packView'

/** How a lot is called on screen. */
export function lotName(
  lot: LotState,
  { book, catalogue }: JudgeContext,
): { readonly title: string; readonly scientificName: string; readonly patch: string } {
  const { weighedIn } = lot
  const taxon = weighedIn === null ? undefined : findTaxon(catalogue, weighedIn.taxon)
  return {
    title:
      taxon === undefined || weighedIn === null ? `Lot ${lot.id}` : `${commonName(taxon)} ${partWord(weighedIn.part)}`,
    scientificName: taxon?.scientificName ?? weighedIn?.taxon ?? '',
    patch: (weighedIn === null ? undefined : book.house.patches[weighedIn.patch]?.name) ?? 'a patch not named yet',
  }
}

/** The code of the next lot: two digits of the year and a running number, `27-007`. */
export function nextLotCode(book: BookState, now_ms: number): string {
  const now = fromMs(now_ms)
  const year = dayOf(now, kitchenAt(book.house, now)?.timeZone ?? 'UTC').slice(2, 4)
  const numbers = [...book.lots.keys()].flatMap((code) =>
    code.startsWith(`${year}-`) ? [Number(code.slice(3)) || 0] : [],
  )
  return `${year}-${String(Math.max(0, ...numbers) + 1).padStart(3, '0')}`
}

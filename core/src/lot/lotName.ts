import { commonName, findTaxon } from '../flora/catalogue'
import type { JudgeContext } from '../gates/verdict'
import { kitchenAt } from '../log/houseState'
import type { BookState } from '../log/fold'
import { dayOf, fromMs } from '../quantity/instant'
import { strandsOf, type LotState } from './lotState'
import { lotUse } from '../treatment/batchUse'
import { partWord } from './partWord'

/** How a lot is called on screen; a batch by all that is in it. */
export function lotName(
  lot: LotState,
  { book, catalogue }: JudgeContext,
): { readonly title: string; readonly scientificName: string; readonly patch: string } {
  const strands = strandsOf(lot).flatMap(({ lot: strand }) =>
    strand.weighedIn === null ? [] : [{ strand, weighedIn: strand.weighedIn }],
  )
  const named = strands.map(({ strand, weighedIn }) => {
    const called = lotUse(strand, catalogue)?.called
    const taxon = findTaxon(catalogue, weighedIn.taxon)
    return {
      title: called ?? (taxon === undefined ? weighedIn.taxon : `${commonName(taxon)} ${partWord(weighedIn.part)}`),
      scientificName: taxon?.scientificName ?? weighedIn.taxon,
      patch: book.house.patches[weighedIn.patch]?.name ?? 'a patch not named yet',
    }
  })
  const together = (key: 'title' | 'scientificName' | 'patch') =>
    [...new Set(named.map((each) => each[key]))].join(' and ')
  return {
    title: named.length === 0 ? `Lot ${lot.code || lot.id}` : together('title'),
    scientificName: together('scientificName'),
    patch: named.length === 0 ? 'a patch not named yet' : together('patch'),
  }
}

/** The code of the next lot: two digits of the year and a running number, `27-007`. */
export function nextLotCode(book: BookState, now_ms: number): string {
  const now = fromMs(now_ms)
  const year = dayOf(now, kitchenAt(book.house, now)?.timeZone ?? 'UTC').slice(2, 4)
  const numbers = [...book.lots.values()].flatMap(({ code }) =>
    code.startsWith(`${year}-`) ? [Number(code.slice(3)) || 0] : [],
  )
  return `${year}-${String(Math.max(0, ...numbers) + 1).padStart(3, '0')}`
}

/** How much of a fresh UUID goes into an id: two devices that count alike must not meet in one lot. */
const TAIL_CHARACTERS = 4

/** The id of a patch that is named now: short, and not the name, which may change. */
export function newPatchId(uuid: string): string {
  return `patch-${uuid.slice(-8)}`
}

/** The id of a new lot: its code, and a few characters that no other device has. */
export function newLotId(code: string, uuid: string): string {
  return `${code}-${uuid.slice(-TAIL_CHARACTERS)}`
}

/** The id of a lot's next pack: `27-007-x3f9-b7`. */
export function nextPackId(lot: LotState, uuid: string): string {
  return `${lot.id}-${String.fromCharCode(97 + (lot.packs.length % 26))}${uuid.slice(-2)}`
}

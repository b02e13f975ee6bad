import { findTaxon } from '../flora/catalogue'
import type { JudgeContext } from '../gates/verdict'
import { strandsOf, type LotState } from '../lot/lotState'
import type { EarlierLot, Likeness } from '../taste/learn'
import { lotUse } from '../treatment/batchUse'
import { tanninForecast } from './tannin'

/** What a lot's own forecast may learn from, and how it is like them. */
export interface LeachLessons {
  readonly earlier: readonly EarlierLot[]
  readonly next: Likeness
}

/** The latest so many lots say all there is to say: a trees' nuts of ten years ago add little. */
const LOTS_AT_MOST = 12

/**
 * Earlier leached lots of the same part of the same plant, each with its crumbs, the latest first. A lot's own kin is left out: what
 * was split from it shares its tastes.
 */
export function leachLessons(lot: LotState, context: JudgeContext): LeachLessons | undefined {
  const next = likenessOf(lot, context)
  const part = strandsOf(lot)[0]?.lot.weighedIn?.part
  if (next === undefined) return undefined
  const family = context.book.families.get(lot.id) ?? []
  const earlier = [...context.book.lots.values()]
    .filter((other) => other.id !== lot.id && !family.includes(other.id) && other.baths.length > 0)
    .flatMap((other): readonly (EarlierLot & { readonly at: string })[] => {
      const likeness = likenessOf(other, context)
      const limit = limitOf(other, context)
      const mass_g = other.sorted?.kept_g ?? other.weighedIn?.mass_g ?? 0
      if (likeness?.taxon !== next.taxon || other.weighedIn?.part !== part || limit === undefined) return []
      const asked = tanninForecast(other.baths, other.tastes, mass_g, limit)
      return asked === undefined || asked.observations.length === 0
        ? []
        : [{ ...likeness, asked, at: other.weighedIn?.pickedAt ?? '' }]
    })
    .toSorted((a, b) => (a.at > b.at ? -1 : 1))
    .slice(0, LOTS_AT_MOST)
    .map(({ taxon, patch, year, taster, asked }) => ({ taxon, patch, year, taster, asked }))
  return { earlier, next }
}

function likenessOf(lot: LotState, { catalogue }: JudgeContext): Likeness | undefined {
  const weighedIn = strandsOf(lot)[0]?.lot.weighedIn ?? null
  const taxon = weighedIn === null ? undefined : findTaxon(catalogue, weighedIn.taxon)
  if (weighedIn === null || taxon === undefined) return undefined
  return {
    taxon: taxon.scientificName,
    patch: weighedIn.patch,
    year: Number(weighedIn.pickedAt.slice(0, 4)),
    taster: lot.tastes.findLast(({ crumb }) => crumb)?.taster ?? '',
  }
}

/** The limit of the leach by which a lot was tasted. */
function limitOf(lot: LotState, { catalogue }: JudgeContext) {
  const protocol = lotUse(lot, catalogue)?.protocols.find(({ name }) => name === lot.baths[0]?.protocol)
  const limit = protocol?.steps[lot.baths[0]?.step ?? -1]?.limit
  return limit?.measure === 'baths' ? limit : undefined
}

import type { AddedFact, LotState } from '../lot/lotState'
import type { Instant } from '../quantity/instant'

/** What brings water or leaves food open to germs; salt and sugar draw water and bring none. */
export function isWet({ what }: Pick<AddedFact, 'what'>): boolean {
  return what !== 'salt' && what !== 'sugar'
}

/** The moments at which water or something wet was at the lot: baths, soaking, steeping for a drink, and what was put to it. */
export function wettings({
  baths,
  added,
  cutUp,
  strainedAt,
}: Pick<LotState, 'baths' | 'added' | 'cutUp' | 'strainedAt'>): readonly Instant[] {
  return [
    ...baths.map(({ begunAt, endedAt }) => endedAt ?? begunAt),
    ...added.filter(isWet).map(({ at }) => at),
    ...cutUp.flatMap(({ at, how }) => (how === 'soaked' ? [at] : [])),
    ...(strainedAt === null ? [] : [strainedAt]),
  ]
}

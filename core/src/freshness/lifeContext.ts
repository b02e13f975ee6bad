import type { Catalogue } from '../flora/catalogue'
import type { HouseState } from '../log/houseState'
import type { Instant } from '../quantity/instant'

/** What the freshness of food is judged by. */
export interface LifeContext {
  readonly book: { readonly house: HouseState }
  readonly catalogue: Catalogue
  readonly now: Instant
}

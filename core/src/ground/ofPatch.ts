import { findTaxon, type Catalogue } from '../flora/catalogue'
import { kitchenAt, type HouseState, type PatchState } from '../log/houseState'
import type { WeighIn } from '../lot/lotState'
import type { Instant } from '../quantity/instant'
import { groundVerdict, type GroundVerdict } from './verdict'

/** What a picking is held against besides itself. */
export interface Surroundings {
  readonly house: HouseState
  readonly catalogue: Catalogue
  readonly now: Instant
}

/** The ground of a patch for a part of a plant, by the kitchen's school; undefined where the plant is not on record. */
export function groundAt(
  picking: Pick<WeighIn, 'taxon' | 'part' | 'patch' | 'cutAt'> | null,
  { house, catalogue, now }: Surroundings,
): { readonly patch: PatchState | undefined; readonly verdict: GroundVerdict } | undefined {
  const taxon = picking === null ? undefined : findTaxon(catalogue, picking.taxon)
  const patch = picking === null ? undefined : house.patches[picking.patch]
  if (picking === null || taxon === undefined) return undefined
  return {
    patch,
    verdict: groundVerdict({
      taxon,
      part: picking.part,
      facts: patch?.facts ?? {},
      patchName: patch?.name ?? picking.patch,
      cutAt: picking.cutAt,
      now,
      groundSchool: kitchenAt(house, now)?.groundSchool,
    }),
  }
}

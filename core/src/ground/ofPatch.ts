import { findTaxon, type Catalogue } from '../flora/catalogue'
import { kitchenAt, type HouseState, type PatchState } from '../log/houseState'
import type { WeighIn } from '../lot/lotState'
import type { Instant } from '../quantity/instant'
import type { GroundFacts } from './facts'
import { groundVerdict, type GroundVerdict } from './verdict'

/** What a picking is held against besides itself. */
export interface Surroundings {
  readonly house: HouseState
  readonly catalogue: Catalogue
  readonly now: Instant
}

/**
 * The ground of a patch for a part of a plant, by the kitchen's school; undefined where the plant is not on record.
 *
 * A picking is judged as of its picking: waits and leave by that day, and by what was noted of the ground until then as well as by what is
 * known now, the stricter of the two. So nothing opens by waiting in the larder, nor by a patch that is better now; a mistaken note
 * is struck out. Without `pickedAt` it is judged as of now, for a picking still to come.
 */
export function groundAt(
  picking: (Pick<WeighIn, 'taxon' | 'part' | 'patch' | 'cutAt'> & { readonly pickedAt?: Instant }) | null,
  { house, catalogue, now }: Surroundings,
): { readonly patch: PatchState | undefined; readonly verdict: GroundVerdict } | undefined {
  const taxon = picking === null ? undefined : findTaxon(catalogue, picking.taxon)
  const patch = picking === null ? undefined : house.patches[picking.patch]
  if (picking === null || taxon === undefined) return undefined
  const judged = (facts: GroundFacts) =>
    groundVerdict({
      taxon,
      part: picking.part,
      facts,
      patchName: patch?.name ?? picking.patch,
      cutAt: picking.cutAt,
      now: picking.pickedAt ?? now,
      groundSchool: kitchenAt(house, now)?.groundSchool,
    })
  const known = judged(patch?.facts ?? {})
  const { pickedAt } = picking
  if (patch === undefined || pickedAt === undefined || patch.notes.every(({ at }) => at <= pickedAt))
    return { patch, verdict: known }
  const then = judged({ ...patch.facts, ...factsAt(patch, pickedAt) })
  return { patch, verdict: stricter(known, then) }
}

/** Each fact as it was last noted by an instant; those noted later only are not among them. */
function factsAt({ notes }: PatchState, at: Instant): GroundFacts {
  const facts: Record<string, unknown> = {}
  for (const note of notes)
    if (note.at <= at)
      for (const [fact, value] of Object.entries(note.facts))
        if (value !== undefined) facts[fact] = { value, at: note.at }
  return facts
}

/** All that either holds against it; what is still to be asked is what nobody knows now. */
function stricter(known: GroundVerdict, then: GroundVerdict): GroundVerdict {
  const both = (pick: (verdict: GroundVerdict) => readonly string[]) => [...new Set([...pick(known), ...pick(then)])]
  const closed = both((each) => each.closed)
  return {
    ...known,
    state: closed.length > 0 ? 'closed' : known.toAsk.length > 0 ? 'ajar' : 'open',
    closed,
    living: both((each) => each.living),
    remarks: both((each) => each.remarks),
  }
}

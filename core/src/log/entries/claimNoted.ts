import type { Claim } from '../../flora/taxon'
import type { Part, Stage } from '../../flora/vocabulary'
import type { EntryBase, EntryDef } from '../entry'
import type { HouseState } from '../houseState'

/** Something read or heard about a way of treating a part; or a study that is still awaited. */
export interface ClaimNoted extends EntryBase {
  readonly type: 'claim-noted'
  readonly taxon: string
  readonly part: Part
  readonly stage: Stage
  readonly claim: Omit<Claim, 'id'>
}

export const claimNoted: EntryDef<ClaimNoted, HouseState> = {
  apply: (house, { id, taxon, part, stage, claim }) => ({
    ...house,
    claims: { ...house.claims, [taxon]: [...(house.claims[taxon] ?? []), { part, stage, claim: { ...claim, id } }] },
  }),
}

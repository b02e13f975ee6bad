import type { Taxon } from '../flora/taxon'
import { addDays, type Instant } from '../quantity/instant'

/** What a length of rhizome or stem gives when it is cut up to be grown on, and when to look after it; or why it is not. */
export type Starts =
  | { readonly refused: string }
  | {
      readonly pieces: number
      /** Each piece, so long that it holds its joints and half a gap at either end. */
      readonly piece_cm: number
      readonly careDays: readonly { readonly on: Instant; readonly says: string }[]
    }

export interface Cutting {
  readonly length_cm: number
  /** From one joint (bud, node) to the next. */
  readonly joint_cm: number
  /** One joint shoots, the others root: two is usual. */
  readonly jointsAPiece: number
}

/** Days until the first look, until it should have rooted and until it may be planted out [planning values]. */
const CARE: readonly (readonly [days: number, says: string])[] = [
  [2, 'still moist and out of the sun?'],
  [14, 'look for the little sprout at each joint; throw out what is soft'],
  [35, 'plant out what has rooted, and water it in'],
]

/**
 * So many joints lie in a length, half a gap before the first and after the last; pieces of two or three joints are cut from it and
 * a rest too short for one is not counted. Nothing is multiplied that spreads as a plague or is protected.
 */
export function startsFrom(taxon: Taxon, { length_cm, joint_cm, jointsAPiece }: Cutting, now: Instant): Starts {
  if (taxon.standing === 'often-invasive')
    return { refused: 'It spreads where it should not: it is not multiplied, and no scrap of it is dropped.' }
  if (taxon.standing === 'protected') return { refused: 'It is protected: nothing of it is taken to be grown on.' }
  const joints = Math.floor(length_cm / joint_cm)
  return {
    pieces: Math.floor(joints / jointsAPiece),
    piece_cm: joint_cm * jointsAPiece,
    careDays: CARE.map(([days, says]) => ({ on: addDays(now, days), says })),
  }
}

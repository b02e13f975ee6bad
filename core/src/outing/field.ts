import { findTaxon, findUse } from '../flora/catalogue'
import type { Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import { groundAt } from '../ground/ofPatch'
import type { GroundVerdict } from '../ground/verdict'
import type { PatchId } from '../log/entry'
import type { OutingFact, PickingWish } from '../log/houseState'
import { isBegun, type LotState } from '../lot/lotState'
import { removalOf } from '../take/removal'
import { effortFor, type Effort } from './effort'
import { diggingFor, enoughFor, type Digging, type Enough } from './enough'
import { againstPicking, orderOfStops, ownPickings } from './outing'

/** An outing on the way: what is still to be picked where, and what is in the basket of it. */
export interface FieldView {
  readonly outing: OutingFact
  readonly stops: readonly { readonly patch: PatchId; readonly name: string; readonly lines: readonly FieldLine[] }[]
  /** Lots brought in on this outing, in the order of picking. */
  readonly lots: readonly LotState[]
}

export interface FieldLine {
  readonly wish: PickingWish
  readonly taxon: Taxon
  readonly use: Use
  readonly effort: Effort | undefined
  readonly ground: GroundVerdict | undefined
  /** Why nothing is taken here today, if so. */
  readonly against: readonly string[]
  /** Of this wish, in the basket. */
  readonly picked_g: number
  readonly enough: boolean
  /** Still wanted of it, g; nothing or less where it is covered. */
  readonly left_g: number
  /** What ends the picking first, and when. */
  readonly stop: Enough | undefined
  /** Holes for the pieces still wanted, where it is dug. */
  readonly digging: Digging | undefined
  /** Holes dug for it today. */
  readonly dug: number
}

/** An outing as it stands; undefined where none of that name was planned. */
export function fieldView(id: string, context: JudgeContext): FieldView | undefined {
  const { book, catalogue, now } = context
  const outing = book.house.outings[id]
  if (outing === undefined) return undefined
  const lots = [...book.lots.values()]
    .filter((lot) => isBegun(lot) && lot.weighedIn?.outing === id && lot.from.length === 0)
    .toSorted((a, b) => ((a.weighedIn?.pickedAt ?? '') < (b.weighedIn?.pickedAt ?? '') ? -1 : 1))
  const lines = outing.wishes.flatMap((wish): readonly FieldLine[] => {
    const taxon = findTaxon(catalogue, wish.taxon)
    const use = taxon === undefined ? undefined : findUse(taxon, wish.part, wish.stage)
    if (taxon === undefined || use === undefined) return []
    const effort = effortFor(use, outing.plates, ownPickings(taxon, use, context))
    const brought = lots.filter(({ weighedIn }) => weighedIn?.taxon === wish.taxon && weighedIn.part === wish.part)
    const picked_g = brought.reduce((sum, { weighedIn }) => sum + (weighedIn?.mass_g ?? 0), 0)
    const left_g = (effort?.picked_g.usual ?? 0) - picked_g
    const here = brought.filter(({ weighedIn }) => weighedIn?.patch === wish.patch)
    const ground = groundAt(wish, { house: book.house, catalogue, now })?.verdict
    const patch = book.house.patches[wish.patch]
    return [
      {
        wish,
        taxon,
        use,
        effort,
        ground,
        against: patch === undefined || ground === undefined ? [] : againstPicking(taxon, patch, ground, context),
        picked_g,
        left_g,
        enough: effort !== undefined && picked_g >= effort.picked_g.usual,
        stop: enoughFor(taxon, effort, { brought, here }, context),
        digging: use.pieceMass_g === undefined ? undefined : diggingFor(taxon, use, left_g / use.pieceMass_g, context),
        dug: removalOf(wish.part) === 'whole' ? here.reduce((sum, { stand }) => sum + (stand?.taken ?? 0), 0) : 0,
      },
    ]
  })
  return {
    outing,
    lots,
    stops: orderOfStops(lines, ({ wish: { patch }, use }) => ({ patch, keeps_days: use.keepsRaw_days?.ambient })).map(
      (patch) => ({
        patch,
        name: book.house.patches[patch]?.name ?? patch,
        lines: lines.filter(({ wish }) => wish.patch === patch),
      }),
    ),
  }
}

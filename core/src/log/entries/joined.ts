import { emptyLot, withFlow, type JoinedLot } from '../../lot/lotState'
import type { EntryBase, LineageDef, LotId } from '../entry'

/** Lots go together in a batch: the worst state of each gate, all hazards, the strictest treatment. */
export interface Joined extends EntryBase {
  readonly type: 'joined'
  /** The batch. */
  readonly lot: LotId
  readonly code: string
  readonly parts: readonly { readonly lot: LotId; readonly mass_g: number }[]
}

function plantOf({ lotThen, mass_g }: Omit<JoinedLot, 'at'>): number {
  return lotThen.mass_g > 0 ? (lotThen.plant_g * mass_g) / lotThen.mass_g : 0
}

export const joined: LineageDef<Joined> = {
  touches: ({ lot, parts }) => [lot, ...parts.map((part) => part.lot)],
  apply(lots, { lot: id, code, parts, at }) {
    const batch = lots.get(id) ?? emptyLot(id)
    const taken = parts.flatMap(({ lot, mass_g }) => {
      const source = lots.get(lot)
      return source === undefined || lot === id
        ? []
        : [{ lotThen: source, mass_g: Math.min(mass_g, source.mass_g), at }]
    })
    for (const { lotThen, mass_g } of taken)
      lots.set(lotThen.id, { ...withFlow(lotThen, { at, what: 'joined', mass_g, to: id }), lastAt: at })
    lots.set(id, {
      ...batch,
      code,
      mass_g: batch.mass_g + taken.reduce((sum, { mass_g }) => sum + mass_g, 0),
      plant_g: batch.plant_g + taken.reduce((sum, each) => sum + plantOf(each), 0),
      from: [...batch.from, ...taken.map(({ lotThen, mass_g }) => ({ lot: lotThen.id, pack: null, mass_g, at }))],
      joined: [...batch.joined, ...taken],
      lastAt: at,
    })
  },
}

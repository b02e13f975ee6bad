import type { Entry } from '../log/entries'
import { roundedPosition } from '../quantity/position'

/** Where patches lie, in a file: left out, rounded to a grid of so many kilometres, or as they are. */
export type PositionsInFile = 'none' | 'exact' | { readonly grid_km: number }

/** An entry as it goes into a file. */
export function withPosition(entry: Entry, positions: PositionsInFile): Entry {
  if (entry.type !== 'ground-noted' || entry.position === undefined || positions === 'exact') return entry
  const { position, ...rest } = entry
  return positions === 'none' ? rest : { ...rest, position: roundedPosition(position, positions.grid_km) }
}

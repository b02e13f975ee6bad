import type { Move } from '@ellop/core'
import { create } from 'zustand'

export interface Game {
  /** Which lot it is: the same number gives the same lot. */
  readonly seed: number
  readonly moves: readonly Move[]
}

export type Verdict = 'well' | 'passable' | 'badly'

/** Rehearsals as they stand while the application is open. Nothing of them enters a book. */
export const useGames = create<{
  readonly games: Readonly<Record<string, Game>>
  readonly verdicts: Readonly<Record<string, Verdict>>
  readonly move: (id: string, move: Move) => void
  /** Another lot of the same kind. */
  readonly again: (id: string) => void
  readonly ended: (id: string, verdict: Verdict) => void
}>((set) => ({
  games: {},
  verdicts: {},
  move: (id, move) =>
    set(({ games }) => ({
      games: { ...games, [id]: { ...gameOf(games, id), moves: [...gameOf(games, id).moves, move] } },
    })),
  again: (id) => set(({ games }) => ({ games: { ...games, [id]: { seed: gameOf(games, id).seed + 1, moves: [] } } })),
  ended: (id, verdict) => set(({ verdicts }) => ({ verdicts: { ...verdicts, [id]: verdict } })),
}))

const FRESH: Game = { seed: 1, moves: [] }

/** A game as it stands; a fresh one where none was begun. */
export function gameOf(games: Readonly<Record<string, Game>>, id: string): Game {
  return games[id] ?? FRESH
}

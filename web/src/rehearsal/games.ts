import type { Move } from '@ellop/core'
import Dexie, { type Table } from 'dexie'
import { create } from 'zustand'
import { createJSONStorage, persist, type StateStorage } from 'zustand/middleware'

export interface Game {
  /** Which lot it is: the same number gives the same lot. */
  readonly seed: number
  readonly moves: readonly Move[]
}

export type Verdict = 'well' | 'passable' | 'badly'

interface Games {
  readonly games: Readonly<Record<string, Game>>
  readonly verdicts: Readonly<Record<string, Verdict>>
  readonly move: (id: string, move: Move) => void
  /** Another lot of the same kind. */
  readonly again: (id: string) => void
  readonly ended: (id: string, verdict: Verdict) => void
}

class RehearsalsDb extends Dexie {
  readonly kept!: Table<{ readonly key: string; readonly text: string }, string>

  constructor() {
    super('ellop-rehearsals')
    this.version(1).stores({ kept: 'key' })
  }
}

const db = new RehearsalsDb()

/** A rehearsal that cannot be kept is played all the same: nothing hangs on it. */
const STORAGE: StateStorage = {
  getItem: async (key) => (await db.kept.get(key).catch(() => undefined))?.text ?? null,
  setItem: async (key, text) => void (await db.kept.put({ key, text }).catch(() => undefined)),
  removeItem: async (key) => void (await db.kept.delete(key).catch(() => undefined)),
}

/** Moves of an earlier version may not be ones any more: such rehearsals begin anew. */
const MOVES_VERSION = 1

/** Rehearsals as they stand, kept beside the books: nothing of them enters one. */
export const useGames = create<Games>()(
  persist(
    (set) => ({
      games: {},
      verdicts: {},
      move: (id, move) =>
        set(({ games }) => ({
          games: { ...games, [id]: { ...gameOf(games, id), moves: [...gameOf(games, id).moves, move] } },
        })),
      again: (id) =>
        set(({ games }) => ({ games: { ...games, [id]: { seed: gameOf(games, id).seed + 1, moves: [] } } })),
      ended: (id, verdict) => set(({ verdicts }) => ({ verdicts: { ...verdicts, [id]: verdict } })),
    }),
    {
      name: 'rehearsals',
      version: MOVES_VERSION,
      storage: createJSONStorage(() => STORAGE),
      partialize: ({ games, verdicts }) => ({ games, verdicts }),
      migrate: (kept) => ({ games: {}, verdicts: (kept as Pick<Games, 'verdicts'>).verdicts }),
    },
  ),
)

const FRESH: Game = { seed: 1, moves: [] }

/** A game as it stands; a fresh one where none was begun. */
export function gameOf(games: Readonly<Record<string, Game>>, id: string): Game {
  return games[id] ?? FRESH
}

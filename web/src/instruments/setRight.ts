import type { InstrumentId, Instant } from '@ellop/core'
import { create } from 'zustand'

export interface SetRight {
  /** What it showed above its reference. */
  readonly offset: number
  readonly at: Instant
}

/** How far each instrument was found to be off, while the application is open. */
export const useSetRight = create<{
  readonly found: Readonly<Partial<Record<InstrumentId, SetRight>>>
  readonly set: (id: InstrumentId, found: SetRight) => void
}>((set) => ({
  found: {},
  set: (id, found) => set((state) => ({ found: { ...state.found, [id]: found } })),
}))

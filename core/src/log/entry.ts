import type { LotState } from '../lot/lotState'
import type { Instant } from '../quantity/instant'

declare const brand: unique symbol
type Branded<Name extends string> = string & { readonly [brand]?: Name }
export type EntryId = Branded<'entry'>
export type LotId = Branded<'lot'>
export type PatchId = Branded<'patch'>
export type EaterId = Branded<'eater'>
export type PackId = Branded<'pack'>

/** What every entry carries. Appended once and never changed; a mistake is struck out by another entry. */
export interface EntryBase {
  readonly id: EntryId
  /** When it happened. */
  readonly at: Instant
  /** When it was written down. */
  readonly noted: Instant
  readonly book: string
  readonly by: string
  readonly device: string
}

/** An entry type: what it does to the state of its shard. One file each, in `entries/`. */
export interface EntryDef<E extends EntryBase & { readonly type: string }, State> {
  readonly apply: (state: State, entry: E) => State
}

/** An entry type that passes mass from lots to lots: it changes several at once, in the order of the log. */
export interface LineageDef<E extends EntryBase & { readonly type: string }> {
  /** The lots that it reads or changes. */
  readonly touches: (entry: E) => readonly LotId[]
  readonly apply: (lots: Map<LotId, LotState>, entry: E) => void
}

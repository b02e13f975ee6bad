/** One step in the shape of stored entries: from the version before to this one. */
export interface Upgrade {
  readonly version: number
  readonly name: string
  /** The same entry in the newer shape. The same input gives the same output on every device. */
  readonly entry: (entry: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>
}

/** Every change in the shape of entries, numbered without gaps from 2; the last one is the version of today. */
export const UPGRADES: readonly Upgrade[] = [
  {
    version: 2,
    name: 'a taste says how dry it was, and whether it was a crumb',
    entry: (entry) => (entry['type'] === 'tasted' ? { astringent: 0, crumb: false, ...entry } : entry),
  },
]

/** The version in which entries are stored and exported today. */
export const ENTRY_VERSION = 1 + UPGRADES.length

/** A stored entry of an earlier version in the shape of today; not yet held against its schema. */
export function upgradeEntry(entry: unknown, fromVersion: number): unknown {
  if (entry === null || typeof entry !== 'object') return entry
  return UPGRADES.filter(({ version }) => version > fromVersion).reduce<Readonly<Record<string, unknown>>>(
    (upgraded, { entry: upgrade }) => upgrade(upgraded),
    entry as Readonly<Record<string, unknown>>,
  )
}

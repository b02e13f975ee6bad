import { fromMs, type Instant } from '@ellop/core'

/** The one clock of the application: a moment of the book that belongs to a moment of the machine, and runs on from there. */
export interface ClockSetting {
  readonly book_ms: number
  readonly machine_ms: number
}

/** Milliseconds on the machine's clock; the only place where they are read. */
export function machineMs(): number {
  // eslint-disable-next-line no-restricted-properties -- this is the one clock
  return Date.now()
}

/** The book's moment under a setting, now. */
export function bookNow(setting: ClockSetting): Instant {
  return fromMs(setting.book_ms + machineMs() - setting.machine_ms)
}

/** A setting at which the book's clock shows a moment and runs on. */
export function setClock(book_ms: number): ClockSetting {
  return { book_ms, machine_ms: machineMs() }
}

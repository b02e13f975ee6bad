import {
  addEntries,
  CATALOGUE,
  EMPTY_LOG,
  propose,
  stampEntry,
  toMs,
  type BookLog,
  type Entry,
  type EntryId,
  type Instant,
  type Saying,
} from '@ellop/core'
import { v7 } from 'uuid'
import { seededBytes } from './seed'

/** The name of the demonstration book; its entries never leave it. */
export const DEMO_BOOK = 'demo'
const SEED = 1180
const WRITER = { book: DEMO_BOOK, by: 'cook', device: 'hut' }

/** Writes the demonstration: every entry is proposed as a cook's would be, and a refusal is a mistake of the script. */
export interface Pen {
  readonly write: (at: Instant, saying: Saying) => EntryId
  readonly log: () => BookLog
  readonly entries: () => readonly Entry[]
}

export function makePen(): Pen {
  const random = seededBytes(SEED)
  const written: Entry[] = []
  let log = EMPTY_LOG
  return {
    write(at, saying) {
      const id = v7({ msecs: toMs(at), random: random(16), seq: written.length })
      const entry = stampEntry(saying, WRITER, { id, at, noted: at })
      const proposal = propose(entry, log, CATALOGUE, at)
      if (!proposal.ok) throw new RangeError(`demo: ${saying.type} at ${at}: ${proposal.field}: ${proposal.message}`)
      log = addEntries(log, [entry])
      written.push(entry)
      return id
    },
    log: () => log,
    entries: () => written,
  }
}

/** An instant of a day and a time, in the hut's own zone. */
export const minute = (day: string, time: string): Instant => `${day}T${time}:00.000Z`

/** A time so many minutes after another, on the same day. */
export function later(time: string, minutes: number): string {
  const [hour = '0', min = '0'] = time.split(':')
  const all = Number(hour) * 60 + Number(min) + minutes
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`
}

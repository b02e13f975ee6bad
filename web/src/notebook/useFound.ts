import { describeEntry, lotsTouched, type BookLog, type Catalogue, type Entry } from '@ellop/core'
import { useEffect, useRef, useState } from 'react'

/** What was found so far, latest first, and whether that is all. */
export interface Found {
  readonly lines: readonly Entry[]
  readonly all: boolean
}

interface Scan extends Found {
  readonly log: BookLog
  readonly words: string
  /** How many of the log's entries, from the last, were looked at. */
  readonly looked: number
}

/** So long a slice of the search may hold up the screen. */
const SLICE_ms = 8

/**
 * The first so many entries, from the last on, whose sentence holds the words. A long book is looked through in slices between
 * which the screen stays alive, and only as far as is shown; what was found before stays until the new is there.
 */
export function useFound(log: BookLog, words: string, wanted: number, catalogue: Catalogue): Found {
  const [shown, setShown] = useState<Found>({ lines: [], all: false })
  const last = useRef<Scan>(undefined)
  useEffect(() => {
    if (words === '') return undefined
    const before = last.current
    let scan: Scan =
      before?.log === log && before.words === words ? before : { log, words, lines: [], all: false, looked: 0 }
    let timer: ReturnType<typeof setTimeout> | undefined
    const go = () => {
      const until = performance.now() + SLICE_ms
      const lines = [...scan.lines]
      let { looked } = scan
      while (looked < log.order.length && lines.length < wanted && performance.now() < until) {
        const entry = log.order[log.order.length - 1 - looked]
        if (entry !== undefined && toldOf(entry, log, catalogue).includes(words)) lines.push(entry)
        looked += 1
      }
      scan = { ...scan, lines, looked, all: looked >= log.order.length }
      last.current = scan
      if (scan.all || lines.length >= wanted) setShown(scan)
      else timer = setTimeout(go, 0)
    }
    go()
    return () => clearTimeout(timer)
  }, [log, words, wanted, catalogue])
  return words === '' ? { lines: log.order.slice(-wanted).reverse(), all: wanted >= log.order.length } : shown
}

/** What a search looks through: the lot's code and the sentence. */
function toldOf(entry: Entry, log: BookLog, catalogue: Catalogue): string {
  const codes = lotsTouched(entry).map((lot) => log.state.lots.get(lot)?.code ?? lot)
  return `${codes.join(' ')} ${describeEntry(entry, log.state, catalogue)}`.toLowerCase()
}

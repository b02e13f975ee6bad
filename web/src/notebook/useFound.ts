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
const LOOKS_A_GLANCE = 32

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
      // The clock is dear to look at.
      const isTime = () => looked % LOOKS_A_GLANCE === 0 && performance.now() >= until
      while (looked < log.order.length && lines.length < wanted && !isTime()) {
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

interface Told {
  readonly named: readonly unknown[]
  readonly codes: string
  readonly text: string
}

/** What was told of an entry holds as long as everything is called as it was. */
const TOLD = new WeakMap<Entry, Told>()

/** What a search looks through: the lot's code and the sentence. */
function toldOf(entry: Entry, { state }: BookLog, catalogue: Catalogue): string {
  const { patches, eaters, kitchens } = state.house
  const named = [patches, eaters, kitchens, catalogue]
  const codes = lotsTouched(entry)
    .map((lot) => state.lots.get(lot)?.code ?? lot)
    .join(' ')
  const known = TOLD.get(entry)
  if (known?.codes === codes && known.named.every((each, index) => each === named[index])) return known.text
  const text = `${codes} ${describeEntry(entry, state, catalogue)}`.toLowerCase()
  TOLD.set(entry, { named, codes, text })
  return text
}

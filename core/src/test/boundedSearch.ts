import { addEntries } from '../log/fold'
import { propose } from '../log/propose'
import type { Saying } from '../log/stamp'
import { fromMs, MINUTE_ms, toMs } from '../quantity/instant'
import { audit } from './auditor'
import { CLEAN, household, Pen } from './pen'
import { bringInKind, makeSafeKind, meetAll, tasteOf } from './plants'

/** What a careless cook may do next in the small world: an act, or a clock that goes on. */
type Move = { readonly say: (at: number) => Saying } | { readonly wait_min: number }

/** What came of a search. */
export interface Searched {
  readonly states: number
  readonly servings: number
  readonly wrong: readonly string[]
  /** False where the most states were reached before the depth was. */
  readonly whole: boolean
}

/**
 * Every sequence of up to so many acts over a world of two lots, two packs and three eaters, by three clocks; states met before are cut, and every serving and
 * pack that the core lets through is audited. Acts do not take time, only clocks do, so that what commutes is one state; after the last act nothing
 * is done but serving and packing.
 */
export function searchAll(depth: number, most = Infinity): Searched {
  /** States met, with how many acts there were still to come. */
  const met = new Map<string, number>()
  const wrong: string[] = []
  let [states, servings] = [1, 0]
  const goOn = (pen: Pen, path: readonly string[], key: readonly string[], left: number): void => {
    for (const [index, move] of MOVES.entries()) {
      if (states >= most) return
      const here = [...path, String(index)]
      if ('wait_min' in move) {
        const grown = [...key, `wait ${move.wait_min}`]
        if (left === 1 || isKnown(met, grown, left)) continue
        states += 1
        goOn(pen.copy().wait(move.wait_min), here, grown, left - 1)
        continue
      }
      const saying = move.say(path.length)
      const audited = saying.type === 'served' || saying.type === 'packed'
      const grown = [...key, JSON.stringify(saying)]
      if ((left === 1 && !audited) || isKnown(met, grown, left)) continue
      const after = pen.copy()
      const entry = after.stamp(saying)
      if (!propose(entry, after.log, after.catalogue, after.now).ok) continue
      states += 1
      after.log = addEntries(after.log, [entry])
      if (audited) {
        servings += 1
        const { order } = after.log
        const found = audit(
          order,
          order.findIndex(({ id }) => id === entry.id),
        )
        if (found.length > 0) wrong.push(`${here.join(' ')}: ${found.join(', ')}`)
      }
      if (left > 1) goOn(after, here, grown, left - 1)
    }
  }
  goOn(world(), [], [], depth)
  return { states, servings, wrong, whole: states < most }
}

/** Acts of one moment commute, and doing one twice is doing it once: a state is the set of what was done between one clock and the next. */
function isKnown(met: Map<string, number>, key: readonly string[], left: number): boolean {
  const stretches: string[][] = [[]]
  for (const each of key)
    if (each.startsWith('wait ')) stretches.push([each], [])
    else stretches.at(-1)?.push(each.replace(/"(into|code|pack)":"[PN]\d+"/g, '"$1":"new"'))
  const text = stretches.map((each) => [...new Set(each)].sort().join()).join('|')
  if ((met.get(text) ?? 0) >= left) return true
  met.set(text, left)
  return false
}

/** A: nettle, cooked and tasted an hour ago. B: ramsons, raw and sorted. P: nettle frozen when it was cooked. Q: ramsons chilled raw. */
function world(): Pen {
  const pen = meetAll(household(new Pen()))
  pen.write({ type: 'ground-noted', patch: 'third', name: 'Third', facts: CLEAN })
  pen.write({ type: 'eater-noted', eater: { id: 'eve', name: 'Eve', kind: 'adult', sensitivities: ['nut-allergy'] } })
  makeSafeKind(bringInKind(pen, 'nettle', 'A'), 'nettle', 'A')
  pen.write({ type: 'packed', lot: 'A', pack: 'P', store: 'frozen', mass_g: 200, containers: 1, storeTemp_C: -19 })
  bringInKind(pen, 'ramsons', 'B')
  pen.write({ type: 'way-chosen', lot: 'B', protocol: 'raw', goal: 'eat-raw' })
  tasteOf(pen, 'B')
  pen.write({ type: 'packed', lot: 'B', pack: 'Q', store: 'chilled', mass_g: 200, containers: 1, storeTemp_C: 3 })
  pen.now = fromMs(Math.ceil(toMs(pen.now) / (60 * MINUTE_ms)) * 60 * MINUTE_ms)
  return pen
}

const serve = (lot: string, pack: string | null, eater: string): Move => ({
  say: () => ({ type: 'served', lot, pack, dish: 'dish', portions: [{ eater, mass_g: 2 }] }),
})
const opened = (lot: string, pack: string): Move => ({
  say: (at) => ({ type: 'opened', lot, pack, into: `N${at}`, code: `N${at}`, mass_g: 90 }),
})
const packed = (lot: string, store: 'frozen' | 'chilled', storeTemp_C: number): Move => ({
  say: (at) => ({ type: 'packed', lot, pack: `P${at}`, store, mass_g: 50, containers: 1, storeTemp_C }),
})
const placed = (lot: string, place: 'cold' | 'kitchen'): Move => ({
  say: () => ({ type: 'placed', lot, place, temp_C: place === 'cold' ? 4 : null }),
})

/** Two dozen acts and three clocks. N0 to N2 are what was opened first, second and third. */
const MOVES: readonly Move[] = [
  { wait_min: 70 },
  { wait_min: 250 },
  { wait_min: 1500 },
  serve('A', null, 'ann'),
  serve('B', null, 'ann'),
  serve('A', null, 'eve'),
  serve('A', 'P', 'ann'),
  serve('B', 'Q', 'ann'),
  serve('N0', null, 'ann'),
  serve('N1', null, 'ann'),
  serve('N1', null, 'eve'),
  opened('A', 'P'),
  opened('B', 'Q'),
  packed('A', 'chilled', 3),
  packed('B', 'frozen', -19),
  packed('N0', 'frozen', -19),
  packed('N1', 'chilled', 3),
  placed('A', 'cold'),
  placed('B', 'cold'),
  placed('N0', 'cold'),
  { say: () => ({ type: 'cut-up', lot: 'B', how: 'pounded' }) },
  { say: () => ({ type: 'ingredient-added', lot: 'A', what: 'other', name: 'bought walnuts', mass_g: 20 }) },
  { say: () => ({ type: 'store-read', lot: 'A', pack: 'P', temp_C: 9 }) },
  { say: () => ({ type: 'store-read', lot: 'B', pack: 'Q', temp_C: 9 }) },
  { say: () => ({ type: 'felt-ill', eater: 'ann', symptoms: 'cramps' }) },
  { say: () => ({ type: 'stray-reported', lot: 'B', what: 'x', brokenUp: false }) },
]

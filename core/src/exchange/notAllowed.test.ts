import { makeDemoBook } from '@ellop/demo'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Entry } from '../log/entries'
import { bringIn, cook, household, Pen } from '../test/pen'
import { meetAll } from '../test/plants'
import { notAllowed } from './notAllowed'

const entriesOf = (pen: Pen): readonly Entry[] => [...pen.log.entries.values()]
const serve = { type: 'served', lot: 'A', pack: null, dish: 'soup', portions: [{ eater: 'ann', mass_g: 50 }] } as const

describe('acts noted elsewhere', () => {
  it('that were allowed are told of with no word', () => {
    const pen = cook(meetAll(household(new Pen())))
    pen.write(serve)
    expect(notAllowed([], entriesOf(pen), CATALOGUE)).toEqual([])
    expect(notAllowed([], makeDemoBook(), CATALOGUE)).toEqual([])
  })
  it('that would have been refused are named with the reason of that moment, once each, and own ones never', () => {
    const pen = bringIn(meetAll(household(new Pen())))
    const own = entriesOf(pen)
    const raw = pen.force(serve)
    const packed = pen.force({ type: 'packed', lot: 'A', pack: 'p', store: 'dried', mass_g: 100, containers: 1, storeTemp_C: 20 }) // prettier-ignore
    pen.wait(60)
    const told = notAllowed(own, entriesOf(pen).slice(own.length), CATALOGUE)
    expect(told.map(({ entry }) => entry.id)).toEqual([raw.id, packed.id])
    expect(told.map(({ says, message }) => [says, message])).toEqual([
      [
        'Lot A: Served 50 g as soup to Ann.',
        expect.stringMatching(/^Make safe is to do\. Still to do: blanch, against sting and soil bacteria\./),
      ],
      [
        'Lot A: Packed 100 g dried, 1 container.',
        expect.stringMatching(/^Keep is closed\. .* It allows: frozen, chilled\.$/),
      ],
    ])
    expect(notAllowed(entriesOf(pen), [], CATALOGUE)).toEqual([])
  })
  it('are judged by what the own book knew by then, and not by what it learnt later', () => {
    const pen = cook(meetAll(household(new Pen())))
    const before = entriesOf(pen)
    const eaten = pen.write(serve)
    pen.wait(10)
    const later = pen.write({ type: 'stray-reported', lot: 'A', what: 'a smooth leaf', brokenUp: false })
    pen.wait(10)
    const again = pen.force(serve)
    const told = notAllowed([...before, later], [eaten, again], CATALOGUE)
    expect(told.map(({ entry }) => entry.id)).toEqual([again.id])
  })
})

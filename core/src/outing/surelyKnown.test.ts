import { describe, expect, it } from 'vitest'
import { household, Pen } from '../test/pen'
import { surelyKnownNow } from './surelyKnown'

const told = (pen: Pen) => surelyKnownNow(pen.context).map(({ taxon, uses }) => [taxon.scientificName, ...uses.map(({ part }) => part)]) // prettier-ignore

describe('what is surely known and in season', () => {
  it('is food met on the days it asks, by who is at it, with its parts that are good today', () => {
    const pen = household(new Pen(), { elevation_m: 0 })
    expect(told(pen)).toEqual([['Urtica dioica', 'leafy-top']])
    // Another at the same book has not met it.
    const other = pen.copy()
    other.by = 'una'
    expect(told(other)).toEqual([])
    // In January none of its parts is good.
    const winter = pen.copy()
    winter.now = '2028-01-16T08:00:00.000Z'
    expect(told(winter)).toEqual([])
    expect(told(new Pen())).toEqual([])
  })
  it('is never a plant that is no food, however often it was met', () => {
    const pen = household(new Pen())
    for (const day of ['01', '02', '03', '04']) pen.write({ type: 'plant-met', taxon: 'Conium maculatum', stage: 'young' }, `2026-05-${day}T09:00:00.000Z`) // prettier-ignore
    expect(told(pen).map(([name]) => name)).not.toContain('Conium maculatum')
    // Nor one that the deadly are taken for: nobody is sent from one poison to the double of another.
    for (const day of ['01', '02', '03', '04']) pen.write({ type: 'plant-met', taxon: 'Allium ursinum', stage: 'flowering' }, `2026-05-${day}T10:00:00.000Z`) // prettier-ignore
    expect(told(pen)).toEqual([['Urtica dioica', 'leafy-top']])
  })
})

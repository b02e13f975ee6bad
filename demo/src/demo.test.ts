import { CATALOGUE, doNow, dueList, foldLog, gateViews, heldFood, massBalance, packView, readEntry } from '@ellop/core'
import { describe, expect, it } from 'vitest'
import { DEMO_OPENS_AT, makeDemoBook } from './index'

const entries = makeDemoBook()
const book = foldLog(entries).state
const context = { book, catalogue: CATALOGUE, now: DEMO_OPENS_AT }

describe('the demonstration book', () => {
  it('is the same every time, whole and well formed', () => {
    expect(makeDemoBook()).toEqual(entries)
    for (const entry of entries) expect(readEntry(entry), entry.type).toMatchObject({ ok: true })
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
    expect(entries.every(({ at }) => at <= DEMO_OPENS_AT)).toBe(true)
  })
  it('shows lots at different gates, packs of last autumn and one that is not yet food, and nine at table', () => {
    const stops = [...book.lots.values()]
      .filter(({ mass_g }) => mass_g > 0)
      .map((lot) => [
        lot.id,
        gateViews(lot, context).find(({ state }) => state !== 'open')?.gate,
        doNow(lot, context).act.kind,
      ])
    expect(stops.toSorted()).toEqual([
      ['27-001', 'ground', 'stop'],
      ['27-002', 'sort', 'sort'],
      ['27-003', 'identity', 'look'],
      ['27-004', 'makeSafe', 'begin-load'],
      ['27-005', 'makeSafe', 'bath'],
      ['27-006', 'identity', 'look'],
      ['27-007', 'take', 'count-stand'],
      ['27-008', 'ground', 'ask-ground'],
    ])
    const packs = [...book.lots.values()].flatMap((lot) =>
      lot.packs.filter(({ mass_g }) => mass_g > 0).map((pack) => packView(lot, pack, context)),
    )
    expect(
      packs.map(({ pack, state, notYetFood }) => `${pack.id} ${pack.store} ${state} ${notYetFood}`).toSorted(),
    ).toEqual([
      '26-011-a frozen past-best false',
      '26-011-b frozen past-best false',
      '26-012-a dried good false',
      '26-014-a frozen good true',
      '26-014-b frozen good false',
      '26-018-a dried past-best true',
      '27-004-raw chilled good true',
    ])
    expect(Object.keys(book.house.eaters)).toHaveLength(9)
    expect(heldFood(context)).toEqual({ packs: [], servings: [] })
  })
  it('has something due, in order, and accounts for every gram', () => {
    expect(dueList(context).map(({ act }) => act)).toEqual([
      'Acorns: change the water',
      'Sea beet leaves: count the plants',
      'Nettle tops: blanch',
      'Small nettle tops: sort',
      'Nettle tops: check a mark',
      'Ramsons leaves: check a mark',
    ])
    for (const lot of book.lots.values()) {
      const { picked_g, takenUp_g, left, inHand_g } = massBalance(lot)
      expect(left.reduce((sum, { mass_g }) => sum + mass_g, inHand_g)).toBeCloseTo(picked_g + takenUp_g, 9)
    }
  })
})

import { describe, expect, it } from 'vitest'
import type { Saying } from '../log/stamp'
import { at, cut, DAY, HOUR, Story } from '../test/story'
import { freshnessOf, packFreshness, packRule } from './freshness'

const lot = (story: Story, minute: number) => freshnessOf(story.pen.lot(), story.context(minute))
const firstPack = (story: Story) => {
  const [pack] = story.pen.lot().packs
  if (pack === undefined) throw new RangeError('expected a pack')
  return pack
}
const pack = (story: Story, minute: number) => packFreshness(firstPack(story), story.context(minute))
const nettle = () => new Story('nettle')
const boiled = () => nettle().run(HOUR, HOUR + 3, 'blanch and drain', 2)
const dried = () =>
  nettle().run(0, 12 * HOUR, 'dried for tea or powder', 2, { driedTo_g: 130, temp_C: 40, water: null })
const salted = () => new Story('ramsons').do(HOUR, { type: 'ingredient-added', lot: 'A', what: 'salt', name: 'salt', mass_g: 300 } satisfies Saying) // prettier-ignore
const AWAY = 'Throw the food away; it is for no pot, no pan and no stock.'

describe('the one sentence that every place tells', () => {
  it('of food that may be eaten: what it is, since when, how long it was warm, and until when as it stands', () => {
    expect(lot(nettle(), HOUR).says).toBe('Raw, picked Sun 16 May 08:00. As it stands, keeps until Tue 18 May 08:00.')
    expect(lot(new Story('dandelion').do(0, cut('cut')), 70).says).toBe('Cut, wet or half cooked since Sun 16 May 08:00. Warm for 70 min so far. As it stands, keeps until Sun 16 May 12:00.') // prettier-ignore
    expect(lot(boiled(), HOUR + 3).says).toBe(
      'Cooked, made Sun 16 May 09:03. As it stands, keeps until Sun 16 May 13:03.',
    )
    expect(lot(boiled(), HOUR + 4).says).toContain('Warm for 1 min so far.')
    expect(lot(dried(), 30 * DAY).says).toBe(
      'Dry, made Sun 16 May 20:00. As it stands, keeps until Tue 16 May 2028 20:00.',
    )
    expect(lot(salted(), DAY).says).toBe('Sour, sweet or salt enough to keep since Sun 16 May 09:00. As it stands, keeps until Tue 16 Nov 09:00.') // prettier-ignore
    const out = new Story('acorn').bath(0, 5, 8).bath(8 * HOUR, 5, null)
    expect(lot(out, 9 * HOUR).says).toBe('Out of its bath, not cooked yet; its last bath began Sun 16 May 08:00. Warm for 60 min so far. As it stands, keeps until Mon 17 May 16:00.') // prettier-ignore
    expect(pack(boiled().pack(2 * HOUR, 'frozen'), 30 * DAY).says).toBe('Cooked, first frozen Sun 16 May 10:00. Warm for 57 min so far. As it stands, keeps until Tue 16 May 2028 10:00.') // prettier-ignore
    // Of a plant without a store on record, dry food ends nowhere.
    const strange = new Story(['Ignota ficta', 'leaf', 'young']).place(0, 'hot', 70)
    expect(lot(strange, HOUR)).toMatchObject({ until: null, left: 1, says: 'Raw, picked Sun 16 May 08:00. Its time does not run where it is now.' }) // prettier-ignore
  })
  it('of food that is under way: since when, and by when it must be out', () => {
    const inWater = new Story('acorn').bath(0, 5, 8)
    expect(lot(inWater, DAY)).toMatchObject({ until: at(2 * DAY), left: 0.5, says: 'In its water since Sun 16 May 08:00. In this one it keeps until Tue 18 May 08:00; change the water before.' }) // prettier-ignore
    const drying = nettle().run(0, null, 'dried for tea or powder', 2)
    expect(lot(drying, DAY)).toMatchObject({ until: at(4 * DAY), left: 0.75, says: 'The drying was begun Sun 16 May 08:00. End it by Thu 20 May 08:00, or it is food no more.' }) // prettier-ignore
    expect(lot(nettle().run(0, null, 'blanch and drain', 2), 2)).toMatchObject({ until: null, left: 1, says: 'The blanching was begun Sun 16 May 08:00: its own minutes count.' }) // prettier-ignore
    // What is cut by hand is no time apart.
    expect(lot(new Story('dandelion').run(0, null, 'lacto-ferment', 2), HOUR).says).toMatch(/^Cut, wet or half cooked/)
  })
  it('of food past its life: why, since when, and that it goes', () => {
    const over = (says: string) => ({ state: 'over', left: 0, limpAt: null, says, must: [says], mind: [] })
    expect(lot(nettle(), 3 * DAY)).toMatchObject(over(`Raw, picked Sun 16 May 08:00: past its raw life since Tue 18 May 08:00. It may have rotted or grown germs. ${AWAY}`)) // prettier-ignore
    expect(lot(boiled(), DAY)).toMatchObject(over(`Cooked, made Sun 16 May 09:03: it stood warm (5 to 60 °C) for 4 h in all by Sun 16 May 13:03, and that is the most. ${AWAY} Next time chill or freeze it at once.`)) // prettier-ignore
    const out = new Story('acorn').bath(0, 5, 8).bath(8 * HOUR, 5, null)
    expect(lot(out, 3 * DAY).says).toContain('it stood warm (5 to 60 °C) for 24 h in all by Mon 17 May 16:00')
    expect(lot(out.place(9 * HOUR, 'cold', 4), 9 * DAY)).toMatchObject(over(`Out of its bath, not cooked yet; its last bath began Sun 16 May 08:00: even cold it kept only until Thu 20 May 16:00. ${AWAY}`)) // prettier-ignore
    expect(lot(new Story('acorn').bath(0, 5, 8), 3 * DAY)).toMatchObject(over(`It lay in one water since Sun 16 May 08:00; 2 days is the most for a bath as warm as that. ${AWAY}`)) // prettier-ignore
    expect(lot(nettle().run(0, null, 'blanch and drain', 2), 2 * DAY)).toMatchObject(over(`The blanching was begun Sun 16 May 08:00 and not ended in time, by Mon 17 May 08:00. ${AWAY}`)) // prettier-ignore
    expect(lot(dried(), 500 * DAY)).toMatchObject(over(`Dry, made Sun 16 May 2027 20:00: its time ended Tue 16 May 20:00. ${AWAY}`)) // prettier-ignore
    const opened = boiled()
      .pack(2 * HOUR, 'frozen')
      .open(10 * DAY)
      .place(0, 'cold')
    const inHand = freshnessOf(opened.do(10 * DAY, { type: 'placed', lot: 'B', place: 'cold', temp_C: 4 }).pen.lot('B'), opened.context(12 * DAY)) // prettier-ignore
    expect(inHand.says).toBe(`Opened or thawed; it kept 1 day from then, until Thu 27 May 08:00. ${AWAY}`)
  })
  it('of food past its best: how it looks, what to look for, and until when it is safe', () => {
    const look = 'Look at every piece and take out what is slimy, brown or mouldy.'
    expect(lot(nettle(), 30 * HOUR)).toMatchObject({ state: 'limp', limpAt: null, must: [], mind: [`Past its best: leaves may be limp and petals faded. ${look} It is safe until Tue 18 May 08:00.`] }) // prettier-ignore
    expect(lot(nettle(), DAY - 1)).toMatchObject({ state: 'fresh', limpAt: at(DAY), mind: [] })
    expect(lot(nettle(), DAY).state).toBe('limp')
    expect(lot(nettle().place(0, 'cold', 4), HOUR).limpAt).toBe(at(4 * DAY))
    expect(lot(nettle().place(0, 'hot', 70), HOUR).limpAt).toBeNull()
    const berries = lot(new Story('rowan'), 8 * DAY)
    expect(berries.mind).toEqual([`Past its best: it may be soft. ${look} It is safe until Tue 25 May 08:00.`])
    // Cut it is not called limp any more: its hours are counted.
    expect(lot(nettle().do(30 * HOUR, cut('cut')), 31 * HOUR)).toMatchObject({ state: 'fresh', limpAt: null, mind: [] })
  })
  it('the bar is as full as the time it has left where it is', () => {
    expect([0, DAY, 2 * DAY].map((minute) => lot(nettle(), minute).left)).toEqual([1, 0.5, 0])
    expect(pack(boiled().pack(HOUR + 3, 'chilled'), HOUR + 3 + 36 * HOUR).left).toBe(0.5)
  })
})

describe('the rule of a pack', () => {
  it('is that for what it was when it went in, with the day from which it is past its best', () => {
    const story = boiled().pack(2 * HOUR, 'frozen')
    const { rule, bestBefore } = packRule(firstPack(story), story.context(DAY))
    expect([rule?.after, rule?.keeps.high, bestBefore]).toEqual(['treated', 12, '2028-01-16T10:00:00.000Z'])
    const strange = new Story(['Ignota ficta', 'leaf', 'young']).pack(0, 'frozen')
    expect(packRule(firstPack(strange), strange.context(DAY))).toEqual({ rule: undefined, bestBefore: null })
  })
})

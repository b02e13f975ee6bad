import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { GOALS } from '../flora/taxon'
import { PARTS, STAGES, type Part, type Stage } from '../flora/vocabulary'
import { centreShare } from '../heat/centre'
import { planBlanch, RECOVERY_s } from './blanchPlan'
import { cutTo_mm } from './cutTo'
import { limitHere, missedBy } from './limit'
import { plan } from './plan'
import { isMustStep } from './rank'
import type { PlanInput } from './planTypes'

const HUT = { elevation_m: 1180, power_W: 2200, efficiency: 0.55, pots_mL: [8000], waterTemp_C: 9 }
const ask = (over: Partial<PlanInput> = {}) =>
  plan(
    { taxon: 'Urtica dioica', part: 'leaf', stage: 'young', mass_g: 840, goal: 'eat', kitchen: HUT, ...over },
    CATALOGUE,
  )
const about = (over: Partial<PlanInput>, what: string) =>
  ask(over)
    .reasons.filter((reason) => reason.about === what)
    .map(({ text }) => text)

describe('a step of a way', () => {
  const musts = (name: string, way: string, part: Part) => {
    const taxon = CATALOGUE.taxa.find(({ scientificName }) => scientificName === name)
    const use = taxon?.uses.find((each) => each.part === part && each.protocols.some((other) => other.name === way))
    if (taxon === undefined || use === undefined) throw new RangeError(`expected ${name}, ${part}, ${way}`)
    const steps = use.protocols.find((each) => each.name === way)?.steps ?? []
    return steps.filter((step) => isMustStep(step, taxon, use)).map(({ op }) => op)
  }
  it('is a must where it is measured, takes poison out, or sorts a deadly double out; washing and sorting by eye are not', () => {
    expect(musts('Urtica dioica', 'blanch and drain', 'leafy-top')).toEqual(['blanch'])
    expect(musts('Rubus idaeus', 'washed, raw', 'fruit')).toEqual([])
    expect(musts('Rubus idaeus', 'cooked', 'fruit')).toEqual(['simmer'])
    expect(musts('Allium ursinum', 'raw', 'leaf')).toEqual(['sort'])
    expect(musts('Quercus robur', 'cold baths', 'nut')).toContain('leach-static')
  })
})

describe('a plan for nettle tops', () => {
  it('fills in every number for the hut', () => {
    const made = ask({ goal: 'freeze' })
    expect(made.verdict).toBe('allow')
    expect(made.way).toBe('blanch and drain')
    expect(made.steps.map(({ op }) => op)).toEqual(['sort', 'wash', 'blanch', 'refresh', 'press', 'freeze'])
    const blanch = made.steps[2]
    expect(blanch).toMatchObject({
      minutes: 2,
      temp_C: 96,
      critical: true,
      control: ['sting', 'soil-bacteria', 'nitrate'],
    })
    expect(blanch?.loads?.recovery_s).toBeLessThanOrEqual(RECOVERY_s)
    expect((blanch?.loads?.load_g ?? 0) * (blanch?.loads?.count ?? 0)).toBeCloseTo(840, 0)
    // 840 g from 96.05 to 5 °C with twice its mass of water at 9 °C.
    expect(made.steps[3]?.ice_g).toBe(Math.round((840 * 3.9 * 91.05 + 1680 * 4.186 * 4) / (334 + 4.186 * 5)))
    expect(made.yield_g).toEqual({ low: 504, usual: 630, high: 756 })
    expect(made.otherWays?.map(({ name }) => name)).toEqual([
      'cooked in the dish',
      'dried for tea or powder',
      'raw, crushed or blended',
    ])
    expect(
      made.reasons.filter(({ about: which }) => which === 'identity').map(({ text }) => text.split(' is')[0]),
    ).toEqual(["Dog's mercury (Mercurialis perennis, poisonous)", 'White snakeroot (Ageratina altissima, poisonous)'])
  })
  it('answers every hazard of more than a trace', () => {
    const hazards =
      CATALOGUE.taxa.find(({ scientificName }) => scientificName === 'Urtica dioica')?.uses[1]?.hazards ?? []
    for (const { id, level } of hazards) if (level !== 'trace') expect(about({}, id).join(), id).not.toBe('')
  })
  it('adds the minutes on record with height; above it goes over to the accepted alternative, never to a rescaled limit', () => {
    expect(ask({ kitchen: { ...HUT, elevation_m: 1499 } }).steps[2]?.minutes).toBe(2)
    expect(ask({ kitchen: { ...HUT, elevation_m: 1500 } }).steps[2]?.minutes).toBe(3)
    expect(ask({ kitchen: { ...HUT, elevation_m: 2500 } }).way).toBe('blanch and drain')
    const high = ask({ kitchen: { ...HUT, elevation_m: 2501 } })
    expect(high).toMatchObject({ verdict: 'allow', way: 'cooked in the dish' })
    expect(high.steps.find(({ op }) => op === 'simmer')).toMatchObject({ minutes: 10, temp_C: 85, critical: true })
    expect(about({ kitchen: { ...HUT, elevation_m: 2501 } }, 'kitchen')[0]).toMatch(
      /^blanch and drain: The record accepts this boil up to 2,500 m/,
    )
    expect(ask({ goal: 'freeze', kitchen: { ...HUT, elevation_m: 2600 } }).verdict).toBe('refuse')
    expect(ask({ kitchen: { ...HUT, elevation_m: 5000 } }).verdict).toBe('refuse')
  })
  it('fits its loads to the water and fuel there are, or says what is missing', () => {
    const tight = ask({ mass_g: 300, kitchen: { ...HUT, water_mL: 5500 } })
    expect(tight.verdict).toBe('allow')
    expect(
      tight.steps.reduce((sum, { water_mL = 0, loads }) => sum + water_mL * (loads?.fillings ?? 1), 0),
    ).toBeLessThanOrEqual(5500)
    expect(ask({ kitchen: { ...HUT, water_mL: 1000 } })).toMatchObject({
      verdict: 'refuse',
      instead: 'a smaller amount, or a kitchen with more water, fuel or a lower place',
    })
    expect(about({ kitchen: { ...HUT, water_mL: 1000 } }, 'kitchen')[0]).toBe(
      'blanch and drain: washing takes at least 4.2 L of water and 1.0 L are left.',
    )
    expect(about({ goal: 'freeze', kitchen: { ...HUT, fuel_kWh: 0.1 } }, 'kitchen')[0]).toMatch(
      /kWh of fuel are needed and there are 0\.10 kWh/,
    )
    expect(about({ goal: 'freeze', kitchen: { ...HUT, ice_g: 100 } }, 'kitchen')[0]).toContain(
      'of ice would be wanted and there are 100 g',
    )
  })
  it('weighs the salt of a lactic ferment, and of no other step', () => {
    const salts = (taxon: string, stage: PlanInput['stage'], goal: PlanInput['goal']) =>
      ask({ taxon, goal, mass_g: 1350, ...(stage && { stage }) }).steps.flatMap(({ op, salt_g }) =>
        salt_g === undefined ? [] : [[op, salt_g]],
      )
    // 2.2 % of 1,350 g [process physics, section 11].
    expect(salts('Aegopodium podagraria', 'emerging', 'ferment')).toEqual([['ferment', 29.7]])
    expect(salts('Chamaenerion angustifolium', 'mature', 'tea')).toEqual([])
    expect(salts('Urtica dioica', 'young', 'freeze')).toEqual([])
  })
  it('says how thick the pieces of a root may be for its boil, and sours the bowl that they lie in', () => {
    const told = (taxon: string, part: Part, stage: Stage) =>
      ask({ taxon, part, stage, goal: 'eat', mass_g: 400 })
        .steps.filter(({ op }) => ['boil', 'blanch', 'simmer', 'soak-acidulated'].includes(op))
        .map(({ op, cutTo_mm: mm, acid_g }) => [op, mm, acid_g])
    // 0.5 % of the water that covers them: three times their mass.
    expect(told('Arctium lappa', 'root', 'dormant')).toEqual([
      ['soak-acidulated', undefined, 6],
      ['simmer', 18, undefined],
    ])
    expect(
      told('Urtica dioica', 'leafy-top', 'young').every(([, mm, acid]) => mm === undefined && acid === undefined),
    ).toBe(true)
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 90, noNaN: true }),
        fc.double({ min: 80, max: 100, noNaN: true }),
        (minutes, water_C) => {
          const within = { minutes, start_C: 15, water_C }
          for (const [part, shape] of [
            ['root', 'slab'],
            ['shoot', 'cylinder'],
            ['tuber', 'sphere'],
          ] as const) {
            const mm = cutTo_mm(part, { op: 'boil' }, within)
            if (mm === undefined) continue
            const wanted = (water_C - 3 - 15) / (water_C - 15)
            expect(centreShare(shape, mm, minutes / 2)).toBeGreaterThanOrEqual(wanted - 1e-6)
            if (mm < 80) expect(centreShare(shape, mm + 1, minutes / 2)).toBeLessThan(wanted)
          }
          expect(cutTo_mm('root', { op: 'roast' }, within)).toBeUndefined()
          expect(cutTo_mm('leaf', { op: 'boil' }, within)).toBeUndefined()
        },
      ),
    )
    expect(cutTo_mm('root', { op: 'boil' }, { minutes: 0.1, start_C: 15, water_C: 100 })).toBeUndefined()
    expect(cutTo_mm('bulb', { op: 'boil' }, { minutes: 600, start_C: 15, water_C: 100 })).toBe(80)
  })
  it('minds the water it is washed in', () => {
    expect(ask({ kitchen: { ...HUT, washWater: 'chemicals' } }).verdict).toBe('refuse')
    expect(about({ kitchen: { ...HUT, washWater: 'germs' } }, 'water')).toEqual([
      'The washing water carries germs: the boil afterwards is what answers them.',
    ])
    expect(ask({ goal: 'eat-raw', school: 'raw, crushed or blended', kitchen: { washWater: 'germs' } }).verdict).toBe(
      'refuse',
    )
    expect(ask({ goal: 'eat-raw', school: 'raw, crushed or blended' }).verdict).toBe('conditional')
  })
  it('minds who eats', () => {
    expect(ask({ eaters: [{ kind: 'adult' }, { kind: 'infant' }] })).toMatchObject({
      verdict: 'refuse',
      instead: 'something else for these eaters',
    })
    expect(about({ eaters: [{ kind: 'infant' }] }, 'eater')).toEqual([
      'Babies: must not eat it. Babies tolerate almost no nitrate, and undercooked nettle stings.',
    ])
    expect(about({ eaters: [{ kind: 'adult', sensitivities: ['kidney-stone'] }] }, 'eater')).toEqual([
      'Kidney stones: at most 100 g of raw, trimmed food a day. Some oxalate: an ordinary boiled portion, water thrown away.',
    ])
    expect(about({ eaters: [{ kind: 'child' }] }, 'amount')[0]).toMatch(
      /^At most 100 g of raw, trimmed food a day for a child/,
    )
    expect(ask({ perDay_g: 250 }).verdict).toBe('allow')
    expect(ask({ perDay_g: 251 })).toMatchObject({ verdict: 'refuse', instead: 'up to 250 g a day' })
    expect(ask({ perDay_g: 101, eaters: [{ kind: 'adult', sensitivities: ['kidney-stone'] }] }).instead).toBe(
      'up to 100 g a day',
    )
  })
  it('refuses what is not on record, and says what is', () => {
    const ways = 'on record for it: eat, freeze, dry, tea and flavouring'
    expect(ask({ goal: 'infused-oil' })).toMatchObject({ verdict: 'refuse', instead: ways, steps: [] })
    expect(about({ goal: 'infused-oil' }, 'store')[0]).toContain(
      'under oil it can grow botulism, which nobody sees or smells',
    )
    expect(about({ goal: 'can' }, 'store')[0]).toContain('outside a tested recipe')
    expect(about({ goal: 'ferment' }, 'store')).toEqual(['No accepted way to ferment it is on record.'])
    expect(about({ goal: 'eat', storage: 'room' }, 'store')[0]).toContain('Kept moist at room warmth it spoils')
    expect(about({ goal: 'eat', storage: 'chilled' }, 'store')[0]).toContain('keep 3 days at 4 °C')
    expect(about({ goal: 'dry' }, 'store')[0]).toContain('about a year')
    expect(about({ goal: 'eat-raw' }, 'sting')[0]).toMatch(
      /^Not raw: sting .* The school “raw, crushed or blended” is contested/,
    )
    expect(about({ school: 'magic' }, 'school')[0]).toMatch(
      /^No school called “magic” is on record; there are blanch and drain, /,
    )
    expect(about({ goal: 'freeze', school: 'cooked in the dish' }, 'school')).toEqual([
      '“cooked in the dish” is not a way to freeze it.',
    ])
    expect(ask({ goal: 'tea' }).steps.map(({ op }) => op)).toEqual(['sort', 'shake-out', 'dry', 'infuse-water'])
    expect(ask({ goal: 'dry' }).yield_g?.usual).toBeCloseTo((840 * 0.14) / 0.9, 6)
  })
  it('knows parts and stages: named, left out, refused', () => {
    expect(ask({ stage: 'flowering' })).toMatchObject({
      verdict: 'refuse',
      instead:
        'young tops from a stand mown in early summer, which give a second crop; or the green seed strings in late summer',
    })
    expect(ask({ part: 'root' }).verdict).toBe('refuse')
    expect(ask({ part: 'tuber' }).reasons[0]?.text).toBe(
      'Nothing is on record about eating the young tuber of Urtica dioica, and a gap is never filled by likeness.',
    )
    const { verdict, reasons } = plan({ taxon: 'Urtica dioica', mass_g: 500, goal: 'eat' }, CATALOGUE)
    expect(verdict).toBe('conditional')
    expect(reasons[0]?.text).toBe('Food: leafy top (emerging), leafy top (young) and seed (seeding).')
    expect(reasons[1]?.text).toMatch(
      /^Not food: leafy top \(mature\), leafy top \(in bud\), leafy top \(flowering\), leafy top \(seeding\) and root \(any\)\./,
    )
  })
  it('refuses the unknown and the dangerous, whatever is asked', () => {
    expect(ask({ taxon: 'Planta ignota' })).toMatchObject({
      verdict: 'refuse',
      reasons: [
        {
          about: 'identity',
          rank: 'must',
          text: 'Planta ignota is not in the catalogue, so nothing about it can be said.',
        },
      ],
    })
    expect(ask({ taxon: 'urtica GRACILIS' }).verdict).toBe('allow')
    // In place of a poison a common food of the same part, which is taken for nothing deadly.
    expect(ask({ taxon: 'Conium maculatum', part: 'root', stage: 'dormant' }).instead).toBe(
      'another plant, surely known, such as dandelion or milk thistle',
    )
    expect(ask({ taxon: 'Digitalis purpurea' }).instead).toMatch(/^another plant, surely known, such as .+ or .+$/)
    // A name that several plants share starts nothing; the worst stands first.
    expect(ask({ taxon: 'Indian poke' })).toMatchObject({
      verdict: 'refuse',
      reasons: [{ text: 'taxon: “Indian poke” is what people call Veratrum viride (deadly) and Phytolacca acinosa (poisonous). Ask by the scientific name.' }],
      instead: 'its scientific name',
    }) // prettier-ignore
    expect(ask({ taxon: 'Rumex crispus' }).reasons[0]?.text).toBe(
      'Rumex crispus is in the catalogue only as a look-alike: nothing is on record about eating it.',
    )
    const anything = fc.record({
      part: fc.option(fc.constantFrom(...PARTS), { nil: undefined }),
      stage: fc.option(fc.constantFrom(...STAGES), { nil: undefined }),
      goal: fc.constantFrom(...GOALS),
      taxon: fc.constantFrom(
        'Mercurialis perennis',
        'Ageratina altissima',
        'Eupatorium rugosum',
        'Scrophularia nodosa',
      ),
      elevation_m: fc.integer({ min: 0, max: 4000 }),
    })
    fc.assert(
      fc.property(anything, ({ part, stage, goal, taxon, elevation_m }) => {
        const made = plan(
          {
            taxon,
            ...(part === undefined ? {} : { part }),
            ...(stage === undefined ? {} : { stage }),
            goal,
            mass_g: 100,
            kitchen: { elevation_m },
          },
          CATALOGUE,
        )
        expect(made.verdict).toBe('refuse')
        expect(made.steps).toEqual([])
        expect(made.instead).not.toBe('')
      }),
    )
  })
})

describe('the search for a boil', () => {
  it('never overloads the pot, the ratio, the water or the fuel', () => {
    const kitchens = fc.record({
      power_W: fc.integer({ min: 300, max: 6000 }),
      efficiency: fc.double({ min: 0.2, max: 0.9, noNaN: true }),
      elevation_m: fc.integer({ min: 0, max: 3000 }),
      pot: fc.integer({ min: 1500, max: 20_000 }),
      water_mL: fc.integer({ min: 500, max: 40_000 }),
      fuel_kWh: fc.double({ min: 0.05, max: 5, noNaN: true }),
      mass_g: fc.integer({ min: 50, max: 4000 }),
    })
    fc.assert(
      fc.property(kitchens, ({ pot, mass_g, ...rest }) => {
        const made = planBlanch({
          mass_g,
          minutes: 2,
          leastRatio: 8,
          foodTemp_C: 15,
          kitchen: { ...rest, pots_mL: [pot] },
        })
        if (!made.fits) {
          expect(made.shortage.says).toMatch(/^For this boil .*\.$/)
          return
        }
        const { plan: found } = made
        expect(found.recovery_s).toBeLessThanOrEqual(RECOVERY_s + 1e-6)
        expect(found.bath_mL).toBeLessThanOrEqual(pot * 0.8 + 1e-6)
        expect(found.bath_mL / found.load_g).toBeGreaterThanOrEqual(8 - 1e-6)
        expect(found.water_mL).toBeLessThanOrEqual(rest.water_mL)
        expect(found.fuel_kWh).toBeLessThanOrEqual(rest.fuel_kWh)
        expect(found.load_g * found.loads).toBeCloseTo(mass_g, 6)
        expect(found.fallsTo_C).toBeLessThan(found.boil_C)
      }),
    )
  })
})

describe('the loads of a boil', () => {
  const kitchen = { elevation_m: 0, power_W: 2000, efficiency: 0.5, pots_mL: [3000, 8000], waterTemp_C: 12 }
  const boil = (over: object = {}, mass_g = 600, leastRatio = 8) =>
    planBlanch({ mass_g, minutes: 2, leastRatio, foodTemp_C: 15, kitchen: { ...kitchen, ...over } })
  /** Every pot and filling by hand: useful heat, loads that boil again within a minute, minutes of hands and of waiting. */
  const byHand = (mass_g: number, leastRatio: number) =>
    kitchen.pots_mL
      .flatMap((pot_mL) => [1, 0.85, 0.7, 0.55, 0.4, 0.3, 0.2].map((share) => 0.8 * share * pot_mL))
      .flatMap((bath_mL) => {
        const heat_J_g = 3.9 * (100 - 15)
        const loads = Math.ceil(mass_g / Math.min((1000 * 60) / heat_J_g, bath_mL / leastRatio))
        const fillings = Math.ceil(loads / 5)
        const load_g = mass_g / loads
        const toBoil_min = (bath_mL * 4.186 * (100 - 12)) / 1000 / 60
        const hands_min = loads * (2 + ((load_g * heat_J_g) / 1000 + 90) / 60)
        return load_g < Math.min(40, mass_g)
          ? []
          : [{ bath_mL, loads, trouble: hands_min + 0.5 * toBoil_min * fillings, water_mL: bath_mL * fillings }]
      })
  it.each([600, 150, 30, 2500])('are the least trouble of every pot and filling, for %i g', (mass_g) => {
    const made = boil({}, mass_g)
    const best = byHand(mass_g, 8).toSorted((a, b) => a.trouble - b.trouble)[0]
    if (!made.fits) throw new RangeError('expected a plan')
    expect([made.plan.loads, made.plan.water_mL]).toEqual([best?.loads, expect.closeTo(best?.water_mL ?? 0, 3)])
    const exact = boil({ water_mL: made.plan.water_mL, fuel_kWh: made.plan.fuel_kWh }, mass_g)
    expect(exact).toEqual(made)
    const scarce = boil({ water_mL: made.plan.water_mL - 1 }, mass_g)
    if (scarce.fits) expect(scarce.plan.water_mL).toBeLessThan(made.plan.water_mL)
  })
  it('say what is short, and what the thriftiest would need', () => {
    const told = (over: object) => {
      const made = boil(over)
      return made.fits ? 'fits' : made.shortage.says
    }
    const thrifty = Math.min(...byHand(600, 8).map(({ water_mL }) => water_mL))
    expect(told({ water_mL: 100 })).toBe(
      `For this boil ${(thrifty / 1000).toFixed(1)} L of water are needed and there are 0.1 L.`,
    )
    expect(told({ fuel_kWh: 0.01 })).toMatch(
      /^For this boil \d\.\d\d kWh of fuel are needed and there are 0\.01 kWh\.$/,
    )
    expect(told({ water_mL: 100, fuel_kWh: 0.01 })).toMatch(/0\.1 L and \d\.\d\d kWh of fuel/)
    expect(told({ pots_mL: [] })).toBe('For this boil no pot here is large enough.')
    expect(told({ pots_mL: [300] })).toBe('For this boil no pot here is large enough.')
    const made = boil({ water_mL: 100 })
    expect(made.fits ? 0 : made.shortage.needed.water_mL).toBeCloseTo(thrifty, 3)
  })
})

describe('a critical limit', () => {
  const done = {
    at: '',
    outcome: 'done',
    minutes: 10,
    temp_C: 86,
    backToBoil_s: null,
    driedTo_g: null,
    checked: true,
    water: null,
  } as const
  const at = { elevation_m: 1180, dryWhen_g: 100 * (0.2 / 0.9), saltShare: 0, readings: [] }
  it('of a food temperature wants the food measured, and a boil here that is hot enough', () => {
    const limit = { measure: 'food-temperature', temp_C: 85, minutes: 10 } as const
    expect(missedBy(limit, done, at)).toBeUndefined()
    expect(missedBy(limit, { ...done, temp_C: null }, at)).toBe('the food was not measured')
    expect(missedBy(limit, { ...done, temp_C: 84.9 }, at)).toBe('84.9 °C of 85.0 °C')
    expect(missedBy(limit, { ...done, minutes: 9 }, at)).toBe('9 min of 10 min')
    expect(limitHere(limit, 4600)).toMatchObject({ reachable: false })
    expect(missedBy(limit, done, { ...at, elevation_m: 4600 })).toMatch(/^It needs 85\.0 °C; here water boils at 84/)
  })
  it('is told in words that name its measure', () => {
    const says = (limit: Parameters<typeof limitHere>[0], elevation_m = 0) => limitHere(limit, elevation_m)
    const boil = {
      measure: 'rolling-boil',
      minutes: 2,
      acceptedTo_m: 1500,
      added: [{ from_m: 300, minutes: 1 }],
    } as const
    expect(says(boil)).toMatchObject({ minutes: 2, says: '2 min at a rolling boil, counted from when it boils again' })
    expect([says(boil, 299), says(boil, 300), says(boil, 1500), says(boil, 1501)]).toMatchObject([
      { minutes: 2 },
      { minutes: 3 },
      { reachable: true },
      {
        reachable: false,
        says: expect.stringMatching(/^The record accepts this boil up to 1,500 m; here, at 1,501 m/) as string,
      },
    ])
    expect(says({ measure: 'food-temperature', temp_C: 80, minutes: 5 })).toMatchObject({
      temp_C: 80,
      says: '5 min with the food at 80.0 °C or more',
    })
    expect(says({ measure: 'ph', atMost: 4.1 })).toMatchObject({
      minutes: 0,
      temp_C: null,
      says: 'measured pH 4.1 or below',
    })
    expect(says({ measure: 'seen', sign: 'soft' })).toMatchObject({ minutes: 0, says: 'soft' })
    const baths = { measure: 'baths', least: 1, minutes: 60, tasteAtMost: 1 } as const
    expect(says(baths)).toEqual({
      reachable: true,
      minutes: 60,
      temp_C: null,
      says: 'at least one bath of 60 min or more, then a crumb that is bitter and dry no more than 1 of 10, spat out',
    })
    expect(says({ ...baths, least: 3, atMost_C: 12 })).toMatchObject({
      temp_C: 12,
      says: expect.stringMatching(
        /^at least 3 baths of 60 min or more, no warmer than 12\.0 °C, then a crumb/,
      ) as string,
    })
    expect(missedBy(baths, done, at)).toBe('baths are counted, not loads')
    expect(missedBy(boil, { ...done, outcome: 'off-boil' }, at)).toBe('it went off the boil')
    expect(missedBy(boil, { ...done, outcome: 'stopped' }, at)).toBe('it was stopped')
    expect(missedBy(boil, { ...done, checked: false }, at)).toBe('its sign was not looked at')
    expect(missedBy(boil, { ...done, minutes: 2.9 }, at)).toMatch(/of 3 min$/)
    expect(missedBy(boil, { ...done, temp_C: null }, at)).toBeUndefined()
    const here_C = limitHere(boil, 1180)
    const boils_C = here_C.reachable ? (here_C.temp_C ?? 0) : 0
    expect(missedBy(boil, { ...done, temp_C: boils_C - 1.5 }, at)).toBeUndefined()
    expect(missedBy(boil, { ...done, temp_C: boils_C - 1.6 }, at)).toMatch(/is not a rolling boil here$/)
    expect(missedBy(boil, done, { ...at, elevation_m: 2000 })).toMatch(/^The record accepts this boil/)
  })
  it('of acid goes by the last pH and no other reading; of a ferment by its days and its salt as well', () => {
    const reading = (what: 'ph' | 'mass_g' | 'brix', value: number, minute: number) => ({
      what,
      value,
      at: new Date(Date.UTC(2027, 4, 16, 8, minute)).toISOString(),
      instrument: 'x',
    })
    const acid = { measure: 'ph', atMost: 4 } as const
    const missed = (...readings: ReturnType<typeof reading>[]) => missedBy(acid, done, { ...at, readings })
    expect(missed()).toBe('its pH was not measured, or something was put to it since')
    expect(missed(reading('brix', 3, 0))).toMatch(/^its pH was not measured/)
    expect(missed(reading('ph', 3.8, 0), reading('ph', 4.1, 5))).toBe('pH 4.1; 4 or below is sour enough')
    expect(missed(reading('ph', 4.1, 0), reading('ph', 4, 5), reading('brix', 9, 6))).toBeUndefined()
    expect(missed(reading('mass_g', 100, 0))).toMatch(/was not measured/)
    const ferment = { ...acid, minutes: 7200, saltAtLeast: 0.02 } as const
    const sour = { ...at, readings: [reading('ph', 3.8, 0)], saltShare: 0.02 }
    expect(missedBy(ferment, { ...done, minutes: 7200 }, sour)).toBeUndefined()
    expect(missedBy(ferment, { ...done, minutes: 7199 }, sour)).toBe('5 days of 5 days')
    expect(missedBy(ferment, { ...done, minutes: 7200 }, { ...sour, saltShare: 0.019 })).toBe(
      'salt is 1.9 % of everything; 2 % is the least',
    )
  })
  it('of drying wants the dry weight; of a sign, the sign', () => {
    const limit = { measure: 'dried-to', moisture: 0.1 } as const
    expect(missedBy(limit, done, at)).toBe('it was not weighed dry')
    expect(missedBy(limit, { ...done, driedTo_g: 22 }, at)).toBeUndefined()
    expect(missedBy(limit, { ...done, driedTo_g: 23 }, at)).toMatch(/^23 g dry, 22 g is dry enough/)
    expect(missedBy(limit, { ...done, driedTo_g: 22 }, { ...at, dryWhen_g: undefined })).toBe(
      'something wet was put to it while it dried',
    )
    expect(missedBy({ measure: 'seen', sign: 'smooth' }, done, at)).toBeUndefined()
    expect(limitHere(limit, 0)).toMatchObject({ says: 'dried until no more than 10 % of it is water' })
    expect(() => limitHere({ measure: 'luck' } as never, 0)).toThrow('limit: expected a known measure')
  })
})

describe('a plan for the other kinds', () => {
  const of = (taxon: string, part: PlanInput['part'], stage: PlanInput['stage'], goal: PlanInput['goal'], over = {}) =>
    plan({ taxon, ...(part && { part }), ...(stage && { stage }), mass_g: 400, goal, ...over }, CATALOGUE)
  const adult = (...sensitivities: NonNullable<PlanInput['eaters']>[number]['sensitivities'] & object) => ({
    eaters: [{ kind: 'adult' as const, sensitivities }],
  })
  it.each([
    [
      'ramsons in oil at room warmth',
      () => of('Allium ursinum', 'leaf', 'young', 'infused-oil'),
      'refuse',
      /eaten within 4 days; or frozen/,
    ],
    [
      '… kept cold',
      () => of('Allium ursinum', 'leaf', 'young', 'infused-oil', { storage: 'chilled' }),
      'conditional',
      /./,
    ],
    ['… frozen', () => of('Allium ursinum', 'leaf', 'young', 'infused-oil', { storage: 'frozen' }), 'conditional', /./],
    ['… in jars', () => of('Allium ursinum', 'leaf', 'young', 'can'), 'refuse', /./],
    [
      'raw ramsons for weak defences',
      () => of('Allium ursinum', 'leaf', 'young', 'eat-raw', adult('immunocompromised')),
      'refuse',
      /./,
    ],
    [
      'cooked ramsons for them',
      () => of('Allium ursinum', 'leaf', 'young', 'eat', adult('immunocompromised')),
      'conditional',
      /./,
    ],
    ['elder leaf', () => of('Sambucus nigra', 'leaf', undefined, 'tea'), 'refuse', /ripe black berries, boiled/],
    [
      'raw elder berries',
      () => of('Sambucus nigra', 'fruit', 'ripe', 'eat-raw'),
      'refuse',
      /on record for it: eat, syrup/,
    ],
    [
      'elder berries boiled',
      () => of('Sambucus nigra', 'fruit', 'ripe', 'syrup', { kitchen: { elevation_m: 1180 } }),
      'conditional',
      /./,
    ],
    [
      '… at 2,600 m',
      () => of('Sambucus nigra', 'fruit', 'ripe', 'eat', { kitchen: { elevation_m: 2600 } }),
      'refuse',
      /Freeze the berries raw/,
    ],
    ['acorn flour', () => of('Quercus robur', 'nut', 'ripe', 'flour'), 'conditional', /./],
    [
      'acorns with a nut allergy',
      () => of('Quercus robur', 'nut', 'ripe', 'flour', adult('nut-allergy')),
      'refuse',
      /./,
    ],
    ['green acorns', () => of('Quercus robur', 'nut', 'unripe', 'flour'), 'refuse', /ripe, brown acorns/],
    [
      'sea beet with kidney stones',
      () => of('Beta maritima', 'leaf', 'young', 'eat', adult('kidney-stone')),
      'refuse',
      /./,
    ],
    [
      'too much sea beet',
      () => of('Beta vulgaris', 'leaf', 'young', 'eat', { perDay_g: 300 }),
      'refuse',
      /up to 150 g a day/,
    ],
    [
      'a handful of sea beet raw',
      () => of('Beta vulgaris', 'leaf', 'young', 'eat-raw', { perDay_g: 30 }),
      'conditional',
      /./,
    ],
    [
      'spruce syrup on the shelf',
      () => of('Picea abies', 'needle-tip', 'young', 'syrup', { storage: 'room' }),
      'allow',
      /./,
    ],
    [
      'spruce tips in pregnancy',
      () => of('Picea abies', 'needle-tip', 'young', 'tea', adult('pregnancy')),
      'refuse',
      /./,
    ],
    ['yew', () => of('Taxus baccata', 'needle-tip', 'young', 'syrup'), 'refuse', /another plant, surely known/],
  ] as const)('%s', (_what, planned, expected, says) => {
    const { verdict, instead = '-', reasons } = planned()
    expect(verdict).toBe(expected)
    expect(instead).toMatch(says)
    expect(reasons.length).toBeGreaterThan(0)
  })
  it('says the least number of baths and their water; kept for later it is not yet food', () => {
    expect(of('Quercus robur', 'nut', 'ripe', 'flour').steps.find(({ op }) => op === 'leach-static')).toMatchObject({
      critical: true,
      minutes: 480,
      baths: { least: 6, each_mL: 1600 },
      water_mL: 9600,
    })
    const short = of('Quercus robur', 'nut', 'ripe', 'flour', { kitchen: { water_mL: 4000 }, school: 'cold baths' })
    expect(short.reasons[0]?.text).toMatch(/6 baths take at least 7\.2 L of water and 4\.0 L are left/)
    const later = of('Quercus robur', 'nut', 'ripe', 'dry')
    expect(later.way).toBe('dried in the shell for later')
    expect(later.reasons.map(({ text }) => text)).toContainEqual(expect.stringMatching(/^NOT YET FOOD/))
    expect(of('Sambucus nigra', 'fruit', 'ripe', 'freeze', { kitchen: { elevation_m: 2600 } }).way).toBe(
      'frozen raw for later',
    )
  })
})

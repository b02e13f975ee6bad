import { describe, expect, it } from 'vitest'
import type { Catalogue } from '../flora/catalogue'
import type { Protocol, Step, Taxon, Use } from '../flora/taxon'
import { boilingPoint } from '../heat/boil'
import { planBlanch } from './blanchPlan'
import { plan } from './plan'
import type { PlanInput } from './planTypes'

/** A plant that was made up so that every kind of step, limit, store and eater is in one record. */
const step = (op: string, more: Partial<Step> = {}): Step => ({ op, control: [], critical: false, ...more })
const WASH = step('wash', { waterRatio: { least: 5, usual: 6 }, water: 'discard' })
const BOIL = step('boil', {
  critical: true,
  control: ['soil-bacteria'],
  waterRatio: { least: 4, usual: 8 },
  water: 'may-keep',
  check: 'soft right through',
  limit: {
    measure: 'rolling-boil',
    minutes: 10,
    acceptedTo_m: 2500,
    added: [
      { from_m: 1000, minutes: 2 },
      { from_m: 2000, minutes: 3 },
    ],
  },
})
const bathsOf = (op: string, least: number, minutes: number, more: Partial<Step> = {}): Step =>
  step(op, {
    critical: true,
    control: ['tannin'],
    water: 'discard',
    limit: { measure: 'baths', least, minutes, tasteAtMost: 1 },
    ...more,
  })
const WAYS: readonly Protocol[] = [
  {
    name: 'kept for later',
    standing: 'cautious',
    storeOnly: true,
    goals: ['eat', 'dry'],
    steps: [
      step('dry', {
        critical: true,
        temp_C: 40,
        minutes: { low: 300, high: 600 },
        limit: { measure: 'dried-to', moisture: 0.1 },
      }),
    ],
    why: 'Leach it then.',
  },
  {
    name: 'hot baths',
    standing: 'usual',
    goals: ['eat'],
    steps: [
      bathsOf('leach-hot', 2, 30, {
        control: ['tannin', 'soil-bacteria'],
        waterRatio: { least: 2, usual: 3 },
        temp_C: 100,
      }),
    ],
    why: 'Quicker.',
  },
  {
    name: 'cold, then boiled',
    standing: 'cautious',
    goals: ['eat', 'freeze', 'flour'],
    steps: [
      WASH,
      bathsOf('leach-static', 3, 60, { waterRatio: { least: 4, usual: 5 }, temp_C: 12, check: 'the water stays pale' }),
      BOIL,
      step('refresh', { onlyFor: ['freeze'], waterRatio: { least: 1, usual: 2 } }),
      step('press', { check: 'it only drips', limit: { measure: 'seen', sign: 'no water runs' } }),
      step('grind', { onlyFor: ['flour'] }),
    ],
    why: 'The most have eaten it so.',
  },
  {
    name: 'in the brook',
    standing: 'minimal',
    goals: ['eat'],
    steps: [bathsOf('leach-running', 2, 720)],
    why: 'Least work.',
  },
  {
    name: 'a slice',
    standing: 'contested',
    goals: ['eat-raw', 'flavouring'],
    steps: [step('trim'), step('rinse')],
    why: 'Some eat a slice.',
  },
  {
    name: 'in syrup',
    standing: 'usual',
    goals: ['syrup', 'pickle', 'infused-oil'],
    steps: [
      step('rinse', { waterRatio: { least: 1, usual: 1 } }),
      step('simmer', {
        critical: true,
        control: ['soil-bacteria'],
        waterRatio: { least: 0.5, usual: 1 },
        limit: { measure: 'food-temperature', temp_C: 85, minutes: 10 },
      }),
      step('infuse-water', { waterRatio: { least: 1, usual: 2 }, minutes: { low: 5, high: 15 } }),
    ],
    why: 'Sugar keeps it.',
  },
]
const USE: Use = {
  part: 'root',
  stage: 'mature',
  verdict: 'leach-then-cook',
  trim: [],
  dishes: [],
  hazards: [
    {
      id: 'tannin',
      kind: 'palate',
      level: 'high',
      note: 'dry mouth',
      answers: [
        { kind: 'control', says: 'Baths take it out.' },
        { kind: 'amount', schools: ['a slice', 'in syrup'], says: 'A little does no harm.' },
      ],
    },
    {
      id: 'soil-bacteria',
      kind: 'biological',
      level: 'moderate',
      note: '',
      answers: [
        { kind: 'control', says: 'The boil ends them.' },
        { kind: 'amount', schools: ['a slice', 'in syrup'], says: 'Few in a little.' },
      ],
    },
    { id: 'oxalate', kind: 'amount', level: 'trace', note: '', answers: [{ kind: 'amount', says: 'Little.' }] },
    {
      id: 'botulism',
      kind: 'biological',
      level: 'deadly',
      onlyFor: ['pickle'],
      note: 'in jars',
      answers: [{ kind: 'store', says: 'Sour keeps it out.' }],
    },
    {
      id: 'nitrate',
      kind: 'amount',
      level: 'low',
      note: '',
      answers: [
        { kind: 'amount', says: 'Eat it' },
        { kind: 'person', who: ['kidney-disease'], says: 'with care.' },
      ],
    },
  ],
  protocols: WAYS,
  cookedYield: { low: 0.6, usual: 0.7, high: 0.8 },
  moisture: { low: 0.5, usual: 0.6, high: 0.7 },
  ifUnreachable: 'Dry it and take it lower down.',
  stores: [
    {
      store: 'chilled',
      after: 'raw',
      limit: { measure: 'store-temperature', atMost_C: 4 },
      keeps: { low: 5, high: 5, unit: 'days' },
      says: 'Raw: 5 days cold.',
    },
    {
      store: 'chilled',
      after: 'treated',
      limit: { measure: 'store-temperature', atMost_C: 4 },
      keeps: { low: 2, high: 2, unit: 'days' },
      says: 'Cooked: 2 days cold.',
    },
    {
      store: 'frozen',
      after: 'raw',
      limit: { measure: 'store-temperature', atMost_C: -18 },
      keeps: { low: 9, high: 9, unit: 'months' },
      says: 'Frozen: 9 months.',
    },
    {
      store: 'dried',
      after: 'dried',
      limit: { measure: 'dried-to', moisture: 0.1 },
      keeps: { low: 12, high: 12, unit: 'months' },
      atRoom: true,
      says: 'Dried: a year.',
    },
    {
      store: 'sugared',
      after: 'treated',
      limit: { measure: 'sugar', atLeast_brix: 65 },
      keeps: { low: 6, high: 6, unit: 'months' },
      says: 'In syrup, cold: 6 months.',
    },
  ],
  amounts: [
    { perDay_g: 200, who: 'adult', why: 'Nitrate.' },
    { perDay_g: 50, who: 'child', why: 'Small bodies.' },
    { perDay_g: 20, who: 'adult', school: 'a slice', why: 'Raw it is strong.' },
  ],
  cautionFor: [
    { who: 'pregnancy', what: 'avoid', onlyFor: ['flavouring'], why: 'strong raw.' },
    { who: 'kidney-disease', what: 'limit', perDay_g: 80, why: 'nitrate.' },
    { who: 'infant', what: 'avoid', why: 'it chokes.' },
    { who: 'nut-allergy', what: 'limit', why: 'nobody knows.' },
  ],
} as never
const NEVER: Use = {
  ...USE,
  part: 'leaf',
  stage: 'young',
  verdict: 'never',
  whyNever: 'Its leaf is poison.',
  instead: 'the root, boiled',
  hazards: [{ id: 'alkaloid', kind: 'toxic', level: 'deadly', note: '', answers: [] }],
  protocols: [],
  stores: [],
}
const PLANT = {
  scientificName: 'Ficta radix',
  synonyms: ['Ficta vetus'],
  commonNames: { en: ['made-up root'], de: [], fr: [] },
  lookalikes: [
    { scientificName: 'Falsa mors', severity: 'deadly', why: '', tells: ['purple spots.', 'a smell of mice'] },
    { scientificName: 'Falsa mala', severity: 'toxic', why: '', tells: ['milk'] },
    { scientificName: 'Falsa bona', severity: 'irritant', why: '', tells: ['hairs'] },
  ],
  uses: [USE, NEVER],
} as unknown as Taxon
const BARE = {
  ...PLANT,
  scientificName: 'Ficta nuda',
  synonyms: [],
  lookalikes: [],
  uses: [{ ...NEVER, instead: undefined, whyNever: undefined, hazards: [] }],
} as unknown as Taxon
const CATALOGUE: Catalogue = { revision: 'made', taxa: [PLANT, BARE] }
const KITCHEN = { elevation_m: 1200, power_W: 2000, efficiency: 0.5, pots_mL: [8000], waterTemp_C: 10 }
const ask = (over: Partial<PlanInput> = {}) =>
  plan(
    { taxon: 'Ficta radix', part: 'root', stage: 'mature', mass_g: 500, goal: 'eat', kitchen: KITCHEN, ...over },
    CATALOGUE,
  )

const boil_C = boilingPoint({ elevation_m: KITCHEN.elevation_m }).temp_C
/** Heat for water at 10 °C and food at 15 °C, and what a lidded pot loses in so many minutes, kWh at a burner of which half is useful. */
const fuel_kWh = (water_mL: number, food_g: number, minutes: number) =>
  (water_mL * 4.186 * (boil_C - 10) +
    food_g * 3.9 * (boil_C - 15) +
    1.1 * ((water_mL + food_g) / 1000) * (boil_C - 20) * minutes * 60) /
  0.5 /
  3.6e6
/** A slice whose middle comes within 3 °C of the boil in half of the minutes, by the first term of the series. */
const slice_mm = (minutes: number) => {
  const fourier = (4 / Math.PI ** 2) * Math.log((4 / Math.PI) * ((boil_C - 15) / 3))
  return Math.floor(2000 * Math.sqrt((1.4e-7 * 60 * (minutes / 2)) / fourier))
}
const cents = (value: number) => Math.round(value * 100) / 100
const told = (over: Partial<PlanInput>, of?: string) =>
  ask(over)
    .reasons.filter(({ about }) => about !== 'identity' && (of === undefined || about === of))
    .map(({ about, text }) => `${about} | ${text}`)
const DOUBLES = [
  { about: 'identity', rank: 'know', text: 'Falsa mors (deadly) is mistaken for it: purple spots; a smell of mice.' },
  { about: 'identity', rank: 'know', text: 'Falsa mala (poisonous) is mistaken for it: milk.' },
]
const ALL_WAYS = 'on record for it: eat, dry, freeze, flour, syrup, pickle and infused oil'
const COLD = { school: 'cold, then boiled' }
const HOT = { school: 'hot baths' }
const inKitchen = (kitchen: NonNullable<PlanInput['kitchen']>) => ({ kitchen: { ...KITCHEN, ...kitchen } })

describe('a whole plan', () => {
  const wash = { op: 'wash', critical: false, control: [], water: 'discard', water_mL: 3000 }
  const baths = {
    op: 'leach-static',
    minutes: 60,
    temp_C: 12,
    critical: true,
    control: ['tannin'],
    limit: 'at least 3 baths of 60 min or more, then a crumb that is bitter and dry no more than 1 of 10, spat out',
    check: 'the water stays pale',
    water: 'discard',
    water_mL: 7500,
    baths: { least: 3, each_mL: 2500 },
  }
  /** Reckoned when it is wanted: a fault in it fails a test, and not the loading of all of them. */
  const boil = () => {
    const blanch = planBlanch({ mass_g: 500, minutes: 12, leastRatio: 8, foodTemp_C: 15, kitchen: KITCHEN })
    if (!blanch.fits) throw new RangeError('expected a boil')
    const { loads, load_g, recovery_s, toBoil_min, fillings, bath_mL } = blanch.plan
    return {
      op: 'boil',
      minutes: 12,
      limit: '12 min at a rolling boil, counted from when it boils again',
      temp_C: Math.round(boil_C * 10) / 10,
      water_mL: Math.round(bath_mL),
      cutTo_mm: slice_mm(12),
      critical: true,
      control: ['soil-bacteria'],
      water: 'may-keep',
      check: 'soft right through',
      loads: {
        count: loads,
        load_g: Math.round(load_g * 10) / 10,
        recovery_s: Math.round(recovery_s),
        toBoil_min: Math.round(toBoil_min * 10) / 10,
        fillings,
      },
      fuel_kWh: cents(blanch.plan.fuel_kWh),
    }
  }
  const press = { op: 'press', critical: false, control: [], check: 'it only drips' }
  const refresh = {
    op: 'refresh',
    critical: false,
    control: [],
    water_mL: 1000,
    // Food out of the boil and twice its mass of water at 10 °C, all to 5 °C by ice that melts.
    ice_g: Math.round((500 * 3.9 * (boil_C - 5) + 1000 * 4.186 * 5) / (334 + 4.186 * 5)),
  }
  const others = (way: string) =>
    WAYS.filter(({ name }) => name !== way).map(({ name, standing, why }) => ({ name, standing, why }))
  it('has every step of the first cautious way that makes it food, every number, every reason, and the other ways', () => {
    expect(ask()).toEqual({
      verdict: 'conditional',
      way: 'cold, then boiled',
      steps: [wash, baths, boil(), press],
      yield_g: { low: 300, usual: 350, high: 400 },
      otherWays: others('cold, then boiled'),
      reasons: [
        { about: 'tannin', rank: 'must', text: 'Tannin: Baths take it out.' },
        { about: 'nitrate', rank: 'mind', text: 'Nitrate: Eat it with care.' },
        { about: 'eater', rank: 'mind', text: 'Ask who eats. Little of it only with: kidney disease and nut allergy.' },
        { about: 'soil-bacteria', rank: 'know', text: 'Soil bacteria: The boil ends them.' },
        { about: 'amount', rank: 'know', text: 'At most 200 g of raw, trimmed food a day for an adult. Nitrate.' },
        ...DOUBLES,
      ],
    })
    expect(ask({ goal: 'freeze' }).steps).toEqual([wash, baths, boil(), refresh, press])
    expect(ask({ goal: 'flour' }).steps).toEqual([
      wash,
      baths,
      boil(),
      press,
      { op: 'grind', critical: false, control: [] },
    ])
    expect(ask({ goal: 'flour' }).yield_g).toEqual({
      low: expect.closeTo(500 * 0.3, 6) as number,
      usual: expect.closeTo((500 * 0.4) / 0.9, 6) as number,
      high: expect.closeTo((500 * 0.5) / 0.9, 6) as number,
    })
    expect(ask({ taxon: 'ficta VETUS' })).toEqual(ask())
  })
  it('gives running and hot baths, simmers and what is poured over their water, warmth and fuel', () => {
    const hot = ask(HOT)
    expect(hot.steps).toEqual([
      {
        op: 'leach-hot',
        minutes: 30,
        temp_C: Math.round(boil_C * 10) / 10,
        critical: true,
        control: ['tannin', 'soil-bacteria'],
        limit: 'at least 2 baths of 30 min or more, then a crumb that is bitter and dry no more than 1 of 10, spat out',
        water: 'discard',
        water_mL: 3000,
        fuel_kWh: cents(fuel_kWh(3000, 500, 60)),
        baths: { least: 2, each_mL: 1500 },
      },
    ])
    const syrup = ask({ goal: 'syrup' })
    expect(syrup.steps).toEqual([
      { op: 'rinse', critical: false, control: [], water_mL: 500 },
      {
        op: 'simmer',
        minutes: 10,
        temp_C: 85,
        critical: true,
        control: ['soil-bacteria'],
        limit: '10 min with the food at 85.0 °C or more',
        water_mL: 500,
        fuel_kWh: cents(fuel_kWh(500, 500, 10)),
      },
      {
        op: 'infuse-water',
        minutes: 15,
        critical: false,
        control: [],
        water_mL: 1000,
        fuel_kWh: cents(fuel_kWh(1000, 0, 0)),
      },
    ])
    expect(syrup.yield_g).toEqual({ low: 300, usual: 350, high: 400 })
    expect(told({ goal: 'syrup' }, 'store')).toEqual(['store | In syrup, cold: 6 months.'])
  })
  it('leaves out a way that leaves a hazard unanswered, unless it only keeps the food and says so', () => {
    expect(ask({ school: 'in the brook' })).toEqual({
      verdict: 'refuse',
      steps: [],
      instead: ALL_WAYS,
      reasons: [
        { about: 'soil-bacteria', rank: 'must', text: 'in the brook: it leaves soil bacteria unanswered.' },
        ...DOUBLES,
      ],
    })
    const later = ask({ goal: 'dry' })
    expect(later).toMatchObject({
      verdict: 'conditional',
      way: 'kept for later',
      steps: [
        {
          op: 'dry',
          minutes: 600,
          temp_C: 40,
          critical: true,
          control: [],
          limit: 'dried until no more than 10 % of it is water',
        },
      ],
    })
    expect(told({ goal: 'dry' })).toEqual([
      'store | NOT YET FOOD: “kept for later” only keeps it. Leach it then.',
      'tannin | Tannin: still to be answered before it is food.',
      'soil-bacteria | Soil bacteria: still to be answered before it is food.',
      'nitrate | Nitrate: Eat it with care.',
      'eater | Ask who eats. Little of it only with: kidney disease and nut allergy.',
      'amount | At most 200 g of raw, trimmed food a day for an adult. Nitrate.',
      'store | Dried: a year.',
    ])
    // Of all that makes it food nothing can be done up there; keeping it can.
    const high = ask({ kitchen: { ...KITCHEN, elevation_m: 2600, water_mL: 1500 } })
    expect(high.way).toBe('kept for later')
    expect(high.reasons.filter(({ text }) => /^(cold, then|hot baths|in the brook)/.test(text))).toEqual([
      {
        about: 'kitchen',
        rank: 'know',
        text: 'cold, then boiled: washing takes at least 2.5 L of water and 1.5 L are left.',
      },
      { about: 'kitchen', rank: 'know', text: 'hot baths: 2 baths take at least 2.0 L of water and 1.5 L are left.' },
      { about: 'soil-bacteria', rank: 'know', text: 'in the brook: it leaves soil bacteria unanswered.' },
    ])
  })
  it('takes under conditions what an ordinary portion is too much of, and what somebody in particular has little of', () => {
    const slice = { goal: 'flavouring', school: 'a slice' } as const
    expect(ask(slice)).toMatchObject({ verdict: 'conditional', way: 'a slice' })
    expect(
      ask(slice)
        .reasons.filter(({ rank }) => rank === 'must')
        .map(({ text }) => text),
    ).toEqual([
      'The school “a slice” is contested: Some eat a slice.',
      'Nitrate: Eat it with care.',
      'At most 20 g of raw, trimmed food a day for an adult. Raw it is strong.',
    ])
    expect(ask(slice).yield_g?.usual).toBeCloseTo((500 * 0.4) / 0.9, 6)
    expect(told(slice, 'amount')).toEqual([
      'amount | At most 20 g of raw, trimmed food a day for an adult. Raw it is strong.',
      'amount | At most 200 g of raw, trimmed food a day for an adult. Nitrate.',
    ])
    const careful = { ...slice, eaters: [{ kind: 'adult', sensitivities: ['nut-allergy'] }] } as const
    expect(ask(careful).verdict).toBe('conditional')
    expect(told(careful, 'eater')).toEqual([
      'eater | Nut allergy: at most 80 g of raw, trimmed food a day. nobody knows.',
    ])
    expect(ask({ goal: 'eat-raw', school: 'a slice' }).yield_g).toEqual({ low: 500, usual: 500, high: 500 })
  })
})

describe('what a kitchen has', () => {
  it('is enough to the gram of water, and a gram less is told', () => {
    expect(ask({ ...HOT, ...inKitchen({ water_mL: 2000 }) }).steps[0]).toMatchObject({
      water_mL: 2000,
      baths: { least: 2, each_mL: 1000 },
    })
    expect(told({ ...HOT, ...inKitchen({ water_mL: 1999 }) })).toEqual([
      'kitchen | hot baths: 2 baths take at least 2.0 L of water and 2.0 L are left.',
    ])
    expect(ask({ ...HOT, ...inKitchen({ water_mL: 2600 }) }).steps[0]?.water_mL).toBe(2600)
    expect(told({ ...COLD, ...inKitchen({ water_mL: 2499 }) })).toEqual([
      'kitchen | cold, then boiled: washing takes at least 2.5 L of water and 2.5 L are left.',
    ])
    expect(told({ ...COLD, ...inKitchen({ water_mL: 2500 }) })).toEqual([
      'kitchen | cold, then boiled: 3 baths take at least 6.0 L of water and 0.0 L are left.',
    ])
    expect(told({ ...COLD, ...inKitchen({ water_mL: 8500 }) })).toEqual([
      expect.stringMatching(
        /^kitchen \| cold, then boiled: For this boil .* of water are needed and there are 0\.0 L\.$/,
      ) as string,
    ])
    // Where the usual water of the first steps would leave none for the last, each has the least on record.
    const spare = ask({ ...COLD, ...inKitchen({ water_mL: 10_600 }) })
    expect(spare.steps.slice(0, 2).map(({ water_mL }) => water_mL)).toEqual([2500, 6000])
    expect(spare.steps[2]?.water_mL).toBeLessThanOrEqual(2100)
    const whole = ask({ ...COLD, ...inKitchen({ water_mL: 12_500 }) })
    expect(whole.steps.slice(0, 2).map(({ water_mL }) => water_mL)).toEqual([3000, 7500])
    expect(whole.steps[2]?.water_mL).toBeLessThanOrEqual(2000)
    expect(ask({ ...COLD, ...inKitchen({ water_mL: 2499 }) }).instead).toBe(
      'a smaller amount, or a kitchen with more water, fuel or a lower place',
    )
    const syrup = ask({ goal: 'syrup', ...inKitchen({ water_mL: 1250 }) })
    expect(syrup.steps.flatMap(({ water_mL }) => water_mL ?? [])).toEqual([500, 250, 500])
    expect(told({ goal: 'syrup', ...inKitchen({ water_mL: 1249 }) })).toEqual([
      'kitchen | in syrup: steeping takes at least 0.5 L of water and 0.5 L are left.',
    ])
  })
  it('is enough fuel, and a little less is told', () => {
    const usual = fuel_kWh(3000, 500, 60)
    expect(ask({ ...HOT, ...inKitchen({ fuel_kWh: usual + 1e-9 }) }).steps[0]?.water_mL).toBe(3000)
    // With too little for the usual water there may be enough for the least.
    expect(ask({ ...HOT, ...inKitchen({ fuel_kWh: usual - 0.01 }) }).steps[0]?.water_mL).toBe(2000)
    const needed = fuel_kWh(2000, 500, 60)
    expect(ask({ ...HOT, ...inKitchen({ fuel_kWh: needed + 1e-9 }) }).verdict).toBe('conditional')
    expect(told({ ...HOT, ...inKitchen({ fuel_kWh: needed - 0.01 }) })).toEqual([
      `kitchen | hot baths: leaching takes about ${needed.toFixed(2)} kWh of fuel and ${(needed - 0.01).toFixed(2)} kWh are left.`,
    ])
    const simmer = fuel_kWh(250, 500, 10)
    const poured = fuel_kWh(500, 0, 0)
    expect(ask({ goal: 'syrup', ...inKitchen({ fuel_kWh: simmer + poured + 1e-9 }) }).verdict).toBe('allow')
    expect(told({ goal: 'syrup', ...inKitchen({ fuel_kWh: simmer + 0.02 }) })).toEqual([
      `kitchen | in syrup: steeping takes about ${poured.toFixed(2)} kWh of fuel and 0.02 kWh are left.`,
    ])
    expect(told({ ...COLD, ...inKitchen({ fuel_kWh: 0.2 }) })).toEqual([
      expect.stringMatching(
        /^kitchen \| cold, then boiled: For this boil .* kWh of fuel are needed and there are 0\.20 kWh\.$/,
      ) as string,
    ])
  })
  it('is a pot that takes the usual bath, or else the least that the record bears', () => {
    const roomy = planBlanch({
      mass_g: 500,
      minutes: 12,
      leastRatio: 8,
      foodTemp_C: 15,
      kitchen: { ...KITCHEN, pots_mL: [350] },
    })
    const least = planBlanch({
      mass_g: 500,
      minutes: 12,
      leastRatio: 4,
      foodTemp_C: 15,
      kitchen: { ...KITCHEN, pots_mL: [350] },
    })
    expect([roomy.fits, least.fits]).toEqual([false, true])
    expect(ask({ ...COLD, ...inKitchen({ pots_mL: [350] }) }).steps[2]?.loads?.count).toBe(
      least.fits ? least.plan.loads : 0,
    )
    expect(told({ ...COLD, ...inKitchen({ pots_mL: [100] }) })).toEqual([
      'kitchen | cold, then boiled: For this boil no pot here is large enough.',
    ])
  })
  it('lies at a height: minutes are added as on record; above the last of it the record says what would do', () => {
    const minutes = (elevation_m: number) => ask({ ...COLD, ...inKitchen({ elevation_m }) }).steps[2]?.minutes
    expect([999, 1000, 1999, 2000, 2500].map(minutes)).toEqual([10, 12, 12, 15, 15])
    expect(ask({ ...COLD, ...inKitchen({ elevation_m: 2501 }) })).toMatchObject({
      verdict: 'refuse',
      instead: 'Dry it and take it lower down.',
    })
    expect(told({ ...COLD, ...inKitchen({ elevation_m: 2501 }) })[0]).toMatch(
      /^kitchen \| cold, then boiled: The record accepts this boil up to 2,500 m; here, at 2,501 m/,
    )
    // Where it does not say, it is taken to lie at the sea, with a plate of 2 kW and a pot of 5 L.
    expect(ask({ kitchen: {} }).steps[2]).toMatchObject({ minutes: 10, temp_C: 100 })
    const usual = { elevation_m: 0, power_W: 2000, efficiency: 0.55, pots_mL: [5000], waterTemp_C: 18 }
    expect(ask({ kitchen: {} }).steps).toEqual(ask({ kitchen: usual }).steps)
  })
  it('has ice enough, or is told what to do without', () => {
    const ice_g = ask({ goal: 'freeze' }).steps[3]?.ice_g ?? 0
    expect(told({ goal: 'freeze', ...inKitchen({ ice_g: ice_g + 1 }) }, 'kitchen')).toEqual([])
    expect(told({ goal: 'freeze', ...inKitchen({ ice_g: 100 }) }, 'kitchen')).toEqual([
      `kitchen | ${ice_g} g of ice would be wanted and there are 100 g: use cold water, changed as soon as it feels warm, until the food is cold right through.`,
    ])
  })
  it('has washing water that a critical boil may answer for, and chemicals nothing', () => {
    const water = (washWater: 'germs' | 'chemicals', over: Partial<PlanInput>) =>
      told({ ...over, ...inKitchen({ washWater }) }, 'water')
    const boils = 'water | The washing water carries germs: the boil afterwards is what answers them.'
    expect(water('germs', COLD)).toEqual([boils])
    expect(water('germs', { goal: 'syrup' })).toEqual([boils])
    expect(water('germs', { goal: 'flavouring', school: 'a slice' })).toEqual([
      'water | a slice: this water carries germs and nothing here is cooked afterwards.',
    ])
    expect(water('chemicals', COLD)).toEqual([
      'water | cold, then boiled: this water carries chemicals; no washing or cooking takes those out. Use other water.',
    ])
    expect(ask({ ...COLD, ...inKitchen({ washWater: 'chemicals' }) }).instead).toBe(ALL_WAYS)
    expect(water('chemicals', HOT)).toEqual([])
  })
})

describe('who eats and how it is kept', () => {
  const eats = (
    kind: 'adult' | 'child' | 'infant',
    ...sensitivities: readonly ('pregnancy' | 'kidney-disease' | 'nut-allergy')[]
  ) => ({
    eaters: [{ kind, sensitivities }],
  })
  it('minds cautions by goal, caps by school, and the least of several', () => {
    expect(ask(eats('infant'))).toEqual({
      verdict: 'refuse',
      steps: [],
      instead: 'something else for these eaters',
      reasons: [{ about: 'eater', rank: 'must', text: 'Babies: must not eat it. it chokes.' }, ...DOUBLES],
    })
    expect(told({ ...eats('adult', 'pregnancy'), goal: 'flavouring', school: 'a slice' })).toEqual([
      'eater | Pregnant: must not eat it. strong raw.',
    ])
    expect(told(eats('adult', 'pregnancy'), 'eater')).toEqual([])
    expect(told(eats('adult', 'kidney-disease'), 'eater')).toEqual([
      'eater | Kidney disease: at most 80 g of raw, trimmed food a day. nitrate.',
    ])
    expect(told({ eaters: [{ kind: 'child' }, { kind: 'adult' }] }, 'amount')).toEqual([
      'amount | At most 50 g of raw, trimmed food a day for a child. Small bodies.',
      'amount | At most 200 g of raw, trimmed food a day for an adult. Nitrate.',
    ])
    const over = (perDay_g: number, more: Partial<PlanInput> = {}) => {
      const { verdict, reasons, instead } = ask({ perDay_g, ...more })
      return verdict === 'refuse' ? [reasons[0]?.about, reasons[0]?.text, instead] : []
    }
    expect(over(200)).toEqual([])
    expect(over(201)).toEqual(['amount', '201 g a day is more than 200 g. Nitrate.', 'up to 200 g a day'])
    expect(over(300, { eaters: [{ kind: 'adult' }, { kind: 'child' }] })).toEqual([
      'amount',
      '300 g a day is more than 50 g. Small bodies.',
      'up to 50 g a day',
    ])
    expect(over(81, eats('adult', 'kidney-disease'))[2]).toBe('up to 80 g a day')
    expect(over(80, eats('adult', 'kidney-disease'))).toEqual([])
    expect(over(21, { goal: 'flavouring', school: 'a slice' })[2]).toBe('up to 20 g a day')
    expect(over(81, eats('adult', 'nut-allergy'))[2]).toBe('up to 80 g a day')
    expect(over(80, eats('adult', 'nut-allergy'))).toEqual([])
  })
  it.each([
    ['eat', 'chilled', 'Cooked: 2 days cold.', undefined],
    ['eat', 'frozen', 'Keeping it frozen is not on record for this part.', ALL_WAYS],
    ['freeze', 'frozen', 'Frozen: 9 months.', undefined],
    ['freeze', undefined, 'Frozen: 9 months.', undefined],
    ['flour', undefined, 'Dried: a year.', undefined],
    ['flour', 'chilled', 'Keeping it chilled is not on record for this part.', ALL_WAYS],
    ['syrup', undefined, 'In syrup, cold: 6 months.', undefined],
    ['syrup', 'room', 'At room warmth it is not on record. In syrup, cold: 6 months.', ALL_WAYS],
    [
      'eat',
      'room',
      'Kept moist at room warmth it spoils, and low-acid food shut off from air can grow botulism. It keeps at room warmth only thoroughly dried.',
      ALL_WAYS,
    ],
    ['pickle', undefined, 'Keeping it chilled is not on record for this part.', ALL_WAYS],
    [
      'infused-oil',
      undefined,
      'Made-up root is moist and low in acid: under oil it can grow botulism, which nobody sees or smells.',
      ALL_WAYS,
    ],
    [
      'can',
      undefined,
      'Made-up root is moist and low in acid: shut off from air in a jar outside a tested recipe it can grow botulism, which nobody sees or smells.',
      ALL_WAYS,
    ],
  ] as const)('keeps what is for %s (%s) as on record: %s', (goal, storage, says, instead) => {
    const made = ask({ goal, ...(storage === undefined ? {} : { storage }) })
    expect(made.reasons.filter(({ about }) => about === 'store').map(({ text }) => text)).toEqual([says])
    expect([made.verdict === 'refuse', made.instead]).toEqual([instead !== undefined, instead])
  })
  it('keeps raw what is not cooked', () => {
    expect(told({ goal: 'flavouring', school: 'a slice', storage: 'chilled' }, 'store')).toEqual([
      'store | Raw: 5 days cold.',
    ])
    expect(told({ goal: 'eat-raw', school: 'a slice', storage: 'chilled' }, 'store')).toEqual([
      'store | Raw: 5 days cold.',
    ])
  })
})

describe('a refusal', () => {
  it('of the part, the goal, the school or the plant says what would do', () => {
    const refused = (over: Partial<PlanInput>) => {
      const { verdict, steps, reasons, instead } = ask(over)
      expect([verdict, steps]).toEqual(['refuse', []])
      return [reasons[0]?.about, reasons[0]?.text, instead]
    }
    expect(refused({ part: 'leaf', stage: 'young' })).toEqual(['alkaloid', 'Its leaf is poison.', 'the root, boiled'])
    expect(refused({ part: 'fruit', stage: 'ripe' })).toEqual([
      'identity',
      'Nothing is on record about eating the ripe fruit of Ficta radix, and a gap is never filled by likeness.',
      'its root (mature)',
    ])
    expect(refused({ school: 'a slice' })).toEqual(['school', '“a slice” is not a way to cook it.', ALL_WAYS])
    expect(refused({ school: 'boiled in wine' })).toEqual([
      'school',
      'No school called “boiled in wine” is on record; there are kept for later, hot baths, cold, then boiled, in the brook, a slice and in syrup.',
      'one of those schools',
    ])
    // What arises only in a jar is no reason against eating it raw.
    expect(refused({ goal: 'eat-raw' })).toEqual([
      'tannin',
      'Not raw: tannin (dry mouth). The school “a slice” is contested: Some eat a slice.',
      ALL_WAYS,
    ])
    expect(refused({ goal: 'jam' })).toEqual(['store', 'No accepted way to make jam of it is on record.', ALL_WAYS])
    expect(refused({ taxon: 'Ficta nuda', part: 'leaf', stage: 'young' })).toEqual([
      'refused',
      'This is not food.',
      'another plant, surely known',
    ])
  })
  it('of the same part at the same stage outranks whatever else is on record of it', () => {
    const poisoned: Use = { ...NEVER, part: 'root', stage: 'mature', whyNever: 'Some of its roots kill.' }
    const twice = { ...PLANT, scientificName: 'Ficta bis', synonyms: [], uses: [USE, poisoned] }
    const of = (over: Partial<PlanInput>) =>
      plan({ taxon: 'Ficta bis', mass_g: 500, goal: 'eat', ...over }, { revision: 'made', taxa: [twice] })
    expect(of({ part: 'root', stage: 'mature' })).toEqual({
      verdict: 'refuse',
      steps: [],
      instead: 'its root (mature)',
      reasons: [{ about: 'alkaloid', rank: 'must', text: 'Some of its roots kill.' }, ...DOUBLES],
    })
    // Not settled which it is: what is food and what is not is told first.
    for (const open of [{}, { part: 'root' }, { stage: 'mature' }, { part: 'root', stage: 'any' }] as const) {
      const { verdict, reasons } = of(open)
      expect(verdict).toBe('conditional')
      expect(reasons.slice(0, 2).map(({ text }) => text)).toEqual([
        'Food: root (mature).',
        'Not food: root (mature). Some of its roots kill.',
      ])
    }
  })
  it('of one part does not stand for the others; one part alone needs no telling which', () => {
    const shoot: Use = { ...USE, part: 'shoot', stage: 'young', cautionFor: [] }
    const two = { ...PLANT, uses: [USE, shoot] }
    const infants = { eaters: [{ kind: 'infant' as const }] }
    const of = (taxon: Taxon, over: Partial<PlanInput>) =>
      plan({ taxon: 'Ficta radix', mass_g: 500, goal: 'eat', ...over }, { revision: 'made', taxa: [taxon] })
    expect(of(two, infants).verdict).toBe('conditional')
    expect(of(two, {}).reasons[0]?.text).toBe('Food: root (mature) and shoot (young).')
    expect(of(two, {}).reasons[1]?.about).toBe('tannin')
    expect(of({ ...PLANT, uses: [USE] }, {}).reasons[0]?.about).toBe('tannin')
    expect(of({ ...PLANT, uses: [USE] }, infants).reasons[0]?.text).toBe('Babies: must not eat it. it chokes.')
    const nothing = (over: Partial<PlanInput>) => of(two, over).reasons[0]?.text
    expect(nothing({ part: 'fruit', stage: 'any' })).toBe(
      'Nothing is on record about eating the fruit of Ficta radix, and a gap is never filled by likeness.',
    )
    expect(nothing({ stage: 'seeding' })).toBe(
      'Nothing is on record about eating the seeding plant of Ficta radix, and a gap is never filled by likeness.',
    )
  })
  it('to eat it raw names the gravest that speaks against it, or that nothing is on record', () => {
    const raw = (hazards: Use['hazards'], protocols: Use['protocols'] = WAYS.slice(0, 1)) =>
      plan(
        { taxon: 'Ficta radix', part: 'root', stage: 'mature', mass_g: 500, goal: 'eat-raw' },
        { revision: 'made', taxa: [{ ...PLANT, uses: [{ ...USE, hazards, protocols }] }] },
      ).reasons[0]
    const hazard = (id: string, level: 'low' | 'moderate' | 'high' | 'deadly', note = '') =>
      ({ id, kind: 'toxic', level, note, answers: [] }) as const
    expect(
      raw([hazard('lectin', 'low'), hazard('saponin', 'moderate', 'foams'), hazard('solanine', 'moderate')]),
    ).toEqual({
      about: 'saponin',
      rank: 'must',
      text: 'Not raw: saponin (foams) and solanine.',
    })
    expect(raw([hazard('saponin', 'moderate'), hazard('cyanogenic', 'deadly'), hazard('lectin', 'high')])?.text).toBe(
      'Not raw: cyanogenic and lectin.',
    )
    expect(raw([])).toEqual({ about: 'raw', rank: 'must', text: 'No accepted way to eat it raw is on record.' })
  })
  it('of a part that was not named is told beside what is food', () => {
    const { reasons, verdict } = plan({ taxon: 'Ficta radix', mass_g: 500, goal: 'eat' }, CATALOGUE)
    expect(verdict).toBe('conditional')
    expect(reasons.slice(0, 2)).toEqual([
      { about: 'part', rank: 'must', text: 'Food: root (mature).' },
      { about: 'part', rank: 'must', text: 'Not food: leaf (young). Its leaf is poison.' },
    ])
  })
})

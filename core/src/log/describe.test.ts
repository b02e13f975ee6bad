import { expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { CLEAN, household, Pen, weighIn } from '../test/pen'
import { describeEntry } from './describe'
import type { Saying } from './stamp'

const taste: Saying<'tasted'> = {
  type: 'tasted',
  lot: 'A',
  taster: 'ann',
  bitter: 3,
  astringent: 0,
  crumb: false,
  accepts: true,
  alarm: null,
}
const done: Saying<'step-done'> = {
  type: 'step-done',
  lot: 'A',
  begun: 'x',
  outcome: 'done',
  minutes: 2.2,
  temp_C: 96,
  backToBoil_s: null,
  driedTo_g: null,
  checked: true,
  water: 'kept',
}
const stand: Saying<'stand-counted'> = {
  type: 'stand-counted',
  lot: 'A',
  stems: 2000,
  taken: 50,
  wildlifeLooked: true,
  wildlifeOn: 3,
  othersPick: false,
  school: null,
}
const lot = 'A'
const kitchen = {
  name: 'Hut',
  elevation_m: 1180,
  timeZone: 'UTC',
  burner: { power_W: 1, efficiency: 0.5 },
  pots_mL: [1],
  waterTemp_C: 9,
  ice_g: 0,
}
const eater = { id: 'di', name: 'Di', kind: 'child' } as const
const T = '2027-05-16T08:00:00.000Z'

const weighed: Saying<'weighed-in'> = {
  ...{ type: 'weighed-in', lot, code: '27-001', taxon: 'Urtica dioica', part: 'leaf', stage: 'young' },
  ...{ patch: 'wall', mass_g: 1, pickedAt: T },
}

const TOLD: readonly (readonly [Saying, string])[] = [
  [{ type: 'kitchen-set', kitchen }, 'The kitchen is Hut, at 1,180 m.'],
  [
    { type: 'ground-noted', patch: 'wall', facts: CLEAN },
    'Ground of Wall: leave to pick, what the law says, spraying, distance to a road, what it was before, dung and fertiliser, dogs, health of the stand, the water it stands in and what lies up the water.',
  ],
  [{ type: 'ground-noted', patch: 'wall', name: 'New wall', facts: {} }, 'Ground of New wall: named.'],
  [{ type: 'ground-noted', patch: 'none', facts: { dogs: 'none' } }, 'Ground of none: dogs.'],
  [
    {
      type: 'ground-noted',
      patch: 'wall',
      facts: {
        vigour: 'lush',
        railway: { distance_m: null },
        works: { distance_m: 900 },
        field: { distance_m: 80, lastSprayed: null },
        grazed: false,
        flood: { last: null },
        soil: [],
        access: ['mud'],
        leftAlone: { months: [4], why: 'nests' },
        habitat: [],
        companions: [],
      },
    },
    'Ground of Wall: how it grows, distance to a railway, distance to works, farmed land near it, grazing, floods, soil tests, getting there, when it is left alone, what kind of ground and what else grows there.',
  ],
  [{ type: 'eater-noted', eater: { ...eater, sensitivities: null } }, 'Di (child): not asked yet.'],
  [{ type: 'eater-noted', eater: { ...eater, sensitivities: [] } }, 'Di (child): asked: no allergies or illnesses.'],
  [{ type: 'eater-noted', eater: { ...eater, sensitivities: ['kidney-stone'] } }, 'Di (child): kidney stones.'],
  [{ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, 'Met nettle (young) and was sure of it.'],
  [{ type: 'plant-met', taxon: 'Planta ignota', stage: 'young' }, 'Met Planta ignota (young) and was sure of it.'],
  [
    { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young', patch: 'wall', mentor: 'my aunt' },
    'Met nettle (young) at Wall and was sure of it, shown by my aunt.',
  ],
  [
    { type: 'plant-met', taxon: 'Urtica dioica', stage: 'young', patch: 'none' },
    'Met nettle (young) at none and was sure of it.',
  ],
  [
    { type: 'instrument-set-right', instrument: 'thermometer', offset: -0.8421 },
    'Probe thermometer set right: it showed 0.84 °C too little.',
  ],
  [{ type: 'instrument-set-right', instrument: 'ph', offset: 0.2 }, 'pH meter set right: it showed 0.2 pH too much.'],
  [{ type: 'struck', entry: 'x', why: 'twice' }, 'Struck out: twice.'],
  [
    { type: 'redated', entry: 'x', to: '2027-05-15T08:30:00.000Z', why: 'a wrong clock' },
    'Happened at another time than was noted, Sat 15 May 2027 08:30: a wrong clock.',
  ],
  [
    { type: 'split', lot, into: 'B', code: '27-002', mass_g: 300, why: 'to dry' },
    '300 g of lot 27-001 go their own way as 27-002: to dry.',
  ],
  [
    {
      type: 'joined',
      lot: 'J',
      code: '27-003',
      parts: [
        { lot, mass_g: 100 },
        { lot: 'gone', mass_g: 50 },
      ],
    },
    'Joined as 27-003: 100 g of lot 27-001 and 50 g of lot gone.',
  ],
  [
    { type: 'opened', lot, pack: '27-001-a', into: 'O', code: '27-004', mass_g: 80 },
    'Opened pack 27-001-a: 80 g in hand again as 27-004.',
  ],
  [
    {
      type: 'plant-recorded',
      plant: {
        scientificName: 'Nova herba',
        commonName: 'new herb',
        family: 'Novaceae',
        lifeForm: 'annual',
        habitat: [],
        characters: {},
        keyCharacters: [],
        lookalikes: [],
        part: 'leaf',
        stage: 'young',
        source: 'my aunt',
      },
    },
    'Put new herb (Nova herba) on record, after my aunt.',
  ],
  [
    {
      type: 'outing-planned',
      outing: 'o1',
      day: '2027-05-17',
      company: ['Ann'],
      plates: 4,
      wishes: [{ taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall' }],
    },
    'Planned an outing on 17 May 2027: nettle, for 4 plates.',
  ],
  [
    { type: 'gave-back', patch: 'wall', what: 'crowns-replanted', taxon: 'Urtica dioica', count: 4 },
    'Gave back to Wall: crowns replanted (4), nettle.',
  ],
  [{ type: 'gave-back', patch: 'none', what: 'holes-filled', count: null }, 'Gave back to none: holes filled.'],
  [
    { type: 'stand-set-aside', patch: 'wall', taxon: 'Urtica dioica', shares: { seed: 0.2, greens: 0.5 } },
    'nettle at Wall shared out: 50 % for leaves and tops and 20 % for left to seed.',
  ],
  [
    { type: 'stand-set-aside', patch: 'none', taxon: 'Urtica dioica', shares: {} },
    'nettle at none shared out: for anything.',
  ],
  [{ type: 'washed', lot, wash: { water: 'safe', changes: 2 } }, 'Washed in safe water, 2 changes.'],
  [{ type: 'washed', lot, wash: { water: 'germs', changes: 1 } }, 'Washed in water with germs, 1 change.'],
  [{ type: 'snapped', lot, tips: [{ length_cm: 12 }, { length_cm: 14.5 }] }, '2 tips snapped at 12 cm and 14.5 cm.'],
  [
    {
      ...{ type: 'plants-scored', lot, taster: 'ann', rinsed: true },
      plants: [
        { plant: 'gate', liking: 7 },
        { plant: 'ditch', liking: 3 },
      ],
    },
    'Bitten of 2 plants: gate 7 and ditch 3 of 10.',
  ],
  [
    {
      ...{ type: 'table-noted', lot, serving: 's' },
      heard: [
        { eater: 'ann', eaten_g: 80, liking: 8 },
        { eater: 'x', eaten_g: 0, liking: null },
      ],
    },
    'At the table: Ann ate 80 g, 8 of 10 and x ate 0 g.',
  ],
  [
    {
      ...{ type: 'trial-set', trial: 't', taxon: 'Taraxacum officinale', part: 'leaf', stage: 'young' },
      ...{
        school: 'raw, cold soaked',
        step: 2,
        arms: [
          { lot, minutes: 60 },
          { lot: 'x', minutes: 0 },
        ],
      },
    },
    'Trial of dandelion, “raw, cold soaked”: step 3 for 60 min (lot 27-001) and none (lot x).',
  ],
  [
    {
      ...{ type: 'figure-noted', taxon: 'Urtica dioica', part: 'leaf' },
      figure: { what: 'vitamin-c', value: 300, unit: 'ug', per_g: 100, basis: 'unsaid', source: 'an old table' },
    },
    'nettle, leaf, by an old table: 300 µg vitamin c in 100 g, fresh or dry not said.',
  ],
  [
    {
      ...{ type: 'claim-noted', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
      claim: { schools: ['blanch and drain'], says: 'two minutes', who: 'a neighbour', grounds: 'practised' },
    },
    'Said of nettle (blanch and drain), by a neighbour: two minutes',
  ],
  [
    {
      ...{ type: 'claim-noted', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young' },
      claim: { schools: ['blanch and drain'], says: 'a count', who: 'a lab', grounds: 'measured', awaited: true },
    },
    'Awaited of nettle (blanch and drain), by a lab: a count',
  ],
  [{ type: 'patch-turned', patch: 'wall', why: 'sprayed', since: null }, 'Recall of Wall: sprayed.'],
  [
    { type: 'patch-turned', patch: 'none', why: 'sprayed', since: T },
    'Recall of none, picked from 16 May 2027 on: sprayed.',
  ],
  [{ type: 'food-turned', of: lot, pack: null, why: 'mould' }, 'Recall of lot 27-001: mould.'],
  [{ type: 'food-turned', of: lot, pack: 'p', why: 'mould' }, 'Recall of pack p: mould.'],
  [{ type: 'felt-ill', eater: 'ann', symptoms: 'cramps' }, 'Ann feels ill: cramps.'],
  [{ type: 'felt-ill', eater: 'nobody', symptoms: 'cramps' }, 'nobody feels ill: cramps.'],
  [{ type: 'numbers-noted', emergency: '1', poisonCentre: '', doctor: '' }, 'Numbers to call were written down.'],
  [{ ...weighed, part: 'leafy-top', mass_g: 1240 }, 'Weighed in 1,240 g of nettle (leafy top, young) from Wall.'],
  [{ ...weighed, patch: 'none' }, 'Weighed in 1 g of nettle (leaf, young) from none.'],
  [{ ...weighed, mass_g: 120, counted: 60 }, 'Counted 60, about 120 g of nettle (leaf, young) from Wall.'],
  [
    { type: 'tell-seen', lot, character: 'leafMargin', answer: 'seen', states: ['serrate', 'entire'] },
    'Leaf edge: saw teeth (serrate) and smooth (entire).',
  ],
  [
    { type: 'tell-seen', lot, character: 'leafMargin', answer: 'not-visible', states: [] },
    'Leaf edge: not to be seen now.',
  ],
  [{ type: 'tell-seen', lot, character: 'aura', answer: 'could-not-tell', states: [] }, 'aura: could not tell.'],
  [{ type: 'certain-attested', lot }, 'Was certain of the plant.'],
  [
    { type: 'revived', lot, minutes: 25, chilled: true, looks: 'crisp' },
    'Stood in cold water for 25 min: crisp after, wrapped and into the cold.',
  ],
  [{ type: 'revived', lot, minutes: 40, chilled: false, looks: 'same' }, 'Stood in cold water for 40 min: same after.'],
  [
    { type: 'certain-attested', lot, stand: { mixed: true, stemsSeen: 12 } },
    'Was certain of the plant, 12 stems of a mixed stand looked at.',
  ],
  [
    { type: 'certain-attested', lot, stand: { mixed: false, stemsSeen: 0 } },
    'Was certain of the plant, nothing else among it.',
  ],
  [{ type: 'stray-reported', lot, what: 'a smooth leaf', brokenUp: false }, 'A stray: a smooth leaf.'],
  [
    { type: 'stray-reported', lot, what: 'a smooth leaf', brokenUp: true },
    'A stray: a smooth leaf, already broken up with the rest.',
  ],
  [{ type: 'strays-sorted', lot, found: 1 }, 'Gone through again; 1 stray taken out.'],
  [stand, '50 of 2,000 stems cut, 3 with wildlife.'],
  [{ ...stand, wildlifeLooked: false }, '50 of 2,000 stems cut, wildlife not looked for.'],
  [
    { type: 'sorted', lot, stageSeen: 'young', kept_g: 900, trimmed_g: 100, trimmedTo: 'stock', wash: null },
    'Sorted: kept 900 g; trimmed off 100 g, to stock.',
  ],
  [
    { type: 'way-chosen', lot, protocol: 'blanch and drain', goal: 'freeze' },
    'Way chosen: blanch and drain, to freeze.',
  ],
  [{ type: 'step-begun', lot, protocol: 'w', step: 2, load: 2, mass_g: 450 }, 'Load 2 begun: 450 g.'],
  [done, 'Load out after 2 min 12 s at 96.0 °C, water kept.'],
  [
    { ...done, outcome: 'off-boil', temp_C: null, water: 'thrown' },
    'Load went off the boil after 2 min 12 s, water thrown away.',
  ],
  [{ ...done, outcome: 'stopped', temp_C: null, water: null }, 'Load stopped after 2 min 12 s.'],
  [{ type: 'bath-changed', lot, protocol: 'w', step: 2, fresh: null }, 'Water poured off; no fresh water on it.'],
  [
    { type: 'bath-changed', lot, protocol: 'w', step: 2, fresh: { water_mL: 4000, temp_C: 96 } },
    'Fresh water on it: 4 L at 96.0 °C.',
  ],
  [
    { type: 'bath-changed', lot, protocol: 'w', step: 2, fresh: { water_mL: 4000, temp_C: null, flow_mL_min: 1500 } },
    'Fresh water on it: 4 L, 1.5 L a minute running through.',
  ],
  [
    { type: 'bath-changed', lot, protocol: 'w', step: 2, fresh: { water_mL: 4000, temp_C: null } },
    'Fresh water on it: 4 L.',
  ],
  [{ type: 'reading-taken', lot, what: 'temp_C', value: 4, instrument: 'probe' }, 'Measured: 4.0 °C (probe).'],
  [{ type: 'reading-taken', lot, what: 'ph', value: 4.2, instrument: 'strip' }, 'Measured: pH 4.2 (strip).'],
  [{ type: 'reading-taken', lot, what: 'brix', value: 65, instrument: 'glass' }, 'Measured: 65 Brix (glass).'],
  [{ type: 'reading-taken', lot, what: 'salinity', value: 3, instrument: 'meter' }, 'Measured: 3 % salt (meter).'],
  [{ type: 'reading-taken', lot, what: 'mass_g', value: 30, instrument: 'scale' }, 'Measured: 30 g (scale).'],
  [{ type: 'ingredient-added', lot, what: 'salt', name: 'sea salt', mass_g: 12 }, 'Added 12 g of sea salt.'],
  [{ type: 'weighed', lot, mass_g: 700, after: 'cooking' }, 'Weighed 700 g after cooking.'],
  [taste, 'Ann tasted: bitter 3 of 10, good.'],
  [
    { ...taste, astringent: 2, notes: { sour: 4, sweet: 0 }, aftertaste: 5 },
    'Ann tasted: bitter 3 of 10, dry 2, sour 4, aftertaste 5, good.',
  ],
  [{ ...taste, aftertaste: 0 }, 'Ann tasted: bitter 3 of 10, good.'],
  [{ ...taste, taster: 'nobody', accepts: false }, 'nobody tasted: bitter 3 of 10, not yet.'],
  [{ ...taste, alarm: 'soap' }, 'Ann tasted soap: stopped.'],
  [
    { type: 'packed', lot, pack: 'p', store: 'frozen', mass_g: 300, containers: 2, storeTemp_C: -19 },
    'Packed 300 g frozen, 2 containers.',
  ],
  [
    {
      type: 'served',
      lot,
      pack: null,
      dish: 'soup',
      portions: [
        { eater: 'ann', mass_g: 100 },
        { eater: 'nobody', mass_g: 50 },
      ],
    },
    'Served 150 g as soup to Ann and nobody.',
  ],
  ...[true, false].map(
    (rinsed) =>
      [
        {
          type: 'served',
          lot,
          pack: null,
          dish: 'x',
          onTheWay: { rinsed },
          portions: [{ eater: 'ann', mass_g: 12 }],
        },
        `Eaten on the way, ${rinsed ? 'rinsed' : 'not washed'}: 12 g by Ann.`,
      ] as const,
  ),
  [{ type: 'thrown-away', lot, pack: null, mass_g: 20, why: 'dropped' }, 'Threw away 20 g: dropped.'],
]

it('tells every kind of entry in one plain sentence, names where there are any and ids where not', () => {
  const pen = household(new Pen())
  weighIn(pen)
  pen.force({
    type: 'weighed-in',
    lot: 'A',
    code: '27-001',
    taxon: 'Urtica dioica',
    part: 'leaf',
    stage: 'young',
    patch: 'wall',
    mass_g: 1240,
    pickedAt: pen.now,
  })
  for (const [saying, sentence] of TOLD)
    expect(describeEntry(pen.stamp(saying), pen.log.state, CATALOGUE), saying.type).toBe(sentence)
  const setRight = pen.stamp({ type: 'instrument-set-right', instrument: 'ph', offset: 0.2 })
  expect(describeEntry({ ...setRight, simulated: true } as never, pen.log.state, CATALOGUE)).toMatch(
    / too much \(stand-in\)\.$/,
  )
  // Before any kitchen is noted a moment is told in UTC; after, in the time of the kitchen.
  const redated = pen.stamp({ type: 'redated', entry: 'x', to: T, why: 'late' })
  expect(describeEntry(redated, new Pen().log.state, CATALOGUE)).toMatch(/, Sun 16 May 2027 08:00: late\.$/)
  const away = new Pen()
  away.write({ type: 'kitchen-set', kitchen: { ...kitchen, timeZone: 'America/Lima' } })
  expect(describeEntry(redated, away.log.state, CATALOGUE)).toMatch(/, Sun 16 May 2027 03:00: late\.$/)
  expect(() => describeEntry({ type: 'magic' } as never, pen.log.state, CATALOGUE)).toThrow(/known entry/)
})

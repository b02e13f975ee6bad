import Joi from 'joi'
import { INSTRUMENTS } from '../instruments/instruments'
import { BASES, FIGURE_UNITS, FIGURES } from '../evidence/figure'
import { GROUNDS, STORES } from '../flora/taxon'
import { LIFE_FORMS } from '../flora/own'
import { ALLERGENS } from '../flora/allergens'
import { CHARACTERS, HABITAT_STATES } from '../flora/vocabulary'
import { ACCESS, CUT_HEIGHTS, CUT_SIDES, PAST_USES, SOIL_METALS, UPSTREAM, VIGOURS, WATERS } from '../ground/facts'
import { GROUND_SCHOOLS } from '../ground/schools'
import type { Entry, EntryType } from '../log/entries'
import { FIND_STATES, GIFTS } from '../log/houseState'
import { CUTTINGS, DIG_TOOLS, INGREDIENTS, LIGHTS, LOOKS, PLACES, READINGS } from '../lot/lotState'
import { PURPOSES } from '../take/setAside'
import { KIT } from '../treatment/kit'
import { check, type Checked } from './check'
import {
  count,
  day,
  eaterKind,
  elevation_m,
  latitude_deg,
  goal,
  id,
  instant,
  mass_g,
  massOrNone_g,
  minutes,
  part,
  sensitivity,
  stage,
  strictObject,
  temp_C,
  text,
} from './shapes'

const BASE = { id: id(), at: instant(), noted: instant(), book: id(), by: id(), device: id() }
const score = () => Joi.number().integer().min(0).max(10)
const LOT = { ...BASE, lot: id() }
const maybeText = () => text().allow('')
const nullable = (schema: Joi.Schema) => schema.allow(null)
const distance_m = () => nullable(Joi.number().min(0).max(100_000))
const mayOrNot = () => Joi.string().valid('allowed', 'forbidden')

const wash = () =>
  strictObject({
    water: Joi.string().valid('safe', 'germs', 'chemicals'),
    changes: Joi.number().integer().min(1).max(20),
  })

/** The shape of each entry, held at the edges: forms, import, restore. */
const SHAPES: Readonly<Record<EntryType, Joi.PartialSchemaMap>> = {
  'kitchen-set': {
    ...BASE,
    kitchen: strictObject({
      name: text(),
      elevation_m: elevation_m(),
      latitude_deg: latitude_deg().optional(),
      timeZone: text(),
      burner: strictObject({
        power_W: Joi.number().greater(0).max(50_000),
        efficiency: Joi.number().greater(0).max(1),
        wind: strictObject({ speed_m_s: Joi.number().min(0).max(15), screened: Joi.boolean() }).optional(),
      }),
      pots_mL: Joi.array().items(Joi.number().min(200).max(200_000)).min(1).max(20),
      waterTemp_C: Joi.number().min(0).max(40),
      ice_g: massOrNone_g(),
      kit: Joi.array()
        .items(Joi.string().valid(...KIT))
        .unique()
        .optional(),
      groundSchool: Joi.string()
        .valid(...GROUND_SCHOOLS)
        .optional(),
    }),
  },
  'ground-noted': {
    ...BASE,
    patch: id(),
    name: text().optional(),
    elevation_m: elevation_m().optional(),
    position: strictObject({
      latitude_deg: latitude_deg(),
      longitude_deg: Joi.number().min(-180).max(180),
    }).optional(),
    facts: Joi.object({
      permission: strictObject({ from: text(), until: nullable(instant()) }).optional(),
      law: strictObject({ picking: mayOrNot(), digging: mayOrNot() }).optional(),
      sprayed: strictObject({
        last: nullable(instant()),
        wait_days: Joi.number().integer().min(0).max(3650).optional(),
      }).optional(),
      busyRoad: strictObject({ distance_m: distance_m() }).optional(),
      railway: strictObject({ distance_m: distance_m() }).optional(),
      works: strictObject({ distance_m: distance_m() }).optional(),
      field: strictObject({ distance_m: distance_m(), lastSprayed: nullable(instant()) }).optional(),
      pastUse: Joi.string().valid(...PAST_USES),
      manured: Joi.string().valid('no', 'yes', 'unknown'),
      dogs: Joi.string().valid('none', 'some', 'many'),
      grazed: Joi.boolean(),
      looksHealthy: Joi.boolean(),
      vigour: Joi.string().valid(...VIGOURS),
      water: Joi.string().valid(...WATERS),
      upstream: Joi.alternatives(
        Joi.string().valid('unknown'),
        Joi.array()
          .items(Joi.string().valid(...UPSTREAM))
          .unique(),
      ),
      flood: strictObject({ last: nullable(instant()) }).optional(),
      soil: Joi.array()
        .items(
          strictObject({
            what: Joi.string().valid(...SOIL_METALS),
            mg_per_kg: Joi.number().min(0).max(1_000_000),
            on: instant(),
          }),
        )
        .max(100),
      access: Joi.array()
        .items(Joi.string().valid(...ACCESS))
        .unique(),
      leftAlone: strictObject({
        months: Joi.array().items(Joi.number().integer().min(1).max(12)).unique().max(12),
        why: Joi.when('months', { is: Joi.array().length(0), then: text().optional(), otherwise: text() }),
      }).optional(),
      habitat: Joi.array()
        .items(Joi.string().valid(...HABITAT_STATES))
        .unique(),
      companions: Joi.array().items(text()).unique().max(100),
    })
      .options({ presence: 'optional' })
      .required(),
  },
  'eater-noted': {
    ...BASE,
    eater: strictObject({
      id: id(),
      name: text(),
      kind: eaterKind(),
      sensitivities: nullable(Joi.array().items(sensitivity()).unique()),
      ownCaps: Joi.array()
        .items(strictObject({ taxon: text(), perDay_g: Joi.number().min(0).max(5000) }))
        .unique('taxon')
        .max(100)
        .optional(),
      bornOn: day().optional(),
    }),
    laxerConfirmed: Joi.boolean().valid(true).optional(),
  },
  'plant-met': { ...BASE, taxon: text(), stage: stage(), patch: id().optional(), mentor: text().optional() },
  'plant-recorded': {
    ...BASE,
    plant: strictObject({
      scientificName: text(),
      commonName: text(),
      family: text(),
      lifeForm: Joi.string().valid(...LIFE_FORMS),
      habitat: Joi.array()
        .items(Joi.string().valid(...HABITAT_STATES))
        .unique(),
      characters: Joi.object().pattern(
        Joi.string().valid(...Object.keys(CHARACTERS)),
        Joi.array().items(text()).min(1).max(20),
      ),
      keyCharacters: Joi.array()
        .items(Joi.string().valid(...Object.keys(CHARACTERS)))
        .unique(),
      lookalikes: Joi.array()
        .items(strictObject({ scientificName: text(), why: text() }))
        .max(30),
      part: part(),
      stage: stage(),
      source: text(),
    }),
  },
  'outing-planned': {
    ...BASE,
    outing: id(),
    day: day(),
    company: Joi.array().items(text()).max(50),
    plates: Joi.number().integer().min(1).max(500),
    wishes: Joi.array()
      .items(strictObject({ taxon: text(), part: part(), stage: stage(), patch: id() }))
      .min(1)
      .max(50),
  },
  'gave-back': {
    ...BASE,
    patch: id(),
    what: Joi.string().valid(...GIFTS),
    taxon: text().optional(),
    count: nullable(count()),
  },
  'stand-set-aside': {
    ...BASE,
    patch: id(),
    taxon: text(),
    shares: Joi.object().pattern(Joi.string().valid(...PURPOSES), Joi.number().min(0).max(1)),
  },
  'stop-noted': {
    ...BASE,
    patch: id(),
    finds: Joi.array()
      .items(strictObject({ taxon: text(), part: part(), state: Joi.string().valid(...FIND_STATES) }))
      .min(1)
      .max(60),
  },
  'weighed-in': {
    ...LOT,
    code: text(),
    taxon: text(),
    part: part(),
    stage: stage(),
    patch: id(),
    mass_g: mass_g(),
    pickedAt: instant(),
    counted: Joi.number().integer().min(1).max(1_000_000).optional(),
    took_min: Joi.number().min(1).max(1440).optional(),
    cutAt: strictObject({
      height: Joi.string().valid(...CUT_HEIGHTS),
      side: Joi.string().valid(...CUT_SIDES),
    }).optional(),
    outing: id().optional(),
  },
  'tell-seen': {
    ...LOT,
    character: text(),
    answer: Joi.string().valid('seen', 'not-visible', 'could-not-tell', 'lay-about'),
    states: Joi.array().items(text()).max(20).unique(),
  },
  'certain-attested': {
    ...LOT,
    stand: strictObject({ mixed: Joi.boolean(), stemsSeen: count() }).optional(),
  },
  'stray-reported': { ...LOT, what: text(), brokenUp: Joi.boolean() },
  revived: {
    ...LOT,
    minutes: Joi.number().greater(0).max(600),
    chilled: Joi.boolean(),
    looks: Joi.string().valid(...LOOKS),
  },
  placed: {
    ...LOT,
    place: Joi.string().valid(...PLACES),
    temp_C: nullable(temp_C()),
  },
  'sample-dried': {
    ...LOT,
    wet_g: mass_g(),
    before_g: mass_g(),
    dry_g: mass_g(),
    apart_min: minutes(),
  },
  'cut-up': { ...LOT, how: Joi.string().valid(...CUTTINGS) },
  'store-read': { ...LOT, pack: id(), temp_C: temp_C(), simulated: Joi.boolean().valid(true).optional() },
  'strays-sorted': { ...LOT, found: count() },
  'stand-counted': {
    ...LOT,
    stems: count().min(1),
    taken: count(),
    wildlifeLooked: Joi.boolean(),
    wildlifeOn: count(),
    othersPick: Joi.boolean(),
    cutByOthers: count().optional(),
    clone: Joi.boolean().optional(),
    dug: strictObject({
      tool: Joi.string().valid(...DIG_TOOLS),
      depth_cm: Joi.number().min(1).max(200).optional(),
    }).optional(),
    school: nullable(text()),
  },
  snapped: {
    ...LOT,
    tips: Joi.array()
      .items(
        strictObject({
          length_cm: Joi.number().min(0.5).max(300),
          joints: Joi.number().integer().min(1).max(40).optional(),
          mass_g: mass_g().optional(),
        }),
      )
      .min(1)
      .max(50),
  },
  'plants-scored': {
    ...LOT,
    taster: id(),
    rinsed: Joi.boolean(),
    plants: Joi.array()
      .items(
        strictObject({
          plant: text().max(80),
          liking: score(),
          gives: count().optional(),
          light: Joi.string()
            .valid(...LIGHTS)
            .optional(),
        }),
      )
      .min(1)
      .max(60),
  },
  'table-noted': {
    ...LOT,
    serving: id(),
    heard: Joi.array()
      .items(strictObject({ eater: id(), eaten_g: massOrNone_g(), liking: nullable(score()) }))
      .min(1)
      .max(500),
  },
  'trial-set': {
    ...BASE,
    trial: id(),
    taxon: text(),
    part: part(),
    stage: stage(),
    school: text(),
    step: count(),
    arms: Joi.array()
      .items(strictObject({ lot: id(), minutes: minutes() }))
      .min(1)
      .max(10),
  },
  'figure-noted': {
    ...BASE,
    taxon: text(),
    part: part(),
    figure: strictObject({
      what: Joi.string().valid(...FIGURES),
      value: Joi.number().min(0).max(1e9),
      unit: Joi.string().valid(...FIGURE_UNITS),
      per_g: mass_g(),
      basis: Joi.string().valid(...BASES),
      source: text().max(120),
    }),
  },
  'claim-noted': {
    ...BASE,
    taxon: text(),
    part: part(),
    stage: stage(),
    claim: strictObject({
      schools: Joi.array().items(text()).min(1).max(20).unique(),
      says: text(),
      who: text().max(120),
      grounds: Joi.string().valid(...GROUNDS),
      copies: id().optional(),
      awaited: Joi.boolean().valid(true).optional(),
    }),
  },
  sorted: {
    ...LOT,
    stageSeen: stage(),
    kept_g: mass_g(),
    trimmed_g: massOrNone_g(),
    trimmedTo: text(),
    wash: nullable(wash()),
  },
  washed: { ...LOT, wash: wash() },
  'way-chosen': {
    ...LOT,
    protocol: text(),
    goal: goal(),
    without: Joi.array().items(count()).unique().max(20).optional(),
  },
  'step-begun': {
    ...LOT,
    protocol: text(),
    step: count(),
    load: count().min(1),
    mass_g: mass_g(),
    water: strictObject({ water_mL: Joi.number().greater(0).max(1_000_000), fresh: Joi.boolean() }).optional(),
  },
  'step-done': {
    ...LOT,
    begun: id(),
    outcome: Joi.string().valid('done', 'off-boil', 'stopped'),
    minutes: minutes(),
    temp_C: nullable(temp_C()),
    backToBoil_s: nullable(Joi.number().min(0).max(7200)),
    driedTo_g: nullable(mass_g()),
    checked: Joi.boolean(),
    water: nullable(Joi.string().valid('kept', 'thrown')),
  },
  'bath-changed': {
    ...LOT,
    protocol: text(),
    step: count(),
    fresh: nullable(
      strictObject({
        water_mL: Joi.number().greater(0).max(1_000_000),
        temp_C: nullable(temp_C()),
        flow_mL_min: Joi.number().greater(0).max(100_000).optional(),
      }),
    ),
  },
  'reading-taken': {
    ...LOT,
    what: Joi.string().valid(...READINGS),
    value: Joi.when('what', {
      switch: [
        { is: 'temp_C', then: temp_C() },
        { is: 'ph', then: Joi.number().min(0).max(14) },
        { is: 'brix', then: Joi.number().min(0).max(95) },
        { is: 'salinity', then: Joi.number().min(0).max(40) },
      ],
      otherwise: mass_g(),
    }),
    instrument: text(),
    simulated: Joi.boolean().valid(true).optional(),
  },
  'ingredient-added': {
    ...LOT,
    what: Joi.string().valid(...INGREDIENTS),
    name: text(),
    mass_g: mass_g(),
    allergens: Joi.array()
      .items(Joi.string().valid(...ALLERGENS))
      .unique()
      .optional(),
  },
  'ill-explained': { ...BASE, eater: id(), why: text() },
  weighed: { ...LOT, mass_g: mass_g(), after: Joi.string().valid('cooking', 'drying', 'pressing', 'straining') },
  tasted: {
    ...LOT,
    taster: id(),
    bitter: score(),
    astringent: score(),
    crumb: Joi.boolean(),
    accepts: Joi.boolean(),
    alarm: nullable(Joi.string().valid('burning', 'numbness', 'soap', 'almond', 'bitter-where-none-belongs')),
    notes: strictObject({
      acrid: score().optional(),
      sour: score().optional(),
      salt: score().optional(),
      sweet: score().optional(),
      resin: score().optional(),
    }).optional(),
    aftertaste: score().optional(),
    simulated: Joi.boolean().valid(true).optional(),
  },
  packed: {
    ...LOT,
    pack: id(),
    store: Joi.string().valid(...STORES),
    mass_g: mass_g(),
    containers: count().min(1),
    storeTemp_C: nullable(temp_C()),
  },
  served: {
    ...LOT,
    pack: nullable(id()),
    dish: text(),
    onTheWay: strictObject({ rinsed: Joi.boolean().required() }).optional(),
    portions: Joi.array()
      .items(strictObject({ eater: id(), mass_g: mass_g() }))
      .min(1)
      .max(500),
  },
  'thrown-away': { ...LOT, pack: nullable(id()), mass_g: mass_g(), why: text() },
  split: { ...LOT, into: id(), code: text(), mass_g: mass_g(), why: text() },
  joined: {
    ...LOT,
    code: text(),
    parts: Joi.array()
      .items(strictObject({ lot: id(), mass_g: mass_g() }))
      .min(2)
      .max(50)
      .unique('lot'),
  },
  opened: { ...LOT, pack: id(), into: id(), code: text(), mass_g: mass_g() },
  'patch-turned': { ...BASE, patch: id(), why: text(), since: nullable(instant()) },
  'food-turned': { ...BASE, of: id(), pack: nullable(id()), why: text() },
  'felt-ill': { ...BASE, eater: id(), symptoms: text() },
  'numbers-noted': { ...BASE, emergency: maybeText(), poisonCentre: maybeText(), doctor: maybeText() },
  'instrument-set-right': {
    ...BASE,
    instrument: Joi.string().valid(...INSTRUMENTS.map(({ id: name }) => name)),
    offset: Joi.number().min(-10_000).max(10_000),
    simulated: Joi.boolean().valid(true).optional(),
  },
  struck: { ...BASE, entry: id(), why: text() },
  redated: { ...BASE, entry: id(), to: instant(), why: text() },
}

const SCHEMAS = Object.fromEntries(
  Object.entries(SHAPES).map(([type, shape]) => [type, strictObject({ ...shape, type: Joi.string().valid(type) })]),
) as Readonly<Record<EntryType, Joi.ObjectSchema>>

/** An entry from outside, held against the shape of its type. */
export function readEntry(document: unknown): Checked<Entry> {
  const type = (document as { type?: unknown } | null)?.type
  if (typeof type !== 'string' || !Object.hasOwn(SCHEMAS, type))
    return { ok: false, path: 'type', message: `must be one of ${Object.keys(SCHEMAS).join(', ')}` }
  return check<Entry>(SCHEMAS[type as EntryType], document)
}

/** The shapes of all entries as Joi alternatives, for the published JSON Schema of a book. */
export function entryAlternatives(): Joi.Schema {
  return Joi.alternatives().try(...Object.values(SCHEMAS))
}

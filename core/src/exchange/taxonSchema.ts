import Joi from 'joi'
import { GROUNDS, SEVERITIES, STORES, type Taxon, type Use } from '../flora/taxon'
import { CHARACTERS, HABITAT_STATES, REGIONS } from '../flora/vocabulary'
import { check, type Checked } from './check'
import { goal, part, sensitivity, stage, strictObject, text } from './shapes'

const range = () =>
  strictObject({
    low: Joi.number().min(0),
    usual: Joi.number().min(Joi.ref('low')),
    high: Joi.number().min(Joi.ref('usual')),
  }).optional()
const severity = () => Joi.string().valid(...SEVERITIES)
const monthDay = () => Joi.string().pattern(/^\d{2}-\d{2}$/)
const list = (item: Joi.Schema) => Joi.array().items(item)
const season = () => Joi.string().valid('spring', 'summer', 'autumn', 'winter')
const says = { says: text() }

const answer = Joi.alternatives().try(
  strictObject({ kind: Joi.valid('control'), ...says }),
  strictObject({ kind: Joi.valid('ground'), fact: Joi.valid('manured'), mustBe: Joi.valid('no'), ...says }),
  Joi.object({ kind: Joi.valid('amount').required(), schools: list(text()).min(1), says: text().required() }),
  strictObject({ kind: Joi.valid('store'), ...says }),
  strictObject({ kind: Joi.valid('person'), who: list(sensitivity()).min(1), ...says }),
  strictObject({ kind: Joi.valid('refusal'), ...says }),
)

const limit = Joi.alternatives().try(
  strictObject({
    measure: Joi.valid('rolling-boil'),
    minutes: Joi.number().greater(0),
    acceptedTo_m: Joi.number().min(0).max(5000),
    added: list(strictObject({ from_m: Joi.number().min(0), minutes: Joi.number().greater(0) })),
  }),
  strictObject({
    measure: Joi.valid('food-temperature'),
    temp_C: Joi.number().min(40).max(100),
    minutes: Joi.number().greater(0),
  }),
  strictObject({ measure: Joi.valid('dried-to'), moisture: Joi.number().greater(0).less(1) }),
  strictObject({ measure: Joi.valid('seen'), sign: text() }),
  strictObject({
    measure: Joi.valid('ph'),
    atMost: Joi.number().min(3).max(4.6),
    minutes: Joi.number().greater(0).optional(),
    saltAtLeast: Joi.number().min(0.01).max(0.3).optional(),
  }),
  Joi.object({
    measure: Joi.valid('baths').required(),
    least: Joi.number().integer().min(1).max(50).required(),
    minutes: Joi.number().greater(0).required(),
    tasteAtMost: Joi.number().integer().min(0).max(3).required(),
    atMost_C: Joi.number().min(0).max(45),
  }),
)

const step = Joi.object({
  op: text().required(),
  minutes: strictObject({ low: Joi.number().greater(0), high: Joi.number().min(Joi.ref('low')) }).optional(),
  temp_C: Joi.number(),
  waterRatio: strictObject({ least: Joi.number().greater(0), usual: Joi.number().min(Joi.ref('least')) }).optional(),
  water: Joi.valid('discard', 'may-keep'),
  control: list(text()).required(),
  critical: Joi.boolean().required(),
  limit,
  startMoisture: range(),
  check: text(),
  onlyFor: list(goal()).min(1),
})
  .options({ presence: 'optional' })
  .custom((value: { critical: boolean; limit?: unknown }, helpers) =>
    value.critical && value.limit === undefined
      ? helpers.message({ custom: '{{#label}} is critical and states no limit' })
      : value,
  )

const use = Joi.object({
  part: part().required(),
  alsoCalled: list(part()),
  called: text(),
  stage: stage().required(),
  verdict: Joi.valid('raw-ok', 'cook', 'leach-then-cook', 'flavouring-only', 'never').required(),
  whyNever: Joi.when('verdict', { is: 'never', then: text().required(), otherwise: Joi.forbidden() }),
  instead: text(),
  window: strictObject({ from: monthDay(), to: monthDay() }).optional(),
  windowDays: Joi.number().integer().greater(0).max(366),
  windowLatitude_deg: Joi.number().min(-60).max(70),
  tenderness: text(),
  cut: text(),
  hazards: list(
    Joi.object({
      id: text().required(),
      kind: Joi.valid('mechanical', 'palate', 'toxic', 'untreatable', 'amount', 'biological', 'person').required(),
      level: Joi.valid('trace', 'low', 'moderate', 'high', 'deadly').required(),
      note: text().allow('').required(),
      onlyFor: list(goal()).min(1),
      answers: list(answer).min(1).required(),
    }),
  ).required(),
  trim: list(text()).required(),
  protocols: list(
    Joi.object({
      name: text().required(),
      standing: Joi.valid('usual', 'cautious', 'minimal', 'contested', 'not-advised').required(),
      goals: list(goal()).min(1).required(),
      steps: list(step).min(1).required(),
      why: text().required(),
      storeOnly: Joi.boolean(),
    }),
  ).required(),
  claims: list(
    strictObject({
      id: text().required(),
      schools: list(text()).min(1).unique().required(),
      says: text().required(),
      who: text().required(),
      grounds: Joi.valid(...GROUNDS).required(),
      copies: text().optional(),
    }),
  )
    .min(1)
    .unique('id'),
  edibleFraction: range(),
  cookedYield: range(),
  moisture: range(),
  bulk_g_per_L: Joi.number().greater(0),
  pieceMass_g: Joi.number().greater(0).max(5000),
  pickRate_g_per_h: strictObject({
    low: Joi.number().greater(0).max(1e5),
    high: Joi.number().min(Joi.ref('low')).max(1e5),
  }).optional(),
  portion_g: Joi.number().greater(0),
  energy_kcal_per_100g: Joi.number().greater(0).max(900),
  firstTaste_g: Joi.number().greater(0),
  ifUnreachable: text(),
  keepsRaw_days: strictObject({ ambient: Joi.number().min(0), chilled: Joi.number().min(0) }).optional(),
  spoilsRaw_days: strictObject({
    ambient: Joi.number().min(Joi.ref('...keepsRaw_days.ambient')),
    chilled: Joi.number().min(Joi.ref('...keepsRaw_days.chilled')),
  }).when('keepsRaw_days', { is: Joi.exist(), then: Joi.required(), otherwise: Joi.forbidden() }),
  stores: list(
    Joi.object({
      store: Joi.valid(...STORES).required(),
      after: Joi.valid('raw', 'treated', 'dried').required(),
      limit: Joi.alternatives()
        .required()
        .try(
          strictObject({ measure: Joi.valid('store-temperature'), atMost_C: Joi.number().max(8) }),
          strictObject({ measure: Joi.valid('dried-to'), moisture: Joi.number().greater(0).max(0.2) }),
          strictObject({ measure: Joi.valid('ph'), atMost: Joi.number().min(3).max(4.6) }),
          strictObject({ measure: Joi.valid('sugar'), atLeast_brix: Joi.number().min(60).max(80) }),
          strictObject({ measure: Joi.valid('salt-share'), atLeast: Joi.number().min(0.02).less(1) }),
        ),
      keeps: strictObject({
        low: Joi.number().greater(0),
        high: Joi.number().min(Joi.ref('low')),
        unit: Joi.valid('days', 'months'),
      }).required(),
      onceOpened_days: Joi.number().greater(0),
      atRoom: Joi.boolean(),
      says: text().required(),
    }),
  ).required(),
  amounts: list(
    Joi.object({
      perDay_g: Joi.number().greater(0).required(),
      who: Joi.valid('adult', 'child', 'infant').required(),
      school: text(),
      why: text().required(),
    }),
  ).required(),
  cautionFor: list(
    Joi.object({
      who: sensitivity().required(),
      what: Joi.valid('avoid', 'limit').required(),
      onlyFor: list(goal()).min(1),
      perDay_g: Joi.number().greater(0),
      cookedFrom_months: Joi.when('who', { is: 'infant', then: Joi.number().integer().min(6).max(12), otherwise: Joi.forbidden() }), // prettier-ignore
      why: text().required(),
    }),
  ).required(),
  dishes: list(text()).required(),
}).custom((value: Use, helpers) => {
  const { claims = [], protocols } = value
  const wrong = claims.find(
    ({ schools, copies }, index) =>
      schools.some((school) => !protocols.some(({ name }) => name === school)) ||
      (copies !== undefined && !claims.slice(0, index).some(({ id }) => id === copies)),
  )
  return wrong === undefined
    ? value
    : helpers.message({
        custom: `{{#label}}: the claim ${wrong.id} names a school that the use has not, or copies a claim that does not stand before it`,
      })
})

const characters = Joi.object(
  Object.fromEntries(
    Object.entries(CHARACTERS).map(([name, { states }]) => [
      name,
      list(Joi.valid(...states))
        .min(1)
        .unique(),
    ]),
  ),
)

const binomial = () => Joi.string().pattern(/^[A-Z][a-z]+ [a-z-]+$/)

const taxon = Joi.object({
  scientificName: binomial().required(),
  synonyms: list(text()).required(),
  family: text().required(),
  commonNames: strictObject({ en: list(text()).min(1), de: list(text()), fr: list(text()) }).required(),
  role: Joi.valid('food', 'restricted', 'danger', 'bystander').required(),
  severity: severity().required(),
  neverFood: Joi.when('role', { is: 'danger', then: text().required(), otherwise: Joi.forbidden() }),
  lifeForm: text().required(),
  harvestTolerance: Joi.valid('high', 'medium', 'low', 'none'),
  yearsToMaturity: Joi.number().greater(0),
  standing: Joi.valid('often-invasive', 'abundant', 'common', 'uncommon', 'at-risk', 'protected').required(),
  habitat: list(Joi.valid(...HABITAT_STATES)).required(),
  companions: list(text()).required(),
  accumulates: list(text()).required(),
  wildlifeHost: text(),
  ofShops: Joi.valid(true),
  growsIn: list(Joi.valid(...REGIONS)).min(1),
  crossesWith: list(binomial()).min(1).unique(),
  characters: characters.required(),
  visible: Joi.object()
    .pattern(Joi.valid(...Object.keys(CHARACTERS)), list(season()).min(1))
    .required(),
  keyCharacters: list(Joi.valid(...Object.keys(CHARACTERS)))
    .min(1)
    .unique()
    .required(),
  lookalikes: list(
    Joi.object({
      scientificName: text().required(),
      severity: severity().required(),
      growsAmong: Joi.valid(true),
      ofParts: list(part()).min(1).unique(),
      why: text().required(),
      tells: list(text()).min(1).required(),
    }),
  ).required(),
  uses: list(use).required(),
  sources: list(text()).min(1).required(),
})

/** A record held against the one schema of the catalogue. */
export function readTaxon(document: unknown): Checked<Taxon> {
  return check<Taxon>(taxon, document)
}

import Joi from 'joi'
import { findTaxon, requireTaxon, searchCatalogue, type Catalogue } from '../flora/catalogue'
import { CHARACTERS, type Part } from '../flora/vocabulary'
import { blanchLoad, chillIce, type BlanchLoadInput, type ChillInput } from '../heat/balance'
import { boilingPoint, type BoilInput } from '../heat/boil'
import { clear, seasonOf } from '../identity/clear'
import { dryForecast, type DryForecastInput } from '../keep/dryForecast'
import { dryTarget } from '../keep/dryTarget'
import { waterActivity, type WaterActivityInput } from '../keep/waterActivity'
import { leach, type LeachInput } from '../leach/leach'
import { schedule } from '../schedule/schedule'
import type { ScheduleInput } from '../schedule/problem'
import { fairShare, SHARE_SCHOOLS, type Standing } from '../take/share'
import type { Stand } from '../take/standEstimate'
import { tasteForecast, type TasteForecastInput } from '../taste/forecast'
import { KIT } from '../treatment/kit'
import { plan } from '../treatment/plan'
import type { PlanInput } from '../treatment/planTypes'
import { check, type Checked } from './check'
import { count, eaterKind, elevation_m, goal, mass_g, massOrNone_g, part, sensitivity, stage, text } from './shapes'

/** A verb of the command line: the shape of its input and the function of the core that answers it. */
interface Verb {
  readonly tells: string
  readonly schema: Joi.ObjectSchema
  readonly answer: (input: never, catalogue: Catalogue, now_ms?: () => number) => unknown
  /** What no schema can tell of an input: the field, and one sentence. */
  readonly refuses?: (input: never, catalogue: Catalogue) => Refusal | undefined
}

interface Refusal {
  readonly path: string
  readonly message: string
}

const temp = () => Joi.number().min(-60).max(150)
const minute = () => Joi.number().min(-1e6).max(1e6)
const volume_mL = () => Joi.number().min(0).max(1e7)
const share = () => Joi.number().min(0).less(1)

interface ClearInput {
  readonly taxon: string
  readonly observed: Readonly<Record<string, string | readonly string[]>>
  readonly notVisible?: readonly string[]
  readonly date?: string
  readonly encounters?: number
  readonly certain?: boolean
}

const stateOf = (states: readonly string[]) => Joi.valid(...states)
const observed = Joi.object(
  Object.fromEntries(
    Object.entries(CHARACTERS).map(([name, { states }]) => {
      const noSuchState = `{{#label}} has no such state; it may be ${states.join(', ')}`
      return [
        name,
        Joi.alternatives()
          .try(stateOf(states), Joi.array().items(stateOf(states)).min(1).unique())
          .messages({
            'alternatives.types': noSuchState,
            'alternatives.match': noSuchState,
            'any.only': noSuchState,
          }),
      ]
    }),
  ),
)
  .required()
  .messages({
    'object.unknown': `{{#label}} is not a character of the vocabulary; there are ${Object.keys(CHARACTERS).join(', ')}`,
  })

const pieces = () =>
  Joi.object({
    shape: Joi.valid('slab', 'cylinder', 'sphere').required(),
    size_mm: Joi.number().greater(0).max(1000).required(),
  })
const bath = () =>
  Joi.object({
    water_mL: volume_mL().greater(0).required(),
    minutes: Joi.number().min(0).max(1e7).required(),
    temp_C: temp().min(-5).max(130).required(),
    flow_mL_min: Joi.number().min(0).max(1e7),
  })
const logNormal = (most: number) =>
  Joi.object({
    median: Joi.number().greater(0).max(most).required(),
    gsd: Joi.number().min(1).max(20).required(),
  })
const score = () => Joi.number().min(0).max(10)

/** Months of a life that a kind of eater can have. */
function ageOf(): Joi.Schema {
  const upTo = (most: number, kind: string) =>
    Joi.number()
      .max(most)
      .messages({ 'number.max': `{{#label}} must be at most ${most} for ${kind}; say the kind that fits the age` })
  return Joi.number()
    .min(0)
    .when('kind', [
      { is: 'infant', then: upTo(36, 'an infant') },
      { is: 'child', then: upTo(216, 'a child') },
      { is: 'adult', then: upTo(1440, 'an adult') },
    ])
}

const VERBS: Readonly<Record<string, Verb>> = {
  leach: {
    tells: 'what stays in the food after one or more baths',
    schema: Joi.object({
      pieces: pieces().required(),
      heldLiquid_mL: volume_mL().greater(0).required(),
      diffusivity25_m2_s: Joi.number().greater(0).max(1e-6).required(),
      activation_kJ_mol: Joi.number().min(0).max(500).required(),
      baths: Joi.array().items(bath()).min(1).max(200).required(),
    }),
    answer: (input: LeachInput) => leach(input),
  },
  'taste-forecast': {
    tells: 'how many baths more, given what the cook tasted',
    schema: Joi.object({
      pieces: pieces().required(),
      heldLiquid_mL: volume_mL().greater(0).required(),
      activation_kJ_mol: Joi.number().min(0).max(500).required(),
      bath: bath().required(),
      prior: Joi.object({
        diffusivity25_m2_s: logNormal(1e-6).required(),
        strength: logNormal(1e6).required(),
      }).required(),
      noise: Joi.number().min(0.05).max(10).required(),
      observations: Joi.array()
        .items(
          Joi.object({
            afterBath: Joi.number().integer().min(0).max(Joi.ref('....maxBaths')).required().messages({
              'number.max': '{{#label}} must be at most maxBaths',
              'any.ref': '{{#label}} must be at most maxBaths',
            }),
            score: score().integer().required(),
          }),
        )
        .max(200)
        .required(),
      target: score().required(),
      maxBaths: Joi.number().integer().min(1).max(60).required(),
    }),
    answer: (input: TasteForecastInput) => {
      const { baths, score: scores, posterior } = tasteForecast(input)
      return { baths, score: scores.map(({ afterBath, mean }) => ({ afterBath, mean })), posterior }
    },
  },
  schedule: {
    tells: 'a timetable of several acts for few hands, burners and vessels',
    schema: Joi.object({
      resources: Joi.array()
        .items(
          Joi.object({
            id: text().required(),
            capacity: Joi.number().min(0).max(1000).required(),
            closed: Joi.array()
              .items(Joi.array().ordered(minute().required(), minute().required()).length(2))
              .max(1000),
          }),
        )
        .unique('id')
        .max(100)
        .required(),
      tasks: Joi.array()
        .items(
          Joi.object({
            id: text().required(),
            minutes: minute().min(0).required(),
            needs: Joi.object().pattern(text(), Joi.number().min(0).max(1000)),
            release: minute().min(0).allow(null),
            due: minute().allow(null),
          }),
        )
        .unique('id')
        .max(500)
        .required(),
      links: Joi.array()
        .items(
          Joi.object({
            from: text().required(),
            to: text().required(),
            minLag: minute(),
            maxLag: minute().allow(null),
          }),
        )
        .max(5000),
      budget_ms: Joi.number().greater(0).max(60_000),
    }),
    answer: (input: ScheduleInput, _: Catalogue, now_ms?: () => number) => schedule(input, now_ms),
    refuses: ({ resources, tasks, links = [] }: ScheduleInput) => {
      const ids = new Set(tasks.map(({ id }) => id))
      const known = new Set(resources.map(({ id }) => id))
      for (const [index, { needs = {} }] of tasks.entries())
        for (const resource of Object.keys(needs))
          if (!known.has(resource))
            return { path: `tasks.${index}.needs.${resource}`, message: 'is not a resource; name one that is listed' }
      for (const [index, link] of links.entries()) {
        for (const end of ['from', 'to'] as const)
          if (!ids.has(link[end]))
            return { path: `links.${index}.${end}`, message: `${link[end]} is not a task; name one that is listed` }
        if (link.from === link.to) return { path: `links.${index}.to`, message: 'must be another task than from' }
      }
      for (const [index, { closed = [] }] of resources.entries()) {
        const back = closed.findIndex(([from, to]) => to < from)
        if (back >= 0)
          return { path: `resources.${index}.closed.${back}`, message: 'must end no sooner than it begins' }
      }
      return undefined
    },
  },
  boil: {
    tells: 'the boiling point at an elevation or pressure, with sugar and salt',
    schema: Joi.object({
      elevation_m: elevation_m(),
      pressure_hPa: Joi.number().min(250).max(1200),
      sucrose_brix: Joi.number().min(0).max(85),
      salt_g_per_kg_water: Joi.number().min(0).max(390),
    })
      .xor('elevation_m', 'pressure_hPa')
      .messages({
        'object.missing': 'elevation_m or pressure_hPa is missing; give one',
        'object.xor': 'elevation_m and pressure_hPa cannot both be given; leave one out',
      }),
    answer: (input: BoilInput) => boilingPoint(input),
  },
  'water-activity': {
    tells: 'how much of its water a syrup or brine holds back',
    schema: Joi.object({
      water_g: mass_g().required(),
      sucrose_g: massOrNone_g().required(),
      glucose_g: massOrNone_g().required(),
      salt_g: massOrNone_g().required(),
      temp_C: temp().min(0).max(125).required(),
    }),
    answer: (input: WaterActivityInput) => ({ aw: waterActivity(input).aw }),
  },
  chill: {
    tells: 'the ice that brings hot food and water to a target',
    schema: Joi.object({
      food_g: massOrNone_g().required(),
      foodTemp_C: temp().min(0).required(),
      water_mL: volume_mL().required(),
      waterTemp_C: temp().min(0).required(),
      target_C: temp().min(0).required(),
    }),
    answer: (input: ChillInput) => chillIce(input),
  },
  'blanch-load': {
    tells: 'the most food that a rolling boil takes, and the time to the boil',
    schema: Joi.object({
      power_W: Joi.number().greater(0).max(1e6).required(),
      efficiency: Joi.number().greater(0).max(1).required(),
      elevation_m: elevation_m().required(),
      water_mL: volume_mL().greater(0).required(),
      foodTemp_C: temp().max(60).required(),
      recovery_s: Joi.number().greater(0).max(3600).required(),
      waterTemp_C: temp().min(0).max(60),
    }),
    answer: (input: BlanchLoadInput) => blanchLoad(input),
  },
  'dry-target': {
    tells: 'the mass at which a batch is dry enough',
    schema: Joi.object({
      start_g: mass_g().required(),
      startMoisture: share().required(),
      targetMoisture: share()
        .max(Joi.ref('startMoisture'))
        .required()
        .messages({ 'number.max': '{{#label}} must be at most startMoisture' }),
    }),
    answer: (input: Parameters<typeof dryTarget>[0]) => dryTarget(input),
  },
  'dry-forecast': {
    tells: 'when a batch will be dry enough, from weighings so far',
    schema: Joi.object({
      start_g: mass_g().required(),
      startMoisture: share().greater(0).required(),
      targetMoisture: share()
        .greater(0)
        .less(Joi.ref('startMoisture'))
        .required()
        .messages({ 'number.less': '{{#label}} must be less than startMoisture' }),
      weighings: Joi.array()
        .items(
          Joi.object({
            minutes: Joi.number().min(0).max(1e5).required(),
            mass_g: mass_g().max(Joi.ref('....start_g')).required().messages({
              'number.max': '{{#label}} must be at most start_g',
              'any.ref': '{{#label}} must be at most start_g',
            }),
          }),
        )
        .max(500)
        .required(),
    }),
    answer: (input: DryForecastInput) => dryForecast(input),
    refuses: ({ weighings }: DryForecastInput) => {
      const back = weighings.findIndex(({ minutes }, index) => minutes < (weighings[index - 1]?.minutes ?? 0))
      return back < 0
        ? undefined
        : { path: `weighings.${back}.minutes`, message: 'must not be before the weighing above it; put them in order' }
    },
  },
  clear: {
    tells: 'whether what was seen clears a claimed plant, and what to look at next',
    schema: Joi.object({
      taxon: text().required(),
      observed,
      notVisible: Joi.array()
        .items(Joi.valid(...Object.keys(CHARACTERS)))
        .unique(),
      date: Joi.string()
        .pattern(/^\d{4}-\d{2}-\d{2}$/)
        .messages({ 'string.pattern.base': '{{#label}} must be a day such as 2027-05-16' }),
      encounters: count(),
      certain: Joi.boolean(),
    }),
    answer: answerClear,
    refuses: ({ taxon, observed: seen, notVisible = [] }: ClearInput, catalogue) => {
      if (findTaxon(catalogue, taxon) === undefined)
        return { path: 'taxon', message: `${taxon} is not in the catalogue` }
      const both = notVisible.findIndex((character) => Object.hasOwn(seen, character))
      return both < 0
        ? undefined
        : {
            path: `notVisible.${both}`,
            message: `${notVisible[both]} is in observed as well; leave it out of one of them`,
          }
    },
  },
  plan: {
    tells: 'what it takes to make a picking safe here, or why it is refused',
    schema: Joi.object({
      taxon: text().required(),
      part: part(),
      stage: stage(),
      mass_g: mass_g().required(),
      goal: goal().required(),
      storage: Joi.valid('none', 'room', 'chilled', 'frozen'),
      perDay_g: Joi.number().min(0).max(10_000),
      eaters: Joi.array()
        .items(
          Joi.object({
            kind: eaterKind().required(),
            sensitivities: Joi.array().items(sensitivity()).unique(),
            age_months: ageOf(),
          }),
        )
        .min(1)
        .max(500),
      kitchen: Joi.object({
        elevation_m: elevation_m(),
        power_W: Joi.number().greater(0).max(1e6),
        efficiency: Joi.number().greater(0).max(1),
        pots_mL: Joi.array().items(volume_mL().greater(0)).min(1).max(50),
        water_mL: volume_mL(),
        waterTemp_C: temp().min(0).max(60),
        fuel_kWh: Joi.number().min(0).max(1000),
        ice_g: massOrNone_g(),
        washWater: Joi.valid('safe', 'germs', 'chemicals'),
        kit: Joi.array()
          .items(Joi.valid(...KIT))
          .unique(),
      }),
      school: text(),
    }),
    answer: (input: PlanInput, catalogue: Catalogue) => plan(input, catalogue),
  },
  take: {
    tells: 'how much of a stand may be taken, and by which school',
    schema: Joi.object({
      taxon: text().required(),
      part: part().required(),
      stand: Joi.object({
        plants: Joi.number().integer().min(0).max(1e9),
        area_m2: Joi.number().greater(0).max(1e9),
        counts: Joi.array().items(Joi.number().integer().min(0).max(1e6)).min(1).max(1000),
        quadrat_m2: Joi.number().greater(0).max(Joi.ref('area_m2')).messages({
          'number.max': '{{#label}} must be at most area_m2',
          'any.ref': '{{#label}} must be at most area_m2',
        }),
      })
        .xor('plants', 'area_m2')
        .and('area_m2', 'counts', 'quadrat_m2')
        .required()
        .messages({
          'object.missing': '{{#label}} must have plants, or area_m2 with counts and quadrat_m2',
          'object.xor': '{{#label}} cannot have both plants and area_m2; leave one out',
          'object.and': '{{#label}} must have area_m2, counts and quadrat_m2 together',
        }),
      standing: Joi.valid('often-invasive', 'abundant', 'common', 'uncommon', 'at-risk', 'protected'),
      othersPick: Joi.boolean(),
      clone: Joi.boolean(),
      wildlifeSeen: Joi.number().integer().min(0).max(1e9),
      school: Joi.valid(...SHARE_SCHOOLS),
    }),
    answer: answerTake,
    refuses: ({ taxon }: TakeInput, catalogue) =>
      findTaxon(catalogue, taxon) === undefined
        ? { path: 'taxon', message: `${taxon} is not in the catalogue` }
        : undefined,
  },
  catalogue: {
    tells: 'the records, so that other programs can read them',
    schema: Joi.object({ query: Joi.string().allow('').max(200) }),
    answer: ({ query }: { query?: string }, catalogue: Catalogue) => searchCatalogue(catalogue, query),
  },
}

/** The verbs and what each tells, in the order of the contract. */
export function listVerbs(): readonly { readonly verb: string; readonly tells: string }[] {
  return Object.entries(VERBS).map(([verb, { tells }]) => ({ verb, tells }))
}

/** The input of a verb as JSON Schema; undefined when there is no such verb. */
export function verbJsonSchema(verb: string): object | undefined {
  const found = verbOf(verb)
  return found === undefined
    ? undefined
    : { title: `ellop ${verb}`, ...found.schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }) }
}

/**
 * The answer to one document, or where and why it is refused; undefined when there is no such verb. Verbs that search are given
 * a clock to keep to their budget by.
 */
export function answerVerb(
  verb: string,
  document: unknown,
  catalogue: Catalogue,
  now_ms?: () => number,
): Checked<unknown> | undefined {
  const found = verbOf(verb)
  if (found === undefined) return undefined
  const checked = check<never>(found.schema.required().label('(document)'), document)
  if (!checked.ok) return checked
  const refusal = found.refuses?.(checked.value, catalogue)
  if (refusal !== undefined) return { ok: false, ...refusal }
  return { ok: true, value: found.answer(checked.value, catalogue, now_ms) }
}

function verbOf(verb: string): Verb | undefined {
  return Object.hasOwn(VERBS, verb) ? VERBS[verb] : undefined
}

interface TakeInput {
  readonly taxon: string
  readonly part: Part
  readonly stand: Stand
  readonly standing?: Standing
  readonly othersPick?: boolean
  readonly clone?: boolean
  readonly wildlifeSeen?: number
  readonly school?: string
}

function answerTake(input: TakeInput, catalogue: Catalogue): unknown {
  const { taxon, wildlifeSeen = 0, othersPick = false, clone = false, ...rest } = input
  const share = fairShare({
    ...rest,
    taxon: requireTaxon(catalogue, taxon),
    wildlifeOn: wildlifeSeen,
    othersPick,
    clone,
  })
  return {
    max: { pieces: share.pieces, plantEquivalents: share.plantEquivalents },
    perPlant: { pieces: share.perPlant },
    reasons: share.reasons,
    schools: share.schools,
  }
}

function answerClear(input: ClearInput, catalogue: Catalogue): unknown {
  const observedLists = Object.fromEntries(
    Object.entries(input.observed).map(([character, seen]) => [character, [seen].flat()]),
  )
  const { gate, contradictions, missing, standing, next } = clear(
    {
      taxon: input.taxon,
      observed: observedLists,
      ...(input.notVisible === undefined ? {} : { notVisible: input.notVisible }),
      ...(input.date === undefined ? {} : { season: seasonOf(input.date) }),
      ...(input.encounters === undefined ? {} : { encounters: input.encounters }),
      ...(input.certain === undefined ? {} : { certain: input.certain }),
    },
    catalogue,
  )
  return {
    gate,
    contradictions: contradictions.map((each) => ({ ...each, observed: input.observed[each.character] })),
    missing,
    standing: standing.map(({ taxon, severity, ruledOutBy }) => ({ taxon, severity, ruledOutBy })),
    next,
  }
}

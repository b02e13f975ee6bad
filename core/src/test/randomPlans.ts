import { CATALOGUE } from '../flora/records'
import { type CriticalLimit, type Goal, type Protocol, type Step, type Taxon, type Use } from '../flora/taxon'
import { SENSITIVITIES } from '../flora/vocabulary'
import { judge } from '../gates/judge'
import { addEntries } from '../log/fold'
import type { Saying } from '../log/stamp'
import { chance } from '../quantity/chance'
import { KIT, type Kit } from '../treatment/kit'
import { ordinaryPortion_g } from '../meal/portion'
import { plan } from '../treatment/plan'
import type { Plan, PlanInput } from '../treatment/planTypes'
import { CLEAN, Pen } from './pen'

/** One part at one stage, by one school, for one goal. */
interface Case {
  readonly taxon: Taxon
  readonly use: Use
  readonly protocol: Protocol | undefined
  readonly goal: Goal
}

/** Goals that are asked of every use, whether it has them or not. */
const ASKED_OF_ALL = ['eat-raw', 'infused-oil', 'can'] as const

/** Every use of the catalogue with every school and goal that it has, each goal once without naming a school, and some that few have. */
export const CASES: readonly Case[] = CATALOGUE.taxa.flatMap((taxon) =>
  taxon.uses.flatMap((use) => [
    ...use.protocols.flatMap((protocol) => protocol.goals.map((goal) => ({ taxon, use, protocol, goal }))),
    ...[...new Set([...use.protocols.flatMap(({ goals }) => goals), ...ASKED_OF_ALL])].map((goal) => ({
      taxon,
      use,
      protocol: undefined,
      goal,
    })),
  ]),
)

interface Tried {
  readonly faults: readonly string[]
  readonly refused: boolean
  readonly opened: boolean
  readonly edited: boolean
}

/** Plans one case for random eaters and shortages, carries it out with the slips of a cook, and holds both against the bare record. */
export function tryPlan(seed: number): Tried {
  const random = chance(seed)
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)] as T
  const one = CASES[seed % CASES.length] as Case
  const input = randomInput(one, random, pick)
  const made = plan(input, CATALOGUE)
  const says = (what: string) =>
    `seed ${seed}: ${one.taxon.scientificName} ${one.use.part} ${one.use.stage}, ${one.goal}, ${input.school ?? 'no school named'}: ${what}`
  const faults = [...planFaults(one, input, made), ...needlessNo(one, input, made)].map(says)
  const protocol = one.protocol ?? one.use.protocols.find(({ name }) => name === made.way)
  if (protocol === undefined) return { faults, refused: made.verdict === 'refuse', opened: false, edited: false }
  const done = carryOut(one, protocol, input.kitchen?.elevation_m ?? 0, random, pick)
  const safe = safeByRecord(one, protocol, done)
  if (done.open && safe !== undefined) faults.push(says(`Make safe is open though ${safe}`))
  if (!done.open && safe === undefined && !done.edited)
    faults.push(says(`Make safe is not open though all was done: ${done.why}`))
  return { faults, refused: made.verdict === 'refuse', opened: done.open, edited: done.edited }
}

/** Many of them, and what became of them. */
export function tryPlans(
  firstSeed: number,
  count: number,
): { readonly shares: string; readonly faults: readonly string[] } {
  const faults: string[] = []
  const tally = { refused: 0, opened: 0, edited: 0, openedEdited: 0 }
  for (let seed = firstSeed; seed < firstSeed + count; seed += 1) {
    const tried = tryPlan(seed)
    faults.push(...tried.faults)
    if (tried.refused) tally.refused += 1
    if (tried.opened) tally.opened += 1
    if (tried.edited) tally.edited += 1
    if (tried.opened && tried.edited) tally.openedEdited += 1
  }
  const share = (some: number) => `${((100 * some) / count).toFixed(1)} %`
  return {
    faults,
    shares: `refused ${share(tally.refused)}, carried out with slips ${share(tally.edited)}, Make safe open ${share(tally.opened)}, open in spite of slips that were mended ${share(tally.openedEdited)}`,
  }
}

type Pick = <T>(items: readonly T[]) => T

function randomInput({ taxon, use, protocol, goal }: Case, random: () => number, pick: Pick): PlanInput {
  const sometimes = <T>(share: number, value: T): T | undefined => (random() < share ? value : undefined)
  const kitchen = Object.fromEntries(
    Object.entries({
      elevation_m: Math.round(random() < 0.5 ? 1500 * random() : 4000 * random()),
      power_W: sometimes(0.5, 500 + 4000 * random()),
      efficiency: sometimes(0.5, 0.3 + 0.5 * random()),
      pots_mL: sometimes(0.5, [1500 + 12_000 * random()]),
      water_mL: sometimes(0.3, 40_000 * random()),
      fuel_kWh: sometimes(0.3, 4 * random()),
      ice_g: sometimes(0.3, 2000 * random()),
      kit: sometimes(
        0.3,
        KIT.filter(() => random() < 0.5),
      ),
      washWater: pick(['safe', 'safe', 'safe', 'safe', 'safe', 'safe', 'germs', 'chemicals'] as const),
    }).filter(([, value]) => value !== undefined),
  )
  const perDay_g = sometimes(0.2, Math.round(400 * random()))
  return {
    taxon: taxon.scientificName,
    part: use.part,
    stage: use.stage,
    mass_g: Math.round(50 * 60 ** random()),
    goal,
    storage: pick(['none', 'none', 'none', 'room', 'chilled', 'frozen'] as const),
    eaters: [
      {
        kind: pick(['adult', 'adult', 'adult', 'adult', 'child', 'infant'] as const),
        sensitivities: random() < 0.5 ? [] : [pick(SENSITIVITIES)],
      },
    ],
    kitchen,
    ...(perDay_g === undefined ? {} : { perDay_g }),
    ...(protocol === undefined ? {} : { school: protocol.name }),
  }
}

/** Where water boils (standard atmosphere; Antoine's constants for water), by a reckoning of its own. */
function boils_C(elevation_m: number): number {
  const mmHg = 760 * (1 - 2.25577e-5 * elevation_m) ** 5.25588
  return 1730.63 / (8.07131 - Math.log10(mmHg)) - 233.426
}

/** Minutes that a limit asks for at a height; undefined where the record does not accept it there. */
function minutesAt(limit: CriticalLimit, elevation_m: number): number | undefined {
  if (limit.measure === 'rolling-boil')
    return elevation_m > limit.acceptedTo_m
      ? undefined
      : limit.minutes + limit.added.reduce((sum, { from_m, minutes }) => sum + (elevation_m >= from_m ? minutes : 0), 0)
  if (limit.measure === 'food-temperature') return boils_C(elevation_m) >= limit.temp_C ? limit.minutes : undefined
  if (limit.measure === 'ph') return limit.minutes ?? 0
  return limit.measure === 'baths' ? limit.minutes : 0
}

/** What a cook with little would do each step with, written down apart from the plan's own list. */
const HEARTH: readonly (readonly [RegExp, readonly Kit[]])[] = [
  [/^(boil|blanch|simmer|leach-hot|infuse-water|infuse-syrup|cook-jam|pickle)$/, ['pot']],
  [/^steam$/, ['steamer']],
  [/^wilt$/, ['pan', 'pot', 'hot-stone']],
  [/^(saute|fry)$/, ['pan', 'pot']],
  [/^toast$/, ['pan', 'oven', 'hot-stone']],
  [/^(roast|bake)$/, ['oven', 'embers', 'pit', 'hot-stone']],
  [/^pit-bake$/, ['pit']],
]

/** Whether the kit will do for every step of a school. */
function equipped(protocol: Protocol, goal: Goal, kit: readonly Kit[] = KIT): boolean {
  return stepsFor(protocol, goal).every(({ step: { op } }) => {
    const fit = HEARTH.find(([ops]) => ops.test(op))?.[1]
    return fit === undefined || fit.some((each) => kit.includes(each))
  })
}

const stepsFor = ({ steps }: Protocol, goal: Goal) =>
  steps.map((step, index) => ({ step, index })).filter(({ step }) => step.onlyFor?.includes(goal) ?? true)

/** What is wrong with a plan that was not refused, by the record alone. */
function planFaults({ use, goal }: Case, input: PlanInput, made: Plan): string[] {
  if (made.verdict === 'refuse')
    return made.reasons.length > 0 && made.steps.length === 0 && made.instead !== undefined
      ? []
      : ['a refusal without a reason or without what would do instead']
  const faults: string[] = []
  const protocol = use.protocols.find(({ name }) => name === made.way)
  const elevation_m = input.kitchen?.elevation_m ?? 0
  if (protocol === undefined) return ['it follows no school on record']
  if (use.verdict === 'never') faults.push('what is never food is planned')
  if (!protocol.goals.includes(goal)) faults.push('its school is not one for this goal')
  if (input.school === undefined && ['contested', 'not-advised'].includes(protocol.standing))
    faults.push('a contested school nobody asked for')
  const wanted = stepsFor(protocol, goal)
  if (made.steps.length !== wanted.length) faults.push('it leaves out a step')
  for (const [place, { step }] of wanted.entries()) {
    const planned = made.steps[place]
    if (planned?.op !== step.op || planned.critical !== step.critical) faults.push(`its ${step.op} is not in its place`)
    if (step.limit === undefined) continue
    const minutes = minutesAt(step.limit, elevation_m)
    if (minutes === undefined) faults.push(`its ${step.op} cannot be reached at ${elevation_m} m`)
    else if ((planned?.minutes ?? 0) < minutes) faults.push(`its ${step.op} is too short`)
    if (step.limit.measure === 'baths' && (planned?.baths?.least ?? 0) < step.limit.least) faults.push('too few baths')
  }
  const sum = (values: readonly (number | undefined)[]) => values.reduce((all: number, each) => all + (each ?? 0), 0)
  const { water_mL = Infinity, fuel_kWh = Infinity } = input.kitchen ?? {}
  const needs_mL = sum(made.steps.map(({ water_mL: each, loads }) => (each ?? 0) * (loads?.fillings ?? 1)))
  if (needs_mL > water_mL * 1.001 + 2) faults.push(`${needs_mL} mL of water of ${water_mL}`)
  const burns_kWh = sum(made.steps.map((each) => each.fuel_kWh))
  if (burns_kWh > fuel_kWh + 0.01) faults.push(`${burns_kWh} kWh of ${fuel_kWh}`)
  for (const { id, level, onlyFor } of use.hazards)
    if (level !== 'trace' && (onlyFor?.includes(goal) ?? true) && !made.reasons.some(({ about }) => about === id))
      faults.push(`it does not name ${id}`)
  if (!equipped(protocol, goal, input.kitchen?.kit)) faults.push('nothing here does for a step of it')
  if (
    input.kitchen?.kit !== undefined &&
    made.steps.some(({ on }) => on !== undefined && !input.kitchen?.kit?.includes(on))
  )
    faults.push('a step is done with what is not there')
  if (barred(use, input)) faults.push('it is for somebody who must not')
  if (overAmount(use, input, protocol)) faults.push('it is more than a day allows')
  if (protocol.storeOnly === true && !made.reasons.some(({ text }) => text.startsWith('NOT YET FOOD')))
    faults.push('it does not say that it is not yet food')
  if (input.kitchen?.washWater === 'chemicals' && wanted.some(({ step }) => ['wash', 'rinse'].includes(step.op)))
    faults.push('it is washed in chemicals')
  return faults
}

function barred(use: Use, { eaters = [], goal }: PlanInput): boolean {
  return eaters.some(({ kind, sensitivities = [] }) =>
    use.cautionFor.some(
      ({ who, what, onlyFor }) =>
        what === 'avoid' && (who === kind || sensitivities.includes(who)) && (onlyFor?.includes(goal) ?? true),
    ),
  )
}

function overAmount(use: Use, { eaters = [], perDay_g = 0, goal }: PlanInput, { name }: Protocol): boolean {
  const portion_g = ordinaryPortion_g(use)
  return eaters.some(({ kind, sensitivities = [] }) => {
    const caps = use.amounts.filter(({ school }) => school === undefined || school === name)
    const forAge = caps.filter(({ who }) => who === kind).map((cap) => cap.perDay_g)
    // A child without a figure has half of an adult's.
    const half = caps.filter(({ who }) => who === 'adult').map((cap) => cap.perDay_g / 2)
    const aged = kind === 'child' && forAge.length === 0 ? half : forAge
    // Where nobody gave a figure for whom it is limited, an ordinary portion of their age is the figure.
    const own = use.cautionFor
      .filter(
        ({ who, what, onlyFor }) =>
          what === 'limit' && (who === kind || sensitivities.includes(who)) && (onlyFor?.includes(goal) ?? true),
      ) // prettier-ignore
      .map((each) => each.perDay_g ?? portion_g / (kind === 'adult' ? 1 : 2))
    return [...aged, ...own].some((most_g) => perDay_g > most_g)
  })
}

/** A refusal of what a cautious school allows here, to these eaters, in a kitchen that lacks nothing. */
function needlessNo({ taxon, use, goal, protocol }: Case, input: PlanInput, made: Plan): string[] {
  if (made.verdict !== 'refuse' || use.verdict === 'never') return []
  const { elevation_m = 0, washWater, kit } = input.kitchen ?? {}
  const ample = plan(
    {
      ...input,
      storage: 'none',
      kitchen: {
        elevation_m,
        power_W: 6000,
        pots_mL: [20_000],
        washWater: 'safe',
        ...(kit === undefined ? {} : { kit }),
      },
    },
    CATALOGUE,
  )
  const cautious = use.protocols.filter(
    (each) =>
      (protocol === undefined ? !['contested', 'not-advised'].includes(each.standing) : each === protocol) &&
      each.goals.includes(goal) &&
      equipped(each, goal, kit) &&
      stepsFor(each, goal).every(({ step: { limit } }) => !limit || minutesAt(limit, elevation_m) !== undefined) &&
      !overAmount(use, input, each),
  )
  const alsoRefused = taxon.uses.some(
    (other) =>
      other.verdict === 'never' &&
      (other.part === use.part || (other.alsoCalled ?? []).includes(use.part)) &&
      (other.stage === use.stage || other.stage === 'any' || use.stage === 'any'),
  )
  const airless = goal === 'can' || goal === 'infused-oil'
  if (cautious.length === 0 || barred(use, input) || alsoRefused || airless) return []
  return ample.verdict === 'refuse'
    ? [`refused with ${washWater ?? 'safe'} water though a school allows it: ${ample.reasons[0]?.text ?? ''}`]
    : []
}

interface Done {
  readonly open: boolean
  readonly why: string
  readonly edited: boolean
  readonly elevation_m: number
  readonly washedIn: 'safe' | 'germs'
  readonly manured: 'no' | 'yes' | undefined
  /** By step: grams that went through its limit, and whether any water of it was kept. */
  readonly steps: ReadonlyMap<number, { readonly kept_g: number; readonly waterKept: boolean }>
}

const LOT_g = 800
const SLIPS = [
  'short',
  'off-boil',
  'stopped',
  'unchecked',
  'cold',
  'wet',
  'weak',
  'half',
  'water kept',
  'skipped',
] as const
type Slip = (typeof SLIPS)[number]
const SORTED = ['sort', 'wash', 'rinse', 'shake-out', 'trim']

/** Carries a school out on a lot, step by step, some of it wrongly; what was wrong is sometimes done again as it should be. */
function carryOut(
  { taxon, use, goal }: Case,
  protocol: Protocol,
  elevation_m: number,
  random: () => number,
  pick: Pick,
): Done {
  const pen = new Pen()
  const sayings: ReturnType<Pen['stamp']>[] = []
  const write = (saying: Saying, minutes = 1) => {
    const entry = pen.stamp(saying)
    sayings.push(entry)
    pen.wait(minutes)
    return entry
  }
  const careful = random() < 0.4
  const slipOf = (): Slip | undefined => (careful || random() < 0.75 ? undefined : pick(SLIPS))
  const manured = careful ? 'no' : pick(['no', 'no', 'yes', undefined] as const)
  const washedIn = !careful && random() < 0.15 ? 'germs' : 'safe'
  let edited = manured !== 'no' || washedIn !== 'safe'
  const burner = { power_W: 2000, efficiency: 0.5 }
  write({
    type: 'kitchen-set',
    kitchen: { name: 'K', elevation_m, timeZone: 'UTC', burner, pots_mL: [9000], waterTemp_C: 9, ice_g: 0 },
  })
  const known = Object.entries({ ...CLEAN, manured }).filter(([, fact]) => fact !== undefined)
  write({ type: 'ground-noted', patch: 'p', name: 'P', facts: Object.fromEntries(known) })
  const lot = 'A'
  write({
    type: 'weighed-in',
    lot,
    code: lot,
    taxon: taxon.scientificName,
    part: use.part,
    stage: use.stage,
    patch: 'p',
    mass_g: LOT_g,
    pickedAt: pen.now,
  })
  write({
    type: 'sorted',
    lot,
    stageSeen: use.stage,
    kept_g: LOT_g,
    trimmed_g: 0,
    trimmedTo: 'compost',
    wash: { water: washedIn, changes: 2 },
  })
  write({ type: 'way-chosen', lot, protocol: protocol.name, goal })
  const steps = new Map<number, { kept_g: number; waterKept: boolean }>()
  let leached = true
  for (const { step, index } of stepsFor(protocol, goal)) {
    if (SORTED.includes(step.op)) continue
    const slip = slipOf()
    if (slip !== undefined) edited = true
    const again = slip !== undefined && random() < 0.4
    let [kept_g, waterKept] = [0, false]
    for (const each of again ? [slip, undefined] : [slip]) {
      if (each === 'skipped') continue
      const kept = step.limit?.measure === 'baths' ? leach(step, index, step.limit, each) : load(step, index, each)
      kept_g += leached ? kept : 0
      waterKept ||= each === 'water kept'
    }
    steps.set(index, { kept_g, waterKept })
    if (step.limit?.measure === 'baths') leached = leached && kept_g > 0
  }
  pen.log = addEntries(pen.log, sayings)
  const { state, reasons } = judge('makeSafe', pen.lot(lot), pen.context)
  return { open: state === 'open', why: reasons.join(' '), edited, elevation_m, washedIn, manured, steps }

  /** One load of the whole lot, or of half; gives the grams that kept the limit. */
  function load(step: Step, index: number, slip: Slip | undefined): number {
    const mass_g = slip === 'half' ? LOT_g / 2 : LOT_g
    const { limit } = step
    const asked = limit === undefined ? (step.minutes?.high ?? 1) : minutesAt(limit, elevation_m)
    const minutes = (asked ?? 600) * (slip === 'short' ? 0.8 : 1)
    const boil_C = boils_C(elevation_m)
    const asked_C = limit?.measure === 'food-temperature' ? limit.temp_C : boil_C
    const moisture = step.startMoisture?.high ?? use.moisture?.high ?? 0.9
    const dry_g = limit?.measure === 'dried-to' ? (mass_g * (1 - moisture)) / (1 - limit.moisture) : null
    const outcome = slip === 'off-boil' || slip === 'stopped' ? slip : 'done'
    const begun = write({ type: 'step-begun', lot, protocol: protocol.name, step: index, load: 1, mass_g })
    // A ferment without its salt is none.
    if (limit?.measure === 'ph' && limit.saltAtLeast !== undefined)
      write({
        type: 'ingredient-added',
        lot,
        what: 'salt',
        name: 'salt',
        mass_g: Math.ceil(LOT_g * limit.saltAtLeast * 1.1),
      })
    pen.wait(minutes)
    if (limit?.measure === 'ph')
      write({
        type: 'reading-taken',
        lot,
        what: 'ph',
        value: limit.atMost + (slip === 'weak' ? 0.3 : 0),
        instrument: 'm',
      })
    write({
      type: 'step-done',
      lot,
      begun: begun.id,
      outcome,
      minutes,
      temp_C: asked_C - (slip === 'cold' ? 4 : 0),
      backToBoil_s: null,
      driedTo_g: dry_g === null ? null : Math.floor(dry_g * (slip === 'wet' ? 1.1 : 1)),
      checked: slip !== 'unchecked',
      water: slip === 'water kept' ? 'kept' : 'thrown',
    })
    if (limit === undefined) return outcome === 'stopped' ? 0 : mass_g
    const missed =
      asked === undefined ||
      ['off-boil', 'stopped', 'unchecked'].includes(slip ?? '') ||
      (slip === 'short' && asked > 0 && ['rolling-boil', 'food-temperature', 'ph'].includes(limit.measure)) ||
      (slip === 'cold' && ['rolling-boil', 'food-temperature'].includes(limit.measure)) ||
      (slip === 'wet' && limit.measure === 'dried-to') ||
      (slip === 'weak' && limit.measure === 'ph')
    return missed ? 0 : mass_g
  }

  /** Baths and a crumb; gives the lot's grams where they were enough. */
  function leach(
    step: Step,
    index: number,
    limit: Extract<CriticalLimit, { measure: 'baths' }>,
    slip: Slip | undefined,
  ): number {
    const count = limit.least - (slip === 'half' ? 1 : 0)
    const each_min = limit.minutes * (slip === 'short' ? 0.7 : 1) + (slip === 'short' ? -3 : 1)
    const fresh = { water_mL: 20_000, temp_C: step.op === 'leach-hot' ? 97 : Math.min(8, limit.atMost_C ?? 8) }
    for (let bath = 0; bath < count; bath += 1)
      write({ type: 'bath-changed', lot, protocol: protocol.name, step: index, fresh }, Math.max(1, each_min))
    write({ type: 'bath-changed', lot, protocol: protocol.name, step: index, fresh: null })
    if (slip === 'unchecked') return 0
    const astringent = limit.tasteAtMost + (slip === 'weak' ? 1 : 0)
    write({
      type: 'tasted',
      lot,
      taster: 'ann',
      bitter: 0,
      astringent,
      crumb: true,
      accepts: false,
      alarm: null,
    })
    return slip === 'half' || slip === 'short' || slip === 'weak' ? 0 : LOT_g
  }
}

/** Poisons that heat or air ends, so that it does not matter what becomes of the water. */
const ENDED = ['lectin', 'cyanogenic', 'protoanemonin', 'thiaminase', 'mould-toxins']

/** Why a lot is not safe by the record and by what was done; undefined when it is. */
function safeByRecord({ use, goal }: Case, protocol: Protocol, done: Done): string | undefined {
  if (use.verdict === 'never') return 'it is never food'
  if (protocol.storeOnly === true) return 'it is only kept'
  const wanted = stepsFor(protocol, goal)
  const through = (index: number) => (done.steps.get(index)?.kept_g ?? 0) >= LOT_g
  const left = wanted.find(
    ({ step, index }) => step.critical && ![...SORTED, 'infuse-oil', 'freeze'].includes(step.op) && !through(index),
  )
  if (left !== undefined) return `its ${left.step.op} was not done`
  const hot = wanted.some(
    ({ step, index }) =>
      through(index) &&
      (step.limit?.measure === 'rolling-boil' ||
        (step.limit?.measure === 'food-temperature' && step.limit.temp_C >= 70) ||
        /^(boil|simmer|steam|bake|pit-bake|roast|fry|saute)$/.test(step.op)),
  )
  if (done.washedIn === 'germs' && !hot) return 'nothing killed the germs of its water'
  for (const hazard of use.hazards) {
    if (!(hazard.onlyFor?.includes(goal) ?? true)) continue
    const kinds = hazard.answers.map(({ kind }) => kind)
    if (kinds.length === 0 || kinds.includes('refusal')) return `${hazard.id} has no answer`
    if (kinds.includes('ground') && done.manured === 'no') continue
    if (hazard.answers.some((each) => each.kind === 'amount' && each.schools?.includes(protocol.name))) continue
    if (!kinds.includes('control')) {
      if (kinds.includes('ground')) return `the ground does not answer ${hazard.id}`
      continue
    }
    const against = wanted.filter(({ step }) => step.control.includes(hazard.id))
    const gone = ({ step, index }: (typeof against)[number]) =>
      SORTED.includes(step.op)
        ? !['wash', 'rinse'].includes(step.op) || done.washedIn === 'safe' || hazard.kind === 'mechanical'
        : through(index) &&
          (hazard.kind !== 'toxic' ||
            ENDED.includes(hazard.id) ||
            step.limit?.measure === 'baths' ||
            done.steps.get(index)?.waterKept !== true)
    const critical = against.filter(({ step }) => step.critical)
    // Bitter, tough or slimy is for the tongue to say, once what is only eaten cooked was cooked.
    const tasted = hazard.kind === 'palate' || hazard.id === 'fibre' || hazard.id === 'mucilage'
    const cooked = wanted.some(
      ({ step, index }) => HEARTH.some(([ops]) => ops.test(step.op)) && (step.critical || through(index)),
    )
    if (tasted && against.length > 0 && critical.length === 0 && (use.verdict === 'raw-ok' || cooked)) continue
    if (critical.length > 0 ? !critical.every(gone) : !against.some(gone)) return `${hazard.id} is not answered`
  }
  return undefined
}

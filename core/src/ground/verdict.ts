import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import { formatList } from '../quantity/format'
import { addDays, addMonths, formatDate, type Instant } from '../quantity/instant'
import { removalOf } from '../take/removal'
import { exposureOf, isSealed, isWaterside, takesUpMetals, type Exposure } from './exposure'
import type { CutAt, GroundFacts, GroundNote, PastUse, SoilMetal, SoilTest } from './facts'
import { GROUND_LIMITS, GROUND_SCHOOLS, type GroundLimits, type GroundSchool } from './schools'

export interface GroundAsked {
  readonly taxon: Taxon
  readonly part: Part
  readonly facts: GroundFacts
  readonly patchName: string
  /** Where on the stand it was cut; undefined where that was not said. */
  readonly cutAt?: CutAt | undefined
  readonly now: Instant
  /** The school of caution in force; the cautious one where none was chosen. */
  readonly groundSchool?: GroundSchool | undefined
}

export interface GroundVerdict {
  readonly state: 'open' | 'ajar' | 'closed'
  readonly closed: readonly string[]
  readonly toAsk: readonly string[]
  /** The facts that are to be asked, or asked again. */
  readonly asked: readonly (keyof GroundFacts)[]
  /** What lives on it and heat kills: fit, but not raw. Nothing here is metal or poison, which heat does not touch. */
  readonly living: readonly string[]
  readonly remarks: readonly string[]
}

/** Days after which a fact of the ground is asked again. */
export const FACT_KEEPS_DAYS = 365

interface Inquiry extends GroundAsked {
  readonly limits: GroundLimits
  readonly school: GroundSchool
  readonly exposure: Exposure
  /** Known to take up metals, in a part that meets the soil. */
  readonly taker: boolean
}

class Findings {
  readonly closed: string[] = []
  readonly toAsk: string[] = []
  readonly asked: (keyof GroundFacts)[] = []
  readonly living: string[] = []
  readonly remarks: string[] = []
  readonly #facts: GroundFacts
  readonly #now: Instant

  constructor(facts: GroundFacts, now: Instant) {
    this.#facts = facts
    this.#now = now
  }

  /** The fact if it is known; asked where it is not, and again where it has gone stale. What was bad stays bad meanwhile. */
  ask<Fact extends keyof GroundFacts>(fact: Fact, question: string): GroundNote[Fact] | undefined {
    const known = this.#facts[fact]
    if (known === undefined) this.#putTo(fact, question)
    else if (this.#isStale(fact)) this.#putTo(fact, `${question} (last asked over a year ago)`)
    return known?.value as GroundNote[Fact]
  }

  /** The fact while it is fresh, for what may have passed by itself. */
  askFresh<Fact extends keyof GroundFacts>(fact: Fact, question: string): GroundNote[Fact] | undefined {
    const value = this.ask(fact, question)
    return this.#isStale(fact) ? undefined : value
  }

  /** A fact that is known and does not settle it. */
  askMore(fact: keyof GroundFacts, question: string): void {
    this.#putTo(fact, question)
  }

  #putTo(fact: keyof GroundFacts, question: string): void {
    this.toAsk.push(question)
    this.asked.push(fact)
  }

  #isStale(fact: keyof GroundFacts): boolean {
    const known = this.#facts[fact]
    return known !== undefined && addDays(known.at, FACT_KEEPS_DAYS) <= this.#now
  }
}

/**
 * Whether this ground is fit for this part of this plant: what closes it, what must still be asked, what only heat makes fit, what
 * is worth knowing.
 *
 * Only facts that matter to the plant are asked. A fact older than a year is asked again; one that closes goes on closing until then: it
 * only ever gets stricter. What is not known is not passed as clean. The distances, waits and soil limits are those of the school in
 * force ({@link GROUND_LIMITS}, planning values); a label, a soil test and local law outrank them.
 */
export function groundVerdict(asked: GroundAsked): GroundVerdict {
  const { taxon, part, now, groundSchool: school = 'cautious' } = asked
  const exposure = exposureOf(taxon, part)
  const inquiry: Inquiry = {
    ...asked,
    school,
    exposure,
    limits: GROUND_LIMITS[school],
    taker: takesUpMetals(taxon) && exposure !== 'high',
  }
  const found = new Findings(asked.facts, now)
  for (const rule of RULES) rule(inquiry, found)
  const { closed, toAsk, living, remarks } = found
  return {
    state: closed.length > 0 ? 'closed' : toAsk.length > 0 ? 'ajar' : 'open',
    closed,
    toAsk,
    asked: found.asked,
    living,
    remarks,
  }
}

const RULES: readonly ((inquiry: Inquiry, found: Findings) => void)[] = [
  askLeave,
  askSprays,
  askPast,
  askNeighbours,
  readSoil,
  askHealth,
  askFeeding,
  askWater,
  askFlood,
  askBeasts,
]

function askLeave({ facts, part, now }: Inquiry, found: Findings): void {
  const permission = found.ask('permission', 'who gave leave to pick here')
  if (permission?.until && permission.until < now)
    found.closed.push(
      `Leave from ${permission.from} ended on ${formatDate(permission.until)}. Ask again before picking.`,
    )
  const digs = removalOf(part) === 'whole'
  const law = digs ? found.ask('law', 'whether the law lets you dig there') : facts.law?.value
  if (law?.picking === 'forbidden') found.closed.push('Picking is forbidden there.')
  else if (digs && law?.digging === 'forbidden') found.closed.push('Digging is forbidden there, picking is not.')
}

function askSprays({ facts, patchName, now, limits }: Inquiry, found: Findings): void {
  const sprayed = found.ask('sprayed', 'when it was last sprayed')
  // What was sprayed after the picking is not in it.
  if (sprayed?.last && sprayed.last <= now) {
    const byLabel = addDays(sprayed.last, sprayed.wait_days ?? 0)
    const bySchool = addMonths(sprayed.last, 12 * limits.sprayWait_years)
    const from = byLabel > bySchool ? byLabel : bySchool
    const wait = byLabel > bySchool ? `${sprayed.wait_days ?? 0} days by its label` : years(limits.sprayWait_years)
    if (now < from)
      found.closed.push(
        `NOT FOOD if picked before ${formatDate(from)}: weedkiller at ${patchName} on ${formatDate(sprayed.last)}; your wait is ${wait}. No washing removes it.`,
      )
  }
  const field = facts.field?.value
  if (
    field !== undefined &&
    field.distance_m !== null &&
    field.distance_m < limits.field_m &&
    field.lastSprayed &&
    field.lastSprayed <= now
  ) {
    const from = addDays(field.lastSprayed, limits.driftWait_days)
    if (now < from)
      found.closed.push(
        `NOT FOOD if picked before ${formatDate(from)}: the field ${field.distance_m} m away was sprayed on ${formatDate(field.lastSprayed)}, and spray drifts.`,
      )
  }
}

interface Past {
  readonly was: string
  /** Metals that a soil test must find low before it counts as clean; undefined: no such test is enough. */
  readonly clearedBy?: readonly SoilMetal[]
  /** What trees and shrubs bear above it is not touched by it. */
  readonly sparesTrees: boolean
}

const BAD_PASTS: Readonly<Partial<Record<PastUse, Past>>> = {
  industry: { was: 'an old works', sparesTrees: false },
  mine: { was: 'a mine', clearedBy: ['lead', 'cadmium', 'arsenic'], sparesTrees: false },
  tip: { was: 'a tip', sparesTrees: false },
  railway: { was: 'a railway', clearedBy: ['lead', 'arsenic'], sparesTrees: false },
  'old-orchard': {
    was: 'an old orchard, where lead and arsenic were sprayed',
    clearedBy: ['lead', 'arsenic'],
    sparesTrees: true,
  },
  rubble: {
    was: 'a building or filled with rubble, with the lead of old paint',
    clearedBy: ['lead', 'cadmium'],
    sparesTrees: true,
  },
}

function askPast(inquiry: Inquiry, found: Findings): void {
  const { taker, exposure } = inquiry
  const pastUse = found.ask('pastUse', 'what this land was before')
  if (pastUse === undefined) return
  if (pastUse === 'unknown') {
    if (taker) found.askMore('pastUse', 'what this land was before: not known is not clean')
    else found.remarks.push('Nobody knows what this land was before.')
    return
  }
  const past = BAD_PASTS[pastUse]
  if (past === undefined) return
  const { was, clearedBy, sparesTrees } = past
  if (exposure === 'high' && sparesTrees)
    found.remarks.push(`This was ${was}: take only from the branch, nothing that lay on the ground.`)
  else if (clearedBy === undefined)
    found.closed.push(`This was ${was}: what lies there no one test finds, and no washing or cooking takes it out.`)
  else if (testsOf(inquiry, clearedBy) === 'low') found.remarks.push(`This was ${was}; the soil test clears it.`)
  else if (taker)
    found.closed.push(
      `This was ${was}: the plant takes up metals, and no washing or cooking takes them out. Only a soil test clears it.`,
    )
  else
    found.askMore(
      'soil',
      `a soil test for ${formatList(clearedBy)}, for this was ${was}, and what this plant takes up is not on record`,
    )
}

function askNeighbours(inquiry: Inquiry, found: Findings): void {
  const { facts, taker } = inquiry
  const who = taker ? 'takers' : 'others'
  const road = found.ask('busyRoad', 'how far the next busy road is')
  const tooNear = nearness(inquiry, 'a busy road', road?.distance_m, (limits) => limits.road_m[who])
  const dustOnly = typeof road?.distance_m === 'number' && road.distance_m >= inquiry.limits.road_m.others
  if (tooNear !== undefined) {
    if (taker && dustOnly && testsOf(inquiry, ['lead', 'cadmium']) === 'low')
      found.remarks.push(`${tooNear} The soil test clears it; rinse off the dust.`)
    else
      found.closed.push(
        `${tooNear} ${taker ? 'Dust rinses off, metal in the leaf does not.' : 'Dust and soot lie on all of it.'}`,
      )
  }
  for (const [what, fact, least] of [
    ['a railway', facts.railway, (limits: GroundLimits) => limits.railway_m],
    ['works, a mine or a tip', facts.works, (limits: GroundLimits) => limits.works_m],
  ] as const) {
    const says = nearness(inquiry, what, fact?.value.distance_m, least)
    if (says === undefined) continue
    if (!taker) found.remarks.push(`${says} Rinse it well.`)
    else if (testsOf(inquiry, ['lead', 'cadmium', 'arsenic']) === 'low')
      found.remarks.push(`${says} The soil test clears it.`)
    else found.closed.push(`${says} The plant takes up metals; only a soil test clears it.`)
  }
}

const SCHOOL_WORD: Readonly<Record<GroundSchool, string>> = { cautious: 'careful', usual: 'usual' }

/** Too near to something: the sentence, with what the other school says; undefined when it is far enough. */
function nearness(
  { school, limits }: Inquiry,
  what: string,
  distance_m: number | null | undefined,
  least: (limits: GroundLimits) => number,
): string | undefined {
  if (distance_m === null || distance_m === undefined || distance_m >= least(limits)) return undefined
  const other = GROUND_SCHOOLS.find((each) => each !== school) ?? school
  return `${distance_m} m from ${what}; ${least(limits)} m is the ${SCHOOL_WORD[school]} distance (the ${SCHOOL_WORD[other]} school says ${least(GROUND_LIMITS[other])} m).`
}

/** The last test of each metal since the last flood, which brings soil of its own. */
function lastTests({ facts }: Inquiry): ReadonlyMap<SoilMetal, SoilTest> {
  const flood = facts.flood?.value.last ?? ''
  const tests = [...(facts.soil?.value ?? [])].filter(({ on }) => on > flood).sort((a, b) => (a.on < b.on ? -1 : 1))
  return new Map(tests.map((test) => [test.what, test]))
}

/** What the soil tests say of some metals: all low, or not known; one that is high is told by itself. */
function testsOf(inquiry: Inquiry, metals: readonly SoilMetal[]): 'low' | 'unknown' {
  const tests = lastTests(inquiry)
  const low = metals.every((metal) => {
    const test = tests.get(metal)
    return test !== undefined && test.mg_per_kg <= inquiry.limits.soil_mg_per_kg[metal]
  })
  return low ? 'low' : 'unknown'
}

function readSoil(inquiry: Inquiry, found: Findings): void {
  const { limits, school, exposure } = inquiry
  for (const { what, mg_per_kg, on } of lastTests(inquiry).values()) {
    const limit = limits.soil_mg_per_kg[what]
    const says = `Soil test of ${on.slice(0, 10)}: ${what} ${mg_per_kg} mg/kg; the ${SCHOOL_WORD[school]} limit is ${limit}.`
    if (mg_per_kg <= limit || exposure === 'high') found.remarks.push(says)
    else found.closed.push(`${says} Soil sticks to it and the plant takes it up; no washing or cooking takes that out.`)
  }
}

function askHealth(_: Inquiry, found: Findings): void {
  if (found.askFresh('looksHealthy', 'whether the plants look healthy') === false)
    found.closed.push(
      'The stand looks sick: twisted, yellow in strips or dying. Find out why before anything is eaten from it.',
    )
}

function askFeeding({ taxon, facts }: Inquiry, found: Findings): void {
  const lush = facts.vigour?.value === 'lush'
  if (lush)
    found.remarks.push('It stands very lush: the ground is fed. Look up the slope for a heap, a stable or a drain.')
  if (!taxon.accumulates.includes('nitrate')) return
  const manured = found.ask('manured', 'whether it is dunged or fertilised')
  if (lush && manured === 'no') {
    found.askMore('manured', 'what feeds it: it stands very lush, and by your notes nobody dunged it')
    found.remarks.push('What grows this lush holds more nitrate: blanch it and throw the water away.')
  }
  if (manured === 'yes') found.remarks.push('Fed ground: more nitrate. Blanch it and throw the water away.')
  if (manured === 'unknown')
    found.remarks.push('Manure: not known. Treated as manured: blanch and throw the water away.')
}

function askWater({ taxon, part, school }: Inquiry, found: Findings): void {
  if (!isWaterside(taxon)) return
  const water = found.ask('water', 'what water it stands in')
  const upstream = found.ask('upstream', 'what lies up the water')
  if (upstream === 'unknown') found.askMore('upstream', 'what lies up the water: not known is not clean')
  const above = upstream === 'unknown' || upstream === undefined ? [] : upstream
  if (above.includes('mine-or-works') || above.includes('drains'))
    found.closed.push(
      `The water comes from ${above.includes('mine-or-works') ? 'a mine or works' : 'drains'}: such a plant stores what the water carries. Cooking kills what is alive; it removes neither metal nor poison.`,
    )
  if (above.includes('sprayed-fields')) {
    const says = 'The water comes from sprayed fields. Cooking does not remove spray.'
    if (school === 'cautious') found.closed.push(says)
    else found.remarks.push(`${says} The careful distance rule takes nothing there.`)
  }
  if (water === 'foul') {
    if (school === 'usual' && isSealed(part))
      found.living.push('Foul water: the usual school takes a whole root or seed from it. Wash it in drinking water.')
    else
      found.closed.push(
        'The water is foul. Such a plant stores what the water carries, and cooking removes neither metal nor poison.',
      )
  }
  if (above.includes('livestock'))
    found.living.push(
      'Animals up the water: liver fluke and germs. Eat nothing raw; wash knife and board before other food.',
    )
  else if (water === 'still') found.living.push('Still water: germs gather in it.')
}

function askFlood({ facts, exposure, now, limits }: Inquiry, found: Findings): void {
  const last = facts.flood?.value.last
  if (!last || last > now || exposure === 'high') return
  const from = addDays(last, limits.floodWait_days)
  if (now < from)
    found.closed.push(
      `NOT FOOD if picked before ${formatDate(from)}: flooded on ${formatDate(last)}, and a flood carries sewage and oil. After that, pick only new growth.`,
    )
}

function askBeasts({ facts, exposure, cutAt, school }: Inquiry, found: Findings): void {
  if (exposure !== 'low') return
  const dogs = found.askFresh('dogs', 'how many dogs come by')
  const reached = cutAt?.height === 'below-knee' && cutAt.side === 'by-the-path'
  if (reached && dogs === 'many' && school === 'cautious')
    found.closed.push(
      'Many dogs, and it was cut low by the path: take what stands above the knee or on the far side. The usual school cooks it.',
    )
  else if (reached && (dogs === 'many' || dogs === 'some'))
    found.living.push('Cut low by the path, where dogs come by: throw out what is fouled, and cook the rest.')
  else if (dogs === 'many') found.living.push('Many dogs: take tops above the knee, from the far side, and cook them.')
  if (facts.grazed?.value === true) found.living.push('Grazed land: dung, and what lives in it.')
}

function years(count: number): string {
  return count === 1 ? '1 year' : `${count} years`
}

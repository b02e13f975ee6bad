import type { Taxon } from '../flora/taxon'
import { addDays, type Instant } from '../quantity/instant'
import type { Dated, GroundFacts } from './facts'

export interface GroundVerdict {
  readonly state: 'open' | 'ajar' | 'closed'
  readonly closed: readonly string[]
  readonly toAsk: readonly string[]
  readonly remarks: readonly string[]
}

/** Years after the last weedkiller before anything is taken: the cautious school; a label may ask for more. */
export const SPRAY_WAIT_YEARS = 3
/** Metres from a busy road for plants that take up metals: the cautious and the usual school. */
export const ROAD_DISTANCE_m = { cautious: 50, usual: 20 } as const
/** Days after which a fact of the ground is asked again. */
export const FACT_KEEPS_DAYS = 365
const METALS = ['lead', 'cadmium', 'arsenic']
const PAST_USES_THAT_CLOSE: Readonly<Record<string, string>> = {
  industry: 'an old works',
  mine: 'a mine',
  tip: 'a tip',
  railway: 'a railway',
  'old-orchard': 'an old orchard, where lead and arsenic were sprayed',
}

/**
 * Whether this ground is fit for this plant: what closes it, what must still be asked, what is worth knowing.
 *
 * Only facts that matter to the plant are asked: metals for plants that take them up, manure for those that hold nitrate.
 * A fact older than a year is asked again. The distances are the cautious school; a soil test and local law outrank both.
 */
export function groundVerdict(taxon: Taxon, facts: GroundFacts, patchName: string, now: Instant): GroundVerdict {
  const closed: string[] = []
  const toAsk: string[] = []
  const remarks: string[] = []
  const ask = <T>(fact: Dated<T> | undefined, question: string): T | undefined => {
    if (fact === undefined) toAsk.push(question)
    else if (addDays(fact.at, FACT_KEEPS_DAYS) <= now) toAsk.push(`${question} (last asked over a year ago)`)
    else return fact.value
    return undefined
  }

  const permission = ask(facts.permission, 'who gave leave to pick here')
  if (permission?.until && permission.until < now)
    closed.push(`Leave from ${permission.from} ended on ${permission.until.slice(0, 10)}. Ask again before picking.`)

  const sprayed = ask(facts.sprayed, 'when it was last sprayed')
  // A spraying on record closes the ground even when the fact has gone stale: it only ever gets stricter.
  const last = sprayed?.last ?? facts.sprayed?.value.last
  if (last) {
    const from = addDays(last, SPRAY_WAIT_YEARS * 365.25)
    if (now < from)
      closed.push(
        `Weedkiller at ${patchName} on ${last.slice(0, 10)}; your wait is ${SPRAY_WAIT_YEARS} years. Not food before ${from.slice(0, 10)}. Washing does not mend it.`,
      )
  }

  if (taxon.accumulates.some((what) => METALS.includes(what))) {
    const pastUse = ask(facts.pastUse, 'what this land was before')
    const was = pastUse === undefined ? undefined : PAST_USES_THAT_CLOSE[pastUse]
    if (was)
      closed.push(
        `This was ${was}: the plant takes up metals, and no washing or cooking takes them out. Only a soil test clears it.`,
      )
    if (pastUse === 'unknown') toAsk.push('what this land was before: not known is not clean')
    const road = ask(facts.busyRoad, 'how far the next busy road is')
    if (road && road.distance_m !== null && road.distance_m < ROAD_DISTANCE_m.cautious)
      closed.push(
        `${road.distance_m} m from a busy road; ${ROAD_DISTANCE_m.cautious} m is the careful distance (the usual school says ${ROAD_DISTANCE_m.usual} m). Dust rinses off, metal in the leaf does not.`,
      )
  }

  const healthy = ask(facts.looksHealthy, 'whether the plants look healthy')
  if (healthy === false)
    closed.push(
      'The stand looks sick: twisted, yellow in strips or dying. Find out why before anything is eaten from it.',
    )

  if (taxon.accumulates.includes('nitrate')) {
    const manured = ask(facts.manured, 'whether it is dunged or fertilised')
    if (manured === 'yes') remarks.push('Fed ground: more nitrate. Blanch it and throw the water away.')
    if (manured === 'unknown') remarks.push('Nobody knows whether it is fed: treated as if it were.')
  }
  const dogs = ask(facts.dogs, 'how many dogs come by')
  if (dogs === 'many') remarks.push('Many dogs: take tops above the knee, from the far side, and cook them.')

  return { state: closed.length > 0 ? 'closed' : toAsk.length > 0 ? 'ajar' : 'open', closed, toAsk, remarks }
}

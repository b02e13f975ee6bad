import { findTaxon } from '../flora/catalogue'
import { rangeDoubt, regionOf } from '../flora/growsIn'
import type { Taxon, Use } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { JudgeContext } from '../gates/verdict'
import { patchView } from '../ground/patchView'
import type { PatchId } from '../log/entry'
import { FIND_STATES, kitchenAt, type Find } from '../log/houseState'
import { dayOf, type Instant } from '../quantity/instant'
import { dayNumber } from '../season/day'
import { kitchenSite } from '../season/ofBook'
import { bookWindow, yearAt } from '../season/window'

/** What may be looked for at a stop. */
export interface StopKind {
  readonly taxon: Taxon
  readonly part: Part
  /** Seen there before; may grow there by what is known of the ground; or met elsewhere. */
  readonly why: 'known' | 'may-grow' | 'met'
}

/** How something stood when it was last stopped at. */
export interface FoundThere extends Omit<Find, 'taxon'> {
  readonly taxon: Taxon
  readonly patch: PatchId
  readonly at: Instant
  /** Calendar days since, by the kitchen's clock. */
  readonly days: number
}

/** So many days before its window and after it a thing is still looked for: it may be early, late, or past. */
const LOOKED_FOR_days = 14

/**
 * What might be found at a patch in this part of the year, so that a stop names all of it and not only what one came for:
 * plants known there first, then those that its ground would suit, then those that the cook has met anywhere. Only parts that
 * are food and whose window, by the calendar at that height, is near; only plants of this part of the world.
 */
export function stopKinds(patch: PatchId, context: JudgeContext): readonly StopKind[] {
  const { book, catalogue, now } = context
  const view = patchView(patch, context)
  if (view === undefined) return []
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const kitchen = kitchenSite(book, now)
  const site = {
    latitude_deg: view.patch.position?.latitude_deg ?? kitchen.latitude_deg,
    elevation_m: view.patch.elevation_m ?? kitchen.elevation_m,
  }
  const today = dayOf(now, timeZone)
  const year = yearAt(today, site)
  const region = regionOf(timeZone)
  const near = (taxon: Taxon, use: Use) => {
    if (use.verdict === 'never' || rangeDoubt(taxon, catalogue, region) !== undefined) return false
    const window = bookWindow(taxon, use, site, year)
    const day = dayNumber(today)
    return window === undefined || (day >= window.from - LOOKED_FOR_days && day <= window.to + LOOKED_FOR_days)
  }
  const met = Object.keys(book.house.meetings).flatMap((name) => findTaxon(catalogue, name) ?? [])
  const groups = [
    { why: 'known', taxa: view.plants.map(({ taxon }) => taxon) },
    { why: 'may-grow', taxa: view.mayGrow.map(({ taxon }) => taxon) },
    { why: 'met', taxa: met },
  ] as const
  const named = new Map<Taxon, StopKind['why']>()
  for (const { why, taxa } of groups) for (const taxon of taxa) if (!named.has(taxon)) named.set(taxon, why)
  return [...named].flatMap(([taxon, why]) =>
    [...new Set(taxon.uses.filter((use) => near(taxon, use)).map(({ part }) => part))].map((part) => ({
      taxon,
      part,
      why,
    })),
  )
}

/** How everything stood when it was last stopped at, at one patch or at all: what is ready first, then the latest. */
export function lastFound({ book, catalogue, now }: JudgeContext, patch?: PatchId): readonly FoundThere[] {
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const day = (at: Instant) => dayNumber(dayOf(at, timeZone))
  const patches = patch === undefined ? Object.keys(book.house.stops) : [patch]
  const found = patches.flatMap((at) => {
    const last = new Map<string, FoundThere>()
    for (const stop of book.house.stops[at] ?? [])
      for (const find of stop.at <= now ? stop.finds : []) {
        const taxon = findTaxon(catalogue, find.taxon)
        if (taxon !== undefined)
          last.set(`${taxon.scientificName} ${find.part}`, {
            ...find,
            taxon,
            patch: at,
            at: stop.at,
            days: day(now) - day(stop.at),
          })
      }
    return [...last.values()]
  })
  const rank = ({ state }: FoundThere) => FIND_STATES.indexOf(state)
  return found.sort((a, b) => rank(a) - rank(b) || (a.at < b.at ? 1 : a.at > b.at ? -1 : 0))
}

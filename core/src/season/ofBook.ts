import type { Catalogue } from '../flora/catalogue'
import { findTaxon } from '../flora/catalogue'
import type { Stage } from '../flora/vocabulary'
import type { BookState } from '../log/fold'
import { kitchenAt } from '../log/houseState'
import { dayOf, type Instant } from '../quantity/instant'
import { REFERENCE, type Site, type Weather } from './climate'
import type { SeasonInput, SeasonPatch, Sighting } from './season'

/** The kitchen as a place where plants are looked for that have no patch yet. */
export const ROUND_THE_KITCHEN = ''

/** Where a book's kitchen lies; the records' own latitude where that was never told. */
export function kitchenSite(book: BookState, now: Instant): Site {
  const kitchen = kitchenAt(book.house, now)
  return {
    latitude_deg: kitchen?.latitude_deg ?? REFERENCE.latitude_deg,
    elevation_m: kitchen?.elevation_m ?? REFERENCE.elevation_m,
  }
}

/**
 * What {@link season} asks, out of a book: the patches, what was met or picked there and when, what was cut. The plants of a patch
 * are those ever seen there; all others of the catalogue that are food are asked for round the kitchen.
 */
export function seasonInput(
  book: BookState,
  catalogue: Catalogue,
  now: Instant,
  weather?: Weather,
  station?: Site,
): SeasonInput {
  const site = kitchenSite(book, now)
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const patches: readonly SeasonPatch[] = [
    { id: ROUND_THE_KITCHEN, ...site },
    ...Object.values(book.house.patches).map(({ id, elevation_m, position }) => ({
      id,
      latitude_deg: position?.latitude_deg ?? site.latitude_deg,
      elevation_m: elevation_m ?? site.elevation_m,
    })),
  ]
  const met = Object.entries(book.house.meetings).flatMap(([taxon, meetings]) =>
    meetings.flatMap(({ at, stage, patch }): Sighting[] =>
      at > now ? [] : [{ taxon, stage, patch: patch ?? ROUND_THE_KITCHEN, day: dayOf(at, timeZone) }],
    ),
  )
  const picked = [...book.lots.values()].flatMap(({ weighedIn, sorted, from }): Sighting[] =>
    weighedIn === null || from.length > 0 || weighedIn.pickedAt > now
      ? []
      : [
          {
            taxon: weighedIn.taxon,
            stage: sorted?.stageSeen ?? (weighedIn.stage as Stage),
            patch: weighedIn.patch,
            day: dayOf(weighedIn.pickedAt, timeZone),
          },
        ],
  )
  const sightings = [...met, ...picked]
  const there = new Map<string, { taxon: string; patch: string }>()
  for (const { taxon: name, patch } of sightings) {
    const taxon = findTaxon(catalogue, name)
    if (taxon !== undefined && patch !== ROUND_THE_KITCHEN)
      there.set(`${taxon.scientificName} ${patch}`, { taxon: taxon.scientificName, patch })
  }
  const placed = new Set([...there.values()].map(({ taxon }) => taxon))
  const elsewhere = catalogue.taxa
    .filter(
      ({ scientificName, uses }) => !placed.has(scientificName) && uses.some(({ verdict }) => verdict !== 'never'),
    )
    .map(({ scientificName }) => ({ taxon: scientificName, patch: ROUND_THE_KITCHEN }))
  return {
    catalogue,
    patches,
    rows: [...there.values(), ...elsewhere],
    sightings,
    cuts: picked.map(({ taxon, patch, day }) => ({ taxon, patch, day })),
    today: dayOf(now, timeZone),
    ...(weather === undefined ? {} : { weather }),
    ...(station === undefined ? {} : { station }),
  }
}

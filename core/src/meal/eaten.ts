import { findTaxon, type Catalogue } from '../flora/catalogue'
import { stepOf } from '../flora/stepOf'
import type { Taxon } from '../flora/taxon'
import type { EaterId } from '../log/entry'
import type { BookState } from '../log/fold'
import { isBegun, plantsIn, type LotState, type Serving } from '../lot/lotState'
import { dayOf, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import { isHeated } from '../treatment/tongue'

export interface EatenServing {
  readonly lot: LotState
  readonly serving: Serving
  /** The picking that the plant came from. */
  readonly strand: LotState
  readonly taxon: Taxon
  readonly mass_g: number
  /** The same food as trimmed raw mass, so that dishes compare. */
  readonly raw_g: number
}

/** Everything that an eater ate, oldest first, plant by plant: of a batch each plant by its own share of what was served. */
export function eatenBy(book: BookState, catalogue: Catalogue, eater: EaterId): readonly EatenServing[] {
  return [...book.lots.values()]
    .filter(({ servings }) => servings.length > 0)
    .flatMap((lot) =>
      lot.servings.flatMap((serving) => {
        const portions = serving.portions.filter((portion) => portion.eater === eater)
        if (portions.length === 0) return []
        // A serving dated back to before its lot was weighed in is still of that lot.
        const food = isBegun(serving.lotThen) ? serving.lotThen : lot
        return plantsServed(food, catalogue).flatMap(({ strand, taxon, share, raw_per_g }) =>
          portions.map(({ mass_g }) => ({
            lot,
            serving,
            strand,
            taxon,
            mass_g: mass_g * share,
            raw_g: mass_g * raw_per_g,
          })),
        )
      }),
    )
    .sort((a, b) => (a.serving.at < b.serving.at ? -1 : 1))
}

/** One plant in food as it is served. */
export interface PlantServed {
  /** The picking, as it was when it went in. */
  readonly strand: LotState
  readonly taxon: Taxon
  /** Of the mass of all plants in it. */
  readonly share: number
  /** Grams of this plant, trimmed and raw, in a gram as served. */
  readonly raw_per_g: number
}

/** Grams of plant, trimmed and raw, in a gram of a lot as it is served: of a drink, what steeped in it. */
export function rawPerServed(lot: LotState, catalogue: Catalogue): number {
  return plantsServed(lot, catalogue).reduce((sum, { raw_per_g }) => sum + raw_per_g, 0)
}

/** The plants in a gram of a lot as it is served. Water lost makes them more, water and other things put to it make them less. */
export function plantsServed(lot: LotState, catalogue: Catalogue): readonly PlantServed[] {
  const plants = plantsIn(lot)
  const whole_g = plants.reduce((sum, { plant_g }) => sum + plant_g, 0)
  const served_g = servedMass_g(lot, catalogue)
  return plants.flatMap(({ lot: strand, plant_g }) => {
    const taxon = strand.weighedIn === null ? undefined : findTaxon(catalogue, strand.weighedIn.taxon)
    return taxon === undefined || whole_g <= 0 || served_g <= 0
      ? []
      : [{ strand, taxon, share: plant_g / whole_g, raw_per_g: plant_g / served_g }]
  })
}

/**
 * What the lot weighs as it is served, g: as last weighed; where it was heated or dried since and not weighed again, what it came out at by
 * its loads, else the least that such a part comes to on record, so that a gram is never taken for less of the plant than it may be.
 */
function servedMass_g(lot: LotState, catalogue: Catalogue): number {
  const { mass_g, drained, runs } = lot
  const since = runs.filter(({ done }) => done?.outcome === 'done' && (drained === null || drained.at < done.at))
  const use = since.length === 0 ? undefined : lotUse(lot, catalogue)
  const shrinks = since.map((run) => {
    const { mass_g: in_g, done } = run
    const asked = stepOf(use, run)
    const dry_g = done?.driedTo_g ?? null
    if (dry_g !== null && in_g > 0) return Math.min(1, dry_g / in_g)
    if (asked?.limit?.measure === 'dried-to' || asked?.op === 'dry')
      return (1 - (use?.moisture?.high ?? FRESH_MOISTURE)) / (1 - DRY_MOISTURE)
    return asked !== undefined && isHeated(asked.op) ? Math.min(1, use?.cookedYield?.low ?? 1) : 1
  })
  return mass_g * Math.min(1, ...shrinks)
}
/** Of a fresh part that no record speaks of, and of what is dry [planning values]. */
const FRESH_MOISTURE = 0.9
const DRY_MOISTURE = 0.1

/** Everything that an eater ate on the calendar day of an instant. */
export function eatenOn(input: {
  readonly book: BookState
  readonly catalogue: Catalogue
  readonly eater: EaterId
  readonly at: Instant
  readonly timeZone: string
}): readonly EatenServing[] {
  const { book, catalogue, eater, at, timeZone } = input
  return eatenBy(book, catalogue, eater).filter(({ serving }) => dayOf(serving.at, timeZone) === dayOf(at, timeZone))
}

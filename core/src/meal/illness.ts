import { commonName, findTaxon, type Catalogue } from '../flora/catalogue'
import { isPoisonous } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import type { Entry } from '../log/entries'
import type { BookLog } from '../log/fold'
import { strandsOf, type LotState } from '../lot/lotState'
import { fromMs, HOUR_ms, toMs, type Instant } from '../quantity/instant'
import { isDrink } from '../treatment/drink'
import { A_BITE, A_TASTE } from './hadOf'
import { addedTo } from './inTheBowl'

/** What somebody ate, as whoever helps must know it. */
export interface EatenLine {
  readonly at: Instant
  readonly eater: string
  readonly dish: string
  /** As it was served; null for a taste or a bite. */
  readonly amount: { readonly mass_g: number; readonly drink: boolean } | null
  /** The entry was struck out since: it is told all the same. */
  readonly struck: boolean
  readonly plants: readonly EatenPlant[]
  /** What else was in it, by the names that the cook gave. */
  readonly alsoIn: readonly string[]
}

export interface EatenPlant {
  readonly name: string
  readonly scientificName: string
  readonly part: string
  readonly lot: string
  readonly patch: string
  /** Deadly and toxic plants that it could have been mistaken for. */
  readonly mistakenFor: readonly { readonly name: string; readonly scientificName: string; readonly severity: string }[]
}

export interface IllnessReport {
  readonly since: Instant
  readonly eaten: readonly EatenLine[]
  /** Packs opened in that time, whoever ate of them. */
  readonly opened: readonly { readonly at: Instant; readonly pack: string; readonly plants: readonly EatenPlant[] }[]
}

/**
 * Everything that was eaten in the last so many hours, latest first: struck servings and opened packs included, from whatever
 * there is of records. It draws no conclusion.
 */
export function illnessReport(log: BookLog, catalogue: Catalogue, now: Instant, hours: number): IllnessReport {
  const since = fromMs(toMs(now) - hours * HOUR_ms)
  const recent = log.order.filter(({ at }) => at >= since && at <= now).toReversed()
  const eaten = recent.flatMap((entry) => {
    const had = hadBy(entry)
    if (had === undefined) return []
    const lot = log.state.lots.get(had.lot)
    const food = lot?.servings.find((serving) => serving.entry === entry.id)?.lotThen ?? lot
    const plants = plantsOf(food, had.lot, log, catalogue)
    const added = food === undefined ? [] : addedTo(food).filter(({ at }) => at <= entry.at)
    return had.of.map(({ eater, mass_g }): EatenLine => ({
      at: entry.at,
      eater: log.state.house.eaters[eater]?.name ?? eater,
      dish: had.dish,
      amount: mass_g === null ? null : { mass_g, drink: food !== undefined && isDrink(food) },
      struck: log.amendments.struck.has(entry.id),
      plants,
      alsoIn: [...new Set(added.map(({ name }) => name))],
    }))
  })
  const opened = recent.flatMap((entry) =>
    entry.type === 'opened'
      ? [{ at: entry.at, pack: entry.pack, plants: plantsOf(log.state.lots.get(entry.lot), entry.lot, log, catalogue) }]
      : [],
  )
  return { since, eaten, opened }
}

/** Who had what by an entry; undefined for one by which nobody had anything. */
function hadBy(entry: Entry) {
  switch (entry.type) {
    case 'served':
      return { lot: entry.lot, dish: entry.dish, of: entry.portions }
    case 'tasted':
      return { lot: entry.lot, dish: A_TASTE, of: [{ eater: entry.taster, mass_g: null }] }
    case 'plants-scored':
      return { lot: entry.lot, dish: A_BITE, of: [{ eater: entry.taster, mass_g: null }] }
    default:
      return undefined
  }
}

/** The plants in a lot; where its weighing in was struck out, as that entry said. */
function plantsOf(lot: LotState | undefined, id: string, log: BookLog, catalogue: Catalogue): readonly EatenPlant[] {
  const known =
    lot === undefined
      ? []
      : strandsOf(lot).flatMap(({ lot: { weighedIn, code } }) => (weighedIn === null ? [] : [{ ...weighedIn, code }]))
  const told =
    known.length > 0
      ? known
      : log.order.filter(
          (entry): entry is Extract<Entry, { type: 'weighed-in' }> => entry.type === 'weighed-in' && entry.lot === id,
        )
  return told.map(({ taxon: claimed, part, patch, code }) => {
    const taxon = findTaxon(catalogue, claimed)
    return {
      name: taxon === undefined ? claimed : commonName(taxon),
      scientificName: taxon?.scientificName ?? claimed,
      part: plainWords(part),
      lot: code,
      patch: log.state.house.patches[patch]?.name ?? patch,
      mistakenFor: (taxon?.lookalikes ?? []).filter(isPoisonous).map(({ scientificName, severity }) => {
        const other = findTaxon(catalogue, scientificName)
        return { name: other === undefined ? scientificName : commonName(other), scientificName, severity }
      }),
    }
  })
}

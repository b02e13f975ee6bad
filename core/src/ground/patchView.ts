import { findTaxon } from '../flora/catalogue'
import { rangeDoubt, regionOf } from '../flora/growsIn'
import type { Taxon } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import type { JudgeContext } from '../gates/verdict'
import type { LotId, PatchId } from '../log/entry'
import { kitchenAt, type Gift, type PatchState } from '../log/houseState'
import type { StandFact } from '../lot/lotState'
import type { Instant } from '../quantity/instant'
import { pickingOfLot, restsUntil, type Picking } from '../take/rest'
import { countedAs } from '../take/share'
import { setAsideAt, type SetAsideShares } from '../take/setAside'
import { groundAt } from './ofPatch'
import type { GroundVerdict } from './verdict'

/** What a book knows of a patch: its ground for each plant seen there, what was taken and given, what else might grow. */
export interface PatchView {
  readonly patch: PatchState
  readonly plants: readonly PatchPlant[]
  readonly mayGrow: readonly MayGrow[]
  readonly gifts: readonly Gift[]
  readonly recalled: readonly string[]
}

export interface PatchPlant {
  readonly taxon: Taxon
  /** Days on which it was met or picked there, oldest first. */
  readonly seen: readonly Instant[]
  readonly grounds: readonly { readonly part: Part; readonly verdict: GroundVerdict }[]
  readonly takes: readonly Take[]
  /** Until when it is left alone, after more than its share was taken. */
  readonly restsUntil: Instant | undefined
  /** What it is shared out for here, where it is. */
  readonly setAside: SetAsideShares | undefined
  /** The last count of it here, and what was counted. */
  readonly lastCount: { readonly count: number; readonly of: ReturnType<typeof countedAs> } | undefined
  /** Counted less than {@link DECLINE} of its most in an earlier year. */
  readonly declines: { readonly from: number; readonly to: number } | undefined
}

export interface Take {
  readonly lot: LotId
  readonly code: string
  readonly at: Instant
  readonly part: Part
  readonly mass_g: number
  readonly stand: StandFact | null
  readonly held: Picking | undefined
}

/** A food plant that this ground would suit, with what speaks for it and what does not. */
export interface MayGrow {
  readonly taxon: Taxon
  readonly matched: readonly string[]
  readonly companions: readonly string[]
}

/** A stand that counts less than this share of what it was is told as shrinking; chosen: counts by eye differ by a quarter. */
export const DECLINE = 0.7
const MOST_MAY_GROW = 12

/** Everything a book knows of one patch; undefined where there is no such patch. */
export function patchView(id: PatchId, context: JudgeContext): PatchView | undefined {
  const { book, catalogue, now } = context
  const patch = book.house.patches[id]
  if (patch === undefined) return undefined
  const plants = plantsAt(id, context)
  return {
    patch,
    plants,
    mayGrow: mayGrow(patch, new Set(plants.map(({ taxon }) => taxon)), context),
    gifts: (book.house.gifts[id] ?? []).filter(({ at }) => at <= now),
    recalled: book.house.recalls.flatMap((recall) =>
      recall.what === 'patch' && recall.patch === id && recall.at <= now ? [recall.why] : [],
    ),
  }

  function plantsAt(where: PatchId, { book: { house, lots } }: JudgeContext): readonly PatchPlant[] {
    const seen = new Map<Taxon, Instant[]>()
    const takes = new Map<Taxon, Take[]>()
    const note = (name: string, at: Instant): Taxon | undefined => {
      const taxon = findTaxon(catalogue, name)
      if (taxon !== undefined && at <= now) seen.set(taxon, [...(seen.get(taxon) ?? []), at])
      return taxon
    }
    for (const [name, meetings] of Object.entries(house.meetings))
      for (const meeting of meetings) if (meeting.patch === where) note(name, meeting.at)
    for (const lot of lots.values()) {
      // A part split off was picked once, as the whole.
      if (lot.weighedIn?.patch !== where || lot.from.length > 0) continue
      const { taxon: name, part, pickedAt, mass_g } = lot.weighedIn
      const taxon = note(name, pickedAt)
      if (taxon === undefined) continue
      const held = pickingOfLot(lot, taxon, { lots, house, catalogue })
      const take = { lot: lot.id, code: lot.code, at: pickedAt, part, mass_g, stand: lot.stand, held }
      takes.set(taxon, [...(takes.get(taxon) ?? []), take])
    }
    return [...seen].map(([taxon, at]) => plantAt(taxon, at.sort(), takes.get(taxon) ?? []))
  }

  function plantAt(taxon: Taxon, seen: readonly Instant[], unsorted: readonly Take[]): PatchPlant {
    const takes = unsorted.toSorted((a, b) => (a.at < b.at ? -1 : 1))
    const parts = new Set(taxon.uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => part))
    const surroundings = { house: book.house, catalogue, now }
    return {
      taxon,
      seen,
      takes,
      grounds: [...parts].flatMap((part) => {
        const ground = groundAt({ taxon: taxon.scientificName, part, patch: id }, surroundings)
        return ground === undefined ? [] : [{ part, verdict: ground.verdict }]
      }),
      restsUntil: restsUntil(book, catalogue, id, taxon.scientificName),
      setAside: setAsideAt({ house: book.house, catalogue }, id, taxon, now),
      lastCount: takes
        .flatMap(({ part, stand }) => (stand === null ? [] : [{ count: stand.stems, of: countedAs(part) }]))
        .at(-1),
      declines: declineOf(takes),
    }
  }
}

/** Whether the last year's count is far below the best of the years before. */
function declineOf(takes: readonly Take[]): PatchPlant['declines'] {
  const mostOf = new Map<string, number>()
  for (const { stand } of takes)
    if (stand !== null) mostOf.set(stand.at.slice(0, 4), Math.max(stand.stems, mostOf.get(stand.at.slice(0, 4)) ?? 0))
  const counts = [...mostOf].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, stems]) => stems)
  const to = counts.at(-1)
  const from = Math.max(0, ...counts.slice(0, -1))
  return to !== undefined && from > 0 && to < DECLINE * from ? { from, to } : undefined
}

/** Food plants of this part of the world that are not known there and whose habitats or companions fit what was noted of the ground. */
function mayGrow(
  patch: PatchState,
  there: ReadonlySet<Taxon>,
  { book, catalogue, now }: JudgeContext,
): readonly MayGrow[] {
  const habitat = patch.facts.habitat?.value ?? []
  const companions = patch.facts.companions?.value ?? []
  const known = new Set([...companions, ...[...there].map(({ scientificName }) => scientificName)])
  if (habitat.length === 0) return []
  const region = regionOf(kitchenAt(book.house, now)?.timeZone ?? 'UTC')
  return catalogue.taxa
    .filter(
      (taxon) =>
        !there.has(taxon) &&
        taxon.uses.some(({ verdict }) => verdict !== 'never') &&
        rangeDoubt(taxon, catalogue, region) === undefined,
    )
    .map((taxon) => ({
      taxon,
      matched: taxon.habitat.filter((each) => habitat.includes(each)),
      companions: taxon.companions.filter((each) => known.has(each)),
    }))
    .filter(({ matched }) => matched.length > 0)
    .toSorted((a, b) => fit(b) - fit(a))
    .slice(0, MOST_MAY_GROW)
}

/** A companion seen there says more than a kind of ground; of two that match alike the choosier plant comes first. */
function fit({ taxon, matched, companions }: MayGrow): number {
  return companions.length * 2 + matched.length / Math.max(1, taxon.habitat.length)
}

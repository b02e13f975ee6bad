import { commonName, findTaxon } from '../flora/catalogue'
import type { Taxon } from '../flora/taxon'
import { CHARACTERS, plainWords } from '../flora/vocabulary'
import { isHarmful, type Clearance } from '../identity/clear'
import { lotClearance, meetingDays } from '../identity/lotTells'
import type { LotState } from '../lot/lotState'
import { formatList } from '../quantity/format'
import { closedBy, finding, type Finding, type JudgeContext } from './verdict'

/**
 * Opens when every key tell was seen on this lot before it was first cut and fits, no tell contradicts, every harmful
 * look-alike is ruled out by enough independent tells, the plant was met often enough, no stray is unsorted, no taste was
 * an alarm, and the cook attests to being certain.
 */
export function identityGate(lot: LotState, context: JudgeContext): Finding {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(context.catalogue, lot.weighedIn.taxon)
  if (taxon === undefined) return closedBy('This plant is not in the catalogue, so nothing can be checked.')
  const clearance = lotClearance(lot, taxon, context)
  const closed = [...alarmReasons(lot), ...strayClosings(lot, taxon), ...contradictionReasons(clearance, taxon)]
  const ajar = [
    ...(strayPending(lot) ? ['A stray was reported: go through the whole lot again, piece by piece.'] : []),
    ...missingReasons(clearance, lot),
    ...standingReasons(clearance, context),
    ...meetingReasons(clearance, taxon, context),
    ...(lot.attestedAt === null ? ['You have not yet said that you are certain.'] : []),
  ]
  const ruled = clearance.ruledOut.filter(isHarmful).length
  return finding(closed, ajar, [`Every key tell fits; ${ruled} harmful look-alikes are ruled out.`])
}

function alarmReasons(lot: LotState): readonly string[] {
  return lot.tastes.flatMap(({ alarm }) =>
    alarm === null
      ? []
      : [`It tasted of ${plainWords(alarm)}: stop. Eat no more of it, keep a sample, and look again at what it is.`],
  )
}

function strayClosings(lot: LotState, taxon: Taxon): readonly string[] {
  const couldHarm = taxon.lookalikes.some(isHarmful)
  return lot.strays.brokenUp && couldHarm
    ? ['A stray was broken up in it, and its plant has harmful doubles: throw the lot away.']
    : []
}

function strayPending({ strays: { reportedAt, sortedAt } }: LotState): boolean {
  return reportedAt !== null && (sortedAt === null || sortedAt < reportedAt)
}

function contradictionReasons({ contradictions }: Clearance, taxon: Taxon): readonly string[] {
  return contradictions.map(
    ({ character, observed, expected }) =>
      `${label(character)}: you saw ${formatList(observed.map(plainWords))}; ${commonName(taxon)} has ${formatList(expected.map(plainWords))}. It is not this plant, or not only this plant.`,
  )
}

function missingReasons({ missing }: Clearance, lot: LotState): readonly string[] {
  if (missing.length === 0) return []
  const late = lot.firstCutAt !== null
  const what = formatList(missing.map((character) => label(character).toLowerCase()))
  return [
    late
      ? `Not seen before it was cut: ${what}. What is noted after the cutting does not count.`
      : `Still to be looked at: ${what}.`,
  ]
}

function standingReasons({ standing }: Clearance, { catalogue }: JudgeContext): readonly string[] {
  return standing.filter(isHarmful).map(({ taxon, severity, ruledOutBy, needed }) => {
    const record = findTaxon(catalogue, taxon)
    const name = record ? commonName(record) : taxon
    const so = ruledOutBy.length === 0 ? 'still stands' : `is ruled out ${ruledOutBy.length} of ${needed} times`
    return `${name} (${severity}) ${so}.`
  })
}

function meetingReasons({ encountersNeeded }: Clearance, taxon: Taxon, context: JudgeContext): readonly string[] {
  const met = meetingDays(taxon, context)
  return met < encountersNeeded
    ? [`You have met ${commonName(taxon)} on ${met} of the ${encountersNeeded} days it takes before eating it.`]
    : []
}

function label(character: string): string {
  return CHARACTERS[character]?.label ?? plainWords(character)
}

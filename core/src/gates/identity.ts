import { commonName, nameInText, nameInTextOf, findTaxon } from '../flora/catalogue'
import { severityWord, type Taxon } from '../flora/taxon'
import { plainWords, tellLabel } from '../flora/vocabulary'
import { isHarmful, type Clearance as WholeClearance } from '../identity/clear'
import { worthNaming } from '../identity/mistakable'
import { carriedOver } from '../identity/carriedOver'
import { familyMarks, familyText, familyTold } from '../identity/familyMarks'
import {
  countingTells,
  lotContradictions,
  lotJudged,
  laterWords,
  COOK,
  meetingDays,
  tellerOf,
  shownLater,
  writerName,
} from '../identity/lotTells'
import { kinOf } from '../lot/kin'
import { isUnsorted, kinWithStrays } from '../lot/strays'
import { strandsOf, type LotState } from '../lot/lotState'
import { formatCount, formatList } from '../quantity/format'
import { closedBy, finding, worstOf, type Finding, type JudgeContext } from './verdict'

type Clearance = Omit<WholeClearance, 'next'>

/** Harmful plants named one by one before the rest is only counted. */
const NAMED_AT_MOST = 4

/**
 * Opens when every key tell was seen on this lot before it was first cut and fits, no tell contradicts, every harmful
 * look-alike is ruled out by enough independent tells, the plant was met often enough, no stray is unsorted, no taste was
 * an alarm, and the cook attests to being certain. A batch is as its worst constituent; and what stops one part of a
 * picking stops every other.
 */
export function identityGate(lot: LotState, context: JudgeContext): Finding {
  const own = strandsOf(lot).map((strand) => pickingIdentity(strand.lot, context))
  const whole = finding(closings(lot, context), isUnsorted(lot) ? [STRAY] : [], [])
  return worstOf([...own, ...(lot.joined.length === 0 ? [] : [whole]), kinFinding(lot, context)])
}

/** So many stems of a mixed stand are looked at one by one, or all where fewer were cut; chosen: one stray in ten is then met two times in three. */
export const STEMS_OF_A_MIXED_STAND = 10

function mixedReasons({ attestedStand, stand }: LotState): readonly string[] {
  if (attestedStand === null || !attestedStand.mixed) return []
  const needed = Math.min(STEMS_OF_A_MIXED_STAND, stand?.taken ?? STEMS_OF_A_MIXED_STAND)
  return attestedStand.stemsSeen < needed
    ? [
        `Other plants grow among it and you looked at ${attestedStand.stemsSeen} of its stems: look at ${needed}, then say again that you are certain.`,
      ]
    : []
}

const STRAY = 'A stray was reported: go through the whole lot again, piece by piece.'

function pickingIdentity(lot: LotState, context: JudgeContext): Finding {
  const taxon = lot.weighedIn === null ? undefined : findTaxon(context.catalogue, lot.weighedIn.taxon)
  if (taxon === undefined) return closedBy('This plant is not in the catalogue, so nothing can be checked.')
  const clearance = lotJudged(lot, taxon, context)
  // What was all seen on this lot needs nothing carried over.
  const told = clearance.missing.length === 0 && !clearance.standing.some(isHarmful)
  const carried = told ? undefined : carriedOver(lot, taxon, context)
  const ajar = [
    ...(isUnsorted(lot) ? [STRAY] : []),
    ...(carried === undefined ? missingReasons(clearance, lot, taxon, context) : []),
    ...(carried === undefined ? standingReasons(clearance, taxon, context) : carried.due),
    ...(carried === undefined ? familyReasons(lot, taxon, context) : []),
    ...lyingReasons(lot, taxon),
    ...meetingReasons(clearance, taxon, lot, context),
    ...(lot.attestedAt === null ? ['You have not yet said that you are certain.'] : []),
    ...mixedReasons(lot),
  ]
  const ruled = clearance.ruledOut.filter(isHarmful).length
  const says =
    carried === undefined
      ? `Every key tell fits; ${ruled} harmful plants are ruled out.`
      : `Carried over from ${carried.fromCode}, the same plant from the same patch this season.`
  const own =
    taxon.own === true ? ['On record by your own word: nobody but you has checked what it could be taken for.'] : []
  return finding(closings(lot, context), ajar, [says, ...own])
}

/** What ends it: a wrong taste, a stray broken up in it, a tell that contradicts. */
function closings(lot: LotState, context: JudgeContext): readonly string[] {
  return [
    ...alarmReasons(lot),
    ...strandsOf(lot).flatMap(({ lot: strand }) => {
      const taxon = strand.weighedIn === null ? undefined : findTaxon(context.catalogue, strand.weighedIn.taxon)
      return taxon === undefined
        ? []
        : [
            ...strayClosings({ ...strand, strays: lot.strays.brokenUp ? lot.strays : strand.strays }, taxon, context),
            ...contradictionReasons(lotContradictions(strand, taxon, context), taxon),
          ]
    }),
  ]
}

/** What turned up in another part of the same picking: a stop is a stop here too, a stray means going through this as well. */
function kinFinding(lot: LotState, context: JudgeContext): Finding {
  const kin = kinOf(lot, context.book)
  const closed = kin.flatMap((other) =>
    closings(other, context).map((reason) => `Lot ${other.code}, of the same picking: ${reason}`),
  )
  return finding(
    closed,
    kinWithStrays(lot, context.book).map(
      ({ code }) => `A stray was found in lot ${code}, of the same picking: go through this one too.`,
    ),
    [],
  )
}

function alarmReasons(lot: LotState): readonly string[] {
  return lot.tastes.flatMap(({ alarm }) =>
    alarm === null
      ? []
      : [`It tasted of ${plainWords(alarm)}: stop. Eat no more of it, keep a sample, and look again at what it is.`],
  )
}

function strayClosings(lot: LotState, taxon: Taxon, { catalogue }: JudgeContext): readonly string[] {
  const doubles = taxon.lookalikes
    .filter(isHarmful)
    .slice(0, NAMED_AT_MOST)
    .map(({ scientificName }) => nameInTextOf(scientificName, catalogue))
  const could = doubles.length === 0 ? 'nobody knows what it was' : `it may have been ${formatList(doubles, 'or')}`
  return lot.strays.brokenUp
    ? [`A stray is broken up in it, and ${could}: throw away the lot and everything made of it.`]
    : []
}

function contradictionReasons(contradictions: Clearance['contradictions'], taxon: Taxon): readonly string[] {
  return contradictions.map(
    ({ character, observed, expected }) =>
      `${tellLabel(character)}: you saw ${formatList(observed.map(plainWords))}; on ${nameInText(taxon)} it is ${formatList(expected.map(plainWords), 'or')}. It is not this plant, or not only this plant.`,
  )
}

function missingReasons({ missing }: Clearance, lot: LotState, taxon: Taxon, context: JudgeContext): readonly string[] {
  if (missing.length === 0) return []
  const late = lot.firstCutAt !== null
  const what = formatList(missing.map((character) => tellLabel(character).toLowerCase()))
  return [
    late
      ? `Not seen before it was cut: ${what}. What is noted after the cutting does not count.`
      : `Still to be looked at: ${what}.`,
    ...shownLater(missing, lot, taxon, context).map(laterWords),
  ]
}

/** A family that is mostly poisonous is held to more marks than its plant's own tells, and no smell is one. */
function familyReasons(lot: LotState, taxon: Taxon, context: JudgeContext): readonly string[] {
  const marks = familyMarks(lot, taxon, context)
  return marks === undefined || familyTold(marks) ? [] : [familyText(marks)]
}

/** What lay about and is not this plant's: another stands near, or it was never this one. */
function lyingReasons(lot: LotState, taxon: Taxon): readonly string[] {
  const seen = countingTells(lot).flatMap(({ answer, character }) => (answer === 'seen' ? [character] : []))
  return countingTells(lot).flatMap(({ answer, character, states }) => {
    const shown = taxon.characters[character]
    if (answer !== 'lay-about' || shown === undefined || seen.includes(character)) return []
    const others = states.filter((state) => !shown.includes(state))
    return others.length === 0
      ? []
      : [
          `${tellLabel(character)} lying there (${formatList(others.map(plainWords))}) is not of ${nameInText(taxon)}: look for one on the plant, and whether another kind stands near.`,
        ]
  })
}

/** What it could be taken for by name; the others counted. */
function standingReasons({ standing }: Clearance, claimed: Taxon, { catalogue }: JudgeContext): readonly string[] {
  const harmful = standing.filter(isHarmful)
  const named = worthNaming(claimed, harmful)
    .named.slice(0, NAMED_AT_MOST)
    .map(({ taxon, severity, ruledOutBy, needed }) => {
      const record = findTaxon(catalogue, taxon)
      const name = record ? commonName(record) : taxon
      return `${name} (${severityWord(severity)}): not ruled out. ${formatCount(needed - ruledOutBy.length, 'more mark')} needed.`
    })
  const more = harmful.length - named.length
  return more === 0 ? named : [...named, `${formatCount(more, 'more harmful plant')} not ruled out yet.`]
}

function meetingReasons(
  { encountersNeeded }: Clearance,
  taxon: Taxon,
  lot: LotState,
  context: JudgeContext,
): readonly string[] {
  const who = tellerOf(lot, context)
  const met = meetingDays(taxon, context, who)
  if (met >= encountersNeeded) return []
  const whose = who === (context.writer ?? COOK) ? '' : ` (${writerName(who, context.book.house.eaters)})`
  return [
    `Sure days with ${nameInText(taxon)}${whose}: ${met} of ${encountersNeeded}. Do not eat ${nameInText(taxon)} yet.`,
  ]
}

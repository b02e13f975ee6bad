import { SCALE_g } from '../quantity/scale'
import { steepsToDrink } from '../treatment/drink'
import { freshnessOf, packFreshness } from '../freshness/freshness'
import { COLD_AT_MOST_C, HOT_AT_LEAST_C } from '../freshness/lifeLimits'
import { findTaxon, findUse, type Catalogue } from '../flora/catalogue'
import { refuseOwnPlant } from '../flora/own'
import { strangeIngredient } from '../flora/poisonous'
import { CHARACTERS, FALLS, plainWords, sensitivityWords, type Part } from '../flora/vocabulary'
import { shutFor, type Act } from '../gates/acts'
import { judge, packAsLot, type Intent } from '../gates/judge'
import { shutForNibble } from '../gates/nibble'
import { neverFor } from '../gates/plate'
import { neverReason } from '../gates/sort'
import { FOOD_GATES, GATE_NAMES, GATE_STATE_WORDS, type GateVerdict, type JudgeContext } from '../gates/verdict'
import { emptyLot, isBegun, isOnlyCounted, strandsOf, USED_UP_g, type LotState, type PackState } from '../lot/lotState'
import { instrument } from '../instruments/instruments'
import { massBalance } from '../lot/story'
import {
  formatCount,
  formatList,
  formatMass,
  formatSpan,
  formatTemp,
  formatVolume,
  withoutCapital,
} from '../quantity/format'
import { minutesBetween, type Instant, dayOf } from '../quantity/instant'
import { STRAY_BROKEN_UP, strayAgainst, straysDue } from '../lot/strays'
import { lotUse } from '../treatment/batchUse'
import { leftoverChoices } from '../treatment/leftovers'
import {
  protocolOf,
  TIMER_SLACK_MINUTES,
  treatmentProgress,
  tooThin,
  type StepProgress,
  type TreatmentProgress,
} from '../treatment/progress'
import { removalOf } from '../take/removal'
import { PURPOSE_WORDS, PURPOSES, purposesOf } from '../take/setAside'
import { GOAL_DEEDS, type Protocol } from '../flora/taxon'
import { isLineageEntry, isLotEntry, type Entry, type HouseEntry, type LineageEntry, type LotEntry } from './entries'
import { asDated, isAmendment } from './amendments'
import { figureFault } from '../evidence/figures'
import { trialFault } from '../evidence/trial'
import { notLeftOut } from '../treatment/tongue'
import { plantKey } from '../take/alongStand'
import type { ClaimNoted } from './entries/claimNoted'
import type { PlantsScored } from './entries/plantsScored'
import type { TableNoted } from './entries/tableNoted'
import type { BathChanged } from './entries/bathChanged'
import type { InstrumentSetRight } from './entries/instrumentSetRight'
import type { GaveBack } from './entries/gaveBack'
import type { StandSetAside } from './entries/standSetAside'
import type { StopNoted } from './entries/stopNoted'
import type { SampleDried } from './entries/sampleDried'
import { droppedBy } from './entries/eaterNoted'
import type { EaterId } from './entry'
import type { Placed } from './entries/placed'
import type { OutingPlanned } from './entries/outingPlanned'
import type { Redated } from './entries/redated'
import { kitchenAt } from './houseState'
import type { Struck } from './entries/struck'
import type { Served } from './entries/served'
import { countsNowhere } from './entries/readingTaken'
import type { StepBegun } from './entries/stepBegun'
import type { StepDone } from './entries/stepDone'
import type { Washed } from './entries/washed'
import type { WayChosen } from './entries/wayChosen'
import type { WeighedAfter } from './entries/weighed'
import { addEntries, type BookLog } from './fold'

/** A proposed entry is taken, or refused with the field and one sentence a person can act on. Nothing is thrown. */
export type Proposal = { readonly ok: true } | Refusal
export interface Refusal {
  readonly ok: false
  readonly field: string
  readonly message: string
}

/** Clocks of one kitchen may differ by this much. */
const CLOCK_SKEW_MINUTES = 1

const IN_FUTURE = 'That moment is still to come. Give a time that has passed.'

const NOT_IN_CATALOGUE = 'This plant is not in the catalogue.'

const OK: Proposal = { ok: true }
const no = (field: string, message: string): Refusal => ({ ok: false, field, message })

/**
 * Whether an entry may be added to the log at this instant: it fits what is there, and every gate that its act needs is open.
 *
 * Judged as of the entry's own moment with all that is known now. What has been added is a fact and is not judged again.
 */
export function propose(entry: Entry, log: BookLog, catalogue: Catalogue, now: Instant): Proposal {
  if (minutesBetween(now, entry.at) > CLOCK_SKEW_MINUTES) return no('at', IN_FUTURE)
  if (log.entries.has(entry.id)) return no('id', 'This entry is in the log already.')
  if (entry.type === 'struck') return checkStrike(entry, log)
  if (entry.type === 'redated') return checkRedating(entry, log, now)
  const context: JudgeContext = { book: log.state, catalogue, now: entry.at > now ? now : entry.at, writer: entry.by }
  if (isLineageEntry(entry)) return checkLineage(entry, context)
  if (!isLotEntry(entry)) return checkHouseEntry(entry, log.state, catalogue)
  const lot = log.state.lots.get(entry.lot)
  if (entry.type === 'weighed-in') return checkWeighIn(entry, lot, context)
  if (lot === undefined || !isBegun(lot)) return no('lot', 'There is no such lot. Weigh it in first.')
  if (lot.weighedIn !== null && entry.at < lot.weighedIn.pickedAt) return no('at', 'That is before it was picked.')
  return checkLotEntry(entry, lot, context)
}

function checkStrike(strike: Struck, log: BookLog): Proposal {
  const { entry: id } = strike
  if (!log.entries.has(id)) return no('entry', 'There is no such entry to strike out.')
  if (log.amendments.struck.has(id)) return no('entry', 'That entry is struck out already.')
  // A lot may go with what made it; one that stays must still have had what left it.
  const [lot] = unbalancedBy(strike, log).filter(({ gone }) => !gone)
  return lot === undefined
    ? OK
    : no('entry', `Then the masses of lot ${lot.code} would not add up: strike out first what was done with it since.`)
}

/** A re-dating is a correction of fact: the gates are not asked, only whether it could have happened then. */
function checkRedating(redating: Redated, log: BookLog, now: Instant): Proposal {
  const { entry: id, to } = redating
  const written = log.entries.get(id)
  if (written === undefined || isAmendment(written))
    return no('entry', 'There is no such entry whose time could be changed.')
  if (log.amendments.struck.has(id)) return no('entry', 'That entry is struck out.')
  if (minutesBetween(now, to) > CLOCK_SKEW_MINUTES) return no('to', IN_FUTURE)
  const entry = asDated(written, log.amendments)
  if (entry.at === to) return no('to', 'That is the time it has already.')
  const [lost] = unbalancedBy(redating, log)
  const unbalanced =
    lost === undefined
      ? OK
      : no('to', `Then the masses of lot ${lost.code} would not add up: something was done to it in between.`)
  if (!isLotEntry(entry)) return unbalanced
  const lot = log.state.lots.get(entry.lot)
  if (lot === undefined) return unbalanced
  if (lot.from.length > 0 && lot.from.every(({ at }) => to < at)) return no('to', 'That is before this lot came to be.')
  if (lot.weighedIn !== null && to < lot.weighedIn.pickedAt) return no('to', 'That is before it was picked.')
  // Where a lot stood before it was one nobody would count.
  const stoodBefore =
    entry.type === 'weighed-in' &&
    log.order.some(
      (each) =>
        (each.type === 'placed' || each.type === 'revived') &&
        each.lot === entry.lot &&
        !log.amendments.struck.has(each.id) &&
        asDated(each, log.amendments).at < to,
    )
  if (stoodBefore && unbalanced.ok)
    return no('to', `Lot ${lot.code} was put somewhere before that. Change the time of that first.`)
  const backwards = lot.runs.some(
    ({ entry: begun, begunAt, done }) =>
      (entry.type === 'step-done' && entry.begun === begun && to < begunAt) ||
      (entry.id === begun && done !== null && done.at < to),
  )
  return backwards ? no('to', 'It cannot end before it began.') : unbalanced
}

/** Lots whose masses would no longer add up: more would have left one than there was by then, or it would be gone. */
function unbalancedBy(amendment: Struck | Redated, log: BookLog): readonly { code: string; gone: boolean }[] {
  const { lots } = addEntries(log, [amendment]).state
  return [...log.state.lots].flatMap(([id, before]) => {
    const after = lots.get(id)
    if (after === before || !isBegun(before) || !adds(before)) return []
    const gone = after === undefined || !isBegun(after)
    return gone || !adds(after) ? [{ code: before.code, gone }] : []
  })
}

function adds(lot: LotState): boolean {
  const { picked_g, takenUp_g, left, inHand_g } = massBalance(lot)
  const out_g = left.reduce((sum, { mass_g }) => sum + mass_g, inHand_g)
  return Math.abs(out_g - picked_g - takenUp_g) <= SCALE_g
}

/** Splitting, joining and opening: the mass is there, the new code is free, and nothing half done is mixed. */
function checkLineage(entry: LineageEntry, context: JudgeContext): Proposal {
  const { lots } = context.book
  const fresh = entry.type === 'joined' ? entry.lot : entry.into
  if (lots.has(fresh)) return no('code', 'There is a lot of that code already. Give another.')
  switch (entry.type) {
    case 'split': {
      const lot = lots.get(entry.lot)
      if (lot === undefined || !isBegun(lot)) return no('lot', 'There is no such lot. Weigh it in first.')
      if (entry.mass_g > lot.mass_g + SCALE_g) return tooMuch('mass_g', lot.mass_g)
      return halfTreated(lot, context) ? no('lot', HALF_DONE) : OK
    }
    case 'opened': {
      const lot = lots.get(entry.lot)
      const pack = lot?.packs.find(({ id }) => id === entry.pack)
      if (lot === undefined || pack === undefined) return no('pack', 'There is no such pack of this lot.')
      if (entry.mass_g > pack.mass_g + SCALE_g) return tooMuch('mass_g', pack.mass_g)
      return mayOpen(lot, pack, context)
    }
    case 'joined':
      return checkJoin(entry, context)
    default:
      return unknownEntry(entry)
  }
}

/** What is held or past its life is not brought back into hand: it is thrown away out of the larder. */
function mayOpen(lot: LotState, pack: PackState, context: JudgeContext): Proposal {
  const food = packAsLot(lot, pack)
  const closed = FOOD_GATES.map((gate) => judge(gate, food, context)).filter(({ state }) => state === 'closed')
  const against = [...packFreshness(pack, context).must, ...closed.flatMap(({ reasons }) => reasons)]
  return against.length === 0
    ? OK
    : no('pack', `This pack is opened no more: throw it away from the larder. ${against.join(' ')}`)
}

const HALF_DONE = 'Some of its loads are done and some are not. Finish them first.'

function checkJoin(entry: Extract<LineageEntry, { type: 'joined' }>, context: JudgeContext): Proposal {
  const parts = entry.parts.map(({ lot, mass_g }) => ({ id: lot, mass_g, lot: context.book.lots.get(lot) }))
  for (const { id, mass_g, lot } of parts) {
    if (lot === undefined || !isBegun(lot)) return no('parts', `There is no lot ${id}.`)
    if (mass_g > lot.mass_g + SCALE_g) return tooMuch('parts', lot.mass_g)
    if (halfTreated(lot, context)) return no('parts', `Lot ${lot.code}: ${HALF_DONE}`)
    const verdicts = FOOD_GATES.map((gate) => judge(gate, lot, context))
    const stopped = verdicts.find(({ state }) => state === 'closed')
    if (stopped !== undefined)
      return no('parts', `Lot ${lot.code} is stopped and would stop all of it: ${stopped.reasons.join(' ')}`)
    // Nobody could look at that part again, nor weigh it by itself: its gate would stay ajar for good.
    const unseen = verdicts.find(({ gate, state }) => (gate === 'identity' || gate === 'sort') && state !== 'open')
    if (unseen !== undefined)
      return no(
        'parts',
        `Lot ${lot.code}: ${GATE_NAMES[unseen.gate]} is not open yet, and in a batch it could not be made up for. ${unseen.reasons.join(' ')}`,
      )
  }
  const lots = parts.flatMap(({ lot, mass_g }) =>
    lot === undefined ? [] : [{ lotThen: lot, mass_g, at: context.now }],
  )
  if (lots.every(({ lotThen }) => judge('makeSafe', lotThen, context).state === 'open')) return OK
  const batch = { ...emptyLot(entry.lot), joined: lots }
  const use = lotUse(batch, context.catalogue)
  return use !== undefined && use.protocols.some(({ storeOnly }) => storeOnly !== true)
    ? OK
    : no('parts', 'They need different treatment: separate pots. Make each of them safe first, then join them.')
}

/** The catalogue alone: a plant of one's own may be put on record anew. */
function withoutOwn(catalogue: Catalogue): Catalogue {
  return { ...catalogue, taxa: catalogue.taxa.filter(({ own }) => own !== true) }
}

function checkOuting({ wishes }: OutingPlanned, book: BookLog['state'], catalogue: Catalogue): Proposal {
  for (const { taxon, part, stage, patch } of wishes) {
    const known = findTaxon(catalogue, taxon)
    const use = known === undefined ? undefined : findUse(known, part, stage)
    if (use === undefined || use.verdict === 'never')
      return no('wishes', `${taxon}: ${plainWords(part)}, ${plainWords(stage)}, is not food by its record.`)
    if (book.house.patches[patch] === undefined) return no('wishes', `There is no patch ${patch}.`)
  }
  return OK
}

/** What spreads by itself and does harm is not spread by the cook, nor its scraps (TAK-6). */
const SPREADS: readonly GaveBack['what'][] = ['crowns-replanted', 'seed-scattered', 'clump-divided']

function checkGift({ patch, taxon, what }: GaveBack, book: BookLog['state'], catalogue: Catalogue): Proposal {
  if (book.house.patches[patch] === undefined) return no('patch', 'There is no such patch.')
  if (taxon === undefined) return SPREADS.includes(what) ? no('taxon', 'Say of which plant.') : OK
  const known = findTaxon(catalogue, taxon)
  if (known === undefined) return no('taxon', NOT_IN_CATALOGUE)
  return known.standing === 'often-invasive' && SPREADS.includes(what)
    ? no(
        'taxon',
        'It spreads and does harm: it is not replanted, sown or divided. Take its scraps home and burn or bin them.',
      )
    : OK
}

/** Shares of hundredths may add up to a hair more than the whole. */
const ROUNDING = 1e-9

function checkSetAside(
  { patch, taxon, shares }: StandSetAside,
  book: BookLog['state'],
  catalogue: Catalogue,
): Proposal {
  if (book.house.patches[patch] === undefined) return no('patch', 'There is no such patch.')
  const known = findTaxon(catalogue, taxon)
  if (known === undefined) return no('taxon', NOT_IN_CATALOGUE)
  const strange = PURPOSES.find((purpose) => (shares[purpose] ?? 0) > 0 && !purposesOf(known).includes(purpose))
  if (strange !== undefined) return no('shares', `Nothing of it is on record as ${PURPOSE_WORDS[strange]}.`)
  const sum = Object.values(shares).reduce((total, each) => total + each, 0)
  return sum > 1 + ROUNDING
    ? no('shares', `They come to ${Math.round(100 * sum)} % of the stand. Leave it at 100 %.`)
    : OK
}

function faultOf(fault: { readonly field: string; readonly message: string } | undefined): Proposal {
  return fault === undefined ? OK : no(fault.field, fault.message)
}

function checkClaim({ taxon, part, stage, claim }: ClaimNoted, book: BookLog['state'], catalogue: Catalogue): Proposal {
  const known = findTaxon(catalogue, taxon)
  if (known === undefined) return no('taxon', NOT_IN_CATALOGUE)
  const use = findUse(known, part, stage)
  if (use === undefined) return no('part', 'Nothing is on record about eating this part at this stage.')
  const strange = claim.schools.find((school) => !use.protocols.some(({ name }) => name === school))
  if (strange !== undefined) return no('schools', `“${strange}” is no school of this part.`)
  const before = [...(use.claims ?? []), ...(book.house.claims[taxon] ?? []).map((each) => each.claim)]
  return claim.copies === undefined || before.some(({ id }) => id === claim.copies)
    ? OK
    : no('copies', 'There is no such claim that it could repeat.')
}

/** A bite is about so much. */
const BITE_g = 1

function checkWashed({ wash }: Washed, { sorted, runs }: LotState): Proposal {
  if (sorted === null) return no('lot', 'Sort it first: washing is noted with it.')
  if (sorted.wash !== null) return no('lot', 'It is noted as washed already. Strike that out to note it anew.')
  return runs.length > 0 && wash.water !== 'safe'
    ? no('wash', 'It was in the pot already: only water fit to drink comes on it now.')
    : OK
}

/** A bite of each is a nibble that nobody has counted a stand for yet. */
function checkScores({ plants, rinsed, taster }: PlantsScored, lot: LotState, context: JudgeContext): Proposal {
  const keys = plants.map(({ plant }) => plantKey(plant))
  if (new Set(keys).size < keys.length) return no('plants', 'Two of these plants go by one name.')
  const shut = shutForNibble(lot, rinsed, [{ eater: taster, mass_g: BITE_g * plants.length }], context)?.filter(
    ({ gate }) => gate !== 'take',
  )
  return shut === undefined
    ? no('lot', 'Bites along a stand are noted with the picking of the day, as it was picked.')
    : unlessShut(shut)
}

function checkHeard({ serving: id, heard }: TableNoted, { servings }: LotState): Proposal {
  const serving = servings.find(({ entry }) => entry === id)
  if (serving === undefined) return no('serving', 'There is no such dish of this lot.')
  if (new Set(heard.map(({ eater }) => eater)).size < heard.length) return no('heard', 'Somebody is named twice.')
  for (const { eater, eaten_g } of heard) {
    const portion = serving.portions.find((each) => each.eater === eater)
    if (portion === undefined) return no('heard', 'Somebody named here had none of it.')
    if (eaten_g > portion.mass_g + SCALE_g)
      return no('eaten_g', `Nobody eats more than the ${formatMass(portion.mass_g)} that were served.`)
  }
  return OK
}

function checkStop({ patch, finds }: StopNoted, book: BookLog['state'], catalogue: Catalogue): Proposal {
  if (book.house.patches[patch] === undefined) return no('patch', 'There is no such patch.')
  const unknown = finds.find(({ taxon }) => findTaxon(catalogue, taxon) === undefined)
  if (unknown !== undefined) return no('finds', `${unknown.taxon} is not in the catalogue.`)
  const kinds = finds.map(({ taxon, part }) => `${findTaxon(catalogue, taxon)?.scientificName ?? ''} ${part}`)
  return new Set(kinds).size < kinds.length ? no('finds', 'Each part of a plant is named once at a stop.') : OK
}

function checkHouseEntry(entry: HouseEntry, book: BookLog['state'], catalogue: Catalogue): Proposal {
  switch (entry.type) {
    case 'plant-recorded': {
      const refused = refuseOwnPlant(entry.plant, withoutOwn(catalogue))
      return refused === undefined ? OK : no(refused.field, refused.message)
    }
    case 'outing-planned':
      return checkOuting(entry, book, catalogue)
    case 'gave-back':
      return checkGift(entry, book, catalogue)
    case 'stand-set-aside':
      return checkSetAside(entry, book, catalogue)
    case 'stop-noted':
      return checkStop(entry, book, catalogue)
    case 'patch-turned':
      return book.house.patches[entry.patch] === undefined ? no('patch', 'There is no such patch.') : OK
    case 'food-turned': {
      const lot = book.lots.get(entry.of)
      if (lot === undefined) return no('of', 'There is no such lot.')
      return entry.pack === null || lot.packs.some(({ id }) => id === entry.pack)
        ? OK
        : no('pack', 'There is no such pack of this lot.')
    }
    case 'ill-explained':
    case 'felt-ill':
      return book.house.eaters[entry.eater] === undefined ? no('eater', 'Nobody of that name is known here.') : OK
    case 'plant-met':
      return entry.patch === undefined || book.house.patches[entry.patch] !== undefined
        ? OK
        : no('patch', 'There is no such patch. Note its ground first.')
    case 'instrument-set-right':
      return checkSetRight(entry)
    case 'trial-set':
      return faultOf(trialFault({ ...entry, id: entry.trial }, { book, catalogue }))
    case 'figure-noted':
      return findTaxon(catalogue, entry.taxon) === undefined
        ? no('taxon', NOT_IN_CATALOGUE)
        : faultOf(figureFault(entry.figure))
    case 'claim-noted':
      return checkClaim(entry, book, catalogue)
    case 'eater-noted': {
      const unknown = entry.eater.ownCaps?.find(({ taxon }) => findTaxon(catalogue, taxon)?.scientificName !== taxon)
      if (unknown !== undefined)
        return no('ownCaps', `No plant on record is called ${unknown.taxon}. Choose it from the list.`)
      if (
        entry.eater.bornOn !== undefined &&
        entry.eater.bornOn > dayOf(entry.at, kitchenAt(book.house, entry.at)?.timeZone ?? 'UTC')
      )
        return no('bornOn', `${entry.eater.name} cannot be born after today: give the months.`)
      const dropped = entry.laxerConfirmed === true ? [] : droppedBy(book.house.eaters[entry.eater.id], entry.eater)
      return dropped.length === 0
        ? OK
        : no(
            'laxerConfirmed',
            `Until now ${entry.eater.name} was noted with: ${formatList(dropped.map(sensitivityWords))}. Ask again, and say a second time that it no longer holds.`,
          )
    }
    case 'kitchen-set':
    case 'ground-noted':
    case 'numbers-noted':
      return OK
    default:
      return unknownEntry(entry)
  }
}

/** So many times what such an instrument is ordinarily off by, it is not off but broken. */
const BROKEN_FROM = 5

function checkSetRight(entry: InstrumentSetRight): Proposal {
  if (countsNowhere(entry)) return no('instrument', 'A stand-in instrument measures nothing. Set a real one right.')
  const { name, offset, unit } = instrument(entry.instrument)
  return Math.abs(entry.offset) > BROKEN_FROM * offset
    ? no(
        'offset',
        `The ${withoutCapital(name)} is off by ${Number(Math.abs(entry.offset).toPrecision(2))} ${unit}: that is not set right, it is broken. Read another.`,
      )
    : OK
}

function checkWeighIn(
  entry: Extract<LotEntry, { type: 'weighed-in' }>,
  lot: LotState | undefined,
  { catalogue }: JudgeContext,
): Proposal {
  if (lot !== undefined && isBegun(lot)) return no('lot', 'This lot is weighed in already.')
  const taxon = findTaxon(catalogue, entry.taxon)
  if (taxon === undefined)
    return no('taxon', `${entry.taxon} is not in the catalogue, so nothing about it can be checked.`)
  if (entry.pickedAt > entry.at) return no('pickedAt', 'It cannot be weighed before it was picked.')
  if (taxon.neverFood !== undefined) return no('taxon', `${entry.taxon} is not food. ${taxon.neverFood}`)
  const use = findUse(taxon, entry.part, entry.stage)
  if (use === undefined)
    return no(
      'part',
      `Nothing is on record about eating the ${plainWords(entry.part)} of ${entry.taxon} at this stage.`,
    )
  return use.verdict === 'never' ? no('stage', neverReason(use.whyNever, use.instead)) : OK
}

/** Whether an entry takes food further: with what is past its life nothing more is done, as if it were fresh. */
function goesOn(entry: LotEntry): boolean {
  return GOING_ON.includes(entry.type) || (entry.type === 'bath-changed' && entry.fresh !== null)
}
const GOING_ON: readonly LotEntry['type'][] = [
  'step-begun', 'way-chosen', 'revived', 'cut-up', 'ingredient-added', 'washed', 'placed',
] // prettier-ignore

/** Whether an entry would break a stray up, or carry it into more food. */
function spreads(entry: LotEntry): boolean {
  return ['step-begun', 'cut-up'].includes(entry.type) || (entry.type === 'bath-changed' && entry.fresh !== null)
}

function checkLotEntry(
  entry: Exclude<LotEntry, { type: 'weighed-in' }>,
  lot: LotState,
  context: JudgeContext,
): Proposal {
  const past = goesOn(entry) && lot.mass_g >= USED_UP_g ? freshnessOf(lot, context).must : []
  if (past.length > 0) return no('lot', past.join(' '))
  const stray = spreads(entry) ? strayAgainst(lot, context.book) : undefined
  if (stray !== undefined) return no('lot', stray)
  switch (entry.type) {
    case 'tell-seen': {
      const wrong = entry.states.find((state) => !CHARACTERS[entry.character]?.states.includes(state))
      if (CHARACTERS[entry.character] === undefined)
        return no('character', `${entry.character} is not a character that can be looked at.`)
      if ((entry.answer === 'seen' || entry.answer === 'lay-about') && entry.states.length === 0)
        return no('states', 'Say what you saw.')
      if (entry.answer === 'lay-about' && !FALLS.includes(entry.character))
        return no('answer', 'Only what a plant sheds can lie about.')
      return wrong === undefined ? OK : no('states', `${plainWords(wrong)} is not a state of this character.`)
    }
    case 'stand-counted':
      if (entry.taken > entry.stems) return no('taken', `You cannot have cut ${entry.taken} of ${entry.stems} stems.`)
      if (entry.dug !== undefined && lot.weighedIn !== null && removalOf(lot.weighedIn.part) !== 'whole')
        return no('dug', 'This part is not dug.')
      return entry.wildlifeOn > entry.stems ? no('wildlifeOn', 'More stems with wildlife than stems.') : OK
    case 'sorted':
      return checkSorted(entry, lot, context)
    case 'washed':
      return checkWashed(entry, lot)
    case 'way-chosen':
      return checkWay(entry, lot, context)
    case 'step-begun':
      return checkStepBegun(entry, lot, context)
    case 'step-done':
      return checkStepDone(entry, lot)
    case 'weighed':
      return checkWeighed(entry.mass_g, entry.after, lot, context)
    case 'tasted':
      if (countsNowhere(entry)) return no('taster', 'A stand-in tastes nothing. Taste it yourself, and note that.')
      if (entry.alarm !== null) return OK
      {
        // The simulated tongue of the demonstration is nobody's.
        const against = entry.simulated === true ? undefined : tasterAgainst(entry.taster, lot, context)
        if (against !== undefined) return no('taster', against)
      }
      return entry.crumb ? checkCrumb(lot, context) : checkAct('taste', lot, context)
    case 'bath-changed':
      return checkBath(entry, lot, context)
    case 'reading-taken':
      return countsNowhere(entry)
        ? no('instrument', 'A stand-in instrument measures nothing. Read a real one, and note it by hand.')
        : OK
    case 'ingredient-added': {
      const strange = strangeIngredient(entry.name, context.catalogue)
      if (strange !== undefined) return no('name', STRANGE_SAYS[strange.what](entry.name))
      // What is put to a lot before it is known to be the plant could not be taken out again.
      return checkAct('add', lot, context)
    }
    case 'packed': {
      if (entry.mass_g > lot.mass_g + SCALE_g) return tooMuch('mass_g', lot.mass_g)
      if (halfTreated(lot, context))
        return no('lot', 'Some of its loads are done and some are not. Finish them before packing.')
      return checkAct('pack', lot, context, { keep: { store: entry.store, storeTemp_C: entry.storeTemp_C } })
    }
    case 'served': {
      const mass_g = entry.portions.reduce((sum, portion) => sum + portion.mass_g, 0)
      const pack = lot.packs.find(({ id }) => id === entry.pack)
      if (entry.pack !== null && pack === undefined) return no('pack', 'There is no such pack of this lot.')
      const held_g = pack?.mass_g ?? lot.mass_g
      if (mass_g > held_g + SCALE_g) return tooMuch('portions', held_g)
      if (new Set(entry.portions.map(({ eater }) => eater)).size < entry.portions.length)
        return no('portions', 'Somebody is named twice.')
      if (entry.onTheWay !== undefined) return checkNibble(entry, entry.onTheWay.rinsed, lot, context)
      const food = pack === undefined ? lot : packAsLot(lot, pack)
      return checkAct('serve', food, context, { serve: { portions: entry.portions, pack: pack ?? null } })
    }
    case 'thrown-away': {
      const held_g = entry.pack === null ? lot.mass_g : (lot.packs.find(({ id }) => id === entry.pack)?.mass_g ?? 0)
      if (entry.mass_g > held_g + SCALE_g) return tooMuch('mass_g', held_g)
      // Nobody could say afterwards whether the treated or the untreated loads went.
      return entry.pack === null && entry.mass_g < held_g && halfTreated(lot, context)
        ? no('mass_g', 'Some of its loads are done and some are not. Finish them, or throw all of it away.')
        : OK
    }
    case 'revived':
      return checkRevived(lot, context)
    case 'placed':
      return checkPlaced(entry)
    case 'sample-dried':
      return checkSample(entry)
    case 'cut-up':
      return freshnessOf(lot, context).life.kind === 'raw'
        ? OK
        : no('lot', 'It is not whole and raw any more: cutting it changes nothing about how long it keeps.')
    case 'store-read':
      if (countsNowhere(entry)) return no('temp_C', 'A stand-in instrument measures nothing. Read a real thermometer.')
      return lot.packs.some(({ id, mass_g }) => id === entry.pack && mass_g > 0)
        ? OK
        : no('pack', 'There is no such pack of this lot with something left in it.')
    case 'strays-sorted':
      if (lot.strays.brokenUp) return no('lot', STRAY_BROKEN_UP)
      if (!straysDue(lot, context.book)) return no('lot', 'No stray was reported in this lot.')
      return entry.found < lot.strays.pending
        ? no(
            'found',
            `${formatCount(lot.strays.pending, 'stray')} reported: going through all of it must turn up at least as many. Look on until they are found.`,
          )
        : OK
    case 'plants-scored':
      return checkScores(entry, lot, context)
    case 'table-noted':
      return checkHeard(entry, lot)
    case 'snapped':
      return lot.weighedIn === null || lot.from.length > 0
        ? no('lot', 'Tips are noted with the picking they came from.')
        : OK
    case 'certain-attested':
    case 'stray-reported':
      return OK
    default:
      return unknownEntry(entry)
  }
}

function checkAct(act: Act, lot: LotState, context: JudgeContext, intent: Intent = {}): Proposal {
  return unlessShut(shutFor(act, lot, context, intent))
}

function checkNibble(entry: Served, rinsed: boolean, lot: LotState, context: JudgeContext): Proposal {
  const shut = entry.pack === null ? shutForNibble(lot, rinsed, entry.portions, context) : undefined
  return shut === undefined
    ? no(
        'onTheWay',
        'Only what was picked within a day, and is as it was picked, is eaten on the way. Serve it as a dish.',
      )
    : unlessShut(shut)
}

function unlessShut([first, ...more]: readonly GateVerdict[]): Proposal {
  if (first === undefined) return OK
  const others = more.length === 0 ? '' : ` Also not open: ${formatList(more.map(({ gate }) => GATE_NAMES[gate]))}.`
  return no(
    'gates',
    `${GATE_NAMES[first.gate]} is ${GATE_STATE_WORDS[first.state]}. ${first.reasons.join(' ')}${others}`,
  )
}

/** What comes back in cold water; a faded petal and a soft berry do not (CAR-3). */
const REVIVABLE: readonly Part[] = ['leaf', 'leafy-top', 'shoot', 'stem', 'midrib']

const STRANGE_SAYS: Readonly<Record<'plant' | 'poison' | 'fungus', (name: string) => string>> = {
  plant: (name) =>
    `${name} is a plant of the plant list: weigh it in as a lot of its own and join the two. Of shop food write “bought ${withoutCapital(name)}”.`,
  poison: (name) => `${name} poisons: it goes into no pot.`,
  fungus: (name) => `${name}: gathered fungi go into no pot here. Of shop food write “bought ${withoutCapital(name)}”.`,
}

/** A weight stands when an hour or more took no more than a hundredth off it. */
const STANDS_MINUTES = 60
const STANDS_WITHIN = 0.01

function checkSample({ wet_g, before_g, dry_g, apart_min }: SampleDried): Proposal {
  if (before_g > wet_g)
    return no('before_g', `A sample of ${formatMass(wet_g)} cannot have grown to ${formatMass(before_g)}.`)
  if (apart_min < STANDS_MINUTES) return no('apart_min', `Weigh it again after ${formatSpan(STANDS_MINUTES)} or more.`)
  if (dry_g > before_g * (1 + STANDS_WITHIN) || dry_g < before_g * (1 - STANDS_WITHIN))
    return no('dry_g', 'Its weight does not stand yet: the two last weighings differ by more than a hundredth. Dry on.')
  return OK
}

/** A cold place is cold and a hot one hot by the thermometer: what was not measured counts as the warmth of a kitchen. */
function checkPlaced({ place, temp_C }: Placed): Proposal {
  if (place === 'cold' && temp_C === null)
    return no('temp_C', `Measure the place: ${formatTemp(COLD_AT_MOST_C)} or below counts as cold.`)
  return place === 'hot' && temp_C === null
    ? no('temp_C', `Measure the food: ${formatTemp(HOT_AT_LEAST_C)} or above counts as hot.`)
    : OK
}

function checkRevived(lot: LotState, context: JudgeContext): Proposal {
  const parts = strandsOf(lot).flatMap(({ lot: { weighedIn } }) => weighedIn?.part ?? [])
  const wrong = parts.find((part) => !REVIVABLE.includes(part))
  if (wrong !== undefined)
    return no('lot', `Cold water does not bring ${plainWords(wrong)} back: use it now, or dry it.`)
  return freshnessOf(lot, context).life.kind !== 'raw'
    ? no('lot', 'It is not raw any more: nothing of it can be revived.')
    : OK
}

function checkSorted(
  entry: Extract<LotEntry, { type: 'sorted' }>,
  lot: LotState,
  { catalogue }: JudgeContext,
): Proposal {
  if (lot.sorted !== null)
    return no('lot', 'This lot is sorted already. Strike the earlier sorting out to do it again.')
  const there_g = entry.kept_g + entry.trimmed_g
  const counted = isOnlyCounted(lot)
  if (counted && there_g > MOST_OFF * lot.mass_g)
    return no(
      'kept_g',
      `By count it was about ${formatMass(lot.mass_g)}; ${formatMass(there_g)} is more than it can have been. Weigh again.`,
    )
  if (!counted && there_g > lot.mass_g + SCALE_g)
    return no('kept_g', `Kept and trimmed make ${formatMass(there_g)}; the lot holds ${formatMass(lot.mass_g)}.`)
  const taxon = lot.weighedIn === null ? undefined : findTaxon(catalogue, lot.weighedIn.taxon)
  const use =
    taxon === undefined || lot.weighedIn === null ? undefined : findUse(taxon, lot.weighedIn.part, entry.stageSeen)
  if (taxon === undefined || use === undefined || use.verdict === 'never')
    return no('stageSeen', neverReason(use?.whyNever, use?.instead))
  const against = leftoverChoices(taxon, use).find(({ to }) => to === entry.trimmedTo)?.against
  return against === undefined || entry.trimmed_g === 0 ? OK : no('trimmedTo', against)
}

/** A count times a piece of the book is not so far off: pieces differ by a factor of two or three. */
const MOST_OFF = 5

/** Tasters are eaters: who must not have it, who is too young, and who was not asked does not taste for others. */
function tasterAgainst(id: EaterId, lot: LotState, context: JudgeContext): string | undefined {
  const eater = context.book.house.eaters[id]
  if (eater === undefined) return 'Say who tastes: somebody at the table, with allergies asked.'
  if (eater.kind !== 'adult')
    return `${eater.name} is ${eater.kind === 'infant' ? 'an infant' : 'a child'}: an adult tastes for the others.`
  if (eater.sensitivities === null) return `${eater.name}: allergies not asked yet. Ask first, then taste.`
  const never = neverFor(lot, eater, context)
  return never.length === 0 ? undefined : never.join(' ')
}

/** A crumb is tasted and spat out only of a leach that has had its least number of baths, and lies in none. */
function checkCrumb(lot: LotState, context: JudgeContext): Proposal {
  const leach = leachOf(lot, context)
  if (leach?.baths === undefined)
    return no('crumb', 'A crumb is tasted only where a leach is ended by taste. This is not one.')
  const { counted, least, running } = leach.baths
  if (counted < least)
    return no('crumb', `Only ${counted} of at least ${least} baths are done. Nothing is tasted before.`)
  if (running !== undefined) return no('crumb', 'It lies in the water. Pour it off, then taste a crumb.')
  return checkAct('crumb', lot, context)
}

function leachOf(lot: LotState, context: JudgeContext): StepProgress | undefined {
  return progressOf(lot, context)?.steps.find(({ baths }) => baths !== undefined)
}

const RUNNING_OP = 'leach-running'

function checkBath(entry: BathChanged, lot: LotState, context: JudgeContext): Proposal {
  const way = wayFor(entry, lot, context)
  if ('message' in way) return way
  const { protocol } = way
  if (protocol.steps[entry.step]?.limit?.measure !== 'baths')
    return no('step', `Step ${entry.step + 1} of “${protocol.name}” is not one of baths.`)
  if (entry.fresh?.flow_mL_min !== undefined && protocol.steps[entry.step]?.op !== RUNNING_OP)
    return no('fresh', `“${protocol.name}” is a way with still water: it has no flow.`)
  const running = lot.baths.find(({ endedAt }) => endedAt === null)
  if (entry.fresh === null && running === undefined) return no('fresh', 'It lies in no water that could be poured off.')
  return running !== undefined && entry.at <= running.begunAt ? no('at', 'It cannot end before it began.') : OK
}

/** How far the way that an entry speaks of has come: refused before sorting, and when it is not the one chosen. */
function wayFor(entry: BathChanged | StepBegun, lot: LotState, context: JudgeContext) {
  if (strandsOf(lot).some((strand) => strand.lot.sorted === null)) return no('lot', 'Sort and weigh it first.')
  const way = progressOf(lot, context)
  if (way === undefined) return no('protocol', 'The record holds no accepted way to make this safe.')
  return way.protocol.name === entry.protocol
    ? way
    : no('protocol', `The way chosen for this lot is “${way.protocol.name}”.`)
}

function checkWay(
  { protocol: name, goal, without = [] }: WayChosen,
  lot: LotState,
  { catalogue }: JudgeContext,
): Proposal {
  const use = lotUse(lot, catalogue)
  const protocol = use?.protocols.find((each) => each.name === name)
  if (protocol === undefined) return no('protocol', `No way called “${name}” is on record for this.`)
  if (!protocol.goals.some((each) => each === goal)) return no('goal', `“${name}” is not a way to ${GOAL_DEEDS[goal]}.`)
  const kept = use?.protocols.find((each) => each.name === lot.way?.protocol)?.storeOnly === true
  const begun = lot.runs.length > 0 || lot.baths.length > 0 || lot.strainedAt !== null
  const stays = lot.way?.protocol === name && lot.way.goal === goal
  for (const at of without) {
    const why = use === undefined ? undefined : notLeftOut(use, protocol, at)
    if (why !== undefined) return no('without', why)
  }
  return begun && !kept && !stays ? no('lot', 'The treatment has begun; its way cannot be changed now.') : OK
}

function checkStepBegun(entry: StepBegun, lot: LotState, context: JudgeContext): Proposal {
  const way = wayFor(entry, lot, context)
  if ('message' in way) return way
  const { protocol } = way
  const progress = way.steps[entry.step]
  if (progress === undefined) return no('step', `“${protocol.name}” has no step ${entry.step + 1}.`)
  if (progress.running !== undefined) return no('step', 'A load is in it already. Take that one out first.')
  if (progress.baths !== undefined) return no('step', 'This step is one of baths: pour fresh water on it.')
  const left_g = progress.toCover_g - progress.covered_g
  if (entry.mass_g > left_g + SCALE_g) return tooMuch('mass_g', left_g)
  const thin = tooThin(entry, lot, protocol.name, progress)
  return thin === undefined ? OK : no('water', thin)
}

function checkStepDone(entry: StepDone, lot: LotState): Proposal {
  const run = lot.runs.find((each) => each.entry === entry.begun)
  if (run === undefined) return no('begun', 'No load was begun under this entry.')
  if (run.done !== null) return no('begun', 'This load is finished already.')
  if (entry.at < run.begunAt) return no('at', 'It cannot end before it began.')
  const passed = minutesBetween(run.begunAt, entry.at)
  if (entry.minutes > passed + TIMER_SLACK_MINUTES)
    return no('minutes', `Only ${formatSpan(passed)} have passed since it began.`)
  return OK
}

function checkWeighed(mass_g: number, after: WeighedAfter, lot: LotState, context: JudgeContext): Proposal {
  if (after === 'straining') return checkStrained(mass_g, lot, context)
  if (lot.runs.length === 0 && lot.baths.length === 0) return no('lot', 'Nothing has been cooked or dried yet.')
  if (halfTreated(lot, context)) return no('lot', 'Not every load has gone through yet. Weigh it when all are done.')
  const before_g = lot.runs[0]?.lotMass_g ?? lot.mass_g
  if (after === 'drying' && mass_g > lot.mass_g + SCALE_g) return tooMuch('mass_g', lot.mass_g)
  // Leaves can hold some water after the pot, but not their own weight again.
  return mass_g > 2 * before_g
    ? no(
        'mass_g',
        `${formatMass(before_g)} went in; ${formatMass(mass_g)} cannot have come out. Press it and weigh again.`,
      )
    : OK
}

/** More water to a gram than this is a slip of the unit. */
const THINNEST = 1000

function checkStrained(mass_g: number, lot: LotState, context: JudgeContext): Proposal {
  if (!steepsToDrink(lot, context.catalogue))
    return no('lot', 'Only what steeps in water by a way chosen for tea is strained to a drink, and once.')
  if (mass_g > THINNEST * lot.mass_g)
    return no(
      'mass_g',
      `${formatVolume(mass_g)} from ${formatMass(lot.mass_g)} is more water than anybody steeps in. Say how much drink there is, in mL.`,
    )
  return checkAct('taste', lot, context)
}

/** Some loads have gone through a treating step and the rest have not. */
function halfTreated(lot: LotState, context: JudgeContext): boolean {
  const steps = progressOf(lot, context)?.steps ?? []
  return steps.some(
    ({ step, met, covered_g, running, baths }) =>
      step.critical && (running !== undefined || baths?.running !== undefined || (covered_g > 0 && !met)),
  )
}

/** How far the way of a lot has come; undefined where its record holds none. */
function progressOf(
  lot: LotState,
  { catalogue, book }: JudgeContext,
): (TreatmentProgress & { readonly protocol: Protocol }) | undefined {
  const use = lotUse(lot, catalogue)
  const protocol = use && protocolOf(lot, use)
  return use && protocol && { ...treatmentProgress(lot, protocol, use, book.house), protocol }
}

function tooMuch(field: string, held_g: number): Refusal {
  return no(field, `There are only ${formatMass(Math.max(0, held_g))} left of it. Give that or less.`)
}

function unknownEntry(entry: never): never {
  throw new RangeError(`propose: expected a known entry, got ${JSON.stringify(entry)}`)
}

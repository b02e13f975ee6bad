import { findTaxon, findUse, requireTaxon, type Catalogue } from '../flora/catalogue'
import { CHARACTERS, plainWords } from '../flora/vocabulary'
import { shutFor, type Act } from '../gates/acts'
import { packAsLot, type Intent } from '../gates/judge'
import { neverReason } from '../gates/sort'
import { GATE_NAMES, type JudgeContext } from '../gates/verdict'
import type { LotState } from '../lot/lotState'
import { formatList, formatMass, formatSpan } from '../quantity/format'
import { minutesBetween, type Instant } from '../quantity/instant'
import { lotUse, protocolOf, treatmentProgress } from '../treatment/progress'
import { isLotEntry, type Entry, type LotEntry } from './entries'
import type { StepBegun } from './entries/stepBegun'
import type { StepDone } from './entries/stepDone'
import type { BookLog } from './fold'

/** A proposed entry is taken, or refused with the field and one sentence a person can act on. Nothing is thrown. */
export type Proposal = { readonly ok: true } | Refusal
export interface Refusal {
  readonly ok: false
  readonly field: string
  readonly message: string
}

/** Clocks of one kitchen may differ by this much. */
const CLOCK_SKEW_MINUTES = 1
/** A timed minute is a minute: what a click takes is let go. */
const TIMER_SLACK_MINUTES = 0.05
const SCALE_g = 0.5

const OK: Proposal = { ok: true }
const no = (field: string, message: string): Refusal => ({ ok: false, field, message })

/**
 * Whether an entry may be added to the log at this instant: it fits what is there, and every gate that its act needs is open.
 *
 * Judged as of the entry's own moment with all that is known now. What has been added is a fact and is not judged again.
 */
export function propose(entry: Entry, log: BookLog, catalogue: Catalogue, now: Instant): Proposal {
  if (minutesBetween(now, entry.at) > CLOCK_SKEW_MINUTES)
    return no('at', 'That moment is still to come. Give a time that has passed.')
  if (log.entries.has(entry.id)) return no('id', 'This entry is in the log already.')
  if (entry.type === 'struck') return checkStrike(entry.entry, log)
  if (!isLotEntry(entry)) return OK
  const context: JudgeContext = { book: log.state, catalogue, now: entry.at > now ? now : entry.at }
  const lot = log.state.lots.get(entry.lot)
  if (entry.type === 'weighed-in') return checkWeighIn(entry, lot, context)
  if (lot === undefined || lot.weighedIn === null) return no('lot', 'There is no such lot. Weigh it in first.')
  if (lot.lastAt !== null && entry.at < lot.weighedIn.pickedAt) return no('at', 'That is before it was picked.')
  return checkLotEntry(entry, lot, context)
}

function checkStrike(id: string, log: BookLog): Proposal {
  if (!log.entries.has(id)) return no('entry', 'There is no such entry to strike out.')
  return log.struck.has(id) ? no('entry', 'That entry is struck out already.') : OK
}

function checkWeighIn(
  entry: Extract<LotEntry, { type: 'weighed-in' }>,
  lot: LotState | undefined,
  { catalogue }: JudgeContext,
): Proposal {
  if (lot !== undefined && lot.weighedIn !== null) return no('lot', 'This lot is weighed in already.')
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

function checkLotEntry(
  entry: Exclude<LotEntry, { type: 'weighed-in' }>,
  lot: LotState,
  context: JudgeContext,
): Proposal {
  switch (entry.type) {
    case 'tell-seen': {
      const wrong = entry.states.find((state) => !CHARACTERS[entry.character]?.states.includes(state))
      if (CHARACTERS[entry.character] === undefined)
        return no('character', `${entry.character} is not a character that can be looked at.`)
      if (entry.answer === 'seen' && entry.states.length === 0) return no('states', 'Say what you saw.')
      return wrong === undefined ? OK : no('states', `${plainWords(wrong)} is not a state of this character.`)
    }
    case 'stand-counted':
      if (entry.taken > entry.stems) return no('taken', `You cannot have cut ${entry.taken} of ${entry.stems} stems.`)
      return entry.wildlifeOn > entry.stems ? no('wildlifeOn', 'More stems with wildlife than stems.') : OK
    case 'sorted':
      return checkSorted(entry, lot, context)
    case 'way-chosen':
      return checkWay(entry.protocol, entry.goal, lot, context)
    case 'step-begun':
      return checkStepBegun(entry, lot, context)
    case 'step-done':
      return checkStepDone(entry, lot)
    case 'weighed':
      return checkWeighed(entry.mass_g, entry.after, lot, context)
    case 'tasted':
      return entry.alarm !== null ? OK : checkAct('taste', lot, context)
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
    case 'strays-sorted':
      return lot.strays.reportedAt === null ? no('lot', 'No stray was reported in this lot.') : OK
    case 'certain-attested':
    case 'stray-reported':
      return OK
    default:
      return unknownEntry(entry)
  }
}

function checkAct(act: Act, lot: LotState, context: JudgeContext, intent: Intent = {}): Proposal {
  const [first, ...more] = shutFor(act, lot, context, intent)
  if (first === undefined) return OK
  const others = more.length === 0 ? '' : ` Also not open: ${formatList(more.map(({ gate }) => GATE_NAMES[gate]))}.`
  return no('gates', `${GATE_NAMES[first.gate]} is ${first.state}. ${first.reasons.join(' ')}${others}`)
}

function checkSorted(
  entry: Extract<LotEntry, { type: 'sorted' }>,
  lot: LotState,
  { catalogue }: JudgeContext,
): Proposal {
  if (lot.sorted !== null)
    return no('lot', 'This lot is sorted already. Strike the earlier sorting out to do it again.')
  if (entry.kept_g + entry.trimmed_g > lot.mass_g + SCALE_g)
    return no(
      'kept_g',
      `Kept and trimmed make ${formatMass(entry.kept_g + entry.trimmed_g)}; the lot holds ${formatMass(lot.mass_g)}.`,
    )
  const taxon = lot.weighedIn === null ? undefined : findTaxon(catalogue, lot.weighedIn.taxon)
  const use =
    taxon === undefined || lot.weighedIn === null ? undefined : findUse(taxon, lot.weighedIn.part, entry.stageSeen)
  if (use === undefined || use.verdict === 'never') return no('stageSeen', neverReason(use?.whyNever, use?.instead))
  return OK
}

function checkWay(name: string, goal: string, lot: LotState, { catalogue }: JudgeContext): Proposal {
  const protocol = useOf(lot, catalogue)?.protocols.find((each) => each.name === name)
  if (protocol === undefined) return no('protocol', `No way called “${name}” is on record for this.`)
  if (!protocol.goals.some((each) => each === goal)) return no('goal', `“${name}” is not a way to ${plainWords(goal)}.`)
  return lot.runs.length > 0 ? no('lot', 'The treatment has begun; its way cannot be changed now.') : OK
}

function checkStepBegun(entry: StepBegun, lot: LotState, context: JudgeContext): Proposal {
  if (lot.sorted === null) return no('lot', 'Sort and weigh it first.')
  const use = useOf(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined)
    return no('protocol', 'The record holds no accepted way to make this safe.')
  if (protocol.name !== entry.protocol) return no('protocol', `The way chosen for this lot is “${protocol.name}”.`)
  const progress = treatmentProgress(lot, protocol, use, context.book.house).steps[entry.step]
  if (progress === undefined) return no('step', `“${protocol.name}” has no step ${entry.step + 1}.`)
  if (progress.running !== undefined) return no('step', 'A load is in it already. Take that one out first.')
  const left_g = progress.toCover_g - progress.covered_g
  return entry.mass_g > left_g + SCALE_g ? tooMuch('mass_g', left_g) : OK
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

function checkWeighed(mass_g: number, after: string, lot: LotState, context: JudgeContext): Proposal {
  if (lot.runs.length === 0) return no('lot', 'Nothing has been cooked or dried yet.')
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

/** Some loads have gone through a treating step and the rest have not. */
function halfTreated(lot: LotState, { catalogue, book }: JudgeContext): boolean {
  const use = useOf(lot, catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return false
  return treatmentProgress(lot, protocol, use, book.house).steps.some(
    ({ step, met, covered_g, running }) => step.critical && (running !== undefined || (covered_g > 0 && !met)),
  )
}

function useOf(lot: LotState, catalogue: Catalogue) {
  return lot.weighedIn === null ? undefined : lotUse(lot, requireTaxon(catalogue, lot.weighedIn.taxon))
}

function tooMuch(field: string, held_g: number): Refusal {
  return no(field, `There are only ${formatMass(Math.max(0, held_g))} left of it. Give that or less.`)
}

function unknownEntry(entry: never): never {
  throw new RangeError(`propose: expected a known entry, got ${JSON.stringify(entry)}`)
}

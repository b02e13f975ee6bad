import { steepsToDrink } from '../treatment/drink'
import { nameInText, findTaxon, requireTaxon } from '../flora/catalogue'
import type { Goal, Protocol, Step, Use } from '../flora/taxon'
import { CHARACTERS, plainWords } from '../flora/vocabulary'
import { identityGate } from '../gates/identity'
import { carriedOver } from '../identity/carriedOver'
import { isHarmful } from '../identity/clear'
import { worthNaming } from '../identity/mistakable'
import { familyMarks, familyText, familyTold } from '../identity/familyMarks'
import { countingTells, laterWords, lotClearance, shownLater } from '../identity/lotTells'
import { freshnessOf } from '../freshness/freshness'
import { COLD_AT_MOST_C, rawKeeping } from '../freshness/lifeLimits'
import { storedAs } from '../freshness/storedAs'
import { takeGate } from '../gates/take'
import type { JudgeContext } from '../gates/verdict'
import type { LotId } from '../log/entry'
import type { WeighedAfter } from '../log/entries/weighed'
import { kitchenAt } from '../log/houseState'
import { formatCount, formatDays, formatList, formatMass, formatSpan, formatTemp } from '../quantity/format'
import { fromMs, MINUTE_ms, toMs, type Instant } from '../quantity/instant'
import { limitHere } from '../treatment/limit'
import { KEEP_OPS, lotUse, SORT_OPS } from '../treatment/batchUse'
import { hazardLedger } from '../treatment/ledger'
import { protocolOf, treatmentProgress, type StepProgress } from '../treatment/progress'
import { isLeftOut, notForTongue } from '../treatment/tongue'
import { firstShut, gateViews, isUsedUp, type GateView } from './gateView'
import { asLastTime, type AsLastTime } from './asLastTime'
import { straysDue } from './strays'
import { isBegun, outOfStoreAt, strandsOf, type BathFact, type LotState, type StepRun } from './lotState'
import { onceEach } from './onceEach'
import { opNoun } from './opNoun'

/** The one thing to do now about a lot. */
export interface DoNow {
  readonly act: NowAct
  readonly title: string
  readonly detail: string
  /** By when, and what happens otherwise. */
  readonly by: Instant | null
  readonly otherwise: string
  /** A limit that was missed: which load, why, and what to do; told first and in red. */
  readonly missed?: string
}

export type NowAct =
  | { readonly kind: 'look'; readonly character: string; readonly rulesOut: readonly string[] }
  | { readonly kind: 'as-last-time'; readonly last: AsLastTime }
  | { readonly kind: 'meet' }
  | { readonly kind: 'attest' }
  | { readonly kind: 'sort-strays' }
  | { readonly kind: 'ask-ground' }
  | { readonly kind: 'count-stand' }
  /** Of a batch: the lots whose stands are still to be counted. */
  | { readonly kind: 'count-in-parts'; readonly lots: readonly LotId[] }
  | { readonly kind: 'sort' }
  | { readonly kind: 'wash' }
  | BeginLoad
  | { readonly kind: 'pack-for-later'; readonly due: BeginLoad }
  | {
      readonly kind: 'running'
      readonly run: StepRun
      readonly step: number
      readonly endsAt: Instant
      readonly minutes: number
    }
  | { readonly kind: 'see-step'; readonly step: number; readonly sign: string; readonly left_g: number }
  | {
      readonly kind: 'bath'
      readonly step: number
      readonly counted: number
      readonly least: number
      readonly running: BathFact | null
      readonly endsAt: Instant | null
      readonly minutes: number
    }
  | {
      readonly kind: 'crumb'
      readonly step: number
      readonly counted: number
      readonly tasteAtMost: number
      readonly last: number | null
    }
  | { readonly kind: 'choose-way' }
  | { readonly kind: 'weigh'; readonly after: WeighedAfter }
  | { readonly kind: 'taste' }
  | { readonly kind: 'serve-or-pack' }
  | { readonly kind: 'stop' }
  | { readonly kind: 'done' }

interface BeginLoad {
  readonly kind: 'begin-load'
  readonly step: number
  readonly load: number
  readonly left_g: number
}

/** What the cook should do next about this lot: the first gate that is not open says. */
export const doNow: (lot: LotState, context: JudgeContext) => DoNow = onceEach(findNext)

function findNext(lot: LotState, context: JudgeContext): DoNow {
  if (!isBegun(lot)) throw new RangeError('doNow: expected a lot that was weighed in')
  const views = gateViews(lot, context)
  const closed = views.find(({ state }) => state === 'closed')
  if (closed !== undefined) return stop(closed, lot)
  if (isUsedUp(lot))
    return {
      act: { kind: 'done' },
      title: 'All of it is eaten, packed or accounted for',
      detail: '',
      by: null,
      otherwise: '',
    }
  const by = keepsUntil(lot, context)
  const shut = firstShut(views)
  switch (shut?.gate) {
    case 'identity':
      return { ...lookNext(lot, context), by }
    case 'ground':
      return {
        act: { kind: 'ask-ground' },
        title: 'Say what you know of the ground',
        detail: shut.reasons.join(' '),
        by,
        otherwise: 'Nothing from this patch is food.',
      }
    case 'take':
      if (lot.weighedIn === null)
        return {
          act: { kind: 'count-in-parts', lots: uncounted(lot, context) },
          title: 'Count the plants of its lots',
          detail: 'Each picking has its own count.',
          by,
          otherwise: 'It cannot be served.',
        }
      return {
        act: { kind: 'count-stand' },
        title: 'Count the plants: how many grew, how many you cut',
        detail: shut.reasons.join(' '),
        by,
        otherwise: 'It cannot be served.',
      }
    case 'sort':
      return {
        act: { kind: 'sort' },
        title: 'Sort, trim and weigh again',
        detail: trimText(lot, context),
        by,
        otherwise: otherwiseRaw(lot, context),
      }
    case 'makeSafe':
      return { ...treatNext(lot, context), by: runningEnd(lot, context) ?? by }
    case 'palate': {
      // The way has a step for the tongue: it comes before the tongue is asked.
      const tongue = currentStep(lot, context)
      if (tongue !== undefined && notForTongue(tongue.use, tongue.step) === undefined)
        return { ...treatNext(lot, context), by: runningEnd(lot, context) ?? by }
      if (steepsToDrink(lot, context.catalogue))
        return {
          act: { kind: 'weigh', after: 'straining' },
          title: 'Strain it and measure the drink',
          detail: 'What steeped in it is done with. All of it counts as drunk, each cup by its share.',
          by,
          otherwise: 'Nobody knows how much of the plant a cup holds.',
        }
      return weighingDue(lot)
        ? {
            act: { kind: 'weigh', after: storedAs(lot, context) === 'dried' ? 'drying' : 'cooking' },
            title: 'Press and weigh it',
            detail: 'Press it until it only drips. The weight tells portions and packs.',
            by,
            otherwise: 'Portions stay a guess.',
          }
        : {
            act: { kind: 'taste' },
            title: 'Taste it',
            detail:
              'A little, with a sip of water before. Spit the bite out and stop if it pricks, burns, numbs, or tastes of soap or almond.',
            by,
            otherwise: 'It cannot be served.',
          }
    }
    default:
      return {
        act: { kind: 'serve-or-pack' },
        title: 'Serve it or pack it',
        detail: `${formatMass(lot.mass_g)} are ready.`,
        by,
        otherwise: 'Warm, cooked greens do not keep: throw them away after that.',
      }
  }
}

/** The pickings of a batch whose stand nobody has counted. */
function uncounted(lot: LotState, context: JudgeContext): readonly LotId[] {
  return strandsOf(lot)
    .filter(({ lot: strand }) => takeGate(strand, context).state !== 'open')
    .map(({ lot: { id } }) => id)
}

function stop(closed: GateView, lot: LotState): DoNow {
  const title = isUsedUp(lot) ? 'A gate closed behind it' : 'Stop: not food'
  return { act: { kind: 'stop' }, title, detail: closed.reasons.join(' '), by: null, otherwise: '' }
}

function lookNext(lot: LotState, context: JudgeContext): Omit<DoNow, 'by'> {
  if (straysDue(lot, context.book))
    return {
      act: { kind: 'sort-strays' },
      title: 'Go through all of it again',
      detail: 'Leaf by leaf, back and front, in good light. Count what does not belong.',
      otherwise: 'It stays where it is.',
    }
  if (lot.weighedIn === null)
    return {
      act: { kind: 'stop' },
      title: 'Something in this batch is not cleared',
      detail: identityGate(lot, context).reasons.join(' '),
      otherwise: '',
    }
  const taxon = requireTaxon(context.catalogue, lot.weighedIn.taxon)
  const last = lot.attestedAt === null ? asLastTime(lot, context) : undefined
  if (last !== undefined)
    return {
      act: { kind: 'as-last-time', last },
      title: CHARACTERS[last.character]?.ask ?? last.character,
      detail: `Known from this patch (lot ${last.fromCode}): one tell is looked at live each day, the rest is as last time.`,
      otherwise: 'Identity stays closed, and this lot cannot be used.',
    }
  const clearance = lotClearance(lot, taxon, context)
  const carried = carriedOver(lot, taxon, context)
  const asked = new Set(countingTells(lot).map(({ character }) => character))
  const marks = carried === undefined ? familyMarks(lot, taxon, context) : undefined
  const untold = clearance.missing.length > 0 || clearance.standing.some(isHarmful)
  const needed = carried === undefined ? untold || !familyTold(marks) : carried.due.length > 0
  const worth = clearance.next.find(
    ({ character }) => !asked.has(character) && (carried === undefined || taxon.keyCharacters.includes(character)),
  )
  // What only the family asks for comes after what the plant's own telling asks for.
  const mark = untold ? undefined : marks?.open[0]
  if (needed && lot.firstCutAt === null) {
    if (mark !== undefined && marks !== undefined) return look(mark, [], familyText(marks))
    if (worth !== undefined && (untold || carried !== undefined)) {
      const { named, others } = worthNaming(
        taxon,
        clearance.standing.filter((each) => isHarmful(each) && worth.rulesOut.includes(each.taxon)),
      )
      const names = named.flatMap((each) => {
        const record = findTaxon(context.catalogue, each.taxon)
        return record === undefined ? [] : [nameInText(record)]
      })
      return look(
        worth.character,
        worth.rulesOut,
        carried === undefined
          ? (inPlaceOf(worth.character, clearance.missing, lot, context) ?? rulesOutText(names, others))
          : `Known from this patch (lot ${carried.fromCode}): one tell is looked at live each day.`,
      )
    }
  }
  if (needed)
    return {
      act: { kind: 'stop' },
      title: 'It cannot be cleared',
      detail: [
        'The deciding marks are gone from this lot. Set the lot aside; check the plant at the patch.',
        ...shownLater(clearance.missing, lot, taxon, context).map(laterWords),
      ].join(' '),
      otherwise: '',
    }
  if (lot.attestedAt === null)
    return {
      act: { kind: 'attest' },
      title: 'Are you certain?',
      detail: `All marks fit ${nameInText(taxon)}; every harmful look-alike is ruled out. Any doubt left? Set the lot aside.`,
      otherwise: 'Identity stays closed, and this lot cannot be used.',
    }
  return {
    act: { kind: 'meet' },
    title: 'Not yet: more sure days needed',
    detail: `Too few sure days with ${nameInText(taxon)} to eat it. Save each day you find the plant and are sure of it.`,
    otherwise: 'Do not eat this lot.',
  }
}

/** A tell to look at. */
function look(character: string, rulesOut: readonly string[], detail: string): Omit<DoNow, 'by'> {
  return {
    act: { kind: 'look', character, rulesOut },
    title: CHARACTERS[character]?.ask ?? character,
    detail,
    otherwise: 'Identity stays closed, and this lot cannot be used.',
  }
}

/** Cooked or dried, and not weighed since. */
function weighingDue(lot: LotState): boolean {
  const cooked = lot.runs
    .flatMap(({ done }) => (done === null ? [] : [done.at]))
    .sort()
    .at(-1)
  return cooked !== undefined && (lot.drained === null || lot.drained.at < cooked)
}

const NAMED_AT_MOST = 3

/** Which key tell out of season a look stands in for; undefined where it is asked for its own sake. */
function inPlaceOf(character: string, missing: readonly string[], lot: LotState, context: JudgeContext) {
  const taxon = findTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  if (taxon === undefined || taxon.keyCharacters.includes(character)) return undefined
  const later = shownLater(missing, lot, taxon, context).find(({ instead }) => instead?.includes(character))
  return later === undefined ? undefined : laterWords(later)
}

function rulesOutText(names: readonly string[], others: number): string {
  if (names.length === 0) return others === 0 ? 'A key mark.' : `It helps to rule out ${formatCount(others, 'plant')}.`
  const more = Math.max(0, names.length - NAMED_AT_MOST) + others
  const named = names.slice(0, NAMED_AT_MOST)
  return `It helps to rule out ${formatList(more > 0 ? [...named, `${more} more`] : named)}.`
}

function treatNext(lot: LotState, context: JudgeContext): Omit<DoNow, 'by'> {
  const use = lotUse(lot, context.catalogue)
  if (use !== undefined && protocolOf(lot, use)?.storeOnly === true)
    return {
      act: { kind: 'choose-way' },
      title: 'Choose a way that makes it safe',
      detail: 'So far it was only kept. It is not yet food.',
      otherwise: 'It stays NOT YET FOOD.',
    }
  const dirt = use === undefined ? [] : unwashed(lot, use, context)
  if (dirt.length > 0)
    return {
      act: { kind: 'wash' },
      title: 'Wash it first',
      detail: dirt.join(' '),
      otherwise: 'It stays in the food. No later step of this way removes it.',
    }
  const current = currentStep(lot, context)
  // Of a batch whose ways differ from those of its parts.
  if (current === undefined && use !== undefined && use.protocols.length > 0)
    return {
      act: { kind: 'choose-way' },
      title: lot.joined.length > 0 ? 'Choose a way for all of it' : 'Choose another way',
      detail:
        lot.joined.length > 0
          ? 'What went into it was not safe yet, and no way that makes it so was chosen for the batch.'
          : 'Washed so, this way does not remove all that harms.',
      otherwise: 'It stays NOT YET FOOD.',
    }
  if (current === undefined)
    return { act: { kind: 'stop' }, title: 'No accepted way is on record', detail: '', otherwise: '' }
  const storing = driedForStore(lot, current) ?? pressedForStore(lot, current)
  if (storing !== undefined) return storing
  const { progress, limitText, minutes } = current
  const { step, running, covered_g, toCover_g, index, baths } = progress
  if (baths !== undefined) return bathNext(current, lot)
  if (step.limit?.measure === 'seen' && running === undefined)
    return {
      ...missedText(progress),
      act: { kind: 'see-step', step: index, sign: step.limit.sign, left_g: toCover_g - covered_g },
      title: `Now: ${plainWords(step.op)}`,
      detail: `To be seen: ${step.limit.sign}.`,
      otherwise: 'Until all of it has gone through, none of it is food.',
    }
  if (running !== undefined)
    return {
      act: { kind: 'running', run: running, step: index, endsAt: endOf(running, minutes), minutes },
      title: step.op === 'blanch' ? 'Keep it at a rolling boil' : `The ${opNoun(step.op)} is running`,
      detail: step.check ?? '',
      otherwise: `Limit: ${limitText}. ${step.limit?.measure === 'dried-to' ? 'Damper' : 'Shorter'}, and it does not count.`,
    }
  return {
    ...missedText(progress),
    act: beginLoad(lot, progress),
    title: covered_g === 0 ? `Now: ${plainWords(step.op)}` : `Next load: ${plainWords(step.op)}`,
    detail: `${formatMass(toCover_g - covered_g)} still to go. ${limitText}.`,
    otherwise: isStoreDrying(step, lot)
      ? 'Wet meal sours within a day.'
      : notForTongue(current.use, step) === undefined
        ? `The food is as safe; only its taste stays (${formatList(step.control.map(plainWords))}).`
        : 'Until all of it has gone through, none of it is food.',
  }
}

/** The last load that does not count: which of how many it was, and why. */
function missedText({ step, missed, covered_g, toCover_g }: StepProgress): Pick<DoNow, 'missed'> {
  const last = missed.at(-1)
  if (last === undefined || covered_g >= toCover_g) return {}
  const { load } = last.run
  const many = missed.length === 1 ? `Load ${load}` : `Load ${load}, of ${missed.length} that missed the limit`
  return { missed: `${many} does not count for the ${opNoun(step.op)}: ${last.why}. Do it again.` }
}

/** What still stands that only washing answers, of a lot that was sorted dry; nothing once water was on it. */
function unwashed(lot: LotState, use: Use, { book: { house }, catalogue, now }: JudgeContext): readonly string[] {
  const protocol = protocolOf(lot, use)
  if (protocol === undefined || lot.sorted === null || lot.sorted.wash !== null || lot.joined.length > 0) return []
  const byWater = protocol.steps.filter(({ op }) => op === 'wash' || op === 'rinse').flatMap(({ control }) => control)
  const byOther = protocol.steps.filter(({ op }) => !SORT_OPS.includes(op)).flatMap(({ control }) => control)
  return hazardLedger(lot, use, protocol, { house, catalogue, now })
    .filter(({ state, hazard }) => state === 'due' && byWater.includes(hazard) && !byOther.includes(hazard))
    .map(({ text }) => text)
}

function beginLoad(lot: LotState, { index, covered_g, toCover_g }: StepProgress): BeginLoad {
  const load = lot.runs.filter((run) => run.step === index).length + 1
  return { kind: 'begin-load', step: index, load, left_g: toCover_g - covered_g }
}

/** Pressed out of the last bath and not weighed yet: what it weighs now is what goes to be dried. */
function pressedForStore(lot: LotState, { step, progress, stored }: CurrentStep): Omit<DoNow, 'by'> | undefined {
  const leachedAt = stored?.leachedAt
  if (!isStoreDrying(step, lot) || progress.running !== undefined || leachedAt === undefined) return undefined
  if (lot.drained !== null && lot.drained.at >= leachedAt) return undefined
  return {
    act: { kind: 'weigh', after: 'pressing' },
    title: 'Press it and weigh it',
    detail: 'In a cloth, until it no longer drips. The weight tells when it will be dry.',
    otherwise: 'Nobody knows when it is dry.',
  }
}

/** Dried to be kept, and not taken out of its store since: it is packed as what it is, with what is still due. */
function driedForStore(lot: LotState, { progress, limitText, stored }: CurrentStep): Omit<DoNow, 'by'> | undefined {
  const driedAt = stored?.driedAt
  if (driedAt === undefined || progress.running !== undefined) return undefined
  if ((outOfStoreAt(lot) ?? '') > driedAt) return undefined
  if (lot.drained === null || lot.drained.at < driedAt)
    return {
      act: { kind: 'weigh', after: 'drying' },
      title: 'Weigh it dry',
      detail: 'The weight goes on the bag.',
      otherwise: 'The bag tells no weight.',
    }
  return {
    act: { kind: 'pack-for-later', due: beginLoad(lot, progress) },
    title: 'Pack it: NOT YET FOOD',
    detail: `Dry and ready for the larder. Still due before anybody eats of it: ${plainWords(progress.step.op)}, ${limitText}.`,
    otherwise: 'In the open it draws water again and moulds.',
  }
}

/** A drying that is there for the store alone: the goal asks for it and no hazard does. */
function isStoreDrying(step: Step, lot: LotState): boolean {
  return !step.critical && step.limit?.measure === 'dried-to' && step.onlyFor?.includes(lot.way?.goal ?? 'eat') === true
}

/** A step that is not critical by itself, and is all that the way has against a hazard that still stands. */
function isAnswering({ op, control, onlyFor }: Step, goal: Goal, unanswered: () => readonly string[]): boolean {
  return (
    control.length > 0 &&
    !SORT_OPS.includes(op) &&
    !KEEP_OPS.includes(op) &&
    (onlyFor?.includes(goal) ?? true) &&
    control.some((hazard) => unanswered().includes(hazard))
  )
}

/** Worked out when it is first wanted. */
function onceAsked<T>(work: () => T): () => T {
  let told: { readonly of: T } | undefined
  return () => (told ??= { of: work() }).of
}

/** A step for the tongue that is not done yet and is not behind it: the way has it, and the cook may drop it. */
function isTongueDue({ step, index }: StepProgress, lot: LotState, use: Use, protocol: Protocol): boolean {
  return (
    notForTongue(use, step) === undefined &&
    (step.onlyFor?.includes(lot.way?.goal ?? 'eat') ?? true) &&
    lot.joined.length === 0 &&
    lot.asPack === null &&
    !lot.runs.some((run) => run.protocol === protocol.name && run.step > index) &&
    !lot.tastes.some(({ crumb, accepts }) => !crumb && accepts)
  )
}

export interface CurrentStep {
  readonly progress: StepProgress
  readonly step: Step
  readonly protocol: Protocol
  readonly use: Use
  readonly limitText: string
  readonly minutes: number
  /** For a goal that asks to be dried for the store: when its leach ended, and when it was dry. */
  readonly stored: { readonly leachedAt: Instant | undefined; readonly driedAt: Instant | undefined } | undefined
}

/** The first step that is not met, of those that treat and of a drying for the store, with its limit in this kitchen. */
export function currentStep(lot: LotState, context: JudgeContext): CurrentStep | undefined {
  const use = lotUse(lot, context.catalogue)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return undefined
  const { steps } = treatmentProgress(lot, protocol, use, context.book.house)
  const goal = lot.way?.goal ?? 'eat'
  const { house } = context.book
  const unanswered = onceAsked(() =>
    hazardLedger(lot, use, protocol, { house, catalogue: context.catalogue, now: context.now })
      .filter(({ state }) => state === 'due')
      .map(({ hazard }) => hazard),
  )
  const progress = steps.find(
    (each) =>
      !each.met &&
      (each.required ||
        isStoreDrying(each.step, lot) ||
        (!isLeftOut(lot, protocol.name, each.index, house) &&
          (isTongueDue(each, lot, use, protocol) || isAnswering(each.step, goal, unanswered)))),
  )
  if (progress === undefined) return undefined
  const drying = steps.find(({ step }) => isStoreDrying(step, lot))
  const kitchen = kitchenAt(context.book.house, context.now)
  const limit =
    progress.step.limit === undefined ? undefined : limitHere(progress.step.limit, kitchen?.elevation_m ?? 0)
  const minutes = limit?.reachable && limit.minutes > 0 ? limit.minutes : (progress.step.minutes?.low ?? 0)
  const stored = drying && {
    leachedAt: steps.find(({ baths }) => baths !== undefined)?.baths?.metAt,
    driedAt: drying.met ? lot.runs.findLast((run) => run.step === drying.index)?.done?.at : undefined,
  }
  return {
    progress,
    step: progress.step,
    protocol,
    use,
    limitText: limit?.says ?? formatSpan(minutes),
    minutes,
    stored,
  }
}

function runningEnd(lot: LotState, context: JudgeContext): Instant | null {
  const current = currentStep(lot, context)
  const begun = current?.progress.running ?? current?.progress.baths?.running
  return current === undefined || begun === undefined ? null : endOf(begun, current.minutes)
}

/** The next thing about a leach: fresh water, waiting, a change, or a crumb to taste. */
function bathNext(
  { progress: { baths, index, step }, minutes, limitText }: CurrentStep,
  lot: LotState,
): Omit<DoNow, 'by'> {
  if (baths === undefined) throw new RangeError('bathNext: expected a step with baths')
  const { counted, least, running, taste, uncounted } = baths
  const wrong = uncounted.at(-1)
  const last_ended = lot.baths.findLast(({ endedAt }) => endedAt !== null)
  const missed =
    wrong !== undefined && wrong.bath.entry === last_ended?.entry
      ? { missed: `The last bath does not count: ${wrong.why}.` }
      : {}
  const limit = step.limit?.measure === 'baths' ? step.limit : undefined
  const last = taste ?? null
  const tasteDue = running === undefined && counted >= least && taste === undefined && lot.baths.length > 0
  if (tasteDue)
    return {
      act: { kind: 'crumb', step: index, counted, tasteAtMost: limit?.tasteAtMost ?? 0, last },
      title: 'Taste a crumb and spit it out',
      detail: `${formatCount(counted, 'bath')} done. Chew for half a minute and spit it out. Wait half a minute for the aftertaste.`,
      otherwise: 'You cannot tell whether leaching is done. It stays NOT YET FOOD.',
    }
  const title =
    running !== undefined
      ? `Leave it in bath ${counted + 1}`
      : counted === 0
        ? `Now: ${plainWords(step.op)}`
        : `Bath ${counted + 1}: fresh water`
  return {
    ...missed,
    act: {
      kind: 'bath',
      step: index,
      counted,
      least,
      running: running ?? null,
      endsAt: running === undefined ? null : endOf(running, minutes),
      minutes,
    },
    title,
    detail: taste !== undefined && running === undefined ? `It still tastes ${taste} of 10.` : `Limit: ${limitText}.`,
    otherwise: 'Unleached it harms gut and kidney; left in old water it sours.',
  }
}

function endOf(run: { readonly begunAt: Instant }, minutes: number): Instant {
  return fromMs(toMs(run.begunAt) + minutes * MINUTE_ms)
}

/** By when something should become of the lot: before it goes limp, and then before it is food no more. */
function keepsUntil(lot: LotState, context: JudgeContext): Instant | null {
  const { limpAt, until } = freshnessOf(lot, context)
  return limpAt !== null && (until === null || limpAt < until) ? limpAt : until
}

function trimText(lot: LotState, { catalogue }: JudgeContext): string {
  const use = lotUse(lot, catalogue)
  const share = use?.edibleFraction
  const expect =
    share === undefined
      ? ''
      : ` Estimate: ${formatMass(lot.mass_g * share.low)} to ${formatMass(lot.mass_g * share.high)} kept.`
  return `Cut off: ${use?.trim.join(', ') ?? 'all that is not eaten'}.${expect}`
}

function otherwiseRaw(lot: LotState, { catalogue }: JudgeContext): string {
  const { limp, unsafe } = rawKeeping(lotUse(lot, catalogue))
  return `Raw in the kitchen: limp after ${formatDays(limp.warm)}, throw away after ${formatDays(unsafe.warm)}. At ${formatTemp(COLD_AT_MOST_C)} or colder: ${formatDays(limp.cold)} and ${formatDays(unsafe.cold)}.`
}

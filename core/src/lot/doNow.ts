import { commonName, findTaxon, requireTaxon } from '../flora/catalogue'
import type { Protocol, Step, Taxon, Use } from '../flora/taxon'
import { CHARACTERS } from '../flora/vocabulary'
import { isHarmful } from '../identity/clear'
import { countingTells, lotClearance } from '../identity/lotTells'
import { cookedAt, STANDS_AT_MOST_MINUTES } from '../keep/storage'
import { storedAs } from '../gates/keep'
import type { JudgeContext } from '../gates/verdict'
import { kitchenAt } from '../log/houseState'
import { formatList, formatMass, formatSpan } from '../quantity/format'
import { addDays, fromMs, MINUTE_ms, toMs, type Instant } from '../quantity/instant'
import { limitHere } from '../treatment/limit'
import { isTreating, lotUse, protocolOf, treatmentProgress, type StepProgress } from '../treatment/progress'
import { firstShut, gateViews, isUsedUp, type GateView } from './gateView'
import type { LotState, StepRun } from './lotState'

/** The one thing to do now about a lot. */
export interface DoNow {
  readonly act: NowAct
  readonly title: string
  readonly detail: string
  /** By when, and what happens otherwise. */
  readonly by: Instant | null
  readonly otherwise: string
}

export type NowAct =
  | { readonly kind: 'look'; readonly character: string; readonly rulesOut: readonly string[] }
  | { readonly kind: 'meet' }
  | { readonly kind: 'attest' }
  | { readonly kind: 'sort-strays' }
  | { readonly kind: 'ask-ground' }
  | { readonly kind: 'count-stand' }
  | { readonly kind: 'sort' }
  | { readonly kind: 'begin-load'; readonly step: number; readonly load: number; readonly left_g: number }
  | {
      readonly kind: 'running'
      readonly run: StepRun
      readonly step: number
      readonly endsAt: Instant
      readonly minutes: number
    }
  | { readonly kind: 'weigh'; readonly after: 'cooking' | 'drying' }
  | { readonly kind: 'taste' }
  | { readonly kind: 'serve-or-pack' }
  | { readonly kind: 'stop' }
  | { readonly kind: 'done' }

/** What the cook should do next about this lot: the first gate that is not open says. */
export function doNow(lot: LotState, context: JudgeContext): DoNow {
  const { weighedIn } = lot
  if (weighedIn === null) throw new RangeError('doNow: expected a lot that was weighed in')
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
  const taxon = requireTaxon(context.catalogue, weighedIn.taxon)
  const by = rawUntil(lot, taxon)
  const shut = firstShut(views)
  switch (shut?.gate) {
    case 'identity':
      return { ...lookNext(lot, taxon, context), by }
    case 'ground':
      return {
        act: { kind: 'ask-ground' },
        title: 'Say what you know of the ground',
        detail: shut.reasons.join(' '),
        by,
        otherwise: 'Nothing from this patch goes on.',
      }
    case 'take':
      return {
        act: { kind: 'count-stand' },
        title: 'How much stood there?',
        detail: shut.reasons.join(' '),
        by,
        otherwise: 'It cannot be served.',
      }
    case 'sort':
      return {
        act: { kind: 'sort' },
        title: 'Sort, trim and weigh again',
        detail: trimText(lot, taxon),
        by,
        otherwise: otherwiseRaw(lot, taxon),
      }
    case 'makeSafe':
      return { ...treatNext(lot, taxon, context), by: runningEnd(lot, taxon, context) ?? standsUntil(lot) ?? by }
    case 'palate':
      return lot.drained === null
        ? {
            act: { kind: 'weigh', after: storedAs(lot, context) === 'dried' ? 'drying' : 'cooking' },
            title: 'Press and weigh it',
            detail: 'Press it until it only drips. The weight tells portions and packs.',
            by: standsUntil(lot),
            otherwise: 'Portions stay a guess.',
          }
        : {
            act: { kind: 'taste' },
            title: 'Taste it',
            detail: 'A little, with a sip of water before. Nothing may prick, burn or taste of soap.',
            by: standsUntil(lot),
            otherwise: 'It cannot be served.',
          }
    default:
      return {
        act: { kind: 'serve-or-pack' },
        title: 'Serve it or pack it',
        detail: `${formatMass(lot.mass_g)} are ready.`,
        by: standsUntil(lot),
        otherwise: 'Warm, cooked greens do not keep: throw them away after that.',
      }
  }
}

function stop(closed: GateView, lot: LotState): DoNow {
  const title = isUsedUp(lot) ? 'A gate has shut behind it' : 'Stop: not food'
  return { act: { kind: 'stop' }, title, detail: closed.reasons.join(' '), by: null, otherwise: '' }
}

function lookNext(lot: LotState, taxon: Taxon, context: JudgeContext): Omit<DoNow, 'by'> {
  const { strays } = lot
  if (strays.reportedAt !== null && (strays.sortedAt === null || strays.sortedAt < strays.reportedAt))
    return {
      act: { kind: 'sort-strays' },
      title: 'Go through all of it again',
      detail: 'Leaf by leaf, back and front, in good light. Count what does not belong.',
      otherwise: 'It stays where it is.',
    }
  const clearance = lotClearance(lot, taxon, context)
  const asked = new Set(countingTells(lot).map(({ character }) => character))
  const next = clearance.next.find(({ character }) => !asked.has(character))
  const needed = clearance.missing.length > 0 || clearance.standing.some(isHarmful)
  if (needed && next !== undefined && lot.firstCutAt === null) {
    const def = CHARACTERS[next.character]
    const harmful = next.rulesOut.filter((name) =>
      clearance.standing.some((each) => each.taxon === name && isHarmful(each)),
    )
    const names = harmful
      .map((name) => findTaxon(context.catalogue, name))
      .flatMap((each) => (each === undefined ? [] : [commonName(each).toLowerCase()]))
    return {
      act: { kind: 'look', character: next.character, rulesOut: next.rulesOut },
      title: def?.ask ?? next.character,
      detail: names.length === 0 ? 'A key tell.' : `It helps to rule out ${formatList(names)}.`,
      otherwise: 'Identity stays shut, and nothing goes on.',
    }
  }
  if (needed)
    return {
      act: { kind: 'stop' },
      title: 'It cannot be cleared',
      detail: 'What would settle it cannot be seen on this lot any more. Set it aside; look again at the patch.',
      otherwise: '',
    }
  if (lot.attestedAt === null)
    return {
      act: { kind: 'attest' },
      title: 'Are you certain?',
      detail: `All tells fit ${commonName(taxon)} and nothing harmful stands. Certain means certain, not nearly.`,
      otherwise: 'Identity stays ajar.',
    }
  return {
    act: { kind: 'meet' },
    title: 'Meet it more often first',
    detail: `You have not yet met ${commonName(taxon)} on enough days. Write down each day you meet it and are sure.`,
    otherwise: 'Leave this one.',
  }
}

function treatNext(lot: LotState, taxon: Taxon, context: JudgeContext): Omit<DoNow, 'by'> {
  const current = currentStep(lot, taxon, context)
  if (current === undefined)
    return { act: { kind: 'stop' }, title: 'No accepted way is on record', detail: '', otherwise: '' }
  const { progress, limitText, minutes } = current
  const { step, running, covered_g, toCover_g, index } = progress
  if (running !== undefined)
    return {
      act: { kind: 'running', run: running, step: index, endsAt: endOf(running, minutes), minutes },
      title: step.op === 'blanch' ? 'Keep it at a rolling boil' : `The ${step.op} is running`,
      detail: step.check ?? '',
      otherwise: `Limit: ${limitText}. Shorter, and it does not count.`,
    }
  const load = lot.runs.filter((run) => run.step === index).length + 1
  return {
    act: { kind: 'begin-load', step: index, load, left_g: toCover_g - covered_g },
    title: covered_g === 0 ? `Now: ${step.op}` : `Next load: ${step.op}`,
    detail: `${formatMass(toCover_g - covered_g)} still to go. ${limitText}.`,
    otherwise: 'Until all of it has gone through, none of it is food.',
  }
}

/** The first treating step that is not met, with its limit in this kitchen. */
export function currentStep(
  lot: LotState,
  taxon: Taxon,
  context: JudgeContext,
):
  { progress: StepProgress; step: Step; protocol: Protocol; use: Use; limitText: string; minutes: number } | undefined {
  const use = lotUse(lot, taxon)
  const protocol = use === undefined ? undefined : protocolOf(lot, use)
  if (use === undefined || protocol === undefined) return undefined
  const progress = treatmentProgress(lot, protocol, use, context.book.house).steps.find(
    ({ step, met }) => isTreating(step, lot.way?.goal ?? 'eat') && !met,
  )
  if (progress === undefined) return undefined
  const kitchen = kitchenAt(context.book.house, context.now)
  const limit =
    progress.step.limit === undefined ? undefined : limitHere(progress.step.limit, kitchen?.elevation_m ?? 0)
  const minutes = limit?.reachable && limit.minutes > 0 ? limit.minutes : (progress.step.minutes?.low ?? 0)
  return { progress, step: progress.step, protocol, use, limitText: limit?.says ?? formatSpan(minutes), minutes }
}

function runningEnd(lot: LotState, taxon: Taxon, context: JudgeContext): Instant | null {
  const current = currentStep(lot, taxon, context)
  return current?.progress.running === undefined ? null : endOf(current.progress.running, current.minutes)
}

function endOf(run: StepRun, minutes: number): Instant {
  return fromMs(toMs(run.begunAt) + minutes * MINUTE_ms)
}

/** Until when the picking is good raw, at the warmth of a kitchen; null once it was heated or where nothing is on record. */
export function rawUntil(lot: LotState, taxon: Taxon): Instant | null {
  const days = lotUse(lot, taxon)?.keepsRaw_days?.ambient
  return days === undefined || lot.weighedIn === null || lot.runs.length > 0
    ? null
    : addDays(lot.weighedIn.pickedAt, days)
}

/** Until when cooked food in hand may still be served. */
function standsUntil(lot: LotState): Instant | null {
  const since = cookedAt(lot)
  return since === undefined ? null : fromMs(toMs(since) + STANDS_AT_MOST_MINUTES * MINUTE_ms)
}

function trimText(lot: LotState, taxon: Taxon): string {
  const use = lotUse(lot, taxon)
  const share = use?.edibleFraction
  const expect =
    share === undefined
      ? ''
      : ` Expect ${formatMass(lot.mass_g * share.low)} to ${formatMass(lot.mass_g * share.high)} to go on.`
  return `Off come ${use?.trim.join(' and ') ?? 'all that is not eaten'}.${expect}`
}

function otherwiseRaw(lot: LotState, taxon: Taxon): string {
  const use = lotUse(lot, taxon)
  return use?.keepsRaw_days === undefined
    ? ''
    : `Raw it keeps ${use.keepsRaw_days.ambient} day in the kitchen, ${use.keepsRaw_days.chilled} days cold.`
}

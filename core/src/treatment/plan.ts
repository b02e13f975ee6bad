import { findTaxon, nameInTextOf, usesOf, type Catalogue } from '../flora/catalogue'
import {
  GOAL_DEEDS,
  isPoisonous,
  severityWord,
  SEVERITIES,
  type Goal,
  type HazardLevel,
  type LookAlike,
  type Protocol,
  type Taxon,
  type Use,
  type UseHazard,
} from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import { doublesOf } from '../identity/clear'
import { formatList, withCapital } from '../quantity/format'
import { multiplyRanges, scaleRange, type Range } from '../quantity/range'
import { amountReasons, barred, heldFor, overCap, toAsk, type Eating } from './planEaters'
import { inPlaceOf } from './inPlaceOf'
import { needWater } from './kit'
import { limitHere } from './limit'
import { fillSteps } from './planSteps'
import { AIRLESS, DRY_GOALS, storeReasons, waysOnRecord } from './planStores'
import type { Plan, PlanInput, PlannedStep, PlanReason } from './planTypes'
import { byRank, rankOfDouble, rankOfHazard } from './rank'

/**
 * What it takes to make a picking safe and good in this kitchen for these eaters, or why it is refused.
 *
 * A verdict, one reason for each hazard, eater, store and look-alike, and the steps of one accepted school with every
 * number filled in. The school is the named one, else the cautious, else the usual, else the minimal one that this kitchen
 * can carry out; a critical limit that cannot be reached here is never rescaled. Contested schools only when named.
 * Identity is taken as certain. Masses are of trimmed food as it goes in; yields are drained.
 */
export function plan(input: PlanInput, catalogue: Catalogue): Plan {
  const taxon = findTaxon(catalogue, input.taxon)
  if (taxon === undefined) return unknownPlant(input.taxon, catalogue)
  const uses = usesOf(taxon, input.part, input.stage)
  if (uses.length === 0)
    return refuse(
      [
        { about: 'identity', rank: 'must', text: taxon.neverFood ?? nothingOnRecord(taxon, input) },
        ...doubles(taxon, catalogue),
      ],
      otherFood(taxon, input, catalogue),
    )
  const food = uses.filter(({ verdict }) => verdict !== 'never')
  const settled = input.part !== undefined && input.stage !== undefined && input.stage !== 'any'
  // A refused use of the same part and stage outranks an allowed one.
  if (settled && food.length > 0 && food.length < uses.length)
    return refuse([...neverReasons(uses), ...doubles(taxon, catalogue)], otherFood(taxon, input, catalogue))
  const planned = food.map((use) => planUse(taxon, use, input, catalogue))
  const best = planned.find(({ verdict }) => verdict !== 'refuse') ?? planned[0]
  if (best === undefined)
    return refuse(
      [...neverReasons(uses), ...doubles(taxon, catalogue)],
      uses.find(({ instead }) => instead)?.instead ?? otherFood(taxon, input, catalogue),
    )
  if (settled || uses.length === 1 || best.verdict === 'refuse') return best
  return { ...best, verdict: 'conditional', reasons: byRank([...whichAreFood(uses), ...best.reasons]) }
}

function planUse(taxon: Taxon, use: Use, input: PlanInput, catalogue: Catalogue): Plan {
  const eating: Eating = { use, eaters: input.eaters ?? [{ kind: 'adult' as const }], goal: input.goal }
  const not = barred(eating)
  if (not.length > 0) return refuse([...not, ...doubles(taxon, catalogue, use)], 'something else for these eaters')
  const store = storeReasons(taxon, use, input)
  const chosen = chooseWay(use, input)
  // A store that can kill is told before anything else.
  if (store.refused !== undefined && (AIRLESS.includes(input.goal) || !('refused' in chosen)))
    return refuse([store.refused, ...doubles(taxon, catalogue, use)], store.instead)
  if ('refused' in chosen) return refuse([...chosen.refused, ...doubles(taxon, catalogue, use)], chosen.instead)
  const { protocol, steps, notes } = chosen
  const tooMuch = overCap(eating, input.perDay_g, protocol.name)
  if (tooMuch !== undefined) return refuse([tooMuch.reason, ...doubles(taxon, catalogue, use)], tooMuch.instead)
  const reasons = byRank([
    ...(protocol.storeOnly === true
      ? [
          {
            about: 'store',
            rank: 'must' as const,
            text: `NOT YET FOOD: “${protocol.name}” only keeps it. ${protocol.why}`,
          },
        ]
      : []),
    ...(protocol.standing === 'contested'
      ? [
          {
            about: 'school',
            rank: 'must' as const,
            text: `The school “${protocol.name}” is contested: ${protocol.why}`,
          },
        ]
      : []),
    ...heldFor(eating),
    ...hazardReasons(use, protocol, input.goal),
    ...sournessReasons(protocol, input.goal),
    ...amountReasons(eating, protocol.name),
    ...notes,
    ...toAsk(eating),
    ...store.reasons,
    ...doubles(taxon, catalogue, use),
  ])
  const cooked = use.cookedYield !== undefined && !DRY_GOALS.includes(input.goal) && input.goal !== 'eat-raw'
  return {
    verdict: verdictOf(reasons),
    reasons,
    steps,
    yield_g: scaleRange(cooked && use.cookedYield ? use.cookedYield : driedYield(use, input.goal), input.mass_g),
    way: protocol.name,
    otherWays: use.protocols
      .filter((each) => each !== protocol)
      .map(({ name, standing, why }) => ({ name, standing, why })),
  }
}

/** A sourness that is to be measured, whichever hazard it stands against. */
function sournessReasons({ steps }: Protocol, goal: Goal): readonly PlanReason[] {
  return steps
    .filter(({ onlyFor }) => onlyFor?.includes(goal) ?? true)
    .flatMap(({ limit }) => (limit?.measure === 'ph' ? [limitHere(limit, 0).says] : []))
    .map((says) => ({ about: 'store', rank: 'must', text: `Measure it before it is kept: ${says}.` }))
}

function verdictOf(reasons: readonly PlanReason[]): Plan['verdict'] {
  return reasons.some(({ rank }) => rank === 'must') ? 'conditional' : 'allow'
}

/** What is kept of the mass by drying, from the moisture on record to a tenth of water; all of it where nothing is dried. */
function driedYield(use: Use, goal: Goal): Range {
  if (!DRY_GOALS.includes(goal) || use.moisture === undefined) return { low: 1, usual: 1, high: 1 }
  const { low, usual, high } = use.moisture
  return multiplyRanges({ low: 1 - high, usual: 1 - usual, high: 1 - low }, { low: 1, usual: 1 / 0.9, high: 1 / 0.9 })
}

type Way = {
  readonly protocol: Protocol
  readonly steps: readonly PlannedStep[]
  readonly notes: readonly PlanReason[]
}
type NoWay = { readonly refused: readonly PlanReason[]; readonly instead: string }

function chooseWay(use: Use, input: PlanInput): Way | NoWay {
  const goal = input.goal
  const fitting = use.protocols.filter(({ goals }) => goals.includes(goal))
  const named = use.protocols.find(({ name }) => name === input.school)
  if (input.school !== undefined && named === undefined)
    return {
      refused: [
        {
          about: 'school',
          rank: 'must',
          text: `No school called “${input.school}” is on record; there are ${formatList(use.protocols.map(({ name }) => name))}.`,
        },
      ],
      instead: 'one of those schools',
    }
  const accepted = ['cautious', 'usual', 'minimal']
    .flatMap((standing) => fitting.filter((each) => each.standing === standing))
    // A way that only keeps it comes after every way that makes it food.
    .sort((a, b) => Number(a.storeOnly ?? false) - Number(b.storeOnly ?? false))
  const tried = named === undefined ? accepted : fitting.filter((each) => each === named)
  if (tried.length === 0) return { refused: [noWayReason(use, goal, named)], instead: waysOnRecord(use) }
  const failures: PlanReason[] = []
  let unreachable = false
  let noKit = false
  for (const protocol of tried) {
    // Only what is kept for later may leave a hazard for later.
    const open =
      protocol.storeOnly === true
        ? undefined
        : hazardsFor(use, goal).find((hazard) => answersUnder(hazard, protocol, goal).length === 0)
    const made =
      open === undefined
        ? fillSteps(protocol, input, use.part)
        : { about: open.id, rank: 'know' as const, text: `it leaves ${plainWords(open.id)} unanswered.` }
    if ('steps' in made) return { protocol, steps: made.steps, notes: [...failures, ...made.notes] }
    unreachable ||= 'unreachable' in made && made.unreachable === true
    noKit ||= 'noKit' in made && made.noKit === true
    failures.push({ about: made.about, rank: 'know', text: `${protocol.name}: ${made.text}` })
  }
  return {
    refused: [...failures, ...(noKit ? needWater(use).map(({ id, says }) => ({ about: id, text: says })) : [])].map(
      (reason) => ({ ...reason, rank: 'must' as const }),
    ),
    instead:
      unreachable && use.ifUnreachable !== undefined
        ? use.ifUnreachable
        : failures.some(({ about }) => about === 'kitchen')
          ? noKit
            ? 'to keep it until there is what it takes to cook it'
            : 'a smaller amount, or a kitchen with more water, fuel or a lower place'
          : waysOnRecord(use),
  }
}

/** Hazards of more than a trace that arise for a goal. */
function hazardsFor(use: Use, goal: Goal): readonly UseHazard[] {
  return use.hazards.filter(({ level, onlyFor }) => level !== 'trace' && (onlyFor?.includes(goal) ?? true))
}

/** What on record answers a hazard when a school is followed. */
function answersUnder(hazard: UseHazard, protocol: Protocol, goal: Goal): UseHazard['answers'] {
  const controlled = protocol.steps.some(
    ({ control, onlyFor }) => control.includes(hazard.id) && (onlyFor?.includes(goal) ?? true),
  )
  return hazard.answers.filter(
    (each) =>
      (each.kind !== 'control' || controlled) &&
      (each.kind !== 'amount' || (each.schools?.includes(protocol.name) ?? true)),
  )
}

function hazardReasons(use: Use, protocol: Protocol, goal: Goal): readonly PlanReason[] {
  return hazardsFor(use, goal).map((hazard) => {
    const answers = answersUnder(hazard, protocol, goal)
    const said = answers.map(({ says }) => says)
    const name = plainWords(hazard.id)
    return {
      about: hazard.id,
      rank: rankOfHazard(use, hazard, answers, protocol, goal),
      text: `${withCapital(name)}: ${said.join(' ') || 'still to be answered before it is food.'}`,
    }
  })
}

/** Every deadly or toxic plant it is mistaken for, by name, though identity is taken as certain. */
function doubles(taxon: Taxon, catalogue: Catalogue, use?: Use): readonly PlanReason[] {
  return doublesOf(taxon, use?.part)
    .filter(isPoisonous)
    .map((double) => ({
      about: 'identity',
      rank: rankOfDouble(taxon, use, double),
      text: `${doubleNamed(double, catalogue)} ${double.growsAmong === true ? 'grows among it' : 'is mistaken for it'}: ${double.tells.map((tell) => tell.replace(/\.$/, '')).join('; ')}.`,
    }))
}

/** As a cook says it, and as a doctor looks it up. @example 'Autumn crocus (Colchicum autumnale, deadly)' */
function doubleNamed({ scientificName, severity }: LookAlike, catalogue: Catalogue): string {
  const name = nameInTextOf(scientificName, catalogue)
  return name === scientificName
    ? `${scientificName} (${severityWord(severity)})`
    : `${withCapital(name)} (${scientificName}, ${severityWord(severity)})`
}

function neverReasons(uses: readonly Use[]): readonly PlanReason[] {
  return uses
    .filter(({ verdict }) => verdict === 'never')
    .map(({ hazards, whyNever }) => ({
      about: hazards[0]?.id ?? 'refused',
      rank: 'must',
      text: whyNever ?? 'This is not food.',
    }))
}

function whichAreFood(uses: readonly Use[]): readonly PlanReason[] {
  const named = (yes: boolean) =>
    uses
      .filter(({ verdict }) => (verdict !== 'never') === yes)
      .map(({ part, stage }) => `${plainWords(part)} (${plainWords(stage)})`)
  const not = named(false)
  return [
    { about: 'part', rank: 'must', text: `Food: ${formatList(named(true))}.` },
    ...(not.length === 0
      ? []
      : [
          {
            about: 'part',
            rank: 'must' as const,
            text: `Not food: ${formatList(not)}. ${uses.find(({ verdict }) => verdict === 'never')?.whyNever ?? ''}`.trim(),
          },
        ]),
  ]
}

/** What is said of a name that is no record's: which plants are called so, the worst first, or that nobody knows it. */
function unknownPlant(asked: string, { taxa }: Catalogue): Plan {
  const name = asked.trim().toLowerCase()
  const called = taxa
    .filter(({ commonNames }) =>
      Object.values(commonNames)
        .flat()
        .some((each) => each.toLowerCase() === name),
    )
    .toSorted((one, other) => SEVERITIES.indexOf(one.severity) - SEVERITIES.indexOf(other.severity))
  const known = formatList(called.map(({ scientificName, severity }) => `${scientificName}${severity === 'harmless' ? '' : ` (${severityWord(severity)})`}`)) // prettier-ignore
  const text =
    called.length === 0
      ? `${asked} is not in the catalogue, so nothing about it can be said.`
      : `taxon: “${asked}” is what people call ${known}. Ask by the scientific name.`
  return refuse(
    [{ about: 'identity', rank: 'must', text }],
    called.length === 0 ? 'a plant that is in the catalogue' : 'its scientific name',
  )
}

function nothingOnRecord(taxon: Taxon, { part, stage }: PlanInput): string {
  if (taxon.uses.length === 0)
    return `${taxon.scientificName} is in the catalogue only as a look-alike: nothing is on record about eating it.`
  const what = `${stage === undefined || stage === 'any' ? '' : `${plainWords(stage)} `}${part === undefined ? 'plant' : plainWords(part)}`
  return `Nothing is on record about eating the ${what} of ${taxon.scientificName}, and a gap is never filled by likeness.`
}

function noWayReason(use: Use, goal: Goal, named: Protocol | undefined): PlanReason {
  if (named !== undefined)
    return { about: 'school', rank: 'must', text: `“${named.name}” is not a way to ${GOAL_DEEDS[goal]}.` }
  if (goal === 'eat-raw') {
    const contested = use.protocols.find(({ goals }) => goals.includes('eat-raw'))
    const raised = hazardsFor(use, goal)
    const of = (...levels: readonly HazardLevel[]) => raised.filter(({ level }) => levels.includes(level))
    const [grave, moderate] = [of('deadly', 'high'), of('moderate')]
    // The gravest is named; but a bad taste never stands in front of a poison.
    const told =
      [
        grave.filter(({ kind }) => kind !== 'palate'),
        moderate.filter(({ kind }) => kind === 'toxic' || kind === 'untreatable' || kind === 'amount'),
        grave,
        moderate,
      ].find((each) => each.length > 0) ?? []
    const hazards = told.map(({ id, note }) => (note === '' ? plainWords(id) : `${plainWords(id)} (${note})`))
    return {
      about: told[0]?.id ?? raised[0]?.id ?? 'raw',
      rank: 'must',
      text: `${hazards.length === 0 ? 'No accepted way to eat it raw is on record' : `Not raw: ${formatList(hazards)}`}.${contested === undefined ? '' : ` The school “${contested.name}” is contested: ${contested.why}`}`,
    }
  }
  return { about: 'store', rank: 'must', text: `No accepted way to ${GOAL_DEEDS[goal]} is on record.` }
}

/** What is food instead: other parts of the plant, else a safe plant of the same part and weeks. */
function otherFood(taxon: Taxon, { part }: PlanInput, catalogue: Catalogue): string {
  const food = taxon.uses.filter(({ verdict }) => verdict !== 'never')
  if (food.length > 0) return formatList(food.map((use) => `its ${plainWords(use.part)} (${plainWords(use.stage)})`))
  const others = inPlaceOf(taxon, part, catalogue)
  return `another plant, surely known${others.length === 0 ? '' : `, such as ${formatList(others, 'or')}`}`
}

function refuse(reasons: readonly PlanReason[], instead: string): Plan {
  return { verdict: 'refuse', reasons, steps: [], instead }
}

import type { Caution, Goal, Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import { formatMass } from '../quantity/format'
import type { PlanEater, PlanReason } from './planTypes'

/** Who of those eating must not eat it, or only so much, and why. */
export function cautions(
  use: Use,
  eaters: readonly PlanEater[],
  what: Caution['what'],
  goal: Goal,
): readonly PlanReason[] {
  const named: readonly string[] = eaters.flatMap(({ kind, sensitivities = [] }) => [
    ...sensitivities,
    ...(kind === 'adult' ? [] : [kind]),
  ])
  return use.cautionFor
    .filter(
      (caution) => caution.what === what && named.includes(caution.who) && (caution.onlyFor?.includes(goal) ?? true),
    )
    .map(({ who, why, perDay_g }) => ({
      about: 'eater',
      text: `${what === 'avoid' ? 'Not for' : 'With'} ${plainWords(who)}: ${why}${perDay_g === undefined ? '' : ` At most ${formatMass(perDay_g)} of raw, trimmed food a day.`}`,
    }))
}

/** What a day allows those who eat. */
export function amountReasons(use: Use, eaters: readonly PlanEater[], school: string): readonly PlanReason[] {
  return amountsUnder(use, school)
    .filter(({ who }) => eaters.some(({ kind }) => kind === who))
    .map(({ perDay_g, who, why }) => ({
      about: 'amount',
      text: `At most ${formatMass(perDay_g)} a day for ${who === 'child' ? 'a' : 'an'} ${who}. ${why}`,
    }))
}

function amountsUnder(use: Use, school: string): Use['amounts'] {
  return use.amounts.filter((each) => each.school === undefined || each.school === school)
}

/** The least cap that an amount a day goes over, and what would do; undefined when it goes over none. */
export function overCap(
  use: Use,
  eaters: readonly PlanEater[],
  perDay_g: number | undefined,
  school: string,
): { reason: PlanReason; instead: string } | undefined {
  if (perDay_g === undefined) return undefined
  const named: readonly string[] = eaters.flatMap(({ sensitivities = [] }) => sensitivities)
  const caps = [
    ...amountsUnder(use, school)
      .filter(({ who }) => eaters.some(({ kind }) => kind === who))
      .map((cap) => ({ perDay_g: cap.perDay_g, why: cap.why })),
    ...use.cautionFor.flatMap((each) =>
      each.perDay_g !== undefined && named.includes(each.who) ? [{ perDay_g: each.perDay_g, why: each.why }] : [],
    ),
  ]
  const broken = caps.filter((cap) => perDay_g > cap.perDay_g).sort((a, b) => a.perDay_g - b.perDay_g)[0]
  if (broken === undefined) return undefined
  return {
    reason: {
      about: 'amount',
      text: `${formatMass(perDay_g)} a day is more than ${formatMass(broken.perDay_g)}. ${broken.why}`,
    },
    instead: `up to ${formatMass(broken.perDay_g)} a day`,
  }
}

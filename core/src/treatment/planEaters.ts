import type { Caution, Goal, Use } from '../flora/taxon'
import { sensitivityWords } from '../flora/vocabulary'
import { CHILD_SHARE, cautionsFor, capsFor } from '../meal/dayShare'
import { ordinaryPortion_g } from '../meal/portion'
import { formatList, formatMass, withCapital } from '../quantity/format'
import type { PlanEater, PlanReason } from './planTypes'
import { babyFood, babySays } from './babyFood'

/** What a way is taken for when it is asked whether those who eat may have of it. */
export interface Eating {
  readonly use: Use
  readonly eaters: readonly PlanEater[]
  readonly goal: Goal
}

/** Who of those eating must not eat it at all, and why. */
export function barred({ use, eaters, goal }: Eating): readonly PlanReason[] {
  return unique(
    eaters.flatMap((eater) => {
      const baby = babyFood(use, eater, goal)
      return cautionsOf(use, eater, goal)
        .filter(({ what, who }) => what === 'avoid' && !(who === 'infant' && baby !== undefined))
        .map(({ who, why }) => must(`${cautionWhom(who)}: must not eat it. ${why}`))
    }),
  )
}

/** What holds those who may eat it: a figure a day for whom it concerns, and what babies are given it as. */
export function heldFor({ use, eaters, goal }: Eating): readonly PlanReason[] {
  return unique(
    eaters.flatMap((eater) => {
      const baby = babyFood(use, eater, goal)
      return [
        ...cautionsOf(use, eater, goal)
          .filter(({ what }) => what === 'limit')
          .map(({ who, why, perDay_g = portionFor(use, eater) }) =>
            must(`${cautionWhom(who)}: at most ${formatMass(perDay_g)} of raw, trimmed food a day. ${why}`),
          ),
        ...(baby === undefined ? [] : [{ about: 'eater', rank: 'mind' as const, text: `Babies: ${babySays(baby)}` }]),
      ]
    }),
  )
}

/** What a day allows each of those who eat; it binds where an ordinary portion goes over it. */
export function amountReasons({ use, eaters }: Eating, school: string): readonly PlanReason[] {
  return unique(
    eaters
      .filter((eater) => eater.kind !== 'infant')
      .flatMap((eater) =>
        capsFor(use, { kind: eater.kind, sensitivities: null }, [], school).map(({ perDay_g, why }) => ({
          about: 'amount',
          rank: portionFor(use, eater) <= perDay_g ? ('know' as const) : ('must' as const),
          text: `At most ${formatMass(perDay_g)} of raw, trimmed food a day for ${eater.kind === 'child' ? 'a child' : 'an adult'}. ${why}`,
        })),
      ),
  )
}

/** Whom to ask before it is served, where somebody's sensitivities were not asked. */
export function toAsk({ use, eaters, goal }: Eating): readonly PlanReason[] {
  if (eaters.every(({ sensitivities }) => sensitivities !== undefined)) return []
  const asked = use.cautionFor.filter(
    ({ who, onlyFor }) => who !== 'infant' && who !== 'child' && (onlyFor?.includes(goal) ?? true),
  )
  return (['avoid', 'limit'] as const).flatMap((kind): readonly PlanReason[] => {
    const concerned = asked.filter(({ what }) => what === kind)
    if (concerned.length === 0) return []
    const names = formatList([...new Set(concerned.map(({ who }) => sensitivityWords(who)))])
    return [
      {
        about: 'eater',
        rank: 'mind',
        text:
          kind === 'avoid'
            ? `Ask who eats. It must not be eaten with: ${names}.`
            : `Ask who eats. Little of it only with: ${names}.`,
      },
    ]
  })
}

/** The least cap that an amount a day goes over, and what would do; undefined when it goes over none. */
export function overCap(
  { use, eaters, goal }: Eating,
  perDay_g: number | undefined,
  school: string,
): { readonly reason: PlanReason; readonly instead: string } | undefined {
  if (perDay_g === undefined) return undefined
  const caps = eaters.flatMap((eater) => {
    const baby = babyFood(use, eater, goal)
    return [
      ...(eater.kind === 'infant'
        ? baby === undefined
          ? []
          : [{ perDay_g: baby.atMost_g, why: `Babies: ${babySays(baby)}` }]
        : capsFor(use, { kind: eater.kind, sensitivities: null }, [], school)),
      ...cautionsOf(use, eater, goal)
        .filter(({ what }) => what === 'limit')
        .map(({ perDay_g: most_g = portionFor(use, eater), why }) => ({ perDay_g: most_g, why })),
    ]
  })
  const broken = caps.filter((cap) => perDay_g > cap.perDay_g).toSorted((a, b) => a.perDay_g - b.perDay_g)[0]
  if (broken === undefined) return undefined
  return {
    reason: {
      about: 'amount',
      rank: 'must',
      text: `${formatMass(perDay_g)} a day is more than ${formatMass(broken.perDay_g)}. ${broken.why}`,
    },
    instead: `up to ${formatMass(broken.perDay_g)} a day`,
  }
}

function cautionsOf(use: Use, { kind, sensitivities = [] }: PlanEater, goal: Goal): readonly Caution[] {
  return cautionsFor(use, { kind, sensitivities }, goal)
}

/** One ordinary portion of somebody of an age, g of raw, trimmed food. */
function portionFor(use: Use, { kind }: PlanEater): number {
  return ordinaryPortion_g(use) * (kind === 'adult' ? 1 : CHILD_SHARE)
}

/** Of whom a caution speaks. @example cautionWhom('kidney-stone') // 'Kidney stones' */
export function cautionWhom(who: Caution['who']): string {
  if (who === 'infant') return 'Babies'
  return who === 'child' ? 'Children' : withCapital(sensitivityWords(who))
}

const must = (text: string): PlanReason => ({ about: 'eater', rank: 'must', text })

function unique(reasons: readonly PlanReason[]): readonly PlanReason[] {
  return [...new Map(reasons.map((reason) => [reason.text, reason])).values()]
}

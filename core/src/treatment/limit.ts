import type { CriticalLimit } from '../flora/taxon'
import { boilingPoint } from '../heat/boil'
import type { ReadingFact, StepDoneFact } from '../lot/lotState'
import { formatMass, formatSpan, formatTemp, grouped } from '../quantity/format'

/** A measured bath this far below the boiling point here is not at a rolling boil: thermometer error and ±20 hPa of weather. */
export const BOIL_TOLERANCE_C = 1.5

/** What a limit asks for in one kitchen; or that this kitchen cannot reach it. */
export type LimitHere =
  | { readonly reachable: true; readonly minutes: number; readonly temp_C: number | null; readonly says: string }
  | { readonly reachable: false; readonly says: string }

/**
 * A critical limit as it stands at an elevation: looked up in the record, never rescaled.
 *
 */
export function limitHere(limit: CriticalLimit, elevation_m: number): LimitHere {
  const boil_C =
    limit.measure === 'rolling-boil' || limit.measure === 'food-temperature' ? boilingPoint({ elevation_m }).temp_C : 0
  switch (limit.measure) {
    case 'rolling-boil': {
      if (elevation_m > limit.acceptedTo_m)
        return {
          reachable: false,
          says: `The record accepts this boil up to ${grouped(limit.acceptedTo_m)} m; here, at ${grouped(elevation_m)} m, water boils at ${formatTemp(boil_C)}.`,
        }
      const minutes =
        limit.minutes +
        limit.added.filter(({ from_m }) => elevation_m >= from_m).reduce((sum, add) => sum + add.minutes, 0)
      return {
        reachable: true,
        minutes,
        temp_C: boil_C,
        says: `${formatSpan(minutes)} at a rolling boil, counted from when it boils again`,
      }
    }
    case 'food-temperature':
      return boil_C >= limit.temp_C
        ? {
            reachable: true,
            minutes: limit.minutes,
            temp_C: limit.temp_C,
            says: `${formatSpan(limit.minutes)} with the food at ${formatTemp(limit.temp_C)} or more`,
          }
        : { reachable: false, says: `It needs ${formatTemp(limit.temp_C)}; here water boils at ${formatTemp(boil_C)}.` }
    case 'dried-to':
      return {
        reachable: true,
        minutes: 0,
        temp_C: null,
        says: `dried until no more than ${Math.round(limit.moisture * 100)} % of it is water`,
      }
    case 'seen':
      return { reachable: true, minutes: 0, temp_C: null, says: limit.sign }
    case 'ph':
      return {
        reachable: true,
        minutes: 0,
        temp_C: null,
        says: `${limit.minutes === undefined ? '' : `${formatSpan(limit.minutes)} or more, `}${limit.saltAtLeast === undefined ? '' : `salt ${percent(limit.saltAtLeast)} of everything, `}measured pH ${limit.atMost} or below`,
      }
    case 'baths':
      return {
        reachable: true,
        minutes: limit.minutes,
        temp_C: limit.atMost_C ?? null,
        says: `at least ${limit.least === 1 ? 'one bath' : `${limit.least} baths`} of ${formatSpan(limit.minutes)} or more${limit.atMost_C === undefined ? '' : `, no warmer than ${formatTemp(limit.atMost_C)}`}, then a crumb that is bitter and dry no more than ${limit.tasteAtMost} of 10, spat out`,
      }
    default:
      return unknownLimit(limit)
  }
}

/** Why a finished load misses its limit; undefined when it is met. A limit that cannot be reached here is never met. */
export function missedBy(
  limit: CriticalLimit,
  done: StepDoneFact,
  context: {
    readonly elevation_m: number
    /** What it must weigh to be dry, g; undefined where that is not known, and where it is not dried. */
    readonly dryWhen_g: number | undefined
    /** Salt over everything while it was in. */
    readonly saltShare: number
    /** Readings that hold for it: taken of this load, and nothing put to it since. */
    readonly readings: readonly ReadingFact[]
  },
): string | undefined {
  if (done.outcome === 'off-boil') return 'it went off the boil'
  if (done.outcome === 'stopped') return 'it was stopped'
  if (!done.checked) return 'its sign was not looked at'
  const here = limitHere(limit, context.elevation_m)
  if (!here.reachable) return here.says
  switch (limit.measure) {
    case 'rolling-boil':
      if (done.minutes < here.minutes) return `${formatSpan(done.minutes)} of ${formatSpan(here.minutes)}`
      return done.temp_C !== null && done.temp_C < (here.temp_C ?? 0) - BOIL_TOLERANCE_C
        ? `${formatTemp(done.temp_C)} is not a rolling boil here`
        : undefined
    case 'food-temperature':
      if (done.temp_C === null) return 'the food was not measured'
      if (done.temp_C < limit.temp_C) return `${formatTemp(done.temp_C)} of ${formatTemp(limit.temp_C)}`
      return done.minutes < limit.minutes ? `${formatSpan(done.minutes)} of ${formatSpan(limit.minutes)}` : undefined
    case 'dried-to': {
      if (context.dryWhen_g === undefined) return 'something wet was put to it while it dried'
      if (done.driedTo_g === null) return 'it was not weighed dry'
      return done.driedTo_g > context.dryWhen_g
        ? `${formatMass(done.driedTo_g)} dry, ${formatMass(context.dryWhen_g)} is dry enough (began drier? dry a sample until its weight stands, and note it)`
        : undefined
    }
    case 'ph': {
      if (limit.minutes !== undefined && done.minutes < limit.minutes)
        return `${formatSpan(done.minutes)} of ${formatSpan(limit.minutes)}`
      if (limit.saltAtLeast !== undefined && context.saltShare < limit.saltAtLeast)
        return `salt is ${percent(context.saltShare)} of everything; ${percent(limit.saltAtLeast)} is the least`
      const last = context.readings.filter(({ what }) => what === 'ph').at(-1)
      if (last === undefined) return 'its pH was not measured, or something was put to it since'
      return last.value > limit.atMost ? `pH ${last.value}; ${limit.atMost} or below is sour enough` : undefined
    }
    case 'baths':
      return 'baths are counted, not loads'
    case 'seen':
      return undefined
    default:
      return unknownLimit(limit)
  }
}

function percent(share: number): string {
  return `${Number((100 * share).toFixed(1))} %`
}

function unknownLimit(limit: never): never {
  throw new RangeError(`limit: expected a known measure, got ${JSON.stringify(limit)}`)
}

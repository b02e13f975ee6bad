import type { SeasonAsked } from './season'
import type {
  CompareWaysInput,
  Entry,
  LeachLessons,
  Move,
  RehearsalLimits,
  Scenario,
  ScheduleInput,
  TasteForecastInput,
} from '@ellop/core'
import {
  compareWays,
  leach,
  learnedPrior,
  optimiseLeach,
  planLosses,
  readBookFile,
  rehearse,
  schedule,
  standInCrumb,
  tasteForecast,
  tasteNext,
} from '@ellop/core/engines'

interface LeachQuestion {
  readonly asked: TasteForecastInput
  readonly from: number
  /** Earlier lots to learn from, where there are any. */
  readonly lessons: LeachLessons | undefined
}

interface RehearsalQuestion {
  readonly scenario: Scenario
  readonly limits: RehearsalLimits
  readonly moves: readonly Move[]
  readonly seed: number
}

/** The engines that run beside the screen. The worker's table and the caller's types are both derived from this one map. */
export const ENGINES = {
  leach,
  optimiseLeach,
  planLosses,
  readBookFile,
  standInCrumb,
  timetable: (input: ScheduleInput) => schedule(input, () => performance.now()),
  /** With the catalogue behind it, which the other engines do without. */
  season: async (asked: SeasonAsked) => (await import('./season')).seasonAnswer(asked),
  /** Which acts noted elsewhere would not have been allowed: with the catalogue behind it, as the season. */
  notAllowed: async (asked: { readonly own: readonly Entry[]; readonly fresh: readonly Entry[] }) =>
    (await import('./notAllowed')).notAllowedOf(asked),
  /** The forecast, and after which of the next baths a taste would tell most. */
  leachForecast: ({ asked, from, lessons }: LeachQuestion) => {
    const { learned, lots, samePatch } = learn(asked, lessons)
    return { forecast: tasteForecast(learned), next: tasteNext(learned, from), lots, samePatch }
  },
  rehearsal: ({ scenario, limits, moves, seed }: RehearsalQuestion) => rehearse(scenario, limits, moves, seed),
  /** The ways on, for lots as likely as the tastes and the earlier lots leave them. */
  compareWays: ({ input, lessons }: { readonly input: CompareWaysInput; readonly lessons: LeachLessons | undefined }) =>
    compareWays({ ...input, asked: learn(input.asked, lessons).learned }),
}

function learn(asked: TasteForecastInput, lessons: LeachLessons | undefined) {
  if (lessons === undefined) return { learned: asked, lots: 0, samePatch: 0 }
  const { prior, lots, samePatch } = learnedPrior(asked.prior, lessons.earlier, lessons.next)
  return { learned: { ...asked, prior }, lots, samePatch }
}

export type Engines = typeof ENGINES
export type EngineName = keyof Engines

import type { SeasonAsked } from './season'
import type { LeachLessons, TasteForecastInput } from '@ellop/core'
import { leach, learnedPrior, optimiseLeach, readBookFile, tasteForecast, tasteNext } from '@ellop/core/engines'

interface LeachQuestion {
  readonly asked: TasteForecastInput
  readonly from: number
  /** Earlier lots to learn from, where there are any. */
  readonly lessons: LeachLessons | undefined
}

/** The engines that run beside the screen. The worker's table and the caller's types are both derived from this one map. */
export const ENGINES = {
  leach,
  optimiseLeach,
  readBookFile,
  /** With the catalogue behind it, which the other engines do without. */
  season: async (asked: SeasonAsked) => (await import('./season')).seasonAnswer(asked),
  /** The forecast, and after which of the next baths a taste would tell most. */
  leachForecast: ({ asked, from, lessons }: LeachQuestion) => {
    const { prior, lots, samePatch } =
      lessons === undefined
        ? { prior: asked.prior, lots: 0, samePatch: 0 }
        : learnedPrior(asked.prior, lessons.earlier, lessons.next)
    const learned = { ...asked, prior }
    return { forecast: tasteForecast(learned), next: tasteNext(learned, from), lots, samePatch }
  },
}
export type Engines = typeof ENGINES
export type EngineName = keyof Engines

/** What goes to the worker and what comes back; a failure crosses as a value. */
export interface EngineQuestion<Name extends EngineName = EngineName> {
  readonly id: number
  readonly engine: Name
  readonly input: Parameters<Engines[Name]>[0]
}

export type EngineAnswer =
  | { readonly id: number; readonly ok: true; readonly answer: Awaited<ReturnType<Engines[EngineName]>> }
  | { readonly id: number; readonly ok: false; readonly message: string }

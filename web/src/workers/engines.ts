import { leach, readBookFile, tasteForecast, tasteNext } from '@ellop/core/engines'

/** The engines that run beside the screen. The worker's table and the caller's types are both derived from this one map. */
export const ENGINES = {
  leach,
  readBookFile,
  /** The forecast, and after which of the next baths a taste would tell most. */
  leachForecast: ({ asked, from }: { asked: Parameters<typeof tasteForecast>[0]; from: number }) => ({
    forecast: tasteForecast(asked),
    next: tasteNext(asked, from),
  }),
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
  | { readonly id: number; readonly ok: true; readonly answer: ReturnType<Engines[EngineName]> }
  | { readonly id: number; readonly ok: false; readonly message: string }

import type { Engines } from './engines'
import { askerOf } from './talk'

/** Asks an engine in its worker. */
export const askEngine = askerOf<Engines>(
  () => new Worker(new URL('./engines.worker.ts', import.meta.url), { type: 'module' }),
)

import type { ReadingKind } from '../lot/lotState'

/** An instrument of the kitchen: what it tells, in which steps, and how well such a thing is ordinarily known to do. */
export interface InstrumentKind {
  readonly id: 'scale' | 'thermometer' | 'ph' | 'salinity' | 'refractometer'
  readonly name: string
  readonly what: ReadingKind
  readonly unit: string
  /** The least difference it shows. */
  readonly step: number
  /** Of one reading from the next, once it has settled. */
  readonly noise_sd: number
  /** How far off it may be before it is set right, and how fast it goes off again. */
  readonly offset: number
  readonly drift_per_h: number
  /** Seconds until it shows nearly all of a change. */
  readonly lag_s: number
  /** What it is set right by, and how. */
  readonly reference: { readonly says: string; readonly value: number | 'boiling' }
}

/** The five that a careful kitchen has. Figures as makers of ordinary ones give them [planning values]. */
export const INSTRUMENTS: readonly InstrumentKind[] = [
  {
    id: 'scale',
    name: 'Kitchen scale',
    what: 'mass_g',
    unit: 'g',
    step: 1,
    noise_sd: 0.4,
    offset: 6,
    drift_per_h: 1,
    lag_s: 1,
    reference: { says: 'Put the 500 g weight on the empty pan.', value: 500 },
  },
  {
    id: 'thermometer',
    name: 'Probe thermometer',
    what: 'temp_C',
    unit: '°C',
    step: 0.1,
    noise_sd: 0.12,
    offset: 0.9,
    drift_per_h: 0.1,
    lag_s: 6,
    reference: { says: 'Hold the tip in water at a rolling boil, off the bottom.', value: 'boiling' },
  },
  {
    id: 'ph',
    name: 'pH meter',
    what: 'ph',
    unit: 'pH',
    step: 0.01,
    noise_sd: 0.02,
    offset: 0.25,
    drift_per_h: 0.02,
    lag_s: 10,
    reference: { says: 'Rinse it, then put it in the buffer of pH 4.01.', value: 4.01 },
  },
  {
    id: 'salinity',
    name: 'Salinity meter',
    what: 'salinity',
    unit: '%',
    step: 0.01,
    noise_sd: 0.015,
    offset: 0.08,
    drift_per_h: 0.01,
    lag_s: 4,
    reference: { says: 'Rinse it, then put it in 10 g of salt made up to a litre.', value: 1 },
  },
  {
    id: 'refractometer',
    name: 'Refractometer',
    what: 'brix',
    unit: 'Brix',
    step: 0.1,
    noise_sd: 0.15,
    offset: 0.7,
    drift_per_h: 0.05,
    lag_s: 3,
    reference: { says: 'Clean it, then two drops of distilled water.', value: 0 },
  },
]

export type InstrumentId = InstrumentKind['id']

/** @throws RangeError for one that is not of the five: the edge should have refused it. */
export function instrument(id: string): InstrumentKind {
  const found = INSTRUMENTS.find((each) => each.id === id)
  if (found === undefined)
    throw new RangeError(`instrument: expected ${INSTRUMENTS.map((each) => each.id).join(', ')}, got ${id}`)
  return found
}

/** Whether the last readings agree: as many as it takes, none further from their middle than chance makes it. */
export function isSteady(values: readonly number[], { noise_sd, step }: InstrumentKind): boolean {
  const last = values.slice(-STEADY_READINGS)
  if (last.length < STEADY_READINGS) return false
  return Math.max(...last) - Math.min(...last) <= STEADY_SDS * Math.max(noise_sd, step / 2)
}

const STEADY_READINGS = 4
const STEADY_SDS = 4.5

import { INSTRUMENTS, type InstrumentKind } from './instruments'

/** A reading out of a device's line of text. */
export interface DeviceReading {
  readonly kind: InstrumentKind
  readonly value: number
}

const UNITS: Readonly<
  Record<string, { readonly id: InstrumentKind['id']; readonly times?: number; readonly plus?: number }>
> = {
  g: { id: 'scale' },
  kg: { id: 'scale', times: 1000 },
  c: { id: 'thermometer' },
  '°c': { id: 'thermometer' },
  f: { id: 'thermometer', times: 5 / 9, plus: -32 },
  '°f': { id: 'thermometer', times: 5 / 9, plus: -32 },
  ph: { id: 'ph' },
  '%': { id: 'salinity' },
  'g/l': { id: 'salinity', times: 0.1 },
  ppt: { id: 'salinity', times: 0.1 },
  brix: { id: 'refractometer' },
  '%brix': { id: 'refractometer' },
}
const NUMBER = /([+\-−]?)\s*(\d+(?:[.,]\d+)?)/
/** What scales put before a value that has not settled. */
const UNSETTLED = /^\s*(?:US|SD|UNST|\?)\b/i

/**
 * A reading out of one line of a device that talks text over a serial line: a number and a unit in either order, as most do
 * ("ST,GS,+  123.4 g", "96.1 C", "pH 4.02"). Undefined for a line without both, or one that says it has not settled.
 */
export function parseInstrumentLine(line: string): DeviceReading | undefined {
  if (UNSETTLED.test(line)) return undefined
  const number = NUMBER.exec(line)
  if (number === null) return undefined
  const rest = `${line.slice(0, number.index)} ${line.slice(number.index + number[0].length)}`
  const unit = rest
    .toLowerCase()
    .split(/[\s,;:=]+/)
    .map((word) => UNITS[word])
    .find((each) => each !== undefined)
  const kind = INSTRUMENTS.find(({ id }) => id === unit?.id)
  if (unit === undefined || kind === undefined) return undefined
  const shown = Number(number[2]?.replace(',', '.')) * (number[1] === '-' || number[1] === '−' ? -1 : 1)
  return { kind, value: (shown + (unit.plus ?? 0)) * (unit.times ?? 1) }
}

import {
  instrument,
  type InstrumentId,
  type InstrumentKind,
  type JudgeContext,
  type LotState,
  potTruth,
  withoutCapital,
} from '@ellop/core'
import { Button } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { useBook } from '../book/bookStore'
import { useNote } from '../controls/useNote'
import type { Device } from './device'
import { canSerial, serialDevice } from './serialDevice'
import { standInDevice } from './standInDevice'
import { useReadings } from './useReadings'
import '../app/instruments.css'

/** Reads an instrument into a field: live, taken with one key once it has settled, and noted with its name. By hand always works too. */
export function ReadOff({
  id,
  lot,
  context,
  onTake,
  noted = true,
}: {
  id: InstrumentId
  lot: LotState
  context: JudgeContext
  onTake: (value: string) => void
  /** Noted as a reading of the lot as well; not where the field itself is what is noted. */
  noted?: boolean
}) {
  const kind = instrument(id)
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const [device, setDevice] = useState<Device>()
  const live = useReadings(kind, device)
  const { write, otherError } = useNote()
  const found = useBook(({ log }) => log.state.house.setRight[id])
  const shown = live.values.at(-1)
  const value = shown === undefined ? undefined : corrected(shown, found?.offset ?? 0, kind)
  const take = useCallback(() => {
    if (value === undefined || device === undefined) return
    onTake(String(value))
    setDevice(undefined)
    if (noted)
      void write(
        {
          type: 'reading-taken',
          lot: lot.id,
          what: kind.what,
          value,
          instrument: device.name,
          ...(device.simulated ? { simulated: true as const } : {}),
        },
        `${value} ${kind.unit} taken`,
      )
  }, [value, device, onTake, noted, write, lot.id, kind])
  useEffect(() => {
    if (device === undefined) return undefined
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest('input, textarea, select') !== null
      if (event.key === 'r' && !typing && !event.ctrlKey && !event.metaKey && live.steady) take()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [device, live.steady, take])
  if (!isDemo && !canSerial()) return null
  const begin = async () => {
    const wanted = isDemo
      ? standInDevice(kind, potTruth(id, lot, context, useBook.getState().second))
      : await serialDevice(kind)
    setDevice(wanted)
  }
  if (device === undefined)
    return (
      <Button size="large" className="read-off" onClick={() => void begin()}>
        Read the {withoutCapital(kind.name)}
      </Button>
    )
  return (
    <div className="reading" aria-label={kind.name}>
      <p className={live.lost ? 'reading-value lost' : live.steady ? 'reading-value steady' : 'reading-value'}>
        <strong>{value === undefined ? '– –' : value.toFixed(digits(kind))}</strong> {kind.unit}
      </p>
      <p className="soft" role="status">
        {live.lost
          ? 'No signal. It may come back; by hand works too.'
          : live.steady
            ? `Settled${found === undefined ? '; never set right' : ''}.`
            : 'Settling …'}
      </p>
      <div className="acts">
        <Button type="primary" size="large" disabled={!live.steady} onClick={take}>
          Take it <kbd>R</kbd>
        </Button>
        <Button size="large" onClick={() => setDevice(undefined)}>
          By hand
        </Button>
      </div>
      {device.simulated && <p className="soft">A stand-in: it counts in the demonstration and nowhere else.</p>}
      {otherError([]) !== undefined && (
        <p className="refusal" role="alert">
          {otherError([])}
        </p>
      )}
    </div>
  )
}

/** A shown value with what the instrument is known to be off by taken away, in its own steps. */
export function corrected(shown: number, offset: number, { step }: InstrumentKind): number {
  return Number((Math.round((shown - offset) / step) * step).toFixed(3))
}

function digits({ step }: InstrumentKind): number {
  return Math.max(0, Math.round(-Math.log10(step)))
}

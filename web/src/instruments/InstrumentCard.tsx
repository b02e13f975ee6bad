import { boilingPoint, formatDay, timeOf, type InstrumentKind } from '@ellop/core'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { useBook } from '../book/bookStore'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import type { Device } from './device'
import { canSerial, serialDevice } from './serialDevice'
import { standInDevice } from './standInDevice'
import { useReadings } from './useReadings'
import { inUnits } from '../units/units'

/** An instrument on the shelf: how far it was found to be off, and setting it right against what is known. */
export function InstrumentCard({
  kind,
  elevation_m,
  timeZone,
}: {
  kind: InstrumentKind
  elevation_m: number
  timeZone: string
}) {
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const found = useBook(({ log }) => log.state.house.setRight[kind.id])
  const { write, otherError } = useNote()
  const [device, setDevice] = useState<Device>()
  const live = useReadings(kind, device)
  const truth = useMemo(
    () => (kind.reference.value === 'boiling' ? boilingPoint({ elevation_m }).temp_C : kind.reference.value),
    [kind, elevation_m],
  )
  const begin = async () =>
    setDevice(
      isDemo ? standInDevice(kind, { from: truth, to: truth, over_s: 0, since_s: 0 }) : await serialDevice(kind),
    )
  const keep = () => {
    const settled = live.values.slice(-4)
    const mean = settled.reduce((sum, each) => sum + each, 0) / settled.length
    void write(
      {
        type: 'instrument-set-right',
        instrument: kind.id,
        offset: Number((mean - truth).toPrecision(3)),
        ...(device?.simulated === true ? { simulated: true as const } : {}),
      },
      `${kind.name} set right`,
    ).then(({ ok }) => {
      if (ok) setDevice(undefined)
    })
  }
  const shown = live.values.at(-1)
  return (
    <li className="card instrument">
      <h3>{kind.name}</h3>
      <p className="soft">
        {found === undefined
          ? inUnits(`Never set right: it may be off by ${kind.offset}\u00a0${kind.unit}.`)
          : inUnits(
              `Set right ${formatDay(found.at, timeZone)}, ${timeOf(found.at, timeZone)}: it shows ${Math.abs(found.offset).toPrecision(2)}\u00a0${kind.unit} too ${found.offset < 0 ? 'little' : 'much'}, which is taken off.`,
            )}
      </p>
      {device === undefined ? (
        isDemo || canSerial() ? (
          <Button size="large" onClick={() => void begin()}>
            Set it right
          </Button>
        ) : (
          <p className="soft">This browser cannot talk to devices: read it, and type what it shows.</p>
        )
      ) : (
        <>
          <p>{inUnits(kind.reference.says)}</p>
          <p className={live.lost ? 'reading-value lost' : live.steady ? 'reading-value steady' : 'reading-value'}>
            <strong>{shown ?? '– –'}</strong> {kind.unit}{' '}
            <span className="soft">
              of {Math.round(truth * 100) / 100} {kind.unit}
            </span>
          </p>
          <p className="soft" role="status">
            {live.lost ? 'No signal.' : live.steady ? 'Settled.' : 'Settling …'}
          </p>
          <Refusal sentence={otherError([])} />
          <div className="acts">
            <Button type="primary" size="large" disabled={!live.steady} onClick={keep}>
              Save calibration
            </Button>
            <Button size="large" onClick={() => setDevice(undefined)}>
              Cancel
            </Button>
          </div>
        </>
      )}
    </li>
  )
}

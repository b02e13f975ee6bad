import { isSteady, type InstrumentKind } from '@ellop/core'
import { useEffect, useState } from 'react'
import type { Device } from './device'

export interface Live {
  readonly values: readonly number[]
  readonly lost: boolean
  readonly steady: boolean
}

const KEPT = 12
const NOTHING: Live = { values: [], lost: false, steady: false }

/** What a device says while it is listened to: its last values, whether they have settled, whether it is lost. */
export function useReadings(kind: InstrumentKind, device: Device | undefined): Live {
  const [live, setLive] = useState(NOTHING)
  useEffect(() => {
    if (device === undefined) return undefined
    const stop = device.listen((told) =>
      setLive(({ values }) => {
        // After a gap it must settle again.
        if (told === 'lost' || told === 'gone') return { values: [], lost: true, steady: false }
        const kept = [...values, told.value].slice(-KEPT)
        return { values: kept, lost: false, steady: isSteady(kept, kind) }
      }),
    )
    return () => {
      stop()
      setLive(NOTHING)
    }
  }, [kind, device])
  return live
}

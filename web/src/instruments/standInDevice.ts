import type { InstrumentKind, StandInTold, Truth } from '@ellop/core'
import type { Device } from './device'
import { withoutCapital } from '@ellop/core'

/** Which one hangs in the demonstration's kitchen: it is off by as much each time it is asked. */
const SEED = 2027

/** A stand-in of the demonstration, streamed by the server that ships with it. `mode` in the page's address makes it fail. */
export function standInDevice(kind: InstrumentKind, truth: Truth): Device {
  return {
    name: `stand-in ${withoutCapital(kind.name)}`,
    simulated: true,
    listen(tell) {
      const asked = new URLSearchParams({
        ...Object.fromEntries(Object.entries(truth).map(([name, value]) => [name, String(value)])),
        seed: String(SEED),
        ...pageMode(),
      })
      const source = new EventSource(`/instruments/${kind.id}?${asked.toString()}`)
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const told = JSON.parse(data) as StandInTold
        tell('lost' in told ? 'lost' : { value: told.value })
      }
      source.onerror = () => tell('lost')
      return () => source.close()
    },
  }
}

function pageMode(): Readonly<Record<string, string>> {
  const page = new URLSearchParams(window.location.search)
  return Object.fromEntries(
    [
      ['mode', page.get('instruments')],
      ['fast', page.get('fast')],
    ].filter((pair): pair is [string, string] => pair[1] !== null),
  )
}

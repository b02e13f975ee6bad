import { type InstrumentKind, parseInstrumentLine, withoutCapital } from '@ellop/core'
import type { Device } from './device'

/** Of the browser's serial port, what is needed here. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null
  readonly open: (options: { baudRate: number }) => Promise<void>
  readonly close: () => Promise<void>
}
interface WithSerial {
  readonly serial?: { readonly requestPort: () => Promise<SerialPort> }
}

/** What most kitchen devices with a cable speak at. */
const BAUD = 9600

export const canSerial = (): boolean => (navigator as WithSerial).serial !== undefined

/** A real device on a serial line that says a value and a unit a line; asks which one. Undefined when none was chosen or it would not open. */
export async function serialDevice(kind: InstrumentKind): Promise<Device | undefined> {
  try {
    const port = await (navigator as WithSerial).serial?.requestPort()
    if (port === undefined) return undefined
    await port.open({ baudRate: BAUD })
    return {
      name: withoutCapital(kind.name),
      simulated: false,
      listen(tell) {
        const stop = new AbortController()
        void readLines(port, stop.signal, (line) => {
          const read = parseInstrumentLine(line)
          if (read?.kind.id === kind.id) tell({ value: read.value })
        }).catch(() => tell('gone'))
        return () => stop.abort()
      },
    }
  } catch {
    return undefined
  }
}

async function readLines(port: SerialPort, stop: AbortSignal, take: (line: string) => void): Promise<void> {
  if (port.readable === null) return
  const decoder = new TextDecoder()
  let rest = ''
  await port.readable.pipeTo(
    new WritableStream({
      write(chunk) {
        const lines = (rest + decoder.decode(chunk, { stream: true })).split(/\r?\n/)
        rest = lines.pop() ?? ''
        lines.forEach(take)
      },
    }),
    { signal: stop },
  )
}

import type { EngineAnswer, EngineName, Engines } from './engines'

let worker: Worker | undefined
let last = 0
const waiting = new Map<number, (answer: EngineAnswer) => void>()

/** Asks an engine in its worker. The answer comes as a value, or undefined when it failed or was cancelled. */
export function askEngine<Name extends EngineName>(
  engine: Name,
  input: Parameters<Engines[Name]>[0],
): { readonly answer: Promise<Awaited<ReturnType<Engines[Name]>> | undefined>; readonly cancel: () => void } {
  worker ??= startWorker()
  last += 1
  const id = last
  const answer = new Promise<Awaited<ReturnType<Engines[Name]>> | undefined>((resolve) => {
    waiting.set(id, (told) => resolve(told.ok ? (told.answer as Awaited<ReturnType<Engines[Name]>>) : undefined))
    worker?.postMessage({ id, engine, input })
  })
  const cancel = () => {
    waiting.get(id)?.({ id, ok: false, message: 'cancelled' })
    waiting.delete(id)
  }
  return { answer, cancel }
}

function startWorker(): Worker {
  const started = new Worker(new URL('./engines.worker.ts', import.meta.url), { type: 'module' })
  started.onmessage = ({ data }: MessageEvent<EngineAnswer>) => {
    waiting.get(data.id)?.(data)
    waiting.delete(data.id)
  }
  // A worker that could not start answers nothing: whoever waits is told, and the next question starts another.
  started.onerror = () => {
    for (const [id, tell] of waiting) tell({ id, ok: false, message: 'the engine stopped' })
    waiting.clear()
    worker = undefined
  }
  return started
}

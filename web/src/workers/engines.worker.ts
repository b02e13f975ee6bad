import { ENGINES, type EngineAnswer, type EngineName, type EngineQuestion, type Engines } from './engines'

self.onmessage = ({ data: { id, engine, input } }: MessageEvent<EngineQuestion>) => {
  self.postMessage(answer(id, engine, input))
}

function answer(id: number, engine: EngineQuestion['engine'], input: EngineQuestion['input']): EngineAnswer {
  try {
    const run = ENGINES[engine] as (input: EngineQuestion['input']) => ReturnType<Engines[EngineName]>
    return { id, ok: true, answer: run(input) }
  } catch (fault) {
    return { id, ok: false, message: fault instanceof Error ? fault.message : String(fault) }
  }
}

import { ENGINES, type EngineAnswer, type EngineName, type EngineQuestion, type Engines } from './engines'

self.onmessage = ({ data: { id, engine, input } }: MessageEvent<EngineQuestion>) => {
  void answer(id, engine, input).then((told) => self.postMessage(told))
}

async function answer(
  id: number,
  engine: EngineQuestion['engine'],
  input: EngineQuestion['input'],
): Promise<EngineAnswer> {
  try {
    const run = ENGINES[engine] as (input: EngineQuestion['input']) => ReturnType<Engines[EngineName]>
    return { id, ok: true, answer: await run(input) }
  } catch (fault) {
    return { id, ok: false, message: fault instanceof Error ? fault.message : String(fault) }
  }
}

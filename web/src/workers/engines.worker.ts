import { ENGINES, type EngineAnswer, type EngineQuestion } from './engines'

self.onmessage = ({ data: { id, engine, input } }: MessageEvent<EngineQuestion>) => {
  self.postMessage(answer(id, engine, input))
}

function answer(id: number, engine: EngineQuestion['engine'], input: EngineQuestion['input']): EngineAnswer {
  try {
    return { id, ok: true, answer: ENGINES[engine](input) }
  } catch (fault) {
    return { id, ok: false, message: fault instanceof Error ? fault.message : String(fault) }
  }
}

import { useEffect, useState } from 'react'
import { askEngine } from './ask'
import type { EngineName, Engines } from './engines'

/** What an engine answers to a question, asked anew when that changes; undefined until it is told, or while there is no question. */
export function useEngine<Name extends EngineName>(
  engine: Name,
  input: Parameters<Engines[Name]>[0] | undefined,
): Awaited<ReturnType<Engines[Name]>> | 'failed' | undefined {
  const [told, setTold] = useState<Awaited<ReturnType<Engines[Name]>> | 'failed'>()
  useEffect(() => {
    if (input === undefined) return undefined
    const question = askEngine(engine, input)
    let gone = false
    void question.answer.then((answer) => {
      if (!gone) setTold(answer ?? 'failed')
    })
    return () => {
      gone = true
      question.cancel()
    }
  }, [engine, input])
  return told
}

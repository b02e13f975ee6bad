/** What a worker can be asked: each by its name, with one input. */
export type Table = Readonly<Record<string, (input: never) => unknown>>

interface Question {
  readonly id: number
  readonly name: string
  readonly input: unknown
}

/** What comes back; a failure crosses as a value. */
type Told =
  | { readonly id: number; readonly ok: true; readonly answer: unknown }
  | { readonly id: number; readonly ok: false; readonly message: string }

/** A question on its way: its answer, undefined when it failed or was called off. */
export interface Asked<Answer> {
  readonly answer: Promise<Answer | undefined>
  readonly cancel: () => void
}

/** Asks a worker, which is started with the first question. */
export function askerOf<Asks extends Table>(start: () => Worker) {
  let worker: Worker | undefined
  let last = 0
  const waiting = new Map<number, (told: Told) => void>()

  function started(): Worker | undefined {
    const made = startOrNone()
    if (made === undefined) return undefined
    made.onmessage = ({ data }: MessageEvent<Told>) => {
      waiting.get(data.id)?.(data)
      waiting.delete(data.id)
    }
    // A worker that could not start answers nothing: whoever waits is told, and the next question starts another.
    made.onerror = () => {
      for (const [id, tell] of waiting) tell({ id, ok: false, message: 'the worker stopped' })
      waiting.clear()
      worker = undefined
    }
    return made
  }

  /** A browser may be forbidden to give one; what waits for its answer is then told that there is none. */
  function startOrNone(): Worker | undefined {
    try {
      return start()
    } catch {
      return undefined
    }
  }

  return <Name extends keyof Asks & string>(
    name: Name,
    input: Parameters<Asks[Name]>[0],
  ): Asked<Awaited<ReturnType<Asks[Name]>>> => {
    worker ??= started()
    last += 1
    const id = last
    const answer = new Promise<Awaited<ReturnType<Asks[Name]>> | undefined>((resolve) => {
      if (worker === undefined) return resolve(undefined)
      waiting.set(id, (told) => resolve(told.ok ? (told.answer as Awaited<ReturnType<Asks[Name]>>) : undefined))
      worker.postMessage({ id, name, input } satisfies Question)
    })
    const cancel = () => {
      waiting.get(id)?.({ id, ok: false, message: 'called off' })
      waiting.delete(id)
    }
    return { answer, cancel }
  }
}

/** Makes this worker answer out of a table. */
export function answerFrom(table: Table): void {
  self.onmessage = ({ data: { id, name, input } }: MessageEvent<Question>) => {
    void told(id, table[name] as ((input: unknown) => unknown) | undefined, input).then((each) =>
      self.postMessage(each),
    )
  }
}

async function told(id: number, work: ((input: unknown) => unknown) | undefined, input: unknown): Promise<Told> {
  try {
    if (work === undefined) throw new RangeError('answerFrom: expected a name that is in the table')
    return { id, ok: true, answer: await work(input) }
  } catch (fault) {
    return { id, ok: false, message: fault instanceof Error ? fault.message : String(fault) }
  }
}

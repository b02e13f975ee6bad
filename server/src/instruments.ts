import { INSTRUMENTS, standInReading, type Truth } from '@ellop/core'
import { Hono } from 'hono'
import { streamSSE } from 'hono/streaming'

const SECOND_ms = 1000
const TRUTH = ['from', 'to', 'over_s', 'since_s'] as const

/**
 * The stand-in instruments of the demonstration: `GET /:kind?from=…&to=…&over_s=…&since_s=…&seed=…` streams a reading a second, or `lost`.
 * What there is to measure is told by whoever asks: the demonstration reckons what is in its pot. With `mode=lost` nothing is ever told,
 * with `fast=N` seconds pass N times as fast.
 */
export const instruments = new Hono().get('/:kind', (context) => {
  const kind = INSTRUMENTS.find(({ id }) => id === context.req.param('kind'))
  if (kind === undefined)
    return context.json(
      { message: `There is no such instrument; there are ${INSTRUMENTS.map(({ id }) => id).join(', ')}.` },
      404,
    )
  const query = context.req.query()
  const wrong = TRUTH.find((name) => query[name] === undefined || !Number.isFinite(Number(query[name])))
  if (wrong !== undefined) return context.json({ message: `${wrong} must be a number.` }, 400)
  const [from, to, over_s, since_s] = TRUTH.map((name) => Number(query[name])) as [number, number, number, number]
  const truth: Truth = { from, to, over_s, since_s }
  const seed = Number(query['seed'] ?? 1) || 1
  const pace = Math.min(20, Math.max(1, Number(query['fast'] ?? 1) || 1))
  return streamSSE(context, async (stream) => {
    for (let second = 0; !stream.aborted && !stream.closed; second += 1) {
      const told = query['mode'] === 'lost' ? { second, lost: true } : standInReading(kind, truth, second, seed)
      await stream.writeSSE({ data: JSON.stringify(told) })
      await stream.sleep(SECOND_ms / pace)
    }
  })
})

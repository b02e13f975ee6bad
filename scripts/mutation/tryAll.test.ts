import { appendFileSync, readFileSync } from 'node:fs'
import { it, vi } from 'vitest'
import type { Case } from './cases'

/** A case that takes longer is left out: what it alone would find counts as not found. */
const SLOW_ms = 900
/** A mutant that is met so many times oftener than the code it stands for runs for ever. */
const FOR_EVER = 100
const SUITE = '../core/src/test/mutation.suite'

interface Switch {
  activeMutant?: string | undefined
  currentTestId?: string | undefined
  hitCount?: number
  hitLimit?: number
  mutantCoverage?: { static: Record<string, number>; perTest: Record<string, Record<string, number>> }
}
const mutation = ((globalThis as { __stryker__?: Switch }).__stryker__ ??= {})

async function loaded(): Promise<readonly Case[]> {
  const [{ takeCases }] = await Promise.all([import('./cases'), import(SUITE)])
  return takeCases()
}

it('every mutant is tried against the cases that reach it', { timeout: 1e9 }, async () => {
  const ids = JSON.parse(readFileSync(`${import.meta.dirname}/mutants.json`, 'utf8')) as readonly string[]
  const say = (id: string, state: 'killed' | 'survived' | 'unreached') =>
    appendFileSync(`${import.meta.dirname}/tried.jsonl`, `${JSON.stringify({ id, state })}\n`)
  const cases = await loaded()
  const took_ms = new Map<number, number>()
  for (const [index, { run }] of cases.entries()) {
    mutation.currentTestId = String(index)
    const begun = performance.now()
    await run()
    took_ms.set(index, performance.now() - begun)
  }
  mutation.currentTestId = undefined
  const { perTest, static: onLoading } = mutation.mutantCoverage ?? { perTest: {}, static: {} }
  const reaching = new Map<string, number[]>()
  const hits = new Map<string, number>()
  for (const [index, met] of Object.entries(perTest))
    for (const [id, count] of Object.entries(met)) {
      hits.set(id, (hits.get(id) ?? 0) + count)
      if ((took_ms.get(Number(index)) ?? 0) < SLOW_ms) reaching.set(id, [...(reaching.get(id) ?? []), Number(index)])
    }

  /** Cases that found much of late come first, then the quick ones. */
  const found = new Map<number, number>()
  const worth = (index: number) => (found.get(index) ?? 0) / (1 + (took_ms.get(index) ?? 0))
  const order = (indices: readonly number[]) =>
    indices.toSorted((a, b) => worth(b) - worth(a) || (took_ms.get(a) ?? 0) - (took_ms.get(b) ?? 0))
  async function isKilled(id: string, of: readonly Case[], indices: readonly number[]): Promise<boolean> {
    mutation.activeMutant = id
    mutation.hitLimit = (hits.get(id) ?? 1000) * FOR_EVER + 10_000
    try {
      for (const index of order(indices)) {
        mutation.hitCount = 0
        try {
          await of[index]?.run()
        } catch {
          found.set(index, (found.get(index) ?? 0) * 0.9 + 1)
          return true
        }
      }
      return false
    } finally {
      mutation.activeMutant = undefined
    }
  }

  for (const id of ids) {
    // The runner is told that we live.
    await new Promise((done) => setImmediate(done))
    const indices = reaching.get(id) ?? []
    if (await isKilled(id, cases, indices)) say(id, 'killed')
    else if (!(id in onLoading)) say(id, indices.length === 0 ? 'unreached' : 'survived')
  }
  // What is worked out once, on loading, is loaded anew with the mutant in it.
  for (const id of ids.filter((each) => each in onLoading && !isSaid(each))) {
    vi.resetModules()
    mutation.activeMutant = id
    const anew = await loaded().catch(() => undefined)
    const quick = [...cases.keys()].filter((index) => (took_ms.get(index) ?? 0) < SLOW_ms)
    say(id, anew === undefined || (await isKilled(id, anew, quick)) ? 'killed' : 'survived')
  }
})

function isSaid(id: string): boolean {
  return readFileSync(`${import.meta.dirname}/tried.jsonl`, 'utf8').includes(`"id":"${id}"`)
}

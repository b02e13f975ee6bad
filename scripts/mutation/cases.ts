import { expect } from 'vitest'

/**
 * What a test file gets for `vitest` while mutants are tried: its cases are collected and not run, so that they can be run again and
 * again, for one mutant after another, without loading the catalogue anew each time.
 */

type Body = () => unknown
export interface Case {
  readonly name: string
  readonly run: () => Promise<void>
}

const collected: Case[] = []
const path: string[] = []

/** The cases of all files that were loaded since they were last taken. */
export function takeCases(): readonly Case[] {
  return collected.splice(0)
}

const named = (name: string, row: readonly unknown[]) => `${name} ${JSON.stringify(row)?.slice(0, 60)}`
const rowOf = (each: unknown): readonly unknown[] => (Array.isArray(each) ? each : [each])

function suite(name: string, body: Body): void {
  path.push(name)
  body()
  path.pop()
}

function single(name: string, body: Body): void {
  collected.push({ name: [...path, name].join(' > '), run: async () => void (await body()) })
}

const forEach =
  (say: (name: string, body: Body) => void) =>
  (table: readonly unknown[]) =>
  (name: string, body: (...row: readonly unknown[]) => unknown) => {
    for (const each of table) say(named(name, rowOf(each)), () => body(...rowOf(each)))
  }

export const describe = Object.assign(suite, { each: forEach(suite) })
export const it = Object.assign(single, { each: forEach(single) })
export { expect }

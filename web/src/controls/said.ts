import { create } from 'zustand'

export interface Said {
  readonly text: string
  readonly refused: boolean
  /** The same words said again are said anew. */
  readonly turn: number
}

const NOTED_ms = 4000
const REFUSED_ms = 8000

/** The one sentence that the screen says of what was just done. */
export const useSaid = create<{ readonly said: Said | undefined }>(() => ({ said: undefined }))

let turn = 0
let ends: ReturnType<typeof setTimeout> | undefined

/** Says that something was done, long enough for a cook who looks up from the pot. */
export function say(text: string): void {
  show(text, false, NOTED_ms)
}

/** Says that something was not done, and why. */
export function sayRefused(text: string): void {
  show(text, true, REFUSED_ms)
}

function show(text: string, refused: boolean, for_ms: number): void {
  clearTimeout(ends)
  turn += 1
  useSaid.setState({ said: { text, refused, turn } })
  ends = setTimeout(() => useSaid.setState({ said: undefined }), for_ms)
}

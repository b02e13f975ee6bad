import { commonName, formatCount, plainWords, type SeasonRow, type SeasonState } from '@ellop/core'

const STATE_WORDS: Readonly<Record<SeasonState, string>> = {
  'not-yet': 'not yet',
  ready: 'ready',
  best: 'best now',
  'nearly-past': 'nearly past',
  past: 'past',
  'second-growth': 'second growth',
}

/** The state in words. */
export function stateWord(state: SeasonState): string {
  return STATE_WORDS[state]
}

/** What it is: the plant, and what of it. */
export function rowName({ taxon, use }: Pick<SeasonRow, 'taxon' | 'use'>): {
  readonly name: string
  readonly part: string
} {
  return { name: use.called ?? commonName(taxon), part: `${plainWords(use.part)}, ${plainWords(use.stage)}` }
}

/** When, with its range: never one number alone. */
export function whenWords({ state, in_days, range_days: [least, most] }: SeasonRow): string {
  const range = `${Math.max(0, least)} to ${Math.max(0, most)}`
  if (state === 'not-yet')
    return in_days > 120
      ? `in about ${Math.round(in_days / 30)} months`
      : in_days <= 0
        ? `begins within ${formatCount(Math.max(1, most), 'day')}, perhaps today`
        : `in about ${formatCount(in_days, 'day')} (${range})`
  if (state === 'past') return in_days < -30 ? 'until next year' : `since about ${formatCount(-in_days, 'day')}`
  if (state === 'second-growth') return 'tender again after cutting'
  if (in_days <= 0) return `ends within ${formatCount(Math.max(1, most), 'day')}, perhaps today`
  return in_days > 120 ? 'for months' : `for about ${formatCount(in_days, 'more day', 'more days')} (${range})`
}

const WORK: Readonly<Record<string, readonly string[]>> = {
  greens: ['leaf', 'leafy-top', 'shoot', 'stem', 'midrib', 'needle-tip', 'thallus'],
  flowers: ['flower', 'flower-bud', 'pollen'],
  fruit: ['fruit', 'seed', 'nut'],
  roots: ['root', 'rhizome', 'corm', 'bulb', 'tuber', 'bark', 'sap'],
}

/** Kinds by which a cook looks for something. */
export const KINDS = [
  { value: 'all', label: 'all' },
  { value: 'greens', label: 'greens' },
  { value: 'flowers', label: 'flowers' },
  { value: 'fruit', label: 'fruit, nuts, seed' },
  { value: 'roots', label: 'roots, bark, sap' },
] as const
export type Kind = (typeof KINDS)[number]['value']

/** Whether a row is of a kind. */
export function isKind(kind: Kind, { use }: SeasonRow): boolean {
  return kind === 'all' || (WORK[kind]?.includes(use.part) ?? false)
}

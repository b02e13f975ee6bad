import type { Protocol, Use } from '../flora/taxon'
import { plainWords } from '../flora/vocabulary'
import { formatList } from '../quantity/format'

/** What there may be to bring heat to food with. */
export const KIT = ['pot', 'pan', 'steamer', 'oven', 'embers', 'hot-stone', 'pit'] as const
export type Kit = (typeof KIT)[number]

/** What an operation can be done with, the handiest first; what is not here takes no fire. */
const DONE_WITH: Readonly<Record<string, readonly Kit[]>> = {
  boil: ['pot'],
  blanch: ['pot'],
  simmer: ['pot'],
  'leach-hot': ['pot'],
  'infuse-water': ['pot'],
  'infuse-syrup': ['pot'],
  'cook-jam': ['pot'],
  pickle: ['pot'],
  steam: ['steamer'],
  wilt: ['pan', 'pot', 'hot-stone'],
  saute: ['pan', 'pot'],
  fry: ['pan', 'pot'],
  toast: ['pan', 'oven', 'hot-stone'],
  roast: ['oven', 'embers', 'pit', 'hot-stone'],
  bake: ['oven', 'embers', 'pit', 'hot-stone'],
  'pit-bake': ['pit'],
}
/** Heat without a bath: it washes nothing out. */
export const DRY_HEAT_OPS: readonly string[] = ['roast', 'bake', 'pit-bake', 'toast', 'saute', 'fry', 'wilt']

/** What of the kit a step is done with: the handiest that is there; `none` where it takes no fire, `missing` where nothing here will do. */
export function doneWith(op: string, kit: readonly Kit[]): Kit | 'none' | 'missing' {
  const fit = DONE_WITH[op]
  return fit === undefined ? 'none' : (fit.find((each) => kit.includes(each)) ?? 'missing')
}

/** What any of which a step wants, in words: "a pot", "an oven, embers, a pit or a hot stone". */
export function wantsWords(op: string): string {
  const words = (DONE_WITH[op] ?? []).map((each) => KIT_WORDS[each])
  return formatList(words, 'or')
}

export const KIT_WORDS: Readonly<Record<Kit, string>> = {
  pot: 'a pot',
  pan: 'a pan',
  steamer: 'a steamer',
  oven: 'an oven',
  embers: 'embers',
  'hot-stone': 'a hot stone',
  pit: 'a pit',
}

/**
 * Why a fire alone does not do for a use: its hazards, each met on record by a bath only. Roasting washes nothing out, and a hazard
 * that no accepted way on record answers with dry heat is never taken to be answered by it, however like another it is.
 */
export function needWater({
  hazards,
  protocols,
}: Pick<Use, 'hazards' | 'protocols'>): readonly { readonly id: string; readonly says: string }[] {
  const accepted = protocols.filter(({ standing }) => standing !== 'contested' && standing !== 'not-advised')
  return hazards
    .filter(({ level, kind }) => level !== 'trace' && (kind === 'palate' || kind === 'toxic' || kind === 'biological'))
    .flatMap(({ id }) => {
      const ops = opsAgainst(id, accepted)
      if (ops.length === 0 || ops.some((op) => DRY_HEAT_OPS.includes(op))) return []
      const wet = ops.filter(
        (op) => DONE_WITH[op]?.includes('pot') === true || op.startsWith('leach') || op === 'soak-cold',
      )
      return wet.length === 0
        ? []
        : [
            {
              id,
              says: `Dry heat is no answer on record to ${plainWords(id)}: it takes water. A fire without a pot washes nothing out.`,
            },
          ]
    })
}

function opsAgainst(hazard: string, protocols: readonly Protocol[]): readonly string[] {
  return protocols.flatMap(({ steps }) => steps.filter(({ control }) => control.includes(hazard)).map(({ op }) => op))
}

import { plainWords } from '../flora/vocabulary'

/** A step as a thing that goes on. @example opNoun('dry') // 'drying' */
export function opNoun(op: string): string {
  return OP_NOUNS[op] ?? plainWords(op)
}

const OP_NOUNS: Readonly<Record<string, string>> = {
  wash: 'washing', rinse: 'rinsing', refresh: 'chilling', simmer: 'simmering', boil: 'boiling', blanch: 'blanching', steam: 'steaming', dry: 'drying', bake: 'baking',
  roast: 'roasting', fry: 'frying', saute: 'frying', wilt: 'wilting', pickle: 'pickling', ferment: 'fermenting',
  'infuse-water': 'steeping', 'infuse-syrup': 'steeping', 'infuse-oil': 'steeping', 'infuse-vinegar': 'steeping',
  'soak-cold': 'soaking', 'cook-jam': 'jam making', 'leach-static': 'leaching', 'leach-hot': 'leaching',
  'leach-running': 'leaching', shell: 'shelling', peel: 'peeling', sieve: 'sieving', grind: 'grinding', trim: 'trimming',
} // prettier-ignore

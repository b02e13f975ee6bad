import { plainWords } from '../flora/vocabulary'

/** A part as it follows a plant's name: `leafy-top` is said “tops”. */
export function partWord(part: string): string {
  return PART_WORDS[part] ?? plainWords(part)
}

const PART_WORDS: Readonly<Record<string, string>> = {
  'leafy-top': 'tops',
  leaf: 'leaves',
  shoot: 'shoots',
  root: 'roots',
  flower: 'flowers',
  'flower-bud': 'buds',
  fruit: 'berries',
  nut: 'nuts',
  'needle-tip': 'tips',
}

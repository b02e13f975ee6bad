import MiniSearch from 'minisearch'
import type { Catalogue } from './catalogue'
import { SEVERITIES, type Season, type Taxon, type Use } from './taxon'
import { PARTS, plainWords, type Part } from './vocabulary'

/** What was asked for, and what it could mean. */
export interface PlantSearch {
  readonly hits: readonly PlantHit[]
  /** One common name that means several plants: they are to be seen side by side. */
  readonly shared: { readonly name: string; readonly taxa: readonly Taxon[] } | undefined
  /** An older scientific name, and the plant that bears another one now. */
  readonly renamed: { readonly asked: string; readonly taxon: Taxon } | undefined
}

export interface PlantHit {
  readonly taxon: Taxon
  /** The name that fits what was asked best, in whatever language. */
  readonly name: string
  /** Uses that fit the part and season asked for; all uses that are food where none was asked for. */
  readonly uses: readonly Use[]
}

const LANGUAGES = ['en', 'de', 'fr'] as const
/** A word may differ by about one letter in four: a misspelling, not another word. */
const FUZZY = 0.25
const SHORTEST_FUZZY = 4
const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'] // prettier-ignore
const SEASON_MONTHS: Readonly<Record<Season, readonly number[]>> = {
  spring: [3, 4, 5],
  summer: [6, 7, 8],
  autumn: [9, 10, 11],
  winter: [12, 1, 2],
}
const PART_WORDS: Readonly<Record<string, readonly Part[]>> = {
  leaves: ['leaf', 'leafy-top'],
  leaf: ['leaf', 'leafy-top'],
  greens: ['leaf', 'leafy-top', 'shoot'],
  tops: ['leafy-top'],
  buds: ['flower-bud'],
  berries: ['fruit'],
  needles: ['needle-tip'],
  tips: ['needle-tip', 'leafy-top'],
  roots: ['root', 'rhizome', 'tuber', 'corm'],
  lichen: ['thallus'],
}

interface Index {
  readonly names: MiniSearch<{ id: string; names: string }>
  readonly byId: ReadonlyMap<string, Taxon>
  /** Common names and their last words, with the plants that bear them. */
  readonly bearers: ReadonlyMap<string, readonly Taxon[]>
}

const INDEXES = new WeakMap<Catalogue, Index>()

/**
 * Plants by a name in English, German or French, a scientific name old or new, a family, a part, a month or a season, and by
 * a misspelling of any name. Words of part and season narrow; an empty question finds all. It finds, it never identifies.
 */
export function searchPlants(catalogue: Catalogue, question: string): PlantSearch {
  const index = indexOf(catalogue)
  const words = plain(question).split(' ').filter(Boolean)
  const parts = words.flatMap((word) => partsOf(word))
  const months = words.flatMap((word) => monthsOf(word))
  const rest = words.filter((word) => partsOf(word).length === 0 && monthsOf(word).length === 0 && word !== 'in')
  // A word of a name may be the word of a part too: sea beet, beech nut.
  const whole = words.join(' ')
  const named = findNames(index, whole) ?? findNames(index, rest.join(' ')) ?? []
  const filtering = parts.length > 0 || months.length > 0
  const found = rest.length === 0 && named.length === 0 ? [...index.byId.values()] : named
  const hits = found.flatMap((taxon): readonly PlantHit[] => {
    const food = taxon.uses.filter(({ verdict }) => verdict !== 'never')
    const uses = filtering && rest.length < words.length ? food.filter((use) => fits(use, parts, months)) : food
    return filtering && rest.length === 0 && uses.length === 0 ? [] : [{ taxon, name: bestName(taxon, words), uses }]
  })
  return { hits, shared: sharedName(index, whole), renamed: renamedFrom(catalogue, whole) }
}

function indexOf(catalogue: Catalogue): Index {
  const known = INDEXES.get(catalogue)
  if (known !== undefined) return known
  const names = new MiniSearch<{ id: string; names: string }>({ fields: ['names'] })
  const bearers = new Map<string, Taxon[]>()
  for (const taxon of catalogue.taxa) {
    const all = namesOf(taxon)
    names.add({ id: taxon.scientificName, names: plain([...all, taxon.family].join(' ')) })
    for (const name of new Set(
      commonNamesOf(taxon).flatMap((each) => [plain(each), plain(each).split(' ').at(-1) ?? '']),
    )) {
      const others = bearers.get(name) ?? []
      bearers.set(name, [...others, taxon])
    }
  }
  const made = { names, bearers, byId: new Map(catalogue.taxa.map((taxon) => [taxon.scientificName, taxon])) }
  INDEXES.set(catalogue, made)
  return made
}

function findNames({ names, byId }: Index, asked: string): readonly Taxon[] | undefined {
  if (asked === '') return undefined
  const found = names.search(asked, {
    combineWith: 'AND',
    prefix: true,
    fuzzy: (term) => (term.length >= SHORTEST_FUZZY ? FUZZY : false),
  })
  const taxa = found.flatMap(({ id }) => byId.get(String(id)) ?? [])
  return taxa.length === 0 ? undefined : taxa
}

function sharedName({ bearers }: Index, asked: string): PlantSearch['shared'] {
  // The worst first, that it is not read past.
  const taxa = (bearers.get(asked) ?? []).toSorted(
    (a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity),
  )
  return taxa.length > 1 ? { name: asked, taxa } : undefined
}

function renamedFrom(catalogue: Catalogue, asked: string): PlantSearch['renamed'] {
  const taxon = catalogue.taxa.find(({ synonyms }) => synonyms.some((synonym) => plain(synonym) === asked))
  const synonym = taxon?.synonyms.find((each) => plain(each) === asked)
  return taxon === undefined || synonym === undefined ? undefined : { asked: synonym, taxon }
}

function bestName(taxon: Taxon, words: readonly string[]): string {
  const fitting = namesOf(taxon).find((name) => words.length > 0 && words.every((word) => plain(name).includes(word)))
  return fitting ?? taxon.commonNames.en[0] ?? taxon.scientificName
}

function commonNamesOf(taxon: Taxon): readonly string[] {
  return LANGUAGES.flatMap((language) => taxon.commonNames[language])
}

function namesOf(taxon: Taxon): readonly string[] {
  return [...commonNamesOf(taxon), taxon.scientificName, ...taxon.synonyms]
}

function partsOf(word: string): readonly Part[] {
  return PART_WORDS[word] ?? PARTS.filter((part) => plainWords(part) === word || `${plainWords(part)}s` === word)
}

function monthsOf(word: string): readonly number[] {
  const month = MONTHS.indexOf(word) + 1
  return month > 0 ? [month] : (SEASON_MONTHS[word as Season] ?? [])
}

function fits({ part, window }: Use, parts: readonly Part[], months: readonly number[]): boolean {
  const inPart = parts.length === 0 || parts.includes(part)
  if (months.length === 0) return inPart
  if (window === undefined) return false
  const [from, to] = [Number(window.from.slice(0, 2)), Number(window.to.slice(0, 2))]
  const within = (month: number) => (from <= to ? month >= from && month <= to : month >= from || month <= to)
  return inPart && months.some(within)
}

/** Lower case, without accents, apostrophes and hyphens: what a hurried thumb types. */
function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’]/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase()
    .replaceAll('ß', 'ss')
}

/** A name written nearly like one of a list, within a letter in four; undefined where none is, or it stands there itself. */
export function misspelt(name: string, names: readonly string[]): string | undefined {
  if (names.includes(name)) return undefined
  const index = new MiniSearch<{ id: string; name: string }>({ fields: ['name'] })
  index.addAll([...new Set(names)].map((each) => ({ id: each, name: each })))
  const [hit] = index.search(name, { fuzzy: FUZZY })
  return hit === undefined ? undefined : String(hit.id)
}

import { CATALOGUE, CHARACTERS, clear, judgeTells, requireTaxon, type Taxon } from '@ellop/core'
import { chance } from '../core/src/quantity/chance'

const SEED = 20271116
const SETTLED_AT_MOST = 40
/** Rounds of exchanging places in the search for a good fixed order. */
const EXCHANGES = 60

/** A cook who claims one plant and honestly looks at another, which may be the same. */
interface Observer {
  readonly claimed: string
  /** The state that this plant shows of each character. */
  readonly shows: Readonly<Record<string, string>>
}

const NOT_ASKED = ['habitatSeen', 'taste']
const VOCABULARY = Object.keys(CHARACTERS).filter((character) => !NOT_ASKED.includes(character))

/**
 * How many answers settle a claim (open or shut) when the core chooses the next tell, in the order of the vocabulary, and in the
 * best single fixed order found. Every food is claimed truly once, and once for each dangerous double its record lists.
 */
export function benchTells(): void {
  const random = chance(SEED)
  const show = (taxon: Taxon) =>
    Object.fromEntries(
      Object.entries(taxon.characters).map(([character, states]) => [
        character,
        states[Math.floor(random() * states.length)] ?? '',
      ]),
    )
  const foods = CATALOGUE.taxa.filter(({ uses }) => uses.some(({ verdict }) => verdict !== 'never'))
  const observers: readonly Observer[] = foods.flatMap((food) => [
    { claimed: food.scientificName, shows: show(food) },
    ...food.lookalikes
      .filter(({ severity }) => severity === 'deadly' || severity === 'toxic')
      .map(({ scientificName }) => ({
        claimed: food.scientificName,
        shows: show(requireTaxon(CATALOGUE, scientificName)),
      })),
  ])
  const chosen = average(observers, (observer) => answersByChoice(observer))
  const inVocabulary = average(observers, (observer) => answersInOrder(observer, VOCABULARY))
  const { order, answers } = bestFixedOrder(observers, random)
  console.log(
    `telling: ${observers.length} honest observers, ${foods.length} claiming truly; answers until the gate opens or shuts:`,
  )
  console.log(`  next tell chosen                             ${chosen.toFixed(2)}`)
  console.log(
    `  best single fixed order found                ${answers.toFixed(2)}  (${order.slice(0, 6).join(', ')}, …)`,
  )
  console.log(`  order of the vocabulary                      ${inVocabulary.toFixed(2)}`)
}

function average(observers: readonly Observer[], answers: (observer: Observer) => number): number {
  return observers.reduce((sum, observer) => sum + answers(observer), 0) / observers.length
}

function answersByChoice({ claimed, shows }: Observer): number {
  const observed: Record<string, readonly string[]> = {}
  const notVisible: string[] = []
  for (let count = 0; count < SETTLED_AT_MOST;) {
    const { gate, next } = clear({ taxon: claimed, observed, notVisible }, CATALOGUE)
    const character = next[0]?.character
    if (gate !== 'ajar' || character === undefined) return count
    count += 1
    const state = shows[character]
    if (state === undefined) notVisible.push(character)
    else observed[character] = [state]
  }
  return SETTLED_AT_MOST
}

function answersInOrder({ claimed, shows }: Observer, order: readonly string[]): number {
  const observed: Record<string, readonly string[]> = {}
  const { characters } = requireTaxon(CATALOGUE, claimed)
  let count = 0
  for (const character of order) {
    // Only what the claimed plant's record speaks of is asked, as by the core.
    if (characters[character] === undefined) continue
    count += 1
    const state = shows[character]
    if (state === undefined) continue
    observed[character] = [state]
    if (judgeTells({ taxon: claimed, observed }, CATALOGUE).gate !== 'ajar') return count
  }
  return count
}

/** Begins with the order in which the core asks on average, and exchanges places as long as that helps. */
function bestFixedOrder(observers: readonly Observer[], random: () => number) {
  const sample = observers.filter((_, index) => index % 4 === 0)
  const places = new Map(VOCABULARY.map((character) => [character, 0]))
  for (const { claimed, shows } of sample) {
    const observed: Record<string, readonly string[]> = {}
    for (let place = 0; place < 8; place += 1) {
      const character = clear({ taxon: claimed, observed }, CATALOGUE).next[0]?.character
      if (character === undefined || shows[character] === undefined) break
      observed[character] = [shows[character]]
      places.set(character, (places.get(character) ?? 0) + 1 / (1 + place))
    }
  }
  let order = VOCABULARY.toSorted((a, b) => (places.get(b) ?? 0) - (places.get(a) ?? 0))
  let least = average(sample, (observer) => answersInOrder(observer, order))
  for (let round = 0; round < EXCHANGES; round += 1) {
    const from = Math.floor(random() * 14)
    const to = Math.floor(random() * 14)
    const tried = [...order]
    const [moved] = tried.splice(from, 1)
    if (moved === undefined) continue
    tried.splice(to, 0, moved)
    const answers = average(sample, (observer) => answersInOrder(observer, tried))
    if (answers < least) [order, least] = [tried, answers]
  }
  return { order, answers: average(observers, (observer) => answersInOrder(observer, order)) }
}

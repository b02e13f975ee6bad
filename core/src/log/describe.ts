import { nameInTextOf, type Catalogue } from '../flora/catalogue'
import { CHARACTERS, plainWords, sensitivityWords } from '../flora/vocabulary'
import { tellWords } from '../identity/lotTells'
import { formatCount, formatList, formatMass, formatSpan, formatTemp, formatVolume, grouped } from '../quantity/format'
import { formatDate, formatDay, timeOf, type Instant } from '../quantity/instant'
import { UNIT_SIGNS } from '../evidence/figure'
import { PURPOSE_WORDS, PURPOSES } from '../take/setAside'
import { instrument } from '../instruments/instruments'
import { kitchenAt } from './houseState'
import type { ReadingKind } from '../lot/lotState'
import type { Entry, LotEntry } from './entries'
import { isLotEntry } from './entries'
import type { BookState } from './fold'

/** One plain sentence for an entry, as the notebook shows it. */
export function describeEntry(entry: Entry, book: BookState, catalogue: Catalogue): string {
  if (isLotEntry(entry)) return describeLotEntry(entry, book, catalogue)
  switch (entry.type) {
    case 'kitchen-set':
      return `The kitchen is ${entry.kitchen.name}, at ${grouped(entry.kitchen.elevation_m)} m.`
    case 'ground-noted': {
      const name = entry.name ?? book.house.patches[entry.patch]?.name ?? entry.patch
      return `Ground of ${name}: ${formatList(Object.keys(entry.facts).map((fact) => FACT_WORDS[fact] ?? fact)) || 'named'}.`
    }
    case 'eater-noted': {
      const { name, kind, sensitivities, ownCaps = [] } = entry.eater
      const known =
        sensitivities === null
          ? 'not asked yet'
          : sensitivities.length === 0
            ? 'asked: no allergies or illnesses'
            : formatList(sensitivities.map(sensitivityWords))
      return `${name} (${kind}): ${formatList([known, ...ownCaps.map(({ taxon, perDay_g }) => `at most ${formatMass(perDay_g)} a day of ${nameInTextOf(taxon, catalogue)}`)])}.`
    }
    case 'plant-met':
      return `Met ${nameInTextOf(entry.taxon, catalogue)} (${plainWords(entry.stage)})${entry.patch === undefined ? '' : ` at ${book.house.patches[entry.patch]?.name ?? entry.patch}`} and was sure of it${entry.mentor === undefined ? '' : `, shown by ${entry.mentor}`}.`
    case 'plant-recorded':
      return `Put ${entry.plant.commonName} (${entry.plant.scientificName}) on record, after ${entry.plant.source}.`
    case 'outing-planned':
      return `Planned an outing on ${formatDate(entry.day)}: ${formatList([...new Set(entry.wishes.map(({ taxon }) => nameInTextOf(taxon, catalogue)))])}, for ${formatCount(entry.plates, 'plate')}.`
    case 'gave-back':
      return `Gave back to ${book.house.patches[entry.patch]?.name ?? entry.patch}: ${plainWords(entry.what)}${entry.count === null ? '' : ` (${entry.count})`}${entry.taxon === undefined ? '' : `, ${nameInTextOf(entry.taxon, catalogue)}`}.`
    case 'stand-set-aside':
      return `${nameInTextOf(entry.taxon, catalogue)} at ${book.house.patches[entry.patch]?.name ?? entry.patch} shared out: ${formatList(PURPOSES.flatMap((purpose) => (entry.shares[purpose] === undefined ? [] : [`${Math.round(100 * entry.shares[purpose])} % for ${PURPOSE_WORDS[purpose]}`]))) || 'for anything'}.`
    case 'trial-set':
      return `Trial of ${nameInTextOf(entry.taxon, catalogue)}, “${entry.school}”: step ${entry.step + 1} for ${formatList(entry.arms.map(({ lot, minutes }) => `${minutes === 0 ? 'none' : formatSpan(minutes)} (lot ${book.lots.get(lot)?.code ?? lot})`))}.`
    case 'figure-noted':
      return `${nameInTextOf(entry.taxon, catalogue)}, ${plainWords(entry.part)}, by ${entry.figure.source}: ${entry.figure.value} ${UNIT_SIGNS[entry.figure.unit]} ${plainWords(entry.figure.what)} in ${formatMass(entry.figure.per_g)}, ${entry.figure.basis === 'unsaid' ? 'fresh or dry not said' : entry.figure.basis}.`
    case 'claim-noted':
      return `${entry.claim.awaited === true ? 'Awaited of' : 'Said of'} ${nameInTextOf(entry.taxon, catalogue)} (${formatList(entry.claim.schools)}), by ${entry.claim.who}: ${entry.claim.says}`
    case 'stop-noted':
      return `Stopped at ${book.house.patches[entry.patch]?.name ?? entry.patch}: ${formatList(entry.finds.map(({ taxon, part, state }) => `${nameInTextOf(taxon, catalogue)} ${plainWords(part)} ${plainWords(state)}`))}.`
    case 'struck':
      return `Struck out: ${entry.why}.`
    case 'redated':
      return `Happened at another time than was noted, ${inKitchen(entry.to, book)}: ${entry.why}.`
    case 'split':
      return `${formatMass(entry.mass_g)} of lot ${codeOf(entry.lot, book)} go their own way as ${entry.code}: ${entry.why}.`
    case 'joined':
      return `Joined as ${entry.code}: ${formatList(entry.parts.map(({ lot, mass_g }) => `${formatMass(mass_g)} of lot ${codeOf(lot, book)}`))}.`
    case 'opened':
      return `Opened pack ${entry.pack}: ${formatMass(entry.mass_g)} in hand again as ${entry.code}.`
    case 'patch-turned':
      return `Recall of ${book.house.patches[entry.patch]?.name ?? entry.patch}${entry.since === null ? '' : `, picked from ${formatDate(entry.since)} on`}: ${entry.why}.`
    case 'food-turned':
      return `Recall of ${entry.pack === null ? `lot ${codeOf(entry.of, book)}` : `pack ${entry.pack}`}: ${entry.why}.`
    case 'felt-ill':
      return `${book.house.eaters[entry.eater]?.name ?? entry.eater} feels ill: ${entry.symptoms}.`
    case 'ill-explained':
      return `The illness of ${book.house.eaters[entry.eater]?.name ?? entry.eater} was not the food: ${entry.why}.`
    case 'numbers-noted':
      return 'Numbers to call were written down.'
    case 'instrument-set-right': {
      const { name, unit } = instrument(entry.instrument)
      const off = Number(Math.abs(entry.offset).toPrecision(2))
      return `${name} set right: it showed ${off} ${unit} too ${entry.offset < 0 ? 'little' : 'much'}${entry.simulated === true ? ' (stand-in)' : ''}.`
    }
    default:
      return unknownEntry(entry)
  }
}

function inKitchen(at: Instant, { house }: BookState): string {
  const timeZone = kitchenAt(house, at)?.timeZone ?? 'UTC'
  return `${formatDay(at, timeZone, true)} ${timeOf(at, timeZone)}`
}

function codeOf(lot: string, book: BookState): string {
  return book.lots.get(lot)?.code || lot
}

const FACT_WORDS: Readonly<Record<string, string>> = {
  permission: 'leave to pick',
  sprayed: 'spraying',
  busyRoad: 'distance to a road',
  pastUse: 'what it was before',
  manured: 'dung and fertiliser',
  dogs: 'dogs',
  looksHealthy: 'health of the stand',
  vigour: 'how it grows',
  law: 'what the law says',
  railway: 'distance to a railway',
  works: 'distance to works',
  field: 'farmed land near it',
  grazed: 'grazing',
  water: 'the water it stands in',
  upstream: 'what lies up the water',
  flood: 'floods',
  soil: 'soil tests',
  access: 'getting there',
  leftAlone: 'when it is left alone',
  habitat: 'what kind of ground',
  companions: 'what else grows there',
}

const PLACE_WORDS = { kitchen: 'out in the kitchen', cold: 'into the cold', hot: 'to keep hot' } as const
const CUTTING_WORDS = { cut: 'Cut up', pounded: 'Pounded or pureed', juiced: 'Juiced', soaked: 'Soaked' } as const

function describeLotEntry(entry: LotEntry, book: BookState, catalogue: Catalogue): string {
  switch (entry.type) {
    case 'weighed-in':
      return `${entry.counted === undefined ? 'Weighed in' : `Counted ${entry.counted}, about`} ${formatMass(entry.mass_g)} of ${nameInTextOf(entry.taxon, catalogue)} (${plainWords(entry.part)}, ${plainWords(entry.stage)}) from ${book.house.patches[entry.patch]?.name ?? entry.patch}.`
    case 'tell-seen': {
      const label = CHARACTERS[entry.character]?.label ?? entry.character
      return `${label}: ${tellWords(entry)}.`
    }
    case 'certain-attested':
      return `Was certain of the plant${entry.stand === undefined ? '' : entry.stand.mixed ? `, ${formatCount(entry.stand.stemsSeen, 'stem')} of a mixed stand looked at` : ', nothing else among it'}.`
    case 'stray-reported':
      return `A stray: ${entry.what}${entry.brokenUp ? ', already broken up with the rest' : ''}.`
    case 'revived':
      return `Stood in cold water for ${formatSpan(entry.minutes)}: ${entry.looks} after${entry.chilled ? ', wrapped and into the cold' : ''}.`
    case 'placed':
      return `Put ${PLACE_WORDS[entry.place]}${entry.temp_C === null ? '' : `, at ${formatTemp(entry.temp_C)}`}.`
    case 'sample-dried':
      return `A sample dried until its weight stood: ${formatMass(entry.wet_g)} became ${formatMass(entry.dry_g)}.`
    case 'cut-up':
      return `${CUTTING_WORDS[entry.how]}: it keeps like cooked food from here on.`
    case 'store-read':
      return `The store of pack ${entry.pack} measured: ${formatTemp(entry.temp_C)}${entry.simulated === true ? ' (stand-in)' : ''}.`
    case 'strays-sorted':
      return `Gone through again; ${formatCount(entry.found, 'stray')} taken out.`
    case 'stand-counted':
      return `${entry.taken} of ${grouped(entry.stems)} stems cut${entry.wildlifeLooked ? `, ${entry.wildlifeOn} with wildlife` : ', wildlife not looked for'}.`
    case 'plants-scored':
      return `Bitten of ${formatCount(entry.plants.length, 'plant')}: ${formatList(entry.plants.map(({ plant, liking }) => `${plant} ${liking}`))} of 10.`
    case 'table-noted':
      return `At the table: ${formatList(entry.heard.map(({ eater, eaten_g, liking }) => `${book.house.eaters[eater]?.name ?? eater} ate ${formatMass(eaten_g)}${liking === null ? '' : `, ${liking} of 10`}`))}.`
    case 'snapped':
      return `${formatCount(entry.tips.length, 'tip')} snapped at ${formatList(entry.tips.map(({ length_cm }) => `${length_cm} cm`))}.`
    case 'sorted':
      return `Sorted: kept ${formatMass(entry.kept_g)}; trimmed off ${formatMass(entry.trimmed_g)}, to ${entry.trimmedTo}.`
    case 'washed':
      return `Washed in ${entry.wash.water === 'safe' ? 'safe water' : `water with ${entry.wash.water}`}, ${formatCount(entry.wash.changes, 'change')}.`
    case 'way-chosen':
      return `Way chosen: ${entry.protocol}, to ${plainWords(entry.goal)}.`
    case 'step-begun':
      return `Load ${entry.load} begun: ${formatMass(entry.mass_g)}.`
    case 'step-done': {
      const end = { done: 'out', 'off-boil': 'went off the boil', stopped: 'stopped' }[entry.outcome]
      const temp = entry.temp_C === null ? '' : ` at ${formatTemp(entry.temp_C)}`
      return `Load ${end} after ${formatSpan(entry.minutes)}${temp}${entry.water === null ? '' : `, water ${entry.water === 'kept' ? 'kept' : 'thrown away'}`}.`
    }
    case 'bath-changed':
      return entry.fresh === null
        ? 'Water poured off; no fresh water on it.'
        : `Fresh water on it: ${formatVolume(entry.fresh.water_mL)}${
            entry.fresh.flow_mL_min === undefined
              ? ''
              : `, ${formatVolume(entry.fresh.flow_mL_min)} a minute running through`
          }${entry.fresh.temp_C === null ? '' : ` at ${formatTemp(entry.fresh.temp_C)}`}.`
    case 'reading-taken':
      return `Measured: ${READING_WORDS[entry.what](entry.value)} (${entry.instrument}).`
    case 'ingredient-added':
      return `Added ${formatMass(entry.mass_g)} of ${entry.name}.`
    case 'weighed':
      return entry.after === 'straining'
        ? `Strained off: ${formatVolume(entry.mass_g)} to drink.`
        : `Weighed ${formatMass(entry.mass_g)} after ${entry.after}.`
    case 'tasted': {
      const taster = book.house.eaters[entry.taster]?.name ?? entry.taster
      if (entry.alarm !== null) return `${taster} tasted ${plainWords(entry.alarm)}: stopped.`
      const others = Object.entries({
        ...{ dry: entry.astringent, ...entry.notes },
        ...(entry.aftertaste === undefined ? {} : { aftertaste: entry.aftertaste }),
      })
        .filter(([, score]) => score > 0)
        .map(([note, score]) => `, ${note} ${score}`)
      return `${taster} tasted: bitter ${entry.bitter} of 10${others.join('')}, ${entry.accepts ? 'good' : 'not yet'}.`
    }
    case 'packed':
      return `Packed ${formatMass(entry.mass_g)} ${entry.store}, ${formatCount(entry.containers, 'container')}.`
    case 'served': {
      const total_g = entry.portions.reduce((sum, { mass_g }) => sum + mass_g, 0)
      const eaters = formatList(entry.portions.map(({ eater }) => book.house.eaters[eater]?.name ?? eater))
      if (entry.onTheWay !== undefined)
        return `Eaten on the way, ${entry.onTheWay.rinsed ? 'rinsed' : 'not washed'}: ${formatMass(total_g)} by ${eaters}.`
      return `Served ${formatMass(total_g)} as ${entry.dish} to ${eaters}.`
    }
    case 'thrown-away':
      return `Threw away ${formatMass(entry.mass_g)}: ${entry.why}.`
    default:
      return unknownEntry(entry)
  }
}

function unknownEntry(entry: never): never {
  throw new RangeError(`describeEntry: expected a known entry, got ${JSON.stringify(entry)}`)
}

const READING_WORDS: Readonly<Record<ReadingKind, (value: number) => string>> = {
  temp_C: formatTemp,
  ph: (value) => `pH ${value}`,
  brix: (value) => `${value} Brix`,
  salinity: (value) => `${value} % salt`,
  mass_g: formatMass,
}

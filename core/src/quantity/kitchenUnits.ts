import { grouped } from './format'
import { readNumber } from './number'

/** Which measures a cook reads and types; what is stored is metric always. */
export type Units = 'metric' | 'kitchen'

type Dimension = 'mass' | 'volume' | 'length' | 'temperature'

interface Unit {
  readonly dimension: Dimension
  /** How many of the dimension's first unit one of these is: g, mL, mm; of a degree, the size of the step in °C. */
  readonly size: number
  /** Where its nought lies, in °C. */
  readonly nought?: number
}

const DIMENSION_SAYS: Readonly<Record<Dimension, string>> = {
  mass: 'a weight',
  volume: 'a volume',
  length: 'a length',
  temperature: 'a temperature',
}

/** The units of a dimension that a refusal offers. */
const OFFERED: Readonly<Record<Dimension, string>> = {
  mass: 'g, kg, oz or lb',
  volume: 'mL, L, cups, qt or fl oz',
  length: 'mm, cm, m, in or ft',
  temperature: '°C or °F',
}

const oz_g = 28.349523125
const floz_mL = 29.5735295625
const in_mm = 25.4

const mass = (size: number): Unit => ({ dimension: 'mass', size })
const volume = (size: number): Unit => ({ dimension: 'volume', size })
const length = (size: number): Unit => ({ dimension: 'length', size })

/**
 * Every unit that may be typed, by each way of writing it. The inch, the pound and the gallon of 231 cubic inches are exact by
 * definition (NIST Handbook 44, appendix C); cups, pints, quarts and gallons are the customary ones of the United States.
 */
const UNITS: Readonly<Record<string, Unit>> = {
  ...named(mass(1), 'g', 'gram', 'grams'),
  ...named(mass(1000), 'kg', 'kilo', 'kilos'),
  ...named(mass(oz_g), 'oz', 'ounce', 'ounces'),
  ...named(mass(16 * oz_g), 'lb', 'lbs', 'pound', 'pounds'),
  ...named(volume(1), 'ml'),
  ...named(volume(10), 'cl'),
  ...named(volume(100), 'dl'),
  ...named(volume(1000), 'l', 'litre', 'litres', 'liter', 'liters'),
  ...named(volume(floz_mL / 6), 'tsp', 'teaspoon', 'teaspoons'),
  ...named(volume(floz_mL / 2), 'tbsp', 'tablespoon', 'tablespoons'),
  ...named(volume(floz_mL), 'fl oz', 'floz', 'fluid ounce', 'fluid ounces'),
  ...named(volume(8 * floz_mL), 'cup', 'cups'),
  ...named(volume(16 * floz_mL), 'pt', 'pint', 'pints'),
  ...named(volume(32 * floz_mL), 'qt', 'quart', 'quarts'),
  ...named(volume(128 * floz_mL), 'gal', 'gallon', 'gallons'),
  ...named(length(1), 'mm'),
  ...named(length(10), 'cm'),
  ...named(length(1000), 'm', 'metre', 'metres', 'meter', 'meters'),
  ...named(length(1e6), 'km'),
  ...named(length(in_mm), 'in', 'inch', 'inches', '"', '″'),
  ...named(length(12 * in_mm), 'ft', 'foot', 'feet', "'", '′'),
  ...named(length(36 * in_mm), 'yd', 'yard', 'yards'),
  ...named(length(63_360 * in_mm), 'mi', 'mile', 'miles'),
  ...named({ dimension: 'temperature', size: 1 }, '°c', 'c', 'celsius'),
  ...named({ dimension: 'temperature', size: 5 / 9, nought: -160 / 9 }, '°f', 'f', 'fahrenheit'),
}

function named(unit: Unit, ...names: readonly string[]): Record<string, Unit> {
  return Object.fromEntries(names.map((name) => [name, unit]))
}

/** The kitchen unit in which a field of a metric unit is shown, and to how many places. */
const SHOWN_AS: Readonly<Record<string, { readonly unit: string; readonly places: number }>> = {
  g: { unit: 'oz', places: 2 },
  kg: { unit: 'lb', places: 2 },
  mL: { unit: 'fl oz', places: 2 },
  L: { unit: 'qt', places: 2 },
  mm: { unit: 'in', places: 3 },
  cm: { unit: 'in', places: 2 },
  m: { unit: 'ft', places: 1 },
  km: { unit: 'mi', places: 2 },
  '°C': { unit: '°F', places: 1 },
}

/** The unit of a field as a cook sees it. @example shownUnit('m above the sea', 'kitchen') // 'ft above the sea' */
export function shownUnit(unit: string, units: Units): string {
  const [metric = '', ...rest] = unit.split(' ')
  const shown = units === 'kitchen' ? SHOWN_AS[metric] : undefined
  return shown === undefined ? unit : [shown.unit, ...rest].join(' ')
}

/**
 * The text that a field shows for a stored metric text; a text that is no number stays as it is.
 * @example shownText('226.796185', 'g', 'kitchen') // '8'
 */
export function shownText(stored: string, unit: string, units: Units): string {
  const value = readNumber(stored)
  const metric = unit.split(' ')[0] ?? ''
  const shown = units === 'kitchen' ? SHOWN_AS[metric] : undefined
  if (value === undefined || shown === undefined) return stored
  return numberText(Number(outOf(into(value, unitOf(metric)), unitOf(shown.unit)).toFixed(shown.places)))
}

/** What was typed into a field: its metric text, with what else there is to say of it. */
export interface TypedQuantity {
  /** As `readNumber` reads it, in the field's own metric unit; what was typed where that is no quantity. */
  readonly stored: string
  /** It was turned from another unit into the field's own. */
  readonly turned: boolean
  /** Why a unit that was typed does not fit this field, in one sentence. */
  readonly refused?: string
}

/**
 * Reads what a cook types into a field of a metric unit: a bare number in the unit that the field shows, or one with its unit
 * (`8 oz`, `1 lb 4 oz`, `1½ cups`, `180 F`). A bare metric number is kept letter by letter; others are turned exactly, so that
 * what was typed is what is shown again.
 */
export function readTyped(typed: string, unit: string, units: Units): TypedQuantity {
  const metric = unit.split(' ')[0] ?? ''
  const own = UNITS[metric.toLowerCase()]
  const as = shownUnit(metric, units)
  const pieces = piecesOf(typed)
  const asTyped = { stored: typed, turned: false }
  if (own === undefined || pieces === undefined) return asTyped
  const bare = pieces.length === 1 && pieces[0]?.unit === ''
  if (bare && as === metric && readNumber(typed) !== undefined) return asTyped
  const found = pieces.map((piece) => ({
    value: piece.value,
    unit: piece.unit === '' ? unitOf(as) : UNITS[piece.unit],
    name: piece.unit,
  }))
  const stranger = found.find((piece) => piece.unit?.dimension !== own.dimension)
  if (stranger !== undefined)
    return stranger.unit === undefined
      ? asTyped
      : {
          ...asTyped,
          refused: `“${stranger.name}” is ${DIMENSION_SAYS[stranger.unit.dimension]}; here it is ${DIMENSION_SAYS[own.dimension]} that is asked for: ${OFFERED[own.dimension]}.`,
        }
  const inFirst = found.reduce((sum, piece) => sum + into(piece.value, piece.unit ?? own), 0)
  return { stored: numberText(round(outOf(inFirst, own))), turned: true }
}

/** Whether a kitchen has no thousands of a unit: of kilograms, litres, pounds and cups it has not. */
function isLarge(unit: Unit | undefined): boolean {
  return unit !== undefined && ['mass', 'volume'].includes(unit.dimension) && unit.size > LARGE
}
/** In grams or millilitres. */
const LARGE = 20
const FRACTIONS: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const GLYPHS = Object.keys(FRACTIONS).join('')
/** A number with its fraction (`1½`, `1 1/2`, `3/4`, `12.5`), then its unit or nothing. */
const PIECE = new RegExp(
  `^\\s*(?:([-−+]?[\\d.,]*\\d[.,]?(?![\\d/]))?\\s*(?:([${GLYPHS}])|(\\d+)\\s*/\\s*(\\d+))?)\\s*(fl\\.?\\s*oz|fluid ounces?|°\\s*[cf]|["″'′]|[a-z]+)?\\.?`,
  'i',
)

/** The numbers of a text with their units, as `1 lb 4 oz` holds two; undefined where it is not made of such. */
function piecesOf(typed: string): readonly { readonly value: number; readonly unit: string }[] | undefined {
  const pieces: { value: number; unit: string }[] = []
  let rest = typed.trim()
  while (rest !== '') {
    const [all = '', whole, glyph, over, under, unit = ''] = PIECE.exec(rest) ?? []
    const name = unit.toLowerCase().replace(/[.\s]+/g, ' ')
    const value = whole === undefined ? 0 : readNumber(whole, isLarge(UNITS[name]))
    const fraction = glyph !== undefined ? FRACTIONS[glyph] : over === undefined ? 0 : Number(over) / Number(under)
    const numberless = whole === undefined && glyph === undefined && over === undefined
    if (numberless || value === undefined || fraction === undefined || !Number.isFinite(fraction)) return undefined
    // A bare number may only stand alone, and only the first of several may lie below nought.
    if ((unit === '' && all.length < rest.length) || (pieces.length > 0 && value < 0)) return undefined
    if (fraction > 0 && !Number.isInteger(value)) return undefined
    pieces.push({
      value: /^[-−]/.test(whole ?? '') ? value - fraction : value + fraction,
      unit: name.replace('° ', '°').replace(/^fl ?oz$/, 'fl oz'),
    })
    rest = rest.slice(all.length).trim()
  }
  return pieces.length === 0 ? undefined : pieces
}

/**
 * A number as text that `readNumber` reads back as the same number: never with an exponent, nor with just three places, which
 * would be read as thousands. @example numberText(1.524) // '1.5240'
 */
export function numberText(value: number): string {
  const text = /e/.test(String(value)) ? value.toFixed(20).replace(/\.?0+$/, '') : String(value)
  return /\.\d{3}$/.test(text) ? `${text}0` : text
}

function unitOf(name: string): Unit {
  const unit = UNITS[name.toLowerCase()]
  if (unit === undefined) throw new RangeError(`unitOf: expected a known unit, got “${name}”`)
  return unit
}

function into(value: number, unit: Unit): number {
  return value * unit.size + (unit.nought ?? 0)
}

function outOf(value: number, unit: Unit): number {
  return (value - (unit.nought ?? 0)) / unit.size
}

/** Twelve figures: what a cook typed is in the first four, and sums of turned numbers meet again. */
function round(value: number): number {
  return Number(value.toPrecision(12))
}

const NUMBER = String.raw`[−-]?(?:\d{1,3}(?:,\d{3})+|\d+)(?:\.\d+)?`
const FIGURE = new RegExp(
  String.raw`(?<![\w/.,])(off by )?(?:(between )(${NUMBER}) and |(${NUMBER})( to |–| of ))?(${NUMBER})[ \u00a0]?(kg|g|mL|L|°C|km\/h|km|mm|cm|m)(?![\w/²³])((?: warmer| cooler| too | above the | below the )?)`,
  'g',
)

/**
 * A sentence with its metric figures in kitchen units: masses in ounces and pounds, volumes in fluid ounces, cups and quarts, °F,
 * inches, feet and miles; both ends of a range in one unit. A difference of temperatures keeps no nought. Figures that are a share
 * of a unit (mg/kg) stay as they are.
 * @example inKitchenUnits('Bring 5 L to the boil: 700 to 900 g') // 'Bring 5¼ qt to the boil: 24.7 to 31.7 oz'
 */
export function inKitchenUnits(text: string): string {
  return text.replace(
    FIGURE,
    (
      _,
      off: string | undefined,
      between: string | undefined,
      lowB: string | undefined,
      lowT: string | undefined,
      to: string,
      high: string,
      unit: string,
      differs: string,
    ) => {
      const low = lowB ?? lowT
      const figures = [...(low === undefined ? [] : [low]), high].map(plainNumber)
      const shown = WRITE[unit]?.(figures, off !== undefined || differs !== '')
      if (shown === undefined) throw new RangeError(`inKitchenUnits: no way to write ${unit}`)
      const [first, last = first] = shown.numbers
      const range = low === undefined ? first : `${between ?? ''}${first}${between === undefined ? to : ' and '}${last}`
      return `${off ?? ''}${range} ${shown.unit}${differs}`
    },
  )
}

interface Shown {
  readonly numbers: readonly string[]
  readonly unit: string
}

/** How the figures before each metric unit are written; several are the ends of a range. */
const WRITE: Readonly<Record<string, (figures: readonly number[], differs: boolean) => Shown>> = {
  g: masses,
  kg: (figures) => masses(figures.map((each) => each * 1000)),
  mL: volumes,
  L: (figures) => volumes(figures.map((each) => each * 1000)),
  mm: inches,
  cm: (figures) => inches(figures.map((each) => each * 10)),
  m: (figures) => {
    const feet = figures.map((each) => (each * 1000) / (12 * in_mm))
    return { numbers: feet.map((each) => trimmed(each, Math.abs(each) < 10 ? 1 : 0)), unit: 'ft' }
  },
  km: (figures) => ({ numbers: figures.map((each) => trimmed((each * 1e6) / (63_360 * in_mm), 1)), unit: 'mi' }),
  'km/h': (figures) => ({ numbers: figures.map((each) => trimmed((each * 1e6) / (63_360 * in_mm), 0)), unit: 'mph' }),
  '°C': (figures, differs) => ({
    numbers: figures.map((each) => trimmed(each * 1.8 + (differs ? 0 : 32), 1)),
    unit: '°F',
  }),
}

/** Ounces below a pound, and the ends of a range up to two; else pounds with their ounces. */
function masses(figures_g: readonly number[]): Shown {
  const ounces = figures_g.map((each) => each / oz_g)
  const most = Math.max(...ounces)
  if (Number(most.toFixed(1)) < (figures_g.length > 1 ? 32 : 16))
    return { numbers: ounces.map((each) => trimmed(each, most < 10 ? 2 : 1)), unit: 'oz' }
  const [last = '', ...before] = ounces.map(poundsAndOunces).reverse()
  const unit = last.endsWith('lb') ? 'lb' : 'oz'
  return { numbers: [...before.reverse(), last.slice(0, -unit.length).trim()], unit }
}

function poundsAndOunces(ounces: number): string {
  const tenths = ounces < 160 ? Math.round(ounces * 10) : Math.round(ounces) * 10
  const rest = tenths % 160
  const pounds = tenths < 160 ? '' : `${grouped((tenths - rest) / 160)} lb`
  return rest === 0 ? pounds : `${pounds} ${trimmed(rest / 10, 1)} oz`.trim()
}

function volumes(figures_mL: readonly number[]): Shown {
  const NEAR = 1 / 30
  const write = (value: number) => inQuarters(value, NEAR)
  const ounces = figures_mL.map((each) => each / floz_mL)
  const most = Math.max(...ounces)
  if (most < 32) return { numbers: ounces.map(write), unit: 'fl oz' }
  if (most < 128) return { numbers: ounces.map((each) => write(each / 8)), unit: 'cups' }
  return { numbers: ounces.map((each) => write(each / 32)), unit: 'qt' }
}

/** As a jug or a rule is read: whole ones and quarters, grouped; in places where no quarter is so near, as a share. */
function inQuarters(value: number, near: number): string {
  const quarters = Math.round(value * 4)
  if (quarters === 0 || Math.abs(quarters / 4 / value - 1) > near) return trimmed(value, 2)
  const whole = Math.floor(quarters / 4)
  const part = ['', '¼', '½', '¾'][quarters % 4] ?? ''
  return value >= 25 ? grouped(value) : `${whole === 0 ? '' : grouped(whole)}${part}`
}

/** As a rule is read: quarters from an inch up, eighths below where they are near enough, else places. */
function inches(figures_mm: readonly number[]): Shown {
  const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞', '1']
  const NEAR = 0.08
  const write = (value: number) => {
    if (value >= 1) return inQuarters(value, NEAR)
    const eighths = Math.round(value * 8)
    return eighths > 0 && Math.abs(eighths / 8 / value - 1) <= NEAR ? (EIGHTHS[eighths] ?? '') : trimmed(value, 2)
  }
  return { numbers: figures_mm.map((each) => write(each / in_mm)), unit: 'in' }
}

/** A figure to so many places, without noughts at its end, with the minus of the screens. */
function trimmed(value: number, places: number): string {
  const [whole, part = ''] = grouped(Math.abs(value), places).split('.')
  const kept = part.replace(/0+$/, '')
  const text = kept === '' ? (whole ?? '') : `${whole}.${kept}`
  return value < 0 && /[1-9]/.test(text) ? `−${text}` : text
}

function plainNumber(text: string): number {
  return Number(text.replaceAll(',', '').replace('−', '-'))
}

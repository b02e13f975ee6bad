import type { Taxon } from '../flora/taxon'
import { plainWords, type Part } from '../flora/vocabulary'
import type { HouseState } from '../log/houseState'
import { median } from '../quantity/average'
import { formatList } from '../quantity/format'
import { FIGURES, UNIT_OF_ENERGY, type Figure, type FigureOf, type FigureUnit } from './figure'

const kJ_PER_kcal = 4.184
const IN_g: Readonly<Record<Exclude<FigureUnit, 'kcal' | 'kJ' | 'percent'>, number>> = { g: 1, mg: 1e-3, ug: 1e-6 }
/** Nothing that is eaten holds more: pure fat. */
const MOST_kcal = 900
const WHOLE_g = 100
/** Tables round, and weigh their parts one by one. */
const OVER_WHOLE = 1.03
/** One figure that is so many times the others is a slip of a point or a unit before it is a discovery. */
const STRANGE_TIMES = 5
/** What together makes up the whole. */
const PARTS_OF_WHOLE: readonly FigureOf[] = ['water', 'protein', 'fat', 'carbohydrate', 'ash']
const PARTS_OF_CARBOHYDRATE: readonly FigureOf[] = ['sugars', 'starch']

/** A figure for 100 g of the fresh part: grams, or kilocalories of energy; a range where the water in it is only known as one. */
export interface PerFresh {
  readonly figure: Figure
  readonly low: number
  readonly high: number
  /** Why it is not to be taken as it stands. */
  readonly doubts: readonly string[]
}

/** What all sources say of one thing in a part. */
export interface FiguresOf {
  readonly what: FigureOf
  readonly each: readonly PerFresh[]
  /** Of those without a doubt, per 100 g fresh; undefined where none is left. */
  readonly between: { readonly low: number; readonly high: number } | undefined
  readonly sources: number
}

/**
 * All figures that the cook wrote down of a part, in one unit on one basis, for 100 g of it fresh (REC-6): dry figures by the water on
 * record, as a range. What cannot be is marked and left out of the range: more than the whole, parts that come to more than the whole in
 * one source, one figure many times the others. Nobody's figure is corrected; none of it is advice.
 */
export function figuresOf(taxon: Taxon, part: Part, house: Pick<HouseState, 'figures'>): readonly FiguresOf[] {
  const moisture = taxon.uses.find((use) => use.part === part && use.moisture !== undefined)?.moisture
  const noted = [taxon.scientificName, ...taxon.synonyms]
    .flatMap((name) => house.figures[name] ?? [])
    .filter((figure) => figure.part === part)
  const fresh = noted.map((figure) => perFresh(figure, moisture))
  return FIGURES.flatMap((what): readonly FiguresOf[] => {
    const same = fresh.filter(({ figure }) => figure.what === what)
    if (same.length === 0) return []
    const each = same.map((one) => ({
      ...one,
      doubts: [...one.doubts, ...overWhole(one, fresh), ...strange(one, same)],
    }))
    const sound = each.filter(({ doubts }) => doubts.length === 0)
    return [
      {
        what,
        each,
        between:
          sound.length === 0
            ? undefined
            : { low: Math.min(...sound.map(({ low }) => low)), high: Math.max(...sound.map(({ high }) => high)) },
        sources: new Set(sound.map(({ figure }) => figure.source)).size,
      },
    ]
  })
}

function perFresh(figure: Figure, moisture: { readonly low: number; readonly high: number } | undefined): PerFresh {
  const { value, unit, per_g, basis } = figure
  const amount =
    unit === 'kcal'
      ? value
      : unit === 'kJ'
        ? value / kJ_PER_kcal
        : unit === 'percent'
          ? (value * per_g) / 100
          : value * IN_g[unit]
  const per100 = (amount * 100) / per_g
  const dry =
    moisture === undefined ? undefined : { low: per100 * (1 - moisture.high), high: per100 * (1 - moisture.low) }
  if (basis === 'fresh') return { figure, low: per100, high: per100, doubts: [] }
  if (dry === undefined)
    return { figure, low: per100, high: per100, doubts: ['how much water the part holds is not on record, so a dry figure cannot be compared'] } // prettier-ignore
  return basis === 'dry'
    ? { figure, ...dry, doubts: [] }
    : { figure, low: dry.low, high: per100, doubts: ['it does not say whether fresh or dry'] }
}

function overWhole({ figure, low }: PerFresh, all: readonly PerFresh[]): readonly string[] {
  const { what, source } = figure
  if (what === 'energy') return low > MOST_kcal ? ['more energy than pure fat holds'] : []
  if (low > WHOLE_g) return ['more of it than the whole weighs']
  const from = (things: readonly FigureOf[]) =>
    things.flatMap((each) => all.find((one) => one.figure.what === each && one.figure.source === source) ?? [])
  const sum = (parts: readonly PerFresh[]) => parts.reduce((total, each) => total + each.low, 0)
  const whole = from(PARTS_OF_WHOLE)
  const doubts: string[] = []
  if (PARTS_OF_WHOLE.includes(what) && whole.length > 1 && sum(whole) > WHOLE_g * OVER_WHOLE)
    doubts.push(
      `in this source ${formatList(whole.map((each) => plainWords(each.figure.what)))} come to ${Math.round(sum(whole))} g in 100 g`,
    )
  const [carbohydrate] = from(['carbohydrate'])
  const within = from(PARTS_OF_CARBOHYDRATE)
  const inside = [...PARTS_OF_CARBOHYDRATE, 'carbohydrate' as const]
  if (inside.includes(what) && carbohydrate !== undefined && sum(within) > carbohydrate.high * OVER_WHOLE)
    doubts.push('in this source there is more sugar and starch than carbohydrate')
  return doubts
}

/** Held against the middle of all, which one slip cannot move; of two, each against the other: nobody can know which is wrong. */
function strange(one: PerFresh, same: readonly PerFresh[]): readonly string[] {
  const others = same.filter(({ figure }) => figure.source !== one.figure.source)
  if (others.length === 0) return []
  const middle = median((others.length === 1 ? others : same).map(({ low, high }) => (low + high) / 2))
  const own = (one.low + one.high) / 2
  if (middle <= 0 || own <= 0) return []
  const times = own > middle ? own / middle : middle / own
  if (times < STRANGE_TIMES) return []
  const than = others.length === 1 ? 'what the other source says' : `the middle of the ${same.length} figures`
  return [
    own > middle
      ? `about ${Math.round(times)} times ${than}: a point or a unit may have slipped`
      : `about one ${Math.round(times)}th of ${than}: a point or a unit may have slipped`,
  ]
}

const DIGITS = 2

/** An amount for 100 g as people write it, to two digits and no finer: "12 mg", "0.8 g", "45 kcal"; a range as one. */
export function figureWords(what: FigureOf, { low, high }: { readonly low: number; readonly high: number }): string {
  const [unit, times] =
    what === 'energy' ? ['kcal', 1] : high >= 0.5 ? ['g', 1] : high >= 5e-4 ? ['mg', 1e3] : (['µg', 1e6] as const)
  const text = (value: number) => String(Number((value * times).toPrecision(DIGITS)))
  return text(low) === text(high) ? `${text(high)} ${unit}` : `${text(low)} to ${text(high)} ${unit}`
}

/** A figure that cannot be written down as it is; undefined where it can. */
export function figureFault({
  what,
  unit,
  value,
}: Figure): { readonly field: string; readonly message: string } | undefined {
  const energy = UNIT_OF_ENERGY.includes(unit)
  if (energy !== (what === 'energy'))
    return {
      field: 'unit',
      message: what === 'energy' ? 'Energy is told in kcal or kJ.' : 'Only energy is told in kcal or kJ.',
    }
  if (unit === 'percent' && value > 100)
    return { field: 'value', message: 'More than 100 % of anything is a slip of the pen.' }
  return undefined
}

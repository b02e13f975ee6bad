import { Matrix, solve } from 'ml-matrix'
import { tasteMoments, type LeachPrior, type TasteForecastInput } from './forecast'

/** What makes lots alike: the plant, where it grew, the year it grew in, whose tongue tasted it. */
export interface Likeness {
  readonly taxon: string
  readonly patch: string
  readonly year: number
  readonly taster: string
}

/** An earlier lot and what was tasted of it, asked with the book's prior. */
export interface EarlierLot extends Likeness {
  readonly asked: TasteForecastInput
}

export interface Learned {
  readonly prior: LeachPrior
  /** Earlier lots with at least one taste. */
  readonly lots: number
  /** How many of them grew at the same patch. */
  readonly samePatch: number
}

/**
 * Of the book's variance, on the logarithm, how much lies between plants of another kind, patches, years and lots; of the strength
 * some between tongues, since a strength is known by its taste alone. Each adds up to 1. Planning values: no source tells them apart.
 */
const SHARES = {
  rate: { taxon: 0.3, patch: 0.35, year: 0.15, taster: 0, lot: 0.2 },
  strength: { taxon: 0.25, patch: 0.35, year: 0.15, taster: 0.1, lot: 0.15 },
} as const
type Quantity = keyof typeof SHARES
const QUANTITIES: readonly Quantity[] = ['rate', 'strength']
/** Below this share of the book's variance nothing would be learnt from what one lot says of one quantity. */
const LEAST_PRECISION = 1e-9

/**
 * The prior of a lot that was not tasted yet, from the tastes of earlier lots: the book's, moved toward what those lots were and
 * narrowed, the more the more alike they are.
 *
 * Hierarchical and normal on the logarithms: the deviation of a lot from the book is the sum of one of its plant, its patch, its
 * year, its taster and its own. What a lot's tastes say is its posterior over its prior, taken as normal (Laplace; Minka 2001 for the
 * quotient); the next lot follows by the usual rules for jointly normal quantities (Rasmussen & Williams 2006, Gaussian Processes
 * for Machine Learning, 2.2). For taste alone, as the forecast is.
 *
 * @param book prior of a lot of which nothing is known.
 * @example an empty list of earlier lots gives the book's prior back.
 */
export function learnedPrior(book: LeachPrior, earlier: readonly EarlierLot[], next: Likeness): Learned {
  const tasted = earlier.filter(({ asked }) => asked.observations.length > 0)
  const told = { lots: tasted.length, samePatch: tasted.filter(({ patch }) => patch === next.patch).length }
  if (tasted.length === 0) return { prior: book, ...told }
  const variance = { rate: Math.log(book.diffusivity25_m2_s.gsd) ** 2, strength: Math.log(book.strength.gsd) ** 2 }
  const size = 2 * tasted.length
  const place = (lot: number, quantity: number) => 2 * lot + quantity
  const covariance = Matrix.zeros(size, size)
  const toNext = Matrix.zeros(size, 2)
  const precision = Matrix.zeros(size, size)
  const says = Matrix.zeros(size, 1)
  for (const [index, lot] of tasted.entries()) {
    for (const [at, quantity] of QUANTITIES.entries()) {
      toNext.set(place(index, at), at, variance[quantity] * alike(quantity, lot, next))
      for (const [other, kin] of tasted.entries())
        covariance.set(
          place(index, at),
          place(other, at),
          variance[quantity] * (alike(quantity, lot, kin) + (index === other ? SHARES[quantity].lot : 0)),
        )
    }
    const own = saidBy(lot.asked, book)
    for (let row = 0; row < 2; row += 1) {
      says.set(place(index, row), 0, own.says[row] ?? 0)
      for (let column = 0; column < 2; column += 1)
        precision.set(place(index, row), place(index, column), own.precision[row]?.[column] ?? 0)
    }
  }
  // (I + Λ K)⁻¹ applied to what the lots say, and to Λ times their covariance with the next: Λ may be singular, K need not be inverted.
  const system = Matrix.eye(size).add(precision.mmul(covariance))
  const weights = solve(system, Matrix.columnVector(says.to1DArray()))
  const narrowed = solve(system, precision.mmul(toNext))
  const mean = toNext.transpose().mmul(weights)
  const left = toNext.transpose().mmul(narrowed)
  const sd = QUANTITIES.map((quantity, at) => Math.sqrt(Math.max(variance[quantity] - left.get(at, at), 1e-6)))
  const [rateSd = 0, strengthSd = 0] = sd
  return {
    prior: {
      diffusivity25_m2_s: {
        median: book.diffusivity25_m2_s.median * Math.exp(mean.get(0, 0)),
        gsd: Math.exp(rateSd),
      },
      strength: { median: book.strength.median * Math.exp(mean.get(1, 0)), gsd: Math.exp(strengthSd) },
      correlation: Math.max(-0.95, Math.min(0.95, -left.get(0, 1) / (rateSd * strengthSd))),
    },
    ...told,
  }
}

/** The share of the variance that two lots have in common. */
function alike(quantity: Quantity, a: Likeness, b: Likeness): number {
  const shares = SHARES[quantity]
  return (['taxon', 'patch', 'year', 'taster'] as const).reduce(
    (sum, kind) => sum + (a[kind] === b[kind] ? shares[kind] : 0),
    0,
  )
}

interface Said {
  /** Precision of what the tastes say alone, and precision times its middle, both as deviations from the book. */
  readonly precision: readonly (readonly number[])[]
  readonly says: readonly number[]
}

/** What a lot's tastes say of it, the prior they were read with taken out again. */
function saidBy(asked: TasteForecastInput, book: LeachPrior): Said {
  const { mean, covariance } = tasteMoments({ ...asked, prior: book })
  const prior = [Math.log(book.diffusivity25_m2_s.gsd) ** 2, Math.log(book.strength.gsd) ** 2]
  const middle = [Math.log(book.diffusivity25_m2_s.median), Math.log(book.strength.median)]
  const [[a, b], [, d]] = covariance
  const determinant = a * d - b * b
  const after = [
    [d / determinant, -b / determinant],
    [-b / determinant, a / determinant],
  ] as const
  const shift = mean.map((each, at) => each - (middle[at] ?? 0))
  const whole = after.map((row) => row.reduce((sum, each, at) => sum + each * (shift[at] ?? 0), 0))
  const only = after.map((row, at) => row.map((each, column) => each - (at === column ? 1 / (prior[at] ?? 1) : 0)))
  return informative(only, whole)
}

/** Only the directions in which something was learnt: tastes can leave one less sure than before, which is no knowledge. */
function informative(precision: readonly (readonly number[])[], says: readonly number[]): Said {
  const [[a = 0, b = 0] = [], [, d = 0] = []] = precision
  const middle = (a + d) / 2
  const half = Math.hypot((a - d) / 2, b)
  const angle = Math.atan2(2 * b, a - d) / 2
  const axes = [
    { value: middle + half, x: Math.cos(angle), y: Math.sin(angle) },
    { value: middle - half, x: -Math.sin(angle), y: Math.cos(angle) },
  ].filter(({ value }) => value > LEAST_PRECISION)
  const sum = (of: (axis: (typeof axes)[number]) => number) => axes.reduce((total, axis) => total + of(axis), 0)
  const along = ({ x, y }: (typeof axes)[number]) => x * (says[0] ?? 0) + y * (says[1] ?? 0)
  return {
    precision: [
      [sum(({ value, x }) => value * x * x), sum(({ value, x, y }) => value * x * y)],
      [sum(({ value, x, y }) => value * x * y), sum(({ value, y }) => value * y * y)],
    ],
    says: [sum((axis) => along(axis) * axis.x), sum((axis) => along(axis) * axis.y)],
  }
}

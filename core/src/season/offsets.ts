/** One sighting held against the book: how many days after the middle of the book's window it was, and how sharply it tells. */
export interface Residual {
  readonly taxon: string
  readonly patch: string
  /** Of the growing year. */
  readonly year: number
  readonly days: number
  /** Of the sighting itself: a stage seen once says only that its window was open, days². */
  readonly variance: number
}

export interface Offset {
  readonly days: number
  /** One standard deviation of where the true offset may lie. */
  readonly sd_days: number
}

export interface Offsets {
  readonly of: (taxon: string, patch: string, year: number) => Offset
  /** Root mean square error of the sightings, each foretold from all the others; and by the book alone. What tells sharply counts more. */
  readonly leftOut_days: number
  readonly bookAlone_days: number
  /** Whether leaving one out foretells better than the book; else the book stands. */
  readonly trusted: boolean
  readonly sightings: number
}

/** How far, before anything is seen, this cook, a plant, a patch and a year may be from the book, days: planning values. */
const PRIOR_SD_days = { cook: 6, taxon: 7, patch: 6, year: 6 }
/** Plants of one kind at one patch differ by so much. */
const WITHIN_SD_days = 3
/** Fewer sightings prove nothing about the book. */
const TRUSTED_FROM = 3

/**
 * What a cook's own sightings say of the book's windows: an offset for the cook, each plant, each patch and each year, each drawn
 * to nothing as far as the sightings do not bear it (best linear unbiased prediction: Henderson 1975, Biometrics; Robinson 1991,
 * Stat. Sci.). So a patch's plants share what one of them told, and a year's. Checked by leaving each sighting out.
 */
export function estimateOffsets(residuals: readonly Residual[]): Offsets {
  const names = new Map<string, number>()
  const variances: number[] = []
  const effect = (kind: keyof typeof PRIOR_SD_days, name: string) => {
    const key = `${kind} ${name}`
    const known = names.get(key)
    if (known !== undefined) return known
    names.set(key, variances.length)
    variances.push(PRIOR_SD_days[kind] ** 2)
    return variances.length - 1
  }
  const rows = residuals.map(({ taxon, patch, year, days, variance }) => ({
    effects: [effect('cook', ''), effect('taxon', taxon), effect('patch', patch), effect('year', String(year))],
    days,
    weight: 1 / (variance + WITHIN_SD_days ** 2),
  }))
  const size = variances.length
  const precision = Array.from({ length: size }, (_, row) => {
    const line = new Float64Array(size)
    line[row] = 1 / (variances[row] ?? 1)
    return line
  })
  const right = new Float64Array(size)
  for (const { effects, days, weight } of rows)
    for (const one of effects) {
      right[one] = (right[one] ?? 0) + weight * days
      const line = precision[one]
      if (line !== undefined) for (const other of effects) line[other] = (line[other] ?? 0) + weight
    }
  const covariance = inverse(precision)
  const means = covariance.map((line) => line.reduce((sum, each, index) => sum + each * (right[index] ?? 0), 0))
  const spread = (effects: readonly number[]) =>
    effects.reduce((sum, one) => sum + effects.reduce((part, other) => part + (covariance[one]?.[other] ?? 0), 0), 0)
  const misses = rows.map(({ effects, days, weight }) => {
    const fitted = effects.reduce((sum, one) => sum + (means[one] ?? 0), 0)
    return { miss: (days - fitted) / (1 - weight * spread(effects)), weight }
  })
  const leftOut_days = rms(misses)
  const bookAlone_days = rms(rows.map(({ days, weight }) => ({ miss: days, weight })))
  const trusted = residuals.length >= TRUSTED_FROM && leftOut_days < bookAlone_days
  return {
    leftOut_days,
    bookAlone_days,
    trusted,
    sightings: residuals.length,
    of(taxon, patch, year) {
      const asked = [`cook `, `taxon ${taxon}`, `patch ${patch}`, `year ${year}`]
      const kinds = Object.values(PRIOR_SD_days)
      const known = asked.map((key) => names.get(key))
      const unseen = known.reduce<number>(
        (sum, one, kind) => sum + (one === undefined ? (kinds[kind] ?? 0) ** 2 : 0),
        0,
      )
      const seen = known.filter((one) => one !== undefined)
      return {
        days: trusted ? seen.reduce((sum, one) => sum + (means[one] ?? 0), 0) : 0,
        sd_days: Math.sqrt(
          (trusted ? spread(seen) : seen.reduce((sum, one) => sum + (variances[one] ?? 0), 0)) + unseen,
        ),
      }
    },
  }
}

function rms(misses: readonly { readonly miss: number; readonly weight: number }[]): number {
  const weights = misses.reduce((sum, { weight }) => sum + weight, 0)
  return weights === 0
    ? 0
    : Math.sqrt(misses.reduce((sum, { miss, weight }) => sum + weight * miss * miss, 0) / weights)
}

/** Inverse of a symmetric, positive definite matrix, by Cholesky. */
function inverse(matrix: readonly Float64Array[]): readonly Float64Array[] {
  const size = matrix.length
  const lower = matrix.map(() => new Float64Array(size))
  for (let row = 0; row < size; row += 1)
    for (let column = 0; column <= row; column += 1) {
      let sum = matrix[row]?.[column] ?? 0
      for (let inner = 0; inner < column; inner += 1) sum -= (lower[row]?.[inner] ?? 0) * (lower[column]?.[inner] ?? 0)
      const line = lower[row]
      if (line !== undefined) line[column] = row === column ? Math.sqrt(sum) : sum / (lower[column]?.[column] ?? 1)
    }
  return Array.from({ length: size }, (_, unit) => {
    const solved = new Float64Array(size)
    for (let row = 0; row < size; row += 1) {
      let sum = row === unit ? 1 : 0
      for (let inner = 0; inner < row; inner += 1) sum -= (lower[row]?.[inner] ?? 0) * (solved[inner] ?? 0)
      solved[row] = sum / (lower[row]?.[row] ?? 1)
    }
    for (let row = size - 1; row >= 0; row -= 1) {
      let sum = solved[row] ?? 0
      for (let inner = row + 1; inner < size; inner += 1) sum -= (lower[inner]?.[row] ?? 0) * (solved[inner] ?? 0)
      solved[row] = sum / (lower[row]?.[row] ?? 1)
    }
    return solved
  })
}

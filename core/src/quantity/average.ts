/** The mean of some figures; not a number of none. */
export function mean(values: readonly number[]): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length
}

/** The middle of some figures, of an even number the mean of the two in the middle; not a number of none. */
export function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  return mean(sorted.slice(sorted.length % 2 === 1 ? half : half - 1, half + 1))
}

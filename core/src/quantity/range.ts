/** A low, a usual and a high figure of one quantity, in the unit that the field's name states. */
export interface Range {
  readonly low: number
  readonly usual: number
  readonly high: number
}

/**
 * Every bound of a range times a figure that is not negative.
 * @example scaleRange({ low: 0.5, usual: 0.7, high: 0.85 }, 100) // { low: 50, usual: 70, high: 85 }
 */
export function scaleRange(range: Range, factor: number): Range {
  return { low: range.low * factor, usual: range.usual * factor, high: range.high * factor }
}

/** The product of two ranges of independent, non-negative quantities, bound by bound (the widest, so the careful, reading). */
export function multiplyRanges(a: Range, b: Range): Range {
  return { low: a.low * b.low, usual: a.usual * b.usual, high: a.high * b.high }
}

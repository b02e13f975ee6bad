/** Between the middle two of four evenly spaced values, `t` from 0 to 1: Catmull & Rom 1974. @example cubic(0, 1, 2, 3, 0.5) // 1.5 */
export function cubic(a: number, b: number, c: number, d: number, t: number): number {
  return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)))
}

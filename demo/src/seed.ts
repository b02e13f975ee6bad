/**
 * Bytes that look random and are the same from the same seed: mulberry32 (Tommy Ettinger, 2017, public domain), for sample
 * data alone.
 */
export function seededBytes(seed: number): (length: number) => Uint8Array {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return (mixed ^ (mixed >>> 14)) >>> 0
  }
  return (length) => Uint8Array.from({ length }, () => next() & 0xff)
}

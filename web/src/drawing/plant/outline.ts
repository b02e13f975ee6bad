/** A point in the leaf's own frame: its base at the origin, its tip at [0, length], its half to the right. */
type Point = readonly [x: number, y: number]

export interface Outline {
  readonly shape: string
  readonly margin?: string
  readonly length: number
  /** Widest half over length; the shape's own where absent. */
  readonly width?: number
}

/** Right half of each shape, from base to tip, with length and half width 1. */
const HALVES: Readonly<Record<string, { readonly width: number; readonly points: readonly Point[] }>> = {
  heart: { width: 0.42, points: [[0, 0.1], [0.42, -0.04], [0.86, 0.06], [1, 0.28], [0.86, 0.52], [0.5, 0.78], [0, 1]] },
  egg: { width: 0.3, points: [[0, 0], [0.62, 0.08], [1, 0.32], [0.88, 0.56], [0.5, 0.82], [0, 1]] },
  lance: { width: 0.17, points: [[0, 0], [0.6, 0.16], [1, 0.4], [0.86, 0.62], [0.42, 0.86], [0, 1]] },
  oblong: { width: 0.23, points: [[0, 0], [0.8, 0.08], [1, 0.26], [1, 0.74], [0.8, 0.93], [0, 1]] },
  round: { width: 0.46, points: [[0, 0], [0.6, 0.1], [0.96, 0.32], [1, 0.54], [0.84, 0.8], [0.46, 0.96], [0, 1]] },
  spatula: { width: 0.25, points: [[0.12, 0], [0.16, 0.3], [0.5, 0.52], [1, 0.74], [0.84, 0.92], [0, 1]] },
  arrow: { width: 0.36, points: [[0, 0.2], [0.5, 0.08], [1, -0.1], [0.8, 0.32], [0.46, 0.66], [0, 1]] },
  kidney: { width: 0.6, points: [[0, 0.22], [0.3, 0.02], [0.78, 0.1], [1, 0.42], [0.86, 0.76], [0.45, 0.95], [0, 0.94]] },
  linear: { width: 0.06, points: [[0.6, 0], [1, 0.2], [1, 0.8], [0, 1]] },
  lobed: { width: 0.44, points: [[0, 0], [0.7, 0.1], [0.3, 0.28], [1, 0.38], [0.34, 0.52], [0.8, 0.68], [0.24, 0.76], [0, 1]] },
} // prettier-ignore

const SAMPLES = 14

/** The whole outline as an SVG path, base at the origin, growing upwards. */
export function outlinePath({ shape, margin = 'entire', length, width }: Outline): string {
  const half = HALVES[shape] ?? HALVES['egg']
  if (half === undefined) return ''
  const wide = (width ?? half.width) * length
  const toothed = margin !== 'entire' && shape !== 'lobed'
  const smooth = sample(
    half.points.map(([x, y]) => [x * wide, y * length]),
    toothed ? SAMPLES : SAMPLES * 2,
  )
  const edge = toothed ? edged(smooth, margin, length) : smooth
  const left = edge.toReversed().map(([x, y]): Point => [-x, y])
  return `M${[...edge, ...left].map(([x, y]) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}Z`
}

const LOBES = 3.5
const BACK_TEETH = [0.12, 0.3, 0.48, 0.66]

/** The edge of a margin: lobes and backward teeth are cut into the blade, the others set on it. */
function edged(smooth: readonly Point[], margin: string, length: number): readonly Point[] {
  const widest = Math.max(...smooth.map(([x]) => x))
  if (margin === 'lobed')
    return sample(smooth, SAMPLES * 4).map(([x, y], index): Point => {
      const wave = Math.cos((2 * Math.PI * LOBES * index) / (SAMPLES * 4))
      return [Math.max(0, x * (0.84 - 0.34 * wave)), y]
    })
  if (margin === 'backward-toothed')
    return [
      [widest * 0.16, 0],
      ...BACK_TEETH.flatMap((at, index): readonly Point[] => {
        const reach = widest * (0.95 + 0.2 * index)
        return [
          [widest * 0.3, at * length],
          [reach, (at - 0.03) * length],
          [widest * 0.42, (at + 0.15) * length],
        ]
      }),
      [widest * 1.25, 0.82 * length],
      [widest * 0.9, 0.94 * length],
      [0, length],
    ]
  return teeth(smooth, margin, length)
}

/** Teeth or scallops set on a smooth edge, each pointing as its margin does. */
function teeth(edge: readonly Point[], margin: string, length: number): readonly Point[] {
  const size = length * (margin === 'spiny' ? 0.13 : margin === 'crenate' ? 0.05 : 0.08)
  return edge.flatMap((point, index): readonly Point[] => {
    const next = edge[index + 1]
    if (next === undefined) return [point]
    if (index === 0) return [point]
    const middle: Point = [(point[0] + next[0]) / 2, (point[1] + next[1]) / 2]
    const run = Math.hypot(next[0] - point[0], next[1] - point[1]) || 1
    const out: Point = [(next[1] - point[1]) / run, -(next[0] - point[0]) / run]
    const along: Point = [(next[0] - point[0]) / run, (next[1] - point[1]) / run]
    const at = (outward: number, forward: number): Point => [
      Math.max(0, middle[0] + out[0] * outward + along[0] * forward),
      middle[1] + out[1] * outward + along[1] * forward,
    ]
    switch (margin) {
      case 'crenate':
        return [point, at(size * 0.9, -run * 0.28), at(size * 1.15, 0), at(size * 0.9, run * 0.28)]
      case 'spiny':
        return index % 2 === 0 ? [point, at(size * 1.5, 0)] : [point, at(-size * 0.4, 0)]
      default:
        return [point, at(size, run * 0.42), at(0, run * 0.48)]
    }
  })
}

/** A smooth curve through points (Catmull and Rom 1974), as so many points of it. */
function sample(points: readonly Point[], count: number): readonly Point[] {
  const at = (index: number): Point => points[Math.min(Math.max(index, 0), points.length - 1)] ?? [0, 0]
  const spans = points.length - 1
  return Array.from({ length: count + 1 }, (_, step): Point => {
    const place = (step / count) * spans
    const span = Math.min(Math.floor(place), spans - 1)
    const t = place - span
    const [a, b, c, d] = [at(span - 1), at(span), at(span + 1), at(span + 2)]
    const blend = (axis: 0 | 1) =>
      0.5 *
      (2 * b[axis] +
        (c[axis] - a[axis]) * t +
        (2 * a[axis] - 5 * b[axis] + 4 * c[axis] - d[axis]) * t * t +
        (3 * b[axis] - a[axis] - 3 * c[axis] + d[axis]) * t * t * t)
    return [Math.max(0, blend(0)), blend(1)]
  })
}

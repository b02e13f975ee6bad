import type { ReactNode } from 'react'
import { DEEP, GREEN, LEAF, LEAF_FILL, LINE, PAPER, RED, THIN } from './ink'
import { outlinePath } from './outline'

/** How one leaf of a plant looks: one state of each character that says so. */
export interface LeafLook {
  readonly type?: string | undefined
  readonly shape?: string | undefined
  readonly margin?: string | undefined
  readonly surface?: string | undefined
}

/** A blade standing on its base at a point, turned by so many degrees from upright. */
export function blade(
  x: number,
  y: number,
  turn: number,
  length: number,
  { shape = 'egg', margin = 'entire' }: LeafLook = {},
  paint: object = LEAF,
): ReactNode {
  return (
    <g key={`${x}|${y}|${turn}`} transform={`translate(${x} ${y}) rotate(${turn})`}>
      <path d={outlinePath({ shape, margin, length })} {...paint} />
      <path d={`M0 0V${-length * 0.86}`} {...THIN} />
    </g>
  )
}

/** A small leaf for stems, where only its place counts. */
export const leaflet = (x: number, y: number, turn: number, length = 24, shape = 'egg') =>
  blade(x, y, turn, length, { shape })

/** A whole leaf by its type, made of blades of its shape and margin, its stalk from the point downwards. */
export function wholeLeaf(x: number, y: number, turn: number, size: number, look: LeafLook): ReactNode {
  const part = (px: number, py: number, angle: number, length: number, shape = look.shape) =>
    blade(px, py, angle, length, { ...look, shape })
  const small = look.shape === 'lobed' || look.shape === 'arrow' ? 'egg' : look.shape
  const stalk = <path key="stalk" d={`M0 0V${-size}`} {...LINE} strokeWidth={2} />
  const pairs = (count: number, from: number, to: number) =>
    Array.from({ length: count }, (_, index) => -size * (from + ((to - from) * index) / Math.max(1, count - 1)))
  const inside: Readonly<Record<string, () => ReactNode>> = {
    palmate: () => [-100, -50, 0, 50, 100].map((angle) => part(0, -size * 0.4, angle, size * (angle === 0 ? 0.6 : 0.5), small ?? 'lance')),
    ternate: () => [<path key="s" d={`M0 0V${-size * 0.5}`} {...LINE} strokeWidth={2} />, part(0, -size * 0.5, 0, size * 0.5, small), part(0, -size * 0.42, -82, size * 0.46, small), part(0, -size * 0.42, 82, size * 0.46, small)],
    pinnate: () => [stalk, ...pairs(4, 0.3, 0.82).flatMap((y) => [part(0, y, -68, size * 0.32, small), part(0, y, 68, size * 0.32, small)]), part(0, -size * 0.88, 0, size * 0.32, small)],
    'twice-divided': () => [stalk, ...pairs(4, 0.28, 0.8).flatMap((y, row) => [-1, 1].map((side) => sprig(0, y, side * 62, size * (0.46 - row * 0.08)))), sprig(0, -size * 0.82, 0, size * 0.24)],
    feathery: () => [stalk, ...pairs(7, 0.2, 0.95).flatMap((y, row) => [-1, 1].map((side) => thread(0, y, side * 55, size * (0.42 - row * 0.045))))],
    needle: () => <path d={`M0 0V${-size}`} {...LINE} strokeWidth={5} />,
    scale: () => [stalk, ...pairs(6, 0.05, 0.92).flatMap((y) => [<path key={`l${y}`} d={`M0 ${y}q-9 -3 -7 -11q6 1 7 7`} {...LEAF} />, <path key={`r${y}`} d={`M0 ${y}q9 -3 7 -11q-6 1 -7 7`} {...LEAF} />])],
    strap: () => <g><path d={`M-6 0L-6 ${-size * 0.8}Q-5 ${-size} 0 ${-size * 1.04}Q5 ${-size} 6 ${-size * 0.8}L6 0Z`} {...LEAF} /><path d={`M0 0V${-size * 0.96}M-3 0V${-size * 0.88}M3 0V${-size * 0.88}`} {...THIN} strokeWidth={1} /></g>,
    'round-peltate': () => <g><path d={`M0 0V${-size * 0.55}`} {...LINE} /><ellipse cx={0} cy={-size * 0.62} rx={size * 0.5} ry={size * 0.34} {...LEAF} /><path d={[0, 60, 120, 180, 240, 300].map((angle) => `M0 ${-size * 0.62}l${(Math.cos((angle * Math.PI) / 180) * size * 0.44).toFixed(1)} ${(Math.sin((angle * Math.PI) / 180) * size * 0.29).toFixed(1)}`).join('')} {...THIN} /><circle cx={0} cy={-size * 0.62} r={2.4} fill={DEEP} /></g>,
  } // prettier-ignore
  return (
    <g key={`${x}|${y}|${turn}`} transform={`translate(${x} ${y}) rotate(${turn})`}>
      {inside[look.type ?? 'simple']?.() ?? (
        <>
          <path d={`M0 0V${-size * 0.24}`} {...LINE} strokeWidth={2} />
          {part(0, -size * 0.2, 0, size * 0.84)}
        </>
      )}
    </g>
  )
}

/** A side branch of a divided leaf, itself cut to its rib. */
function sprig(x: number, y: number, turn: number, length: number): ReactNode {
  return (
    <g key={`${x}|${y}|${turn}`} transform={`translate(${x} ${y}) rotate(${turn})`}>
      <path d={`M0 0V${-length}`} {...THIN} />
      {[0.3, 0.58, 0.84].flatMap((at) =>
        [-1, 1].map((side) => (
          <path
            key={`${at}${side}`}
            d={outlinePath({ shape: 'egg', margin: 'serrate', length: length * 0.42 })}
            transform={`translate(0 ${-length * at}) rotate(${side * 58})`}
            {...LEAF}
            strokeWidth={1.2}
          />
        )),
      )}
      <path
        d={outlinePath({ shape: 'egg', margin: 'serrate', length: length * 0.4 })}
        transform={`translate(0 ${-length * 0.86})`}
        {...LEAF}
        strokeWidth={1.2}
      />
    </g>
  )
}

/** A side branch of a leaf cut into threads. */
function thread(x: number, y: number, turn: number, length: number): ReactNode {
  return (
    <path
      key={`${x}|${y}|${turn}`}
      transform={`translate(${x} ${y}) rotate(${turn})`}
      d={`M0 0V${-length}M0 ${-length * 0.35}l${-length * 0.28} ${-length * 0.3}M0 ${-length * 0.35}l${length * 0.28} ${-length * 0.3}M0 ${-length * 0.65}l${-length * 0.2} ${-length * 0.24}M0 ${-length * 0.65}l${length * 0.2} ${-length * 0.24}`}
      {...THIN}
    />
  )
}

const big = (look: LeafLook) => (
  <g>{wholeLeaf(40, 77, 0, look.type === 'pinnate' || look.type === 'twice-divided' ? 60 : 68, look)}</g>
)
const plain = (marks: ReactNode, fill = LEAF_FILL) => (
  <g>
    {blade(40, 76, 0, 70, { shape: 'egg' }, { ...LEAF, fill })}
    {marks}
  </g>
)
/** The lower part of a blade on its stalk. */
const foot = (outline: string) => (
  <g>
    <path d={outline} {...LEAF} />
    <path d="M40 79V12" {...LINE} />
  </g>
)
const SPOTS = [[29, 60], [50, 60], [26, 47], [53, 46], [30, 34], [48, 32], [38, 22], [44, 68]] as const // prettier-ignore
const hairs = (long: number, stings: boolean) =>
  SPOTS.map(([x, y]) => (
    <g key={`${x}-${y}`}>
      <path
        d={`M${x} ${y}l${x < 40 ? -long : long} ${-long * 0.7}`}
        {...THIN}
        stroke={stings ? RED : GREEN}
        strokeWidth={1.7}
      />
      {stings && <circle cx={x} cy={y} r={2.2} fill={RED} />}
    </g>
  ))

/** The states of the characters of a leaf by itself. */
export const LEAF_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  leafType: Object.fromEntries(
    ['simple', 'palmate', 'pinnate', 'ternate', 'twice-divided', 'feathery', 'needle', 'scale', 'strap', 'round-peltate'].map((type) => [type, () => big({ type, shape: type === 'palmate' ? 'lance' : 'egg', margin: type === 'needle' ? 'entire' : 'entire' })]),
  ),
  leafShape: Object.fromEntries(
    ['heart', 'egg', 'lance', 'oblong', 'round', 'spatula', 'arrow', 'kidney', 'linear', 'lobed'].map((shape) => [shape, () => blade(40, shape === 'arrow' || shape === 'heart' || shape === 'kidney' ? 66 : 76, 0, shape === 'kidney' ? 48 : shape === 'round' ? 60 : shape === 'heart' || shape === 'arrow' ? 58 : 68, { shape })]),
  ),
  leafMargin: Object.fromEntries(
    ['entire', 'crenate', 'serrate', 'lobed', 'spiny', 'backward-toothed'].map((margin) => [margin, () => blade(40, 76, 0, 70, { shape: margin === 'backward-toothed' ? 'oblong' : 'egg', margin })]),
  ),
  leafTexture: {
    thin: () => plain(<path d="M40 66L24 54M40 66L56 54M40 50L25 38M40 50L55 38M40 34L31 25M40 34L49 25" {...THIN} strokeWidth={0.9} />, '#d5e3c0'),
    fleshy: () => <g><path d="M14 48Q16 26 40 24Q64 26 66 48Q64 58 40 58Q16 58 14 48Z" {...LEAF} /><path d="M20 40Q40 30 60 40" {...LINE} stroke="#e6f0d6" strokeWidth={4} /></g>,
    leathery: () => plain(<path d="M40 76V14M32 62Q26 48 32 32" {...LINE} stroke={DEEP} strokeWidth={2} />, '#6f9257'),
    waxy: () => <g>{plain(<path d="M30 56Q26 42 34 28" {...LINE} stroke={PAPER} strokeWidth={5} />, '#bcd3c4')}<path d="M55 20q-5 7 0 10q5 -3 0 -10Z" fill="#cfe4ee" stroke="#6a93a8" strokeWidth={1.4} /></g>,
    papery: () => plain(<path d="M28 58l8 -6M30 44l8 -5M52 56l-8 -6M50 42l-8 -5M35 28l5 -4" {...THIN} stroke="#a48b58" strokeDasharray="2 2" />, '#e9dfc0'),
    'deep-veined': () => plain(<path d="M40 68Q28 62 23 54M40 68Q52 62 57 54M40 54Q28 48 22 40M40 54Q52 48 58 40M40 40Q30 34 26 27M40 40Q50 34 54 27" {...LINE} strokeWidth={2.6} />),
  },
  leafVeins: {
    parallel: () => <g>{blade(40, 76, 0, 70, { shape: 'lance' }, { ...LEAF })}<path d="M40 76V8M36 72Q31 42 39 12M44 72Q49 42 41 12" {...THIN} strokeWidth={1.8} /></g>,
    branching: () => plain(<path d="M40 66L25 54M40 66L55 54M40 52L23 40M40 52L57 40M40 38L30 27M40 38L50 27" {...THIN} strokeWidth={1.8} />),
    'ring-inside-edge': () => <g>{blade(40, 68, 0, 62, { shape: 'arrow' })}<path d="M40 56L24 60Q28 36 40 14Q52 36 56 60Z" {...THIN} strokeWidth={2} /><path d="M40 46L30 42M40 46L50 42M40 36L33 32M40 36L47 32" {...THIN} /></g>,
  },
  leafSurface: {
    hairless: () => plain(null),
    'downy-below': () => <g><path d="M40 76Q16 60 22 36Q28 16 40 6Z" {...LEAF} /><path d="M40 76Q64 60 58 36Q52 16 40 6Z" {...LEAF} fill="#eef1e4" />{[[47, 62], [52, 52], [46, 46], [53, 40], [46, 32], [49, 24], [44, 18]].map(([x, y]) => <circle key={`${x}${y}`} cx={x} cy={y} r={1.8} fill={GREEN} />)}</g>,
    'hairy-both': () => plain(hairs(8, false)),
    'stinging-hairs': () => plain(hairs(12, true)),
    'spiny-midrib': () => plain(<path d="M40 68l-8 -6M40 58l8 -6M40 48l-8 -6M40 38l8 -6M40 28l-7 -5" {...LINE} stroke={RED} />),
    mealy: () => plain(SPOTS.concat([[36, 52], [46, 42], [40, 62]] as never).map(([x, y]) => <circle key={`${x}${y}`} cx={x} cy={y} r={2.6} fill={PAPER} stroke="#b9c2ac" strokeWidth={0.8} />)),
    'white-marbled': () => plain(<path d="M40 66L26 56M40 66L54 56M40 52L24 42M40 52L56 42M40 38L30 28M40 38L50 28" {...LINE} stroke={PAPER} strokeWidth={4} />),
    shiny: () => plain(<path d="M28 58Q24 42 33 26" {...LINE} stroke={PAPER} strokeWidth={5} />, '#86ab66'),
  },
  leafFoot: {
    'lobes-pointing-back': () => foot('M40 52L30 48Q24 62 18 74Q10 46 22 22Q30 8 40 2Q50 8 58 22Q70 46 62 74Q56 62 50 48Z'),
    'lobes-pointing-out': () => foot('M40 54Q34 52 30 56L6 64Q18 54 24 42Q26 20 40 2Q54 20 56 42Q62 54 74 64L50 56Q46 52 40 54Z'),
    rounded: () => foot('M40 56Q14 56 14 34Q18 12 40 2Q62 12 66 34Q66 56 40 56Z'),
    wedge: () => foot('M40 62L20 30Q22 12 40 2Q58 12 60 30Z'),
  },
} // prettier-ignore

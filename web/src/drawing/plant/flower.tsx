import type { ReactNode } from 'react'
import { DEEP, GREEN, LEAF, LINE, PAINT, PAPER, RED, SOIL_LINE, THIN } from './ink'

/** How one flower of a plant looks. */
export interface FlowerLook {
  readonly colour?: string | undefined
  readonly petals?: string | undefined
  readonly symmetry?: string | undefined
}

const petal = (turn: number, length: number, wide: number, fill: string) => (
  <path
    key={turn}
    transform={`rotate(${turn})`}
    d={`M0 0C${-wide} ${-length * 0.35} ${-wide} ${-length} 0 ${-length}C${wide} ${-length} ${wide} ${-length * 0.35} 0 0Z`}
    fill={fill}
    stroke={DEEP}
    strokeWidth={1.4}
  />
)
const turns = (count: number) => Array.from({ length: count }, (_, index) => (360 * index) / count)
const heart = <circle r={4} fill="#e3b437" stroke={DEEP} strokeWidth={1} />

/** A flower seen from above, its middle at the origin, so many units across its half. */
function face({ colour = 'white', petals = '5', symmetry = 'regular' }: FlowerLook, size: number): ReactNode {
  const fill = PAINT[colour] ?? PAPER
  if (symmetry === 'two-sided')
    return (
      <g transform={`scale(${size / 30})`}>
        <path d="M0 4C-18 2 -20 -22 0 -26C20 -22 18 2 0 4Z" fill={fill} stroke={DEEP} strokeWidth={1.6} />
        <path
          d="M-4 4C-22 8 -22 22 -12 22Q-6 30 0 22Q6 30 12 22C22 22 22 8 4 4Z"
          fill={fill}
          stroke={DEEP}
          strokeWidth={1.6}
        />
        <path d="M0 -10V4" {...THIN} stroke={DEEP} />
      </g>
    )
  if (symmetry === 'none-visible' || petals === 'none')
    return (
      <g transform={`scale(${size / 30})`}>
        {turns(5).map((turn) => (
          <path key={turn} transform={`rotate(${turn})`} d="M0 0V-20" {...LINE} />
        ))}
        {turns(5).map((turn) => (
          <ellipse
            key={`a${turn}`}
            transform={`rotate(${turn})`}
            cy={-22}
            rx={3.4}
            ry={5}
            fill={colour === 'white' ? '#c9b84f' : fill}
            stroke={DEEP}
            strokeWidth={1}
          />
        ))}
        <circle r={5} fill={LEAF.fill} stroke={GREEN} strokeWidth={2} />
      </g>
    )
  const shapes: Readonly<Record<string, () => ReactNode>> = {
    '3': () => turns(3).map((turn) => petal(turn, 29, 17, fill)),
    '4': () => turns(4).map((turn) => petal(turn, 29, 14, fill)),
    '6': () => turns(6).map((turn) => petal(turn, 30, 9, fill)),
    many: () => turns(11).map((turn) => petal(turn, 30, 5.5, fill)),
    '5-deeply-split': () => turns(5).flatMap((turn) => [petal(turn - 8, 30, 5.5, fill), petal(turn + 8, 30, 5.5, fill)]),
    'composite-head': () => [...turns(22).map((turn) => petal(turn, 30, 3, fill)), <circle key="disc" r={11} fill="#e3b437" stroke={DEEP} strokeWidth={1.4} />, ...turns(9).map((turn) => <circle key={`d${turn}`} transform={`rotate(${turn})`} cy={-6} r={1.2} fill={DEEP} />)],
  } // prettier-ignore
  return (
    <g transform={`scale(${size / 30})`}>
      {shapes[petals]?.() ?? turns(5).map((turn) => petal(turn, 29, 12, fill))}
      {petals !== 'composite-head' && heart}
    </g>
  )
}

/** A flower with its middle at a point. */
export const bloom = (x: number, y: number, size: number, look: FlowerLook = {}) => (
  <g key={`${x}|${y}`} transform={`translate(${x} ${y})`}>
    {face(look, size)}
  </g>
)

const dot = (x: number, y: number, fill: string, r = 3.6) => (
  <circle key={`${x}|${y}`} cx={x} cy={y} r={r} fill={fill} stroke={DEEP} strokeWidth={1.2} />
)

/** Flowers together on their stalk, as they stand, painted in one colour; 80 by 80. */
export function stand(kind: string, colour = 'white'): ReactNode {
  const fill = PAINT[colour] ?? PAPER
  const ray = (x: number, y: number, from: readonly [number, number]) => (
    <path key={`r${x}${y}`} d={`M${from[0]} ${from[1]}L${x} ${y}`} {...THIN} />
  )
  const umbel = (cx: number, cy: number, root: readonly [number, number], spread: number, r: number) =>
    [-1, -0.5, 0, 0.5, 1].flatMap((place) => {
      const x = cx + place * spread
      const y = cy - Math.cos(place * 1.1) * spread * 0.75
      return [ray(x, y, root), dot(x, y, fill, r)]
    })
  const kinds: Readonly<Record<string, () => ReactNode>> = {
    'solitary-leafless-stalk': () => <g><path d="M6 74H74" {...SOIL_LINE} /><path d="M40 74V26" {...LINE} />{bloom(40, 24, 16, { colour })}</g>,
    solitary: () => <g><path d="M40 78V24" {...LINE} /><path d="M40 58Q54 56 62 46Q48 44 40 58M40 66Q26 64 18 54Q32 52 40 66" {...LEAF} />{bloom(40, 22, 15, { colour })}</g>,
    umbel: () => <g><path d="M40 78V44" {...LINE} />{umbel(40, 36, [40, 44], 28, 5)}{[-0.75, -0.25, 0.25, 0.75].flatMap((place) => [ray(40 + place * 28, 38 - Math.cos(place) * 24, [40, 44]), dot(40 + place * 28, 38 - Math.cos(place) * 24, fill, 5)])}</g>,
    'compound-umbel': () => <g><path d="M40 78V54" {...LINE} />{[[10, 30], [25, 20], [40, 16], [55, 20], [70, 30]].flatMap(([x = 0, y = 0]) => [ray(x, y, [40, 54]), ...umbel(x, y - 2, [x, y], 8, 2)])}</g>,
    raceme: () => <g><path d="M40 78Q42 40 40 6" {...LINE} />{[60, 48, 36, 25, 15].flatMap((y, index) => [-1, 1].map((side) => { const x = 40 + side * (18 - index * 2.6); return <g key={`${y}${side}`}><path d={`M40 ${y}L${x} ${y + 2}`} {...THIN} />{dot(x, y + 3, fill, 4.6 - index * 0.5)}</g> }))}</g>,
    spike: () => <g><path d="M40 78V6" {...LINE} />{[60, 52, 44, 36, 28, 20, 12].flatMap((y, index) => [dot(40 - 6 + index * 0.4, y, fill, 4.4 - index * 0.3), dot(40 + 6 - index * 0.4, y - 3, fill, 4.4 - index * 0.3)])}</g>,
    panicle: () => <g><path d="M40 78V6" {...LINE} />{[62, 46, 30].flatMap((y, index) => [-1, 1].flatMap((side) => { const reach = 30 - index * 8; return [<path key={`b${y}${side}`} d={`M40 ${y}L${40 + side * reach} ${y - 12}M${40 + side * reach * 0.55} ${y - 6.5}l${side * 6} -10`} {...THIN} />, dot(40 + side * reach, y - 13, fill, 3.4), dot(40 + side * (reach * 0.55 + 6), y - 17, fill, 3.4), dot(40 + side * reach * 0.78, y - 9, fill, 3.4)] }))}{dot(40, 8, fill, 3.4)}</g>,
    head: () => <g><path d="M40 78V44" {...LINE} />{turns(12).map((turn) => <path key={turn} transform={`translate(40 28) rotate(${turn})`} d="M-4 0L0 -20L4 0Z" fill={fill} stroke={DEEP} strokeWidth={1.1} />)}<circle cx={40} cy={28} r={9} fill={fill} stroke={DEEP} strokeWidth={1.2} /></g>,
    'cluster-flat': () => <g><path d="M40 78V22" {...LINE} />{[[8, 68], [18, 58], [29, 47]].flatMap(([x = 0, y = 0]) => [x, 80 - x].flatMap((at) => [<path key={`p${at}`} d={`M40 ${y}L${at} 22`} {...THIN} />, dot(at, 18, fill, 5)]))}{dot(40, 16, fill, 5)}</g>,
    'cigar-spike': () => <g><path d="M40 78V4" {...LINE} /><rect x={31} y={20} width={18} height={40} rx={9} fill="#7a5230" stroke={DEEP} strokeWidth={1.6} /></g>,
    'axillary-cluster': () => <g><path d="M40 78V4" {...LINE} />{[60, 32].flatMap((y) => [<path key={y} d={`M40 ${y}Q58 ${y - 4} 70 ${y - 18}Q52 ${y - 18} 40 ${y}M40 ${y}Q22 ${y - 4} 10 ${y - 18}Q28 ${y - 18} 40 ${y}`} {...LEAF} />, dot(46, y - 8, fill, 3.6), dot(34, y - 8, fill, 3.6), dot(40, y - 13, fill, 3.6), dot(47, y - 1, fill, 3), dot(33, y - 1, fill, 3)])}</g>,
    catkin: () => <g><path d="M8 8Q40 2 72 10" {...LINE} stroke="#7b6a4c" />{[22, 42, 60].map((x, index) => <g key={x}><path d={`M${x} 8V16`} {...THIN} /><path d={`M${x - 6} 16Q${x - 8} 44 ${x} ${64 - index * 6}Q${x + 8} 44 ${x + 6} 16Z`} fill={colour === 'white' ? '#d7c66a' : fill} stroke={DEEP} strokeWidth={1.3} />{[24, 32, 40, 48].map((y) => <path key={y} d={`M${x - 6} ${y}h12`} {...THIN} stroke={DEEP} strokeWidth={0.9} />)}</g>)}</g>,
  } // prettier-ignore
  return kinds[kind]?.() ?? kinds['solitary']?.()
}

const KINDS = ['solitary-leafless-stalk', 'solitary', 'umbel', 'compound-umbel', 'raceme', 'spike', 'panicle', 'head', 'cluster-flat', 'cigar-spike', 'axillary-cluster', 'catkin'] // prettier-ignore
const COLOURS = ['white', 'cream', 'yellow', 'orange', 'pink', 'red', 'purple', 'blue', 'green', 'brown'] // prettier-ignore
const PETALS = ['3', '4', '5', '5-deeply-split', '6', 'many', 'composite-head', 'none']

/** Under the umbel of a parsley relative: what small leaves stand where. */
const bracts = (marks: ReactNode) => (
  <g>
    <path d="M40 78V46" {...LINE} strokeWidth={3} />
    {[[10, 14], [25, 8], [40, 6], [55, 8], [70, 14]].map(([x = 0, y = 0]) => (
      <g key={x}>
        <path d={`M40 46L${x} ${y}`} {...THIN} />
        {[-5, 0, 5].map((shift) => dot(x + shift, y - 1, PAPER, 2))}
      </g>
    ))}
    {marks}
  </g>
) // prettier-ignore

/** One head of a daisy or thistle relative from above: what stands round its rim. */
const rim = (straps: ReactNode, disc: ReactNode) => (
  <g transform="translate(40 40)">
    {straps}
    {disc}
  </g>
)
const tubes = (reach: number) => (
  <g>
    <circle r={reach} fill="#e3b437" stroke={DEEP} strokeWidth={1.6} />
    {[0.25, 0.52, 0.8].flatMap((part) =>
      turns(Math.round(part * 16)).map((turn) => (
        <circle key={`${part}${turn}`} transform={`rotate(${turn})`} cy={-reach * part} r={1.5} fill={DEEP} />
      )),
    )}
  </g>
)
const straps = (colour: string, count: number, length: number) =>
  turns(count).map((turn) => petal(turn, length, 5, PAINT[colour] ?? PAPER))

/** One head from the side, and what holds it. */
const held = (holders: ReactNode, tuft = PAINT['yellow']) => (
  <g>
    <path d="M40 78V58" {...LINE} strokeWidth={3} />
    {[-36, -24, -12, 0, 12, 24, 36].map((turn) => (
      <path
        key={turn}
        transform={`translate(40 50) rotate(${turn})`}
        d="M-2.5 -18L-3 -40h6L2.5 -18Z"
        fill={tuft}
        stroke={DEEP}
        strokeWidth={1}
      />
    ))}
    {holders}
  </g>
)
const cup = <path d="M22 34Q20 58 40 60Q60 58 58 34Z" {...LEAF} />
/** Green leaves of one row, side by side, from the foot of the cup upwards. */
const row = (count: number, top: number, foot: number, half: number) =>
  Array.from({ length: count }, (_, index) => {
    const x = 40 + half * ((2 * index) / (count - 1) - 1)
    const down = 40 + (x - 40) * 0.45
    return (
      <path
        key={`${top}${index}`}
        d={`M${down - 4} ${foot}Q${x - 5} ${(top + foot) / 2} ${x} ${top}Q${x + 5} ${(top + foot) / 2} ${down + 4} ${foot}Z`}
        {...LEAF}
        strokeWidth={1.6}
      />
    )
  })

/** A stem with two pairs of leaves, and where its flowers sit. */
const stemWith = (flowers: ReactNode) => (
  <g>
    <path d="M40 78V16" {...LINE} />
    {[66, 40].map((y) => (
      <path
        key={y}
        d={`M40 ${y}Q58 ${y + 8} 74 ${y + 2}Q58 ${y - 6} 40 ${y}M40 ${y}Q22 ${y + 8} 6 ${y + 2}Q22 ${y - 6} 40 ${y}`}
        {...LEAF}
        strokeWidth={1.5}
      />
    ))}
    {flowers}
  </g>
)
const beads = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => dot(x, y, PAPER, 2.8))

/** An umbel with so many rays. */
const rays = (count: number) => (
  <g>
    <path d="M40 78V60" {...LINE} strokeWidth={count > 30 ? 5 : 3} />
    {Array.from({ length: count }, (_, index) => {
      const turn = ((index / (count - 1)) * 2 - 1) * 1.25
      const long = index % 2 === 0 || count < 30 ? 46 : 36
      const [x, y] = [40 + Math.sin(turn) * long * 0.78, 60 - Math.cos(turn) * long]
      return (
        <g key={index}>
          <path d={`M40 60L${x} ${y}`} {...THIN} strokeWidth={count > 30 ? 0.8 : 1.6} />
          {dot(x, y, PAPER, count > 30 ? 1.7 : 3.6)}
        </g>
      )
    })}
  </g>
)

/** The states of the characters of flowers. */
export const FLOWER_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  flowerColour: Object.fromEntries(COLOURS.map((colour) => [colour, () => bloom(40, 40, 32, { colour })])),
  flowerSymmetry: {
    regular: () => bloom(40, 40, 32, { colour: 'pink' }),
    'two-sided': () => bloom(40, 40, 32, { colour: 'pink', symmetry: 'two-sided' }),
    'none-visible': () => bloom(40, 40, 32, { colour: 'green', symmetry: 'none-visible' }),
  },
  petals: Object.fromEntries(PETALS.map((petals) => [petals, () => bloom(40, 40, 34, { colour: petals === 'none' ? 'green' : 'white', petals })])),
  inflorescence: Object.fromEntries(KINDS.map((kind) => [kind, () => stand(kind)])),
  umbelBracts: {
    none: () => bracts(null),
    'few-or-many': () => bracts([-70, -40, 40, 70].map((turn) => <path key={turn} d="M0 0L-2 -14L2 -14Z" transform={`translate(40 48) rotate(${turn})`} {...LEAF} />)),
    feathery: () => bracts([-78, -50, 50, 78].map((turn) => <path key={turn} d="M0 0V-24M0 -10l-6 -6M0 -10l6 -6M0 -17l-5 -5M0 -17l5 -5" transform={`translate(40 48) rotate(${turn})`} {...LINE} strokeWidth={1.8} />)),
    'bent-back': () => bracts([-150, -120, 120, 150].map((turn) => <path key={turn} d="M0 0L-3 -15L3 -15Z" transform={`translate(40 46) rotate(${turn})`} {...LEAF} />)),
    'long-hanging': () => bracts([[10, 14], [25, 8], [55, 8], [70, 14]].flatMap(([x = 0, y = 0]) => [<path key={x} d={`M${x} ${y}v26M${x - 4} ${y}v24M${x + 4} ${y}v24`} {...LINE} strokeWidth={1.6} />])),
  },
  headRays: {
    'yellow-straps': () => rim(straps('yellow', 14, 34), tubes(14)),
    'white-straps': () => rim(straps('white', 14, 34), tubes(14)),
    'purple-straps': () => rim(straps('purple', 14, 34), tubes(14)),
    'no-straps': () => rim(null, tubes(26)),
    'straps-all-through': () => rim(<g>{straps('yellow', 16, 34)}{straps('yellow', 13, 25)}{straps('yellow', 9, 16)}{straps('yellow', 5, 9)}</g>, null),
  },
  headBracts: {
    'one-even-row': () => held(<g>{cup}{row(6, 22, 60, 19)}</g>),
    'overlapping-rows': () => held(<g>{cup}{row(6, 26, 48, 19)}{row(5, 36, 56, 16)}{row(4, 46, 61, 11)}</g>),
    'outer-row-bent-down': () => held(<g>{cup}{row(6, 24, 58, 18)}{[-1, 1].flatMap((side) => [[6, 74], [14, 72], [21, 66]].map(([reach = 0, y = 0]) => <path key={`${side}${reach}`} d={`M${40 + side * 3} 57Q${40 + side * (reach + 8)} 54 ${40 + side * (reach + 6)} ${y}Q${40 + side * reach} 62 ${40 + side * 3} 61Z`} {...LEAF} strokeWidth={1.6} />))}</g>),
    'spine-tipped': () => held(<g>{cup}{row(5, 36, 58, 17)}{[[23, 37, -58, 18], [23, 46, -84, 18], [29, 55, -112, 18], [57, 37, 58, 18], [57, 46, 84, 18], [51, 55, 112, 18], [33, 46, 0, 10], [47, 46, 0, 10], [40, 55, 0, 10]].map(([x = 0, y = 0, turn = 0, long = 0]) => <path key={`${x}${y}`} transform={`translate(${x} ${y}) rotate(${turn})`} d={`M-2.6 3L0 ${-long}L2.6 3Z`} fill={RED} stroke={RED} strokeWidth={1.2} strokeLinejoin="round" />)}</g>, PAINT['purple']),
    hooked: () => held(<g><circle cx={40} cy={46} r={18} {...LEAF} />{turns(18).map((turn) => <path key={turn} transform={`translate(40 46) rotate(${turn})`} d="M0 -16V-25q0 -5 4.5 -4q2 1 1.5 4" {...LINE} strokeWidth={1.8} />)}</g>, PAINT['purple']),
  },
  rimFlowers: {
    'all-alike': () => <g>{[[0, 6], [14, 6], [27, 12]].flatMap(([reach = 0, count = 0]) => turns(reach === 0 ? 1 : count).map((turn) => { const at = (turn * Math.PI) / 180; return bloom(40 + Math.sin(at) * reach, 40 - Math.cos(at) * reach, 6.2) }))}</g>,
    'large-at-the-rim': () => <g>{[[0, 1], [9, 6], [16, 10]].flatMap(([reach = 0, count = 1]) => turns(count).map((turn) => { const at = (turn * Math.PI) / 180; return dot(40 + Math.sin(at) * reach, 40 - Math.cos(at) * reach, PAINT['cream'] ?? PAPER, 2.8) }))}{turns(8).map((turn) => { const at = (turn * Math.PI) / 180; return bloom(40 + Math.sin(at) * 28, 40 - Math.cos(at) * 28, 11) })}</g>,
  },
  umbelRays: { 'under-30': () => rays(11), 'over-30': () => rays(44) },
  clusterSeat: {
    'at-the-tip': () => stemWith(<g><path d="M40 22V4M40 20L28 10M40 20L52 10M40 14L32 5M40 14L48 5" {...THIN} />{beads([[40, 4], [28, 9], [52, 9], [32, 4], [48, 4], [34, 14], [46, 14], [40, 11]])}</g>),
    'at-the-leaf-joints-branched': () => stemWith([66, 40].flatMap((y) => [-1, 1].map((side) => <g key={`${y}${side}`}><path d={`M40 ${y}L${40 + side * 24} ${y - 16}M${40 + side * 10} ${y - 7}l${side * 3} -10M${40 + side * 16} ${y - 11}l${side * 10} -1`} {...THIN} />{beads([[40 + side * 25, y - 17], [40 + side * 13, y - 18], [40 + side * 27, y - 10], [40 + side * 18, y - 13]])}</g>))),
    'at-the-leaf-joints-unbranched': () => stemWith([66, 40].flatMap((y) => [-1, 1].map((side) => <g key={`${y}${side}`}><path d={`M40 ${y}L${40 + side * 18} ${y - 22}`} {...THIN} />{beads([[40 + side * 9, y - 11], [40 + side * 12, y - 15], [40 + side * 15, y - 19], [40 + side * 18, y - 23]])}</g>))),
  },
} // prettier-ignore

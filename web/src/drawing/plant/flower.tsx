import type { ReactNode } from 'react'
import { DEEP, GREEN, LEAF, LINE, PAINT, PAPER, SOIL_LINE, THIN } from './ink'

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
} // prettier-ignore

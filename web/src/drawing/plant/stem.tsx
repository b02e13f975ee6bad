import type { ReactNode } from 'react'
import { blade, leaflet } from './leaf'
import { BROWN_LINE, DEEP, GREEN, LEAF, LEAF_FILL, LINE, PAPER, RED, ROOT, SOIL_LINE, THIN } from './ink'

const stalk = <path d="M40 78V6" {...LINE} strokeWidth={3} />
const cut = (shape: ReactNode) => (
  <g>
    <path d="M40 4V20M40 60V76" {...LINE} strokeDasharray="3 5" />
    {shape}
  </g>
)
/** A piece of stem, and what is on it. */
const bar = (marks: ReactNode, fill = LEAF_FILL) => (
  <g>
    <path d="M30 4H50V76H30Z" {...LEAF} fill={fill} />
    {marks}
  </g>
)
const along = (count: number, make: (y: number, side: -1 | 1) => ReactNode) =>
  Array.from({ length: count }, (_, index) => make(12 + (60 * index) / count, index % 2 === 0 ? -1 : 1))
const RING = <circle cx={40} cy={40} r={19} {...LEAF} strokeWidth={3} />

/** The states of the characters of stems, and of how leaves stand on them. */
export const STEM_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  leafArrangement: {
    opposite: () => <g>{stalk}{[66, 44, 22].flatMap((y) => [leaflet(40, y, 62), leaflet(40, y, -62)])}</g>,
    alternate: () => <g>{stalk}{[68, 53, 38, 23].map((y, index) => leaflet(40, y, index % 2 === 0 ? 58 : -58))}</g>,
    'basal-rosette': () => <g><path d="M6 66H74" {...SOIL_LINE} />{[-78, -46, -16, 16, 46, 78].map((turn) => leaflet(40, 66, turn, 38))}</g>,
    whorled: () => <g>{stalk}{[62, 30].flatMap((y) => [-96, -58, -22, 22, 58, 96].map((turn) => leaflet(40, y, turn, 22, 'lance')))}</g>,
    bundled: () => <g><path d="M40 78V34" {...LINE} strokeWidth={3} /><path d="M36 40h8v-8h-8z" fill={ROOT} />{[-26, -9, 9, 26].map((turn) => <path key={turn} d="M0 0V-32" transform={`translate(40 34) rotate(${turn})`} {...LINE} strokeWidth={3} />)}</g>,
    'spiral-all-round': () => <g>{stalk}{[70, 61, 52, 43, 34, 25, 16].map((y, index) => leaflet(40, y, [74, -40, 18, -74, 40, -18, 74][index] ?? 0, 20, 'linear'))}{[66, 57, 48, 39, 30, 21].map((y, index) => leaflet(40, y, [-66, 30, 66, -30, 60, -60][index] ?? 0, 20, 'linear'))}</g>,
    'two-ranked': () => <g>{stalk}{[70, 60, 50, 40, 30, 20].flatMap((y) => [leaflet(40, y, 86, 24, 'linear'), leaflet(40, y, -86, 24, 'linear')])}</g>,
    'sheathing-round-stem': () => <g>{stalk}{[60, 32].map((y, index) => <g key={y}><path d={`M35 ${y + 14}V${y}H45V${y + 14}Z`} {...LEAF} />{blade(index === 0 ? 44 : 36, y, index === 0 ? 52 : -52, 32, { shape: 'lance' })}</g>)}</g>,
    'fan-flat': () => <g><path d="M10 72H70" {...SOIL_LINE} />{[-44, -22, 0, 22, 44].map((turn) => <path key={turn} d="M-5 0L0 -60L5 0Z" transform={`translate(40 72) rotate(${turn})`} {...LEAF} />)}</g>,
  },
  leafBase: {
    stalked: () => <g><path d="M22 78V4" {...LINE} strokeWidth={4} /><path d="M22 56Q32 52 40 42" {...LINE} strokeWidth={3} />{blade(39, 44, 48, 38)}</g>,
    stalkless: () => <g><path d="M26 78V4" {...LINE} strokeWidth={4} />{blade(27, 52, 56, 46)}</g>,
    clasping: () => <g><path d="M40 78V4" {...LINE} strokeWidth={4} /><path d="M40 44Q26 62 24 48Q26 36 44 34Q60 26 74 18Q70 44 50 54Q42 58 40 44Z" {...LEAF} /><path d="M40 44Q58 38 72 20" {...THIN} /></g>,
    sheathing: () => <g><path d="M40 78V4" {...LINE} strokeWidth={4} /><path d="M32 72Q28 48 40 34Q52 48 48 72Z" {...LEAF} />{blade(42, 38, 48, 38)}</g>,
    'central-stalk': () => <g><path d="M40 78V40" {...LINE} strokeWidth={3} /><ellipse cx={40} cy={32} rx={32} ry={20} {...LEAF} /><path d="M40 32L14 24M40 32L66 24M40 32L20 44M40 32L60 44M40 32V14" {...THIN} /><circle cx={40} cy={32} r={3} fill={DEEP} /></g>,
  },
  leafJoint: {
    plain: () => <g><path d="M26 78V4" {...LINE} strokeWidth={6} /><path d="M28 50Q44 46 58 26" {...LINE} strokeWidth={3.4} />{blade(56, 30, 34, 26)}</g>,
    'papery-sheath': () => <g><path d="M26 78V4" {...LINE} strokeWidth={6} /><path d="M18 54L20 26L24 30L27 24L30 30L34 25L34 54Z" fill="#efe3c6" stroke="#9b7f4e" strokeWidth={1.8} /><path d="M33 50Q46 46 60 26" {...LINE} strokeWidth={3.4} />{blade(58, 30, 34, 24)}</g>,
    stipules: () => <g><path d="M26 78V4" {...LINE} strokeWidth={6} /><path d="M28 52Q44 48 60 28" {...LINE} strokeWidth={3.4} />{blade(58, 32, 34, 24)}{blade(28, 52, 92, 18, { shape: 'lance' })}{blade(24, 52, -60, 18, { shape: 'lance' })}</g>,
    swollen: () => <g><path d="M30 78V62Q22 50 30 38V4" {...LINE} strokeWidth={6} /><ellipse cx={31} cy={50} rx={12} ry={13} {...LEAF} /><path d="M42 46Q54 42 64 24" {...LINE} strokeWidth={3.4} /></g>,
  },
  stemSection: {
    round: () => cut(<circle cx={40} cy={40} r={18} {...LEAF} />),
    square: () => cut(<rect x={23} y={23} width={34} height={34} rx={2} {...LEAF} />),
    'flat-sided': () => cut(<path d="M16 40Q28 28 40 30Q52 28 64 40Q52 52 40 50Q28 52 16 40Z" {...LEAF} />),
    ridged: () => cut(<path d={`M${Array.from({ length: 24 }, (_, index) => { const radius = index % 2 === 0 ? 20 : 14.5; const angle = (index * Math.PI) / 12; return `${(40 + radius * Math.cos(angle)).toFixed(1)} ${(40 + radius * Math.sin(angle)).toFixed(1)}` }).join('L')}Z`} {...LEAF} />),
    'three-angled': () => cut(<path d="M40 19L60 55H20Z" {...LEAF} />),
  },
  stemCore: {
    hollow: () => <g>{RING}<circle cx={40} cy={40} r={11} fill={PAPER} stroke={GREEN} strokeWidth={1.8} /></g>,
    pithy: () => <g>{RING}<circle cx={40} cy={40} r={12} fill="#f4efe0" stroke="#b9ab86" strokeWidth={1.4} />{[[36, 37], [44, 38], [40, 44], [35, 44], [45, 44], [40, 34]].map(([x, y]) => <circle key={`${x}${y}`} cx={x} cy={y} r={1.3} fill="#b9ab86" />)}</g>,
    solid: () => <g>{RING}</g>,
    spongy: () => <g>{RING}{[[32, 34], [40, 31], [48, 34], [30, 43], [37, 41], [45, 42], [50, 42], [34, 49], [42, 50], [47, 49]].map(([x, y]) => <circle key={`${x}${y}`} cx={x} cy={y} r={3} fill={PAPER} stroke={GREEN} strokeWidth={1} />)}</g>,
  },
  stemSurface: {
    smooth: () => bar(null),
    'one-line-of-hairs': () => bar(along(10, (y) => <path key={y} d={`M50 ${y}l10 -5`} {...THIN} />)),
    'hairy-all-round': () => bar(along(9, (y) => <path key={y} d={`M30 ${y}l-10 -5M50 ${y}l10 -5M40 ${y}l4 -5`} {...THIN} />)),
    stinging: () => bar(along(7, (y, side) => <g key={y}><path d={`M${side < 0 ? 30 : 50} ${y}l${side * 16} -7`} {...LINE} stroke={RED} strokeWidth={1.8} /><circle cx={side < 0 ? 30 : 50} cy={y} r={3} fill={RED} /></g>)),
    thorny: () => bar([16, 40, 64].map((y, index) => <path key={y} d={index % 2 === 0 ? `M50 ${y - 3}L74 ${y - 12}L50 ${y + 4}Z` : `M30 ${y - 3}L6 ${y - 12}L30 ${y + 4}Z`} fill={ROOT} stroke={DEEP} strokeWidth={1.2} />), '#c9b48e'),
    'purple-blotched': () => bar([[36, 14], [44, 24], [35, 36], [45, 46], [38, 58], [45, 68]].map(([x = 0, y = 0]) => <ellipse key={y} cx={x} cy={y} rx={4.6} ry={3} fill="#7b3f68" />)),
    'waxy-bloom': () => bar(<g><path d="M36 8V72" {...LINE} stroke={PAPER} strokeWidth={4} /><path d="M43 20q-5 8 0 11q5 -3 0 -11ZM43 50q-5 8 0 11q5 -3 0 -11Z" fill="#cfe4ee" stroke="#6a93a8" strokeWidth={1.2} /></g>, '#c3d8cf'),
    'hooked-bristles': () => bar(along(7, (y, side) => <path key={y} d={`M${side < 0 ? 30 : 50} ${y}h${side * 9}q${side * 3} 4 ${side * -2} 6`} {...THIN} strokeWidth={1.8} />)),
    prickly: () => bar(along(9, (y, side) => <path key={y} d={side < 0 ? `M30 ${y - 3}L20 ${y + 2}L30 ${y + 3}Z` : `M50 ${y - 3}L60 ${y + 2}L50 ${y + 3}Z`} fill={RED} />)),
  },
  sap: {
    clear: () => drop('#dcecf2', '#6a93a8'),
    milky: () => drop('#ffffff', '#8d8a7c', true),
    'yellow-orange': () => drop('#f0a52b', '#a5631a', true),
    slimy: () => <g>{broken}<path d="M34 30Q30 50 34 74M40 30V72M46 30Q51 50 46 74" {...LINE} stroke="#8fb59a" strokeWidth={4} /></g>,
    'sticky-resin': () => <g>{broken}{[[34, 52], [44, 56], [39, 64]].map(([x, y]) => <circle key={x} cx={x} cy={y} r={5} fill="#d9962f" stroke="#8f5c14" strokeWidth={1.4} />)}</g>,
    'none-noticeable': () => <g>{broken}<path d="M28 60H52" {...LINE} stroke="#a59c86" strokeDasharray="1 6" /></g>,
  },
  tendrils: {
    none: () => <g><path d="M40 78V4" {...LINE} strokeWidth={4} />{leaflet(40, 60, 60, 28)}{leaflet(40, 34, -60, 28)}</g>,
    coiled: () => <g><path d="M28 78V4" {...LINE} strokeWidth={4} /><path d="M28 44Q44 40 50 30Q58 18 66 26Q70 36 60 36Q54 34 58 28" {...LINE} strokeWidth={2} />{leaflet(28, 60, 66, 28)}</g>,
    'clinging-roots': () => <g><path d="M58 0H80V80H58Z" fill="#d8cbb2" /><path d="M48 78V4" {...LINE} strokeWidth={4} />{[14, 26, 38, 50, 62].map((y) => <path key={y} d={`M48 ${y}l10 -4M48 ${y}l11 0M48 ${y}l10 4`} {...BROWN_LINE} strokeWidth={1.4} />)}{leaflet(48, 40, -64, 32)}</g>,
  },
} // prettier-ignore

const broken = (
  <g>
    <path d="M32 4H48V28L44 34L40 28L36 34L32 28Z" {...LEAF} />
    <path d="M32 78H48V70L44 64L40 70L36 64L32 70Z" {...LEAF} />
  </g>
)

function drop(fill: string, stroke: string, thick = false): ReactNode {
  return (
    <g>
      {broken}
      <path d="M40 34Q30 48 40 54Q50 48 40 34Z" fill={fill} stroke={stroke} strokeWidth={thick ? 2.4 : 1.6} />
      {thick && <path d="M34 30Q40 38 46 30" fill={fill} stroke={stroke} strokeWidth={2} />}
    </g>
  )
}

import type { ReactNode } from 'react'
import { BROWN, DEEP, LEAF, LINE, PAINT, PAPER, ROOT, THIN } from './ink'

const twig = <path d="M40 2V18" {...LINE} />
const ball = (x: number, y: number, r: number, fill: string) => (
  <g key={`${x}|${y}`}>
    <circle cx={x} cy={y} r={r} fill={fill} stroke={DEEP} strokeWidth={1.6} />
    <path
      d={`M${x - r * 0.45} ${y - r * 0.35}q${r * 0.15} ${-r * 0.3} ${r * 0.4} ${-r * 0.32}`}
      {...THIN}
      stroke={PAPER}
      strokeWidth={r * 0.2}
    />
  </g>
)

/** A fruit of its kind, painted; 80 by 80. */
export function fruitOf(kind: string, colour = 'green'): ReactNode {
  const fill = PAINT[colour] ?? LEAF.fill
  const kinds: Readonly<Record<string, () => ReactNode>> = {
    capsule: () => <g>{twig}<path d="M40 18C18 22 18 58 28 66L34 58L40 68L46 58L52 66C62 58 62 22 40 18Z" fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M40 20V58M30 24Q26 44 34 58M50 24Q54 44 46 58" {...THIN} stroke={DEEP} /></g>,
    pod: () => <g><path d="M16 8L24 16" {...LINE} /><path d="M22 14Q48 16 62 64Q64 76 58 72Q34 52 22 14Z" fill={fill} stroke={DEEP} strokeWidth={1.8} />{[[33, 28], [41, 39], [49, 51]].map(([x, y]) => <ellipse key={x} cx={x} cy={y} rx={5} ry={4} fill={PAPER} stroke={DEEP} strokeWidth={1} opacity={0.8} />)}</g>,
    'berry-single': () => <g>{twig}{ball(40, 44, 25, fill)}</g>,
    'berry-compound': () => <g>{twig}{[[40, 26], [28, 30], [52, 30], [22, 42], [34, 41], [46, 41], [58, 42], [27, 54], [40, 54], [53, 54], [34, 65], [46, 65]].map(([x = 0, y = 0]) => ball(x, y, 8, fill))}</g>,
    drupe: () => <g>{twig}<circle cx={40} cy={45} r={26} fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M40 45L66 45A26 26 0 0 1 40 71Z" fill={PAPER} stroke={DEEP} strokeWidth={1.4} /><ellipse cx={44} cy={49} rx={11} ry={13} {...BROWN} /></g>,
    aril: () => <g>{twig}<path d="M18 36Q16 66 40 68Q64 66 62 36Q54 44 40 44Q26 44 18 36Z" fill={colour === 'green' ? PAINT['red'] : fill} stroke={DEEP} strokeWidth={1.8} /><ellipse cx={40} cy={36} rx={12} ry={14} fill="#6c7a4a" stroke={DEEP} strokeWidth={1.6} /></g>,
    'nut-in-cup': () => <g>{twig}<path d="M24 34Q24 68 40 76Q56 68 56 34Z" fill={colour === 'green' ? '#b98f56' : fill} stroke={DEEP} strokeWidth={1.8} /><path d="M18 36Q18 18 40 18Q62 18 62 36Q40 42 18 36Z" fill="#8d6c43" stroke={DEEP} strokeWidth={1.8} />{[[27, 30], [35, 27], [45, 27], [53, 30], [31, 35], [49, 35], [40, 33]].map(([x, y]) => <circle key={`${x}${y}`} cx={x} cy={y} r={1.8} fill={DEEP} />)}</g>,
    winged: () => <g><path d="M40 4V22" {...LINE} /><circle cx={33} cy={28} r={8} fill={fill} stroke={DEEP} strokeWidth={1.6} /><circle cx={47} cy={28} r={8} fill={fill} stroke={DEEP} strokeWidth={1.6} /><path d="M28 34Q2 50 8 74Q26 66 34 36ZM52 34Q78 50 72 74Q54 66 46 36Z" fill="#e9dfc0" stroke={DEEP} strokeWidth={1.6} /><path d="M29 40Q16 52 12 68M51 40Q64 52 68 68" {...THIN} stroke={ROOT} /></g>,
    burr: () => <g>{twig}<circle cx={40} cy={44} r={17} fill={fill} stroke={DEEP} strokeWidth={1.6} />{Array.from({ length: 16 }, (_, index) => <path key={index} transform={`translate(40 44) rotate(${index * 22.5})`} d="M0 -16V-27q0 -4 4 -3" {...THIN} stroke={DEEP} strokeWidth={1.6} />)}</g>,
    'dry-with-parachute': () => <g><path d="M40 34V60" {...THIN} stroke={DEEP} /><path d="M37 58Q36 70 40 76Q44 70 43 58Z" fill="#8d6c43" stroke={DEEP} strokeWidth={1.4} />{[-72, -50, -28, -8, 8, 28, 50, 72].map((turn) => <path key={turn} transform={`translate(40 34) rotate(${turn})`} d="M0 0V-28M0 -28l-3 -3M0 -28l3 -3" {...THIN} stroke="#8f8a78" />)}</g>,
    nutlet: () => <g><path d="M40 4V40" {...LINE} />{[[24, 40, -26], [56, 40, 26], [40, 50, 0], [27, 62, -14], [53, 62, 14]].map(([x = 0, y = 0, turn = 0]) => <g key={x} transform={`translate(${x} ${y}) rotate(${turn})`}><path d="M0 -12Q11 -6 9 4Q6 12 0 13Q-6 12 -9 4Q-11 -6 0 -12Z" fill={colour === 'green' ? '#b98f56' : fill} stroke={DEEP} strokeWidth={1.6} /><path d="M0 -12v-5" {...THIN} stroke={DEEP} /></g>)}</g>,
    'split-pair': () => <g>{twig}<path d="M38 20Q14 34 24 66Q38 62 38 20Z" fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M42 20Q66 34 56 66Q42 62 42 20Z" fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M32 30Q24 46 27 60M36 28Q32 46 32 60M48 30Q56 46 53 60M44 28Q48 46 48 60" {...THIN} stroke={DEEP} /></g>,
    pepo: () => <g><path d="M40 4Q36 10 40 16" {...LINE} strokeWidth={4} /><ellipse cx={40} cy={46} rx={30} ry={27} fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M40 19V73M26 22Q14 46 26 70M54 22Q66 46 54 70" {...THIN} stroke={DEEP} strokeWidth={1.8} /></g>,
    hip: () => <g>{twig}<path d="M34 18Q20 30 24 52Q30 64 36 64H44Q50 64 56 52Q60 30 46 18Z" fill={colour === 'green' ? PAINT['red'] : fill} stroke={DEEP} strokeWidth={1.8} /><path d="M36 64l-8 12M39 64l-2 14M42 64l3 14M44 64l9 11" {...LINE} strokeWidth={1.8} stroke={ROOT} /></g>,
    pome: () => <g>{twig}<path d="M40 22Q16 12 14 42Q16 70 40 68Q64 70 66 42Q64 12 40 22Z" fill={fill} stroke={DEEP} strokeWidth={1.8} /><path d="M34 68l2 -6l4 4l4 -4l2 6" {...LINE} stroke={DEEP} strokeWidth={1.8} /></g>,
  } // prettier-ignore
  return kinds[kind]?.() ?? kinds['berry-single']?.()
}

const FRUITS = ['capsule', 'pod', 'berry-single', 'berry-compound', 'drupe', 'aril', 'nut-in-cup', 'winged', 'burr', 'dry-with-parachute', 'split-pair', 'pepo', 'hip', 'pome', 'nutlet'] // prettier-ignore
const COLOURS = ['green', 'red', 'orange', 'yellow', 'blue-black', 'purple', 'brown', 'white']
const tip = (marks: ReactNode) => (
  <g>
    <circle cx={40} cy={42} r={31} fill="#4a4f78" stroke={DEEP} strokeWidth={2} />
    {marks}
  </g>
)

/** The states of the characters of fruits. */
export const FRUIT_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  fruit: Object.fromEntries(FRUITS.map((kind) => [kind, () => fruitOf(kind)])),
  fruitColour: Object.fromEntries(COLOURS.map((colour) => [colour, () => fruitOf('berry-single', colour)])),
  fruitTip: {
    crown: () => tip(<g><circle cx={40} cy={42} r={14} fill="#6d7297" stroke={PAPER} strokeWidth={3.4} /><circle cx={40} cy={42} r={3} fill={DEEP} /></g>),
    'calyx-star': () => tip(<path d={`M${Array.from({ length: 10 }, (_, index) => { const radius = index % 2 === 0 ? 18 : 7; const angle = (index * Math.PI) / 5 - Math.PI / 2; return `${(40 + radius * Math.cos(angle)).toFixed(1)} ${(42 + radius * Math.sin(angle)).toFixed(1)}` }).join('L')}Z`} fill="#2b2f4a" stroke={PAPER} strokeWidth={2} />),
    'withered-flower': () => tip(<g><path d="M40 42Q34 26 26 18M40 42Q40 24 40 12M40 42Q46 26 54 18M40 42Q38 28 33 15M40 42Q42 28 47 15" {...LINE} stroke="#c79a5b" strokeWidth={3} /><circle cx={40} cy={42} r={4} fill="#c79a5b" /></g>),
    'open-cup': () => <g><circle cx={40} cy={42} r={31} fill="#b9382c" stroke={DEEP} strokeWidth={2} /><circle cx={40} cy={42} r={18} fill="#7a2018" stroke={DEEP} strokeWidth={2} /><circle cx={40} cy={42} r={11} fill="#6c7a4a" stroke={DEEP} strokeWidth={2} /></g>,
    plain: () => tip(<path d="M24 32Q28 22 38 19" {...LINE} stroke={PAPER} strokeWidth={4} />),
  },
} // prettier-ignore

import type { ReactNode } from 'react'
import { BROWN_LINE, DEEP, GREEN, LEAF, LINE, PAPER, ROOT, THIN } from './ink'

const bark = (fill: string, marks: ReactNode) => (
  <g>
    <rect x={14} y={4} width={52} height={72} rx={6} fill={fill} stroke={DEEP} strokeWidth={1.8} />
    {marks}
  </g>
)
const twig = <path d="M4 58H76" stroke={ROOT} strokeWidth={13} strokeLinecap="round" />
const needle = (d: string) => <path d={d} fill={LEAF.fill} stroke={GREEN} strokeWidth={2} strokeLinejoin="round" />
const coneScales = (flip: boolean) =>
  [14, 22, 30, 38, 46, 54].flatMap((y, row) => {
    const half = 6 + Math.min(row, 5 - row) * 3.6 + 4
    return Array.from({ length: 4 }, (_, index) => {
      const x = 40 - half + (index + (row % 2 === 0 ? 0.5 : 0.1)) * ((2 * half) / 4)
      return <path key={`${y}${index}`} d={flip ? `M${x - 5} ${y}q5 -9 10 0` : `M${x - 5} ${y}q5 9 10 0`} fill="#c39a66" stroke={DEEP} strokeWidth={1.2} />
    })
  }) // prettier-ignore
const coneBody = (
  <path d="M40 8Q58 18 56 42Q52 62 40 66Q28 62 24 42Q22 18 40 8Z" fill="#a97d4a" stroke={DEEP} strokeWidth={1.8} />
)
const frond = (marks: ReactNode, section: ReactNode) => (
  <g>
    <path d="M20 78V40Q20 10 44 10Q64 12 62 30Q58 44 46 40Q38 34 46 28" {...LINE} strokeWidth={8} stroke={LEAF.fill} />
    <path d="M20 78V40Q20 10 44 10Q64 12 62 30Q58 44 46 40Q38 34 46 28" {...LINE} strokeWidth={1.4} />
    {marks}
    {section}
  </g>
)
const thallus = (fill: string) => (
  <path d="M40 76Q30 58 36 46Q22 50 12 36Q22 34 30 38Q24 24 30 8Q38 16 38 32Q44 18 56 12Q56 26 46 36Q60 30 72 38Q60 52 46 48Q48 62 40 76Z" fill={fill} stroke={DEEP} strokeWidth={1.8} strokeLinejoin="round" />
) // prettier-ignore

/** The states of the characters of trees, conifers, ferns and lichens. */
export const WOODY_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  needleSection: {
    flat: () => <g><path d="M40 4V26" {...LINE} strokeDasharray="3 5" /><path d="M10 40Q40 32 70 40Q40 48 10 40Z" {...LEAF} /></g>,
    'four-sided': () => <g><path d="M40 4V16" {...LINE} strokeDasharray="3 5" /><path d="M40 18L62 40L40 62L18 40Z" {...LEAF} /></g>,
    'half-round': () => <g><path d="M40 4V20" {...LINE} strokeDasharray="3 5" /><path d="M14 52A26 26 0 0 1 66 52Z" {...LEAF} /></g>,
  },
  needleSeat: {
    peg: () => <g>{twig}<path d="M32 52L34 38H46L48 52Z" fill={ROOT} stroke={DEEP} strokeWidth={1.6} />{needle('M36 38L37 6L43 6L44 38Z')}</g>,
    'flush-disc': () => <g>{twig}<ellipse cx={40} cy={51} rx={12} ry={4} fill={PAPER} stroke={DEEP} strokeWidth={1.8} />{needle('M36 50Q30 40 37 6L43 6Q50 40 44 50Z')}</g>,
    'bundle-sheath': () => <g>{twig}{needle('M38 40L26 4L31 4L41 40Z')}{needle('M39 40L49 4L54 4L42 40Z')}<path d="M34 52L35 34H45L46 52Z" fill="#d9c9a4" stroke={DEEP} strokeWidth={1.6} /><path d="M35 40H45M35 46H45" {...BROWN_LINE} strokeWidth={1} /></g>,
    decurrent: () => <g>{twig}{needle('M70 56Q48 54 42 40L38 6L33 8L34 44Q36 60 60 62Z')}<path d="M38 50Q46 58 64 59" {...THIN} /></g>,
  },
  cone: {
    hanging: () => <g><path d="M8 6H72" {...BROWN_LINE} strokeWidth={4} /><path d="M40 6V12" {...BROWN_LINE} strokeWidth={3} /><g transform="translate(0 8)">{coneBody}{coneScales(false)}</g></g>,
    upright: () => <g><path d="M8 74H72" {...BROWN_LINE} strokeWidth={4} /><path d="M40 74V68" {...BROWN_LINE} strokeWidth={3} />{coneBody}{coneScales(true)}</g>,
    'three-pronged-bracts': () => <g><path d="M40 2V12" {...BROWN_LINE} strokeWidth={3} /><g transform="translate(0 6)">{coneBody}{coneScales(false)}{[18, 30, 42, 54].flatMap((y, row) => [-1, 1].map((side) => <path key={`${y}${side}`} transform={`translate(${40 + side * (13 - Math.abs(row - 1.5) * 2)} ${y})`} d={`M0 0l${side * 9} 6M${side * 5} 3l${side * 2} 8M${side * 5} 3l${side * 8} -1`} {...LINE} stroke={DEEP} strokeWidth={1.8} />))}</g></g>,
    'small-round': () => <g><path d="M40 2V20" {...BROWN_LINE} strokeWidth={3} /><circle cx={40} cy={42} r={20} fill="#8a93b4" stroke={DEEP} strokeWidth={1.8} /><path d="M40 42V24M40 42L24 52M40 42L56 52" {...THIN} stroke={DEEP} strokeWidth={1.8} /></g>,
    none: () => <g><path d="M8 40H72" {...BROWN_LINE} strokeWidth={4} />{[18, 30, 42, 54, 66].map((x) => <path key={x} d={`M${x} 40l-5 -16M${x} 40l5 16`} {...LINE} strokeWidth={2.6} />)}</g>,
  },
  bark: {
    'smooth-pale': () => bark('#cfc8b8', <path d="M22 22q10 -3 18 0M38 50q10 -3 20 0" {...THIN} stroke="#8d8675" />),
    furrowed: () => bark('#8a7355', <path d="M24 6Q20 30 26 48T22 74M36 6Q42 28 34 46T38 74M48 6Q44 30 52 50T48 74M58 6Q62 34 56 74M26 40L36 30M38 58L49 44M50 34L58 24" {...LINE} stroke={DEEP} strokeWidth={3} />),
    knobbly: () => bark('#a39377', [[24, 18], [40, 14], [56, 22], [30, 34], [48, 36], [22, 52], [38, 54], [56, 54], [30, 68], [48, 68]].map(([x, y]) => <path key={`${x}${y}`} d={`M${(x ?? 0) - 6} ${(y ?? 0) + 4}q6 -16 12 0Z`} fill="#7c6b4e" stroke={DEEP} strokeWidth={1.4} />)),
    peeling: () => bark('#9a6f4a', <g><path d="M24 8Q34 22 26 44L18 40Q20 22 24 8Z" fill="#d8b98e" stroke={DEEP} strokeWidth={1.6} /><path d="M58 24Q44 40 52 70L64 64Q66 40 58 24Z" fill="#d8b98e" stroke={DEEP} strokeWidth={1.6} /><path d="M40 10Q46 26 40 42L34 30Z" fill="#d8b98e" stroke={DEEP} strokeWidth={1.6} /></g>),
    papery: () => bark('#f5f2e8', <g>{[14, 26, 38, 50, 62].map((y, index) => <path key={y} d={`M${index % 2 === 0 ? 18 : 40} ${y}h${index % 2 === 0 ? 18 : 20}`} {...LINE} stroke={DEEP} strokeWidth={3} />)}<path d="M66 30q10 -2 8 10q-4 6 -8 0" fill={PAPER} stroke={DEEP} strokeWidth={1.4} /></g>),
  },
  frondStalk: {
    'deep-groove-smooth': () => frond(null, <g><path d="M50 66Q50 50 58 54Q62 66 66 54Q76 50 76 66Q72 78 63 78Q54 78 50 66Z" {...LEAF} /></g>),
    'brown-scales': () => frond([[20, 70], [20, 58], [21, 46], [23, 32], [30, 18], [44, 11], [57, 17], [62, 30]].map(([x = 0, y = 0]) => <path key={y} d={`M${x - 7} ${y}l7 -9l7 9l-7 3Z`} fill="#a2743f" stroke={DEEP} strokeWidth={1} />), null),
    furry: () => frond([[20, 72], [20, 60], [20, 48], [22, 34], [28, 20], [40, 12], [54, 14], [61, 26]].map(([x = 0, y = 0]) => <path key={y} d={`M${x - 5} ${y}l-7 -3M${x - 5} ${y + 5}l-7 1M${x + 5} ${y}l7 -3M${x + 5} ${y + 5}l7 1`} {...THIN} stroke="#8d8675" />), null),
    'smooth-round': () => frond(null, <circle cx={63} cy={66} r={11} {...LEAF} />),
  },
  thallusColour: {
    brown: () => thallus('#8a6a48'),
    grey: () => thallus('#b9bcb5'),
    'yellow-green': () => thallus('#d3de3f'),
  },
} // prettier-ignore

import type { ReactNode } from 'react'
import { BROWN, BROWN_LINE, DEEP, LINE, PAPER, ROOT, ROOT_FILL, SOIL_LINE, THIN } from './ink'

const ground = (
  <g>
    <path d="M4 18Q22 14 40 18T76 18" {...SOIL_LINE} />
    <path d="M40 18V4M40 12Q32 10 30 4M40 12Q48 10 50 4" {...LINE} />
  </g>
)
const rootlets = (y: number) => (
  <path d={`M32 ${y}l-5 11M37 ${y}l-2 13M43 ${y}l2 13M48 ${y}l5 11`} {...BROWN_LINE} strokeWidth={1.4} />
)

/** What is under the ground, by its kind; 80 by 80, the soil near the top. */
export const UNDER_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  underground: {
    'tap-root-long': () => <g>{ground}<path d="M32 18Q34 50 40 77Q46 50 48 18Z" {...BROWN} /><path d="M35 34l-14 6M44 42l14 7M38 54l-9 6" {...BROWN_LINE} strokeWidth={1.4} /></g>,
    'tap-root-swollen-chambered': () => <g>{ground}<path d="M26 20Q18 48 34 62L40 76L46 62Q62 48 54 20Z" {...BROWN} /><path d="M29 28H51M26 36H54M27 44H53M30 52H50M34 59H46" {...BROWN_LINE} /></g>,
    fibrous: () => <g>{ground}<path d="M40 18Q28 34 14 46M40 18Q34 40 26 64M40 18Q38 46 36 76M40 18Q42 46 46 76M40 18Q48 40 56 64M40 18Q54 34 68 46M40 18Q30 28 10 32M40 18Q52 28 70 32" {...BROWN_LINE} strokeWidth={1.7} /></g>,
    rhizome: () => <g>{ground}<path d="M40 18V34" {...BROWN_LINE} strokeWidth={3} /><path d="M4 40Q24 30 42 38T78 36V46Q58 52 40 48T4 50Z" {...BROWN} /><path d="M14 49v12M26 48v14M38 49v13M52 50v12M66 47v13" {...BROWN_LINE} strokeWidth={1.5} /><path d="M70 37q0 -10 4 -14" {...LINE} /><path d="M20 35v11M33 34v12M50 38v12M62 37v11" {...BROWN_LINE} strokeWidth={1} /></g>,
    tuber: () => <g>{ground}<path d="M40 18Q40 30 34 38" {...BROWN_LINE} /><path d="M14 50Q14 34 34 36Q62 34 66 52Q66 70 40 70Q16 70 14 50Z" {...BROWN} />{[[26, 48], [42, 44], [54, 54], [34, 60]].map(([x, y]) => <path key={x} d={`M${x} ${y}q3 -3 6 0`} {...BROWN_LINE} />)}</g>,
    'corm-coated': () => <g>{ground}<path d="M22 46Q22 28 40 22Q58 28 58 46Q58 60 40 60Q22 60 22 46Z" fill="#a9825a" stroke={DEEP} strokeWidth={2} /><path d="M30 30L26 56M36 25L34 59M44 25L46 59M50 30L54 56" {...THIN} stroke={DEEP} /><path d="M34 22L40 10L46 22" fill="#a9825a" stroke={DEEP} strokeWidth={1.6} />{rootlets(61)}</g>,
    'bulb-coated': () => <g>{ground}<path d="M40 16Q34 26 26 36Q20 56 40 60Q60 56 54 36Q46 26 40 16Z" fill={PAPER} stroke={ROOT} strokeWidth={2} /><path d="M40 20Q32 40 38 59M40 20Q48 40 42 59M33 30Q27 44 31 56M47 30Q53 44 49 56" {...THIN} stroke={ROOT} />{rootlets(60)}</g>,
    'bulb-scaly': () => <g>{ground}{[[28, 50], [52, 50], [34, 54], [46, 54], [40, 57], [31, 40], [49, 40], [37, 43], [43, 43], [40, 32]].map(([x = 0, y = 0]) => <path key={`${x}${y}`} d={`M${x - 8} ${y}Q${x - 6} ${y - 14} ${x} ${y - 18}Q${x + 6} ${y - 14} ${x + 8} ${y}Q${x} ${y + 6} ${x - 8} ${y}Z`} fill={ROOT_FILL} stroke={ROOT} strokeWidth={1.6} />)}{rootlets(61)}</g>,
    'globose-root': () => <g>{ground}<path d="M40 18V36" {...BROWN_LINE} strokeWidth={2} /><circle cx={40} cy={51} r={16} {...BROWN} /><path d="M40 67v9M30 63l-6 8M50 63l6 8" {...BROWN_LINE} strokeWidth={1.4} /></g>,
    'cluster-of-tubers': () => <g>{ground}{[-58, -32, -8, 16, 40, 62].map((turn) => <path key={turn} transform={`translate(40 18) rotate(${-turn})`} d="M-2 4Q-9 22 -6 44Q0 56 6 44Q9 22 2 4Z" {...BROWN} />)}</g>,
  },
} // prettier-ignore

export const underground = (kind: string): ReactNode => UNDER_STATES['underground']?.[kind]?.() ?? null

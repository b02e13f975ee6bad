import type { ReactNode } from 'react'
import { blade, leaflet } from './leaf'
import { BROWN_LINE, DEEP, LEAF, LINE, SOIL_LINE, THIN } from './ink'

const soil = <path d="M4 72Q22 69 40 72T76 72" {...SOIL_LINE} />
const water = <path d="M4 56q6 -4 12 0t12 0t12 0t12 0t12 0t12 0" {...LINE} stroke="#6a93a8" strokeWidth={2} />
const crown = (
  <path d="M40 8Q58 4 64 18Q76 26 68 38Q66 50 50 48Q40 54 30 48Q14 50 12 38Q4 26 16 18Q22 4 40 8Z" {...LEAF} />
)

const person = (height: number) => {
  const scale = height / 60
  return (
    <g
      transform={`translate(64 72) scale(${scale})`}
      fill="none"
      stroke="#a59c86"
      strokeWidth={2 / scale}
      strokeLinecap="round"
    >
      <circle cx={0} cy={-54} r={5} />
      <path d="M0 -48V-24M0 -42L-8 -30M0 -42L8 -30M0 -24L-6 0M0 -24L6 0" />
    </g>
  )
}
const beside = (top: number, person_h: number) => (
  <g>
    {soil}
    <path d={`M24 72V${top}`} {...LINE} strokeWidth={3} />
    {[0.2, 0.45, 0.7].flatMap((at) => {
      const y = 72 - (72 - top) * at
      const size = Math.max(7, (72 - top) * 0.3)
      return [leaflet(24, y, 60, size), leaflet(24, y, -60, size)]
    })}
    {leaflet(24, top + 4, 0, Math.max(6, (72 - top) * 0.2))}
    {person(person_h)}
  </g>
)

/** The states of the characters of the whole plant. */
export const WHOLE_STATES: Readonly<Record<string, Readonly<Record<string, () => ReactNode>>>> = {
  habit: {
    prostrate: () => <g>{soil}<path d="M40 70Q24 60 6 66M40 70Q56 60 74 66" {...LINE} strokeWidth={3} />{[12, 22, 32, 48, 58, 68].map((x, index) => leaflet(x, 65, index % 2 === 0 ? -24 : 24, 15))}</g>,
    mat: () => <g>{soil}<path d="M6 70Q6 56 16 58Q20 48 30 54Q36 46 44 53Q52 46 58 54Q68 50 72 60Q78 62 74 70Z" {...LEAF} />{[14, 26, 38, 50, 62].map((x) => <path key={x} d={`M${x} 68v-8M${x - 5} 66l4 -5M${x + 5} 66l-4 -5`} {...THIN} />)}</g>,
    rosette: () => <g>{soil}{[-84, -56, -28, 0, 28, 56, 84].map((turn) => blade(40, 70, turn, 34, { shape: 'lance' }))}</g>,
    erect: () => <g>{soil}<path d="M40 72V10" {...LINE} strokeWidth={3.4} />{[58, 42, 26].flatMap((y) => [leaflet(40, y, 56, 24), leaflet(40, y, -56, 24)])}{leaflet(40, 20, 0, 14)}</g>,
    climbing: () => <g>{soil}<path d="M40 72V4" {...BROWN_LINE} strokeWidth={5} /><path d="M28 72Q56 62 40 52Q24 44 40 34Q56 26 40 16Q30 10 40 4" {...LINE} strokeWidth={3} />{[[52, 62], [28, 44], [54, 28], [30, 12]].map(([x = 0, y = 0], index) => leaflet(x, y, index % 2 === 0 ? 70 : -70, 18, 'heart'))}</g>,
    shrub: () => <g>{soil}<path d="M40 72V52M40 72L24 46M40 72L56 46M40 64L32 40M40 64L50 40" {...BROWN_LINE} strokeWidth={3.4} /><path d="M40 18Q54 12 60 24Q74 28 68 42Q66 56 50 52Q40 58 30 52Q14 56 12 42Q6 28 20 24Q26 12 40 18Z" {...LEAF} opacity={0.85} /><path d="M40 72V52M40 72L24 50M40 72L56 50" {...BROWN_LINE} strokeWidth={3.4} /></g>,
    tree: () => <g>{soil}<path d="M36 72L38 40H42L44 72Z" fill="#8a7355" stroke={DEEP} strokeWidth={1.6} />{crown}</g>,
    floating: () => <g>{water}{[18, 44, 64].map((x, index) => <ellipse key={x} cx={x} cy={52 + (index % 2) * 6} rx={12} ry={5} {...LEAF} />)}<path d="M18 56Q24 70 38 76M44 62Q42 70 38 76M64 56Q54 72 38 76" {...THIN} /></g>,
    emergent: () => <g><path d="M16 76Q18 40 10 8M30 76Q30 40 30 4M44 76Q44 40 46 6M58 76Q58 40 68 10" {...LINE} strokeWidth={5} />{water}</g>,
  },
  height: {
    'under-15cm': () => beside(64, 58),
    '15-60cm': () => beside(52, 58),
    '60-200cm': () => beside(24, 58),
    'over-200cm': () => beside(10, 38),
  },
} // prettier-ignore

import type { ReactNode } from 'react'

const LEAF = { fill: '#a9c489', stroke: '#3f6335', strokeWidth: 2, strokeLinejoin: 'round' as const }
const LINE = { fill: 'none', stroke: '#3f6335', strokeWidth: 2.4, strokeLinecap: 'round' as const }
const HAIR = { ...LINE, strokeWidth: 1.5 }

const leaf = (x: number, y: number, turn: number, length = 26) => (
  <path
    key={`${x}${y}${turn}`}
    transform={`translate(${x} ${y}) rotate(${turn})`}
    d={`M0 0C${length * 0.3}-9 ${length * 0.75}-7 ${length} 0C${length * 0.75} 7 ${length * 0.3} 9 0 0Z`}
    {...LEAF}
  />
)

/** A leaf whose edge is drawn from its base to its tip, step by step: half a leaf and its mirror image. */
function edged(teeth: (step: number) => string): ReactNode {
  const half = `M40 74 ${Array.from({ length: STEPS }, (_, step) => teeth(step)).join(' ')} L40 6 Z`
  return (
    <g>
      <path d={half} {...LEAF} />
      <path d={half} {...LEAF} transform="matrix(-1 0 0 1 80 0)" />
      <path d="M40 78V12" {...LINE} strokeWidth={1.4} />
    </g>
  )
}
const STEPS = 9
const halfWidth = (step: number) => 20 * Math.sin(((step + 1) / 10) * Math.PI * 0.92 + 0.18)
const at = (step: number, out: number, drop = 0) =>
  `${(40 + halfWidth(step) + out).toFixed(1)} ${(70 - step * 7 + drop).toFixed(1)}`

const outline = (marks: ReactNode) => (
  <g>
    <path d="M40 76C14 62 16 30 40 6C64 30 66 62 40 76Z" {...LEAF} />
    <path d="M40 76V16" {...LINE} strokeWidth={1.4} />
    {marks}
  </g>
)
const hairs = (long: number, dotted: boolean) =>
  [
    [28, 60],
    [52, 58],
    [26, 46],
    [54, 44],
    [30, 32],
    [50, 30],
    [36, 20],
    [45, 66],
  ].map(([x = 0, y = 0]) => (
    <g key={`${x}-${y}`}>
      <path
        d={`M${x} ${y}l${x < 40 ? -long : long} -${long * 0.7}`}
        {...HAIR}
        stroke={dotted ? '#9c3220' : '#3f6335'}
      />
      {dotted && <circle cx={x} cy={y} r={2} fill="#9c3220" />}
    </g>
  ))

const section = (shape: ReactNode) => (
  <g>
    <path d="M40 6V24M40 56V74" {...LINE} strokeDasharray="3 5" />
    {shape}
  </g>
)

const DRAWINGS: Readonly<Record<string, Readonly<Record<string, ReactNode>>>> = {
  leafArrangement: {
    opposite: <g><path d="M40 76V8" {...LINE} />{[62, 42, 22].flatMap((y) => [leaf(40, y, -22), leaf(40, y, -158)])}</g>,
    alternate: <g><path d="M40 76V8" {...LINE} />{[leaf(40, 64, -22), leaf(40, 50, -158), leaf(40, 36, -22), leaf(40, 22, -158)]}</g>,
    'basal-rosette': <g>{[-170, -140, -110, -70, -40, -10].map((turn) => leaf(40, 62, turn, 34))}</g>,
    whorled: <g><path d="M40 76V8" {...LINE} />{[58, 26].flatMap((y) => [-160, -125, -55, -20].map((turn) => leaf(40, y, turn, 22)))}</g>,
  },
  leafMargin: {
    entire: edged((step) => `L${at(step, 0)}`),
    crenate: edged((step) => `Q${at(step, 7, 4)} ${at(step, 0, -3)}`),
    serrate: edged((step) => `L${at(step, 6, -3)} L${at(step, 0, -4)}`),
    lobed: edged((step) => `L${at(step, step % 3 === 1 ? 10 : -9)}`),
  },
  leafSurface: {
    hairless: outline(null),
    'downy-below': outline(<path d="M26 58h.1M34 62h.1M46 60h.1M53 52h.1M28 44h.1M52 40h.1M34 34h.1M46 28h.1M40 48h.1" {...LINE} strokeWidth={3} />),
    'hairy-both': outline(hairs(7, false)),
    'stinging-hairs': outline(hairs(11, true)),
  },
  stemSection: {
    round: section(<circle cx={40} cy={40} r={17} {...LEAF} />),
    square: section(<rect x={24} y={24} width={32} height={32} rx={3} {...LEAF} />),
    ridged: section(<path d="M40 22l5 6 8-2 1 8 7 4-5 7 2 8-8 1-4 7-6-5-6 5-4-7-8-1 2-8-5-7 7-4 1-8 8 2z" {...LEAF} />),
    'flat-sided': section(<path d="M24 30Q40 20 56 30V50Q40 60 24 50Z" {...LEAF} />),
    'three-angled': section(<path d="M40 22L58 55H22Z" {...LEAF} />),
  },
  crushedScent: {
    none: <path d="M22 44H58" {...LINE} strokeDasharray="1 7" />,
    'mousy-foul': <g><path d="M26 62q-7-11 0-22t0-22M40 62q-7-11 0-22t0-22M54 62q-7-11 0-22t0-22" {...LINE} stroke="#9c3220" /></g>,
  },
} // prettier-ignore

/** A schematic of one state of one character; nothing where the state is not drawn yet. */
export function TellDrawing({ character, state }: { character: string; state: string }) {
  const drawing = DRAWINGS[character]?.[state]
  return drawing === undefined ? null : (
    <svg viewBox="0 0 80 80" className="tell-drawing" aria-hidden="true">
      {drawing}
    </svg>
  )
}

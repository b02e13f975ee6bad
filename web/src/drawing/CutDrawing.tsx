import { growthForm, removalOf, type Part, type Taxon } from '@ellop/core'
import type { ReactNode } from 'react'
import { BROWN, BROWN_LINE, LEAF, LINE, PAINT, RED_LINE, SOIL_LINE, THIN } from './plant/ink'

const CUT = { ...RED_LINE, strokeWidth: 3, strokeDasharray: '5 5' } as const
const REGROWN = { ...LEAF, fillOpacity: 0.35, strokeOpacity: 0.5 } as const

/** A pair of leaves at a joint, so large. */
function pair(y: number, size: number): ReactNode {
  return (
    <g key={y}>
      <path
        d={`M60 ${y}Q${60 - size} ${y - size} ${60 - 1.6 * size} ${y - 2}Q${60 - size} ${y + 5} 60 ${y}Z`}
        {...LEAF}
      />
      <path
        d={`M60 ${y}Q${60 + size} ${y - size} ${60 + 1.6 * size} ${y - 2}Q${60 + size} ${y + 5} 60 ${y}Z`}
        {...LEAF}
      />
    </g>
  )
}

const JOINTS = [30, 46, 66, 88] as const
const SOIL = <path d="M8 112Q36 108 60 112T112 111" {...SOIL_LINE} />

/** Above a joint, so many joints from the tip: below the cut two side shoots come. */
function top(joints: number): ReactNode {
  const kept = Math.min(JOINTS.length - 1, Math.max(1, joints))
  const below = JOINTS[kept] ?? 88
  return (
    <>
      {SOIL}
      <path d="M60 112V18" {...LINE} />
      {JOINTS.map((y, index) => pair(y, 8 + 4 * index))}
      <path d={`M60 ${below}q-12 -6 -10 -17q9 3 10 17Z`} {...REGROWN} />
      <path d={`M60 ${below}q12 -6 10 -17q-9 3 -10 17Z`} {...REGROWN} />
      <path d={`M30 ${below - 9}H92`} {...CUT} />
    </>
  )
}

const rosetteLeaf = (angle: number, length: number) => (
  <path
    key={angle}
    d={`M60 108q${length * 0.28} ${-length * 0.55} 0 ${-length}q${-length * 0.28} ${length * 0.45} 0 ${length}Z`}
    transform={`rotate(${angle} 60 108)`}
    {...LEAF}
  />
)

const SCENES: Readonly<Record<string, () => ReactNode>> = {
  leaf: () => (
    <>
      {SOIL}
      {[-62, -30, 0, 30].map((angle) => rosetteLeaf(angle, 70 - Math.abs(angle) / 3))}
      {rosetteLeaf(64, 56)}
      <path d="M62 96L78 112" {...CUT} />
    </>
  ),
  'leaf of a bulb': () => (
    <>
      {SOIL}
      <path d="M60 118q-16 4 -12 18q12 8 24 0q4 -14 -12 -18Z" {...BROWN} />
      <path d="M52 137l-5 5M60 140v5M68 137l5 5" {...BROWN_LINE} />
      <path d="M60 118Q44 70 34 30Q56 60 62 116Z" {...LEAF} />
      <path d="M60 118Q64 64 84 34Q80 76 64 116Z" {...LEAF} />
      <path d="M62 104H92" {...CUT} />
    </>
  ),
  flower: () => (
    <>
      {SOIL}
      <path d="M60 112V40M60 84L36 52M60 84L86 56" {...LINE} />
      {pair(96, 16)}
      {[
        [60, 34],
        [34, 46],
        [88, 50],
      ].map(([x, y]) => (
        <g key={x}>
          {[0, 72, 144, 216, 288].map((turn) => (
            <ellipse
              key={turn}
              cx={x}
              cy={(y ?? 0) - 6}
              rx={4}
              ry={6}
              {...THIN}
              fill={PAINT['cream']}
              transform={`rotate(${turn} ${x} ${y})`}
            />
          ))}
        </g>
      ))}
      <path d="M46 52H76" {...CUT} />
    </>
  ),
  fruit: () => (
    <>
      <path d="M6 30Q60 22 114 36" {...BROWN_LINE} />
      {[
        [34, 66, 'blue-black'],
        [62, 70, 'blue-black'],
        [90, 64, 'green'],
      ].map(([x, y, colour]) => (
        <g key={x}>
          <path d={`M${x} 30V${Number(y) - 13}`} {...LINE} />
          <circle cx={Number(x)} cy={Number(y)} r={13} fill={PAINT[String(colour)]} stroke="#24342e" strokeWidth={2} />
        </g>
      ))}
      <path d="M24 48H72" {...CUT} />
    </>
  ),
  bark: () => (
    <>
      {SOIL}
      <path d="M52 112V10M66 112V10" {...BROWN_LINE} />
      <path d="M66 62Q86 50 106 34M66 70Q90 58 110 42" {...BROWN_LINE} />
      <path d="M74 46L84 72" {...CUT} />
    </>
  ),
  sap: () => (
    <>
      {SOIL}
      <path d="M44 112V10M76 112V10" {...BROWN_LINE} />
      <circle cx={60} cy={70} r={4} {...BROWN} />
      <path d="M60 72L84 80V90" {...BROWN_LINE} />
      <path d="M76 92h18v16h-18Z" {...LINE} />
    </>
  ),
  whole: () => (
    <>
      {SOIL}
      <path d="M60 112V84" {...LINE} />
      {pair(96, 14)}
      <path d="M54 112Q56 136 60 142Q64 136 66 112Z" {...BROWN} />
      <path d="M36 118Q40 142 60 144Q80 142 84 118" {...CUT} />
      <path d="M98 76L92 136M90 75l16 2" {...BROWN_LINE} />
    </>
  ),
}

const SAID: Readonly<Record<string, string>> = {
  top: 'Cut just above a joint: two side shoots come below it.',
  leaf: 'One outer leaf of each, at its foot; the heart stays.',
  'leaf of a bulb': 'One leaf of each, level with the soil; the bulb stays.',
  flower: 'Just below the cluster; the others stay for seed and guests.',
  fruit: 'What comes off by itself; the green stays on.',
  bark: 'From a side branch that was cut, never round the stem.',
  sap: 'One small hole, closed when it is done.',
  whole: 'Loosen all round, work under it, lift last; fill the hole.',
}

/** Where to cut so that it grows on, drawn; for tips the cook's own number of joints where it is known. */
export function CutDrawing({ taxon, part, joints = 2 }: { taxon: Taxon; part: Part; joints?: number | undefined }) {
  const removal = removalOf(part)
  const scene = removal === 'leaf' && growthForm(taxon) === 'bulb' ? 'leaf of a bulb' : removal
  return (
    <figure className="cut-drawing">
      <svg viewBox="0 0 120 148" role="img" aria-label={SAID[scene] ?? ''}>
        {scene === 'top' ? top(joints) : SCENES[scene]?.()}
      </svg>
      <figcaption>{SAID[scene]}</figcaption>
    </figure>
  )
}

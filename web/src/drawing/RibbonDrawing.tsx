import { GATE_NAMES, GATE_STATE_WORDS, type GateView, type Ribbon } from '@ellop/core'
import { useId } from 'react'
import { GateMark } from './GateMark'
import { formatMass } from '../units/units'

const RUST = '#b04a30'
const OCHRE = '#b8923a'
const MOSS = '#56804a'
const STREAM = '#c9bd9f'
/** A ribbon is never thinner than a thread nor thicker than this. */
const WIDEST = 40
const THINNEST = 5
/** Share of the way to the next gate in which the width eases over. */
const EASE = 0.45

export interface RibbonDrawingProps {
  readonly ribbon: Ribbon
  readonly views: readonly GateView[]
  readonly width: number
  readonly height: number
  /** The mass that is drawn at full width, g. */
  readonly fullMass_g: number
  readonly withNames?: boolean
  readonly radius?: number
}

/** A lot as a ribbon through its gates: width is mass, colour the hazard still in it; it stops where a gate is not open. */
export function RibbonDrawing({
  ribbon,
  views,
  width,
  height,
  fullMass_g,
  withNames = false,
  radius = 21,
}: RibbonDrawingProps) {
  const paint = useId()
  const inset = radius + 6
  const pitch = (width - 2 * inset) / (views.length - 1)
  const middle = withNames ? height / 2 - 10 : height / 2
  const x = (index: number) => inset + index * pitch
  const thick = (mass_g: number) => (mass_g <= 0 ? 0 : Math.max(THINNEST, (mass_g / fullMass_g) * WIDEST))
  const stop = Math.min(ribbon.stopsAt, views.length - 1)
  const name = `${views.map(({ gate, state }) => `${GATE_NAMES[gate]} ${GATE_STATE_WORDS[state]}`).join(', ')}.`
  return (
    <svg
      className="ribbon"
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={name}
    >
      <defs>
        <linearGradient id={paint} gradientUnits="userSpaceOnUse" x1={0} y1={0} x2={width} y2={0}>
          {colourStops(ribbon).map(({ index, colour }) => (
            <stop key={index} offset={x(index) / width} stopColor={colour} />
          ))}
        </linearGradient>
      </defs>
      <path d={outline(ribbon, stop, { x, pitch, middle, thick, width })} fill={`url(#${paint})`} />
      {peels(ribbon, stop).map(({ index, mass_g, label }) => (
        <g key={label}>
          <path
            d={`M${x(index) + 6} ${middle + 6}c${pitch * 0.2} 2 ${pitch * 0.16} 16 ${pitch * 0.34} 20`}
            stroke={STREAM}
            strokeWidth={Math.max(3, thick(mass_g) * 0.55)}
            fill="none"
            strokeLinecap="round"
          />
        </g>
      ))}
      {views.map(({ gate, state }, index) => (
        <g key={gate} transform={`translate(${x(index)} ${middle})`}>
          <GateMark state={state} radius={radius} current={index === ribbon.stopsAt} />
          {withNames && (
            <text
              y={radius + 20}
              textAnchor="middle"
              className={index === ribbon.stopsAt ? 'gate-name current' : 'gate-name'}
            >
              {GATE_NAMES[gate]}
            </text>
          )}
        </g>
      ))}
      <title>{`${name} ${formatMass(ribbon.before_g[0] ?? 0)} picked.`}</title>
    </svg>
  )
}

/** Rust up to the sorting, ochre while it is being made safe, moss behind an open Make safe gate. */
function colourStops(ribbon: Ribbon): { index: number; colour: string }[] {
  const safe = ribbon.hazard.findIndex((left) => left === 0)
  const stops = [
    { index: 0, colour: RUST },
    { index: 2.7, colour: RUST },
    { index: 3.6, colour: OCHRE },
  ]
  return safe === -1 ? stops : [...stops, { index: safe - 0.3, colour: OCHRE }, { index: safe + 0.6, colour: MOSS }]
}

function peels(ribbon: Ribbon, stop: number): { index: number; mass_g: number; label: string }[] {
  const order = ['identity', 'ground', 'take', 'sort', 'makeSafe', 'palate', 'keep', 'plate']
  const sums = new Map<number, number>()
  for (const { gate, mass_g } of ribbon.streams) {
    const index = order.indexOf(gate)
    if (index <= stop) sums.set(index, (sums.get(index) ?? 0) + mass_g)
  }
  return [...sums].map(([index, mass_g]) => ({ index, mass_g, label: String(index) }))
}

/** One outline from the first gate to where it stops: level between gates, easing in or out just behind each. */
function outline(
  ribbon: Ribbon,
  stop: number,
  {
    x,
    pitch,
    middle,
    thick,
    width,
  }: { x: (index: number) => number; pitch: number; middle: number; thick: (mass_g: number) => number; width: number },
): string {
  const through = ribbon.stopsAt >= ribbon.after_g.length
  const end = through ? width : x(stop)
  const points: { from: number; to: number; half: number }[] = []
  for (let index = 0; index < stop + (through ? 1 : 0); index++)
    points.push({
      from: x(index),
      to: Math.min(end, x(index) + pitch * EASE),
      half: thick(ribbon.after_g[index] ?? 0) / 2,
    })
  const first = thick(ribbon.before_g[0] ?? 0) / 2
  const side = (sign: 1 | -1) => {
    const steps = points.map(({ from, to, half }, index) => {
      const before = index === 0 ? first : (points[index - 1]?.half ?? first)
      const turn = (from + to) / 2
      return { from, to, turn, before: middle + sign * before, after: middle + sign * half }
    })
    return steps
  }
  const top = side(-1).map(
    ({ from, to, turn, before, after }) => `L${from} ${before}C${turn} ${before} ${turn} ${after} ${to} ${after}`,
  )
  const bottom = side(1)
    .toReversed()
    .map(({ from, to, turn, before, after }) => `L${to} ${after}C${turn} ${after} ${turn} ${before} ${from} ${before}`)
  const last = points.at(-1)?.half ?? first
  return `M0 ${middle - first}${top.join('')}L${end} ${middle - last}L${end} ${middle + last}${bottom.join('')}L0 ${middle + first}Z`
}

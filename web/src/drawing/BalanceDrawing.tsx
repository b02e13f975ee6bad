import { type MassBalance } from '@ellop/core'
import { formatMass } from '../units/units'

const COLOURS: Readonly<Record<string, string>> = {
  trimmed: '#c9bd9f',
  'lost-in-sorting': '#ded3ba',
  cooking: '#8fb0b8',
  drying: '#8fb0b8',
  straining: '#8fb0b8',
  packed: '#3f6335',
  served: '#7c9a4a',
  'thrown-away': '#b04a30',
  'in-hand': '#b8923a',
}
const WORDS: Readonly<Record<string, string>> = {
  trimmed: 'trimmed, to',
  'lost-in-sorting': 'lost in sorting:',
  cooking: 'went into the',
  drying: 'went into',
  straining: 'stayed out of',
  packed: 'packed:',
  served: 'served as',
  'thrown-away': 'thrown away:',
  'in-hand': 'still in hand',
}
const HEIGHT = 380
const LINE = 46

/** One trunk on the left, as wide as what was picked, branching into where every gram went. */
export function BalanceDrawing({ balance }: { balance: MassBalance }) {
  const branches = [
    ...balance.left,
    ...(balance.inHand_g > 0 ? [{ what: 'in-hand', to: '', mass_g: balance.inHand_g }] : []),
  ]
  const total_g = balance.picked_g + balance.takenUp_g
  const height = Math.max(HEIGHT, branches.length * LINE + 20)
  const scale = (height - 40) / Math.max(1, total_g)
  const gap = (height - total_g * scale) / Math.max(1, branches.length)
  const starts = branches.map((_, index) =>
    branches.slice(0, index).reduce((sum, { mass_g }) => sum + mass_g * scale, 20),
  )
  return (
    <svg
      className="balance"
      viewBox={`0 0 620 ${height}`}
      role="img"
      aria-label={branches
        .map(({ what, to, mass_g }) => `${formatMass(mass_g)} ${WORDS[what] ?? what} ${to}`)
        .join('; ')}
    >
      <rect x={0} y={20} width={70} height={total_g * scale} fill="#b04a30" />
      {branches.map(({ what, to, mass_g }, index) => {
        const thick = Math.max(2, mass_g * scale)
        const from = (starts[index] ?? 0) + thick / 2
        const end = Math.min(
          height - 16,
          Math.max((starts[index] ?? 0) + thick / 2 + gap * (index - branches.length / 2) * 0.9, 18 + index * LINE),
        )
        return (
          <g key={`${what}${to}`}>
            <path
              d={`M70 ${from}C190 ${from} 190 ${end} 300 ${end}`}
              stroke={COLOURS[what] ?? '#999'}
              strokeWidth={thick}
              fill="none"
            />
            <text x={312} y={end + 6} className="balance-figure">
              {formatMass(mass_g)}
            </text>
            <text x={394} y={end + 6} className="balance-word">
              {WORDS[what] ?? what} {to}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

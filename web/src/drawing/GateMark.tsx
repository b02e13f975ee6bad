import type { GateView } from '@ellop/core'

/** Colours of the states; the shape says the same, so colour is never alone. */
export const STATE_COLOUR = { open: '#3f6335', ajar: '#9a6408', closed: '#9c3220', ahead: '#b3a88e' } as const

/** A gate by itself, beside words that say the same. */
export function GateIcon({ state, size = 48 }: { state: GateView['state']; size?: number }) {
  return (
    <svg className="gate-icon" viewBox="-24 -24 48 48" width={size} height={size} aria-hidden="true">
      <GateMark state={state} />
    </svg>
  )
}

/** A gate in a ring: two posts; bars across when shut, a leaf swung half open when ajar, bare when open. Drawn around 0,0. */
export function GateMark({
  state,
  radius = 21,
  current = false,
}: {
  state: GateView['state']
  radius?: number
  current?: boolean
}) {
  const colour = STATE_COLOUR[state]
  const unit = radius / 21
  return (
    <g>
      <circle r={radius} fill="#fffdf8" stroke={current ? colour : '#ddd3bd'} strokeWidth={current ? 3 : 1.5} />
      <g transform={`scale(${unit})`} stroke={colour} strokeWidth={3.4} strokeLinecap="round" fill="none">
        <path d="M-9-10V10M9-10V10" />
        {state === 'closed' && <path d="M-9-6H9M-9 0H9M-9 6H9" strokeWidth={3} />}
        {state === 'ajar' && <path d="M-9-7L0-11V9L-9 6M-9 0L0-2" strokeWidth={2.6} strokeLinejoin="round" />}
      </g>
    </g>
  )
}

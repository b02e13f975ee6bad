import { formatCountdown } from '@ellop/core'

/** A countdown as a closing ring; past its end it says how long over. */
export function Dial({
  left_s,
  of_s,
  caption,
  above,
}: {
  left_s: number
  of_s: number
  caption: string
  above: string
}) {
  const radius = 132
  const around = 2 * Math.PI * radius
  const share = Math.max(0, Math.min(1, left_s / of_s))
  const over = left_s <= 0
  const figure = over ? `+${formatCountdown(-left_s)}` : formatCountdown(left_s)
  return (
    <svg
      className="dial"
      viewBox="0 0 320 320"
      role="img"
      aria-label={over ? 'Time is up' : `${formatCountdown(left_s)} left`}
    >
      <circle cx={160} cy={160} r={radius} fill="none" stroke="#e6dcc6" strokeWidth={22} />
      <circle
        cx={160}
        cy={160}
        r={radius}
        fill="none"
        stroke={over ? '#3f6335' : '#b97c12'}
        strokeWidth={22}
        strokeLinecap="round"
        strokeDasharray={`${around * (over ? 1 : share)} ${around}`}
        transform="rotate(-90 160 160)"
      />
      <text x={160} y={102} textAnchor="middle" className="dial-above">
        {above}
      </text>
      <text
        x={160}
        y={188}
        textAnchor="middle"
        className={figure.length > 5 ? 'dial-figure long' : figure.length === 5 ? 'dial-figure five' : 'dial-figure'}
      >
        {figure}
      </text>
      <text x={160} y={228} textAnchor="middle" className="dial-caption">
        {over ? 'time is up' : caption}
      </text>
    </svg>
  )
}

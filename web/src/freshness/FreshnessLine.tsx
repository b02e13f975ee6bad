import type { Freshness } from '@ellop/core'
import { inUnits } from '../units/units'
import './freshness.css'

/** Nothing is called good here: whether it is food is what the gates say. */
const STATE_WORDS: Readonly<Record<Freshness['state'], string>> = {
  fresh: '',
  limp: 'Past its best. ',
  over: 'DO NOT EAT. ',
}

/** How fresh food is: a bar as full as the time it has left, and the one sentence that every place tells. */
export function FreshnessLine({ freshness, short = false }: { freshness: Freshness; short?: boolean }) {
  const { state, left, says, mind } = freshness
  return (
    <div className={`fresh-line ${state}`}>
      <FreshnessBar freshness={freshness} />
      <p>
        <strong>{STATE_WORDS[state]}</strong>
        {inUnits(says)}
        {!short && mind.length > 0 && ` ${inUnits(mind.join(' '))}`}
        <span className="visually-hidden"> {Math.round(100 * left)} % of its time is left.</span>
      </p>
    </div>
  )
}

/** The bar alone, beside a lot or on a shelf. */
export function FreshnessBar({ freshness: { state, left } }: { freshness: Pick<Freshness, 'state' | 'left'> }) {
  return (
    <svg className={`fresh-bar ${state}`} viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
      <rect className="all" width="100" height="10" rx="2" />
      <rect className="left" width={state === 'over' ? 100 : Math.max(2, 100 * left)} height="10" rx="2" />
    </svg>
  )
}

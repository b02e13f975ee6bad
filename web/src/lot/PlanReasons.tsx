import { formatCount, plainWords, type PlanReason, type Rank } from '@ellop/core'
import { inUnits } from '../units/units'

const FOLDED: readonly (readonly [rank: Rank, one: string, words: string])[] = [
  ['mind', 'thing to mind', 'Matters for somebody who was not asked, or a habit worth keeping'],
  ['know', 'thing to know', 'To read at leisure'],
]

/** Why a plan is as it is: what must be done stands open and alone in red, the rest folds away. */
export function PlanReasons({ reasons }: { reasons: readonly PlanReason[] }) {
  const must = reasons.filter(({ rank }) => rank === 'must')
  return (
    <>
      {must.length === 0 ? (
        <p className="plain-yes">Nothing beyond ordinary cooking.</p>
      ) : (
        <section className="musts" aria-label="Must">
          <h4>MUST</h4>
          <ReasonList reasons={must} />
        </section>
      )}
      {FOLDED.map(([rank, one, words]) => {
        const ranked = reasons.filter((each) => each.rank === rank)
        return ranked.length === 0 ? null : (
          <details key={rank} className="set-aside">
            <summary>
              {formatCount(ranked.length, one, one.replace('thing', 'things'))} <span className="soft">{words}</span>
            </summary>
            <ReasonList reasons={ranked} />
          </details>
        )
      })}
    </>
  )
}

function ReasonList({ reasons }: { reasons: readonly PlanReason[] }) {
  return (
    <ul className="reasons">
      {reasons.map(({ about, text }) => (
        <li key={`${about} ${text}`}>
          {/* A hazard's reason begins with its name. */}
          {text.toLowerCase().startsWith(plainWords(about)) ? null : (
            <span className="tag quiet">{plainWords(about)}</span>
          )}{' '}
          {inUnits(text)}
        </li>
      ))}
    </ul>
  )
}

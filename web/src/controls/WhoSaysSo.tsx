import { formatCount, formatList, trialWords, type Claim, type SchoolEvidence } from '@ellop/core'
import { inUnits } from '../units/units'

const GROUNDS: Readonly<Record<Claim['grounds'], string>> = {
  measured: 'measured',
  outbreak: 'learnt where people fell ill',
  practised: 'done and eaten for long',
  'handed-down': 'handed down, no trial told',
}

/** Who says the numbers of a school: each independent source once, and this cook's own lots beside them. */
export function WhoSaysSo({ evidence: { roots, independent, own, awaited } }: { evidence: SchoolEvidence }) {
  return (
    <div className="who-says">
      <p>
        <strong>Who says so:</strong>{' '}
        {independent === 0 ? 'nobody on record.' : `${formatCount(independent, 'independent source')}.`}
      </p>
      <ul>
        {roots.map(({ claim: { id, says, who, grounds }, repeatedBy }) => (
          <li key={id}>
            “{inUnits(says)}” <span className="soft">{`${who}: ${GROUNDS[grounds]}.`}</span>
            {repeatedBy.length > 0 && (
              <span className="soft">
                {' '}
                Repeated by {formatList(repeatedBy.map((each) => each.who))}, which adds nothing.
              </span>
            )}
          </li>
        ))}
      </ul>
      {awaited.length > 0 && (
        <p className="soft">Awaited: {awaited.map(({ who, says }) => `${who} (${says})`).join('; ')}.</p>
      )}
      <p className="own-trials">{trialWords(own)}</p>
    </div>
  )
}

/** Of several schools, folded away until somebody asks. */
export function WhoSaysWhich({ of }: { of: readonly SchoolEvidence[] }) {
  if (of.length === 0) return null
  return (
    <details className="who-says-which">
      <summary>Who says so</summary>
      {of.map((evidence) => (
        <section key={evidence.school} aria-label={evidence.school}>
          <h4>{evidence.school}</h4>
          <WhoSaysSo evidence={evidence} />
        </section>
      ))}
      <NeverLaxer />
    </details>
  )
}

export function NeverLaxer() {
  return (
    <p className="caution">
      Years without harm do not move a limit against poison: your own lots may make you stricter, never laxer.
    </p>
  )
}

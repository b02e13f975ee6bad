import { CHARACTERS, commonName, formatList, plainWords, surelyKnownNow } from '@ellop/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useJudgeContext } from '../book/bookStore'

/** Looks that name a plant to whoever knows it, and cost it nothing. */
const LOOKS = ['habit', 'height', 'leafArrangement', 'leafType', 'leafMargin', 'flowerColour', 'petals', 'fruit', 'habitatSeen'] as const // prettier-ignore

/** Of a name without a record: that it is unknown, what to look at, and what may be looked for instead. */
export function NothingKnown({ name, level = 'h2' }: { name: string; level?: 'h1' | 'h2' }) {
  const Heading = level
  return (
    <section className="nothing-known">
      <Heading>No plant called “{name}” is on record</Heading>
      <p className="refusal">
        <strong>Unknown.</strong> Nothing here says that it is food, and nothing that it is not. Do not eat it by that
        name, not even a little to try: some poisons show only after days.
      </p>
      <h3>What tells a plant</h3>
      <p>Look, without picking it; take a picture of each; then ask somebody who knows it in the hand.</p>
      <ul className="looks">
        {LOOKS.map((look) => (
          <li key={look}>{CHARACTERS[look]?.ask}</li>
        ))}
      </ul>
      <KnownNow />
      {level === 'h1' && (
        <p>
          <Link className="big-link" to="/plants">
            Look for another name
          </Link>
        </p>
      )}
    </section>
  )
}

/** What whoever is at it surely knows and is in season: what to look for in place of what may not be eaten. */
export function KnownNow() {
  const context = useJudgeContext()
  const known = useMemo(() => surelyKnownNow(context), [context])
  return (
    <>
      <h3>Instead: what you surely know, in season here today</h3>
      {known.length === 0 ? (
        <p>
          Nothing yet. A plant counts once you have met it on as many sure days as its page asks.{' '}
          <Link to="/season">What is good now</Link>
        </p>
      ) : (
        <ul className="known-now">
          {known.map(({ taxon, uses }) => (
            <li key={taxon.scientificName}>
              <Link to={`/plant/${encodeURIComponent(taxon.scientificName)}`}>{commonName(taxon)}</Link>:{' '}
              {formatList(uses.map(({ part }) => plainWords(part)))}
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

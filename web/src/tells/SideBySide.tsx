import { commonName, isShared, plainWords, tellLabel, type Taxon } from '@ellop/core'
import { Link } from 'react-router'
import { TellDrawing } from '../drawing/TellDrawing'
import { inUnits } from '../units/units'

const STATES_SHOWN = 3

/** How another plant stands against what is claimed. */
export interface Rival {
  readonly taxon: Taxon
  readonly says: string
  readonly out: boolean
}

/**
 * The claimed plant and others side by side, one row a tell, drawn. What was seen strikes out what it speaks against. Without
 * observations it is a field card: what to look at, and how each looks. Where nothing is claimed all stand alike.
 */
export function SideBySide({
  claimed,
  rivals,
  rows,
  observed,
  caption,
  claimedSays,
}: {
  claimed: Taxon
  rivals: readonly Rival[]
  rows: readonly string[]
  observed?: Readonly<Record<string, readonly string[]>>
  caption: string
  /** In place of a claim: what is said of the first of plants that are only set beside each other. */
  claimedSays?: string
}) {
  const isClaim = claimedSays === undefined
  return (
    <div className="side-by-side" tabIndex={0} role="group" aria-label={caption}>
      <table>
        <caption className="unseen">{caption}</caption>
        <thead>
          <tr>
            <td />
            <PlantHead taxon={claimed} says={claimedSays ?? 'what you claim'} className={isClaim ? 'claimed' : ''} />
            {rivals.map(({ taxon, says, out }) => (
              <PlantHead
                key={taxon.scientificName}
                taxon={taxon}
                says={says}
                className={out ? 'out' : isClaim ? 'stands' : ''}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((character) => {
            const seen = observed?.[character]
            return (
              <tr key={character}>
                <th scope="row">
                  {tellLabel(character)}
                  {seen !== undefined && <span className="saw">you saw: {seen.map(plainWords).join(', ')}</span>}
                </th>
                <Cell taxon={claimed} character={character} seen={seen} claimed={isClaim} out={false} />
                {rivals.map(({ taxon, out }) => (
                  <Cell
                    key={taxon.scientificName}
                    taxon={taxon}
                    character={character}
                    seen={seen}
                    out={out}
                    shared={isClaim && isShared(claimed, taxon, character, seen)}
                  />
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

function PlantHead({ taxon, says, className }: { taxon: Taxon; says: string; className: string }) {
  return (
    <th scope="col" className={className}>
      <Link to={`/plant/${encodeURIComponent(taxon.scientificName)}`}>{commonName(taxon)}</Link>
      <i>{taxon.scientificName}</i>
      <span>{inUnits(says)}</span>
    </th>
  )
}

function Cell({
  taxon,
  character,
  seen,
  claimed = false,
  out,
  shared = false,
}: {
  taxon: Taxon
  character: string
  seen: readonly string[] | undefined
  claimed?: boolean
  out: boolean
  shared?: boolean
}) {
  const states = taxon.characters[character] ?? []
  const fits = seen === undefined ? undefined : states.length === 0 || seen.some((state) => states.includes(state))
  const shown = [
    ...states.filter((state) => seen?.includes(state)),
    ...states.filter((state) => !seen?.includes(state)),
  ]
  const mark = fits === undefined || states.length === 0 ? undefined : fits
  return (
    <td
      className={`${claimed ? 'claimed' : ''} ${out ? 'out' : ''} ${mark === false ? 'against' : ''} ${shared ? 'shared' : ''}`}
    >
      {shared && <span className="both">both have it</span>}
      {!shared && mark !== undefined && (
        <svg viewBox="0 0 20 20" className="mark" role="img" aria-label={mark ? 'fits' : 'speaks against it'}>
          <path d={mark ? 'M3 11l5 5 9-12' : 'M4 4l12 12M16 4L4 16'} />
        </svg>
      )}
      {states.length === 0 ? (
        <span className="unknown">not on record</span>
      ) : (
        <>
          <span className="drawn">
            {shown.slice(0, STATES_SHOWN).map((state) => (
              <TellDrawing key={state} character={character} state={state} />
            ))}
          </span>
          <span className="words">
            {inUnits(shown.slice(0, STATES_SHOWN).map(plainWords).join(' or '))}
            {shown.length > STATES_SHOWN && ` or ${shown.length - STATES_SHOWN} more`}
          </span>
        </>
      )}
    </td>
  )
}

import { useSaid } from '../controls/said'
import { inUnits } from '../units/units'

/** What was just done or refused, over all else; the place for it is always there, so that it is read aloud when it is filled. */
export function SaidLine() {
  const said = useSaid((state) => state.said)
  return (
    <div className="said" role="status">
      {said !== undefined && (
        <p key={said.turn} className={said.refused ? 'refused' : undefined}>
          <span aria-hidden="true">{said.refused ? '✕' : '✓'}</span> <span>{inUnits(said.text)}</span>
        </p>
      )}
    </div>
  )
}

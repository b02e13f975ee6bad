import type { JudgeContext, LotState } from '@ellop/core'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { Doubles } from './LookForm'

/** Certainty is all or nothing: a held press, after all that still could stand was shown. */
export function AttestForm({
  lot,
  context,
  alone = false,
}: {
  lot: LotState
  context: JudgeContext
  /** Without the list of doubles, where they stand beside it already. */
  alone?: boolean
}) {
  const { write, otherError } = useNote()
  return (
    <>
      {!alone && <Doubles lot={lot} context={context} />}
      <div className="acts">
        <HoldButton onHold={() => void write({ type: 'certain-attested', lot: lot.id }, 'Noted: certain')}>
          Hold: I am certain
        </HoldButton>
      </div>
      <p className="caution">Not certain? Set it aside. A plant nobody at the table knows surely is not food.</p>
      {otherError([]) !== undefined && <p className="refusal">{otherError([])}</p>}
    </>
  )
}

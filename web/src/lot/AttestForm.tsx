import { STEMS_OF_A_MIXED_STAND, type JudgeContext, type LotState } from '@ellop/core'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WhoWrites } from '../controls/WhoWrites'
import { Doubles } from './LookForm'
import { Refusal } from '../controls/Refusal'

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
  const [among, setAmong] = useState<'nothing' | 'others'>()
  const [stems, setStems] = useState('')
  const [fault, setFault] = useState<string>()
  const attest = () => {
    const seen = readField(stems)
    if (among === undefined) return setFault('Do other plants grow among these stems? Choose No or Yes.')
    if (among === 'others' && !('value' in seen)) return setFault(`Stems you looked at: ${seen.error}`)
    setFault(undefined)
    const stemsSeen = among === 'others' && 'value' in seen ? Math.round(seen.value) : 0
    void write(
      { type: 'certain-attested', lot: lot.id, stand: { mixed: among === 'others', stemsSeen } },
      'Saved: certain',
    )
  }
  return (
    <>
      {!alone && <Doubles lot={lot} context={context} />}
      <Choice
        label="Do other plants grow among these stems?"
        value={among}
        onChange={setAmong}
        options={[
          { value: 'nothing', label: 'No' },
          { value: 'others', label: 'Yes' },
        ]}
      />
      {among === 'others' && (
        <NumberField
          label="Stems you looked at one by one"
          unit="stems"
          value={stems}
          onChange={setStems}
          hint={`In a mixed stand ${STEMS_OF_A_MIXED_STAND}, or all where you cut fewer.`}
        />
      )}
      <WhoWrites />
      <div className="acts">
        <HoldButton onHold={attest}>Press and hold: I am certain</HoldButton>
      </div>
      <Refusal sentence={fault} />
      <p className="caution">Not certain? Set the lot aside. A plant that is not surely known is not food.</p>
      {otherError([]) !== undefined && <p className="refusal">{otherError([])}</p>}
    </>
  )
}

import { sensitivityWords, SENSITIVITIES, type EaterState, type Sensitivity } from '@ellop/core'
import { Button, Checkbox, Modal } from 'antd'
import { useState } from 'react'
import { HoldButton } from '../controls/HoldButton'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { OwnCaps } from './OwnCaps'

const KINDS: readonly Sensitivity[] = ['infant', 'child']

/** Asking somebody what they must not have. “None of these” is an answer; silence is not. */
export function AskEater({ eater, onClose }: { eater: EaterState; onClose: () => void }) {
  const { write, errorOf, otherError } = useNote()
  const [said, setSaid] = useState<readonly Sensitivity[]>(eater.sensitivities ?? [])
  const [caps, setCaps] = useState(eater.ownCaps ?? [])
  const [again, setAgain] = useState<readonly Sensitivity[]>()
  const note = async (sensitivities: readonly Sensitivity[], confirmed = false) => {
    const { id, name, kind } = eater
    const asked = { id, name, kind, sensitivities, ...(caps.length === 0 ? {} : { ownCaps: caps }) }
    const noted = await write(
      { type: 'eater-noted', eater: asked, ...(confirmed ? { laxerConfirmed: true as const } : {}) },
      `Saved: what ${name} said`,
    )
    if (noted.ok) onClose()
    // Less than before is asked for a second time.
    else if (noted.field === 'laxerConfirmed') setAgain(sensitivities)
  }
  return (
    <Modal title={`Does any of these apply to ${eater.name}?`} open onCancel={onClose} footer={null} width={640}>
      <Checkbox.Group
        className="ask-list"
        value={[...said]}
        onChange={(values) => setSaid(values as Sensitivity[])}
        options={SENSITIVITIES.filter((each) => !KINDS.includes(each)).map((each) => ({
          value: each,
          label: sensitivityWords(each),
        }))}
      />
      <OwnCaps caps={caps} onChange={setCaps} error={errorOf('ownCaps')} />
      <Refusal sentence={otherError(['laxerConfirmed', 'ownCaps'])} />
      {again !== undefined && (
        <>
          <Refusal sentence={errorOf('laxerConfirmed')} />
          <HoldButton tone="stop" onHold={() => void note(again, true)}>
            Press and hold: asked again, it no longer holds
          </HoldButton>
        </>
      )}
      <div className="acts">
        {said.length > 0 && (
          <Button type="primary" size="large" onClick={() => void note(said)}>
            Save {said.length === 1 ? 'this one' : `these ${said.length}`} for {eater.name}
          </Button>
        )}
        {said.length === 0 && (
          <HoldButton onHold={() => void note([])}>
            Press and hold to save “none”{caps.length === 0 ? '' : ' and the limits'}
          </HoldButton>
        )}
      </div>
    </Modal>
  )
}

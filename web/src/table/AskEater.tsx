import { plainWords, SENSITIVITIES, type EaterState, type Sensitivity } from '@ellop/core'
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
    <Modal title={`What must ${eater.name} not have?`} open onCancel={onClose} footer={null} width={640}>
      <Checkbox.Group
        className="ask-list"
        value={[...said]}
        onChange={(values) => setSaid(values as Sensitivity[])}
        options={SENSITIVITIES.filter((each) => !KINDS.includes(each)).map((each) => ({
          value: each,
          label: plainWords(each),
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
        <Button type="primary" size="large" disabled={said.length === 0} onClick={() => void note(said)}>
          {eater.name} says: these
        </Button>
        <Button size="large" type={said.length === 0 ? 'primary' : 'default'} onClick={() => void note([])}>
          {eater.name} says: none of these{caps.length === 0 ? '' : ', and the limits'}
        </Button>
      </div>
    </Modal>
  )
}

import { plainWords, SENSITIVITIES, type EaterState, type Sensitivity } from '@ellop/core'
import { Button, Checkbox, Modal } from 'antd'
import { useState } from 'react'
import { useNote } from '../controls/useNote'

const KINDS: readonly Sensitivity[] = ['infant', 'child']

/** Asking somebody what they must not have. “None of these” is an answer; silence is not. */
export function AskEater({ eater, onClose }: { eater: EaterState; onClose: () => void }) {
  const { write } = useNote()
  const [said, setSaid] = useState<readonly Sensitivity[]>(eater.sensitivities ?? [])
  const note = async (sensitivities: readonly Sensitivity[]) => {
    const noted = await write({ type: 'eater-noted', eater: { ...eater, sensitivities } }, `${eater.name} asked`)
    if (noted.ok) onClose()
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
      <div className="acts">
        <Button type="primary" size="large" disabled={said.length === 0} onClick={() => void note(said)}>
          {eater.name} says: these
        </Button>
        <Button size="large" onClick={() => void note([])}>
          {eater.name} says: none of these
        </Button>
      </div>
    </Modal>
  )
}

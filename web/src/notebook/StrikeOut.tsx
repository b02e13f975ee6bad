import { describeEntry, type Entry } from '@ellop/core'
import { Input, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { draftAmendment, useJudgeContext } from '../book/bookStore'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WhatItChanges } from './WhatItChanges'
import { inUnits } from '../units/units'

/** Striking an entry out: what it would change is shown before it is made. */
export function StrikeOut({ entry, onClose }: { entry: Entry; onClose: () => void }) {
  const context = useJudgeContext()
  const { write, otherError } = useNote()
  const [why, setWhy] = useState('')
  const draft = useMemo(
    () => draftAmendment({ type: 'struck', entry: entry.id, why: 'draft' }, context.now),
    [entry.id, context.now],
  )
  const strike = async () => {
    const noted = await write(
      { type: 'struck', entry: entry.id, why: why.trim() },
      'Struck out; everything computed again',
    )
    if (noted.ok) onClose()
  }
  return (
    <Modal title="Strike out" open onCancel={onClose} footer={null} width={640}>
      <blockquote>{inUnits(describeEntry(entry, context.book, context.catalogue))}</blockquote>
      <WhatItChanges amendment={draft} />
      <Field label="Why" error={otherError([])}>
        {(id) => <Input id={id} size="large" value={why} onChange={(event) => setWhy(event.target.value)} />}
      </Field>
      <div className="acts">
        <HoldButton tone="stop" disabled={why.trim() === ''} onHold={() => void strike()}>
          Press and hold to cross out
        </HoldButton>
      </div>
    </Modal>
  )
}

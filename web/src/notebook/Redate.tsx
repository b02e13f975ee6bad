import { dayOf, describeEntry, formatDay, instantOf, kitchenAt, timeOf, type Entry, type Instant } from '@ellop/core'
import { Input, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { draftAmendment, useJudgeContext } from '../book/bookStore'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WhatItChanges } from './WhatItChanges'
import { inUnits } from '../units/units'

/** Giving an entry the time at which it really happened: what that would change is shown before it is made. */
export function Redate({ entry, onClose }: { entry: Entry; onClose: () => void }) {
  const context = useJudgeContext()
  const { write, errorOf, otherError } = useNote()
  const timeZone = kitchenAt(context.book.house, entry.at)?.timeZone ?? 'UTC'
  const [when, setWhen] = useState({ day: dayOf(entry.at, timeZone), time: timeOf(entry.at, timeZone) })
  const [to, setTo] = useState<Instant>()
  const [why, setWhy] = useState('')
  const put = (day: string, time: string) => {
    setWhen({ day, time })
    const same = day === dayOf(entry.at, timeZone) && time === timeOf(entry.at, timeZone)
    setTo(same ? undefined : instantOf(day, time, timeZone))
  }
  const draft = useMemo(
    () =>
      to === undefined
        ? undefined
        : draftAmendment({ type: 'redated', entry: entry.id, to, why: 'draft' }, context.now),
    [entry.id, to, context.now],
  )
  const change = async () => {
    if (to === undefined) return
    const noted = await write(
      { type: 'redated', entry: entry.id, to, why: why.trim() },
      'Time changed; everything computed again',
    )
    if (noted.ok) onClose()
  }
  return (
    <Modal title="Change when it happened" open onCancel={onClose} footer={null} width={640}>
      <blockquote>{inUnits(describeEntry(entry, context.book, context.catalogue))}</blockquote>
      <p>
        In the notebook at {formatDay(entry.at, timeZone, true)}, {timeOf(entry.at, timeZone)}. The first time stays
        legible.
      </p>
      <div className="when">
        <Field label="Day" error={errorOf('to')}>
          {(id) => (
            <Input
              id={id}
              type="date"
              size="large"
              value={when.day}
              onChange={(event) => put(event.target.value, when.time)}
            />
          )}
        </Field>
        <Field label="Time">
          {(id) => (
            <Input
              id={id}
              type="time"
              size="large"
              value={when.time}
              onChange={(event) => put(when.day, event.target.value)}
            />
          )}
        </Field>
      </div>
      {draft !== undefined && <WhatItChanges amendment={draft} />}
      <Field label="Why" error={otherError(['to'])}>
        {(id) => <Input id={id} size="large" value={why} onChange={(event) => setWhy(event.target.value)} />}
      </Field>
      <div className="acts">
        <HoldButton tone="stop" disabled={why.trim() === '' || to === undefined} onHold={() => void change()}>
          Press and hold to change the time
        </HoldButton>
      </div>
    </Modal>
  )
}

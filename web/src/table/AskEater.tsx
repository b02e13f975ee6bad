import {
  bornMonthsBefore,
  dayOf,
  kitchenAt,
  monthsOld,
  sensitivityWords,
  SENSITIVITIES,
  type EaterState,
  type Sensitivity,
} from '@ellop/core'
import { Button, Checkbox, Modal } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { NumberField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { OwnCaps } from './OwnCaps'

/** Beyond this nobody counts in months. */
const OLDEST_months = 24
const KINDS: readonly Sensitivity[] = ['infant', 'child']

/** Asking somebody what they must not have. “None of these” is an answer; silence is not. */
export function AskEater({ eater, onClose }: { eater: EaterState; onClose: () => void }) {
  const { write, errorOf, otherError } = useNote()
  const [said, setSaid] = useState<readonly Sensitivity[]>(eater.sensitivities ?? [])
  const [caps, setCaps] = useState(eater.ownCaps ?? [])
  const { book, now } = useJudgeContext()
  const today = dayOf(now, kitchenAt(book.house, now)?.timeZone ?? 'UTC')
  const known_months = eater.bornOn === undefined ? undefined : monthsOld(eater.bornOn, today)
  const [typed, setTyped] = useState(known_months === undefined ? '' : String(known_months))
  const months = typed.trim() === '' ? undefined : Number(typed)
  const ageRefused =
    months === undefined || (Number.isInteger(months) && months >= 0 && months <= OLDEST_months)
      ? undefined
      : `Give whole months, 0 to ${OLDEST_months}. Older than that is a child.`
  const [again, setAgain] = useState<readonly Sensitivity[]>()
  const note = async (sensitivities: readonly Sensitivity[], confirmed = false) => {
    if (ageRefused !== undefined) return
    const { id, name, kind } = eater
    // The same months as before leave the day of birth as it was.
    const bornOn = months === undefined || months === known_months ? eater.bornOn : bornMonthsBefore(today, months)
    const asked = {
      ...{ id, name, kind, sensitivities },
      ...(caps.length === 0 ? {} : { ownCaps: caps }),
      ...(bornOn === undefined ? {} : { bornOn }),
    }
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
      {eater.kind === 'infant' && (
        <NumberField
          label={`How many months old is ${eater.name}?`}
          unit="months"
          hint="Without it a baby is offered nothing. From 6 months some fruit may be had cooked soft."
          value={typed}
          onChange={setTyped}
          error={ageRefused ?? errorOf('bornOn')}
        />
      )}
      <OwnCaps caps={caps} onChange={setCaps} error={errorOf('ownCaps')} />
      <Refusal sentence={otherError(['laxerConfirmed', 'ownCaps', 'bornOn'])} />
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

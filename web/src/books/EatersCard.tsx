import { dayOf, formatCount, formatList, kitchenAt, monthsOld, sensitivityWords, type EaterState } from '@ellop/core'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { v7 } from 'uuid'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { Field } from '../controls/Field'
import { WhoWrites } from '../controls/WhoWrites'
import { useNote } from '../controls/useNote'
import { AskEater } from '../table/AskEater'

const KINDS: readonly { value: EaterState['kind']; label: string }[] = [
  { value: 'adult', label: 'grown up' },
  { value: 'child', label: 'a child' },
  { value: 'infant', label: 'under a year' },
]

/** Who eats here, and what each was asked. */
export function EatersCard() {
  const { book, now } = useJudgeContext()
  const today = dayOf(now, kitchenAt(book.house, now)?.timeZone ?? 'UTC')
  const { write, otherError } = useNote()
  const [asking, setAsking] = useState<EaterState>()
  const [name, setName] = useState('')
  const [kind, setKind] = useState<EaterState['kind']>('adult')
  const eaters = Object.values(book.house.eaters)
  const twin = eaters.some((eater) => eater.name.toLowerCase() === name.trim().toLowerCase())
  const add = async () => {
    const eater = { id: `eater-${v7().slice(-8)}`, name: name.trim(), kind, sensitivities: null }
    const noted = await write({ type: 'eater-noted', eater }, `${eater.name} is noted; ask what they must not have`)
    if (noted.ok) setName('')
  }
  return (
    <section className="card">
      <h2>Who eats here</h2>
      <ul className="book-list">
        {eaters.map((eater) => (
          <li key={eater.id}>
            <span>
              <strong>{eater.name}</strong>
              <span>
                {KINDS.find(({ value }) => value === eater.kind)?.label}
                {eater.bornOn !== undefined && `, ${formatCount(monthsOld(eater.bornOn, today), 'month')}`} ·{' '}
                {askedOf(eater)}
              </span>
            </span>
            <Button size="large" onClick={() => setAsking(eater)}>
              {eater.sensitivities === null ? 'Ask' : 'Ask again'}
            </Button>
          </li>
        ))}
      </ul>
      <WhoWrites />
      <form
        className="form"
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <Field
          label="Somebody else"
          error={twin ? 'There is somebody of that name. Add a letter to tell them apart.' : otherError([])}
        >
          {(id) => (
            <Input id={id} size="large" maxLength={80} value={name} onChange={(event) => setName(event.target.value)} />
          )}
        </Field>
        <Choice label="How old" options={KINDS} value={kind} onChange={setKind} />
        <Button size="large" htmlType="submit" disabled={name.trim() === '' || twin}>
          Add them
        </Button>
      </form>
      {asking !== undefined && <AskEater eater={asking} onClose={() => setAsking(undefined)} />}
    </section>
  )
}

function askedOf({ sensitivities }: EaterState): string {
  if (sensitivities === null) return 'not asked yet'
  return sensitivities.length === 0
    ? 'asked: no allergies or illnesses'
    : formatList(sensitivities.map(sensitivityWords))
}

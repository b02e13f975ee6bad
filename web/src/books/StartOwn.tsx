import { readField } from '../controls/Field'
import { Field, NumberField } from '../controls/Field'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useBook } from '../book/bookStore'

const HIGHEST_m = 6000

/** A book of one's own in three questions. Everything else is asked when it first matters. */
export function StartOwn() {
  const startOwn = useBook((book) => book.startOwn)
  const navigate = useNavigate()
  const [kitchen, setKitchen] = useState('')
  const [height, setHeight] = useState('')
  const [names, setNames] = useState('')
  const [fault, setFault] = useState<{ field: 'kitchen' | 'height' | 'names'; says: string }>()
  const submit = async () => {
    const read = readField(height)
    const eaters = names
      .split(',')
      .map((name) => name.trim())
      .filter(Boolean)
    if (kitchen.trim() === '') return setFault({ field: 'kitchen', says: 'Give the kitchen a name.' })
    if ('error' in read) return setFault({ field: 'height', says: read.error })
    if (read.value < -430 || read.value > HIGHEST_m)
      return setFault({ field: 'height', says: `Give metres above the sea, from −430 to ${HIGHEST_m}.` })
    if (eaters.length === 0) return setFault({ field: 'names', says: 'Name at least one person, yourself first.' })
    setFault(undefined)
    await startOwn({
      kitchen: kitchen.trim(),
      elevation_m: read.value,
      eaters,
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    })
    void navigate('/basket')
  }
  const wrong = (field: string) => (fault?.field === field ? fault.says : undefined)
  return (
    <form
      className="form"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <Field label="What is your kitchen called?" error={wrong('kitchen')}>
        {(id) => (
          <Input
            id={id}
            size="large"
            maxLength={80}
            value={kitchen}
            onChange={(event) => setKitchen(event.target.value)}
          />
        )}
      </Field>
      <NumberField
        label="How high does it lie?"
        unit="m above the sea"
        value={height}
        onChange={setHeight}
        hint="It tells where water boils, and so how long things must boil."
        error={wrong('height')}
      />
      <Field
        label="Who eats there?"
        hint="Names with commas between them. What each must not have is asked before the first plate."
        error={wrong('names')}
      >
        {(id) => <Input id={id} size="large" value={names} onChange={(event) => setNames(event.target.value)} />}
      </Field>
      <Button type="primary" size="large" htmlType="submit" block>
        Start my book
      </Button>
    </form>
  )
}

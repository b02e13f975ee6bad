import { formatMass, type LotState } from '@ellop/core'
import { Button, Checkbox, Input } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Field, NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { PackForm } from './PackForm'

/** What may have to be noted at any time: a stray, something thrown away, a pack of what is not yet food, a meeting. */
export function OtherNotes({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  return (
    <div className="other-notes">
      <Stray lot={lot} />
      <ThrowAway lot={lot} />
      {lot.sorted !== null && lot.mass_g > 0 && lot.runs.length === 0 && (
        <section className="card">
          <h3>Put some aside raw</h3>
          <PackForm lot={lot} context={context} />
        </section>
      )}
      <Meeting lot={lot} />
    </div>
  )
}

function Stray({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [what, setWhat] = useState('')
  const [broken, setBroken] = useState(false)
  return (
    <section className="card">
      <h3>A stray: something else is in it</h3>
      <div className="form">
        <Field label="What it looks like" error={otherError([])}>
          {(id) => <Input id={id} size="large" value={what} onChange={(event) => setWhat(event.target.value)} />}
        </Field>
        <Checkbox checked={broken} onChange={(event) => setBroken(event.target.checked)}>
          Already chopped or cooked with the rest
        </Checkbox>
        <Button
          size="large"
          disabled={what.trim() === ''}
          onClick={() =>
            void write({ type: 'stray-reported', lot: lot.id, what, brokenUp: broken }, 'Held until it is sorted')
          }
        >
          Report the stray
        </Button>
      </div>
    </section>
  )
}

function ThrowAway({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [mass, setMass] = useState('')
  const [why, setWhy] = useState('')
  const [typed, setTyped] = useState<string>()
  const submit = () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write({ type: 'thrown-away', lot: lot.id, pack: null, mass_g: read.value, why }, 'Thrown away')
  }
  return (
    <section className="card">
      <h3>Throw some away</h3>
      <div className="form">
        <NumberField
          label="Thrown away"
          unit="g"
          value={mass}
          onChange={setMass}
          hint={`${formatMass(lot.mass_g)} in hand`}
          error={typed ?? errorOf('mass_g')}
        />
        <Field label="Why" error={errorOf('why') ?? otherError(['mass_g', 'why'])}>
          {(id) => <Input id={id} size="large" value={why} onChange={(event) => setWhy(event.target.value)} />}
        </Field>
        <HoldButton tone="stop" disabled={why.trim() === '' || lot.mass_g <= 0} onHold={submit}>
          Hold: throw it away
        </HoldButton>
      </div>
    </section>
  )
}

function Meeting({ lot }: { lot: LotState }) {
  const { write } = useNote()
  const { weighedIn } = lot
  if (weighedIn === null) return null
  return (
    <section className="card">
      <h3>You met this plant today</h3>
      <p>Days on which you met it and were sure count towards eating it. A drill or a picture does not.</p>
      <Button
        size="large"
        onClick={() =>
          void write({ type: 'plant-met', taxon: weighedIn.taxon, stage: weighedIn.stage }, 'Meeting noted')
        }
      >
        I met it, and was sure
      </Button>
    </section>
  )
}

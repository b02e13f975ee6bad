import { lotPlan, type JudgeContext, type LotState, type WeighedAfter } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { ReadOff } from '../instruments/ReadOff'
import { formatMassRange } from '../units/units'

/** Weighing after cooking or drying, beside what was to be expected; or measuring a drink that was strained off. */
export function WeighForm({ lot, after, context }: { lot: LotState; after: WeighedAfter; context: JudgeContext }) {
  const { write, errorOf, otherError } = useNote()
  const [mass, setMass] = useState('')
  const [typed, setTyped] = useState<string>()
  const drink = after === 'straining'
  const expected = drink ? undefined : lotPlan(lot, context)?.yield_g
  const submit = () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write({ type: 'weighed', lot: lot.id, mass_g: read.value, after }, drink ? 'Measured' : 'Weighed')
  }
  return (
    <div className="form">
      <NumberField
        label={drink ? 'The drink measures' : 'It weighs'}
        unit={drink ? 'mL' : 'g'}
        value={mass}
        onChange={setMass}
        error={typed ?? errorOf('mass_g') ?? otherError(['mass_g'])}
        hint={expected === undefined ? undefined : `expect ${formatMassRange(expected)}`}
      />
      {!drink && <ReadOff id="scale" lot={lot} context={context} onTake={setMass} noted={false} />}
      <Button type="primary" size="large" onClick={submit}>
        {drink ? 'Strained and measured' : 'Weighed'}
      </Button>
    </div>
  )
}

import { type LotState } from '@ellop/core'
import { Button, Checkbox } from 'antd'
import { memo, useState } from 'react'
import { EaterField } from '../controls/EaterField'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { formatMass } from '../units/units'

/** What never reaches home: a few eaten where they grew, by one eater at a time. It counts toward the day like any dish. */
export const NibbleForm = memo(function NibbleForm({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [eater, setEater] = useState<string>()
  const [mass, setMass] = useState('')
  const [rinsed, setRinsed] = useState(false)
  const [typed, setTyped] = useState<string>()
  const submit = async () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if (!('value' in read) || eater === undefined) return
    const noted = await write(
      {
        type: 'served',
        lot: lot.id,
        pack: null,
        dish: 'eaten on the way',
        onTheWay: { rinsed },
        portions: [{ eater, mass_g: read.value }],
      },
      'Noted: it counts toward the day',
    )
    if (noted.ok) setMass('')
  }
  return (
    <section className="card">
      <h3>Eaten on the way</h3>
      <p>
        Only what is told and fit to be eaten raw on that ground. Look at each piece; wash hands that held other plants.
        In doubt it goes home, and a wrong taste is spat out.
      </p>
      <div className="form">
        <EaterField value={eater} onChange={setEater} />
        <NumberField
          label="About how much"
          unit="g"
          value={mass}
          onChange={setMass}
          hint={`${formatMass(lot.mass_g)} in hand`}
          error={typed ?? errorOf('mass_g')}
        />
        <Checkbox checked={rinsed} onChange={(event) => setRinsed(event.target.checked)}>
          Rinsed in drinking water
        </Checkbox>
        <Refusal sentence={otherError(['mass_g'])} />
        <Button size="large" disabled={eater === undefined} onClick={() => void submit()}>
          Note it
        </Button>
      </div>
    </section>
  )
})

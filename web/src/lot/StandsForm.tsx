import {
  COLD_AT_MOST_C,
  freshnessOf,
  HOT_AT_LEAST_C,
  type CutUpFact,
  type LotState,
  type PlacedFact,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { formatTemp } from '../units/units'
import { FreshnessLine } from '../freshness/FreshnessLine'

const PLACES: readonly { readonly value: PlacedFact['place']; readonly label: string }[] = [
  { value: 'cold', label: 'in the cold' },
  { value: 'kitchen', label: 'in the kitchen' },
  { value: 'hot', label: 'kept hot' },
]

/** Where the lot stands, and how warm it is there: what its clock runs by. */
export function StandsForm({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  const { write, errorOf, otherError } = useNote()
  const [place, setPlace] = useState<PlacedFact['place']>('cold')
  const [temp, setTemp] = useState('')
  const [typed, setTyped] = useState<string>()
  const measured = place !== 'kitchen'
  const save = () => {
    const read = !measured || temp.trim() === '' ? { value: null } : readField(temp)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write({ type: 'placed', lot: lot.id, place, temp_C: read.value }, 'Saved: where it stands')
  }
  return (
    <section className="card">
      <h3>Where the food stands</h3>
      <FreshnessLine freshness={freshnessOf(lot, context)} />
      <div className="form">
        <Choice label="Put it" value={place} onChange={setPlace} options={PLACES} />
        {measured && (
          <NumberField
            label={place === 'cold' ? 'The place is at' : 'The food is at'}
            unit="°C"
            value={temp}
            onChange={setTemp}
            hint={
              place === 'cold'
                ? `${formatTemp(COLD_AT_MOST_C)} or below counts as cold`
                : `${formatTemp(HOT_AT_LEAST_C)} or above counts as hot`
            }
            error={typed ?? errorOf('temp_C')}
          />
        )}
        <Refusal sentence={otherError(['temp_C'])} />
        <Button size="large" onClick={save}>
          Save where it stands
        </Button>
      </div>
    </section>
  )
}

const CUTTINGS: readonly { readonly value: CutUpFact['how']; readonly label: string }[] = [
  { value: 'cut', label: 'cut up' },
  { value: 'pounded', label: 'pounded or pureed' },
  { value: 'juiced', label: 'juiced' },
  { value: 'soaked', label: 'soaked' },
]

/** Raw flesh laid open or wetted: from now on it keeps like cooked food. */
export function CutUpForm({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [how, setHow] = useState<CutUpFact['how']>('cut')
  return (
    <section className="card">
      <h3>Cut up, pounded, juiced or soaked raw</h3>
      <p>From then on it keeps no longer than cooked food: 4 h in the kitchen in all, or cold.</p>
      <div className="form">
        <Choice label="What was done" value={how} onChange={setHow} options={CUTTINGS} />
        <Refusal sentence={otherError([])} />
        <Button
          size="large"
          onClick={() => void write({ type: 'cut-up', lot: lot.id, how }, 'Saved: its clock runs now')}
        >
          Save what was done
        </Button>
      </div>
    </section>
  )
}

/** How much of the lot is water, by a sample dried until its weight stands. */
export function SampleForm({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [texts, setTexts] = useState({ wet_g: '', before_g: '', dry_g: '', apart_min: '60' })
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const fields = ['wet_g', 'before_g', 'dry_g', 'apart_min'] as const
  const save = () => {
    const read = fields.map((field) => [field, readField(texts[field])] as const)
    setTyped(Object.fromEntries(read.flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : []))))
    const values = Object.fromEntries(read.flatMap(([field, each]) => ('value' in each ? [[field, each.value]] : [])))
    const { wet_g, before_g, dry_g, apart_min } = values
    if (wet_g === undefined || before_g === undefined || dry_g === undefined || apart_min === undefined) return
    void write({ type: 'sample-dried', lot: lot.id, wet_g, before_g, dry_g, apart_min }, 'Saved: the sample')
  }
  const labels = {
    wet_g: ['Sample before drying', 'g'],
    before_g: ['Last weighing but one', 'g'],
    dry_g: ['Last weighing', 'g'],
    apart_min: ['Time between these two', 'min'],
  } as const
  return (
    <section className="card">
      <h3>It began drier than the plant list says</h3>
      <p>
        Dry a small sample alone until two weighings an hour apart are the same. It tells how much water was in the lot
        before its drying began.
      </p>
      <div className="form two">
        {fields.map((field) => (
          <NumberField
            key={field}
            label={labels[field][0]}
            unit={labels[field][1]}
            value={texts[field]}
            onChange={(text) => setTexts({ ...texts, [field]: text })}
            error={typed[field] ?? errorOf(field)}
          />
        ))}
        <Refusal sentence={otherError([...fields])} />
        <Button size="large" onClick={save}>
          Save the sample
        </Button>
      </div>
    </section>
  )
}

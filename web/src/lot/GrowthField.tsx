import { CHARACTERS, plainWords, type LotId, type Saying } from '@ellop/core'
import { Select } from 'antd'
import { Field } from '../controls/Field'

/** How the plant stood when it was cut: one look at the weighing in. It tells it from all that grow another way. */
export function GrowthField({ value, onChange }: { value: string | undefined; onChange: (value?: string) => void }) {
  return (
    <Field label="How did the whole plant grow?" hint="As you saw it standing. Leave it empty where you did not look.">
      {(id) => (
        <Select
          id={id}
          size="large"
          allowClear
          placeholder="upright, climbing, a tree …"
          options={CHARACTERS['habit']?.states.map((state) => ({ value: state, label: plainWords(state) })) ?? []}
          value={value ?? null}
          onChange={onChange}
        />
      )}
    </Field>
  )
}

/** The look as an entry of the lot. */
export function growthSeen(lot: LotId, habit: string): Saying<'tell-seen'> {
  return { type: 'tell-seen', lot, character: 'habit', answer: 'seen', states: [habit] }
}

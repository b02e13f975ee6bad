import { Select } from 'antd'
import { useBook } from '../book/bookStore'
import { Field } from './Field'

/** One of those who eat here. */
export function EaterField({
  value,
  onChange,
  error,
  label = 'Who',
}: {
  value: string | undefined
  onChange: (eater: string) => void
  error?: string | undefined
  label?: string
}) {
  const eaters = useBook(({ log }) => log.state.house.eaters)
  return (
    <Field label={label} error={error}>
      {(id) => (
        <Select
          id={id}
          size="large"
          value={value ?? null}
          onChange={onChange}
          options={Object.values(eaters).map(({ id: each, name }) => ({ value: each, label: name }))}
          notFoundContent="Note who eats with you first: on the page of the books."
        />
      )}
    </Field>
  )
}

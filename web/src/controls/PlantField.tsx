import { commonName } from '@ellop/core'
import { Select } from 'antd'
import { useMemo, type ReactNode } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Field } from './Field'

/** One plant of the list, found by any of its names, older ones too. */
export function PlantField({
  label,
  value,
  onChange,
  hint,
  error,
}: {
  label: string
  value: string | undefined
  onChange: (scientificName: string) => void
  hint?: ReactNode
  error?: string | undefined
}) {
  const { catalogue } = useJudgeContext()
  const plants = useMemo(
    () =>
      catalogue.taxa.map((each) => ({
        value: each.scientificName,
        label: `${commonName(each)} · ${each.scientificName}`,
        names: [...Object.values(each.commonNames).flat(), ...each.synonyms].join(' '),
      })),
    [catalogue],
  )
  return (
    <Field label={label} hint={hint} error={error}>
      {(id, describedBy) => (
        <Select
          id={id}
          aria-describedby={describedBy}
          size="large"
          showSearch={{
            filterOption: (text, option) =>
              `${option?.label} ${option?.names}`.toLowerCase().includes(text.toLowerCase()),
          }}
          placeholder="by any of its names"
          options={plants}
          value={value ?? null}
          onChange={onChange}
        />
      )}
    </Field>
  )
}

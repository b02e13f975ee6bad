import { commonName, type Taxon } from '@ellop/core'
import { Select } from 'antd'

/** Several plants, found by any of their names. */
export function PlantSelect({
  id,
  taxa,
  value,
  onChange,
}: {
  id: string
  taxa: readonly Taxon[]
  value: readonly string[]
  onChange: (names: readonly string[]) => void
}) {
  return (
    <Select
      id={id}
      size="large"
      mode="multiple"
      optionFilterProp="label"
      value={[...value]}
      onChange={onChange}
      options={taxa.map((each) => ({
        value: each.scientificName,
        label: `${commonName(each)} · ${each.scientificName}`,
      }))}
    />
  )
}

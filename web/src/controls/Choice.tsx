import { Radio } from 'antd'
import type { ReactNode } from 'react'

/** A few answers side by side, one of them; wide enough for a wet thumb. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: T | undefined
  options: readonly { readonly value: T; readonly label: ReactNode }[]
  onChange: (value: T) => void
}) {
  return (
    <fieldset className="choice">
      <legend>{label}</legend>
      <Radio.Group
        optionType="button"
        buttonStyle="solid"
        size="large"
        {...(value === undefined ? {} : { value })}
        options={options.map((each) => ({ ...each }))}
        onChange={(event) => onChange(event.target.value as T)}
      />
    </fieldset>
  )
}

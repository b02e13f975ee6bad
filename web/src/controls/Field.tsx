import { readNumber } from '@ellop/core'
import { Input } from 'antd'
import { useId, type ReactNode } from 'react'

interface FieldProps {
  readonly label: string
  readonly hint?: ReactNode
  readonly error?: string | undefined
  readonly children: (id: string, describedBy: string | undefined) => ReactNode
}

/** A labelled field with its hint and its one sentence when something is wrong. */
export function Field({ label, hint, error, children }: FieldProps) {
  const id = useId()
  const note = `${id}-note`
  const noted = error !== undefined || hint !== undefined
  return (
    <div className={error === undefined ? 'field' : 'field wrong'}>
      <label htmlFor={id}>{label}</label>
      {children(id, noted ? note : undefined)}
      {noted && (
        <p id={note} className="field-note" role={error === undefined ? undefined : 'alert'}>
          {error ?? hint}
        </p>
      )}
    </div>
  )
}

/** A number with its unit, typed with a point or a comma. */
export function NumberField({
  label,
  unit,
  value,
  onChange,
  hint,
  error,
  autoFocus = false,
}: {
  label: string
  unit: string
  value: string
  onChange: (text: string) => void
  hint?: ReactNode
  error?: string | undefined
  autoFocus?: boolean
}) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(id, describedBy) => (
        <Input
          id={id}
          size="large"
          className="number"
          inputMode="decimal"
          autoComplete="off"
          autoFocus={autoFocus}
          aria-describedby={describedBy}
          aria-invalid={error !== undefined}
          value={value}
          suffix={unit}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  )
}

/** What was typed, as a number: or why it is not one. Empty is null where that is allowed. */
export function readField(text: string): { readonly value: number } | { readonly error: string } {
  const value = readNumber(text)
  if (text.trim() === '') return { error: 'Give a number.' }
  return value === undefined ? { error: `“${text.trim()}” is not a number. Write it like 12.5 or 12,5.` } : { value }
}

import { readNumber } from '@ellop/core'
import { Input } from 'antd'
import { useId, type ReactNode } from 'react'
import { inUnits } from '../units/units'
import { useQuantityText } from '../units/useQuantityText'

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
      <label htmlFor={id}>{inUnits(label)}</label>
      {children(id, noted ? note : undefined)}
      {noted && (
        <p id={note} className="field-note" role={error === undefined ? undefined : 'alert'}>
          {turned(error ?? hint)}
        </p>
      )}
    </div>
  )
}

/** A line of words. */
export function TextField({
  label,
  value,
  onChange,
  maxLength,
  placeholder,
  hint,
  error,
  onEnter,
}: {
  label: string
  value: string
  onChange: (text: string) => void
  maxLength?: number
  placeholder?: string
  hint?: ReactNode
  error?: string | undefined
  onEnter?: () => void
}) {
  return (
    <Field label={label} hint={hint} error={error}>
      {(id, describedBy) => (
        <Input
          id={id}
          aria-describedby={describedBy}
          size="large"
          {...(maxLength === undefined ? {} : { maxLength })}
          {...(placeholder === undefined ? {} : { placeholder })}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          {...(onEnter === undefined ? {} : { onPressEnter: onEnter })}
        />
      )}
    </Field>
  )
}

/** A number in a metric unit; shown in the cook’s measures, and typed with a point, a comma or a unit of its own. */
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
  const quantity = useQuantityText(value, unit, onChange)
  return (
    <Field label={label} hint={hint} error={quantity.refused ?? error}>
      {(id, describedBy) => (
        <Input
          id={id}
          size="large"
          className="number"
          inputMode="decimal"
          autoComplete="off"
          autoFocus={autoFocus}
          aria-describedby={describedBy}
          aria-invalid={(quantity.refused ?? error) !== undefined}
          value={quantity.text}
          suffix={quantity.comesTo === undefined ? quantity.unit : `= ${quantity.comesTo}`}
          onChange={(event) => quantity.type(event.target.value)}
        />
      )}
    </Field>
  )
}

/** A hint that is a sentence, in the cook's measures; others bring their own. */
function turned(note: ReactNode): ReactNode {
  return typeof note === 'string' ? inUnits(note) : note
}

/** What was typed, as a number: or why it is not one. Empty is null where that is allowed. */
export function readField(text: string): { readonly value: number } | { readonly error: string } {
  const value = readNumber(text)
  if (text.trim() === '') return { error: 'Give a number.' }
  return value === undefined ? { error: `“${text.trim()}” is not a number. Write it like 12.5 or 12,5.` } : { value }
}

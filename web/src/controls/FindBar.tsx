import { Input } from 'antd'
import { Choice } from './Choice'

/** A list is searched and arranged from so many on; fewer are seen at a glance. */
export const LONG_LIST = 9

/** Finding in a long list by a word, and which of it to see. */
export function FindBar<Key extends string>({
  find,
  onFind,
  label,
  placeholder,
  choices,
  chosen,
  onChoose,
  choiceLabel,
}: {
  find: string
  onFind: (find: string) => void
  label: string
  placeholder: string
  choices: readonly { readonly value: Key; readonly label: string }[]
  chosen: Key
  onChoose: (chosen: Key) => void
  choiceLabel: string
}) {
  return (
    <div className="find-bar">
      <Input
        data-find
        allowClear
        size="large"
        aria-label={label}
        placeholder={placeholder}
        value={find}
        onChange={(event) => onFind(event.target.value)}
      />
      <Choice label={choiceLabel} options={choices} value={chosen} onChange={onChoose} />
    </div>
  )
}

/** Whether words are found in what a line says, whatever the case. */
export function says(find: string, ...lines: readonly string[]): boolean {
  return lines.join(' ').toLowerCase().includes(find.trim().toLowerCase())
}

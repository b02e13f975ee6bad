import { DIG_TOOLS, plainWords, type Dug } from '@ellop/core'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'

/** How something is dug, as it is typed. */
export interface DugTyped {
  readonly tool?: Dug['tool']
  readonly depth: string
}

const TOOLS = DIG_TOOLS.map((value) => ({ value, label: plainWords(value) }))

/** With what it is dug and how deep it sits. May be left unsaid. */
export function DugFields({ value, onChange }: { value: DugTyped; onChange: (value: DugTyped) => void }) {
  return (
    <>
      <Choice label="Dug with" value={value.tool} options={TOOLS} onChange={(tool) => onChange({ ...value, tool })} />
      <NumberField
        label="How deep it sat"
        unit="cm"
        value={value.depth}
        onChange={(depth) => onChange({ ...value, depth })}
        hint="May stay empty."
      />
    </>
  )
}

/** What is known of it so far. */
export function dugMeant({ tool, depth }: DugTyped): Partial<Dug> {
  const read = readField(depth)
  return { ...(tool === undefined ? {} : { tool }), ...('value' in read ? { depth_cm: read.value } : {}) }
}

/** What is noted of it: a tool, and the depth where it was said; or nothing. */
export function dugSaid(typed: DugTyped): { readonly dug?: Dug } {
  const { tool, ...depth } = dugMeant(typed)
  return tool === undefined ? {} : { dug: { tool, ...depth } }
}

/** What is wrong with it, if anything. */
export function dugFault({ tool, depth }: DugTyped): string | undefined {
  if (depth.trim() === '') return undefined
  const read = readField(depth)
  if ('error' in read) return `How deep it sat: ${read.error}`
  return tool === undefined ? 'Dug with: say with what, or leave the depth empty.' : undefined
}

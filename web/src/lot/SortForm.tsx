import { findTaxon, plainWords, type JudgeContext, type LotState, type Stage } from '@ellop/core'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { Field, NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { Refusal } from '../controls/Refusal'

const FIELDS = ['kept_g', 'trimmed_g', 'trimmedTo', 'stageSeen']

/** Sorting: what goes on, what came off and where it goes, at which stage it really is, and how it was washed. */
export function SortForm({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const { write, errorOf, otherError } = useNote()
  const taxon = findTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  const stages = [
    ...new Set(
      taxon?.uses
        .filter(
          (use) =>
            use.part === lot.weighedIn?.part || (use.alsoCalled ?? []).some((part) => part === lot.weighedIn?.part),
        )
        .map(({ stage }) => stage) ?? [],
    ),
  ]
  const [kept, setKept] = useState('')
  const [trimmed, setTrimmed] = useState('')
  const [to, setTo] = useState('stock')
  const [stage, setStage] = useState<Stage>(lot.weighedIn?.stage ?? 'young')
  const [wash, setWash] = useState('safe-2')
  const [faults, setFaults] = useState<{ kept?: string; trimmed?: string }>({})
  const submit = () => {
    const kept_g = readField(kept)
    const trimmed_g = readField(trimmed)
    setFaults({
      ...('error' in kept_g ? { kept: kept_g.error } : {}),
      ...('error' in trimmed_g ? { trimmed: trimmed_g.error } : {}),
    })
    if (!('value' in kept_g) || !('value' in trimmed_g)) return
    const [water, changes] = wash.split('-')
    void write(
      {
        type: 'sorted',
        lot: lot.id,
        stageSeen: stage,
        kept_g: kept_g.value,
        trimmed_g: trimmed_g.value,
        trimmedTo: to,
        wash: water === 'none' ? null : { water: water as 'safe' | 'germs' | 'chemicals', changes: Number(changes) },
      },
      'Sorted',
    )
  }
  return (
    <div className="form two">
      <NumberField label="Goes on" unit="g" value={kept} onChange={setKept} error={faults.kept ?? errorOf('kept_g')} />
      <NumberField
        label="Trimmed off"
        unit="g"
        value={trimmed}
        onChange={setTrimmed}
        error={faults.trimmed ?? errorOf('trimmed_g')}
      />
      <Field label="Trimmings go to">
        {(id) => <Input id={id} size="large" value={to} onChange={(event) => setTo(event.target.value)} />}
      </Field>
      <Choice
        label="Washed"
        value={wash}
        onChange={setWash}
        options={[
          { value: 'safe-2', label: 'two waters' },
          { value: 'safe-1', label: 'one' },
          { value: 'none', label: 'shaken out only' },
          { value: 'germs-2', label: 'open water' },
          { value: 'chemicals-1', label: 'doubtful water' },
        ]}
      />
      <div className="wide">
        <Choice
          label="It really is"
          value={stage}
          onChange={setStage}
          options={stages.map((each) => ({ value: each, label: plainWords(each) }))}
        />
        <Refusal sentence={errorOf('stageSeen')} />
      </div>
      <Refusal sentence={otherError(FIELDS)} wide />
      <Button type="primary" size="large" onClick={submit}>
        Sorted
      </Button>
      <p className="caution wide">From now on it counts as cut: tells noted later do not open Identity.</p>
    </div>
  )
}

import {
  findTaxon,
  findUse,
  leftoverChoices,
  newLotId,
  nextLotCode,
  plainWords,
  toMs,
  type JudgeContext,
  type LotState,
  type Stage,
} from '@ellop/core'
import { AutoComplete, Button } from 'antd'
import { useState } from 'react'
import { v7 } from 'uuid'
import { useBook } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { Field, NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { Refusal } from '../controls/Refusal'
import { WashChoice, washOf, type Washing } from './WashForm'

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
  const [coarse, setCoarse] = useState('')
  const [stage, setStage] = useState<Stage>(lot.weighedIn?.stage ?? 'young')
  const use = taxon === undefined ? undefined : findUse(taxon, lot.weighedIn?.part ?? 'leaf', stage)
  const places = taxon === undefined || use === undefined ? [] : leftoverChoices(taxon, use)
  const open = places.flatMap(({ to: place, against }) => (against === undefined ? [place] : []))
  const [to, setTo] = useState<string>(open[0] ?? 'bin')
  const against = places.find(({ to: place }) => place === 'stock')?.against
  const [wash, setWash] = useState<Washing>('safe-2')
  const [faults, setFaults] = useState<{ kept?: string; trimmed?: string; coarse?: string }>({})
  const submit = async () => {
    const kept_g = readField(kept)
    const trimmed_g = readField(trimmed)
    const coarse_g = coarse.trim() === '' ? { value: 0 } : readField(coarse)
    setFaults({
      ...('error' in kept_g ? { kept: kept_g.error } : {}),
      ...('error' in trimmed_g ? { trimmed: trimmed_g.error } : {}),
      ...('error' in coarse_g ? { coarse: coarse_g.error } : {}),
    })
    if (!('value' in kept_g) || !('value' in trimmed_g) || !('value' in coarse_g)) return
    if (coarse_g.value >= kept_g.value && coarse_g.value > 0)
      return setFaults({ coarse: 'give less than what goes on; if all of it is coarse, leave this empty' })
    const sorted = await write(
      {
        type: 'sorted',
        lot: lot.id,
        stageSeen: stage,
        kept_g: kept_g.value,
        trimmed_g: trimmed_g.value,
        trimmedTo: to,
        wash: washOf(wash),
      },
      'Sorted',
    )
    if (!sorted.ok || coarse_g.value === 0) return
    const { log, minute } = useBook.getState()
    const code = nextLotCode(log.state, toMs(minute))
    const into = newLotId(code, v7())
    await write(
      { type: 'split', lot: lot.id, into, code, mass_g: coarse_g.value, why: 'coarse: for a longer pot' },
      `Sorted; the coarse part is ${code}`,
    )
  }
  return (
    <div className="form two">
      <NumberField
        label="Kept after sorting"
        unit="g"
        value={kept}
        onChange={setKept}
        error={faults.kept ?? errorOf('kept_g')}
      />
      <NumberField
        label="Trimmed off"
        unit="g"
        value={trimmed}
        onChange={setTrimmed}
        error={faults.trimmed ?? errorOf('trimmed_g')}
      />
      <Field
        label="Trimmings go to"
        hint={against === undefined ? undefined : `Not to stock or beasts. ${against}`}
        error={errorOf('trimmedTo')}
      >
        {(id) => (
          <AutoComplete
            id={id}
            size="large"
            value={to}
            onChange={setTo}
            options={open.map((value) => ({ value, label: plainWords(value) }))}
          />
        )}
      </Field>
      <NumberField
        label="Of it coarse"
        unit="g"
        value={coarse}
        onChange={setCoarse}
        hint="May stay empty. It goes its own way: a longer pot, or broth."
        error={faults.coarse}
      />
      <WashChoice value={wash} onChange={setWash} mayStayDry />
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
      <p className="caution wide">After this, marks you save no longer count for Identity.</p>
      <Button type="primary" size="large" onClick={() => void submit()}>
        Save the sorting
      </Button>
    </div>
  )
}

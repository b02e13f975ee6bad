import {
  allowanceFor,
  countedAs,
  removalOf,
  requireTaxon,
  SHARE_SCHOOLS,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { DugFields, dugFault, dugSaid, type DugTyped } from '../take/DugFields'
import { StandReason } from '../take/StandReason'
import { Refusal } from '../controls/Refusal'
import { inUnits } from '../units/units'

const FIELDS = ['stems', 'taken', 'wildlifeOn', 'cutByOthers']

/** How much stood there, how much was cut, and who lives on it. The share and the other schools are told at once. */
export function StandForm({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const { write, errorOf, otherError } = useNote()
  const taxon = requireTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  const part = lot.weighedIn?.part ?? 'leaf'
  const [typed, setTyped] = useState({ stems: '', taken: '', wildlifeOn: '0', cutByOthers: '0' })
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const [dugWrong, setDugWrong] = useState<string>()
  const [looked, setLooked] = useState(false)
  const [others, setOthers] = useState(false)
  const [school, setSchool] = useState<string>()
  const digs = removalOf(part) === 'whole'
  const [clone, setClone] = useState<'one' | 'many' | 'unknown'>('unknown')
  const stems = readField(typed.stems)
  const wildlife = readField(typed.wildlifeOn)
  const byOthers = readField(typed.cutByOthers)
  const [dug, setDug] = useState<DugTyped>({ depth: '' })
  const allowed =
    'value' in stems && stems.value > 0 && 'value' in wildlife
      ? allowanceFor(
          {
            ...{ lot: lot.id, taxon, part, patch: lot.weighedIn?.patch ?? '', at: context.now },
            byOthers: 'value' in byOthers ? byOthers.value : 0,
          },
          {
            stems: stems.value,
            wildlifeOn: wildlife.value,
            othersPick: others,
            clone: digs && clone !== 'many',
            school: school ?? null,
          },
          { ...context.book, catalogue: context.catalogue },
        )
      : undefined
  const submit = () => {
    const read = Object.entries(typed).map(([field, text]) => [field, readField(text)] as const)
    setFaults(Object.fromEntries(read.flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : []))))
    const taken = readField(typed.taken)
    const wrong = digs ? dugFault(dug) : undefined
    setDugWrong(wrong)
    if (wrong !== undefined) return
    if ('value' in stems && 'value' in taken && 'value' in wildlife && 'value' in byOthers)
      void write(
        {
          type: 'stand-counted',
          lot: lot.id,
          stems: stems.value,
          taken: taken.value,
          wildlifeLooked: looked,
          wildlifeOn: wildlife.value,
          othersPick: others,
          cutByOthers: byOthers.value,
          ...(digs ? { clone: clone !== 'many', ...dugSaid(dug) } : {}),
          school: school ?? null,
        },
        'Stand noted',
      )
  }
  const field = (name: keyof typeof typed, label: string) => (
    <NumberField
      label={label}
      unit={countedAs(part)}
      value={typed[name]}
      onChange={(text) => setTyped({ ...typed, [name]: text })}
      error={faults[name] ?? errorOf(name)}
    />
  )
  return (
    <div className="form two">
      {field('stems', 'You saw growing here')}
      {field('taken', 'You cut')}
      {taxon.wildlifeHost !== undefined && (
        <div className="wide">
          <p>{taxon.wildlifeHost}</p>
          <Checkbox checked={looked} onChange={(event) => setLooked(event.target.checked)}>
            I looked for them before cutting
          </Checkbox>
        </div>
      )}
      {field('wildlifeOn', 'With insects, eggs or nests')}
      <div>
        <Checkbox checked={others} onChange={(event) => setOthers(event.target.checked)}>
          Others pick here too
        </Checkbox>
      </div>
      {others && field('cutByOthers', 'Already cut by others (stumps)')}
      {digs && (
        <div className="wide">
          <Choice
            label="Under the ground it is"
            value={clone}
            onChange={setClone}
            options={[
              { value: 'many', label: 'many plants' },
              { value: 'one', label: 'one creeping plant' },
              { value: 'unknown', label: 'not known' },
            ]}
          />
          <p className="field-note">For digging a carpet on one root is one plant; not known counts as one.</p>
          <DugFields value={dug} onChange={setDug} />
        </div>
      )}
      <div className="wide">
        <Choice
          label="Share rule"
          value={school ?? allowed?.share.school}
          onChange={setSchool}
          options={SHARE_SCHOOLS.map((name) => ({ value: name, label: name }))}
        />
        {allowed !== undefined && (
          <p className="told">
            {allowed.before > 0 &&
              `${allowed.before} were cut there before and have drawn on the same share: ${allowed.ofShare} are left of it. `}
            {inUnits(allowed.share.text)} {allowed.purposeSays} By each share rule:{' '}
            {allowed.share.schools.map(({ name, pieces: many }) => `${many} (${name})`).join(', ')}.
          </p>
        )}
      </div>
      <div className="wide">
        <StandReason taxon={taxon} part={part} title="Why so much and no more" />
      </div>
      <Refusal sentence={dugWrong ?? otherError(FIELDS)} wide />
      <Button type="primary" size="large" onClick={submit}>
        Save the count
      </Button>
    </div>
  )
}

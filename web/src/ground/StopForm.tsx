import {
  commonName,
  findTaxon,
  FIND_STATES,
  lastFound,
  plainWords,
  stopKinds,
  type Find,
  type FoundThere,
  type JudgeContext,
  type Part,
  type StopKind,
} from '@ellop/core'
import { Button, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { Choice } from '../controls/Choice'
import { Field } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { Refusal } from '../controls/Refusal'

type State = Find['state']

const STATES = FIND_STATES.map((value) => ({ value, label: plainWords(value) }))
const WHY: Readonly<Record<StopKind['why'], string>> = {
  known: 'seen here before',
  'may-grow': 'this ground would suit it',
  met: 'you met it elsewhere',
}

/** Standing still in one place: everything that might be eaten here in this part of the year, each with how it stands. */
export function StopForm({ patch, context, onDone }: { patch: string; context: JudgeContext; onDone: () => void }) {
  const { write, otherError } = useNote()
  const offered = useMemo(() => stopKinds(patch, context), [patch, context])
  const [added, setAdded] = useState<readonly { readonly taxon: string; readonly part: Part }[]>([])
  const [states, setStates] = useState<Readonly<Record<string, State>>>({})
  const kinds = [
    ...offered.map(({ taxon, part, why }) => ({ name: taxon.scientificName, taxon, part, why: WHY[why] })),
    ...added.flatMap(({ taxon: name, part }) => {
      const taxon = findTaxon(context.catalogue, name)
      return taxon === undefined ? [] : [{ name, taxon, part, why: 'added by you' }]
    }),
  ]
  const finds = kinds.flatMap(({ name, part }) => {
    const state = states[`${name} ${part}`]
    return state === undefined ? [] : [{ taxon: name, part, state }]
  })
  const note = async () => {
    const noted = await write({ type: 'stop-noted', patch, finds }, 'Stop noted')
    if (noted.ok) onDone()
  }
  return (
    <section className="card stop" aria-labelledby="stop-title">
      <h2 id="stop-title">What is here now</h2>
      <p className="soft">
        Stand still and look: cracks, corners and walls too, and before your feet. Leave out what you do not see. A name
        here tells no plant: before anything is eaten its tells are looked at.
      </p>
      {kinds.length === 0 && <p className="told">Nothing is known to be in its time here. Add what you see.</p>}
      <ul className="stop-kinds">
        {kinds.map(({ name, taxon, part, why }) => (
          <li key={`${name} ${part}`}>
            <p>
              <strong>{commonName(taxon)}</strong> {plainWords(part)} <small>{why}</small>
            </p>
            <Choice
              label={`${commonName(taxon)} ${plainWords(part)} is`}
              value={states[`${name} ${part}`]}
              options={STATES}
              onChange={(state) => setStates({ ...states, [`${name} ${part}`]: state })}
            />
          </li>
        ))}
      </ul>
      <AddKind
        context={context}
        taken={kinds.map(({ name, part }) => `${name} ${part}`)}
        onAdd={(kind) => setAdded([...added, kind])}
      />
      <div className="acts">
        <Button type="primary" size="large" disabled={finds.length === 0} onClick={() => void note()}>
          {finds.length === 0 ? 'Say how something stands' : `Note this stop (${finds.length})`}
        </Button>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </div>
      <Refusal sentence={otherError([])} />
    </section>
  )
}

function AddKind({
  context,
  taken,
  onAdd,
}: {
  context: JudgeContext
  taken: readonly string[]
  onAdd: (kind: { readonly taxon: string; readonly part: Part }) => void
}) {
  const kinds = useMemo(
    () =>
      new Map(
        context.catalogue.taxa.flatMap((taxon) =>
          [...new Set(taxon.uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => part))].map((part) => [
            `${taxon.scientificName} ${part}`,
            {
              taxon: taxon.scientificName,
              part,
              label: `${commonName(taxon)} ${plainWords(part)} · ${taxon.scientificName}`,
            },
          ]),
        ),
      ),
    [context.catalogue],
  )
  const options = [...kinds]
    .filter(([value]) => !taken.includes(value))
    .map(([value, { label }]) => ({ value, label }))
    .toSorted((a, b) => a.label.localeCompare(b.label))
  return (
    <Field label="Something else that is here">
      {(id) => (
        <Select
          id={id}
          size="large"
          showSearch
          optionFilterProp="label"
          placeholder="a plant and its part"
          value={null}
          options={options}
          onChange={(chosen: string | null) => {
            const kind = kinds.get(chosen ?? '')
            if (kind !== undefined) onAdd({ taxon: kind.taxon, part: kind.part })
          }}
        />
      )}
    </Field>
  )
}

/** So few are seen at a glance. */
const FEW = 5

/** How everything stood when it was last stopped at; all patches together can be narrowed to what was ready. */
export function LastFound({ context, patch }: { context: JudgeContext; patch?: string }) {
  const found = useMemo(() => lastFound(context, patch), [context, patch])
  const [only, setOnly] = useState<State | 'all'>('all')
  const there = STATES.filter(({ value }) => found.some(({ state }) => state === value))
  if (found.length === 0) return patch === undefined ? null : <p className="soft">No stop was noted here yet.</p>
  const shown = found.filter(({ state }) => only === 'all' || state === only)
  return (
    <>
      {found.length > FEW && there.length > 1 && (
        <Choice
          label="Only what was"
          value={only}
          options={[{ value: 'all' as const, label: 'all' }, ...there]}
          onChange={setOnly}
        />
      )}
      <table className="found">
        <thead>
          <tr>
            <th scope="col">What</th>
            {patch === undefined && <th scope="col">Where</th>}
            <th scope="col">How it stood</th>
            <th scope="col">When</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((find) => (
            <tr key={`${find.patch} ${find.taxon.scientificName} ${find.part}`} className={find.state}>
              <th scope="row">
                {commonName(find.taxon)} <span>{plainWords(find.part)}</span>
              </th>
              {patch === undefined && (
                <td>
                  <Link to={`/patch/${find.patch}`}>{context.book.house.patches[find.patch]?.name ?? find.patch}</Link>
                </td>
              )}
              <td>{plainWords(find.state)}</td>
              <td>{ago(find)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}

function ago({ days }: FoundThere): string {
  return days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
}

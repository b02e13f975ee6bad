import {
  formatDay,
  formatList,
  kitchenAt,
  recallReach,
  type JudgeContext,
  type Recall,
  type Reach as Reached,
} from '@ellop/core'
import { Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { formatMass, inUnits } from '../units/units'

type Kind = 'patch' | 'lot' | 'pack'
const KINDS: readonly { value: Kind; label: string }[] = [
  { value: 'patch', label: 'a patch' },
  { value: 'lot', label: 'a lot' },
  { value: 'pack', label: 'a pack' },
]

/** A patch, a lot or a pack turned bad: what it reaches is shown before it is made, and held at once after. */
export default function RecallPlace() {
  const context = useJudgeContext()
  const { write, otherError } = useNote()
  const [kind, setKind] = useState<Kind>('patch')
  const [which, setWhich] = useState<string>()
  const [why, setWhy] = useState('')
  const options = useMemo(() => optionsOf(kind, context), [kind, context])
  const chosen = options.find(({ value }) => value === which)
  const draft = chosen === undefined ? undefined : chosen.recall(why, context.now)
  const reach = useMemo(
    () => (draft === undefined ? undefined : recallReach(draft, context.book)),
    [draft, context.book],
  )
  const make = () => {
    if (draft === undefined) return
    void write(
      draft.what === 'patch'
        ? { type: 'patch-turned', patch: draft.patch, why: why.trim(), since: null }
        : { type: 'food-turned', of: draft.lot, pack: draft.pack, why: why.trim() },
      'Recalled: everything downstream is held',
    )
  }
  return (
    <>
      <div className="place-head">
        <div>
          <h1>Recall</h1>
          <p>Something has come out about a place or a lot: this finds every pack, plate and person behind it.</p>
        </div>
      </div>
      <div className="recall">
        <section className="card">
          <h2>What has turned bad?</h2>
          <div className="form">
            <Choice
              label="It is"
              value={kind}
              onChange={(next) => {
                setKind(next)
                setWhich(undefined)
              }}
              options={KINDS}
            />
            <Field label="Which">
              {(id) => (
                <Select
                  id={id}
                  size="large"
                  showSearch={{ optionFilterProp: 'label' }}
                  value={which ?? null}
                  onChange={setWhich}
                  options={options.map(({ value, label }) => ({ value, label }))}
                />
              )}
            </Field>
            <Field label="What happened" error={otherError([])}>
              {(id) => (
                <Input
                  id={id}
                  size="large"
                  placeholder="it was sprayed on Tuesday"
                  value={why}
                  onChange={(event) => setWhy(event.target.value)}
                />
              )}
            </Field>
            {reach !== undefined && <Reach reach={reach} context={context} />}
            <HoldButton tone="stop" disabled={draft === undefined || why.trim() === ''} onHold={make}>
              Press and hold to recall
            </HoldButton>
          </div>
        </section>
        <section>
          <h2>Recalls in force</h2>
          {context.book.house.recalls.length === 0 && <p>None.</p>}
          {context.book.house.recalls.map((recall) => (
            <article key={recall.at} className="card stop">
              <h3>
                {recall.what === 'patch'
                  ? (context.book.house.patches[recall.patch]?.name ?? recall.patch)
                  : (recall.pack ?? `lot ${context.book.lots.get(recall.lot)?.code ?? recall.lot}`)}
              </h3>
              <p>{inUnits(recall.why)}</p>
              <Reach reach={recallReach(recall, context.book)} context={context} />
            </article>
          ))}
          <p>
            A recall made in error is struck out in <Link to="/notebook">the notebook</Link>. Anyone who feels ill:{' '}
            <Link to="/ill">what to do now</Link>.
          </p>
        </section>
      </div>
    </>
  )
}

function Reach({ reach, context }: { reach: Reached; context: JudgeContext }) {
  const { house } = context.book
  const timeZone = kitchenAt(house, context.now)?.timeZone ?? 'UTC'
  const nothing = reach.inHand.length + reach.packs.length + reach.servings.length === 0
  return (
    <ul className="reach">
      {nothing && <li>Nothing in hand, in the larder or eaten goes back to it.</li>}
      {reach.inHand.map(({ lot, code, mass_g }) => (
        <li key={lot}>
          In hand: <Link to={`/lot/${lot}`}>lot {code}</Link>, {formatMass(mass_g)}
        </li>
      ))}
      {reach.packs.map(({ pack, mass_g }) => (
        <li key={pack}>
          In the larder: pack {pack}, {formatMass(mass_g)}
        </li>
      ))}
      {reach.servings.map(({ lot, at, dish, eaters }) => (
        <li key={lot + at} className="grave">
          Eaten {formatDay(at, timeZone, true)}: {dish}, by{' '}
          {formatList(eaters.map((id) => house.eaters[id]?.name ?? id))}
        </li>
      ))}
    </ul>
  )
}

interface Option {
  readonly value: string
  readonly label: string
  readonly recall: (why: string, at: string) => Recall
}

function optionsOf(kind: Kind, { book }: JudgeContext): readonly Option[] {
  if (kind === 'patch')
    return Object.values(book.house.patches).map(({ id, name }) => ({
      value: id,
      label: name,
      recall: (why, at) => ({ what: 'patch', patch: id, since: null, why, at }),
    }))
  const lots = [...book.lots.values()].toSorted((a, b) => (a.code < b.code ? 1 : -1))
  return kind === 'lot'
    ? lots.map(({ id, code }) => ({
        value: id,
        label: `lot ${code}`,
        recall: (why, at) => ({ what: 'food', lot: id, pack: null, why, at }),
      }))
    : lots.flatMap(({ id, packs }) =>
        packs.map((pack) => ({
          value: pack.id,
          label: `pack ${pack.id}`,
          recall: (why: string, at: string): Recall => ({ what: 'food', lot: id, pack: pack.id, why, at }),
        })),
      )
}

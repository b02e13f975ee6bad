import { commonName, formatCount, formatList, newPatchId, patchView, type PatchView } from '@ellop/core'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { useJudgeContext } from '../book/bookStore'
import { TextField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { LastFound } from './StopForm'
import { GateIcon } from '../drawing/GateMark'
import '../app/ground.css'
import { inUnits } from '../units/units'

/** Every patch of the book, with the plants seen there and how its ground stands for them. */
export default function PatchesPlace() {
  const context = useJudgeContext()
  const views = useMemo(
    () =>
      Object.keys(context.book.house.patches)
        .flatMap((id) => patchView(id, context) ?? [])
        .toSorted((a, b) => a.patch.name.localeCompare(b.patch.name)),
    [context],
  )
  return (
    <>
      <div className="place-head">
        <div>
          <h1>Patches</h1>
          <p>{formatCount(views.length, 'patch', 'patches')}: what each ground is fit for</p>
        </div>
      </div>
      {views.length === 0 && <p className="told">No patch yet. Give the first one a name.</p>}
      <ul className="patches">
        {views.map((view) => (
          <PatchLine key={view.patch.id} view={view} />
        ))}
      </ul>
      {Object.keys(context.book.house.stops).length > 0 && (
        <section className="card">
          <h2>How things stood at your last stops</h2>
          <LastFound context={context} />
        </section>
      )}
      <NewPatch />
    </>
  )
}

function PatchLine({ view: { patch, plants, recalled } }: { view: PatchView }) {
  const all = plants.flatMap(({ grounds }) => grounds.map(({ verdict }) => verdict))
  const closed = all.filter(({ state }) => state === 'closed')
  const ajar = all.filter(({ state }) => state === 'ajar')
  const shut = recalled.length > 0 || (all.length > 0 && closed.length === all.length)
  const state = shut ? 'closed' : all.length > 0 && closed.length + ajar.length === 0 ? 'open' : 'ajar'
  const reason = [
    ...recalled.map((why) => `Recalled: ${why}`),
    ...closed.flatMap((verdict) => verdict.closed),
    ...ajar.map(({ toAsk }) => `Still to ask: ${toAsk[0]}${toAsk.length > 1 ? ` and ${toAsk.length - 1} more` : ''}.`),
  ][0]
  return (
    <li>
      <GateIcon state={state} />
      <div>
        <h2>
          <Link to={`/patch/${patch.id}`}>{patch.name}</Link>
        </h2>
        <p>
          {plants.length === 0
            ? 'Nothing was met or picked here yet.'
            : formatList(plants.map(({ taxon }) => commonName(taxon)))}
        </p>
        {reason !== undefined && <p className={state}>{inUnits(reason)}</p>}
      </div>
    </li>
  )
}

function NewPatch() {
  const { write, otherError } = useNote()
  const navigate = useNavigate()
  const { book } = useJudgeContext()
  const [name, setName] = useState('')
  const [fault, setFault] = useState<string>()
  const make = async () => {
    if (name.trim() === '') return setFault('Give the patch a name.')
    const taken = Object.values(book.house.patches).some((patch) => patch.name === name.trim())
    const id = newPatchId(v7())
    if (taken) return setFault('There is a patch of that name already.')
    setFault(undefined)
    const noted = await write({ type: 'ground-noted', patch: id, name: name.trim(), facts: {} }, 'Patch noted')
    if (noted.ok) await navigate(`/patch/${id}`)
  }
  return (
    <section className="card new-patch">
      <TextField
        label="A new patch"
        hint="A name is enough: nobody needs to know where it is."
        error={fault ?? otherError([])}
        maxLength={80}
        value={name}
        onChange={setName}
        onEnter={() => void make()}
      />
      <Button size="large" onClick={() => void make()}>
        Note the patch
      </Button>
    </section>
  )
}

import { groundVerdict, requireTaxon, type GroundNote, type JudgeContext, type LotState } from '@ellop/core'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { Field, NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'

const NEVER = 'never'

/** The facts of the ground that matter to this plant, asked together. What nobody knows is not passed as clean. */
export function GroundForm({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const { write, otherError } = useNote()
  const patch = context.book.house.patches[lot.weighedIn?.patch ?? '']
  const [from, setFrom] = useState(patch?.facts.permission?.value.from ?? '')
  const [sprayed, setSprayed] = useState('')
  const [sprayKnown, setSprayKnown] = useState<string>()
  const [height, setHeight] = useState(patch?.elevation_m === undefined ? '' : String(patch.elevation_m))
  const [road, setRoad] = useState('')
  const [roadKnown, setRoadKnown] = useState<string>()
  const [rest, setRest] = useState<Partial<Pick<GroundNote, 'pastUse' | 'manured' | 'dogs'>> & { healthy?: string }>({})
  const [fault, setFault] = useState<string>()
  const taxon = requireTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  const asked = groundVerdict(taxon, patch?.facts ?? {}, patch?.name ?? '', context.now).toAsk
  const submit = () => {
    const distance = readField(road)
    if (roadKnown === 'near' && 'error' in distance) return setFault(`Distance to the road: ${distance.error}`)
    const lies = readField(height)
    if (height.trim() !== '' && 'error' in lies) return setFault(`Height of the patch: ${lies.error}`)
    const day = /^\d{4}-\d{2}-\d{2}$/.test(sprayed) ? `${sprayed}T00:00:00.000Z` : null
    if (sprayKnown === 'yes' && day === null) return setFault('Give the day of the last spraying, such as 2024-06-14.')
    setFault(undefined)
    const facts: GroundNote = {
      ...(from.trim() === '' ? {} : { permission: { from: from.trim(), until: null } }),
      ...(sprayKnown === undefined ? {} : { sprayed: { last: sprayKnown === NEVER ? null : day } }),
      ...(roadKnown === undefined
        ? {}
        : { busyRoad: { distance_m: roadKnown === 'near' && 'value' in distance ? distance.value : null } }),
      ...(rest.pastUse === undefined ? {} : { pastUse: rest.pastUse }),
      ...(rest.manured === undefined ? {} : { manured: rest.manured }),
      ...(rest.dogs === undefined ? {} : { dogs: rest.dogs }),
      ...(rest.healthy === undefined ? {} : { looksHealthy: rest.healthy === 'yes' }),
    }
    const elevation = height.trim() !== '' && 'value' in lies ? { elevation_m: lies.value } : {}
    void write({ type: 'ground-noted', patch: lot.weighedIn?.patch ?? '', ...elevation, facts }, 'Ground noted')
  }
  return (
    <div className="form">
      <p className="field-note">Asked for this plant: {asked.join('; ')}.</p>
      <Field label="Leave to pick here, from" hint="The owner, the parish, yourself. That nobody minds is not leave.">
        {(id, describedBy) => (
          <Input
            id={id}
            aria-describedby={describedBy}
            size="large"
            value={from}
            onChange={(event) => setFrom(event.target.value)}
          />
        )}
      </Field>
      <Choice
        label="Weedkiller"
        value={sprayKnown}
        onChange={setSprayKnown}
        options={[
          { value: NEVER, label: 'never, as I know' },
          { value: 'yes', label: 'yes, on …' },
        ]}
      />
      {sprayKnown === 'yes' && (
        <Field label="Last sprayed on" hint="Year-month-day">
          {(id) => (
            <Input
              id={id}
              size="large"
              placeholder="2024-06-14"
              value={sprayed}
              onChange={(event) => setSprayed(event.target.value)}
            />
          )}
        </Field>
      )}
      <Choice
        label="Busy road"
        value={roadKnown}
        onChange={setRoadKnown}
        options={[
          { value: 'none', label: 'none near' },
          { value: 'near', label: 'at …' },
        ]}
      />
      {roadKnown === 'near' && <NumberField label="Distance to the road" unit="m" value={road} onChange={setRoad} />}
      <Choice
        label="Before it was"
        value={rest.pastUse}
        onChange={(pastUse) => setRest({ ...rest, pastUse })}
        options={[
          { value: 'clean', label: 'nothing of harm' },
          { value: 'industry', label: 'works' },
          { value: 'mine', label: 'mine' },
          { value: 'tip', label: 'tip' },
          { value: 'railway', label: 'railway' },
          { value: 'old-orchard', label: 'old orchard' },
          { value: 'unknown', label: 'not known' },
        ]}
      />
      <Choice
        label="Dung or fertiliser"
        value={rest.manured}
        onChange={(manured) => setRest({ ...rest, manured })}
        options={[
          { value: 'no', label: 'no' },
          { value: 'yes', label: 'yes' },
          { value: 'unknown', label: 'not known' },
        ]}
      />
      <Choice
        label="Dogs"
        value={rest.dogs}
        onChange={(dogs) => setRest({ ...rest, dogs })}
        options={[
          { value: 'none', label: 'none' },
          { value: 'some', label: 'some' },
          { value: 'many', label: 'many' },
        ]}
      />
      <Choice
        label="The stand looks healthy"
        value={rest.healthy}
        onChange={(healthy) => setRest({ ...rest, healthy })}
        options={[
          { value: 'yes', label: 'yes' },
          { value: 'no', label: 'no' },
        ]}
      />
      <NumberField
        label="Height of the patch"
        unit="m above the sea"
        value={height}
        onChange={setHeight}
        hint="For the season; may stay empty."
      />
      {(fault ?? otherError([])) !== undefined && (
        <p className="refusal" role="alert">
          {fault ?? otherError([])}
        </p>
      )}
      <Button type="primary" size="large" onClick={submit}>
        Note the ground
      </Button>
      <p className="caution">Local law, the owner’s word and a soil test outrank this.</p>
    </div>
  )
}

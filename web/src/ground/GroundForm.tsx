import { GROUND_FACTS, type GroundNote, type PatchState } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { emptyDraft, readGround } from './draft'
import { GroundField } from './GroundFields'
import '../app/ground.css'
import { Refusal } from '../controls/Refusal'

/** The facts of the ground: those asked for first, the rest folded away. What nobody knows is not passed as clean. */
export function GroundForm({
  patch,
  known,
  asked,
  toAsk,
  onDone,
}: {
  patch: string
  known: PatchState | undefined
  asked: readonly (keyof GroundNote)[]
  toAsk: readonly string[]
  onDone?: () => void
}) {
  const { write, otherError } = useNote()
  const [draft, setDraft] = useState(() => emptyDraft(known?.facts))
  const [height, setHeight] = useState(known?.elevation_m === undefined ? '' : String(known.elevation_m))
  const [north, setNorth] = useState(known?.position === undefined ? '' : String(known.position.latitude_deg))
  const [east, setEast] = useState(known?.position === undefined ? '' : String(known.position.longitude_deg))
  const [fault, setFault] = useState<string>()
  const first = GROUND_FACTS.filter((fact) => asked.includes(fact))
  const rest = GROUND_FACTS.filter((fact) => !asked.includes(fact))
  const submit = async () => {
    const read = readGround(draft, known?.facts)
    if ('error' in read) return setFault(read.error)
    const lies = readField(height)
    if (height.trim() !== '' && 'error' in lies) return setFault(`Height of the patch: ${lies.error}`)
    const [latitude, longitude] = [readField(north), readField(east)]
    const placed = north.trim() !== '' || east.trim() !== ''
    if (placed && ('error' in latitude || 'error' in longitude))
      return setFault('Where it lies: give both, such as 46.512 north and 9.871 east, or neither.')
    setFault(undefined)
    const noted = await write(
      {
        type: 'ground-noted',
        patch,
        ...(height.trim() !== '' && 'value' in lies ? { elevation_m: lies.value } : {}),
        ...(placed && 'value' in latitude && 'value' in longitude
          ? { position: { latitude_deg: latitude.value, longitude_deg: longitude.value } }
          : {}),
        facts: read.facts,
      },
      'Ground noted',
    )
    if (noted.ok) onDone?.()
  }
  const sentence = fault ?? otherError([])
  const more = (
    <div className="form">
      {rest.map((fact) => (
        <GroundField key={fact} fact={fact} draft={draft} onChange={setDraft} />
      ))}
      <NumberField
        label="Height of the patch"
        unit="m above the sea"
        value={height}
        onChange={setHeight}
        hint="For the season; may stay empty."
      />
      <div className="soil-test">
        <NumberField label="Where it lies, north" unit="°" value={north} onChange={setNorth} />
        <NumberField label="East" unit="°" value={east} onChange={setEast} />
      </div>
      <p className="field-note">
        South and west are negative. Where it lies stays in this browser: no file holds it unless you ask for that.
      </p>
    </div>
  )
  return (
    <div className="form">
      {toAsk.length > 0 && <p className="field-note">Asked for this plant: {toAsk.join('; ')}.</p>}
      {first.map((fact) => (
        <GroundField key={fact} fact={fact} draft={draft} onChange={setDraft} />
      ))}
      {first.length === 0 ? (
        more
      ) : (
        <details className="more-ground">
          <summary>More of this ground</summary>
          {more}
        </details>
      )}
      <Refusal sentence={sentence} />
      <Button type="primary" size="large" onClick={() => void submit()}>
        Note the ground
      </Button>
      <p className="caution">Local law, the owner’s word, a label and a soil test outrank this.</p>
    </div>
  )
}

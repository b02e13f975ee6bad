import { findUse, ownTender, requireTaxon, type LotState, type OwnTender, type SnapFact } from '@ellop/core'
import { Button } from 'antd'
import { memo, useMemo, useState } from 'react'
import { judgeContext } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { formatMass, inUnits } from '../units/units'

const FIELDS = [
  { name: 'length', label: 'Snapped at', unit: 'cm' },
  { name: 'joints', label: 'Joints on it', unit: 'joints' },
  { name: 'mass', label: 'It weighs', unit: 'g' },
] as const
type Tip = Readonly<Record<(typeof FIELDS)[number]['name'], string>>
const EMPTY: Tip = { length: '', joints: '', mass: '' }

/** Where one's own tips snap, in words; nothing before the first. */
export function tenderSays(own: OwnTender | undefined): string | undefined {
  if (own === undefined) return undefined
  const { length_cm, tips, byJoint } = own
  const cm = (value: number) => value.toFixed(value < 10 ? 1 : 0)
  const joints = byJoint
    .map(({ joints: count, each_g }) => `${count} ${count === 1 ? 'joint' : 'joints'} ${formatMass(each_g)}`)
    .join(', ')
  return inUnits(
    `By your own ${tips} ${tips === 1 ? 'tip' : 'tips'} it snaps at about ${cm(length_cm.usual)} cm (${cm(length_cm.low)} to ${cm(length_cm.high)} cm): bend it there, and go by the snap.${joints === '' ? '' : ` A tip weighs: ${joints}.`}`,
  )
}

/** A few tips bent until they snapped: from then on one's own length stands before the one in the record. */
export const SnapForm = memo(function SnapForm({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [tip, setTip] = useState(EMPTY)
  const [tips, setTips] = useState<readonly SnapFact[]>([])
  const [fault, setFault] = useState<string>()
  // All earlier pickings are walked for it: once for a lot as it stands, and not at every note.
  const said = useMemo(() => saidOf(lot), [lot])
  /** The tip in the fields; nothing where all are empty; undefined where one is wrong. */
  const read = (): readonly SnapFact[] | undefined => {
    if (FIELDS.every(({ name }) => tip[name].trim() === '')) return []
    const of = (name: keyof Tip) => (name !== 'length' && tip[name].trim() === '' ? undefined : readField(tip[name]))
    const wrong = FIELDS.map(({ name, label }) => ({ label, value: of(name) })).find(
      ({ value }) => value !== undefined && 'error' in value,
    )
    if (wrong?.value !== undefined && 'error' in wrong.value) {
      setFault(`${wrong.label}: ${wrong.value.error}`)
      return undefined
    }
    const number = (name: keyof Tip) => {
      const value = of(name)
      return value !== undefined && 'value' in value ? value.value : undefined
    }
    const [length_cm = 0, joints, mass_g] = FIELDS.map(({ name }) => number(name))
    return [
      {
        length_cm,
        ...(joints === undefined ? {} : { joints: Math.round(joints) }),
        ...(mass_g === undefined ? {} : { mass_g }),
      },
    ]
  }
  const another = () => {
    const one = read()
    if (one === undefined) return
    setFault(undefined)
    setTips([...tips, ...one])
    setTip(EMPTY)
  }
  const note = async () => {
    const one = read()
    if (one === undefined) return
    const all = [...tips, ...one]
    if (all.length === 0) return setFault('Snapped at: give a length.')
    setFault(undefined)
    const noted = await write({ type: 'snapped', lot: lot.id, tips: all }, 'Noted')
    if (!noted.ok) return
    setTips([])
    setTip(EMPTY)
  }
  return (
    <section className="card">
      <h3>Where it snaps</h3>
      <p>Bend a few tips until they break by themselves. What is below is tough, whatever a book says.</p>
      {said !== undefined && <p className="told">{said}</p>}
      <div className="form">
        {FIELDS.map(({ name, label, unit }) => (
          <NumberField
            key={name}
            label={label}
            unit={unit}
            value={tip[name]}
            onChange={(text) => setTip({ ...tip, [name]: text })}
            {...(name === 'length' ? {} : { hint: 'May stay empty.' })}
          />
        ))}
        {tips.length > 0 && (
          <p className="told">{inUnits(`So far: ${tips.map(({ length_cm }) => `${length_cm} cm`).join(', ')}.`)}</p>
        )}
        <Refusal sentence={fault ?? otherError([])} />
        <Button size="large" onClick={another}>
          And another
        </Button>
        <Button size="large" onClick={() => void note()}>
          Note where it snapped
        </Button>
      </div>
    </section>
  )
})

/** One's own length, else the record's words. */
function saidOf({ weighedIn }: LotState): string | undefined {
  if (weighedIn === null) return undefined
  const { book, catalogue } = judgeContext()
  const taxon = requireTaxon(catalogue, weighedIn.taxon)
  const use = findUse(taxon, weighedIn.part, weighedIn.stage)
  return use === undefined ? undefined : (tenderSays(ownTender(taxon, use, { book, catalogue })) ?? use.cut)
}

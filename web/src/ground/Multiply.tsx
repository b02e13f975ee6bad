import { findTaxon, formatCount, formatDay, grouped, kitchenAt, startsFrom } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { inUnits } from '../units/units'

/** How many starts a length gives, and when to look after them. */
export function Multiply({ name, onCount }: { name: string; onCount: (text: string) => void }) {
  const { book, catalogue, now } = useJudgeContext()
  const [length, setLength] = useState('')
  const [joint, setJoint] = useState('')
  const [joints, setJoints] = useState<'1' | '2' | '3'>('2')
  const taxon = findTaxon(catalogue, name)
  const [long, gap] = [readField(length), readField(joint)]
  if (taxon === undefined) return null
  const read = 'value' in long && 'value' in gap && long.value > 0 && gap.value > 0
  const starts = startsFrom(
    taxon,
    { length_cm: read ? long.value : 0, joint_cm: read ? gap.value : 1, jointsAPiece: Number(joints) },
    now,
  )
  if ('refused' in starts) return <p className="refusal wide">{starts.refused}</p>
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  return (
    <details className="wide">
      <summary>How many starts from a length</summary>
      <div className="form">
        <NumberField label="Length of root or stem" unit="cm" value={length} onChange={setLength} />
        <NumberField label="From joint to joint" unit="cm" value={joint} onChange={setJoint} />
        <Choice
          label="Joints a piece"
          value={joints}
          onChange={setJoints}
          options={(['1', '2', '3'] as const).map((each) => ({ value: each, label: each }))}
        />
        {read && (
          <div className="told">
            <p>
              <strong>{formatCount(starts.pieces, 'start')}</strong>
              {starts.pieces > 0 && ` of ${inUnits(`${Number(starts.piece_cm.toFixed(1))} cm`)} each`}. Only with the
              owner’s leave, and not from a small stand.
            </p>
            <ul>
              {starts.careDays.map(({ on, says }) => (
                <li key={says}>
                  {formatDay(on, timeZone)}: {says}
                </li>
              ))}
            </ul>
            {starts.pieces > 0 && (
              <Button size="large" onClick={() => onCount(String(starts.pieces))}>
                Take {grouped(starts.pieces)} as the number
              </Button>
            )}
          </div>
        )}
      </div>
    </details>
  )
}

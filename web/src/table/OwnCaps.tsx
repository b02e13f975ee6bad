import { commonName, findTaxon, type OwnCap } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { PlantField } from '../controls/PlantField'
import { formatMass } from '../units/units'

/** Limits of one's own: so much of a plant in a day, by choice or by a doctor's word. */
export function OwnCaps({
  caps,
  onChange,
  error,
}: {
  caps: readonly OwnCap[]
  onChange: (caps: readonly OwnCap[]) => void
  error?: string | undefined
}) {
  const { catalogue } = useJudgeContext()
  const [taxon, setTaxon] = useState<string>()
  const [most, setMost] = useState('')
  const [typed, setTyped] = useState<string>()
  const others = (name: string) => caps.filter((cap) => cap.taxon !== name)
  const set = () => {
    const read = readField(most)
    const fault =
      'error' in read ? read.error : read.value < 0 || read.value > MOST_g ? `Between 0 and ${MOST_g} g.` : undefined
    setTyped(fault)
    if (taxon === undefined || fault !== undefined || 'error' in read) return
    onChange([...others(taxon), { taxon, perDay_g: read.value }])
    setTaxon(undefined)
    setMost('')
  }
  return (
    <section className="own-caps">
      <h3>Own limits</h3>
      <p>So much of a plant in a day, raw and trimmed, in food and drink together. Limits on record hold as well.</p>
      {caps.length > 0 && (
        <ul className="book-list">
          {caps.map(({ taxon: name, perDay_g }) => {
            const record = findTaxon(catalogue, name)
            return (
              <li key={name}>
                <span>
                  <strong>{record === undefined ? name : commonName(record)}</strong>
                  <span>{perDay_g === 0 ? 'none of it' : `at most ${formatMass(perDay_g)} a day`}</span>
                </span>
                <Button size="large" onClick={() => onChange(others(name))}>
                  Take off
                </Button>
              </li>
            )
          })}
        </ul>
      )}
      <div className="form two">
        <PlantField label="Of which plant" value={taxon} onChange={setTaxon} error={error} />
        <NumberField label="At most in a day" unit="g" value={most} onChange={setMost} error={typed} />
      </div>
      <Button size="large" disabled={taxon === undefined || most.trim() === ''} onClick={set}>
        Set this limit
      </Button>
    </section>
  )
}
/** What an entry takes. */
const MOST_g = 5000

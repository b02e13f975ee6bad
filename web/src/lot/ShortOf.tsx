import {
  formatSpan,
  lotPlanInput,
  plansUnderShortage,
  plainWords,
  type JudgeContext,
  type LotState,
  type Means,
  type UnderShortage,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { formatMass, formatVolume, inUnits } from '../units/units'

const LITRE_mL = 1000
const FIELDS = [
  { name: 'water', label: 'Water there is', unit: 'L' },
  { name: 'fuel', label: 'Fuel there is', unit: 'kWh' },
  { name: 'time', label: 'Time there is', unit: 'min' },
] as const
type Typed = Readonly<Record<(typeof FIELDS)[number]['name'], string>>

/** Too little water, fuel or time: how much of the lot goes through by each accepted way, and what all of it would take. */
export function ShortOf({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const [typed, setTyped] = useState<Typed>({ water: '', fuel: '', time: '' })
  const [fault, setFault] = useState<string>()
  const [found, setFound] = useState<UnderShortage>()
  const find = () => {
    const read = FIELDS.map(({ name, label }) => ({
      name,
      label,
      value: typed[name].trim() === '' ? undefined : readField(typed[name]),
    }))
    const wrong = read.find(({ value }) => value !== undefined && ('error' in value || value.value < 0))
    if (wrong !== undefined) {
      const why = wrong.value !== undefined && 'error' in wrong.value ? wrong.value.error : 'nothing is less than none.'
      return setFault(`${wrong.label}: ${why}`)
    }
    const amount = (name: keyof Typed) => {
      const value = read.find((each) => each.name === name)?.value
      return value !== undefined && 'value' in value ? value.value : undefined
    }
    const [water, fuel, time] = [amount('water'), amount('fuel'), amount('time')]
    const input = lotPlanInput(lot, context)
    if (input === undefined) return setFault('There is nothing left of it to plan for.')
    if (water === undefined && fuel === undefined && time === undefined)
      return setFault('Say how much there is of one of them.')
    setFault(undefined)
    const means: Means = {
      ...(water === undefined ? {} : { water_mL: water * LITRE_mL }),
      ...(fuel === undefined ? {} : { fuel_kWh: fuel }),
      ...(time === undefined ? {} : { time_min: time }),
    }
    setFound(plansUnderShortage(input, means, context.catalogue))
  }
  return (
    <details className="set-aside short-of">
      <summary>Short of water, fuel or time?</summary>
      <div className="form three">
        {FIELDS.map(({ name, label, unit }) => (
          <NumberField
            key={name}
            label={label}
            unit={unit}
            value={typed[name]}
            onChange={(text) => setTyped({ ...typed, [name]: text })}
            hint={name === 'fuel' ? '230 g of gas are about 3 kWh.' : 'May stay empty.'}
          />
        ))}
        <Refusal sentence={fault} wide />
        <Button size="large" onClick={find}>
          Find what fits
        </Button>
      </div>
      {found !== undefined && <Found found={found} />}
    </details>
  )
}

function Found({ found: { fits, missing } }: { found: UnderShortage }) {
  return (
    <section aria-label="What fits">
      {fits.length === 0 && <p className="refusal">No accepted way fits, not even for a little of it.</p>}
      <ol className="ways-that-fit">
        {fits.map(({ way, standing, mass_g, whole, drawn: { water_mL, fuel_kWh, time_min } }) => (
          <li key={way}>
            <strong>{way}</strong> <span className="tag quiet">{plainWords(standing)}</span>{' '}
            {whole ? 'all of it' : `${formatMass(Math.floor(mass_g))} of it now`}: {formatVolume(water_mL)} of water,{' '}
            {fuel_kWh.toFixed(2)} kWh, {inUnits(formatSpan(Math.round(time_min)))}.
          </li>
        ))}
      </ol>
      {missing.map(({ way, says }) => (
        <p key={way} className="soft">
          {way}: {inUnits(says)}
        </p>
      ))}
      <p className="caution">
        A smaller batch before a thinner bath; no limit is bent. Short of water, the last rinse of one batch is the
        first wash of the next, and what nobody needs to drink is kept for the pot.
      </p>
    </section>
  )
}

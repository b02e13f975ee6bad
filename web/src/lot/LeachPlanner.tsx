import { formatSpan, kitchenAt, tanninChoice, type JudgeContext, type LeachChoice, type LeachPlan } from '@ellop/core'
import { Button, Spin } from 'antd'
import { lazy, useMemo, useState } from 'react'
import { useEngine } from '../workers/useEngine'
import { NumberField, readField } from '../controls/Field'
import { OnDemand } from '../controls/OnDemand'
import { formatVolume, inUnits } from '../units/units'

const FrontChart = lazy(() => import('./FrontChart'))

interface Limit {
  readonly least: number
  readonly minutes: number
  readonly tasteAtMost: number
  readonly atMost_C?: number
}

/** The same plan may be the best in more than one way. */
const AIMS = [
  { aim: 'time', says: 'Quickest' },
  { aim: 'water', says: 'Least water' },
  { aim: 'fuel', says: 'Least fuel' },
] as const

interface Asked {
  readonly mass_g: number
  readonly limit: Limit
  readonly step: Parameters<typeof tanninChoice>[2]
  readonly context: JudgeContext
  readonly onWater: (water_mL: number) => void
}

type Budget = NonNullable<LeachChoice['budget']>

const LITRE_mL = 1000
const HOUR_min = 60
const DAY_h = 24

/** Which baths serve best for the whole leach: the quickest, the least water, the least fuel, and what lies between them; within the water and the days there are. */
export default function LeachPlanner(asked: Asked) {
  const [water, setWater] = useState('')
  const [days, setDays] = useState('')
  const [budget, setBudget] = useState<Budget>({})
  const [faults, setFaults] = useState<{ readonly water?: string; readonly days?: string }>({})
  const within = () => {
    const read = { water: positive(water), days: positive(days) }
    const wrong = {
      ...('error' in read.water ? { water: read.water.error } : {}),
      ...('error' in read.days ? { days: read.days.error } : {}),
    }
    setFaults(wrong)
    if ('error' in read.water || 'error' in read.days) return
    setBudget({
      ...(read.water.value === undefined ? {} : { water_mL: read.water.value * LITRE_mL }),
      ...(read.days.value === undefined ? {} : { time_min: read.days.value * DAY_h * HOUR_min }),
    })
  }
  return (
    <section className="leach-planner" aria-label="Which baths serve best">
      <div className="plan-budget">
        <NumberField label="Water there is for it" unit="L" value={water} onChange={setWater} error={faults.water} />
        <NumberField label="Days there are" unit="days" value={days} onChange={setDays} error={faults.days} />
        <Button size="large" onClick={within}>
          Reckon within these
        </Button>
      </div>
      <p className="field-note">Both may stay empty: nothing is short then.</p>
      <Reckoned key={JSON.stringify(budget)} {...asked} budget={budget} />
    </section>
  )
}

/** A number above nothing; left empty it is not asked. */
function positive(text: string): { readonly value: number | undefined } | { readonly error: string } {
  if (text.trim() === '') return { value: undefined }
  const read = readField(text)
  return 'error' in read || read.value > 0 ? read : { error: 'Give a number above 0, or leave it empty.' }
}

function Reckoned({ mass_g, limit, step, context, onWater, budget }: Asked & { readonly budget: Budget }) {
  const kitchen = kitchenAt(context.book.house, context.now)
  const asked = useMemo(() => {
    const choice = kitchen === undefined ? undefined : tanninChoice(mass_g, limit, step, kitchen)
    return choice === undefined ? undefined : { ...choice, budget }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- limit and step are the record's and stay
  }, [mass_g, kitchen, budget])
  const told = useEngine('optimiseLeach', asked)
  const [chosen, setChosen] = useState<LeachPlan>()
  if (asked === undefined)
    return <p className="told">No pot here holds the meal and the least water that the record asks for.</p>
  if (told === undefined)
    return (
      <p className="told" aria-busy="true">
        <Spin size="small" /> Reckoning the baths …
      </p>
    )
  if (told === 'failed') return <p className="refusal">The baths could not be reckoned. Open this again.</p>
  if (told.best === undefined) return <p className="refusal">{inUnits(told.why)}</p>
  const { best, front } = told
  const cold = best.time.total.fuel_kJ === 0
  const shown = AIMS.filter(({ aim }) => aim !== 'fuel' || !cold)
  const plan = chosen ?? best.water
  return (
    <>
      <div className="plan-ways" role="group" aria-label="The best in one way each">
        {shown.map(({ aim, says }) => (
          <button
            key={aim}
            type="button"
            className={samePlan(best[aim], plan) ? 'plan-way chosen' : 'plan-way'}
            aria-pressed={samePlan(best[aim], plan)}
            onClick={() => setChosen(best[aim])}
          >
            <span>{inUnits(says)}</span>
            <strong>{costs(best[aim], cold)}</strong>
          </button>
        ))}
      </div>
      <OnDemand waiting={<Spin />}>
        <FrontChart front={front} chosen={plan} onChoose={setChosen} />
      </OnDemand>
      <p className="forecast-says">
        <strong>{plan.baths}</strong> baths of <strong>{formatVolume(plan.water_mL)}</strong>,{' '}
        {formatSpan(plan.minutes)} each, at {inUnits(`${Math.round(plan.temp_C)} °C`)}: {costs(plan, cold)}.
      </p>
      <Button size="large" onClick={() => onWater(Math.round(plan.water_mL / 50) * 50)}>
        Take this much water
      </Button>
      <p className="caution">
        For a lot as strong as the book’s middle one; yours may need more. No bath is shorter or warmer and none is left
        out against the limit. Only the crumb, spat out, ends the leach.
      </p>
    </>
  )
}

function samePlan(a: LeachPlan, b: LeachPlan): boolean {
  return a.baths === b.baths && a.water_mL === b.water_mL && a.minutes === b.minutes
}

function costs({ total }: LeachPlan, cold: boolean): string {
  const fuel = cold ? '' : ` · ${(total.fuel_kJ / 1000).toFixed(1)} MJ`
  return `${formatSpan(total.time_min)} · ${formatVolume(total.water_mL)}${fuel}`
}

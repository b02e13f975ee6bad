import {
  boilingPoint,
  efficiencyInWind,
  formatCount,
  GROUND_LIMITS,
  GROUND_SCHOOLS,
  KIT,
  KIT_WORDS,
  kitchenAt,
  numberText,
  readTyped,
  shownText,
  type GroundSchool,
  type Kit,
  type KitchenFact,
  type Wind,
} from '@ellop/core'
import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { Field, NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { formatTemp, inUnits, useUnits } from '../units/units'

const mL = 1000
const NUMBERS = ['elevation_m', 'power_W', 'efficiency', 'waterTemp_C', 'ice_g'] as const
const PERCENT = 100

/** Round figures for what a hand or a flag tells of the wind. */
const WINDS = {
  'breeze-screened': { speed_m_s: 3, screened: true },
  breeze: { speed_m_s: 3, screened: false },
  'wind-screened': { speed_m_s: 7, screened: true },
  wind: { speed_m_s: 7, screened: false },
} as const satisfies Readonly<Record<string, Wind>>
type WindChoice = 'still' | keyof typeof WINDS
const WIND_OPTIONS: readonly { readonly value: WindChoice; readonly label: string }[] = [
  { value: 'still', label: 'indoors, or in still air' },
  { value: 'breeze-screened', label: 'in a breeze, screened' },
  { value: 'breeze', label: 'in a breeze, open' },
  { value: 'wind-screened', label: 'in wind, screened' },
  { value: 'wind', label: 'in wind, open' },
]

function windOf(wind: Wind | undefined): WindChoice {
  if (wind === undefined || wind.speed_m_s === 0) return 'still'
  const strength = wind.speed_m_s < 5 ? 'breeze' : 'wind'
  return wind.screened ? `${strength}-screened` : strength
}

/** The kitchen: where it lies and what it has. Every limit and every plan is computed from it. */
export function KitchenCard() {
  const context = useJudgeContext()
  const kitchen = kitchenAt(context.book.house, context.now)
  return (
    <section className="card">
      <h2>The kitchen</h2>
      {kitchen === undefined ? (
        <p>No kitchen is noted in this book.</p>
      ) : (
        <KitchenForm key={kitchen.at} kitchen={kitchen} />
      )}
    </section>
  )
}

function KitchenForm({ kitchen }: { kitchen: KitchenFact }) {
  const { write, errorOf, otherError } = useNote()
  const [name, setName] = useState(kitchen.name)
  const [timeZone, setTimeZone] = useState(kitchen.timeZone)
  const [numbers, setNumbers] = useState({
    elevation_m: String(kitchen.elevation_m),
    power_W: String(kitchen.burner.power_W),
    efficiency: String(Math.round(kitchen.burner.efficiency * PERCENT)),
    waterTemp_C: String(kitchen.waterTemp_C),
    ice_g: String(kitchen.ice_g),
  })
  const [latitude, setLatitude] = useState(kitchen.latitude_deg === undefined ? '' : String(kitchen.latitude_deg))
  const [wind, setWind] = useState<WindChoice>(windOf(kitchen.burner.wind))
  const [school, setSchool] = useState<GroundSchool>(kitchen.groundSchool ?? 'cautious')
  const [kit, setKit] = useState<readonly Kit[]>(kitchen.kit ?? KIT)
  const units = useUnits((shown) => shown.units)
  const shownPot = (pot_mL: number) => shownText(numberText(pot_mL / mL), 'L', units)
  // A pot that was not typed anew stays what it was: shown in quarts it is rounded.
  const known = new Map(kitchen.pots_mL.map((pot) => [shownPot(pot), pot / mL]))
  const [pots, setPots] = useState(kitchen.pots_mL.map(shownPot).join(' · '))
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({})
  const potUnit = units === 'kitchen' ? 'quarts' : 'litres'
  const errorFor = (field: string) => wrong[field] ?? errorOf(field)
  const note = async () => {
    const read = NUMBERS.map((field) => [field, readField(numbers[field])] as const)
    const lies = readField(latitude)
    const sizes = pots
      .split(/[·;\s]+/)
      .filter(Boolean)
      .map((pot) => {
        const stays = known.get(pot)
        return stays === undefined ? readField(readTyped(pot, 'L', units).stored) : { value: stays }
      })
    const faults = {
      ...Object.fromEntries(read.flatMap(([field, each]) => ('error' in each ? [[field, each.error]] : []))),
      ...(latitude.trim() !== '' && 'error' in lies ? { latitude_deg: lies.error } : {}),
      ...(name.trim() === '' ? { name: 'Give the kitchen a name.' } : {}),
      ...(sizes.length === 0 || sizes.some((size) => 'error' in size)
        ? { pots_mL: `Give ${potUnit} with spaces between them, like 3 5 8.` }
        : {}),
    }
    setWrong(faults)
    if (Object.keys(faults).length > 0) return
    const value = Object.fromEntries(read.map(([field, each]) => [field, 'value' in each ? each.value : 0])) as Record<
      (typeof NUMBERS)[number],
      number
    >
    await write(
      {
        type: 'kitchen-set',
        kitchen: {
          name: name.trim(),
          timeZone,
          elevation_m: value.elevation_m,
          ...(latitude.trim() !== '' && 'value' in lies ? { latitude_deg: lies.value } : {}),
          burner: {
            power_W: value.power_W,
            efficiency: value.efficiency / PERCENT,
            ...(wind === 'still' ? {} : { wind: WINDS[wind] }),
          },
          pots_mL: sizes.flatMap((size) => ('value' in size ? [size.value * mL] : [])),
          waterTemp_C: value.waterTemp_C,
          ice_g: value.ice_g,
          ...(kit.length === KIT.length ? {} : { kit: KIT.filter((each) => kit.includes(each)) }),
          groundSchool: school,
        },
      },
      'The kitchen is noted: every limit is computed again',
    )
  }
  const numberField = (field: (typeof NUMBERS)[number], label: string, unit: string, hint?: string) => (
    <NumberField
      label={label}
      unit={unit}
      value={numbers[field]}
      onChange={(text) => {
        setNumbers({ ...numbers, [field]: text })
        setWrong({})
      }}
      hint={hint}
      error={errorFor(field)}
    />
  )
  return (
    <form
      className="form kitchen-form"
      onSubmit={(event) => {
        event.preventDefault()
        void note()
      }}
    >
      <Field label="Name" error={errorFor('name') ?? otherError([...NUMBERS, 'latitude_deg', 'name', 'pots_mL'])}>
        {(id) => (
          <Input id={id} size="large" maxLength={80} value={name} onChange={(event) => setName(event.target.value)} />
        )}
      </Field>
      {numberField('elevation_m', 'Height', 'm above the sea', boilsAt(numbers.elevation_m))}
      <NumberField
        label="Latitude"
        unit="° (south: minus)"
        value={latitude}
        onChange={(text) => {
          setLatitude(text)
          setWrong({})
        }}
        hint="For the season; south with a minus. Whole degrees will do."
        error={errorFor('latitude_deg')}
      />
      <Field label="Pots" hint={`In ${potUnit}, with spaces between them`} error={errorFor('pots_mL')}>
        {(id) => <Input id={id} size="large" value={pots} onChange={(event) => setPots(event.target.value)} />}
      </Field>
      {numberField('power_W', 'Strongest burner', 'W')}
      {numberField(
        'efficiency',
        'Of its heat the pot gets',
        '%',
        'Gas 35 to 50, electric plate 60 to 75, induction 75 to 90, wood stove 10 to 25.',
      )}
      <div className="wide">
        <Choice label="It is cooked" value={wind} onChange={setWind} options={WIND_OPTIONS} />
        {wind !== 'still' && (
          <p className="field-note">
            Only about {Math.round(PERCENT * efficiencyInWind(1, WINDS[wind]))} % of what the pot gets in still air
            reaches it: the plans reckon with more time and fuel. A screen never closes in a gas bottle, and no flame
            burns in a tent or a closed room.
          </p>
        )}
      </div>
      <fieldset className="choice several wide">
        <legend>To cook with there is</legend>
        <Checkbox.Group
          value={[...kit]}
          onChange={setKit}
          options={KIT.map((each) => ({ value: each, label: KIT_WORDS[each] }))}
        />
        <p className="field-note">
          Only ways that can be done with it are planned. Dry heat washes nothing out: what must go out with water waits
          for a pot.
        </p>
      </fieldset>
      {numberField('waterTemp_C', 'Cold tap water', '°C')}
      {numberField('ice_g', 'Ice in the house', 'g')}
      <Field label="Time zone">
        {(id) => (
          <Select
            id={id}
            size="large"
            showSearch
            value={timeZone}
            onChange={setTimeZone}
            options={Intl.supportedValuesOf('timeZone').map((zone) => ({
              value: zone,
              label: zone.replaceAll('_', ' '),
            }))}
          />
        )}
      </Field>
      <div className="wide">
        <Choice
          label="About the ground you keep to"
          value={school}
          onChange={setSchool}
          options={[
            { value: 'cautious', label: 'the careful school' },
            { value: 'usual', label: 'the usual school' },
          ]}
        />
        <p className="field-note">
          {inUnits(GROUND_SAYS[school])} Planning values both: a label, a soil test and local law outrank them.
        </p>
      </div>
      <Button size="large" htmlType="submit">
        Note the kitchen
      </Button>
    </form>
  )
}

const GROUND_SAYS = Object.fromEntries(
  GROUND_SCHOOLS.map((each) => {
    const { road_m, sprayWait_years, floodWait_days, field_m } = GROUND_LIMITS[each]
    return [
      each,
      `${road_m.takers} m from a busy road (${road_m.others} m for plants that take up no metal on record), ${field_m} m from a sprayed field, ${formatCount(sprayWait_years, 'year')} after weedkiller, ${floodWait_days} days after a flood.`,
    ]
  }),
) as Readonly<Record<GroundSchool, string>>

function boilsAt(height: string): string {
  const read = readField(height)
  if ('error' in read || read.value < -430 || read.value > 6000) return 'From −430 to 6000 m.'
  return `Water boils at ${formatTemp(boilingPoint({ elevation_m: read.value }).temp_C)} there.`
}

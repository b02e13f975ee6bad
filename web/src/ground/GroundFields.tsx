import {
  ACCESS,
  type GroundNote,
  HABITAT_STATES,
  type PastUse,
  plainWords,
  SOIL_METALS,
  UPSTREAM,
  withCapital,
} from '@ellop/core'
import { Checkbox, Select } from 'antd'
import type { ReactNode } from 'react'
import { Choice } from '../controls/Choice'
import { useJudgeContext } from '../book/bookStore'
import { Field, NumberField, TextField } from '../controls/Field'
import { PlantSelect } from '../controls/PlantSelect'
import type { GroundDraft, Neighbour } from './draft'
import { MONTHS } from './words'

interface FieldsProps {
  readonly draft: GroundDraft
  readonly onChange: (draft: GroundDraft) => void
}

/** The fields of one fact of the ground. */
export function GroundField({ fact, ...rest }: FieldsProps & { fact: keyof GroundNote }): ReactNode {
  return FIELDS[fact]?.(rest)
}

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const
const MAY = [
  { value: 'allowed', label: 'allowed' },
  { value: 'forbidden', label: 'forbidden' },
] as const

const FIELDS: { readonly [Fact in keyof GroundNote]?: (props: FieldsProps) => ReactNode } = {
  permission: ({ draft, onChange }) => (
    <>
      <TextField
        label="Leave to pick here, from"
        hint="The owner, the parish, yourself. No objection is not permission."
        value={draft.from}
        onChange={(from) => onChange({ ...draft, from })}
      />
      <DayLine
        label="It ends on"
        hint="Empty where it has no end."
        value={draft.until}
        onChange={(until) => onChange({ ...draft, until })}
      />
    </>
  ),
  law: ({ draft, onChange }) => (
    <>
      <Choice
        label="The law there: picking"
        value={draft.picking}
        onChange={(picking) => onChange({ ...draft, picking })}
        options={MAY}
      />
      <Choice
        label="The law there: digging"
        value={draft.digging}
        onChange={(digging) => onChange({ ...draft, digging })}
        options={MAY}
      />
    </>
  ),
  sprayed: ({ draft, onChange }) => (
    <>
      <Choice
        label="Weedkiller"
        value={draft.sprayed}
        onChange={(sprayed) => onChange({ ...draft, sprayed })}
        options={[
          { value: 'never', label: 'never, as I know' },
          { value: 'on', label: 'yes, on …' },
        ]}
      />
      {draft.sprayed === 'on' && (
        <>
          <DayLine
            label="Last sprayed on"
            value={draft.sprayedOn}
            onChange={(sprayedOn) => onChange({ ...draft, sprayedOn })}
          />
          <NumberField
            label="Wait on its label"
            unit="days"
            value={draft.waitDays}
            onChange={(waitDays) => onChange({ ...draft, waitDays })}
            hint="May stay empty; the longer wait counts, the label’s or your school’s."
          />
        </>
      )}
    </>
  ),
  busyRoad: (props) => <Near {...props} which="busyRoad" label="Busy road" of="the road" />,
  railway: (props) => <Near {...props} which="railway" label="Railway" of="the railway" />,
  works: (props) => <Near {...props} which="works" label="Works, mine or tip" of="it" />,
  field: ({ draft, onChange }) => (
    <>
      <Near draft={draft} onChange={onChange} which="field" label="Farmed land" of="the field" />
      {draft.near.field === 'at' && (
        <Choice
          label="The field was sprayed"
          value={draft.fieldSprayed}
          onChange={(fieldSprayed) => onChange({ ...draft, fieldSprayed })}
          options={[
            { value: 'never', label: 'never, as told' },
            { value: 'on', label: 'yes, on …' },
          ]}
        />
      )}
      {draft.near.field === 'at' && draft.fieldSprayed === 'on' && (
        <DayLine
          label="The field was last sprayed on"
          value={draft.fieldSprayedOn}
          onChange={(fieldSprayedOn) => onChange({ ...draft, fieldSprayedOn })}
        />
      )}
    </>
  ),
  pastUse: ({ draft, onChange }) => (
    <Choice
      label="Before it was"
      value={draft.pastUse}
      onChange={(pastUse) => onChange({ ...draft, pastUse })}
      options={PASTS}
    />
  ),
  manured: ({ draft, onChange }) => (
    <Choice
      label="Dung or fertiliser"
      value={draft.manured}
      onChange={(manured) => onChange({ ...draft, manured })}
      options={[
        { value: 'no', label: 'no' },
        { value: 'yes', label: 'yes' },
        { value: 'unknown', label: 'not known' },
      ]}
    />
  ),
  dogs: ({ draft, onChange }) => (
    <Choice
      label="Dogs"
      value={draft.dogs}
      onChange={(dogs) => onChange({ ...draft, dogs })}
      options={[
        { value: 'none', label: 'none' },
        { value: 'some', label: 'some' },
        { value: 'many', label: 'many' },
      ]}
    />
  ),
  grazed: ({ draft, onChange }) => (
    <Choice
      label="Beasts graze there"
      value={draft.grazed}
      onChange={(grazed) => onChange({ ...draft, grazed })}
      options={YES_NO}
    />
  ),
  looksHealthy: ({ draft, onChange }) => (
    <Choice
      label="The stand looks healthy"
      value={draft.healthy}
      onChange={(healthy) => onChange({ ...draft, healthy })}
      options={YES_NO}
    />
  ),
  vigour: ({ draft, onChange }) => (
    <Choice
      label="It grows"
      value={draft.vigour}
      onChange={(vigour) => onChange({ ...draft, vigour })}
      options={[
        { value: 'poor', label: 'poorly' },
        { value: 'usual', label: 'as usual' },
        { value: 'lush', label: 'very lush' },
      ]}
    />
  ),
  water: ({ draft, onChange }) => (
    <Choice
      label="It stands in"
      value={draft.water}
      onChange={(water) => onChange({ ...draft, water })}
      options={[
        { value: 'none', label: 'no water' },
        { value: 'flowing', label: 'running water' },
        { value: 'still', label: 'still water' },
        { value: 'foul', label: 'foul water' },
      ]}
    />
  ),
  upstream: ({ draft, onChange }) => (
    <Several
      label="Up the water, or up the slope"
      none="nothing, I looked"
      all={UPSTREAM}
      value={draft.upstream === 'unknown' ? undefined : draft.upstream}
      onChange={(upstream) => onChange({ ...draft, upstream })}
      unknown={{
        label: 'not known',
        is: draft.upstream === 'unknown',
        choose: () => onChange({ ...draft, upstream: 'unknown' }),
      }}
    />
  ),
  flood: ({ draft, onChange }) => (
    <>
      <Choice
        label="Flooded"
        value={draft.flooded}
        onChange={(flooded) => onChange({ ...draft, flooded })}
        options={[
          { value: 'never', label: 'not in memory' },
          { value: 'on', label: 'yes, on …' },
        ]}
      />
      {draft.flooded === 'on' && (
        <DayLine
          label="Last flooded on"
          value={draft.floodedOn}
          onChange={(floodedOn) => onChange({ ...draft, floodedOn })}
        />
      )}
    </>
  ),
  soil: ({ draft, onChange }) => (
    <fieldset className="choice">
      <legend>Soil test</legend>
      <div className="soil-test">
        {SOIL_METALS.map((what) => (
          <NumberField
            key={what}
            label={withCapital(what)}
            unit="mg/kg"
            value={draft.soil[what]}
            onChange={(typed) => onChange({ ...draft, soil: { ...draft.soil, [what]: typed } })}
          />
        ))}
        <DayLine label="Tested on" value={draft.soilOn} onChange={(soilOn) => onChange({ ...draft, soilOn })} />
      </div>
    </fieldset>
  ),
  access: ({ draft, onChange }) => (
    <Several
      label="Getting there"
      none="easy"
      all={ACCESS}
      value={draft.access}
      onChange={(access) => onChange({ ...draft, access })}
    />
  ),
  leftAlone: ({ draft, onChange }) => (
    <>
      <Field label="Left alone in" hint="Nothing is taken there then: it nests, spawns or feeds the first bees.">
        {(id) => (
          <Select
            id={id}
            size="large"
            mode="multiple"
            value={[...(draft.leftAlone ?? [])]}
            onChange={(leftAlone: number[]) => onChange({ ...draft, leftAlone })}
            options={MONTHS.map((label, index) => ({ value: index + 1, label }))}
          />
        )}
      </Field>
      {draft.leftAlone !== undefined && draft.leftAlone.length > 0 && (
        <TextField
          label="For whom or what"
          hint="Such as nests, spawning fish, early bloom."
          value={draft.leftAloneFor}
          onChange={(leftAloneFor) => onChange({ ...draft, leftAloneFor })}
        />
      )}
    </>
  ),
  habitat: ({ draft, onChange }) => (
    <Several
      label="What kind of ground"
      all={HABITAT_STATES}
      value={draft.habitat}
      onChange={(habitat) => onChange({ ...draft, habitat })}
    />
  ),
  companions: (props) => <Companions {...props} />,
}

function Companions({ draft, onChange }: FieldsProps) {
  const { catalogue } = useJudgeContext()
  return (
    <Field label="Seen beside it" hint="Plants that tell about the ground; a hint, and no tell of what you pick.">
      {(id) => (
        <PlantSelect
          id={id}
          taxa={catalogue.taxa}
          value={draft.companions ?? []}
          onChange={(companions) => onChange({ ...draft, companions })}
        />
      )}
    </Field>
  )
}

const PAST_WORDS: Readonly<Record<PastUse, string>> = {
  clean: 'nothing of harm',
  industry: 'works',
  mine: 'mine',
  tip: 'tip',
  railway: 'railway',
  'old-orchard': 'old orchard',
  rubble: 'building or rubble',
  unknown: 'not known',
}
const PASTS = Object.entries(PAST_WORDS).map(([value, label]) => ({ value: value as PastUse, label }))

function Near({ draft, onChange, which, label, of }: FieldsProps & { which: Neighbour; label: string; of: string }) {
  return (
    <>
      <Choice
        label={label}
        value={draft.near[which]}
        onChange={(near) => onChange({ ...draft, near: { ...draft.near, [which]: near } })}
        options={[
          { value: 'none', label: 'none near' },
          { value: 'at', label: 'at …' },
        ]}
      />
      {draft.near[which] === 'at' && (
        <NumberField
          label={`Distance to ${of}`}
          unit="m"
          value={draft.metres[which]}
          onChange={(metres) => onChange({ ...draft, metres: { ...draft.metres, [which]: metres } })}
        />
      )}
    </>
  )
}

function Several<T extends string>({
  label,
  all,
  value,
  onChange,
  none,
  unknown,
}: {
  label: string
  all: readonly T[]
  value: readonly T[] | undefined
  onChange: (value: readonly T[]) => void
  none?: string
  unknown?: { readonly label: string; readonly is: boolean; readonly choose: () => void }
}) {
  return (
    <fieldset className="choice several">
      <legend>{label}</legend>
      {none !== undefined && (
        <Checkbox checked={value?.length === 0} onChange={() => onChange([])}>
          {none}
        </Checkbox>
      )}
      {all.map((each) => (
        <Checkbox
          key={each}
          checked={value?.includes(each) === true}
          onChange={({ target }) =>
            onChange(target.checked ? [...(value ?? []), each] : (value ?? []).filter((other) => other !== each))
          }
        >
          {plainWords(each)}
        </Checkbox>
      ))}
      {unknown !== undefined && (
        <Checkbox checked={unknown.is} onChange={unknown.choose}>
          {unknown.label}
        </Checkbox>
      )}
    </fieldset>
  )
}

function DayLine(props: { label: string; hint?: string; value: string; onChange: (text: string) => void }) {
  return <TextField hint="Year-month-day" placeholder="2024-06-14" {...props} />
}

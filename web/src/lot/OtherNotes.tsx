import {
  ALLERGENS,
  allergensOf,
  formatList,
  plainWords,
  INGREDIENTS,
  INSTRUMENTS,
  isAsPicked,
  isBegun,
  isStopped,
  lotName,
  newLotId,
  nextLotCode,
  freshnessOf,
  removalOf,
  toMs,
  type Allergen,
  type Ingredient,
  type LotState,
  type ReadingKind,
} from '@ellop/core'
import { Button, Checkbox, Select } from 'antd'
import { memo, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { useBook, useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { Field, NumberField, TextField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { ReadOff } from '../instruments/ReadOff'
import { ScoreForm } from '../take/AlongStand'
import { SnapForm } from '../take/SnapForm'
import { CutUpForm, SampleForm, StandsForm } from './StandsForm'
import { NibbleForm } from './NibbleForm'
import { PackForm } from './PackForm'
import { Refusal } from '../controls/Refusal'
import { MeetForm } from './MeetForm'
import { formatMass } from '../units/units'

/**
 * What may have to be noted at any time: a stray, something thrown away, a pack of what is not yet food, a meeting. Each form is drawn
 * again only when its lot is another: a note renews the book, and these are many fields.
 */
export function OtherNotes({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  // What is stopped is thrown away: nothing more is measured, kept or added.
  if (isStopped(lot, context))
    return (
      <div className="other-notes">
        <ThrowAway lot={lot} />
        <Stray lot={lot} />
        <TurnedBad />
      </div>
    )
  const life = freshnessOf(lot, context).life
  return (
    <div className="other-notes">
      {lot.mass_g > 0 && <StandsForm lot={lot} />}
      {lot.mass_g > 0 && life.kind === 'raw' && <CutUpForm lot={lot} />}
      <Stray lot={lot} />
      <ThrowAway lot={lot} />
      {lot.sorted !== null && lot.mass_g > 0 && lot.runs.length === 0 && (
        <section className="card">
          <h3>Put some aside raw</h3>
          <PackForm lot={lot} context={context} />
        </section>
      )}
      {lot.mass_g > 0 && <SplitOff lot={lot} />}
      {lot.mass_g > 0 && <JoinWith lot={lot} />}
      {lot.mass_g > 0 && <TakeReading lot={lot} />}
      {lot.mass_g > 0 && <AddIngredient lot={lot} />}
      {life.kind === 'raw' && <Revive lot={lot} />}
      {lot.mass_g > 0 && life.kind !== 'dry' && <SampleForm lot={lot} />}
      {isSnapped(lot) && <SnapForm lot={lot} />}
      {isAsPicked(lot, context.now) && lot.mass_g > 0 && <NibbleForm lot={lot} />}
      {isAsPicked(lot, context.now) && lot.mass_g > 0 && <ScoreForm lot={lot} />}
      <Meeting lot={lot} />
      <TurnedBad />
    </div>
  )
}

function TurnedBad() {
  return (
    <section className="card">
      <h3>The food is not safe</h3>
      <p>Everything that came of it is found, and marked DO NOT EAT.</p>
      <Link className="big-link" to="/recall">
        To the recall
      </Link>
    </section>
  )
}

/** Tips that are bent until they break: of a picking as it was brought in. */
function isSnapped({ weighedIn, from, mass_g }: LotState): boolean {
  return weighedIn !== null && from.length === 0 && mass_g > 0 && ['top', 'flower'].includes(removalOf(weighedIn.part))
}

const Stray = memo(function Stray({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [what, setWhat] = useState('')
  const [broken, setBroken] = useState(false)
  return (
    <section className="card">
      <h3>A stray: something else is in it</h3>
      <div className="form">
        <TextField label="What it looks like" maxLength={200} value={what} onChange={setWhat} error={otherError([])} />
        <Checkbox checked={broken} onChange={(event) => setBroken(event.target.checked)}>
          Already chopped or cooked with the rest
        </Checkbox>
        <Button
          size="large"
          disabled={what.trim() === ''}
          onClick={() =>
            void write({ type: 'stray-reported', lot: lot.id, what, brokenUp: broken }, 'Reported: the lot is held')
          }
        >
          Report the stray
        </Button>
      </div>
    </section>
  )
})

const LOOKS_AFTER = [
  { value: 'crisp', label: 'crisp' },
  { value: 'better', label: 'better' },
  { value: 'same', label: 'as before' },
  { value: 'worse', label: 'worse' },
] as const

/** Crisping of cut greens: what is done, for how long, and whether it helped. */
const Revive = memo(function Revive({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [minutes, setMinutes] = useState('25')
  const [looks, setLooks] = useState<(typeof LOOKS_AFTER)[number]['value']>()
  const [chilled, setChilled] = useState(false)
  const [fault, setFault] = useState<string>()
  const note = () => {
    const read = readField(minutes)
    if ('error' in read) return setFault(`Minutes in the water: ${read.error}`)
    if (looks === undefined) return setFault('Say what they look like after.')
    setFault(undefined)
    void write({ type: 'revived', lot: lot.id, minutes: read.value, chilled, looks }, 'Noted')
  }
  const sentence = fault ?? otherError(['minutes'])
  return (
    <section className="card">
      <h3>Limp: bring them back</h3>
      <p>
        Stand or lay them in cold drinking water for 20 to 30 minutes, drain or spin them, roll them in a cloth, close
        them in what holds moisture, and into the cold. Not longer: swimming greens drown.
      </p>
      <div className="form">
        <NumberField
          label="Minutes in the water"
          unit="min"
          value={minutes}
          onChange={setMinutes}
          error={errorOf('minutes')}
        />
        <Choice label="After it they look" value={looks} onChange={setLooks} options={LOOKS_AFTER} />
        <Checkbox checked={chilled} onChange={(event) => setChilled(event.target.checked)}>
          Wrapped, and into the cold
        </Checkbox>
        <Refusal sentence={sentence} />
        <Button size="large" onClick={note}>
          Note it
        </Button>
      </div>
    </section>
  )
})

const ThrowAway = memo(function ThrowAway({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [mass, setMass] = useState('')
  const [why, setWhy] = useState('')
  const [typed, setTyped] = useState<string>()
  const submit = () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write({ type: 'thrown-away', lot: lot.id, pack: null, mass_g: read.value, why }, 'Thrown away')
  }
  return (
    <section className="card">
      <h3>Throw some away</h3>
      <div className="form">
        <NumberField
          label="Thrown away"
          unit="g"
          value={mass}
          onChange={setMass}
          hint={`${formatMass(lot.mass_g)} in hand`}
          error={typed ?? errorOf('mass_g')}
        />
        <TextField
          label="Why"
          maxLength={200}
          value={why}
          onChange={setWhy}
          error={errorOf('why') ?? otherError(['mass_g', 'why'])}
        />
        <HoldButton tone="stop" disabled={why.trim() === '' || lot.mass_g <= 0} onHold={submit}>
          Press and hold to throw it away
        </HoldButton>
      </div>
    </section>
  )
})

/** Part of it goes its own way; it inherits all that is known of the whole. */
const SplitOff = memo(function SplitOff({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const navigate = useNavigate()
  const [mass, setMass] = useState('')
  const [why, setWhy] = useState('')
  const [typed, setTyped] = useState<string>()
  const submit = async () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if (!('value' in read)) return
    const { log, minute } = useBook.getState()
    const code = nextLotCode(log.state, toMs(minute))
    const into = newLotId(code, v7())
    const noted = await write(
      { type: 'split', lot: lot.id, into, code, mass_g: read.value, why: why.trim() || 'split off' },
      `Split off as ${code}`,
    )
    if (noted.ok) void navigate(`/lot/${into}`)
  }
  return (
    <section className="card">
      <h3>Split some off</h3>
      <div className="form">
        <NumberField
          label="Split off"
          unit="g"
          value={mass}
          onChange={setMass}
          hint={`${formatMass(lot.mass_g)} in hand`}
          error={typed ?? errorOf('mass_g') ?? otherError(['mass_g'])}
        />
        <TextField label="What for" maxLength={200} value={why} onChange={setWhy} />
        <Button size="large" onClick={() => void submit()}>
          Split it off
        </Button>
      </div>
    </section>
  )
})

/** All of this lot and all of another go into one batch: the worst state of each gate, all hazards, the strictest treatment. */
function JoinWith({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  const { write, otherError } = useNote()
  const navigate = useNavigate()
  const [other, setOther] = useState<string>()
  const { lots } = context.book
  const others = useMemo(
    () =>
      [...lots.values()]
        .filter((each) => each.id !== lot.id && each.mass_g >= 1 && isBegun(each))
        .map((each) => ({
          value: each.id,
          label: `${each.code} · ${lotName(each, context).title}, ${formatMass(each.mass_g)}`,
        })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what lots are called hangs on nothing else that changes
    [lots, lot.id],
  )
  const submit = async () => {
    const partner = context.book.lots.get(other ?? '')
    if (partner === undefined) return
    const { log, minute } = useBook.getState()
    const code = nextLotCode(log.state, toMs(minute))
    const batch = newLotId(code, v7())
    const noted = await write(
      {
        type: 'joined',
        lot: batch,
        code,
        parts: [lot, partner].map(({ id, mass_g }) => ({ lot: id, mass_g })),
      },
      `Joined as ${code}`,
    )
    if (noted.ok) void navigate(`/lot/${batch}`)
  }
  return (
    <section className="card">
      <h3>Join it with another lot</h3>
      <p>
        The batch has the worst state of each gate, all hazards, and the strictest treatment. It cannot be taken apart.
      </p>
      <div className="form">
        <Field label="Join with" error={otherError([])}>
          {(id) => <Select id={id} size="large" value={other ?? null} onChange={setOther} options={others} />}
        </Field>
        <HoldButton disabled={other === undefined} onHold={() => void submit()}>
          Press and hold to join them
        </HoldButton>
      </div>
    </section>
  )
}

const READING_KINDS: readonly { value: ReadingKind; label: string; unit: string }[] = [
  { value: 'ph', label: 'pH', unit: 'pH' },
  { value: 'brix', label: 'sugar', unit: 'Brix' },
  { value: 'salinity', label: 'salt', unit: '%' },
  { value: 'temp_C', label: 'warmth', unit: '°C' },
  { value: 'mass_g', label: 'weight', unit: 'g' },
]

/** Something measured by hand, with the instrument. */
function TakeReading({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  const { write, otherError } = useNote()
  const [what, setWhat] = useState<ReadingKind>('ph')
  const [value, setValue] = useState('')
  const [instrument, setInstrument] = useState('')
  const [typed, setTyped] = useState<string>()
  const submit = () => {
    const read = readField(value)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write(
        { type: 'reading-taken', lot: lot.id, what, value: read.value, instrument: instrument.trim() || 'by hand' },
        'Reading noted',
      )
  }
  return (
    <section className="card">
      <h3>Measure it</h3>
      <div className="form">
        <Choice label="Measured" value={what} onChange={setWhat} options={READING_KINDS} />
        <NumberField
          label="It reads"
          unit={READING_KINDS.find((each) => each.value === what)?.unit ?? ''}
          value={value}
          onChange={setValue}
          error={typed ?? otherError([])}
        />
        <ReadOff
          key={what}
          id={INSTRUMENTS.find((each) => each.what === what)?.id ?? 'scale'}
          lot={lot}
          context={context}
          onTake={setValue}
        />
        <TextField label="With which instrument" maxLength={200} value={instrument} onChange={setInstrument} />
        <Button size="large" onClick={submit}>
          Note the reading
        </Button>
      </div>
    </section>
  )
}

const INGREDIENT_CHOICES: readonly { value: Ingredient; label: string }[] = INGREDIENTS.map((value) => ({
  value,
  label: value,
}))

/** Salt, sugar, vinegar, oil, water or something else is put to it. */
const AddIngredient = memo(function AddIngredient({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [what, setWhat] = useState<Ingredient>('salt')
  const [name, setName] = useState('')
  const [mass, setMass] = useState('')
  const [typed, setTyped] = useState<string>()
  const [said, setSaid] = useState<readonly Allergen[]>([])
  const [none, setNone] = useState(false)
  const called = name.trim() || what
  const known = allergensOf(called)
  // What the list does not know is asked for, an oil or a vinegar too; what it knows is told.
  const asked = called !== 'other' && known === undefined
  const submit = () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write(
        {
          type: 'ingredient-added',
          lot: lot.id,
          what,
          name: called,
          mass_g: read.value,
          ...(asked && (none || said.length > 0) ? { allergens: [...said] } : {}),
        },
        'Added',
      )
  }
  return (
    <section className="card">
      <h3>Put something to it</h3>
      <div className="form">
        <Choice label="Add" value={what} onChange={setWhat} options={INGREDIENT_CHOICES} />
        <NumberField
          label="How much"
          unit="g"
          value={mass}
          onChange={setMass}
          error={typed ?? errorOf('mass_g') ?? otherError(['mass_g', 'name'])}
        />
        <TextField label="What exactly" maxLength={200} value={name} onChange={setName} error={errorOf('name')} />
        {known !== undefined && known.length > 0 && (
          <p className="told">It holds {formatList(known.map(plainWords))}: told to everybody who must not have it.</p>
        )}
        {asked && (
          <fieldset className="allergens">
            <legend>What does {called} hold? Read the packet.</legend>
            <Checkbox.Group
              value={[...said]}
              onChange={(values) => {
                setSaid(values as Allergen[])
                setNone(false)
              }}
              options={ALLERGENS.map((each) => ({ value: each, label: each.replaceAll('-', ' ') }))}
            />
            <Checkbox
              checked={none}
              onChange={(event) => {
                setNone(event.target.checked)
                setSaid([])
              }}
            >
              none of these
            </Checkbox>
          </fieldset>
        )}
        <Button size="large" onClick={submit}>
          Add it
        </Button>
      </div>
    </section>
  )
})

function Meeting({ lot }: { lot: LotState }) {
  return (
    <section className="card">
      <h3>You met this plant today</h3>
      <p>Days on which you met it and were sure count towards eating it. A drill or a picture does not.</p>
      <MeetForm lot={lot} />
    </section>
  )
}

import {
  severityWord,
  alsoAte,
  formatDay,
  formatList,
  illnessReport,
  kitchenAt,
  timeOf,
  type EatenLine,
  type EatenPlant,
  type Illness,
} from '@ellop/core'
import { Button, Input } from 'antd'
import { useMemo, useState } from 'react'
import { useBook, useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { EaterField } from '../controls/EaterField'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import '../freshness/freshness.css'
import { CallNow } from './CallNow'
import { formatMass, formatVolume } from '../units/units'

const SPANS = [
  { value: '72', label: 'last 72 hours' },
  { value: '720', label: 'last 30 days' },
] as const

/**
 * If somebody is ill: whom to call, what was eaten, when and by whom, and what it could have been mistaken for. It comes with
 * the first of the program, so that it is there when a later part does not come.
 */
export function IllPlace() {
  const context = useJudgeContext()
  const log = useBook((book) => book.log)
  const [hours, setHours] = useState<string>('72')
  const report = useMemo(() => illnessReport(log, context.catalogue, context.now, Number(hours)), [log, context, hours])
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  return (
    <div className="ill">
      <CallNow numbers={context.book.house.numbers} />
      <div className="ill-acts">
        <Choice label="What was eaten in the" value={hours} onChange={setHours} options={SPANS} />
        <Button size="large" onClick={() => window.print()}>
          Print this page
        </Button>
      </div>
      {report.eaten.length === 0 && report.opened.length === 0 ? (
        <p className="empty">No meal saved in this time. Ask everyone what they ate and write it down.</p>
      ) : (
        <table className="eaten">
          <caption>Eaten and tasted, latest first; struck entries too</caption>
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Who</th>
              <th scope="col">What</th>
              <th scope="col">Could be mistaken for</th>
            </tr>
          </thead>
          <tbody>
            {report.eaten.map((line, index) => (
              <EatenRow key={index} line={line} timeZone={timeZone} />
            ))}
            {report.opened.map(({ at, pack, plants }) => (
              <tr key={`${pack}${at}`}>
                <td>
                  {formatDay(at, timeZone)} {timeOf(at, timeZone)}
                </td>
                <th scope="row">Not noted: ask who ate from pack {pack}, opened then</th>
                <td>
                  <Plants plants={plants} />
                </td>
                <td>
                  <Doubles plants={plants} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="ill-forms">
        <WhoFeelsWhat />
        <Numbers />
      </div>
    </div>
  )
}

function EatenRow({ line, timeZone }: { line: EatenLine; timeZone: string }) {
  const { amount } = line
  return (
    <tr>
      <td>
        {formatDay(line.at, timeZone)} {timeOf(line.at, timeZone)}
      </td>
      <th scope="row">{line.eater}</th>
      <td>
        {line.dish}
        {amount === null ? null : `, ${(amount.drink ? formatVolume : formatMass)(amount.mass_g)}`}
        {line.struck && <span className="tag">struck out since</span>}
        <Plants plants={line.plants} />
        {line.alsoIn.length > 0 && <p>with {formatList(line.alsoIn)}</p>}
      </td>
      <td>
        <Doubles plants={line.plants} />
      </td>
    </tr>
  )
}

function Plants({ plants }: { plants: readonly EatenPlant[] }) {
  if (plants.length === 0) return <p>No record of what was in it.</p>
  return plants.map(({ name, scientificName, part, lot, patch }) => (
    <p key={lot + scientificName}>
      {name} {part}, <i>{scientificName}</i>, lot {lot} from {patch}
    </p>
  ))
}

function Doubles({ plants }: { plants: readonly EatenPlant[] }) {
  const all = plants.flatMap(({ mistakenFor }) => mistakenFor)
  if (all.length === 0) return <p>No poisonous look-alike in our plant list. Still name every plant eaten.</p>
  return all.map(({ name, scientificName, severity }) => (
    <p key={scientificName} className={severity}>
      {name}, <i>{scientificName}</i> ({severityWord(severity)})
    </p>
  ))
}

function WhoFeelsWhat() {
  const { book } = useJudgeContext()
  const { write, errorOf, otherError } = useNote()
  const [eater, setEater] = useState<string>()
  const [symptoms, setSymptoms] = useState('')
  return (
    <section className="card">
      <h2>Write down what they feel</h2>
      <div className="form">
        <EaterField value={eater} onChange={setEater} error={errorOf('eater')} />
        <Field label="What they feel, and since when" error={errorOf('symptoms') ?? otherError(['eater', 'symptoms'])}>
          {(id) => (
            <Input.TextArea id={id} rows={2} value={symptoms} onChange={(event) => setSymptoms(event.target.value)} />
          )}
        </Field>
        <Button
          size="large"
          disabled={eater === undefined || symptoms.trim() === ''}
          onClick={() =>
            void write({ type: 'felt-ill', eater: eater ?? '', symptoms: symptoms.trim() }, 'Written down').then(
              ({ ok }) => {
                if (!ok) return
                setEater(undefined)
                setSymptoms('')
              },
            )
          }
        >
          Write it down
        </Button>
        <ul>
          {book.house.ill.map((illness) => (
            <IllLine key={illness.at + illness.eater} illness={illness} />
          ))}
        </ul>
      </div>
    </section>
  )
}

/** One illness: what it holds, who else is to be asked, and what a doctor said of it. */
function IllLine({ illness }: { illness: Illness }) {
  const { book } = useJudgeContext()
  const { write, otherError } = useNote()
  const [why, setWhy] = useState('')
  const nameOf = (id: string) => book.house.eaters[id]?.name ?? id
  const others = alsoAte(illness, book)
  return (
    <li className="ill-line">
      <strong>{nameOf(illness.eater)}</strong>: {illness.symptoms}
      {illness.explained === undefined ? (
        <>
          <p className="must">
            Everything of the same pickings is marked DO NOT EAT, for everybody.
            {others.length > 0 && ` Ask ${formatList(others.map(nameOf))} now how they feel: they ate of it too.`}
          </p>
          <Field label="It was not the food: who said so, and what was it?" error={otherError([])}>
            {(id) => <Input id={id} value={why} onChange={(event) => setWhy(event.target.value)} />}
          </Field>
          <HoldButton
            disabled={why.trim() === ''}
            onHold={() => void write({ type: 'ill-explained', eater: illness.eater, why: why.trim() }, 'Saved')}
          >
            Press and hold: a doctor said so
          </HoldButton>
        </>
      ) : (
        <p>It was not the food: {illness.explained}</p>
      )}
    </li>
  )
}

function Numbers() {
  const { book } = useJudgeContext()
  const { write, otherError } = useNote()
  const [emergency, setEmergency] = useState(book.house.numbers?.emergency ?? '')
  const [poisonCentre, setPoisonCentre] = useState(book.house.numbers?.poisonCentre ?? '')
  const [doctor, setDoctor] = useState(book.house.numbers?.doctor ?? '')
  return (
    <section className="card no-print">
      <h2>The numbers of this place</h2>
      <p>Look them up today, while nobody needs them.</p>
      <div className="form">
        <Field label="Emergency" error={otherError([])}>
          {(id) => (
            <Input id={id} size="large" value={emergency} onChange={(event) => setEmergency(event.target.value)} />
          )}
        </Field>
        <Field label="Poison centre">
          {(id) => (
            <Input
              id={id}
              size="large"
              value={poisonCentre}
              onChange={(event) => setPoisonCentre(event.target.value)}
            />
          )}
        </Field>
        <Field label="Doctor">
          {(id) => <Input id={id} size="large" value={doctor} onChange={(event) => setDoctor(event.target.value)} />}
        </Field>
        <Button
          size="large"
          onClick={() =>
            void write(
              {
                type: 'numbers-noted',
                emergency: emergency.trim(),
                poisonCentre: poisonCentre.trim(),
                doctor: doctor.trim(),
              },
              'Numbers noted',
            )
          }
        >
          Keep these numbers
        </Button>
      </div>
    </section>
  )
}

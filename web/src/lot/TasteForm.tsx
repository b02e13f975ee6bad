import { COOK, foodReach, type Alarm, type JudgeContext, type LotState } from '@ellop/core'
import { Button, Select } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useBook } from '../book/bookStore'
import { askEngine } from '../workers/ask'
import { Choice } from '../controls/Choice'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { sayRefused } from '../controls/said'
import { useNote } from '../controls/useNote'
import { Refusal } from '../controls/Refusal'
import { PalateAdvice } from './PalateAdvice'
import { PalateStrip } from './PalateStrip'
import '../app/palate.css'

/** Who is told to have tasted where nobody did. */
const STAND_IN = 'stand-in'

const OTHER_NOTES = ['acrid', 'sour', 'salt', 'sweet', 'resin'] as const
const ALARMS: readonly { value: Alarm; label: string }[] = [
  { value: 'burning', label: 'burning' },
  { value: 'numbness', label: 'numb' },
  { value: 'soap', label: 'soap' },
  { value: 'almond', label: 'almond' },
  { value: 'bitter-where-none-belongs', label: 'bitter, wrongly' },
]

/** A taste, by whom; and the way out when it tastes wrong. */
export function TasteForm({
  lot,
  context,
  crumb = false,
}: {
  lot: LotState
  context: JudgeContext
  /** A crumb of a leach, chewed and spat out. */
  crumb?: boolean
}) {
  const { write, otherError } = useNote()
  const navigate = useNavigate()
  const tasters = Object.values(context.book.house.eaters).filter(
    ({ kind, sensitivities }) => kind === 'adult' && sensitivities !== null,
  )
  const writer = useBook((book) => book.writer)
  const first = tasters.find(({ id }) => id === writer) ?? tasters[0]
  const [taster, setTaster] = useState(first?.id ?? COOK)
  const [bitter, setBitter] = useState(0)
  const [dry, setDry] = useState(0)
  const [lingers, setLingers] = useState<number>()
  const [notes, setNotes] = useState<Readonly<Partial<Record<(typeof OTHER_NOTES)[number], number>>>>({})
  const [alarm, setAlarm] = useState<Alarm>()
  const [simulated, setSimulated] = useState(false)
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  // Whoever touches a strip has tasted.
  const tasted = (set: (score: number) => void) => (score: number) => {
    set(score)
    setSimulated(false)
  }
  const letStandInTaste = async () => {
    const score = await askEngine('standInCrumb', lot).answer
    if (score === undefined) return sayRefused('The stand-in has nothing to taste yet.')
    setDry(score)
    setSimulated(true)
  }
  /** Who has it on the plate or ate of it is told at once, on the page for whoever is ill. */
  const stop = async (wrong: Alarm) => {
    const noted = await note(false, wrong, 'Stopped: eat no more of it')
    const { servings } = foodReach(lot, context.book)
    if (noted.ok && servings.length > 0) void navigate('/ill')
  }
  const note = (accepts: boolean, wrong: Alarm | null, said: string) =>
    write(
      {
        type: 'tasted',
        lot: lot.id,
        taster: simulated ? STAND_IN : taster,
        bitter,
        astringent: dry,
        crumb: crumb && wrong === null,
        accepts,
        alarm: wrong,
        ...(Object.keys(notes).length === 0 ? {} : { notes }),
        ...(lingers === undefined ? {} : { aftertaste: lingers }),
        ...(simulated ? { simulated: true as const } : {}),
      },
      said,
    )
  return (
    <div className="form">
      <Field label="Who tastes">
        {(id) => (
          <Select
            id={id}
            size="large"
            value={taster}
            onChange={setTaster}
            options={tasters.map(({ id: value, name }) => ({ value, label: name }))}
          />
        )}
      </Field>
      <PalateStrip note="bitter" value={bitter} onChange={tasted(setBitter)} />
      <PalateStrip note="astringent" value={dry} onChange={tasted(setDry)} />
      {crumb && isDemo && (
        <div className="acts stand-in">
          <Button size="large" onClick={() => void letStandInTaste()}>
            Let the stand-in taste
          </Button>
          {simulated && (
            <p className="soft" role="status">
              The stand-in’s crumb: {dry} of 10. It counts in the demonstration and nowhere else.
            </p>
          )}
        </div>
      )}
      <details className="palate-more">
        <summary>What lingers{crumb ? '' : ', and what else it tastes of'}</summary>
        <div className="form">
          <p className="soft">
            Wait half a minute, take a sip of water between two tastes; the worse of the two counts.
          </p>
          <PalateStrip note="aftertaste" value={lingers} onChange={setLingers} />
          {!crumb &&
            OTHER_NOTES.map((note) => (
              <PalateStrip
                key={note}
                note={note}
                value={notes[note]}
                onChange={(score) => setNotes((before) => ({ ...before, [note]: score }))}
              />
            ))}
        </div>
      </details>
      <Refusal sentence={otherError([])} />
      <div className="acts">
        {crumb ? (
          <Button type="primary" size="large" onClick={() => void note(false, null, 'Crumb tasted')}>
            Spat out: note it
          </Button>
        ) : (
          <>
            <Button type="primary" size="large" onClick={() => void note(true, null, 'Tasted: good')}>
              Good as it is
            </Button>
            <Button size="large" onClick={() => void note(false, null, 'Tasted: not yet')}>
              Not yet
            </Button>
          </>
        )}
      </div>
      {!crumb && <PalateAdvice lot={lot} context={context} />}
      <div className="alarm">
        <Choice label="It tastes wrong" value={alarm} onChange={setAlarm} options={ALARMS} />
        {alarm !== undefined && (
          <HoldButton tone="stop" onHold={() => void stop(alarm)}>
            Press and hold to stop this lot
          </HoldButton>
        )}
        <p className="caution">
          Spit it out and take no second bite. Keep a sample. Anyone who feels ill: call the poison centre or a doctor
          now.
        </p>
      </div>
    </div>
  )
}

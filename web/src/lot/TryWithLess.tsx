import {
  ARMS,
  cupOrder,
  formatSpan,
  lotUse,
  newLotId,
  nextLotCode,
  plainWords,
  protocolOf,
  toMs,
  trialBarred,
  trialOutcome,
  withCapital,
  type ArmOutcome,
  type JudgeContext,
  type LotState,
  type Protocol,
  type TrialFact,
  type Use,
} from '@ellop/core'
import { Button, Select } from 'antd'
import { useMemo, useState } from 'react'
import { v7 } from 'uuid'
import { useBook } from '../book/bookStore'
import { Field, NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { formatMass, inUnits } from '../units/units'
import { PalateStrip } from './PalateStrip'
import '../app/palate.css'

/** A trial of one step: one picking in a few bowls that differ in nothing else, tasted blind. Open where one runs. */
export function TryWithLess({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const trial = Object.values(context.book.house.trials).find(({ arms }) => arms.some((arm) => arm.lot === lot.id))
  const use = lotUse(lot, context.catalogue)
  const protocol = use && protocolOf(lot, use)
  if (trial === undefined && (use === undefined || protocol === undefined || lot.mass_g <= 0)) return null
  return (
    <details className="set-aside" open={trial !== undefined}>
      <summary>Try a step with less</summary>
      {trial !== undefined ? (
        <TrialRunning trial={trial} context={context} />
      ) : (
        use !== undefined && protocol !== undefined && <BeforeTrial lot={lot} use={use} protocol={protocol} />
      )}
    </details>
  )
}

function BeforeTrial({ lot, use, protocol }: { lot: LotState; use: Use; protocol: Protocol }) {
  const free = protocol.steps.flatMap((step, at) =>
    trialBarred(use, protocol, at) === undefined ? [{ step, at }] : [],
  )
  return (
    <div className="trial">
      <p>
        How much of a step the tongue wants, tried out: one picking in a few bowls that differ in that step alone. Only
        where a step serves taste; what stands against a poison or a germ is not tried with less.
      </p>
      {free.length === 0 ? (
        <NoneFree use={use} protocol={protocol} />
      ) : (
        <SetTrial key={protocol.name} lot={lot} protocol={protocol} free={free} />
      )}
    </div>
  )
}

function NoneFree({ use, protocol }: { use: Use; protocol: Protocol }) {
  return (
    <>
      <p className="told">No step of “{protocol.name}” is for the tongue alone.</p>
      <ul>
        {protocol.steps.map(({ op }, at) => (
          <li key={`${op} ${at}`}>{inUnits(trialBarred(use, protocol, at) ?? '')}</li>
        ))}
      </ul>
    </>
  )
}

interface Bowl {
  readonly mass: string
  readonly minutes: string
}

function SetTrial({
  lot,
  protocol,
  free,
}: {
  lot: LotState
  protocol: Protocol
  free: readonly { readonly step: Protocol['steps'][number]; readonly at: number }[]
}) {
  const { write, otherError } = useNote()
  const [at, setAt] = useState(free[0]?.at ?? 0)
  const chosen = free.find((each) => each.at === at)?.step
  const usual = chosen?.minutes?.high ?? 0
  const [own, setOwn] = useState(String(usual))
  const [bowls, setBowls] = useState<readonly Bowl[]>([{ mass: '', minutes: String(Math.round(usual / 2)) }])
  const [fault, setFault] = useState<string>()
  const change = (index: number, part: Partial<Bowl>) =>
    setBowls(bowls.map((each, place) => (place === index ? { ...each, ...part } : each)))
  const set = async () => {
    const mine = readField(own)
    if ('error' in mine) return setFault(`This bowl: ${mine.error}`)
    const read = bowls.map(({ mass, minutes }) => ({ mass: readField(mass), minutes: readField(minutes) }))
    const rows = read.flatMap(({ mass, minutes }) =>
      'value' in mass && 'value' in minutes ? [{ mass_g: mass.value, minutes: minutes.value }] : [],
    )
    if (rows.length < read.length)
      return setFault('Each bowl: give its grams and its minutes, 0 where the step is left out.')
    const all = [mine.value, ...rows.map(({ minutes }) => minutes)]
    if (new Set(all).size < all.length) return setFault('Two bowls have the same minutes: let each differ.')
    const taken = rows.reduce((sum, { mass_g }) => sum + mass_g, 0)
    if (taken >= lot.mass_g)
      return setFault(`The bowls take ${formatMass(taken)} of ${formatMass(lot.mass_g)}: leave some in this one.`)
    // Nothing is split for a trial that could not be set.
    if (lot.runs.some(({ protocol: name, step }) => name === protocol.name && step >= at))
      return setFault('This lot is past that step already.')
    if (lot.weighedIn === null) return setFault('A trial is of one picking.')
    setFault(undefined)
    const arms = [{ lot: lot.id, minutes: mine.value }]
    for (const { mass_g, minutes } of rows) {
      const { log, minute } = useBook.getState()
      const code = nextLotCode(log.state, toMs(minute))
      const into = newLotId(code, v7())
      const parted = await write({ type: 'split', lot: lot.id, into, code, mass_g, why: 'trial' }, '')
      if (!parted.ok) return
      arms.push({ lot: into, minutes })
    }
    const { taxon, part } = lot.weighedIn
    await write(
      {
        type: 'trial-set',
        trial: v7(),
        ...{ taxon, part, stage: lot.sorted?.stageSeen ?? lot.weighedIn.stage, school: protocol.name, step: at, arms },
      },
      'The bowls are set',
    )
  }
  return (
    <div className="form">
      <Field label="Which step">
        {(id) => (
          <Select
            id={id}
            size="large"
            value={at}
            onChange={(next: number) => {
              setAt(next)
              setOwn(String(free.find((each) => each.at === next)?.step.minutes?.high ?? 0))
            }}
            options={free.map((each) => ({
              value: each.at,
              label: `${plainWords(each.step.op)}, against ${each.step.control.map(plainWords).join(', ')}`,
            }))}
          />
        )}
      </Field>
      <NumberField
        label="This bowl: minutes"
        unit="min"
        value={own}
        onChange={setOwn}
        hint="The most of all: what the others are held against."
      />
      {bowls.map((bowl, index) => (
        <div key={index} className="form two">
          <NumberField
            label={`Bowl ${index + 2}: take out`}
            unit="g"
            value={bowl.mass}
            onChange={(mass) => change(index, { mass })}
            hint={`of ${formatMass(lot.mass_g)}`}
          />
          <NumberField
            label={`Bowl ${index + 2}: minutes`}
            unit="min"
            value={bowl.minutes}
            onChange={(minutes) => change(index, { minutes })}
            hint="0 leaves the step out."
          />
        </div>
      ))}
      <Refusal sentence={fault ?? otherError([])} />
      <div className="acts">
        <Button type="primary" size="large" onClick={() => void set()}>
          Set the bowls
        </Button>
        {bowls.length + 1 < ARMS.most && (
          <Button size="large" onClick={() => setBowls([...bowls, { mass: '', minutes: '0' }])}>
            Another bowl
          </Button>
        )}
      </div>
    </div>
  )
}

function TrialRunning({ trial, context }: { trial: TrialFact; context: JudgeContext }) {
  const outcome = useMemo(() => trialOutcome(trial, context), [trial, context])
  const adults = Object.values(context.book.house.eaters).filter(({ kind }) => kind === 'adult')
  const [taster, setTaster] = useState(adults[0]?.id)
  // Nobody is told before their own cups are empty, whoever has tasted before.
  const told = taster !== undefined && outcome.through.includes(taster)
  return (
    <div className="trial">
      <h3>
        A trial of {trial.arms.length} bowls: {trial.school}
      </h3>
      <Field label="Who tastes">
        {(id) => (
          <Select
            id={id}
            size="large"
            value={taster ?? null}
            onChange={setTaster}
            options={adults.map(({ id: value, name }) => ({ value, label: name }))}
          />
        )}
      </Field>
      {taster !== undefined && <Cups key={taster} trial={trial} taster={taster} context={context} />}
      {told ? (
        <>
          <p className="told">{inUnits(outcome.says)}</p>
          <Bowls arms={outcome.arms} context={context} />
        </>
      ) : (
        <p className="soft">Which bowl is which is told when whoever tastes has had them all.</p>
      )}
    </div>
  )
}

/** The bowls as cups without a name, in an order of this taster's own. */
function Cups({ trial, taster, context }: { trial: TrialFact; taster: string; context: JudgeContext }) {
  const order = useMemo(() => cupOrder(trial, taster), [trial, taster])
  const name = context.book.house.eaters[taster]?.name ?? taster
  const lots = order.map((arm) => context.book.lots.get(trial.arms[arm]?.lot ?? ''))
  const tasted = lots.map((lot) => lot?.tastes.some((each) => each.taster === taster && each.at >= trial.at) ?? false)
  const next = tasted.indexOf(false)
  const lot = lots[next]
  return (
    <div className="cups">
      <ol aria-label={`Cups for ${name}`}>
        {tasted.map((done, index) => (
          <li key={index} className={done ? 'done' : index === next ? 'next' : undefined}>
            Cup {index + 1}
            <span className="soft">{done ? 'tasted' : index === next ? 'now' : ''}</span>
          </li>
        ))}
      </ol>
      <details>
        <summary>For whoever fills the cups, and not for {name}</summary>
        <ul>
          {lots.map((each, index) => (
            <li key={index}>
              Cup {index + 1}: lot {each?.code}, {formatSpanOrNone(trial.arms[order[index] ?? 0]?.minutes ?? 0)}
            </li>
          ))}
        </ul>
      </details>
      {lot === undefined ? (
        <p className="soft">{name} has tasted them all.</p>
      ) : (
        <Cup key={lot.id} lot={lot} taster={taster} number={next + 1} />
      )}
    </div>
  )
}

function Cup({ lot, taster, number }: { lot: LotState; taster: string; number: number }) {
  const { write, otherError } = useNote()
  const [bitter, setBitter] = useState(0)
  const [dry, setDry] = useState(0)
  const [lingers, setLingers] = useState<number>()
  const note = (accepts: boolean) =>
    void write(
      {
        type: 'tasted',
        lot: lot.id,
        taster,
        bitter,
        astringent: dry,
        crumb: false,
        accepts,
        alarm: null,
        ...(lingers === undefined ? {} : { aftertaste: lingers }),
      },
      `Cup ${number} noted: a sip of water, and the next`,
    )
  return (
    <div className="form">
      <PalateStrip note="bitter" value={bitter} onChange={setBitter} />
      <PalateStrip note="astringent" value={dry} onChange={setDry} />
      <PalateStrip note="aftertaste" value={lingers} onChange={setLingers} />
      <Refusal sentence={otherError([])} />
      <div className="acts">
        <Button type="primary" size="large" onClick={() => note(true)}>
          Cup {number}: good
        </Button>
        <Button size="large" onClick={() => note(false)}>
          Cup {number}: not good
        </Button>
      </div>
      <p className="caution">
        Burning, numbness, soap or almond is no taste but an alarm: spit it out, and stop the lot on its own page.
      </p>
    </div>
  )
}

const STANDING: Readonly<Record<ArmOutcome['standing'], string>> = {
  reference: 'the others are held against it',
  'not-as-set': 'not done as set: says nothing',
  untasted: 'not tasted yet',
  few: 'too few tasters',
  'no-worse': 'no worse',
  unsure: 'nobody can be sure',
  worse: 'worse',
}

function Bowls({ arms, context }: { arms: readonly ArmOutcome[]; context: JudgeContext }) {
  return (
    <table className="bowls">
      <thead>
        <tr>
          <th scope="col">Lot</th>
          <th scope="col">Minutes</th>
          <th scope="col">Harsh, of 10</th>
          <th scope="col">Good to</th>
          <th scope="col">It was</th>
        </tr>
      </thead>
      <tbody>
        {arms.map(({ lot, minutes, did_min, harsh, accepted, tasters, standing }) => (
          <tr key={lot}>
            <th scope="row">{context.book.lots.get(lot)?.code ?? lot}</th>
            <td>
              {formatSpanOrNone(minutes)}
              {did_min !== undefined && did_min !== minutes && ` (done ${formatSpanOrNone(did_min)})`}
            </td>
            <td>{harsh === undefined ? '' : harsh.toFixed(1)}</td>
            <td>
              {accepted} of {tasters}
            </td>
            <td>{withCapital(STANDING[standing])}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const formatSpanOrNone = (minutes: number) => (minutes === 0 ? 'left out' : inUnits(formatSpan(minutes)))

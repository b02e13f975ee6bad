import {
  severityWord,
  allowanceFor,
  commonName,
  countedAs,
  diggingFor,
  fieldView,
  findTaxon,
  formatCount,
  formatDay,
  formatList,
  formatSpan,
  gateViews,
  grouped,
  isHarmful,
  kitchenAt,
  newLotId,
  nextLotCode,
  ownTender,
  removalOf,
  tellLabel,
  tellsToSee,
  type CutAt,
  type Digging,
  type Enough,
  type FieldLine,
  type FieldView,
  type JudgeContext,
  type LotState,
  type Part,
  type Range,
} from '@ellop/core'
import { Button, Checkbox } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { v7 } from 'uuid'
import { useBook, useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { CutAtFields, cutAtSaid, dogsReach } from '../ground/CutAtFields'
import { GrowthField, growthSeen } from '../lot/GrowthField'
import { CutDrawing } from '../drawing/CutDrawing'
import { GateIcon } from '../drawing/GateMark'
import { DugFields, dugFault, dugMeant, dugSaid, type DugTyped } from '../take/DugFields'
import { tenderSays } from '../take/SnapForm'
import { rowName } from '../season/words'
import '../app/field.css'
import { Refusal } from '../controls/Refusal'
import { NotThere } from '../controls/NotThere'
import { formatMass, inUnits } from '../units/units'

const TELLS = 5
const DOUBLES = 4

/** The outing on the way, for one hand: stop by stop what is picked, what to look at first, and the weighing in. All of it works without a network. */
export default function FieldPlace() {
  const { id = '' } = useParams()
  const context = useJudgeContext()
  const view = useMemo(() => fieldView(id, context), [id, context])
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  if (view === undefined) return <NotThere what="No outing of that name" to="/outing" onward="Plan one" />
  const { outing, stops, lots } = view
  const all = stops.flatMap(({ lines }) => lines)
  const left = all.filter(({ enough, against }) => !enough && against.length === 0)
  return (
    <article className="field-outing">
      <div className="place-head">
        <div>
          <h1>Outing, {formatDay(`${outing.day}T12:00:00.000Z`, timeZone)}</h1>
          <p>
            {left.length === 0
              ? 'All that was wished is in the basket.'
              : `${formatCount(left.length, 'picking')} to go of ${all.length}, for ${formatCount(outing.plates, 'plate')}`}
            {outing.company.length > 0 && ` · with ${formatList(outing.company)}`}
          </p>
        </div>
      </div>
      {stops.map(({ patch, name, lines }) => (
        <section key={patch} className="stop">
          <h2>
            <Link to={`/patch/${patch}`}>{name}</Link>
          </h2>
          {lines.map((line) => (
            <Picking key={`${line.wish.taxon} ${line.wish.part} ${line.wish.stage}`} line={line} outing={outing.id} />
          ))}
          <LeaveIt
            patch={patch}
            digs={lines.some(({ wish }) => removalOf(wish.part) === 'whole')}
            dug={lines.reduce((sum, { dug }) => sum + dug, 0)}
          />
        </section>
      ))}
      <section className="card">
        <h2>In the basket</h2>
        <Basket lots={lots} view={view} />
      </section>
      <p className="caution">
        Nearly certain is not certain: leave it standing. Each kind in a container of its own. Nothing picked here is
        food before its gates are open.
      </p>
    </article>
  )
}

function needSays({ low, usual, high }: Range): string {
  return inUnits(`about ${grouped(round10(usual))} g (${grouped(round10(low))} to ${grouped(round10(high))} g)`)
}

/** What ends the picking, how much is left of it, and how long that takes. */
function stopSays({ first, left_g, leftOfShare, left_min, pace }: Enough, part: Part): string {
  if (first === 'share' && leftOfShare === 0)
    return 'The fair share of this stand is taken: stop here, and go on elsewhere.'
  const time =
    left_min === undefined
      ? ''
      : `, about ${formatSpan(Math.ceil(left_min.usual))} (${formatSpan(Math.ceil(left_min.low))} to ${formatSpan(Math.ceil(left_min.high))}) at ${pace === 'today' ? 'today’s' : 'the usual'} pace`
  const still = formatMass(round10(left_g))
  return first === 'share'
    ? `The fair share here ends first: ${grouped(leftOfShare ?? 0)} ${countedAs(part)}, some ${still}${time}.`
    : `Still ${still}${time}.`
}

function digSays({ holes: { low, usual, high }, dug, whole }: Digging): string {
  const own = dug === 0 ? 'none of your own counted yet' : `${whole} of your ${dug} came up whole`
  return `Dig about ${grouped(usual)} (${grouped(low)} to ${grouped(high)}): ${own}. Loosen round it, work under it, lift last.`
}

/** Holes for what is still wanted, dug as it is meant. */
function meantSays(
  { taxon, use, left_g }: FieldLine,
  typed: DugTyped,
  context: Pick<JudgeContext, 'book' | 'catalogue'>,
) {
  const digging =
    use.pieceMass_g === undefined
      ? undefined
      : diggingFor(taxon, use, left_g / use.pieceMass_g, context, dugMeant(typed))
  return digging === undefined ? '' : digSays(digging)
}

function Picking({ line, outing }: { line: FieldLine; outing: string }) {
  const { book, catalogue } = useJudgeContext()
  const { taxon, use, effort, against, ground, picked_g, enough } = line
  const tender = ownTender(taxon, use, { book, catalogue })
  const own = tenderSays(tender)
  const { name, part } = rowName(line)
  const [open, setOpen] = useState(false)
  const doubles = taxon.lookalikes.filter(isHarmful).slice(0, DOUBLES)
  const tells = tellsToSee(taxon, catalogue).slice(0, TELLS)
  return (
    <article className={`picking${enough ? ' done' : ''}${against.length > 0 ? ' shut' : ''}`}>
      <h3>
        {name} <span className="soft">{part}</span>
      </h3>
      {effort !== undefined && (
        <>
          <p className="need">
            <strong>{formatMass(Math.round(picked_g))}</strong> of {needSays(effort.picked_g)}
          </p>
          <progress max={effort.picked_g.usual} value={Math.min(picked_g, effort.picked_g.usual)} />
          {line.stop !== undefined && (
            <p className={`stop-at by-${line.stop.first}`}>{stopSays(line.stop, line.wish.part)}</p>
          )}
          {line.digging !== undefined && <p>{digSays(line.digging)}</p>}
        </>
      )}
      {against.map((each) => (
        <p key={each} className="refusal">
          {inUnits(each)}
        </p>
      ))}
      {doubles.length > 0 && (
        <p className="grave">
          Taken for it:{' '}
          {formatList(
            doubles.map(({ scientificName, severity }) => {
              const other = findTaxon(catalogue, scientificName)
              return `${other === undefined ? scientificName : commonName(other)} (${severityWord(severity)})`
            }),
          )}
          .
        </p>
      )}
      <p>Look at: {tells.map(tellLabel).join(' · ')}.</p>
      {taxon.wildlifeHost !== undefined && <p>First see who lives on it. {taxon.wildlifeHost}</p>}
      <CutDrawing taxon={taxon} part={line.wish.part} joints={tender?.byJoint.at(-1)?.joints} />
      {own !== undefined && <p className="told">{own}</p>}
      {use.cut !== undefined && <p>{own === undefined ? use.cut : `The record: ${use.cut}`}</p>}
      {ground !== undefined && ground.toAsk.length > 0 && against.length === 0 && (
        <p className="told">
          Still to ask of the ground: {formatList(ground.toAsk)}. <Link to={`/patch/${line.wish.patch}`}>Note it</Link>
        </p>
      )}
      {ground?.living.map((each) => (
        <p key={each} className="told">
          Only cooked right through. {inUnits(each)}
        </p>
      ))}
      {against.length === 0 && !open && (
        <Button type={enough ? 'default' : 'primary'} size="large" block onClick={() => setOpen(true)}>
          {enough ? 'Some more' : 'Cut and weigh in'}
        </Button>
      )}
      {open && <BringIn line={line} outing={outing} onDone={() => setOpen(false)} />}
    </article>
  )
}

type Typed = 'stood' | 'cut' | 'hosts' | 'amount' | 'stumps' | 'took'
const EMPTY: Readonly<Record<Typed, string>> = { stood: '', cut: '', hosts: '0', amount: '', stumps: '0', took: '' }

/** What stood there, what was cut, what it weighs or counts: the lot and its stand in one go. */
function BringIn({ line, outing, onDone }: { line: FieldLine; outing: string; onDone: () => void }) {
  const { book, catalogue, now: minute } = useJudgeContext()
  const { write, otherError } = useNote()
  const { taxon, use, wish } = line
  const [typed, setTyped] = useState(EMPTY)
  const [by, setBy] = useState<'weight' | 'count'>('weight')
  const [looked, setLooked] = useState(false)
  const [others, setOthers] = useState(false)
  const [fault, setFault] = useState<string>()
  const [cutAt, setCutAt] = useState<Partial<CutAt>>({})
  const [habit, setHabit] = useState<string>()
  const asked = dogsReach(wish, { book, catalogue })
  const pieceMass_g = use.pieceMass_g
  const digs = removalOf(wish.part) === 'whole'
  const stood = readField(typed.stood)
  const hosts = readField(typed.hosts)
  const stumps = readField(typed.stumps)
  const [dug, setDug] = useState<DugTyped>({ depth: '' })
  const allowed =
    'value' in stood && stood.value > 0 && 'value' in hosts
      ? allowanceFor(
          {
            ...{ lot: null, taxon, part: wish.part, patch: wish.patch, at: minute },
            byOthers: 'value' in stumps ? stumps.value : 0,
          },
          { stems: stood.value, wildlifeOn: hosts.value, othersPick: others, clone: digs, school: null },
          { ...book, catalogue },
        )
      : undefined
  const submit = async () => {
    const cut = readField(typed.cut)
    const amount = readField(typed.amount)
    const took = typed.took.trim() === '' ? undefined : readField(typed.took)
    const wrong = [
      ['You saw growing here', stood],
      [digs ? 'Holes you dug' : 'You cut', cut],
      ['With insects, eggs or nests', hosts],
      ['Already cut by others', stumps],
      ['Minutes it took', took],
      [by === 'weight' ? 'Weight' : 'Pieces', amount],
    ].find((each): each is [string, { error: string }] => typeof each[1] === 'object' && 'error' in each[1])
    if (wrong !== undefined) return setFault(`${wrong[0]}: ${wrong[1].error}`)
    if (!('value' in stood && 'value' in cut && 'value' in hosts && 'value' in amount && 'value' in stumps)) return
    const pieces = Math.round(amount.value)
    const wrongDug = digs ? dugFault(dug) : undefined
    if (wrongDug !== undefined) return setFault(wrongDug)
    if (amount.value <= 0) return setFault(`${by === 'weight' ? 'Weight' : 'Pieces'}: more than nothing.`)
    if (cut.value > stood.value) return setFault(`You cut: not more than the ${grouped(stood.value)} that grew there.`)
    setFault(undefined)
    const { clock } = useBook.getState()
    const code = nextLotCode(book, clock.book_ms)
    const lot = newLotId(code, v7())
    const now = useBook.getState().second
    const weighed = await write(
      {
        type: 'weighed-in',
        lot,
        code,
        ...wish,
        mass_g: by === 'weight' ? amount.value : pieces * (pieceMass_g ?? 1),
        pickedAt: now,
        outing,
        ...(took !== undefined && 'value' in took ? { took_min: took.value } : {}),
        ...(by === 'count' ? { counted: pieces } : {}),
        ...(asked ? cutAtSaid(cutAt) : {}),
      },
      '',
    )
    if (!weighed.ok) return
    if (habit !== undefined) await write(growthSeen(lot, habit), '')
    const counted = await write(
      {
        type: 'stand-counted',
        lot,
        stems: stood.value,
        taken: cut.value,
        wildlifeLooked: looked,
        wildlifeOn: hosts.value,
        othersPick: others,
        cutByOthers: stumps.value,
        ...(digs ? { clone: true, ...dugSaid(dug) } : {}),
        school: null,
      },
      `${code} is in the basket`,
    )
    if (counted.ok) onDone()
  }
  const field = (name: Typed, label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      value={typed[name]}
      onChange={(text) => setTyped({ ...typed, [name]: text })}
    />
  )
  const sentence = fault ?? otherError([])
  return (
    <div className="form bring-in">
      {field('stood', 'You saw growing here', countedAs(wish.part))}
      {allowed !== undefined && (
        <p className="told">
          {allowed.before > 0 &&
            `${grouped(allowed.before)} were cut there before: ${grouped(allowed.ofShare)} are left of the share. `}
          {inUnits(allowed.share.text)} {allowed.purposeSays}
        </p>
      )}
      {digs && (
        <>
          <DugFields value={dug} onChange={setDug} />
          <p className="told">{meantSays(line, dug, { book, catalogue })}</p>
        </>
      )}
      {taxon.wildlifeHost !== undefined && (
        <>
          <Checkbox checked={looked} onChange={({ target }) => setLooked(target.checked)}>
            I looked for who lives on it before cutting
          </Checkbox>
          {field('hosts', 'With insects, eggs or nests', countedAs(wish.part))}
        </>
      )}
      <Checkbox checked={others} onChange={({ target }) => setOthers(target.checked)}>
        Others pick here too
      </Checkbox>
      {others && field('stumps', 'Already cut by others (stumps)', countedAs(wish.part))}
      {field('cut', digs ? 'Holes you dug' : 'You cut', digs ? 'holes' : countedAs(wish.part))}
      <GrowthField value={habit} onChange={setHabit} />
      {asked && <CutAtFields value={cutAt} onChange={setCutAt} />}
      {pieceMass_g !== undefined && (
        <Choice
          label="The amount"
          value={by}
          onChange={setBy}
          options={[
            { value: 'weight', label: 'weighed' },
            { value: 'count', label: 'counted' },
          ]}
        />
      )}
      {field(
        'amount',
        by === 'weight' ? 'It weighs' : digs ? 'Came up whole' : 'Pieces',
        by === 'weight' ? 'g' : 'pieces',
      )}
      {field('took', 'Minutes it took, if you looked', 'min')}
      {by === 'count' && pieceMass_g !== undefined && (
        <p className="field-note">
          About {formatMass(pieceMass_g)} a piece by the record. It is weighed at home, when it is sorted; until then
          its weight is an estimate.
        </p>
      )}
      <Refusal sentence={sentence} />
      <Button type="primary" size="large" block onClick={() => void submit()}>
        Into the basket
      </Button>
      <Button size="large" block onClick={onDone}>
        Not now
      </Button>
    </div>
  )
}

/** Leaving a patch better than it was found. */
function LeaveIt({ patch, digs, dug }: { patch: string; digs: boolean; dug: number }) {
  const { write, otherError } = useNote()
  const [given, setGiven] = useState<readonly string[]>([])
  const give = async (what: 'holes-filled' | 'litter-carried-out') => {
    const noted = await write(
      { type: 'gave-back', patch, what, count: what === 'holes-filled' && dug > 0 ? dug : null },
      'Noted',
    )
    if (noted.ok) setGiven([...given, what])
  }
  return (
    <div className="leave-it">
      <p>Before you go:</p>
      {digs && (
        <Button size="large" disabled={given.includes('holes-filled')} onClick={() => void give('holes-filled')}>
          {dug > 0 ? `All ${grouped(dug)} holes filled` : 'Holes filled'}
        </Button>
      )}
      <Button
        size="large"
        disabled={given.includes('litter-carried-out')}
        onClick={() => void give('litter-carried-out')}
      >
        Litter taken along
      </Button>
      <Refusal sentence={otherError([])} />
    </div>
  )
}

function Basket({ lots, view }: { lots: readonly LotState[]; view: FieldView }) {
  const context = useJudgeContext()
  if (lots.length === 0) return <p className="soft">Nothing yet.</p>
  return (
    <ul className="field-basket">
      {lots.map((lot) => {
        const identity = gateViews(lot, context).find(({ gate }) => gate === 'identity')
        const taxon = findTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
        return (
          <li key={lot.id}>
            <GateIcon state={identity?.state ?? 'ajar'} />
            <div>
              <Link to={`/lot/${lot.id}`}>{lot.code}</Link> {taxon === undefined ? '' : commonName(taxon)},{' '}
              {lot.weighedIn?.counted === undefined ? '' : 'by count about '}
              {formatMass(lot.mass_g)}
              <p className="soft">
                {identity?.state === 'open' ? (
                  'told'
                ) : (
                  <Link to={`/lot/${lot.id}/tells`}>See its tells while you stand before it</Link>
                )}
              </p>
            </div>
          </li>
        )
      })}
      {view.stops.length > 0 && <li className="soft field-note">Loose, cool, out of the sun; nothing pressed.</li>}
    </ul>
  )
}

const round10 = (mass_g: number) => Math.round(mass_g / 10) * 10

import {
  formatCount,
  formatDay,
  heldFood,
  kitchenAt,
  newLotId,
  nextLotCode,
  packView,
  toMs,
  type PackView,
} from '@ellop/core'
import { Button, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { v7 } from 'uuid'
import { useBook, useJudgeContext } from '../book/bookStore'
import { FindBar, LONG_LIST, says } from '../controls/FindBar'
import { useNote } from '../controls/useNote'
import { PackLabel } from './PackLabel'
import { Refusal } from '../controls/Refusal'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { FreshnessBar } from '../freshness/FreshnessLine'
import { formatAmount, formatMass, formatTemp, inUnits } from '../units/units'

/** Stored food, first to be used first; what is held or not yet food says so before anything else. */
export default function LarderPlace() {
  const context = useJudgeContext()
  const [search, setSearch] = useSearchParams()
  const packs = useMemo(
    () =>
      [...context.book.lots.values()]
        .flatMap((lot) => lot.packs.filter(({ mass_g }) => mass_g > 0).map((pack) => packView(lot, pack, context)))
        .toSorted((a, b) => ((a.discardBy ?? '') < (b.discardBy ?? '') ? -1 : 1)),
    [context],
  )
  const held = useMemo(() => heldFood(context), [context])
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const [find, setFind] = useState('')
  const [which, setWhich] = useState<Which>('all')
  const long = packs.length >= LONG_LIST
  const shown = packs.filter(
    (view) =>
      !long || (says(find, view.label, view.code, view.patch, view.pack.store, view.pack.id) && isOf(which, view)),
  )
  const labelled = packs.find(({ pack }) => pack.id === search.get('label'))
  return (
    <>
      <div className="place-head">
        <div>
          <h1>The larder</h1>
          <p>
            {formatCount(packs.length, 'pack')} · {formatMass(packs.reduce((sum, { pack }) => sum + pack.mass_g, 0))} ·
            what goes first stands first
          </p>
        </div>
      </div>
      {held.packs.length > 0 && (
        <p className="refusal" role="alert">
          DO NOT EAT from {formatCount(held.packs.length, 'pack')}: {held.packs.map(({ pack }) => pack).join(', ')}. A
          gate closed after packing. Each pack says why below.
        </p>
      )}
      {long && (
        <FindBar
          find={find}
          onFind={setFind}
          label="Find in the larder"
          placeholder="Find a plant, a patch, a store  ( / )"
          choiceLabel="Which packs"
          choices={WHICH}
          chosen={which}
          onChoose={setWhich}
        />
      )}
      {packs.length === 0 ? (
        <section className="empty">
          <h2>The larder is empty</h2>
          <p>What you pack from a lot stands here with its label and its day.</p>
        </section>
      ) : shown.length === 0 ? (
        <section className="empty">
          <p>No pack of that kind is called “{find}”.</p>
        </section>
      ) : (
        <ul className="packs">
          {shown.map((view) => (
            <li key={view.pack.id}>
              <PackCard view={view} timeZone={timeZone} onLabel={() => setSearch({ label: view.pack.id })} />
            </li>
          ))}
        </ul>
      )}
      <Modal
        title="Label"
        open={labelled !== undefined}
        onCancel={() => setSearch({})}
        footer={null}
        width={620}
        destroyOnHidden
      >
        {labelled !== undefined && (
          <>
            <PackLabel view={labelled} timeZone={timeZone} />
            <div className="acts">
              <Button type="primary" size="large" onClick={() => window.print()}>
                Print the label
              </Button>
              <Button size="large" onClick={() => setSearch({})}>
                Done
              </Button>
            </div>
          </>
        )}
      </Modal>
    </>
  )
}

type Which = 'all' | 'ready' | 'not-yet' | 'away'

const WHICH: readonly { readonly value: Which; readonly label: string }[] = [
  { value: 'all', label: 'all' },
  { value: 'ready', label: 'ready to serve' },
  { value: 'not-yet', label: 'not yet food' },
  { value: 'away', label: 'do not eat' },
]

function isOf(which: Which, { held, notYetFood, state }: PackView): boolean {
  const away = held.length > 0 || state === 'discard'
  if (which === 'ready') return !away && !notYetFood
  if (which === 'not-yet') return !away && notYetFood
  return which === 'all' || away
}

function PackCard({ view, timeZone, onLabel }: { view: PackView; timeZone: string; onLabel: () => void }) {
  const { pack, held, notYetFood, state } = view
  const tone =
    held.length > 0 || state === 'discard'
      ? 'stop'
      : notYetFood
        ? 'raw'
        : state === 'past-best' || state === 'soon'
          ? 'past'
          : 'good'
  const measured = ['frozen', 'chilled', 'oiled'].includes(pack.store)
  return (
    <article className={`pack ${tone}`}>
      <p className="pack-state">
        {held.length > 0 ? 'DO NOT EAT' : notYetFood && state !== 'discard' ? 'NOT YET FOOD' : inUnits(view.stateSays)}
      </p>
      <h2>{view.label}</h2>
      <p>
        {formatAmount(pack.lotThen, pack.mass_g)} · {pack.store} · {formatCount(pack.containers, 'container')}
      </p>
      <p>
        Lot {view.code}, {view.patch} · packed {formatDay(pack.at, timeZone, true)}
        {view.opened !== null && ` · opened ${formatDay(view.opened, timeZone, true)}`}
      </p>
      <FreshnessBar freshness={view.fresh} />
      <p>
        {inUnits(
          held.length > 0
            ? held.join(' ')
            : state === 'discard'
              ? view.fresh.says
              : notYetFood
                ? view.due.join(' ')
                : `Done: ${view.done}.`,
        )}
      </p>
      {held.length === 0 && state !== 'discard' && <p>{inUnits(view.fresh.says)}</p>}
      <p className="pack-until">
        {view.discardBy === null
          ? view.storeSays
          : state === 'discard'
            ? `Its time ended ${formatDay(view.discardBy, timeZone, true)}`
            : `Use before ${formatDay(view.discardBy, timeZone, true)}, then throw away`}
      </p>
      <div className="pack-acts">
        <Button onClick={onLabel}>Label</Button>
        {tone !== 'stop' && !notYetFood && (
          <Link className="pack-serve" to={`/table?pack=pack:${pack.id}`}>
            Serve
          </Link>
        )}
        {held.length === 0 && state !== 'discard' ? <OpenPack view={view} /> : <ThrowAwayPack view={view} />}
        <Link to={`/lot/${view.lot.id}`}>Its lot</Link>
      </div>
      {measured && state !== 'discard' && held.length === 0 && <MeasureStore view={view} />}
    </article>
  )
}

/** What is past its time or stopped is thrown away out of the larder, all of it, in one act. */
function ThrowAwayPack({ view: { pack, lot, fresh, held, open_g } }: { view: PackView }) {
  const { write, otherError } = useNote()
  const why = held.length > 0 ? 'a gate closed after packing' : fresh.state === 'over' ? 'its time ended' : 'not food'
  const onlyOpen = open_g > 0 && held.length === 0
  return (
    <>
      {onlyOpen && (
        <HoldButton
          tone="stop"
          onHold={() =>
            void write({ type: 'thrown-away', lot: lot.id, pack: pack.id, mass_g: open_g, why }, 'Thrown away')
          }
        >
          Press and hold to throw away the open container: {formatMass(open_g)}
        </HoldButton>
      )}
      <HoldButton
        tone="stop"
        onHold={() =>
          void write({ type: 'thrown-away', lot: lot.id, pack: pack.id, mass_g: pack.mass_g, why }, 'Thrown away')
        }
      >
        {onlyOpen ? `Press and hold to throw away all ${formatMass(pack.mass_g)}` : 'Press and hold to throw away'}
      </HoldButton>
      <Refusal sentence={otherError([])} />
    </>
  )
}

/** The warmth of its store, read off again: too warm, and the minutes of warmth run. */
function MeasureStore({ view: { pack, lot } }: { view: PackView }) {
  const { write, errorOf, otherError } = useNote()
  const [open, setOpen] = useState(false)
  const [temp, setTemp] = useState('')
  const [typed, setTyped] = useState<string>()
  const last = pack.readings.at(-1)
  if (!open)
    return (
      <p className="soft">
        Store at {formatTemp(last?.temp_C ?? pack.storeTemp_C ?? 0)} when last measured.{' '}
        <Button type="link" onClick={() => setOpen(true)}>
          Measure the store
        </Button>
      </p>
    )
  const save = () => {
    const read = readField(temp)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read)
      void write({ type: 'store-read', lot: lot.id, pack: pack.id, temp_C: read.value }, 'Saved: the store').then(
        (noted) => noted.ok && setOpen(false),
      )
  }
  return (
    <div className="form">
      <NumberField
        label="The store is at"
        unit="°C"
        value={temp}
        onChange={setTemp}
        hint="read it off a thermometer"
        error={typed ?? errorOf('temp_C') ?? otherError(['temp_C'])}
      />
      <Button onClick={save}>Save the reading</Button>
    </div>
  )
}

/** The pack, or what is left of it, comes into hand again under a code of its own: to be made safe, or to go on with. */
function OpenPack({ view }: { view: PackView }) {
  const { write, errorOf, otherError } = useNote()
  const navigate = useNavigate()
  const [asking, setAsking] = useState(false)
  const [mass, setMass] = useState(String(Math.round(view.pack.mass_g)))
  const [typed, setTyped] = useState<string>()
  const open = async () => {
    const read = readField(mass)
    setTyped('error' in read ? read.error : undefined)
    if (!('value' in read)) return
    const { log, minute } = useBook.getState()
    const code = nextLotCode(log.state, toMs(minute))
    const into = newLotId(code, v7())
    const noted = await write(
      { type: 'opened', lot: view.lot.id, pack: view.pack.id, into, code, mass_g: read.value },
      `In hand again as ${code}`,
    )
    if (noted.ok) void navigate(`/lot/${into}`)
  }
  if (!asking)
    return <Button onClick={() => setAsking(true)}>{view.notYetFood ? 'Go on with it' : 'Open the pack'}</Button>
  return (
    <div className="form">
      <NumberField
        label="Take out"
        unit="g"
        value={mass}
        onChange={setMass}
        hint={`${formatMass(view.pack.mass_g)} in it; what stays is open too`}
        error={typed ?? errorOf('mass_g')}
      />
      <Button type="primary" onClick={() => void open()}>
        {view.notYetFood ? 'Take it into hand' : 'Open and take out'}
      </Button>
      <Refusal sentence={otherError(['mass_g'])} />
    </div>
  )
}

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
import { formatMass } from '../units/units'

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
          {formatCount(held.packs.length, 'pack')} held: a gate has shut behind{' '}
          {held.packs.length === 1 ? 'it' : 'them'}. Do not eat from {held.packs.map(({ pack }) => pack).join(', ')}.
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
  { value: 'away', label: 'held or past' },
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
    held.length > 0 || state === 'discard' ? 'stop' : notYetFood ? 'raw' : state === 'past-best' ? 'past' : 'good'
  return (
    <article className={`pack ${tone}`}>
      <p className="pack-state">
        {held.length > 0
          ? 'HELD'
          : state === 'discard'
            ? 'THROW AWAY'
            : notYetFood
              ? 'NOT YET FOOD'
              : state === 'past-best'
                ? 'past its best'
                : 'good'}
      </p>
      <h2>{view.label}</h2>
      <p>
        {formatMass(pack.mass_g)} · {pack.store} · {formatCount(pack.containers, 'container')}
      </p>
      <p>
        Lot {view.code}, {view.patch} · packed {formatDay(pack.at, timeZone, true)}
      </p>
      <p>{held.length > 0 ? held.join(' ') : notYetFood ? view.due.join(' ') : `Done: ${view.done}`}</p>
      <p className="pack-until">
        {view.discardBy === null ? view.storeSays : `Discard by ${formatDay(view.discardBy, timeZone, true)}`}
      </p>
      <div className="pack-acts">
        <Button onClick={onLabel}>Label</Button>
        {tone !== 'stop' && !notYetFood && (
          <Link className="pack-serve" to={`/table?pack=pack:${pack.id}`}>
            Serve
          </Link>
        )}
        {held.length === 0 && state !== 'discard' && <OpenPack view={view} />}
        <Link to={`/lot/${view.lot.id}`}>Its lot</Link>
      </div>
    </article>
  )
}

/** The pack, or what is left of it, comes into hand again under a code of its own: to be made safe, or to go on with. */
function OpenPack({ view }: { view: PackView }) {
  const { write, otherError } = useNote()
  const navigate = useNavigate()
  const open = async () => {
    const { log, minute } = useBook.getState()
    const code = nextLotCode(log.state, toMs(minute))
    const into = newLotId(code, v7())
    const noted = await write(
      { type: 'opened', lot: view.lot.id, pack: view.pack.id, into, code, mass_g: view.pack.mass_g },
      `In hand again as ${code}`,
    )
    if (noted.ok) void navigate(`/lot/${into}`)
  }
  return (
    <>
      <Button onClick={() => void open()}>{view.notYetFood ? 'Go on with it' : 'Open'}</Button>
      <Refusal sentence={otherError([])} />
    </>
  )
}

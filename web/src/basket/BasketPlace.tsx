import {
  beganWith_g,
  doNow,
  formatCount,
  formatSpan,
  freshnessOf,
  GATE_NAMES,
  gateViews,
  isBegun,
  isUsedUp,
  lotName,
  minutesBetween,
  ribbonOf,
  strandsOf,
  type DoNow,
  type GateView,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Button, Switch } from 'antd'
import { lazy, useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useIsPhone } from '../app/useWidth'
import { useJudgeContext } from '../book/bookStore'
import { FindBar, LONG_LIST, says } from '../controls/FindBar'
import { RibbonDrawing } from '../drawing/RibbonDrawing'
import { OnDemand } from '../controls/OnDemand'
import { formatMass, inUnits } from '../units/units'
import { FreshnessBar } from '../freshness/FreshnessLine'

const WeighIn = lazy(() => import('./WeighIn'))

/** What is in hand: every lot as a ribbon through its gates. */
export function BasketPlace() {
  const context = useJudgeContext()
  const [search, setSearch] = useSearchParams()
  const [finished, setFinished] = useState(false)
  const phone = useIsPhone()
  const lots = useMemo(() => [...context.book.lots.values()].filter(isBegun), [context.book])
  const inHand = lots.filter((lot) => !isUsedUp(lot))
  const [find, setFind] = useState('')
  const order = search.get('first') === 'due' ? 'due' : 'latest'
  const all = finished ? lots : inHand
  const long = all.length >= LONG_LIST
  const shown = all
    .filter((lot) => !long || says(find, ...Object.values(lotName(lot, context)), lot.code))
    .toSorted(order === 'due' ? (a, b) => byDue(a, b, context) : (a, b) => (a.code < b.code ? 1 : -1))
  const fullMass_g = Math.max(1, ...shown.map(beganWith_g))
  const picked_g = inHand.reduce((sum, { mass_g }) => sum + mass_g, 0)
  const patches = new Set(inHand.flatMap((lot) => strandsOf(lot).map((strand) => strand.lot.weighedIn?.patch))).size
  return (
    <>
      <div className="place-head">
        <div>
          <h1>In the basket</h1>
          <p>
            {inHand.length > 0 &&
              `${formatCount(inHand.length, 'lot')} from ${formatCount(patches, 'patch', 'patches')} · ${formatMass(picked_g)} in hand · `}
            {inHand.length > 0 ? 'nothing' : 'Nothing'} reaches a plate through a closed gate
          </p>
        </div>
        <div className="place-acts">
          <label className="switch">
            <Switch checked={finished} onChange={setFinished} /> finished lots too
          </label>
          <Button type="primary" size="large" onClick={() => setSearch({ weigh: '1' })}>
            Weigh in
          </Button>
        </div>
      </div>
      {long && (
        <FindBar
          find={find}
          onFind={setFind}
          label="Find in the basket"
          placeholder="Find a plant, a patch, a lot  ( / )"
          choiceLabel="Which first"
          choices={[
            { value: 'latest', label: 'latest first' },
            { value: 'due', label: 'due first' },
          ]}
          chosen={order}
          onChoose={(first) => setSearch(first === 'due' ? { first } : {}, { replace: true })}
        />
      )}
      {shown.length === 0 && find !== '' ? (
        <section className="empty">
          <p>No lot here is called “{find}”.</p>
        </section>
      ) : shown.length === 0 ? (
        <section className="empty">
          <h2>The basket is empty</h2>
          <p>Weigh in what you brought home, and every gate it must pass stands here.</p>
        </section>
      ) : (
        <>
          {!phone && <GateHeads />}
          <ul className="lots">
            {shown.map((lot) => (
              <li key={lot.id}>
                <LotRow lot={lot} context={context} fullMass_g={fullMass_g} phone={phone} />
              </li>
            ))}
          </ul>
        </>
      )}
      {search.get('weigh') !== null && (
        <OnDemand>
          <WeighIn open onClose={() => setSearch({})} />
        </OnDemand>
      )}
    </>
  )
}

/** What must be seen to soonest stands first; what has no hour last. */
function byDue(a: LotState, b: LotState, context: JudgeContext): number {
  const at = (lot: LotState) => doNow(lot, context).by ?? '9'
  return at(a) < at(b) ? -1 : at(a) > at(b) ? 1 : a.code < b.code ? 1 : -1
}

const RIBBON_WIDTH = 880

function GateHeads() {
  return (
    <div className="gate-heads" aria-hidden="true">
      {Object.values(GATE_NAMES).map((name) => (
        <span key={name}>{name}</span>
      ))}
    </div>
  )
}

function LotRow({
  lot,
  context,
  fullMass_g,
  phone,
}: {
  lot: LotState
  context: JudgeContext
  fullMass_g: number
  phone: boolean
}) {
  const views = useMemo(() => gateViews(lot, context), [lot, context])
  const ribbon = useMemo(() => ribbonOf(lot, context), [lot, context])
  const next = useMemo(() => doNow(lot, context), [lot, context])
  const name = lotName(lot, context)
  const shut = views[ribbon.stopsAt]
  return (
    <Link to={`/lot/${lot.id}`} className="lot-row">
      <div className="lot-who">
        <h2>{name.title}</h2>
        <p title={name.scientificName}>
          {lot.code} · {formatMass(lot.mass_g)} · {name.patch}
        </p>
        <Freshness lot={lot} next={next} context={context} />
      </div>
      <div className="lot-way">
        <p
          className={`lot-says ${next.act.kind === 'stop' ? 'closed' : (shut?.state ?? 'open')}`}
          style={besideStop(ribbon.stopsAt)}
        >
          {told(next, shut)}
        </p>
        <RibbonDrawing
          ribbon={ribbon}
          views={views}
          width={phone ? 356 : RIBBON_WIDTH}
          height={phone ? 48 : 44}
          fullMass_g={fullMass_g}
          radius={phone ? 16 : 19}
        />
      </div>
    </Link>
  )
}

/** The sentence stands beside the gate it speaks of. */
function besideStop(stopsAt: number) {
  const share = Math.min(stopsAt, 7) / 7
  return share < 0.5
    ? { paddingInlineStart: `${share * 94}%` }
    : { paddingInlineEnd: `${(1 - share) * 94}%`, textAlign: 'end' as const }
}

function told(next: DoNow, shut: GateView | undefined): string {
  if (next.act.kind === 'stop') return inUnits(next.detail)
  if (shut === undefined || next.act.kind === 'done') return next.title
  if (next.act.kind === 'bath') return `${next.title}. ${next.act.counted} of at least ${next.act.least} are done.`
  return shut.gate === 'makeSafe' ? inUnits(`${next.title}. ${next.detail}`) : next.title
}

/** Its time as a bar, and what the next hours ask; never that it is good to eat. */
function Freshness({ lot, next, context }: { lot: LotState; next: DoNow; context: JudgeContext }) {
  const freshness = freshnessOf(lot, context)
  if (freshness.state === 'over')
    return (
      <>
        <FreshnessBar freshness={freshness} />
        <p className="freshness over">DO NOT EAT</p>
      </>
    )
  if (next.by === null) return null
  const left = minutesBetween(context.now, next.by)
  const what = next.act.kind === 'bath' ? 'change it in' : freshness.life.kind === 'raw' ? 'keeps raw' : 'keeps'
  return (
    <>
      <FreshnessBar freshness={freshness} />
      <p className={left < 0 ? 'freshness over' : left < 240 ? 'freshness soon' : 'freshness'}>
        {left < 0
          ? `${formatSpan(-left)} over its time`
          : `${what} ${formatSpan(left)}${next.act.kind === 'bath' ? '' : ' more'}`}
      </p>
    </>
  )
}

import { beganWith_g, doNow, gateViews, isBegun, isStopped, lotName, ribbonOf } from '@ellop/core'
import { Tabs } from 'antd'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useIsPhone } from '../app/useWidth'
import { useJudgeContext } from '../book/bookStore'
import { RibbonDrawing } from '../drawing/RibbonDrawing'
import { GatesTab } from './GatesTab'
import { NowCard } from './NowCard'
import { OtherNotes } from './OtherNotes'
import { PlanTab } from './PlanTab'
import { StoryTab } from './StoryTab'
import { ThenCard } from './ThenCard'
import { NotThere } from '../controls/NotThere'

/** One lot: its gates, the one thing to do now, its plan, running it, and its story. */
export default function LotPlace() {
  const { id = '' } = useParams()
  const context = useJudgeContext()
  const phone = useIsPhone()
  const lot = context.book.lots.get(id)
  const drawn = useMemo(
    () =>
      lot === undefined || !isBegun(lot)
        ? undefined
        : { views: gateViews(lot, context), ribbon: ribbonOf(lot, context), next: doNow(lot, context) },
    [lot, context],
  )
  if (lot === undefined || drawn === undefined)
    return (
      <NotThere what="There is no such lot" to="/basket" onward="To the basket">
        It may have been struck out.
      </NotThere>
    )
  const name = lotName(lot, context)
  const safe = drawn.views.some(({ gate, state }) => gate === 'makeSafe' && state === 'open')
  // What cannot be cleared any more is planned for no more than what is closed.
  const stopped = drawn.next.act.kind === 'stop' || isStopped(lot, context)
  return (
    <>
      <div className="lot-head">
        <div>
          <h1>{name.title}</h1>
          <p>
            <Link to={`/plant/${encodeURIComponent(name.scientificName)}`}>
              <i>{name.scientificName}</i>
            </Link>{' '}
            · lot {lot.code} · {name.patch}
          </p>
        </div>
        <RibbonDrawing
          {...drawn}
          width={phone ? 356 : 860}
          height={phone ? 50 : 86}
          fullMass_g={Math.max(1, beganWith_g(lot))}
          radius={phone ? 15 : 20}
          withNames={!phone}
        />
      </div>
      <div className="lot-work">
        <NowCard key={JSON.stringify(drawn.next.act)} lot={lot} next={drawn.next} context={context} />
        {!stopped && !safe && <ThenCard lot={lot} context={context} />}
      </div>
      <Tabs
        className="lot-tabs"
        items={[
          // Nothing is typed in these two: out of sight they are not kept up with the book.
          {
            key: 'gates',
            label: 'Gates',
            destroyOnHidden: true,
            children: <GatesTab views={drawn.views} lot={lot} context={context} />,
          },
          ...(stopped ? [] : [{ key: 'plan', label: 'Plan', children: <PlanTab lot={lot} context={context} /> }]),
          { key: 'story', label: 'Story', destroyOnHidden: true, children: <StoryTab lot={lot} context={context} /> },
          { key: 'other', label: 'Note something else', children: <OtherNotes lot={lot} /> },
        ]}
      />
    </>
  )
}

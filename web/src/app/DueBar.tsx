import {
  dueList,
  formatDay,
  formatSpan,
  fromMs,
  HOUR_ms,
  kitchenAt,
  minutesBetween,
  timeOf,
  toMs,
  type DueItem,
} from '@ellop/core'
import { Button, Dropdown } from 'antd'
import { lazy, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useBook, useJudgeContext } from '../book/bookStore'
import { dueNow } from '../book/dueNow'
import { whenIdle } from '../book/whenIdle'
import { useIsPhone } from './useWidth'
import { OnDemand } from '../controls/OnDemand'
import { whenWords } from '../controls/whenWords'

const ShortWindows = lazy(() => import('../season/ShortWindows'))

const SHOWN = 4
/** The season is reckoned for the short windows when nothing else is to be done. */
const IDLE_WITHIN_ms = 4000

function useIdle(): boolean {
  const [idle, setIdle] = useState(false)
  useEffect(() => whenIdle(() => setIdle(true), IDLE_WITHIN_ms), [])
  return idle
}

/** What the next twelve hours ask, along the bottom of every screen; and the demonstration's clock, which can be wound forward. */
export function DueBar() {
  const context = useJudgeContext()
  // What was just noted is told first; the bar follows.
  const settled = useDeferredValue(context, undefined)
  const windTo = useBook((book) => book.windTo)
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const items = useMemo(() => (settled === undefined ? undefined : dueNow(settled)), [settled])
  const [open, setOpen] = useState(false)
  const idle = useIdle()
  const [windowShown, setWindowShown] = useState(false)
  const phone = useIsPhone()
  const shown = phone ? 1 : windowShown ? SHOWN - 1 : SHOWN
  const later = useMemo(
    () => (open ? dueList(context, 24 * 400).find(({ at }) => at > context.now) : undefined),
    [context, open],
  )
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const { now } = context
  const codeOf = (lot: string) => context.book.lots.get(lot)?.code ?? lot
  const winds = [
    { label: 'An hour forward', to: fromMs(toMs(now) + HOUR_ms) },
    { label: 'A day forward', to: fromMs(toMs(now) + 24 * HOUR_ms) },
    ...(later === undefined ? [] : [{ label: `To the next thing due (${timeOf(later.at, timeZone)})`, to: later.at }]),
  ]
  return (
    <footer className="due-bar" aria-label="Due">
      <div className="due-clock">
        <strong>Due</strong>
        {isDemo ? (
          <Dropdown
            trigger={['click']}
            open={open}
            onOpenChange={setOpen}
            placement="topLeft"
            menu={{
              // Keyed by where it winds to: by the time a choice is taken the list may have been drawn anew without it.
              items: winds.map(({ to, label }) => ({ key: to, label })),
              onClick: ({ key }) => void windTo(key),
            }}
          >
            <Button
              type="text"
              className="clock-button"
              aria-label={`The demonstration’s clock: ${formatDay(now, timeZone)}, ${timeOf(now, timeZone)}. Wind it forward.`}
            >
              <span>
                <span className="unbroken">{formatDay(now, timeZone)},</span>{' '}
                <span className="unbroken">{timeOf(now, timeZone)} ▸</span>
              </span>
            </Button>
          </Dropdown>
        ) : (
          <span className="clock-button">
            <span className="unbroken">{formatDay(now, timeZone)},</span>{' '}
            <span className="unbroken">{timeOf(now, timeZone)}</span>
          </span>
        )}
      </div>
      {items === undefined ? (
        <p className="due-none">Looking …</p>
      ) : (
        items.length === 0 && !windowShown && <p className="due-none">Nothing is due in the next twelve hours.</p>
      )}
      <ol className="due-items">
        {items?.slice(0, shown).map((item) => (
          <li key={`${item.lot}${item.pack ?? ''}`}>
            <DueLink
              item={item}
              now={now}
              timeZone={timeZone}
              code={items.some((other) => other !== item && other.act === item.act) ? codeOf(item.lot) : ''}
            />
          </li>
        ))}
        {idle && (
          <OnDemand quiet>
            <ShortWindows onShown={setWindowShown} />
          </OnDemand>
        )}
      </ol>
      {items !== undefined && items.length > shown && (
        <Link to="/basket?first=due" className="due-more" aria-label={`${items.length - shown} more are due`}>
          +{items.length - shown}
        </Link>
      )}
    </footer>
  )
}

function DueLink({
  item,
  now,
  timeZone,
  code,
}: {
  item: DueItem
  now: string
  timeZone: string
  /** Where several lots ask the same. */
  code: string
}) {
  const left = minutesBetween(now, item.at)
  const spell = item.overdue ? `${formatSpan(-left)} late` : item.running ? 'now running' : `in ${formatSpan(left)}`
  return (
    <Link
      to={item.pack === null ? `/lot/${item.lot}` : '/larder'}
      className={item.overdue ? 'due-item overdue' : item.running ? 'due-item running' : 'due-item'}
    >
      <span className="due-time">{whenWords(item.at, now, timeZone)}</span>
      <span className="due-act">
        <strong>{item.act}</strong>
        <span>
          {code !== '' && <span className="due-code">{code} · </span>}
          {spell}
        </span>
      </span>
    </Link>
  )
}

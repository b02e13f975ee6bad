import {
  describeEntry,
  formatDay,
  isLotEntry,
  kitchenAt,
  massBalance,
  timeOf,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useBook } from '../book/bookStore'
import { BalanceDrawing } from '../drawing/BalanceDrawing'
import { formatMass, inUnits } from '../units/units'

/** What became of it: every gram on one picture, and every entry in order. */
export function StoryTab({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const log = useBook((book) => book.log)
  const entries = useMemo(() => log.order.filter((entry) => isLotEntry(entry) && entry.lot === lot.id), [log, lot.id])
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const balance = massBalance(lot)
  return (
    <div className="story-tab">
      <figure>
        <figcaption>
          What became of the {formatMass(balance.picked_g)}
          {balance.takenUp_g > 0 && ` and the ${formatMass(balance.takenUp_g)} that came to it`}
        </figcaption>
        <BalanceDrawing balance={balance} />
      </figure>
      <div>
        <ol className="log-lines">
          {entries.map((entry) => (
            <li key={entry.id} className={log.amendments.struck.has(entry.id) ? 'struck' : ''}>
              <time dateTime={entry.at}>
                {formatDay(entry.at, timeZone)} {timeOf(entry.at, timeZone)}
              </time>
              <span>{inUnits(describeEntry(entry, context.book, context.catalogue))}</span>
            </li>
          ))}
        </ol>
        <p>
          A mistake in it? <Link to={`/notebook?find=${lot.id}`}>Strike it out in the notebook</Link>.
        </p>
      </div>
    </div>
  )
}

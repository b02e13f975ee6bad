import { formatCount, shortWindows } from '@ellop/core'
import { useEffect } from 'react'
import { Link } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { useSeason } from './useSeason'
import { rowName } from './words'

/** Fewer days left, and it is told as ending. */
const SOON_PAST_days = 5

/** In the due list: the short window that opens or closes next at a patch, and how many more there are; it takes the place of one item. */
export default function ShortWindows({ onShown }: { onShown: (shown: boolean) => void }) {
  const context = useJudgeContext()
  const { told } = useSeason(context, { daily: true })
  const windows = told === undefined || told === 'failed' ? [] : shortWindows(told.rows, context)
  const [first] = windows
  const shown = first !== undefined
  useEffect(() => onShown(shown), [onShown, shown])
  if (first === undefined) return null
  const { row, what, in_days } = first
  const [least = 0, most = 0] = row.range_days.map((each) => Math.max(0, each))
  const more = windows.length - 1
  const days = Math.max(0, in_days)
  return (
    <li className="due-window">
      <Link
        to={`/season?find=${encodeURIComponent(rowName(row).name)}`}
        className="due-item"
        aria-label={`${rowName(row).name} at ${context.book.house.patches[row.patch]?.name ?? row.patch}: a short window ${what} in about ${formatCount(days, 'day')}`}
      >
        <span className="due-time">{days === 0 ? 'now' : `${days} d`}</span>
        <span className="due-act">
          <strong>
            {rowName(row).name}: {what === 'opens' ? 'soon' : days <= SOON_PAST_days ? 'last days' : 'picking time'}
          </strong>
          <span>
            {context.book.house.patches[row.patch]?.name ?? row.patch}
            {` · ${what} in ${least} to ${formatCount(most, 'day')}`}
            {more > 0 && ` · and ${more} more`}
          </span>
        </span>
      </Link>
    </li>
  )
}

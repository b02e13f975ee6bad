import { formatDay, isAmendment, timeOf, type Entry } from '@ellop/core'
import { Button } from 'antd'
import { memo } from 'react'
import { Link } from 'react-router'

/** One entry of the notebook. Drawn again only when it reads differently: thirty are on a page, and each note renews the book. */
export const EntryLine = memo(function EntryLine({
  entry,
  says,
  lot,
  lotCode,
  writer,
  struck,
  moved,
  timeZone,
  onRedate,
  onStrike,
}: {
  entry: Entry
  says: string
  lot: string | undefined
  lotCode: string
  /** Who wrote it, where that was not the cook. */
  writer: string | undefined
  struck: boolean
  /** Its time was changed since it was written. */
  moved: boolean
  timeZone: string
  onRedate: (entry: Entry) => void
  onStrike: (entry: Entry) => void
}) {
  return (
    <li className={struck ? 'struck' : ''}>
      <time dateTime={entry.at}>
        {formatDay(entry.at, timeZone, true)} <strong>{timeOf(entry.at, timeZone)}</strong>
      </time>
      <span className="line">
        {lot !== undefined && <Link to={`/lot/${lot}`}>{lotCode}</Link>} {says}
        {writer !== undefined && <span className="soft">· {writer}</span>}
        {struck && <span className="tag">struck out</span>}
        {moved && <span className="tag">time changed</span>}
      </span>
      <span className="entry-acts">
        {!struck && !isAmendment(entry) && (
          <Button type="text" aria-label={`Change the time: ${says}`} onClick={() => onRedate(entry)}>
            Time
          </Button>
        )}
        {!struck && (
          <Button
            type="text"
            className="strike-button"
            aria-label={`Strike out: ${says}`}
            onClick={() => onStrike(entry)}
          >
            Strike out
          </Button>
        )}
      </span>
    </li>
  )
})

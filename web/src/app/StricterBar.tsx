import { becameStricter, formatDate, judgedNow, lotName, type Judged, type Stricter } from '@ellop/core'
import { Button } from 'antd'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { openBookStorage, useBook, useJudgeContext } from '../book/bookStore'
import { whenIdle } from '../book/whenIdle'
import { inUnits } from '../units/units'

/** So long after the last change all is judged, for the next revision to be held against; nobody waits for it. */
const REST_ms = 5000
const IDLE_WITHIN_ms = 2000
/** So many are named at once. */
const FEW = 3

/** Says what a newer catalogue holds against what is in hand and in the larder, that the one before it let through. */
export function StricterBar() {
  const context = useJudgeContext()
  const book = useBook((state) => state.book)
  const [before, setBefore] = useState<Judged>()
  const [stricter, setStricter] = useState<readonly Stricter[]>()
  useEffect(() => {
    let gone = false
    void openBookStorage()
      .judged()
      .catch(() => undefined)
      .then((judged) => {
        if (gone) return
        setBefore(judged)
        setStricter(judged === undefined ? [] : becameStricter(judged, context))
      })
    return () => {
      gone = true
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- held against the catalogue once, when the book is opened
  }, [])
  const told = stricter !== undefined && stricter.length === 0
  useEffect(() => {
    if (!told || book.kind === 'guest') return undefined
    const keep = () =>
      void openBookStorage()
        .setJudged(judgedNow(context))
        .catch(() => undefined)
    const resting = setTimeout(() => whenIdle(keep, IDLE_WITHIN_ms), REST_ms)
    return () => clearTimeout(resting)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- kept anew when something was noted, not every minute
  }, [told, book, context.book])
  if (before === undefined || stricter === undefined || stricter.length === 0) return null
  return (
    <div className="offline-bar stricter-bar" role="alert">
      <p>
        <span>The plant list is stricter now than that of {formatDate(before.revision)} for what you have:</span>
        <Button onClick={() => setStricter([])}>I have read it</Button>
      </p>
      <ul>
        {stricter.slice(0, FEW).map((each) => (
          <StricterLine key={`${each.lot} ${each.pack ?? ''}`} stricter={each} />
        ))}
        {stricter.length > FEW && <li>and {stricter.length - FEW} more, held in the basket and the larder.</li>}
      </ul>
    </div>
  )
}

function StricterLine({ stricter: { lot: id, pack, says } }: { stricter: Stricter }) {
  const context = useJudgeContext()
  const lot = context.book.lots.get(id)
  if (lot === undefined) return null
  return (
    <li>
      <Link to={`/lot/${id}`}>
        {lotName(lot, context).title}, {pack === null ? `lot ${lot.code}` : `pack ${pack}`}
      </Link>
      : {inUnits(says.join(' '))}
    </li>
  )
}

import { formatCount, formatDay, kitchenAt, type Entry } from '@ellop/core'
import { useMemo } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { inUnits } from '../units/units'
import { useEngine } from '../workers/useEngine'

/** So many are shown before the rest is only counted. */
const SHOWN = 5

const NONE: readonly Entry[] = []

/**
 * What of a file would not have been allowed when it was noted: told before it is taken in, and taken in as a fact.
 * @param own the entries of the book it is added to, where it is added to one.
 */
export function NotAllowed({ fresh, own = NONE }: { fresh: readonly Entry[]; own?: readonly Entry[] }) {
  const { book, now } = useJudgeContext()
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const question = useMemo(() => ({ own, fresh }), [own, fresh])
  const told = useEngine('notAllowed', fresh.length === 0 ? undefined : question)
  if (fresh.length === 0) return null
  if (told === undefined)
    return (
      <p className="told" aria-busy="true">
        Going through what was tasted, eaten and packed …
      </p>
    )
  if (told === 'failed')
    return (
      <p className="told">
        What was tasted, eaten and packed could not be gone through. The gates judge it all the same.
      </p>
    )
  if (told.length === 0) return <p className="told">Everything in it would have been allowed here.</p>
  return (
    <div className="refusal not-allowed" role="alert">
      <p>
        <b>{formatCount(told.length, 'act')} would not have been allowed here.</b> What was eaten was eaten: it is taken
        in as it was noted, and what is left is judged by it.
      </p>
      <ul>
        {told.slice(0, SHOWN).map(({ id, at, says, message }) => (
          <li key={id}>
            {formatDay(at, timeZone, true)} · {inUnits(says)}
            <span className="why">{inUnits(message)}</span>
          </li>
        ))}
      </ul>
      {told.length > SHOWN && <p>And {told.length - SHOWN} more.</p>}
    </div>
  )
}

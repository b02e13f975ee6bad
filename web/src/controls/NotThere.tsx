import type { ReactNode } from 'react'
import { Link } from 'react-router'

/** A place of something that is not in the book or on record: what is not there, and the way on. */
export function NotThere({
  what,
  to,
  onward,
  children,
}: {
  what: string
  to: string
  onward: string
  children?: ReactNode
}) {
  return (
    <section className="empty">
      <h1>{what}</h1>
      {children !== undefined && <p>{children}</p>}
      <p>
        <Link to={to}>{onward}</Link>
      </p>
    </section>
  )
}

import { boilingPoint, grouped, kitchenAt } from '@ellop/core'
import { Fragment, useEffect, useRef } from 'react'
import { NavLink, useLocation } from 'react-router'
import { useBook, useJudgeContext } from '../book/bookStore'
import { useWriterName } from '../controls/WhoWrites'
import { PLACES } from './places'
import { useIsPhone } from './useWidth'
import { formatTemp, inUnits } from '../units/units'

/** The name, the path of places in the order of the work, and the kitchen one stands in. */
export function PathBar() {
  const { book, now } = useJudgeContext()
  const ready = useBook(({ status }) => status === 'ready')
  const { pathname } = useLocation()
  const open = useBook(({ book: current }) => current)
  const path = useRef<HTMLElement>(null)
  const phone = useIsPhone()
  const writer = useWriterName()
  useEffect(() => {
    // On a phone the path is wider than the screen: the place one stands in is to be seen on it.
    if (phone) path.current?.querySelector('.here')?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [pathname, ready, phone])
  const kitchen = ready ? kitchenAt(book.house, now) : undefined
  return (
    <header className="path-bar">
      <NavLink to="/basket" className="wordmark" aria-label="Ellop, to the basket">
        <img src="/mark.svg" alt="" width={30} height={30} />
        Ellop
      </NavLink>
      <nav aria-label="Places" className="path" ref={path}>
        {PLACES.map(({ path, name }, index) => (
          <Fragment key={path}>
            {index > 0 && <span className="path-dots" aria-hidden="true" />}
            <NavLink
              to={path}
              className={({ isActive }) =>
                isActive || (path === '/basket' && pathname.startsWith('/lot/')) ? 'path-step here' : 'path-step'
              }
            >
              {name}
            </NavLink>
          </Fragment>
        ))}
      </nav>
      {kitchen !== undefined && (
        <p className="kitchen-facts">
          <strong>{kitchen.name}</strong>
          <span>
            {inUnits(`${grouped(kitchen.elevation_m)} m`)} · water boils at{' '}
            {formatTemp(boilingPoint({ elevation_m: kitchen.elevation_m }).temp_C)}
          </span>
        </p>
      )}
      <div className="path-end">
        {ready && (
          <span className="path-books">
            <NavLink to="/plants">Plants</NavLink>
            <NavLink to="/books" className="demo-note">
              {open.kind === 'demo'
                ? 'Demonstration book'
                : open.kind === 'guest'
                  ? 'Somebody else’s, only read'
                  : 'Your book'}
              {writer !== undefined && ` · ${writer} writes`}
            </NavLink>
          </span>
        )}
        <NavLink to="/ill" className="ill-link">
          Somebody is ill
        </NavLink>
      </div>
    </header>
  )
}

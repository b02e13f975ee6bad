import { Button, Spin } from 'antd'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Navigate, Route, Routes } from 'react-router'
import { BasketPlace } from '../basket/BasketPlace'
import { useBook } from '../book/bookStore'
import { SoonPlace } from '../soon/SoonPlace'
import { DueBar } from './DueBar'
import { KeyList, useKeys } from './keys'
import { PathBar } from './PathBar'

const LotPlace = lazy(() => import('../lot/LotPlace'))
const TablePlace = lazy(() => import('../table/TablePlace'))
const LarderPlace = lazy(() => import('../larder/LarderPlace'))
const NotebookPlace = lazy(() => import('../notebook/NotebookPlace'))

/** The shell: the path on top, a place, the due list along the bottom. Nothing is shown as food before the book is read. */
export function App() {
  const status = useBook((book) => book.status)
  const failure = useBook((book) => book.failure)
  const open = useBook((book) => book.open)
  const [keysShown, setKeysShown] = useState(false)
  useKeys(() => setKeysShown(true))
  useEffect(() => {
    if (status === 'loading') void open()
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the book is opened once
  }, [])
  return (
    <div className="shell">
      <a className="skip" href="#place">
        Skip to the work
      </a>
      <PathBar />
      <main id="place" tabIndex={-1}>
        {status === 'loading' && <Waiting />}
        {status === 'failed' && (
          <section className="empty" role="alert">
            <h1>The book would not open</h1>
            <p>{failure}</p>
            <Button type="primary" onClick={() => window.location.reload()}>
              Try again
            </Button>
          </section>
        )}
        {status === 'ready' && (
          <Suspense fallback={<Waiting />}>
            <Routes>
              <Route path="/" element={<Navigate to="/basket" replace />} />
              <Route
                path="/season"
                element={<SoonPlace name="Season" tells="what is ready when, and how long for" />}
              />
              <Route
                path="/outing"
                element={<SoonPlace name="Outing" tells="where to go, what to bring and how much to take" />}
              />
              <Route path="/basket" element={<BasketPlace />} />
              <Route path="/lot/:id" element={<LotPlace />} />
              <Route
                path="/kitchen"
                element={<SoonPlace name="Kitchen" tells="who does what on which burner, and when" />}
              />
              <Route path="/table" element={<TablePlace />} />
              <Route path="/larder" element={<LarderPlace />} />
              <Route path="/notebook" element={<NotebookPlace />} />
              <Route path="*" element={<SoonPlace name="Nothing here" tells="no place of that name" />} />
            </Routes>
          </Suspense>
        )}
      </main>
      {status === 'ready' && <DueBar />}
      <KeyList open={keysShown} onClose={() => setKeysShown(false)} />
    </div>
  )
}

function Waiting() {
  return (
    <section className="empty" aria-busy="true">
      <Spin />
      <p>Reading the book. Every gate counts as shut until it is read.</p>
    </section>
  )
}

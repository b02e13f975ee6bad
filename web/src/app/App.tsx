import { Button, Spin } from 'antd'
import { lazy, useState } from 'react'
import { Navigate, Route, Routes, useLocation } from 'react-router'
import { BasketPlace } from '../basket/BasketPlace'
import { useBook } from '../book/bookStore'
import { OnDemand } from '../controls/OnDemand'
import { CallNow } from '../ill/CallNow'
import { IllPlace } from '../ill/IllPlace'
import { useUnits } from '../units/units'
import { NotThere } from '../controls/NotThere'
import { DueBar } from './DueBar'
import { BroughtBackBar } from './BroughtBackBar'
import { ClockBar, SetAsideBar } from './SetAsideBar'
import { OfflineBar } from './OfflineBar'
import { useKeys } from './useKeys'
import { PathBar } from './PathBar'
import { SaidLine } from './SaidLine'
import { StricterBar } from './StricterBar'

const LotPlace = lazy(() => import('../lot/LotPlace'))
const FieldPlace = lazy(() => import('../outing/FieldPlace'))
const OutingPlace = lazy(() => import('../outing/OutingPlace'))
const PatchesPlace = lazy(() => import('../ground/PatchesPlace'))
const PatchPlace = lazy(() => import('../ground/PatchPlace'))
const SeasonPlace = lazy(() => import('../season/SeasonPlace'))
const TablePlace = lazy(() => import('../table/TablePlace'))
const LarderPlace = lazy(() => import('../larder/LarderPlace'))
const NotebookPlace = lazy(() => import('../notebook/NotebookPlace'))
const KeyList = lazy(() => import('./KeyList'))
const WelcomePlace = lazy(() => import('../books/WelcomePlace'))
const BooksPlace = lazy(() => import('../books/BooksPlace'))
const TellsPlace = lazy(() => import('../tells/TellsPlace'))
const PlantsPlace = lazy(() => import('../plants/PlantsPlace'))
const OwnPlantPlace = lazy(() => import('../plants/OwnPlantPlace'))
const PlantPlace = lazy(() => import('../plants/PlantPlace'))
const FieldCard = lazy(() => import('../plants/FieldCard'))
const HandOver = lazy(() => import('../kitchen/HandOver'))
const KitchenPlace = lazy(() => import('../kitchen/KitchenPlace'))
const RehearsalsPlace = lazy(() => import('../rehearsal/RehearsalsPlace'))
const RehearsalPlace = lazy(() => import('../rehearsal/RehearsalPlace'))
const RecallPlace = lazy(() => import('../recall/RecallPlace'))

/** The shell: the path on top, a place, the due list along the bottom. Nothing is shown as food before the book is read. */
export function App() {
  const status = useBook((book) => book.status)
  const failure = useBook((book) => book.failure)
  const book = useBook((state) => state.book.id)
  const [keysShown, setKeysShown] = useState(false)
  // Every figure is written while it is drawn: other measures draw the shell, and so each place, anew.
  useUnits()
  const { pathname } = useLocation()
  const Title = pathname === '/ill' ? 'h2' : 'h1'
  useKeys(() => setKeysShown(true))
  return (
    <div className="shell">
      <a className="skip" href="#place">
        Skip to main content
      </a>
      <PathBar />
      {status === 'ready' && <OfflineBar />}
      <BroughtBackBar />
      {status === 'ready' && <SetAsideBar />}
      {status === 'ready' && <ClockBar />}
      {status === 'ready' && <StricterBar key={book} />}
      <main id="place" tabIndex={-1} data-place={pathname}>
        {status !== 'ready' && pathname === '/ill' && <CallNow />}
        {status === 'loading' && <Waiting says="Reading the book. Every gate counts as closed until it is read." />}
        {status === 'failed' && (
          <section className="empty" role="alert">
            <Title>The book would not open</Title>
            <p>{failure}</p>
            <Button type="primary" onClick={() => window.location.reload()}>
              Try again
            </Button>
          </section>
        )}
        {status === 'choosing' && (
          <OnDemand waiting={<Waiting says="One moment: this place is being fetched." />}>
            <WelcomePlace />
          </OnDemand>
        )}
        {status === 'ready' && (
          <OnDemand waiting={<Waiting says="One moment: this place is being fetched." />} place={pathname}>
            <Routes>
              <Route path="/" element={<Navigate to="/basket" replace />} />
              <Route path="/season" element={<SeasonPlace />} />
              <Route path="/outing" element={<OutingPlace />} />
              <Route path="/outing/:id" element={<FieldPlace />} />
              <Route path="/basket" element={<BasketPlace />} />
              <Route path="/lot/:id" element={<LotPlace />} />
              <Route path="/lot/:id/tells" element={<TellsPlace />} />
              <Route path="/patches" element={<PatchesPlace />} />
              <Route path="/patch/:id" element={<PatchPlace />} />
              <Route path="/plants" element={<PlantsPlace />} />
              <Route path="/plants/own" element={<OwnPlantPlace />} />
              <Route path="/plant/:name" element={<PlantPlace />} />
              <Route path="/plant/:name/card" element={<FieldCard />} />
              <Route path="/kitchen" element={<KitchenPlace />} />
              <Route path="/handing-on" element={<HandOver />} />
              <Route path="/table" element={<TablePlace />} />
              <Route path="/larder" element={<LarderPlace />} />
              <Route path="/books" element={<BooksPlace />} />
              <Route path="/ill" element={<IllPlace />} />
              <Route path="/rehearsals" element={<RehearsalsPlace />} />
              <Route path="/rehearsal/:id" element={<RehearsalPlace />} />
              <Route path="/recall" element={<RecallPlace />} />
              <Route path="/notebook" element={<NotebookPlace />} />
              <Route
                path="*"
                element={<NotThere what="There is no place of that name" to="/basket" onward="To the basket" />}
              />
            </Routes>
          </OnDemand>
        )}
      </main>
      {status === 'ready' && <DueBar />}
      <SaidLine />
      {keysShown && (
        <OnDemand>
          <KeyList onClose={() => setKeysShown(false)} />
        </OnDemand>
      )}
    </div>
  )
}

function Waiting({ says }: { says: string }) {
  return (
    <section className="empty" aria-busy="true">
      <Spin />
      <p>{says}</p>
    </section>
  )
}

import {
  describeEntry,
  formatCount,
  kitchenAt,
  LARGEST_FILE_BYTES,
  lotsTouched,
  type Entry,
  type ImportReading,
  type PositionsInFile,
} from '@ellop/core'
import { Button, Input, Modal, Pagination } from 'antd'
import { memo, useDeferredValue, useRef, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useBook, useJudgeContext } from '../book/bookStore'
import { FileInput } from '../controls/FileInput'
import { HoldButton } from '../controls/HoldButton'
import { say, sayRefused } from '../controls/said'
import { EntryLine } from './EntryLine'
import { NotAllowed } from './NotAllowed'
import { Redate } from './Redate'
import { saveFile } from './saveFile'
import { StrikeOut } from './StrikeOut'
import { useFound } from './useFound'
import { inUnits } from '../units/units'

const PAGE = 30

/** The log as it is: every entry, how to strike one out, and the whole book to a file and back. */
export default function NotebookPlace() {
  const context = useJudgeContext()
  const log = useBook((book) => book.log)
  const [search] = useSearchParams()
  const [page, setPage] = useState(1)
  const [striking, setStriking] = useState<Entry>()
  const [redating, setRedating] = useState<Entry>()
  const [find, setFind] = useState(search.get('find') ?? '')
  const words = useDeferredValue(find.trim().toLowerCase())
  const { lines, all } = useFound(log, words, page * PAGE + 1, context.catalogue)
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  return (
    <>
      <div className="place-head">
        <div>
          <h1>The notebook</h1>
          <p>
            {formatCount(log.entries.size, 'entry', 'entries')} · nothing is ever deleted: a mistake is struck out and
            stays legible
          </p>
        </div>
        <BookFileActs />
      </div>
      <Input
        data-find
        allowClear
        size="large"
        className="find"
        aria-label="Find in the notebook"
        placeholder="Find a word, a plant, a lot  ( / )"
        value={find}
        onChange={(event) => {
          setPage(1)
          setFind(event.target.value)
        }}
      />
      {log.entries.size === 0 ? (
        <EmptyBook />
      ) : lines.length === 0 ? (
        <section className="empty" aria-live="polite">
          <p>{all ? `Nothing in the notebook says “${find}”.` : 'Looking …'}</p>
        </section>
      ) : (
        <>
          <ol className="notebook">
            {lines.slice((page - 1) * PAGE, page * PAGE).map((entry) => {
              const [lot] = lotsTouched(entry)
              return (
                <EntryLine
                  key={entry.id}
                  entry={entry}
                  says={inUnits(describeEntry(entry, log.state, context.catalogue))}
                  lot={lot}
                  lotCode={lot === undefined ? '' : log.state.lots.get(lot)?.code || lot}
                  writer={log.state.house.eaters[entry.by]?.name}
                  struck={log.amendments.struck.has(entry.id)}
                  moved={log.entries.get(entry.id)?.at !== entry.at}
                  timeZone={timeZone}
                  onRedate={setRedating}
                  onStrike={setStriking}
                />
              )
            })}
          </ol>
          {lines.length > PAGE && (
            <Pages page={page} total={words === '' ? log.order.length : lines.length} onPage={setPage} />
          )}
        </>
      )}
      {redating !== undefined && <Redate entry={redating} onClose={() => setRedating(undefined)} />}
      {striking !== undefined && <StrikeOut entry={striking} onClose={() => setStriking(undefined)} />}
    </>
  )
}

const Pages = memo(function Pages({
  page,
  total,
  onPage,
}: {
  page: number
  total: number
  onPage: (page: number) => void
}) {
  return (
    <Pagination current={page} pageSize={PAGE} total={total} onChange={onPage} showSizeChanger={false} showLessItems />
  )
})

function EmptyBook() {
  const isDemo = useBook(({ book }) => book.kind === 'demo')
  const pourDemo = useBook((book) => book.pourDemo)
  return (
    <section className="empty">
      <h2>The book is empty</h2>
      <p>
        {isDemo
          ? 'Import it from a file, or take the demonstration again.'
          : 'Weigh something in, or import this book from a file.'}
      </p>
      {isDemo && (
        <Button size="large" onClick={() => void pourDemo()}>
          Take the demonstration again
        </Button>
      )}
    </section>
  )
}

const POSITIONS: readonly { readonly label: string; readonly positions: PositionsInFile }[] = [
  { label: 'Leave them out', positions: 'none' },
  { label: 'To the nearest 10 km', positions: { grid_km: 10 } },
  { label: 'To the nearest 1 km', positions: { grid_km: 1 } },
  { label: 'As they are, for my own copy', positions: 'exact' },
]

/** Drawn again only when it reads differently, and not with each note. */
const BookFileActs = memo(function BookFileActs() {
  const { exportText, exportCsv, noteSaved, readImport, takeImport, clearBook } = useBook.getState()
  const book = useBook((store) => store.book)
  const patches = useBook(({ log }) => log.state.house.patches)
  const input = useRef<HTMLInputElement>(null)
  const [reading, setReading] = useState<ImportReading & { readonly own: readonly Entry[] }>()
  const [clearing, setClearing] = useState(false)
  const [asking, setAsking] = useState(false)
  const placed = Object.values(patches).some(({ position }) => position !== undefined)
  const save = (positions: PositionsInFile) => {
    setAsking(false)
    saveFile(exportText(positions), 'application/json', `ellop-book-${useBook.getState().minute.slice(0, 10)}.json`)
    void noteSaved()
  }
  const saveCsv = () => saveFile(exportCsv(), 'text/csv', `ellop-entries-${useBook.getState().minute.slice(0, 10)}.csv`)
  const read = async (file: File | undefined) => {
    if (file === undefined) return
    if (file.size > LARGEST_FILE_BYTES)
      return setReading({ own: [], ok: false, message: 'The file is larger than 100 MB. Nothing was added.' })
    const found = await readImport(await file.text())
    setReading({ ...found, own: [...useBook.getState().log.entries.values()] })
  }
  const take = async () => {
    if (reading === undefined || !reading.ok) return
    const taken = await takeImport(reading.fresh)
    if (taken.ok) say(`${formatCount(reading.fresh.length, 'entry', 'entries')} added`)
    else sayRefused(taken.message)
    setReading(undefined)
  }
  return (
    <div className="place-acts">
      <Button size="large" onClick={() => (placed ? setAsking(true) : save('none'))}>
        Export the book
      </Button>
      <Button size="large" onClick={saveCsv}>
        As CSV
      </Button>
      {book.kind !== 'guest' && (
        <>
          <Button size="large" onClick={() => input.current?.click()}>
            Import
          </Button>
          <Button size="large" onClick={() => setClearing(true)}>
            Clear this browser
          </Button>
        </>
      )}
      <Link className="big-link" to="/books">
        Books
      </Link>
      <Link className="big-link" to="/recall">
        Recall
      </Link>
      <FileInput input={input} label="A book file" accept="application/json,.json" onFile={(file) => void read(file)} />
      <Modal title="Where your patches lie" open={asking} onCancel={() => setAsking(false)} footer={null}>
        <p>Telling the world where it grows has emptied woods. A file goes out without places unless you say so.</p>
        <div className="acts">
          {POSITIONS.map(({ label, positions }, index) => (
            <Button key={label} size="large" type={index === 0 ? 'primary' : 'default'} onClick={() => save(positions)}>
              {label}
            </Button>
          ))}
        </div>
      </Modal>
      <Modal title="Import" open={reading !== undefined} onCancel={() => setReading(undefined)} footer={null}>
        {reading?.ok === false && (
          <p className="refusal" role="alert">
            {reading.message}
          </p>
        )}
        {reading?.ok === true && (
          <>
            <p>
              {formatCount(reading.fresh.length, 'entry', 'entries')} would be added;{' '}
              {formatCount(reading.known, 'entry', 'entries')} of the file {reading.known === 1 ? 'is' : 'are'} here
              already.
            </p>
            <NotAllowed own={reading.own} fresh={reading.fresh} />
            <div className="acts">
              <Button type="primary" size="large" disabled={reading.fresh.length === 0} onClick={() => void take()}>
                Add them
              </Button>
            </div>
          </>
        )}
      </Modal>
      <Modal title="Clear this browser" open={clearing} onCancel={() => setClearing(false)} footer={null}>
        <p>This deletes every entry of this book here. Only a saved file can bring them back.</p>
        <div className="acts">
          <HoldButton
            tone="stop"
            onHold={() => {
              void clearBook()
              setClearing(false)
            }}
          >
            Press and hold to delete it
          </HoldButton>
        </div>
      </Modal>
    </div>
  )
})

import { formatCount, formatDay, fromMs, inOrder, LARGEST_FILE_BYTES, type ImportReading } from '@ellop/core'
import { Button, Checkbox, Modal } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { useShallow } from 'zustand/react/shallow'
import { DEMO_BOOK } from '../book/books'
import { canChooseFile, useAutosave } from '../book/autosave'
import { useBook } from '../book/bookStore'
import { askToKeep, roomThereIs, type Room } from '../book/room'
import { useSecondCopy } from '../secondCopy/secondCopy'
import { FileInput } from '../controls/FileInput'
import { say, sayRefused } from '../controls/said'
import { NotAllowed } from '../notebook/NotAllowed'
import { UnitsCard } from '../units/UnitsCard'
import { EatersCard } from './EatersCard'
import { KitchenCard } from './KitchenCard'
import { StartOwn } from './StartOwn'

const MB = 1_000_000
const AUTOSAVE_SAYS = {
  off: () => (canChooseFile() ? 'no file chosen' : 'this browser cannot: export it now and then'),
  on: (file: string) => `after every entry, to ${file}`,
  asks: (file: string) => `waits: the browser wants to be asked again before it writes to ${file}`,
  failed: (file: string) => `the last writing to ${file} failed: choose another file`,
} as const

const SECOND_COPY_SAYS = {
  unknown: 'it is being compared',
  whole: 'whole: every entry lies in a file beside the browser’s database',
  behind: 'behind: caught up with when the book is opened again',
  impossible: 'this browser keeps none: save the book to a file',
} as const

/** The books in this browser: which is open, how safe it is, and somebody else's beside it. */
export default function BooksPlace() {
  const { book, books, open, log } = useBook(useShallow(({ book, books, open, log }) => ({ book, books, open, log })))
  const navigate = useNavigate()
  const own = books.filter(({ kind }) => kind === 'own')
  return (
    <>
      <div className="place-head">
        <div>
          <h1>Books, kitchen, eaters</h1>
          <p>
            Open now: {book.name} · {formatCount(log.entries.size, 'entry', 'entries')}
            {book.kind === 'guest' && ' · only read: their tells, meetings and tongue are not yours'}
          </p>
        </div>
      </div>
      <div className="books">
        <section className="card">
          <h2>In this browser</h2>
          <ul className="book-list">
            {books.map((each) => (
              <li key={each.id} className={each.id === book.id ? 'here' : ''}>
                <span>
                  <strong>{each.name}</strong>
                  <span>
                    {each.kind === 'demo'
                      ? 'demonstration'
                      : each.kind === 'own'
                        ? 'yours'
                        : 'somebody else’s, only read'}
                  </span>
                </span>
                {each.id !== book.id && (
                  <Button
                    size="large"
                    onClick={() => {
                      void navigate('/basket')
                      void open(each.id)
                    }}
                  >
                    Open
                  </Button>
                )}
              </li>
            ))}
          </ul>
          <Guest />
        </section>
        <Safety />
        <UnitsCard />
        {book.kind !== 'guest' && (
          <>
            <KitchenCard />
            <EatersCard />
          </>
        )}
        {own.length === 0 && (
          <section className="card">
            <h2>Start a book of your own</h2>
            <StartOwn />
          </section>
        )}
      </div>
    </>
  )
}

/** Somebody else's book, from a file. */
function Guest() {
  const { readGuest, openGuest, closeGuest, carryOn } = useBook.getState()
  const book = useBook((store) => store.book)
  const navigate = useNavigate()
  const input = useRef<HTMLInputElement>(null)
  const ownInput = useRef<HTMLInputElement>(null)
  const [mine, setMine] = useState(false)
  const [reading, setReading] = useState<ImportReading>()
  const [carrying, setCarrying] = useState<Extract<ImportReading, { ok: true }>>()
  const read = async (file: File | undefined) => {
    if (file === undefined) return
    if (file.size > LARGEST_FILE_BYTES)
      return setReading({ ok: false, message: 'The file is larger than 100 MB. Nothing was added.' })
    const found = await readGuest(await file.text())
    setReading(found)
    if (!found.ok) return
    await openGuest(found.book, found.fresh)
    void navigate('/notebook')
  }
  const carry = async (file: File | undefined) => {
    if (file === undefined || !mine) return
    if (file.size > LARGEST_FILE_BYTES)
      return setReading({ ok: false, message: 'The file is larger than 100 MB. Nothing was added.' })
    const found = await readGuest(await file.text())
    setReading(found)
    if (found.ok) setCarrying(found)
  }
  const goOn = async ({ book: id, fresh }: Extract<ImportReading, { ok: true }>) => {
    setCarrying(undefined)
    await carryOn(id, fresh)
    say('Your book is here')
    void navigate('/basket')
  }
  return (
    <div className="guest">
      <h3>A friend’s book</h3>
      <p>Opened beside yours and only read: nothing of it counts in your kitchen.</p>
      <div className="acts">
        <Button size="large" onClick={() => input.current?.click()}>
          Open a friend’s book
        </Button>
        {book.kind === 'guest' && (
          <Button size="large" onClick={() => void closeGuest()}>
            Close it and forget it
          </Button>
        )}
      </div>
      <h3>My own book, from another device</h3>
      <p>
        A book that you saved to a file elsewhere goes on here, with everything in it. Only a book of your own: whoever
        goes on with it counts the marks, the sure days and the tastes in it as their own.
      </p>
      <Checkbox checked={mine} onChange={(event) => setMine(event.target.checked)}>
        It is my own book
      </Checkbox>
      <div className="acts">
        <Button size="large" disabled={!mine} onClick={() => ownInput.current?.click()}>
          Go on with my book here
        </Button>
      </div>
      <Modal
        title="Go on with my book"
        open={carrying !== undefined}
        onCancel={() => setCarrying(undefined)}
        footer={null}
      >
        {carrying !== undefined && (
          <>
            <p>{formatCount(carrying.fresh.length, 'entry', 'entries')} are in it.</p>
            <NotAllowed fresh={carrying.fresh} />
            <div className="acts">
              <Button type="primary" size="large" onClick={() => void goOn(carrying)}>
                Go on with it here
              </Button>
            </div>
          </>
        )}
      </Modal>
      <FileInput
        input={ownInput}
        label="The file of my own book"
        accept="application/json,.json"
        onFile={(file) => void carry(file)}
      />
      <FileInput
        input={input}
        label="A friend’s book file"
        accept="application/json,.json"
        onFile={(file) => void read(file)}
      />
      {reading?.ok === false && (
        <p className="refusal" role="alert">
          {reading.message}
        </p>
      )}
    </div>
  )
}

/** How safe the book is here: room, the browser's promise, the last file. */
function Safety() {
  const { savedAt, log, book } = useBook(useShallow(({ savedAt, log, book }) => ({ savedAt, log, book })))
  const [room, setRoom] = useState<Room>()
  const latest = inOrder(log).at(-1)?.noted
  useEffect(() => {
    void roomThereIs().then(setRoom)
  }, [log])
  const unsaved = savedAt === undefined || (latest !== undefined && fromMs(savedAt) < latest && book.kind === 'own')
  const autosave = useAutosave()
  const copy = useSecondCopy(({ state }) => state)
  const choose = async () => {
    try {
      if (await autosave.choose()) say('Saved, and from now on saved on its own')
    } catch {
      sayRefused('The file could not be written.')
    }
  }
  return (
    <section className="card">
      <h2>Kept safe</h2>
      <dl className="facts">
        <div>
          <dt>Last saved to a file</dt>
          <dd>{savedAt === undefined ? 'never' : formatDay(fromMs(savedAt), 'UTC', true)}</dd>
        </div>
        <div>
          <dt>Saved on its own</dt>
          <dd>{AUTOSAVE_SAYS[autosave.state](autosave.fileName)}</dd>
        </div>
        {book.kind !== 'guest' && (
          <div>
            <dt>Second copy here</dt>
            <dd>{SECOND_COPY_SAYS[copy]}</dd>
          </div>
        )}
        <div>
          <dt>Room in this browser</dt>
          <dd>
            {room === undefined
              ? 'the browser does not say'
              : `${(room.used_B / MB).toFixed(1)} MB used of about ${Math.round(room.given_B / MB).toLocaleString('en-GB')} MB`}
          </dd>
        </div>
        <div>
          <dt>The browser’s promise</dt>
          <dd>
            {room?.kept === true
              ? 'it will not clear the book away'
              : 'none: it may delete this book when space runs low. Save a file.'}
          </dd>
        </div>
      </dl>
      {unsaved && book.id !== DEMO_BOOK && (
        <p className="caution">What is in your browser is only in your browser. Save the book to a file today.</p>
      )}
      <div className="acts">
        {room?.kept !== true && (
          <Button size="large" onClick={() => void askToKeep().then(() => roomThereIs().then(setRoom))}>
            Ask the browser to keep it
          </Button>
        )}
        {autosave.state === 'asks' && (
          <Button type="primary" size="large" onClick={() => void autosave.goOn()}>
            Go on saving to {autosave.fileName}
          </Button>
        )}
        {canChooseFile() && (
          <Button size="large" onClick={() => void choose()}>
            {autosave.state === 'off' ? 'Save on its own to a file' : 'Choose another file'}
          </Button>
        )}
        {autosave.state !== 'off' && (
          <Button size="large" onClick={() => void autosave.stop()}>
            No longer save on its own
          </Button>
        )}
      </div>
    </section>
  )
}

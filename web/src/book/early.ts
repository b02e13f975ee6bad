// Loaded by the page before the program, and needing nothing of it: while that is fetched and compiled, the stored book is read.

/** A row of the store that holds many entries as text, and what that text says. */
export interface EarlyBlock {
  readonly block: number
  readonly version: number
  readonly entries: readonly unknown[]
}

/** What was stored of the book that opens, read before the program came; held against the store again before it counts. */
export interface EarlyRows {
  readonly book: string
  readonly blocks: readonly EarlyBlock[]
  readonly loose: readonly { readonly id: string }[]
  /** In which version the loose ones are; undefined as long as no version was ever told. */
  readonly version: number | undefined
}

let reading: Promise<EarlyRows | undefined> | undefined = readEarly().catch(() => undefined)

/** What was read early of a book, once: whoever takes it has it to himself. */
export async function takeEarly(book: string): Promise<EarlyRows | undefined> {
  const rows = await reading
  reading = undefined
  return rows?.book === book ? rows : undefined
}

async function readEarly(): Promise<EarlyRows | undefined> {
  const books = await openAsItIs('ellop-books')
  const choice = books?.objectStoreNames.contains('choice')
    ? await answer(books.transaction('choice').objectStore('choice').get('current'))
    : undefined
  books?.close()
  const book = (choice as { book: string } | undefined)?.book ?? 'demo'
  const db = await openAsItIs(`ellop-${book}`)
  if (db === undefined) return undefined
  try {
    const transaction = db.transaction(['blocks', 'entries', 'meta'])
    const stored = transaction.objectStore('blocks')
    const [blocks, loose, version] = await Promise.all([
      // One by one: while a block is read from the disk, the one before it is made out.
      answer(stored.getAllKeys()).then((keys) =>
        Promise.all((keys as IDBValidKey[]).map((key) => answer(stored.get(key)).then(made))),
      ),
      answer(transaction.objectStore('entries').getAll()),
      answer(transaction.objectStore('meta').get('entryVersion')),
    ])
    return {
      book,
      blocks,
      loose: loose as { id: string }[],
      version: (version as { value: number } | undefined)?.value,
    }
  } finally {
    db.close()
  }
}

function made(row: unknown): EarlyBlock {
  const { block, version, text } = row as { block: number; version: number; text: string }
  return { block, version, entries: JSON.parse(text) as unknown[] }
}

/** A database in whatever version it is; none is made where there is none. */
function openAsItIs(name: string): Promise<IDBDatabase | undefined> {
  return new Promise((resolve) => {
    const request = indexedDB.open(name)
    request.onupgradeneeded = () => request.transaction?.abort()
    request.onsuccess = () => resolve(request.result)
    request.onerror = (event) => {
      event.preventDefault()
      resolve(undefined)
    }
  })
}

function answer<Value>(request: IDBRequest<Value>): Promise<unknown> {
  return new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error ?? new Error('the store did not answer'))
  })
}

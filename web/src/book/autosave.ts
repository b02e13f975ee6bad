import { create } from 'zustand'
import { fileOf, forgetFile, rememberFile } from './books'
import { useBook } from './bookStore'

/** So long after the last entry a book is written to its file; a very large one waits longer. */
const WAIT_ms = 2000
const WAIT_LARGE_ms = 30_000
const LARGE_ENTRIES = 20_000

interface Autosave {
  /** `asks`: the browser wants to be asked again before it writes; `failed`: the last writing did not succeed. */
  readonly state: 'off' | 'on' | 'asks' | 'failed'
  readonly fileName: string
  /** Chooses the file and writes to it at once; false when the cook thought better of it. */
  readonly choose: () => Promise<boolean>
  /** Goes on with the file chosen earlier, when the browser allows it. */
  readonly goOn: () => Promise<void>
  readonly stop: () => Promise<void>
}

interface AllowableFile extends FileSystemFileHandle {
  queryPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
  requestPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
}

interface FilePicker {
  showSaveFilePicker: (options: { suggestedName: string }) => Promise<FileSystemFileHandle>
}

/** Whether this browser lets a page write to a chosen file. */
export function canChooseFile(where: Window = window): where is Window & FilePicker {
  return 'showSaveFilePicker' in where
}

let file: AllowableFile | undefined
let timer: ReturnType<typeof setTimeout> | undefined

/** Saving on its own: after every entry, to a file that the cook chose. */
export const useAutosave = create<Autosave>((set) => ({
  state: 'off',
  fileName: '',
  async choose() {
    if (!canChooseFile(window)) return false
    const { book } = useBook.getState()
    try {
      file = await window.showSaveFilePicker({ suggestedName: `ellop-${book.id}.json` })
    } catch (fault) {
      if (fault instanceof Error && fault.name === 'AbortError') return false
      throw fault
    }
    await rememberFile(book.id, file)
    await write()
    return true
  },
  async goOn() {
    if ((await file?.requestPermission?.({ mode: 'readwrite' })) !== 'denied') await write()
  },
  async stop() {
    await forgetFile(useBook.getState().book.id)
    file = undefined
    set({ state: 'off', fileName: '' })
  },
}))

/** Watches the open book; to be called once. */
export function startAutosave(): void {
  void takeUp(useBook.getState().book.id)
  useBook.subscribe((now, before) => {
    if (now.book.id !== before.book.id || now.status !== before.status) void takeUp(now.book.id)
    else if (now.log !== before.log && useAutosave.getState().state === 'on') {
      clearTimeout(timer)
      timer = setTimeout(() => void write(), now.log.entries.size > LARGE_ENTRIES ? WAIT_LARGE_ms : WAIT_ms)
    }
  })
}

/** Takes up the file of a book that has just been opened. */
async function takeUp(book: string): Promise<void> {
  clearTimeout(timer)
  file = await fileOf(book).catch(() => undefined)
  if (file === undefined) return useAutosave.setState({ state: 'off', fileName: '' })
  const allowed = (await file.queryPermission?.({ mode: 'readwrite' })) ?? 'granted'
  useAutosave.setState({ state: allowed === 'granted' ? 'on' : 'asks', fileName: file.name })
  // The page may have been closed before the last entry was written to the file.
  if (allowed === 'granted') timer = setTimeout(() => void write(), WAIT_ms)
}

/** The file is replaced only when all of it is written: the browser writes beside it first. */
async function write(): Promise<void> {
  if (file === undefined) return
  const { exportText, noteSaved } = useBook.getState()
  try {
    const writing = await file.createWritable()
    await writing.write(exportText())
    await writing.close()
    await noteSaved()
    useAutosave.setState({ state: 'on', fileName: file.name })
  } catch {
    useAutosave.setState({ state: 'failed', fileName: file.name })
  }
}

// Files of lines in the browser's private folder, which lies apart from its databases: what spoils these does not reach it.

/** What only a worker has: writing in place, and knowing when it is on the disk. */
interface InPlace {
  readonly getSize: () => number
  readonly read: (into: Uint8Array, options: { readonly at: number }) => number
  readonly write: (from: Uint8Array, options: { readonly at: number }) => number
  readonly flush: () => void
  readonly close: () => void
}

interface WorkersFile extends FileSystemFileHandle {
  readonly createSyncAccessHandle: () => Promise<InPlace>
}

const FOLDER = 'ellop'
const LINE_END = 0x0a

/** Adds a line at the end of a file, made where there is none; done when it is on the disk. */
export async function addLine(file: string, line: string): Promise<void> {
  await alone(file, async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true })
    const handle = await ((await folder.getFileHandle(file, { create: true })) as WorkersFile).createSyncAccessHandle()
    try {
      const size = handle.getSize()
      // A line that was torn off by a crash is ended, so that the next one does not hang on to it.
      const torn = size > 0 && lastByte(handle, size) !== LINE_END
      handle.write(new TextEncoder().encode(`${torn ? '\n' : ''}${line}\n`), { at: size })
      handle.flush()
    } finally {
      handle.close()
    }
  })
}

/** The lines of a file as JSON, oldest first; a torn one is passed over, and where there is no file there are none. */
export async function readLines(file: string): Promise<readonly unknown[]> {
  return alone(file, async () => {
    const folder = await folderThereIs()
    const handle = await folder?.getFileHandle(file).catch(() => undefined)
    if (handle === undefined) return []
    const text = await (await handle.getFile()).text()
    return text.split('\n').flatMap((line) => {
      try {
        return line === '' ? [] : [JSON.parse(line) as unknown]
      } catch {
        return []
      }
    })
  })
}

/** The end of a file as text; undefined where there is none. It may begin in the middle of a line. */
export async function readEnd(file: string, bytes: number): Promise<string | undefined> {
  return alone(file, async () => {
    const handle = await (await folderThereIs())?.getFileHandle(file).catch(() => undefined)
    const all = await handle?.getFile()
    return all?.slice(Math.max(0, all.size - bytes)).text()
  })
}

/** Throws a file away; nothing happens where there is none. */
export async function dropLines(file: string): Promise<void> {
  await alone(file, async () => {
    const folder = await folderThereIs()
    if ((await folder?.getFileHandle(file).catch(() => undefined)) !== undefined) await folder?.removeEntry(file)
  })
}

/** The private folder, if anything was ever kept in it. */
export async function folderThereIs(): Promise<FileSystemDirectoryHandle | undefined> {
  const root = await navigator.storage.getDirectory()
  return root.getDirectoryHandle(FOLDER).catch(() => undefined)
}

function lastByte(handle: InPlace, size: number): number | undefined {
  const byte = new Uint8Array(1)
  handle.read(byte, { at: size - 1 })
  return byte[0]
}

/** One at a time for each file, over all tabs: a file that is open for writing lets nobody else in. */
function alone<Result>(file: string, work: () => Promise<Result>): Promise<Result> {
  return navigator.locks.request(`ellop-lines-${file}`, work) as Promise<Result>
}

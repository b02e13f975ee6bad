import { readFileSync, writeSync } from 'node:fs'
import { run } from './main'

const STANDARD_INPUT = 0
const STANDARD_OUTPUT = 1
const STANDARD_ERROR = 2

/** Writes the whole text though a pipe may take it in pieces. */
function writeAll(descriptor: number, text: string): void {
  let rest = Buffer.from(text)
  while (rest.length > 0) {
    try {
      rest = rest.subarray(writeSync(descriptor, rest))
    } catch (fault) {
      const { code } = fault as NodeJS.ErrnoException
      // Whoever read it has seen enough.
      if (code === 'EPIPE') return
      if (code !== 'EAGAIN') throw fault
    }
  }
}

const { exit, out, err } = run(process.argv.slice(2), () => readFileSync(STANDARD_INPUT, 'utf8'))
writeAll(STANDARD_OUTPUT, out)
writeAll(STANDARD_ERROR, err)
process.exitCode = exit

import type { Catalogue } from '../flora/catalogue'
import { describeEntry } from '../log/describe'
import { lotsTouched } from '../log/entries'
import type { BookLog } from '../log/fold'
import { withPosition } from './positions'

const COLUMNS = ['id', 'at', 'noted', 'by', 'device', 'type', 'lot', 'struck', 'says', 'fields'] as const

/** The entries as comma-separated values for a spreadsheet: one line each, in the order in which they happened; all fields as they were written, as JSON in the last column, without where patches lie. */
export function writeEntriesCsv(log: BookLog, catalogue: Catalogue): string {
  const lines = log.order.map((entry) => {
    const { id, at, noted, by, device, type } = entry
    return [
      id,
      at,
      noted,
      by,
      device,
      type,
      lotsTouched(entry).join(' '),
      log.amendments.struck.has(id) ? 'yes' : 'no',
      describeEntry(entry, log.state, catalogue),
      JSON.stringify(withPosition(log.entries.get(id) ?? entry, 'none')),
    ]
  })
  return `${[COLUMNS, ...lines].map((cells) => cells.map(cell).join(',')).join('\r\n')}\r\n`
}

/** A cell that a spreadsheet takes for text: quoted, and never begun with what it would take for a formula. */
function cell(text: string): string {
  const plain = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
  return `"${plain.replaceAll('"', '""')}"`
}

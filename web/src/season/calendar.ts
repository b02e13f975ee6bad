import type { SeasonRow } from '@ellop/core'
import { rowName } from './words'

/** The windows of the rows as an iCalendar file, one whole-day event each. */
export async function calendarOf(rows: readonly SeasonRow[], patchName: (id: string) => string): Promise<string> {
  const { default: ical } = await import('ical-generator')
  const calendar = ical({ name: 'What is good when' })
  for (const row of rows) {
    const { name, part } = rowName(row)
    const after = new Date(`${row.to}T00:00:00Z`)
    after.setUTCDate(after.getUTCDate() + 1)
    calendar.createEvent({
      id: `${row.taxon.scientificName}-${row.use.part}-${row.use.stage}-${row.patch}-${row.from}`.replaceAll(' ', '-'),
      start: new Date(`${row.from}T00:00:00Z`),
      end: after,
      allDay: true,
      timezone: 'UTC',
      summary: `${name} (${part})`,
      location: patchName(row.patch),
      description: `Estimate, give or take ${Math.round(row.sd_days * 1.28)} days. The plant in front of you goes before it.`,
    })
  }
  return calendar.toString()
}

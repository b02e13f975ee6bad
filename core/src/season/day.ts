/** A calendar day of a place, `2027-05-16`. Seasons are counted in days, not in moments: no clock change touches them. */
export type Day = string

const DAY_ms = 86_400_000

/** Days since 1970-01-01 of a calendar day. */
export function dayNumber(day: Day): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_ms)
}

/** The calendar day so many days after 1970-01-01. */
export function dayOfNumber(number: number): Day {
  return new Date(Math.round(number) * DAY_ms).toISOString().slice(0, 10)
}

/** Day of the year from 1; 29 February is the 60th. @example dayOfYear('2028-03-01') // 61 */
export function dayOfYear(day: Day): number {
  return dayNumber(day) - dayNumber(`${day.slice(0, 4)}-01-01`) + 1
}

/** Whether a text is a calendar day there is. */
export function isDay(text: string): boolean {
  return /^\d{4}-\d\d-\d\d$/.test(text) && Number.isFinite(Date.parse(text)) && dayOfNumber(dayNumber(text)) === text
}

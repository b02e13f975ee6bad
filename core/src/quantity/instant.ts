/** A moment as ISO 8601 in UTC with milliseconds, so that text order is time order: `2027-05-16T14:05:00.000Z`. */
export type Instant = string

export const MINUTE_ms = 60_000
export const HOUR_ms = 60 * MINUTE_ms
export const DAY_ms = 24 * HOUR_ms

/** Milliseconds since 1970 of an instant. */
export function toMs(instant: Instant): number {
  return Date.parse(instant)
}

/** The instant at so many milliseconds since 1970. */
export function fromMs(ms: number): Instant {
  return new Date(ms).toISOString()
}

/** Minutes from one instant to a later one; negative when it is earlier. */
export function minutesBetween(from: Instant, to: Instant): number {
  return (toMs(to) - toMs(from)) / MINUTE_ms
}

/** The instant so many days later. */
export function addDays(instant: Instant, days: number): Instant {
  return fromMs(toMs(instant) + days * DAY_ms)
}

/** The instant so many calendar months later; a day that the month lacks becomes its last day. */
export function addMonths(instant: Instant, months: number): Instant {
  const start = new Date(toMs(instant))
  const moved = new Date(start)
  moved.setUTCDate(1)
  moved.setUTCMonth(start.getUTCMonth() + months)
  const lastDay = new Date(Date.UTC(moved.getUTCFullYear(), moved.getUTCMonth() + 1, 0)).getUTCDate()
  moved.setUTCDate(Math.min(start.getUTCDate(), lastDay))
  return moved.toISOString()
}

/** Whether a text is an instant in the one form that the log uses. */
export function isInstant(text: string): boolean {
  const ms = Date.parse(text)
  return Number.isFinite(ms) && new Date(ms).toISOString() === text
}

/** The calendar day (`2027-05-16`) of an instant in the kitchen's time zone. */
export function dayOf(instant: Instant, timeZone: string): string {
  return calendar('en-CA', timeZone, { year: 'numeric', month: '2-digit', day: '2-digit' }).format(toMs(instant))
}

/** The time of day (`14:05`) of an instant in the kitchen's time zone. */
export function timeOf(instant: Instant, timeZone: string): string {
  return calendar('en-GB', timeZone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).format(toMs(instant))
}

/**
 * The instant at which a kitchen's clock shows this day (`2027-05-16`) and time (`14:05`); undefined for what is not one. A time
 * that comes twice when the clocks go back is the earlier one; one that is left out when they go forward is taken an hour later.
 */
export function instantOf(day: string, time: string, timeZone: string): Instant | undefined {
  const wanted = Date.parse(`${day}T${time}:00.000Z`)
  if (!/^\d{4}-\d\d-\d\d$/.test(day) || !/^\d\d:\d\d$/.test(time) || !Number.isFinite(wanted)) return undefined
  if (new Date(wanted).toISOString().slice(0, 10) !== day) return undefined
  const offset_ms = (ms: number) => {
    const instant = fromMs(ms)
    return Date.parse(`${dayOf(instant, timeZone)}T${timeOf(instant, timeZone)}:00.000Z`) - ms
  }
  const [before, after] = [offset_ms(wanted - DAY_ms), offset_ms(wanted + DAY_ms)]
  const candidates = [wanted - before, wanted - after].filter((ms) => ms + offset_ms(ms) === wanted)
  return fromMs(candidates.length > 0 ? Math.min(...candidates) : wanted - before)
}

/** The day for people (`Sun 16 May`), with the year on demand (`Sun 16 May 2027`). */
export function formatDay(instant: Instant, timeZone: string, withYear = false): string {
  const parts = calendar('en-GB', timeZone, { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' })
    .formatToParts(toMs(instant))
    .reduce<Record<string, string>>((all, part) => ({ ...all, [part.type]: part.value }), {})
  return `${parts['weekday']} ${parts['day']} ${parts['month']}${withYear ? ` ${parts['year']}` : ''}`
}

/** A calendar day in words, of a day or an instant as UTC has it; what is no day is left as it is. @example formatDate('2027-06-14') // '14 June 2027' */
export function formatDate(day: string): string {
  const ms = Date.parse(day.slice(0, 10))
  if (!Number.isFinite(ms)) return day
  return calendar('en-GB', 'UTC', { day: 'numeric', month: 'long', year: 'numeric' }).format(ms)
}

/** Making a calendar costs a thousand times what using it does; the same ones are asked for again and again. */
const calendars = new Map<string, Intl.DateTimeFormat>()

function calendar(locale: string, timeZone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${timeZone} ${Object.keys(options).join()}`
  const made = calendars.get(key) ?? new Intl.DateTimeFormat(locale, { timeZone, ...options })
  calendars.set(key, made)
  return made
}

import { formatDay, minutesBetween, timeOf, type Instant } from '@ellop/core'

/** A moment in one or two words: the hour within a day of now, else the day (`15 May`), since an hour alone would read as today's. */
export function whenWords(at: Instant, now: Instant, timeZone: string): string {
  if (Math.abs(minutesBetween(now, at)) < 1440) return timeOf(at, timeZone)
  return formatDay(at, timeZone).split(' ').slice(1).join(' ')
}

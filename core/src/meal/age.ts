import type { EaterState } from '../log/houseState'
import { dayOf, type Instant } from '../quantity/instant'

/** Whole months from a day of birth to a day. @example monthsOld('2026-09-20', '2027-05-16') // 7 */
export function monthsOld(bornOn: string, day: string): number {
  const [bornYear = 0, bornMonth = 0, bornDay = 0] = bornOn.split('-').map(Number)
  const [year = 0, month = 0, date = 0] = day.split('-').map(Number)
  return (year - bornYear) * 12 + month - bornMonth - (date < bornDay ? 1 : 0)
}

/** The day of birth of somebody so many months old, as far as months tell. @example bornMonthsBefore('2027-05-16', 8) // '2026-09-16' */
export function bornMonthsBefore(day: string, months: number): string {
  const [year = 0, month = 0, date = 0] = day.split('-').map(Number)
  const index = year * 12 + month - 1 - months
  const inMonth = new Date(Date.UTC(Math.floor(index / 12), (index % 12) + 1, 0)).getUTCDate()
  return [Math.floor(index / 12), (index % 12) + 1, Math.min(date, inMonth)]
    .map((part, at) => String(part).padStart(at === 0 ? 4 : 2, '0'))
    .join('-')
}

/** An eater as plans ask for one, at the age they are at a moment. */
export function eaterAt({ kind, sensitivities, bornOn }: EaterState, at: Instant, timeZone: string) {
  return {
    kind,
    sensitivities: sensitivities ?? [],
    ...(bornOn === undefined ? {} : { age_months: monthsOld(bornOn, dayOf(at, timeZone)) }),
  }
}

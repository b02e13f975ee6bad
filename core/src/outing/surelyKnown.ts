import type { Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import { meetingsNeeded } from '../identity/clear'
import { meetingDays } from '../identity/lotTells'
import { kitchenAt } from '../log/houseState'
import { dayOf } from '../quantity/instant'
import { dayNumber } from '../season/day'
import { kitchenSite } from '../season/ofBook'
import { bookWindow, yearAt } from '../season/window'
import { isTakenForNothingDeadly } from '../treatment/inPlaceOf'

/** A food that whoever is at it has met on as many sure days as it asks, and whose window is open here today. */
export interface SurelyKnown {
  readonly taxon: Taxon
  /** Its parts that are in season, each once. */
  readonly uses: readonly Use[]
}

/**
 * What to look for in place of a plant that may not be eaten: foods taken for nothing deadly and surely known to whoever is at it, with the parts that are good today by the
 * book at the kitchen's latitude and height. Empty where none is, as in a new book.
 */
export function surelyKnownNow(context: JudgeContext): readonly SurelyKnown[] {
  const { book, catalogue, now } = context
  const today = dayOf(now, kitchenAt(book.house, now)?.timeZone ?? 'UTC')
  const site = kitchenSite(book, now)
  const year = yearAt(today, site)
  const day = dayNumber(today)
  return catalogue.taxa.flatMap((taxon) => {
    const food = taxon.uses.filter(({ verdict }) => verdict !== 'never')
    if (food.length === 0 || !isTakenForNothingDeadly(taxon)) return []
    if (meetingDays(taxon, context) < meetingsNeeded(taxon)) return []
    const open = food.filter((use) => {
      const window = bookWindow(taxon, use, site, year)
      return window !== undefined && window.from <= day && day <= window.to
    })
    const uses = open.filter(({ part }, index) => open.findIndex((each) => each.part === part) === index)
    return uses.length === 0 ? [] : [{ taxon, uses }]
  })
}

import { boilingPoint } from '../heat/boil'
import { ROOM_C } from '../heat/balance'
import { dryTarget } from '../keep/dryTarget'
import { kitchenAt } from '../log/houseState'
import { currentStep } from '../lot/doNow'
import type { LotState } from '../lot/lotState'
import type { JudgeContext } from '../gates/verdict'
import { toMs, type Instant } from '../quantity/instant'
import { lotUse } from '../treatment/batchUse'
import type { InstrumentId } from './instruments'
import type { Truth } from './standIn'

/** As it comes into the pot, and how long a simmered mass takes to be hot right through [planning values]. */
const FOOD_C = 15
const THROUGH_s = 420
const ROOM_WARMS_s = 4 * 3600
const DRIES_s = 10 * 3600
const SOURS_s = 5 * 86_400
const FRESH_MOISTURE = 0.85
/** Plain food, soured food, and vinegar as it comes. */
const PH = { plain: 5.9, soured: 3.7, vinegar: 2.6 } as const
const PLAIN_BRIX = 3

/** What an instrument would find in the pot of a lot, by the physics of what was noted of it: for the stand-ins of the demonstration. */
export function potTruth(id: InstrumentId, lot: LotState, context: JudgeContext, at: Instant): Truth {
  switch (id) {
    case 'thermometer':
      return warmth(lot, context, at)
    case 'scale':
      return weight(lot, context, at)
    case 'ph':
      return acidity(lot, context, at)
    case 'salinity':
      return stands(100 * share(lot, 'salt'))
    case 'refractometer':
      return stands(100 * share(lot, 'sugar') + PLAIN_BRIX)
  }
}

function stands(value: number): Truth {
  return { from: value, to: value, over_s: 0, since_s: 0 }
}

function seconds(from: Instant, to: Instant): number {
  return (toMs(to) - toMs(from)) / 1000
}

function warmth(lot: LotState, context: JudgeContext, at: Instant): Truth {
  const kitchen = kitchenAt(context.book.house, context.now)
  const elevation_m = kitchen?.elevation_m ?? 0
  const boil_C = boilingPoint({ elevation_m }).temp_C
  const run = lot.runs.find(({ done }) => done === null)
  const bath = lot.baths.find(({ endedAt }) => endedAt === null)
  if (run !== undefined) {
    // A boil is counted from when it boils again: until then nothing is running.
    if (currentStep(lot, context)?.step.limit?.measure === 'rolling-boil') return stands(boil_C)
    return { from: FOOD_C, to: boil_C, over_s: THROUGH_s, since_s: seconds(run.begunAt, at) }
  }
  if (bath !== undefined) {
    const from = bath.temp_C ?? kitchen?.waterTemp_C ?? FOOD_C
    return { from, to: Math.max(from, ROOM_C), over_s: ROOM_WARMS_s, since_s: seconds(bath.begunAt, at) }
  }
  return stands(lot.runs.length > 0 ? boil_C - 1 : ROOM_C)
}

function weight(lot: LotState, context: JudgeContext, at: Instant): Truth {
  const run = lot.runs.find(({ done }) => done === null)
  const current = currentStep(lot, context)
  const limit = current?.step.limit
  if (run !== undefined && limit?.measure === 'dried-to') {
    const startMoisture = current?.step.startMoisture?.usual ?? current?.use.moisture?.usual ?? FRESH_MOISTURE
    const { target_g } = dryTarget({ start_g: run.mass_g, startMoisture, targetMoisture: limit.moisture * 0.9 })
    return { from: run.mass_g, to: target_g, over_s: DRIES_s, since_s: seconds(run.begunAt, at) }
  }
  const last = lot.runs.findLast(({ done }) => done?.outcome === 'done')
  // What was cooked and not weighed since weighs what cooked food ordinarily does.
  const cooked = last !== undefined && last.lotMass_g === lot.mass_g
  return stands(cooked ? lot.mass_g * (lotUse(lot, context.catalogue)?.cookedYield?.usual ?? 1) : lot.mass_g)
}

function acidity(lot: LotState, context: JudgeContext, at: Instant): Truth {
  const run = lot.runs.find(({ done }) => done === null)
  if (run !== undefined && currentStep(lot, context)?.step.op === 'ferment')
    return { from: PH.plain, to: PH.soured, over_s: SOURS_s, since_s: seconds(run.begunAt, at) }
  const vinegar = share(lot, 'vinegar')
  return stands(vinegar === 0 ? PH.plain : Math.max(PH.vinegar, PH.soured + (0.35 - vinegar) * 3))
}

/** What was put to a lot, over everything. */
function share(lot: LotState, what: 'salt' | 'sugar' | 'vinegar'): number {
  const added_g = lot.added.reduce((sum, { mass_g }) => sum + mass_g, 0)
  const own_g = lot.added.reduce((sum, each) => sum + (each.what === what ? each.mass_g : 0), 0)
  return own_g / Math.max(1, Math.max(added_g, lot.mass_g))
}

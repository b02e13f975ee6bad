import {
  dayOf,
  findTaxon,
  kitchenAt,
  kitchenSite,
  seasonInput,
  type Catalogue,
  type Instant,
  type JudgeContext,
  type LookAgain,
  type SeasonInput,
  type SeasonRow,
} from '@ellop/core'
import { useEffect, useMemo, useState } from 'react'
import { askEngine } from '../workers/ask'
import type { SeasonAnswer } from '../workers/season'
import { useWeather } from './useWeather'

export interface SeasonNow {
  readonly sightings: SeasonInput['sightings']
  readonly rows: readonly SeasonRow[]
  readonly lookAgain: readonly LookAgain[]
  readonly offsets: SeasonAnswer['offsets']
}

/**
 * What is good when, computed beside the screen; the last answer stands until the next one comes. As it will be at another moment, if asked; reckoned
 * once a day and not with each thing seen, where that is enough.
 */
export function useSeason(
  context: JudgeContext,
  { station = '', at, daily = false }: { station?: string; at?: Instant; daily?: boolean } = {},
) {
  const { book, catalogue, now } = context
  const { house, lots } = book
  const timeZone = kitchenAt(house, now)?.timeZone ?? 'UTC'
  const { latitude_deg, elevation_m } = kitchenSite(book, now)
  const today = dayOf(now, timeZone)
  const asOf = at ?? now
  const day = dayOf(asOf, timeZone)
  const [known, reload] = useWeather(today, latitude_deg, elevation_m, station)
  const [seen, picked] = daily ? [undefined, 0] : [house.meetings, lots.size]
  const input = useMemo(
    () =>
      known === undefined
        ? undefined
        : seasonInput(book, catalogue, asOf, known.weather, { latitude_deg, elevation_m }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a season changes by the day and with what was seen, not with each note
    [seen, picked, house.patches, house.ownPlants, day, known, latitude_deg, elevation_m],
  )
  const [told, setTold] = useState<SeasonNow | 'failed'>()
  useEffect(() => {
    if (input === undefined) return undefined
    const { catalogue: records, ...asked } = input
    const question = askEngine('season', { ...asked, ownPlants: house.ownPlants })
    let gone = false
    void question.answer.then((answer) => {
      if (!gone)
        setTold(
          answer === undefined
            ? 'failed'
            : {
                sightings: input.sightings,
                offsets: answer.offsets,
                ...withRecords(answer, records),
              },
        )
    })
    return () => {
      gone = true
      question.cancel()
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the plants of one's own are in the input
  }, [input])
  return { told, known, reload, today, site: { latitude_deg, elevation_m } }
}

function withRecords({ rows, lookAgain }: SeasonAnswer, records: Catalogue) {
  const named = <Row extends { readonly taxon: string; readonly use: number }>({
    taxon: name,
    use: index,
    ...rest
  }: Row) => {
    const taxon = findTaxon(records, name)
    const use = taxon?.uses[index]
    return taxon === undefined || use === undefined ? [] : [{ ...rest, taxon, use }]
  }
  return { rows: rows.flatMap(named), lookAgain: lookAgain.flatMap(named) }
}

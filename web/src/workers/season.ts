import {
  CATALOGUE,
  catalogueWith,
  season,
  type LookAgain,
  type OwnPlant,
  type SeasonInput,
  type SeasonRow,
  type SeasonTold,
} from '@ellop/core'

/** What the season is asked for across the worker's border: it has the catalogue itself, but for plants of the cook's own. */
export interface SeasonAsked extends Omit<SeasonInput, 'catalogue'> {
  readonly ownPlants: Readonly<Record<string, OwnPlant>>
}

/** Records do not cross the border: a name and the place among its uses do. */
type Named<Row extends SeasonRow | LookAgain> = Omit<Row, 'taxon' | 'use'> & {
  readonly taxon: string
  readonly use: number
}

export interface SeasonAnswer {
  readonly rows: readonly Named<SeasonRow>[]
  readonly lookAgain: readonly Named<LookAgain>[]
  readonly offsets: SeasonTold['offsets']
}

/** {@link season}, as it is asked in the worker. */
export function seasonAnswer({ ownPlants, ...asked }: SeasonAsked): SeasonAnswer {
  const told = season({ ...asked, catalogue: catalogueWith(CATALOGUE, ownPlants) })
  const { trusted, sightings, leftOut_days, bookAlone_days } = told.offsets
  return {
    rows: told.rows.map(named),
    lookAgain: told.lookAgain.map(named),
    offsets: { trusted, sightings, leftOut_days, bookAlone_days },
  }
}

function named<Row extends SeasonRow | LookAgain>({ taxon, use, ...rest }: Row): Named<Row> {
  return { ...rest, taxon: taxon.scientificName, use: taxon.uses.indexOf(use) }
}

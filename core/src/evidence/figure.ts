import type { Part } from '../flora/vocabulary'

/** What tables tell of a food. */
export const FIGURES = [
  'energy', 'water', 'protein', 'fat', 'carbohydrate', 'sugars', 'starch', 'fibre', 'ash', 'vitamin-c', 'folate', 'vitamin-a', 'vitamin-e', 'vitamin-k',
  'iron', 'calcium', 'magnesium', 'potassium', 'sodium', 'zinc', 'nitrate', 'oxalate', 'tannin',
] as const // prettier-ignore
export type FigureOf = (typeof FIGURES)[number]

export const FIGURE_UNITS = ['g', 'mg', 'ug', 'percent', 'kcal', 'kJ'] as const
export type FigureUnit = (typeof FIGURE_UNITS)[number]
export const UNIT_SIGNS: Readonly<Record<FigureUnit, string>> = {
  g: 'g',
  mg: 'mg',
  ug: 'µg',
  percent: '%',
  kcal: 'kcal',
  kJ: 'kJ',
}
export const BASES = ['fresh', 'dry', 'unsaid'] as const

/** One figure as its source prints it. */
export interface Figure {
  readonly what: FigureOf
  readonly value: number
  readonly unit: FigureUnit
  /** Of so many grams; a percentage is of the same mass. */
  readonly per_g: number
  /** Of the fresh part, or of what is left of it without its water. */
  readonly basis: (typeof BASES)[number]
  readonly source: string
}

export interface NotedFigure extends Figure {
  readonly part: Part
}

export const UNIT_OF_ENERGY: readonly FigureUnit[] = ['kcal', 'kJ']

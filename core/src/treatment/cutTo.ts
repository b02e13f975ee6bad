import type { Step } from '../flora/taxon'
import type { Part } from '../flora/vocabulary'
import { minutesThrough, thickestPiece_mm } from '../heat/centre'
import type { Shape } from '../leach/leach'

/** Parts that come in pieces thick enough to be cold in the middle, and the shape they are cut to. */
const PIECES: Readonly<Partial<Record<Part, Shape>>> = {
  root: 'slab',
  rhizome: 'slab',
  stem: 'slab',
  midrib: 'slab',
  shoot: 'cylinder',
  corm: 'sphere',
  bulb: 'sphere',
  tuber: 'sphere',
}
/** The middle is to be this near the water's warmth, and for this share of the minutes [planning values]. */
const NEAR_C = 3
const SHARE_AT_CENTRE = 0.5
/** Thinner than this nobody cuts, and thicker than this nothing comes out of the ground. */
const LEAST_mm = 2
const MOST_mm = 80
/** Heat goes in from all sides of these: steam and a small flame are slower, dry heat and a wilt are judged by a probe or by eye. */
const IN_WATER = ['boil', 'blanch', 'simmer']

/**
 * How thick the pieces of a thick part may be for a step in boiling water, so that their middle stands near the boil for half of its
 * minutes: a limit counts from the boil of the water, not of the root in it. Undefined for leaves and for what is not boiled.
 */
export function cutTo_mm(
  part: Part,
  { op }: Pick<Step, 'op'>,
  { minutes, start_C, water_C }: { readonly minutes: number; readonly start_C: number; readonly water_C: number },
): number | undefined {
  const shape = PIECES[part]
  if (shape === undefined || !IN_WATER.includes(op)) return undefined
  const within = { minutes: minutes * (1 - SHARE_AT_CENTRE), start_C, water_C, wanted_C: water_C - NEAR_C }
  const thickest = thickestPiece_mm({ shape, ...within })
  return thickest === undefined || thickest < LEAST_mm ? undefined : Math.min(MOST_mm, Math.floor(thickest))
}

/** Heat that comes from no water: a long piece in it is timed by its thickness, not by the number of pieces. */
const IN_DRY_HEAT = ['roast', 'bake', 'pit-bake']
const SIZES_mm = [10, 20, 30, 50]
/** Where no limit says how hot the middle is to be, it is done so far below the boil [planning value]. */
const DONE_BELOW_BOIL_C = 8

/** How long one piece takes by how thick it is, however many lie beside it. */
export interface PieceTime {
  readonly size_mm: number
  readonly atLeast_min: number
}

/**
 * The least minutes in dry heat by the thickness of a piece: until its middle is hot, and as long after as the limit holds it there.
 * Undefined for leaves and for what is not roasted or baked. A thermometer in the thickest piece has the last word.
 */
export function byPiece(
  part: Part,
  { op, limit }: Pick<Step, 'op' | 'limit'>,
  { start_C, boil_C }: { readonly start_C: number; readonly boil_C: number },
): readonly PieceTime[] | undefined {
  const shape = PIECES[part]
  if (shape === undefined || !IN_DRY_HEAT.includes(op)) return undefined
  const [wanted_C, held_min] =
    limit?.measure === 'food-temperature' ? [limit.temp_C, limit.minutes] : [boil_C - DONE_BELOW_BOIL_C, 0]
  return SIZES_mm.flatMap((size_mm) => {
    const through_min = minutesThrough(size_mm, { shape, start_C, water_C: boil_C, wanted_C })
    return through_min === undefined ? [] : [{ size_mm, atLeast_min: Math.ceil(through_min + held_min) }]
  })
}

import { exposureOf, findTaxon, type CutAt, type JudgeContext, type Part } from '@ellop/core'
import { Choice } from '../controls/Choice'

const HEIGHTS = [
  { value: 'above-knee', label: 'above the knee' },
  { value: 'below-knee', label: 'lower' },
] as const
const SIDES = [
  { value: 'away', label: 'on the far side' },
  { value: 'by-the-path', label: 'by the path' },
] as const

/** Whether dogs come by there, and reach what is picked: then height and side are asked. */
export function dogsReach(
  picking: { readonly taxon: string | undefined; readonly part: Part | undefined; readonly patch: string | undefined },
  { book, catalogue }: Pick<JudgeContext, 'book' | 'catalogue'>,
): boolean {
  const taxon = findTaxon(catalogue, picking.taxon ?? '')
  const dogs = book.house.patches[picking.patch ?? '']?.facts.dogs?.value
  if (taxon === undefined || picking.part === undefined || dogs === undefined || dogs === 'none') return false
  return exposureOf(taxon, picking.part) === 'low'
}

/** Where on the stand it was cut: dogs come by. May be left unsaid. */
export function CutAtFields({ value, onChange }: { value: Partial<CutAt>; onChange: (value: Partial<CutAt>) => void }) {
  return (
    <div className="cut-at">
      <p className="field-note">
        Dogs come by there: where was it cut? What is fouled is thrown out, never washed clean.
      </p>
      <Choice
        label="How high"
        value={value.height}
        options={HEIGHTS}
        onChange={(height) => onChange({ ...value, height })}
      />
      <Choice
        label="On which side"
        value={value.side}
        options={SIDES}
        onChange={(side) => onChange({ ...value, side })}
      />
    </div>
  )
}

/** What is noted of it: both, or nothing. */
export function cutAtSaid({ height, side }: Partial<CutAt>): { readonly cutAt?: CutAt } {
  return height === undefined || side === undefined ? {} : { cutAt: { height, side } }
}

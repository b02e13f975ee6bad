import { tanninInputs, type BathFact, type Instant } from '@ellop/core'
import { useMemo } from 'react'
import { useEngine } from '../workers/useEngine'
import { inUnits } from '../units/units'

/** About how much of the tannin is still in the meal after the baths so far: an estimate for taste, as a range. */
export function LeachEstimate({ baths, mass_g, now }: { baths: readonly BathFact[]; mass_g: number; now: Instant }) {
  const inputs = useMemo(() => tanninInputs(baths, mass_g, now), [baths, mass_g, now])
  const answers = [
    useEngine('leach', inputs?.quick),
    useEngine('leach', inputs?.usual),
    useEngine('leach', inputs?.slow),
  ]
  const [low, usual, high] = answers.map((each) => (each === 'failed' ? undefined : each?.residual.at(-1)))
  if (low === undefined || usual === undefined || high === undefined) return null
  const percent = (share: number) => `${Math.round(100 * share)} %`
  return (
    <p className="told leach-estimate">
      About <strong>{percent(usual)}</strong> of the tannin is left ({percent(low)} to {percent(high)}). Book range for
      tannin is wide. An estimate for taste, for grains of {inUnits('2 mm')}, stirred now and then: only the crumb says
      that it is done.
    </p>
  )
}

import { tanninInputs, type BathFact, type Instant } from '@ellop/core'
import { useEffect, useMemo, useState } from 'react'
import { askEngine } from '../workers/ask'

interface Left {
  readonly low: number
  readonly usual: number
  readonly high: number
}

/** About how much of the tannin is still in the meal after the baths so far: an estimate for taste, as a range. */
export function LeachEstimate({ baths, mass_g, now }: { baths: readonly BathFact[]; mass_g: number; now: Instant }) {
  const inputs = useMemo(() => tanninInputs(baths, mass_g, now), [baths, mass_g, now])
  const [left, setLeft] = useState<Left>()
  useEffect(() => {
    if (inputs === undefined) return
    const asked = [inputs.quick, inputs.usual, inputs.slow].map((input) => askEngine('leach', input))
    void Promise.all(asked.map(({ answer }) => answer)).then((answers) => {
      const [low, usual, high] = answers.map((each) => each?.residual.at(-1))
      if (low !== undefined && usual !== undefined && high !== undefined) setLeft({ low, usual, high })
    })
    return () => asked.forEach(({ cancel }) => cancel())
  }, [inputs])
  if (left === undefined) return null
  const percent = (share: number) => `${Math.round(100 * share)} %`
  return (
    <p className="told leach-estimate">
      About <strong>{percent(left.usual)}</strong> of the tannin is left ({percent(left.low)} to {percent(left.high)}).
      Book range for tannin is wide. An estimate for taste, for grains of 2 mm, stirred now and then: only the crumb
      says that it is done.
    </p>
  )
}

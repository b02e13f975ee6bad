import { formatList, withCapital, type Loss, type PlannedStep, type Use } from '@ellop/core'
import { useMemo } from 'react'
import type { Engines } from '../workers/engines'
import { useEngine } from '../workers/useEngine'
import { formatMass, inUnits } from '../units/units'

const percent = (share: number) => Math.round(100 * share)

/** What the waters and the heat of a plan take out of the food: what one would be rid of, and what one would keep. */
export function PlanLosses({ use, mass_g, steps }: { use: Use; mass_g: number; steps: readonly PlannedStep[] }) {
  // A plan is made anew every minute and mostly says the same.
  const key = JSON.stringify({ use, mass_g, steps })
  const question = useMemo(() => JSON.parse(key) as Parameters<Engines['planLosses']>[0], [key])
  const told = useEngine('planLosses', question)
  if (told === undefined) return null
  if (told === 'failed') return <p className="refusal">What water and heat take could not be reckoned.</p>
  const { losses, starch, waterMayBeKept, pieces_mm, cut, portion_g } = told
  if (losses.length === 0 && starch === undefined) return null
  return (
    <section className="plan-losses" aria-label="What water and heat take">
      <h3>What water and heat take</h3>
      <table>
        <tbody>
          {losses.map((loss) => (
            <tr key={loss.what} className={loss.unwanted ? 'rid' : undefined}>
              <th scope="row">{withCapital(loss.what)}</th>
              <td>
                <KeptBar loss={loss} />
              </td>
              <td>{lossWords(loss)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {starch !== undefined && (
        <p>
          {starch === 'cooked'
            ? 'Its starch is cooked: it no longer binds or thickens.'
            : 'Its starch stays uncooked: it binds and thickens.'}
        </p>
      )}
      {portion_g !== undefined && <AsMuchAsRaw losses={losses} portion_g={portion_g} />}
      {waterMayBeKept && <p>What left the food is in the water.</p>}
      <p className="caution">
        For planning, in pieces {inUnits(`${pieces_mm} mm`)} thick, turned now and then
        {cut && ': cut half as thick it is four times as fast'}. An estimate: it shows no poison removed.
        {losses.some(({ what }) => what === 'soluble oxalate') &&
          ' One boil does not remove enough oxalate for kidney stones or kidney disease.'}
      </p>
    </section>
  )
}

/** What stays, against what is really eaten: nobody eats a plateful of it raw. */
function AsMuchAsRaw({ losses, portion_g }: { losses: readonly Loss[]; portion_g: number }) {
  const parts = losses.flatMap(({ what, asRaw_g, kept }) =>
    asRaw_g === undefined || what === 'the green' || kept.high < HARDLY_ANY
      ? []
      : [
          `${what} as ${formatMass(asRaw_g.usual)} eaten raw (${Math.round(asRaw_g.low)} to ${formatMass(asRaw_g.high)})`,
        ],
  )
  if (parts.length === 0) return null
  return (
    <p>
      What counts is what is eaten: a cooked portion of {formatMass(portion_g)} still gives as much {formatList(parts)}.{' '}
      Who eats less of it raw gets more out of the pot.
    </p>
  )
}

const HARDLY_ANY = 0.01

function lossWords({ unwanted, kept: { low, usual, high } }: Loss): string {
  if (high < HARDLY_ANY) return unwanted ? 'nearly all goes' : 'hardly any stays'
  return unwanted
    ? `${percent(1 - usual)} % goes (${percent(1 - high)} to ${percent(1 - low)} %)`
    : `${percent(usual)} % stays (${percent(low)} to ${percent(high)} %)`
}

/** How much stays, as a bar with its range. */
function KeptBar({ loss: { kept } }: { loss: Loss }) {
  return (
    <svg viewBox="0 0 100 14" className="kept-bar" preserveAspectRatio="none" aria-hidden="true">
      <rect className="whole" x="0" y="3" width="100" height="8" rx="2" />
      <rect className="kept" x="0" y="3" width={100 * kept.usual} height="8" rx="2" />
      <rect className="between" x={100 * kept.low} y="6" width={Math.max(1, 100 * (kept.high - kept.low))} height="2" />
    </svg>
  )
}

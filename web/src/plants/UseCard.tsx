import {
  isMustStep,
  limitHere,
  plainWords,
  schoolEvidence,
  type JudgeContext,
  type Protocol,
  type SchoolEvidence,
  type Taxon,
  type Use,
} from '@ellop/core'
import { useMemo } from 'react'
import { NeverLaxer, WhoSaysSo } from '../controls/WhoSaysSo'
import { CutDrawing } from '../drawing/CutDrawing'
import { formatMass, inUnits } from '../units/units'
import { ClaimForm } from './ClaimForm'
import { WhoMay } from './WhoMay'
import { partsOf, percent, VERDICTS } from './words'

/** What a kilogram picked comes to; planning values, each with its range. */
function Yields({ use: { edibleFraction, cookedYield, moisture, portion_g } }: { use: Use }) {
  const lines = [
    edibleFraction && (['is kept after trimming', edibleFraction] as const),
    cookedYield && (['of that is left when cooked', cookedYield] as const),
    moisture && (['of it is water', moisture] as const),
  ].filter((line) => line !== undefined)
  if (lines.length === 0 && portion_g === undefined) return null
  return (
    <>
      <h3>What it comes to</h3>
      <ul>
        {lines.map(([what, { low, usual, high }]) => (
          <li key={what}>
            <strong>{percent(usual)}</strong> {what} ({percent(low)} to {percent(high)})
          </li>
        ))}
        {portion_g !== undefined && (
          <li>
            a portion is about <strong>{formatMass(portion_g)}</strong>
            {edibleFraction !== undefined &&
              cookedYield !== undefined &&
              `: some ${formatMass(portion_g / edibleFraction.usual / cookedYield.usual)} as picked`}
          </li>
        )}
      </ul>
      <p className="soft">Planning values: your own weighings go before them.</p>
    </>
  )
}

/** A use of a plant: what harms in it and what answers that, for whom it is, how it keeps, and the ways to treat it. */
export function UseCard({
  taxon,
  use,
  elevation_m,
  context,
}: {
  taxon: Taxon
  use: Use
  elevation_m: number
  context: JudgeContext
}) {
  const evidence = useMemo(() => schoolEvidence(taxon, use, context), [taxon, use, context])
  const title = `${partsOf(use)}, ${plainWords(use.stage)}`
  if (use.verdict === 'never')
    return (
      <section className="card">
        <h2>{title}: never</h2>
        <p>{inUnits(use.whyNever ?? '')}</p>
        {use.instead !== undefined && <p>Instead: {inUnits(use.instead)}.</p>}
      </section>
    )
  return (
    <section className="card use">
      <h2>
        {title}: {VERDICTS[use.verdict]}
      </h2>
      {use.tenderness !== undefined && <p>{inUnits(use.tenderness)}</p>}
      {use.cut !== undefined && <p>{inUnits(use.cut)}</p>}
      <CutDrawing taxon={taxon} part={use.part} />
      <div className="use-columns">
        <div>
          <h3>Hazards and what answers them</h3>
          <ul>
            {use.hazards.map(({ id, level, note, answers }) => (
              <li key={id}>
                <strong>{plainWords(id)}</strong> ({level}).{' '}
                {inUnits(`${note} ${answers.map(({ says }) => says).join(' ')}`)}
              </li>
            ))}
          </ul>
          <WhoMay use={use} />
          <h3>Keeping</h3>
          <ul>
            {use.stores.map(({ store, after, says, keeps }) => (
              <li key={store + after}>
                <strong>{store === after ? store : `${store}, ${after}`}</strong>: {keeps.low} to {keeps.high}{' '}
                {keeps.unit}. {inUnits(says)}
              </li>
            ))}
          </ul>
          <Yields use={use} />
        </div>
        <div>
          <h3>Schools</h3>
          {use.protocols.map((protocol) => (
            <School
              key={protocol.name}
              taxon={taxon}
              use={use}
              protocol={protocol}
              elevation_m={elevation_m}
              evidence={evidence.find(({ school }) => school === protocol.name)}
            />
          ))}
          {evidence.length > 0 && <NeverLaxer />}
          <ClaimForm taxon={taxon} use={use} evidence={evidence} />
        </div>
      </div>
    </section>
  )
}

function School({
  taxon,
  use,
  protocol: { name, standing, steps, why, goals },
  elevation_m,
  evidence,
}: {
  taxon: Taxon
  use: Use
  protocol: Protocol
  elevation_m: number
  evidence: SchoolEvidence | undefined
}) {
  return (
    <section className="school">
      <h4>
        {name} <span className="tag quiet beside">{standing}</span>{' '}
        <span className="soft">to {goals.map(plainWords).join(', ')}</span>
      </h4>
      <ol>
        {steps.map((step, index) => {
          const { op, limit, check } = step
          const here = limit === undefined ? undefined : limitHere(limit, elevation_m)
          return (
            <li key={`${op} ${index}`} className={here?.reachable === false ? 'unreachable' : ''}>
              <strong>{plainWords(op)}</strong>
              {isMustStep(step, taxon, use) && <span className="tag limit">MUST</span>}{' '}
              {inUnits(here?.says ?? check ?? '')}
            </li>
          )
        })}
      </ol>
      <p className="soft">{inUnits(why)}</p>
      {evidence !== undefined && <WhoSaysSo evidence={evidence} />}
    </section>
  )
}

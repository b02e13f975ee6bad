import {
  bearingOf,
  formatCount,
  grouped,
  lifeTableOf,
  type Part,
  projectStand,
  removalOf,
  SHARE_SCHOOLS,
  type StandProjection,
  type Taxon,
  withCapital,
} from '@ellop/core'
import { Spin } from 'antd'
import { lazy, useMemo, useState } from 'react'
import { Choice } from '../controls/Choice'
import type { Way } from './StandChart'
import { OnDemand } from '../controls/OnDemand'

const StandChart = lazy(() => import('./StandChart'))

const SHARES: Readonly<Record<string, number>> = { 'one in twenty': 1 / 20, 'one in ten': 1 / 10, 'a third': 1 / 3 }
const CHOICES = SHARE_SCHOOLS.filter((name) => SHARES[name] !== undefined).map((name) => ({ value: name, label: name }))
const GREEN = '#3f6335'
const AMBER = '#8a5300'
const RED = '#9c3220'

/** What becomes of a stand in thirty years when so much of it is taken each year: leaves or tops only, and whole plants. */
export default function StandFuture({ taxon, part }: { taxon: Taxon; part: Part }) {
  const [school, setSchool] = useState('one in ten')
  const { ways, left, dug } = useMemo(() => {
    const table = lifeTableOf(taxon)
    const share = SHARES[school] ?? 0
    const kind = removalOf(part) === 'whole' ? 'leaf' : removalOf(part)
    const bearing = bearingOf(taxon, kind)
    const cost = Math.min(1, (share * bearing.pieces) / bearing.perPlant)
    const [nothing, pieces, whole] = [0, cost, share].map((take) => projectStand(table, take)) as [
      StandProjection,
      StandProjection,
      StandProjection,
    ]
    const all: readonly Way[] = [
      { name: 'nothing taken', colour: GREEN, projection: nothing },
      { name: `${PIECES[kind] ?? 'pieces'} only`, colour: AMBER, projection: pieces },
      { name: 'whole plants', colour: RED, projection: whole },
    ]
    return { ways: all, left: pieces, dug: whole }
  }, [taxon, part, school])
  const told = ways.map(({ name, projection }) => `${name}: ${afterThirty(projection)}`).join('; ')
  return (
    <section className="stand-future">
      <Choice label="Taken every year, for thirty years" options={CHOICES} value={school} onChange={setSchool} />
      <OnDemand waiting={<Spin />}>
        <StandChart ways={ways} told={told} />
      </OnDemand>
      <p>
        {withCapital(school)} of the {PIECES[removalOf(part)] ?? 'leaves'} every year: {afterThirty(left)}.{' '}
        {withCapital(school)} of the plants dug every year: {afterThirty(dug)}.
      </p>
      <p>
        Whole plants: more than <strong>{percent(left.largestTake)}</strong> a year shrinks the average stand; up to{' '}
        <strong>{percent(left.safeTake)}</strong> keeps it in nine of ten futures.
      </p>
      <p className="caution">
        From a life table of planning values, to compare ways of taking: no promise for your stand. Ten cooks taking a
        tenth each take it all. Ask who else picks here; law and owner go first.
      </p>
    </section>
  )
}

const PIECES: Readonly<Record<string, string>> = {
  leaf: 'leaves',
  top: 'tops',
  flower: 'flowers',
  fruit: 'fruits',
  bark: 'twigs',
  sap: 'taps',
}

function percent(share: number): string {
  return share < 0.001 ? 'none' : `${grouped(100 * share, share < 0.1 ? 1 : 0)} %`
}

function afterThirty({ years, growthRate, halved }: StandProjection): string {
  const last = years.at(-1)
  if (last === undefined) return ''
  if (growthRate < 1) {
    const half = Math.max(1, Math.round(Math.log(0.5) / Math.log(growthRate)))
    return `estimate: half as many in about ${formatCount(half, 'year')}; sooner in ${Math.round(100 * halved)} of 100 runs`
  }
  return `${grouped(last.middle, 1)} times as many (${grouped(last.low, 1)} to ${grouped(last.high, 1)})`
}

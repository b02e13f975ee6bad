import { type RehearsalBest, type RehearsalEnd, type RehearsalState, type Scenario } from '@ellop/core'
import { Button } from 'antd'
import { Link } from 'react-router'
import { VERDICT_WORDS } from './RehearsalsPlace'
import { formatVolume, inUnits } from '../units/units'

const WATER_WORDS = { cold: 'cold', hot: 'at the boil', running: 'running' } as const
const STARCH_WORDS = { binds: 'binds', undecided: 'may not bind', cooked: 'no longer binds' } as const

/** The truth: safe or not, how it tastes, what was lost and risked, beside the best that was possible. */
export function RehearsalEndCard({
  scenario,
  state,
  end,
  tasteAtMost,
  onAgain,
}: {
  scenario: Scenario
  state: RehearsalState
  end: RehearsalEnd
  tasteAtMost: number
  onAgain: () => void
}) {
  const mild = end.score <= tasteAtMost
  return (
    <div className={`rehearsal-end ${end.verdict}`} role="status">
      <h2>{VERDICT_WORDS[end.verdict]}</h2>
      <p className="rehearsal-truth">
        {end.served
          ? `Served. To the table it tastes ${end.score.toFixed(1)} of 10: ${mild ? 'mild' : end.score < 3 ? 'a little harsh' : 'bitter'}.`
          : 'Thrown away.'}
      </p>
      {end.unsafe.length > 0 && (
        <ul className="rehearsal-risks">
          {end.unsafe.map((why) => (
            <li key={why}>{inUnits(why)}</li>
          ))}
        </ul>
      )}
      {end.lost.length > 0 && (
        <ul>
          {end.lost.map((what) => (
            <li key={what}>{what}</li>
          ))}
        </ul>
      )}
      {end.quickest === undefined ? (
        <p>
          {end.unsafe.length > 0
            ? 'Nothing could have made this lot good.'
            : 'No way there was would have made it good in time.'}
        </p>
      ) : (
        <table className="rehearsal-best">
          <caption>Yours, and the best that this lot allowed</caption>
          <thead>
            <tr>
              <th scope="col" />
              <th scope="col">time</th>
              <th scope="col">water</th>
              <th scope="col">baths</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">yours</th>
              <td>{hours(state.hours)}</td>
              <td>{formatVolume(state.water_mL)}</td>
              <td>{state.baths.length}</td>
            </tr>
            <Best name="quickest" best={end.quickest} />
            <Best name="least water" best={end.thriftiest} />
          </tbody>
        </table>
      )}
      {end.served && (
        <p className="soft">
          The meal {STARCH_WORDS[end.starch]}; {Math.round(state.fuel_kWh * 10) / 10} kWh of fuel;{' '}
          {end.sugarKept < 0.01 ? 'hardly any' : `${Math.round(100 * end.sugarKept)} %`} of its sugars are left.
          {scenario.truth.tongue > 0 && ' Your tongue was harsher than theirs today: let another taste too.'}
        </p>
      )}
      <div className="acts">
        <Button type="primary" size="large" onClick={onAgain}>
          Again, with another lot
        </Button>
        <Link to="/rehearsals">All rehearsals</Link>
      </div>
    </div>
  )
}

function Best({ name, best }: { name: string; best: RehearsalBest | undefined }) {
  if (best === undefined) return null
  return (
    <tr>
      <th scope="row">
        {name} <span className="soft">({WATER_WORDS[best.water]})</span>
      </th>
      <td>{hours(best.hours)}</td>
      <td>{formatVolume(best.water_mL)}</td>
      <td>{best.baths}</td>
    </tr>
  )
}

function hours(count: number): string {
  return count < 48 ? `${Math.round(10 * count) / 10} h` : `${Math.round(count / 2.4) / 10} days`
}

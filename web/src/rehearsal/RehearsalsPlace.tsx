import { SCENARIOS } from '@ellop/core'
import { Link } from 'react-router'
import { gameOf, useGames, type Verdict } from './games'
import '../app/rehearsal.css'
import { inUnits } from '../units/units'

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  well: 'Well done',
  passable: 'It will do',
  badly: 'Not like that',
}

/** Lots to practise on, from easy to treacherous. */
export default function RehearsalsPlace() {
  const games = useGames((state) => state.games)
  const verdicts = useGames((state) => state.verdicts)
  return (
    <>
      <div className="place-head">
        <h1>Rehearse a leach</h1>
        <p>Made-up acorns, the same engines, no harm done. Nothing of it enters your book.</p>
      </div>
      <ol className="rehearsals">
        {SCENARIOS.map(({ id, name, difficulty, tells }) => {
          const verdict = verdicts[id]
          const begun = gameOf(games, id).moves.length > 0
          return (
            <li key={id}>
              <Link to={`/rehearsal/${id}`} className="rehearsal-card">
                <span className="acorns" aria-label={`Difficulty ${difficulty} of 5`}>
                  {[1, 2, 3, 4, 5].map((each) => (
                    <svg
                      key={each}
                      viewBox="0 0 20 26"
                      className={each <= difficulty ? 'full' : 'bare'}
                      aria-hidden="true"
                    >
                      <path d="M3 10 C3 20 8 25 10 25 C12 25 17 20 17 10 Z" />
                      <path d="M2 9 C2 4 6 3 10 3 C14 3 18 4 18 9 Z M9.3 3 V0.5 H10.7 V3 Z" className="cup" />
                    </svg>
                  ))}
                </span>
                <strong>{name}</strong>
                <span>{inUnits(tells)}</span>
                <span className={`rehearsal-state ${verdict ?? ''}`}>
                  {verdict === undefined ? (begun ? 'begun' : 'not tried yet') : VERDICT_WORDS[verdict]}
                </span>
              </Link>
            </li>
          )
        })}
      </ol>
    </>
  )
}

import {
  doNow,
  formatDay,
  GATE_NAMES,
  GATE_STATE_WORDS,
  kitchenAt,
  tellLabel,
  tellWords,
  timeOf,
  type GateView,
  type JudgeContext,
  type LotState,
  formatDate,
} from '@ellop/core'
import { GateIcon } from '../drawing/GateMark'
import { Doubles } from './LookForm'
import { inUnits } from '../units/units'

/** Each gate with its reasons, and by which catalogue and at which moment it was judged. */
export function GatesTab({
  views,
  lot,
  context,
}: {
  views: readonly GateView[]
  lot: LotState
  context: JudgeContext
}) {
  const timeZone = kitchenAt(context.book.house, context.now)?.timeZone ?? 'UTC'
  const [first] = views
  const next = views.find(({ state }) => state !== 'open')
  // Once on a page: with a look or the certainty to be said they stand above.
  const doublesShown = ['look', 'attest'].includes(doNow(lot, context).act.kind)
  return (
    <div className="gates-tab">
      <ul className="gate-list">
        {views.map(({ gate, state, reasons }) => (
          <li key={gate} className={state}>
            <GateIcon state={state} />
            <div>
              <h3>
                {GATE_NAMES[gate]} <span>{GATE_STATE_WORDS[state]}</span>
              </h3>
              {state === 'ahead' ? (
                <p>Later: after {next === undefined ? 'the gate before it' : GATE_NAMES[next.gate]} is open.</p>
              ) : (
                reasons.map((reason) => <p key={reason}>{inUnits(reason)}</p>)
              )}
            </div>
          </li>
        ))}
      </ul>
      <div>
        {!doublesShown && <Doubles lot={lot} context={context} />}
        <table className="doubles">
          <caption>What you looked at</caption>
          <tbody>
            {lot.tells.map(({ entry, character, answer, states, at }) => (
              <tr key={entry}>
                <th scope="row">{tellLabel(character)}</th>
                <td>{tellWords({ answer, states })}</td>
                <td>
                  {formatDay(at, timeZone)}, {timeOf(at, timeZone)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {first !== undefined && (
          <p className="field-note">
            Judged at {timeOf(first.at, timeZone)} by the catalogue of {formatDate(first.revision)}.
          </p>
        )}
      </div>
    </div>
  )
}

import {
  severityWord,
  CHARACTERS,
  clear,
  commonName,
  FALLS,
  findTaxon,
  formatCount,
  lotClearance,
  plainWords,
  strandsOf,
  type JudgeContext,
  type LotState,
  type Taxon,
  type TellFact,
  worthNaming,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import { useNote } from '../controls/useNote'
import { TellDrawing } from '../drawing/TellDrawing'
import { Refusal } from '../controls/Refusal'
import { inUnits } from '../units/units'

/** A tell is asked with its drawn states before anybody says whose state that is. Several may be seen in one stand. */
export function LookForm({
  lot,
  character,
  context,
  alone = false,
}: {
  lot: LotState
  character: string
  context: JudgeContext
  /** Without the list of doubles, where they stand beside it already. */
  alone?: boolean
}) {
  const { write, otherError } = useNote()
  const [seen, setSeen] = useState<readonly string[]>([])
  const states = CHARACTERS[character]?.states ?? []
  const toggle = (state: string) =>
    setSeen(seen.includes(state) ? seen.filter((each) => each !== state) : [...seen, state])
  const answer = (kind: TellFact['answer']) =>
    void write({
      type: 'tell-seen',
      lot: lot.id,
      character,
      answer: kind,
      states: kind === 'seen' || kind === 'lay-about' ? seen : [],
    })
  const smell = character === 'crushedScent'
  return (
    <div className="look">
      {smell && (
        <p className="caution">
          Smell with clean hands, before you handle the rest: the first handful makes every later leaf smell of it.
        </p>
      )}
      {CHARACTERS[character]?.cost === 'dig' && (
        <p className="caution">
          Digging one up kills it: only where many stand, never where fewer than ten do. Say “not to be seen now”
          instead. Fill the hole.
        </p>
      )}
      <div className="tiles" role="group" aria-label="What you see">
        {states.map((state) => (
          <button
            key={state}
            type="button"
            className={seen.includes(state) ? 'tile on' : 'tile'}
            aria-pressed={seen.includes(state)}
            onClick={() => toggle(state)}
          >
            <TellDrawing character={character} state={state} />
            <span>{inUnits(plainWords(state))}</span>
          </button>
        ))}
      </div>
      <div className="acts">
        <Button type="primary" size="large" disabled={seen.length === 0} onClick={() => answer('seen')}>
          {seen.length > 1 ? 'I see all of these in it' : 'That is what I see'}
        </Button>
        {FALLS.includes(character) && (
          <Button size="large" disabled={seen.length === 0} onClick={() => answer('lay-about')}>
            It only lay on the ground
          </Button>
        )}
        <Button size="large" onClick={() => answer('not-visible')}>
          I cannot see it now
        </Button>
        <Button size="large" onClick={() => answer('could-not-tell')}>
          I could not tell
        </Button>
      </div>
      <Refusal sentence={otherError([])} />
      {!alone && <Doubles lot={lot} context={context} />}
    </div>
  )
}

const DOUBLES_SHOWN = 6

/** What it could be taken for, worst first, and how far each is ruled out; whose marks are whose comes only after the answer. */
export function Doubles({ lot, context }: { lot: LotState; context: JudgeContext }) {
  // Of a batch each picking has its own.
  return strandsOf(lot).flatMap(({ lot: strand }) => {
    const taxon = findTaxon(context.catalogue, strand.weighedIn?.taxon ?? '')
    return taxon === undefined ? [] : [<DoublesOf key={strand.id} lot={strand} taxon={taxon} context={context} />]
  })
}

function DoublesOf({ lot, taxon, context }: { lot: LotState; taxon: Taxon; context: JudgeContext }) {
  const clearance = lotClearance(lot, taxon, context)
  const all = clear({ taxon: taxon.scientificName, observed: {} }, context.catalogue).standing
  const listed = new Set(taxon.lookalikes.map(({ scientificName }) => scientificName))
  // What it is ordinarily taken for, and of all others only what nothing seen speaks against.
  const harmful = clearance.standing.filter(({ severity }) => severity !== 'harmless')
  const { named, others } = worthNaming(taxon, harmful)
  const shownNames = new Set([
    ...listed,
    ...named.slice(0, Math.max(listed.size, DOUBLES_SHOWN)).map((each) => each.taxon),
  ])
  const shown = all
    .filter((each) => each.severity !== 'harmless' && shownNames.has(each.taxon))
    .toSorted((a, b) => Number(listed.has(b.taxon)) - Number(listed.has(a.taxon)))
  const more = others + named.filter((each) => !shownNames.has(each.taxon)).length
  return (
    <table className="doubles">
      <caption>
        Look-alikes · <Link to={`/lot/${lot.id}/tells`}>see them side by side</Link>
      </caption>
      <thead>
        <tr>
          <th scope="col">Plant</th>
          <th scope="col">If eaten by mistake</th>
          <th scope="col">Ruled out by</th>
        </tr>
      </thead>
      <tbody>
        {shown.map(({ taxon: name, severity }) => {
          const now = [...clearance.standing, ...clearance.ruledOut].find((each) => each.taxon === name)
          const out = clearance.ruledOut.some((each) => each.taxon === name)
          const record = findTaxon(context.catalogue, name)
          return (
            <tr key={name} className={out ? 'out' : ''}>
              <th scope="row">
                {record === undefined ? name : commonName(record)} <i>{name}</i>
              </th>
              <td>{severityWord(severity)}</td>
              <td>
                {now === undefined || now.ruledOutBy.length === 0
                  ? 'Not ruled out yet'
                  : `${now.ruledOutBy.map((by) => CHARACTERS[by]?.label.toLowerCase() ?? by).join(', ')}${out ? '' : ` (${now.ruledOutBy.length} of ${now.needed})`}`}
              </td>
            </tr>
          )
        })}
      </tbody>
      {more > 0 && (
        <tfoot>
          <tr>
            <td colSpan={3}>{formatCount(more, 'more harmful plant')} not ruled out yet.</td>
          </tr>
        </tfoot>
      )}
    </table>
  )
}

import {
  CHARACTERS,
  commonName,
  nameInText,
  familyMarks,
  findTaxon,
  formatCount,
  gateViews,
  isHarmful,
  lotClearance,
  lotObservation,
  meetingDays,
  meetingsNeeded,
  plainWords,
  type GateView,
} from '@ellop/core'
import { Link, useParams } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { GateMark } from '../drawing/GateMark'
import { AttestForm } from '../lot/AttestForm'
import { LookForm } from '../lot/LookForm'
import { rivalsOf } from './rivals'
import { SideBySide } from './SideBySide'
import { NotThere } from '../controls/NotThere'
import { inUnits } from '../units/units'

/** Telling the plant: the gate and why, the one thing to look at next, and what was seen against what still stands. */
export default function TellsPlace() {
  const { id = '' } = useParams()
  const context = useJudgeContext()
  const lot = context.book.lots.get(id)
  const taxon = findTaxon(context.catalogue, lot?.weighedIn?.taxon ?? '')
  if (lot === undefined || lot.weighedIn === null || taxon === undefined)
    return (
      <NotThere what="There is nothing to tell here" to="/basket" onward="To the basket">
        A lot is told as it was picked; one that was joined or opened is told part by part.
      </NotThere>
    )
  const clearance = lotClearance(lot, taxon, context)
  const [gate] = gateViews(lot, context)
  const { observed } = lotObservation(lot, taxon, context)
  const marks = familyMarks(lot, taxon, context)
  const told = clearance.missing.length === 0 && !clearance.standing.some(isHarmful)
  const next = told ? marks?.open[0] : clearance.next[0]?.character
  const asking = gate?.state === 'ajar' && next !== undefined
  const rivals = rivalsOf(taxon, clearance, context.catalogue)
  return (
    <div className="tells">
      <section className="tells-ask">
        <p className="crumbs">
          <Link to={`/lot/${lot.id}`}>Lot {lot.code}</Link> · Identity
        </p>
        <h1>Is it {nameInText(taxon)}?</h1>
        <p className="soft">
          <i>{taxon.scientificName}</i> · {plainWords(lot.weighedIn.part)}, {plainWords(lot.weighedIn.stage)}
        </p>
        {gate !== undefined && (
          <GateCard gate={gate} standing={clearance.standing.filter(isHarmful).map((each) => each.taxon)} />
        )}
        {asking ? (
          <div className="tells-next">
            <h2>Look next: {CHARACTERS[next]?.ask}</h2>
            <LookForm key={next} lot={lot} character={next} context={context} alone />
          </div>
        ) : (
          lot.attestedAt === null &&
          gate?.state === 'ajar' && (
            <div className="tells-next">
              <h2>Are you certain?</h2>
              <AttestForm lot={lot} context={context} alone />
            </div>
          )
        )}
        <p className="soft">
          Sure days with it: {meetingDays(taxon, context)} of {meetingsNeeded(taxon)}. Ellop never names a plant for
          you: it asks you to look.
        </p>
        <p>
          <Link to={`/plant/${encodeURIComponent(taxon.scientificName)}/card`}>Field card to print</Link>
        </p>
      </section>
      <section className="tells-beside">
        {Object.keys(observed).length === 0 ? (
          <p className="soft">
            No mark checked yet. Other plants’ marks appear after you answer, so they cannot sway you.
          </p>
        ) : (
          <SideBySide
            claimed={taxon}
            rivals={rivals}
            rows={Object.keys(observed)}
            observed={observed}
            caption={`${commonName(taxon)} and what it could be taken for, tell by tell`}
          />
        )}
      </section>
    </div>
  )
}

function GateCard({ gate, standing }: { gate: GateView; standing: readonly string[] }) {
  const title = {
    open: 'Open: identified by you',
    ajar:
      standing.length === 0 ? 'To do' : `To do: ${formatCount(standing.length, 'harmful look-alike')} not ruled out`,
    closed: 'Closed: it is not this plant',
    ahead: 'Not reached yet',
  }[gate.state]
  return (
    <section className={`gate-card ${gate.state}`}>
      <svg viewBox="-24 -24 48 48" width={60} height={60} aria-hidden="true">
        <GateMark state={gate.state} current />
      </svg>
      <div>
        <h2>{title}</h2>
        <p>{inUnits(gate.reasons.slice(0, 3).join(' '))}</p>
      </div>
    </section>
  )
}

import { findTaxon, meetingDays, meetingsNeeded, type LotState } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { TextField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { WhoWrites } from '../controls/WhoWrites'
import { AttestForm } from './AttestForm'

/** A day on which whoever is at it met the plant and was sure. */
export function MeetForm({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const { book } = useJudgeContext()
  const [mentor, setMentor] = useState('')
  const { weighedIn } = lot
  if (weighedIn === null) return null
  return (
    <>
      <WhoWrites />
      <TextField
        label="Who showed it to you"
        hint="May stay empty. It stands beside the meeting, never instead of a tell."
        maxLength={80}
        value={mentor}
        onChange={setMentor}
      />
      <Button
        size="large"
        onClick={() =>
          void write(
            {
              type: 'plant-met',
              taxon: weighedIn.taxon,
              stage: weighedIn.stage,
              ...(book.house.patches[weighedIn.patch] === undefined ? {} : { patch: weighedIn.patch }),
              ...(mentor.trim() === '' ? {} : { mentor: mentor.trim() }),
            },
            'Meeting noted',
          )
        }
      >
        I met it, and was sure
      </Button>
      <Refusal sentence={otherError([])} />
    </>
  )
}

/** Who was certain has not met it often enough: meet it again, or let somebody be certain who has. */
export function MeetFirst({ lot }: { lot: LotState }) {
  const context = useJudgeContext()
  const taxon = findTaxon(context.catalogue, lot.weighedIn?.taxon ?? '')
  const knows = taxon !== undefined && meetingDays(taxon, context) >= meetingsNeeded(taxon)
  if (!knows)
    return (
      <div className="form">
        <MeetForm lot={lot} />
      </div>
    )
  return <AttestForm lot={lot} context={context} />
}

import { GROUNDS, plainWords, type Grounds, type SchoolEvidence, type Taxon, type Use } from '@ellop/core'
import { Button, Checkbox, Input, Select } from 'antd'
import { useState } from 'react'
import { Field } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'

/** Something read or heard of a way: who says it, how they know, whom they have it from; or a study that is awaited. */
export function ClaimForm({ taxon, use, evidence }: { taxon: Taxon; use: Use; evidence: readonly SchoolEvidence[] }) {
  const { write, otherError } = useNote()
  const [school, setSchool] = useState(use.protocols[0]?.name ?? '')
  const [says, setSays] = useState('')
  const [who, setWho] = useState('')
  const [grounds, setGrounds] = useState<Grounds>('handed-down')
  const [copies, setCopies] = useState<string>()
  const [awaited, setAwaited] = useState(false)
  const roots = evidence.flatMap((each) => each.roots).map(({ claim }) => claim)
  const known = roots.filter((claim, index) => roots.findIndex(({ id }) => id === claim.id) === index)
  const note = async () => {
    const noted = await write(
      {
        type: 'claim-noted',
        ...{ taxon: taxon.scientificName, part: use.part, stage: use.stage },
        claim: {
          ...{ schools: [school], says: says.trim(), who: who.trim(), grounds },
          ...(copies === undefined || awaited ? {} : { copies }),
          ...(awaited ? { awaited } : {}),
        },
      },
      'Written down',
    )
    if (!noted.ok) return
    setSays('')
    setWho('')
    setCopies(undefined)
  }
  return (
    <details className="set-aside">
      <summary>You read or heard something of it</summary>
      <div className="form">
        <Field label="Of which way">
          {(id) => (
            <Select
              id={id}
              size="large"
              value={school}
              onChange={setSchool}
              options={use.protocols.map(({ name }) => ({ value: name, label: name }))}
            />
          )}
        </Field>
        <Field label="It says">
          {(id) => (
            <Input
              id={id}
              size="large"
              maxLength={500}
              value={says}
              onChange={(event) => setSays(event.target.value)}
            />
          )}
        </Field>
        <Field label="Who says it" hint="The kind of source, so that you know it again">
          {(id) => (
            <Input id={id} size="large" maxLength={120} value={who} onChange={(event) => setWho(event.target.value)} />
          )}
        </Field>
        <Field label="How they know">
          {(id) => (
            <Select
              id={id}
              size="large"
              value={grounds}
              onChange={setGrounds}
              options={GROUNDS.map((value) => ({ value, label: plainWords(value) }))}
            />
          )}
        </Field>
        {known.length > 0 && !awaited && (
          <Field label="They have it from" hint="A repeated claim adds no source.">
            {(id) => (
              <Select
                id={id}
                size="large"
                allowClear
                placeholder="nobody on record"
                value={copies}
                onChange={setCopies}
                options={known.map((claim) => ({ value: claim.id, label: `${claim.who}: ${claim.says}` }))}
              />
            )}
          </Field>
        )}
        <Checkbox checked={awaited} onChange={(event) => setAwaited(event.target.checked)}>
          A study still to come: it says nothing yet
        </Checkbox>
        <Refusal sentence={otherError([])} />
        <Button size="large" disabled={says.trim() === '' || who.trim() === ''} onClick={() => void note()}>
          Write it down
        </Button>
      </div>
    </details>
  )
}

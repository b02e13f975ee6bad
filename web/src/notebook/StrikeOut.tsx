import { describeEntry, GATE_NAMES, strikePreview, type Entry } from '@ellop/core'
import { Input, Modal } from 'antd'
import { useMemo, useState } from 'react'
import { draftStrike, useBook, useJudgeContext } from '../book/bookStore'
import { Field } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'

/** Striking an entry out: what it would change is shown before it is made. */
export function StrikeOut({ entry, onClose }: { entry: Entry; onClose: () => void }) {
  const context = useJudgeContext()
  const log = useBook((book) => book.log)
  const { write, otherError } = useNote()
  const [why, setWhy] = useState('')
  const preview = useMemo(
    () => strikePreview(log, draftStrike(entry.id, context.now), context),
    [log, entry.id, context],
  )
  const codeOf = (lot: string) => context.book.lots.get(lot)?.code ?? lot
  const names = (ids: readonly string[]) => ids.map((id) => context.book.house.eaters[id]?.name ?? id).join(', ')
  const still =
    preview.gates.length +
      preview.lotsGone.length +
      preview.newlyHeld.packs.length +
      preview.newlyHeld.servings.length ===
    0
  const strike = async () => {
    const noted = await write(
      { type: 'struck', entry: entry.id, why: why.trim() },
      'Struck out; everything computed again',
    )
    if (noted.ok) onClose()
  }
  return (
    <Modal title="Strike out" open onCancel={onClose} footer={null} width={640}>
      <blockquote>{describeEntry(entry, context.book, context.catalogue)}</blockquote>
      <h3>What it would change</h3>
      <ul className="preview">
        {still && <li>No gate, no pack and nobody’s plate.</li>}
        {preview.lotsGone.map((lot) => (
          <li key={lot}>Lot {codeOf(lot)} would be gone.</li>
        ))}
        {preview.gates.map(({ lot, gate, from, to }) => (
          <li key={lot + gate}>
            Lot {codeOf(lot)}: {GATE_NAMES[gate]} goes from {from} to {to}.
          </li>
        ))}
        {preview.newlyHeld.packs.map(({ pack }) => (
          <li key={pack} className="grave">
            Pack {pack} would be held.
          </li>
        ))}
        {preview.newlyHeld.servings.map(({ entry: serving, dish, eaters }) => (
          <li key={serving} className="grave">
            “{dish}” was eaten by {names(eaters)}; it stays in the record.
          </li>
        ))}
      </ul>
      <Field label="Why" error={otherError([])}>
        {(id) => <Input id={id} size="large" value={why} onChange={(event) => setWhy(event.target.value)} />}
      </Field>
      <div className="acts">
        <HoldButton tone="stop" disabled={why.trim() === ''} onHold={() => void strike()}>
          Hold: strike it out
        </HoldButton>
      </div>
    </Modal>
  )
}

import { amendPreview, GATE_NAMES, GATE_STATE_WORDS, type Redated, type Struck } from '@ellop/core'
import { useMemo } from 'react'
import { useBook, useJudgeContext } from '../book/bookStore'

/** What a strike-out or a re-dating would change, shown before it is made. Servings stay facts. */
export function WhatItChanges({ amendment }: { amendment: Struck | Redated }) {
  const context = useJudgeContext()
  const log = useBook((book) => book.log)
  const preview = useMemo(() => amendPreview(log, amendment, context), [log, amendment, context])
  const codeOf = (lot: string) => context.book.lots.get(lot)?.code ?? lot
  const names = (ids: readonly string[]) => ids.map((id) => context.book.house.eaters[id]?.name ?? id).join(', ')
  const { gates, lotsGone, newlyHeld } = preview
  const still = gates.length + lotsGone.length + newlyHeld.packs.length + newlyHeld.servings.length === 0
  return (
    <>
      <h3>What it would change</h3>
      <ul className="preview">
        {still && <li>Nothing else changes.</li>}
        {lotsGone.map((lot) => (
          <li key={lot}>Lot {codeOf(lot)} would be gone.</li>
        ))}
        {gates.map(({ lot, gate, from, to }) => (
          <li key={lot + gate}>
            Lot {codeOf(lot)}: {GATE_NAMES[gate]} was {GATE_STATE_WORDS[from]} and would be {GATE_STATE_WORDS[to]}.
          </li>
        ))}
        {newlyHeld.packs.map(({ pack }) => (
          <li key={pack} className="grave">
            Pack {pack} would be blocked: DO NOT EAT.
          </li>
        ))}
        {newlyHeld.servings.map(({ entry, dish, eaters }) => (
          <li key={entry} className="grave">
            “{dish}” was eaten by {names(eaters)}; it stays in the record.
          </li>
        ))}
      </ul>
    </>
  )
}

import type { LotState } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { Choice } from '../controls/Choice'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'

const WASHES = [
  { value: 'safe-2', label: 'two waters' },
  { value: 'safe-1', label: 'one water' },
  { value: 'none', label: 'shaken out only' },
  { value: 'germs-2', label: 'stream, lake or rain (germs)' },
  { value: 'chemicals-1', label: 'water that may hold chemicals' },
] as const
export type Washing = (typeof WASHES)[number]['value']
type Wash = NonNullable<NonNullable<LotState['sorted']>['wash']>

/** How it was washed, of a few usual ways; or shaken out only, where it may stay dry. */
export function WashChoice({
  value,
  onChange,
  mayStayDry = false,
}: {
  value: Washing
  onChange: (value: Washing) => void
  mayStayDry?: boolean
}) {
  return (
    <Choice
      label="Washed"
      value={value}
      onChange={onChange}
      options={WASHES.filter((each) => mayStayDry || each.value !== 'none')}
    />
  )
}

/** What a choice of washing is noted as; null where it stayed dry. */
export function washOf(chosen: Washing): Wash | null {
  if (chosen === 'none') return null
  const [water, changes] = chosen.split('-') as [Wash['water'], string]
  return { water, changes: Number(changes) }
}

/** Washing after all, of a lot that was sorted dry and whose way wants water. */
export function WashForm({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [chosen, setChosen] = useState<Washing>('safe-2')
  return (
    <div className="form">
      <WashChoice value={chosen} onChange={setChosen} />
      <Refusal sentence={otherError([])} wide />
      <Button
        type="primary"
        size="large"
        onClick={() => {
          const wash = washOf(chosen)
          if (wash !== null) void write({ type: 'washed', lot: lot.id, wash }, 'Washed')
        }}
      >
        Washed
      </Button>
      <p className="caution">Only boiling kills germs from wild water. Nothing removes chemicals: use other water.</p>
    </div>
  )
}

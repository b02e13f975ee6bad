import type { LotState } from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'

/** The lot was gone through again after a stray was reported. */
export function StraysForm({ lot }: { lot: LotState }) {
  const { write, errorOf, otherError } = useNote()
  const [found, setFound] = useState('')
  const [typed, setTyped] = useState<string>()
  const submit = () => {
    const read = readField(found)
    setTyped('error' in read ? read.error : undefined)
    if ('value' in read) void write({ type: 'strays-sorted', lot: lot.id, found: read.value }, 'Gone through again')
  }
  return (
    <div className="form">
      <NumberField
        label="Strays taken out"
        unit="pieces"
        value={found}
        onChange={setFound}
        error={typed ?? errorOf('found') ?? otherError(['found'])}
      />
      <Button type="primary" size="large" onClick={submit}>
        I have been through all of it
      </Button>
    </div>
  )
}

import type { Instant, Saying } from '@ellop/core'
import { useCallback, useState } from 'react'
import { useBook, type Noted } from '../book/bookStore'
import { say } from './said'

/** Notes entries from a form: says “noted” when one is stored, and keeps the field and sentence of a refusal beside the form. */
export function useNote() {
  const note = useBook((book) => book.note)
  const [refusal, setRefusal] = useState<{ field: string; message: string }>()
  const write = useCallback(
    async (saying: Saying, said = 'Noted', at?: Instant): Promise<Noted> => {
      const noted = await note(saying, at)
      setRefusal(noted.ok ? undefined : noted)
      if (noted.ok && said !== '') say(said)
      return noted
    },
    [note],
  )
  const errorOf = (field: string) => (refusal?.field === field ? refusal.message : undefined)
  const otherError = (fields: readonly string[]) =>
    refusal !== undefined && !fields.includes(refusal.field) ? refusal.message : undefined
  return { write, errorOf, otherError, setRefusal }
}

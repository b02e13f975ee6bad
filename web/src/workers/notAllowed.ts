import { CATALOGUE, notAllowed, type Entry, type Instant } from '@ellop/core'

/** An act that would not have been allowed, in words: entries do not cross the border a second time. */
export interface NotAllowedLine {
  readonly id: string
  readonly at: Instant
  readonly says: string
  readonly message: string
}

/** {@link notAllowed}, as it is asked in the worker. */
export function notAllowedOf({
  own,
  fresh,
}: {
  readonly own: readonly Entry[]
  readonly fresh: readonly Entry[]
}): readonly NotAllowedLine[] {
  return notAllowed(own, fresh, CATALOGUE).map(({ entry, says, message }) => ({
    id: entry.id,
    at: entry.at,
    says,
    message,
  }))
}

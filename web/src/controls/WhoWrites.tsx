import { COOK, writersOf } from '@ellop/core'
import { useBook } from '../book/bookStore'
import { Choice } from './Choice'

/** Who is at it, in one touch: days met and certainty count for one person alone. Nothing where only one could be at it. */
export function WhoWrites() {
  const eaters = useBook(({ log }) => log.state.house.eaters)
  const writer = useBook((book) => book.writer)
  const { writeAs } = useBook.getState()
  const grown = writersOf(eaters)
  if (grown.length < 2) return null
  return (
    <Choice
      label="Who are you?"
      value={writer}
      onChange={(id) => void writeAs(id)}
      options={[{ value: COOK, label: 'the cook' }, ...grown.map(({ id, name }) => ({ value: id, label: name }))]}
    />
  )
}

/** As whom one writes, in a word or two; undefined for the cook. */
export function useWriterName(): string | undefined {
  return useBook(({ log, writer }) => log.state.house.eaters[writer]?.name)
}

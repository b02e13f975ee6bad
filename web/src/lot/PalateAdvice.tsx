import { lotUse, notesOf, PALATE_NOTES, palateAdvice, protocolOf, type JudgeContext, type LotState } from '@ellop/core'

const NAMES = {
  bitter: 'bitter',
  astringent: 'dry',
  acrid: 'pricking',
  sour: 'sour',
  salt: 'salt',
  sweet: 'sweet',
  resin: 'resin',
} as const

/** The last taste as it was told, note by note, each taster apart; and what may be done about what was too much. */
export function PalateAdvice({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const tastes = lot.tastes.filter(({ alarm, crumb }) => alarm === null && !crumb)
  const last = tastes.at(-1)
  const use = lotUse(lot, context.catalogue)
  if (last === undefined || use === undefined) return null
  const advice = palateAdvice(last, use, protocolOf(lot, use))
  const told = PALATE_NOTES.filter((note) => tastes.some((taste) => notesOf(taste)[note] > 0))
  const nameOf = (taster: string) => context.book.house.eaters[taster]?.name ?? taster
  return (
    <section className="palate-told" aria-label="What it tasted of">
      {told.length > 0 && (
        <table>
          <caption className="soft">Tasted so far, each tongue apart</caption>
          <thead>
            <tr>
              <th scope="col">who</th>
              {told.map((note) => (
                <th key={note} scope="col">
                  {NAMES[note]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tastes.slice(-4).map((taste) => (
              <tr key={taste.at}>
                <th scope="row">{nameOf(taste.taster)}</th>
                {told.map((note) => (
                  <td key={note}>{notesOf(taste)[note]}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {advice.length > 0 && (
        <>
          <h3>What may be done</h3>
          <ol>
            {advice.map(({ note, kind, text }) => (
              <li key={`${note}${kind}`}>
                <strong>{NAMES[note]}</strong> {text}
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  )
}

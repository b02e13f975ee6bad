import type { PalateNote } from '@ellop/core'
import { useId } from 'react'

/** How each note is asked, and where on the tongue and in time to look for it. */
export const NOTE_WORDS: Readonly<
  Record<PalateNote | 'aftertaste' | 'liking', { readonly ask: string; readonly look: string }>
> = {
  bitter: { ask: 'How bitter', look: 'far back, after a moment' },
  astringent: { ask: 'How much it dries the mouth', look: 'gums and cheeks, as strong tea does' },
  acrid: { ask: 'How much it pricks', look: 'lips and throat; stop if it burns' },
  sour: { ask: 'How sour', look: 'sides of the tongue' },
  salt: { ask: 'How salt', look: 'at once' },
  sweet: { ask: 'How sweet', look: 'at once, and last' },
  resin: { ask: 'How resinous', look: 'through the nose' },
  liking: { ask: 'How good', look: 'as if you chose again' },
  aftertaste: { ask: 'What lingers', look: 'half a minute later, the harsher of bitter and dry' },
}

const SCORES = Array.from({ length: 11 }, (_, score) => score)

/** One note as a strip of eleven steps that grow; a wet thumb, an arrow key or a number sets it. */
export function PalateStrip({
  note,
  value,
  onChange,
}: {
  note: PalateNote | 'aftertaste' | 'liking'
  value: number | undefined
  onChange: (value: number) => void
}) {
  const name = useId()
  const { ask, look } = NOTE_WORDS[note]
  return (
    <fieldset className={`palate-strip ${note}`}>
      <legend>
        {ask}, 0 to 10 <span className="soft">{look}</span>
      </legend>
      <div className="palate-steps">
        {SCORES.map((score) => (
          <label key={score} className={value !== undefined && score <= value && value > 0 ? 'lit' : undefined}>
            <input
              type="radio"
              name={name}
              value={score}
              checked={value === score}
              onChange={() => onChange(score)}
              aria-label={String(score)}
            />
            <span className={`palate-bar h${score}`} aria-hidden="true" />
            <span aria-hidden="true">{score}</span>
          </label>
        ))}
      </div>
    </fieldset>
  )
}

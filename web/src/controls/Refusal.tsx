import { inUnits } from '../units/units'

/** The one sentence that says what is wrong and what would do; nothing where nothing is. */
export function Refusal({ sentence, wide = false }: { sentence: string | undefined; wide?: boolean }) {
  return sentence === undefined ? null : (
    <p className={wide ? 'refusal wide' : 'refusal'} role="alert">
      {inUnits(sentence)}
    </p>
  )
}

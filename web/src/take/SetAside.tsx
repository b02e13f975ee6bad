import {
  effortFor,
  formatList,
  grouped,
  ownPickings,
  PURPOSE_WORDS,
  purposeOf,
  PURPOSES,
  purposesOf,
  withCapital,
  type PatchPlant,
  type Purpose,
  type SetAsideShares,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'

type Typed = Readonly<Partial<Record<Purpose, string>>>

/** How a stand is shared out, in words; nothing where it is not. */
export function setAsideSays(shares: SetAsideShares | undefined): string | undefined {
  if (shares === undefined) return undefined
  const kept = PURPOSES.flatMap((purpose) => {
    const percent = Math.round(100 * (shares[purpose] ?? 0))
    return percent === 0 ? [] : [`${percent} % ${PURPOSE_WORDS[purpose]}`]
  })
  return kept.length === 0 ? undefined : `Shared out: ${formatList(kept)}.`
}

/** One stand shared out among what is wanted of it: what is cut for the pot bears no flower, a flower picked no fruit. */
export function SetAside({ patch, plant }: { patch: string; plant: PatchPlant }) {
  const context = useJudgeContext()
  const { write, otherError } = useNote()
  const { taxon, setAside, lastCount } = plant
  const [typed, setTyped] = useState<Typed>(() =>
    Object.fromEntries(
      Object.entries(setAside ?? {}).map(([purpose, share]) => [purpose, String(Math.round(100 * share))]),
    ),
  )
  const [fault, setFault] = useState<string>()
  const read = purposesOf(taxon).map((purpose) => ({ purpose, value: readField(typed[purpose] ?? '') }))
  const percent = read.reduce((sum, { value }) => sum + ('value' in value ? value.value : 0), 0)
  const note = () => {
    const wrong = read.find(({ purpose, value }) => (typed[purpose] ?? '').trim() !== '' && 'error' in value)
    if (wrong !== undefined && 'error' in wrong.value)
      return setFault(`${withCapital(PURPOSE_WORDS[wrong.purpose])}: ${wrong.value.error}`)
    setFault(undefined)
    const shares = Object.fromEntries(
      read.flatMap(({ purpose, value }) =>
        'value' in value && value.value > 0 ? [[purpose, value.value / 100] as const] : [],
      ),
    )
    void write({ type: 'stand-set-aside', patch, taxon: taxon.scientificName, shares }, 'Shared out')
  }
  /** About how many plates so many pieces are, of the first use of that purpose whose pieces are on record. */
  const plates = (purpose: Purpose, pieces: number): string => {
    const each = taxon.uses
      .filter(({ part, verdict }) => verdict !== 'never' && purposeOf(part) === purpose)
      .map((use) => effortFor(use, 1, ownPickings(taxon, use, context))?.pieces?.usual)
      .find((needed) => needed !== undefined)
    return each === undefined ? '' : `, about ${Math.floor(pieces / each)} plates if all of it were cut`
  }
  const hint = (purpose: Purpose, share: number): string | undefined => {
    if (lastCount === undefined) return undefined
    const pieces = Math.floor((lastCount.count * share) / 100 + 1e-9)
    return `${grouped(pieces)} of ${grouped(lastCount.count)} ${lastCount.of} at the last count${plates(purpose, pieces)}`
  }
  return (
    <details className="set-aside">
      <summary>What this stand is for</summary>
      <p className="field-note">
        What is cut for the pot bears no flower, and a flower picked no fruit. Say how much of the stand each is to
        have; what is not said is for anything. The fair share goes before this.
      </p>
      <div className="form three">
        {read.map(({ purpose, value }) => (
          <NumberField
            key={purpose}
            label={withCapital(PURPOSE_WORDS[purpose])}
            unit="%"
            value={typed[purpose] ?? ''}
            onChange={(text) => setTyped({ ...typed, [purpose]: text })}
            hint={'value' in value ? hint(purpose, value.value) : undefined}
          />
        ))}
        <p className={percent > 100 ? 'refusal wide' : 'told wide'}>
          {percent > 100 ? `${percent} %: more than there is.` : `${100 - percent} % for anything.`}
        </p>
        <Refusal sentence={fault ?? otherError([])} wide />
        <Button size="large" onClick={note}>
          Share it out
        </Button>
      </div>
    </details>
  )
}

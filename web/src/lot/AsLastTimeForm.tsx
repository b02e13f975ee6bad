import {
  CHARACTERS,
  grouped,
  plainWords,
  type JudgeContext,
  type LotState,
  type NowAct,
  type Saying,
} from '@ellop/core'
import { Button } from 'antd'
import { useState } from 'react'
import { NumberField, readField } from '../controls/Field'
import { HoldButton } from '../controls/HoldButton'
import { useNote } from '../controls/useNote'
import { WhoWrites } from '../controls/WhoWrites'
import { TellDrawing } from '../drawing/TellDrawing'
import { LookForm } from './LookForm'
import { Refusal } from '../controls/Refusal'
import { formatMass, inUnits } from '../units/units'

/** A plant the cook knows, from a patch the cook knows: one tell is looked at live, all else is as last time, in one go. */
export function AsLastTimeForm({
  lot,
  act,
  context,
}: {
  context: JudgeContext
  lot: LotState
  act: Extract<NowAct, { kind: 'as-last-time' }>
}) {
  const { last } = act
  const { write, errorOf, otherError } = useNote()
  const [seen, setSeen] = useState<readonly string[]>([])
  const [kept, setKept] = useState(String(last.kept_g))
  const [typed, setTyped] = useState<string>()
  const [anew, setAnew] = useState(false)
  const picked_g = lot.weighedIn?.mass_g ?? 0
  if (anew) return <LookForm lot={lot} character={last.character} context={context} />
  const confirm = async () => {
    const read = readField(kept)
    setTyped('error' in read ? read.error : undefined)
    if (!('value' in read)) return
    const sayings: readonly Saying[] = [
      { type: 'tell-seen', lot: lot.id, character: last.character, answer: 'seen', states: seen },
      { type: 'certain-attested', lot: lot.id },
      { type: 'stand-counted', lot: lot.id, ...last.stand },
      { type: 'sorted', lot: lot.id, ...last.sort, kept_g: read.value, trimmed_g: Math.max(0, picked_g - read.value) },
    ]
    for (const saying of sayings) if (!(await write(saying, '')).ok) return
  }
  const toggle = (state: string) =>
    setSeen(seen.includes(state) ? seen.filter((each) => each !== state) : [...seen, state])
  return (
    <div className="look">
      <div className="tiles" role="group" aria-label="What you see">
        {(CHARACTERS[last.character]?.states ?? []).map((state) => (
          <button
            key={state}
            type="button"
            className={seen.includes(state) ? 'tile on' : 'tile'}
            aria-pressed={seen.includes(state)}
            onClick={() => toggle(state)}
          >
            <TellDrawing character={last.character} state={state} />
            <span>{inUnits(plainWords(state))}</span>
          </button>
        ))}
      </div>
      <div className="form two">
        <NumberField
          label="Kept after sorting"
          unit="g"
          value={kept}
          onChange={setKept}
          hint={`of ${formatMass(picked_g)}, by last time’s share: weigh it if it differs`}
          error={typed ?? errorOf('kept_g')}
        />
        <p className="told">
          As last time: {last.stand.taken} of {grouped(last.stand.stems)} stems cut, wildlife looked for;
          {last.sort.wash === null ? ' shaken out' : ` washed in ${last.sort.wash.water} water`}; the ground as you last
          said.
        </p>
      </div>
      <Refusal sentence={otherError(['kept_g'])} />
      <WhoWrites />
      <div className="acts">
        <HoldButton disabled={seen.length === 0} onHold={() => void confirm()}>
          Press and hold: as last time, I am certain
        </HoldButton>
        <Button size="large" onClick={() => setAnew(true)}>
          Something is different
        </Button>
      </div>
    </div>
  )
}

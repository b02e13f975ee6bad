import {
  alongStand,
  formatCount,
  grouped,
  LIGHTS,
  plainWords,
  type LotState,
  type Part,
  type PlantScore,
  type Taxon,
} from '@ellop/core'
import { Button, Checkbox, Input } from 'antd'
import { memo, useMemo, useState } from 'react'
import { useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { EaterField } from '../controls/EaterField'
import { Field, NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { PalateStrip } from '../lot/PalateStrip'
import '../app/palate.css'

/** A bite of each plant along the stand, before the bag is full: the best are picked, and remembered next year. */
export const ScoreForm = memo(function ScoreForm({ lot }: { lot: LotState }) {
  const { write, otherError } = useNote()
  const [taster, setTaster] = useState<string>()
  const [plant, setPlant] = useState('')
  const [liking, setLiking] = useState<number>()
  const [gives, setGives] = useState('')
  const [light, setLight] = useState<(typeof LIGHTS)[number]>()
  const [rinsed, setRinsed] = useState(false)
  const [fault, setFault] = useState<string>()
  const note = async () => {
    const read = readField(gives)
    if (taster === undefined) return setFault('Say who bites.')
    if (plant.trim() === '')
      return setFault('Which plant: name it so that you find it again, like “third from the gate”.')
    if (liking === undefined) return setFault('Say how good it is, 0 to 10.')
    if (gives.trim() !== '' && 'error' in read) return setFault(`It can give: ${read.error}`)
    setFault(undefined)
    const one: PlantScore = {
      plant: plant.trim(),
      liking,
      ...(gives.trim() !== '' && 'value' in read ? { gives: Math.max(0, Math.round(read.value)) } : {}),
      ...(light === undefined ? {} : { light }),
    }
    const noted = await write(
      { type: 'plants-scored', lot: lot.id, taster, rinsed, plants: [one] },
      'Noted: bite the next',
    )
    if (!noted.ok) return
    setPlant('')
    setLiking(undefined)
    setGives('')
  }
  return (
    <section className="card">
      <h3>Along the stand</h3>
      <p>
        A bite of each before the bag is full. Only of what is told, each plant by itself: the next tree may be another
        kind. A wrong taste is spat out.
      </p>
      <div className="form">
        <EaterField label="Bitten by" value={taster} onChange={setTaster} />
        <Field label="Which plant" hint="So that you find it again">
          {(id) => (
            <Input
              id={id}
              size="large"
              maxLength={80}
              placeholder="third from the gate"
              value={plant}
              onChange={(event) => setPlant(event.target.value)}
            />
          )}
        </Field>
        <PalateStrip note="liking" value={liking} onChange={setLiking} />
        <NumberField
          label="It can give"
          unit="pieces"
          value={gives}
          onChange={setGives}
          hint="About how many it carries. May stay empty."
        />
        <Choice
          label="It stands in"
          value={light}
          onChange={setLight}
          options={LIGHTS.map((value) => ({ value, label: plainWords(value) }))}
        />
        <Checkbox checked={rinsed} onChange={(event) => setRinsed(event.target.checked)}>
          Rinsed in drinking water
        </Checkbox>
        <Refusal sentence={fault ?? otherError([])} />
        <Button size="large" onClick={() => void note()}>
          Note the bite
        </Button>
      </div>
      {lot.weighedIn !== null && lot.scores.length > 0 && (
        <p className="told">
          {lot.scores.map(({ plant: each, liking: score }) => `${each} ${score}`).join(' · ')}: ranked on the page of
          the patch.
        </p>
      )}
    </section>
  )
})

/** The plants of a stand, the best first, and what of the stand's allowance each gives. */
export function StandRanking({ patch, taxon, part }: { patch: string; taxon: Taxon; part: Part }) {
  const context = useJudgeContext()
  const { ranked, shared } = useMemo(() => alongStand({ patch, taxon, part }, context), [patch, taxon, part, context])
  if (ranked.length === 0) return null
  const best = Math.max(...ranked.map(({ liking }) => liking), 1)
  return (
    <section className="stand-ranking" aria-label={`Plants by taste, ${plainWords(part)}`}>
      <h4>The best of them, by bite ({plainWords(part)})</h4>
      <ol>
        {ranked.map(({ plant, liking, bites, remembered, gives, light }) => {
          const pieces = shared?.by.find((each) => each.plant === plant)?.pieces
          return (
            <li key={plant}>
              <strong>{plant}</strong>
              <span className="rank-bar" aria-hidden="true">
                <span style={{ inlineSize: `${(100 * liking) / best}%` }} />
              </span>
              <span>
                {liking.toFixed(1)} of 10, {formatCount(bites, 'bite')}
                {remembered > 0 && `, ${remembered} of earlier years`}
                {light !== undefined && `, ${plainWords(light)}`}
                {gives !== undefined && `, carries ${grouped(gives)}`}
              </span>
              {pieces !== undefined && <strong className="rank-take">take {grouped(pieces)}</strong>}
            </li>
          )
        })}
      </ol>
      <p className="field-note">
        {shared === undefined
          ? 'Count the stand with a picking, and what it allows is shared out by rank.'
          : `The stand still allows ${grouped(shared.left)}.${shared.by.length === 0 && shared.left > 0 ? ' Say this season what each carries, and it is shared out by rank.' : ''}`}{' '}
        Few bites count little, last year’s half. How one tastes says nothing of its neighbour, and nothing of what it
        is.
      </p>
    </section>
  )
}

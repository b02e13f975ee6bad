import {
  CHARACTERS,
  FOOD_GENERA,
  formatList,
  HABITAT_STATES,
  LIFE_FORMS,
  OWN_KEY_TELLS,
  OWN_CARE,
  PARTS,
  plainWords,
  STAGES,
  type OwnPlant,
  type Part,
  type Stage,
} from '@ellop/core'
import { Button, Checkbox, Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { useJudgeContext } from '../book/bookStore'
import { Field, TextField } from '../controls/Field'
import { PlantSelect } from '../controls/PlantSelect'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'
import { TellDrawing } from '../drawing/TellDrawing'
import { inUnits, formatMass } from '../units/units'

const EMPTY: OwnPlant = {
  scientificName: '',
  commonName: '',
  family: '',
  lifeForm: 'perennial-herb',
  habitat: [],
  characters: {},
  keyCharacters: [],
  lookalikes: [],
  part: 'leaf',
  stage: 'young',
  source: '',
}
const FIELDS = ['scientificName', 'commonName', 'family', 'source', 'keyCharacters', 'characters', 'lookalikes']

/** A genus that is on no list: noted and told apart, never eaten. */
const OTHER_GENUS = '?'
const GENERA = [
  ...Object.entries(FOOD_GENERA).map(([genus, { family, parts }]) => ({
    value: genus,
    label: `${genus} · ${family} · ${formatList(parts.map(plainWords))}`,
  })),
  { value: OTHER_GENUS, label: 'another genus: told, never eaten' },
]

/** A plant of one's own, step by step: what it is, how it is told, what it is taken for, what of it is eaten and who says so. */
export default function OwnPlantPlace() {
  const { catalogue } = useJudgeContext()
  const navigate = useNavigate()
  const { write, errorOf, otherError } = useNote()
  const [plant, setPlant] = useState(EMPTY)
  const [asked, setAsked] = useState<string>()
  const set = (part: Partial<OwnPlant>) => setPlant({ ...plant, ...part })
  const record = async () => {
    const noted = await write({ type: 'plant-recorded', plant: trimmed(plant) }, 'On record in your book')
    if (noted.ok) await navigate(`/plant/${encodeURIComponent(plant.scientificName.trim())}`)
  }
  const [genus = '', ...epithets] = plant.scientificName.split(' ')
  const species = epithets.join(' ')
  const listed = FOOD_GENERA[genus] !== undefined
  const families = useMemo(
    () =>
      [
        ...new Set([
          ...catalogue.taxa.map((each) => each.family),
          ...Object.values(FOOD_GENERA).map((each) => each.family),
        ]),
      ].sort(),
    [catalogue],
  )
  const chooseGenus = (chosen: string) =>
    set({ scientificName: `${chosen} ${species}`, family: FOOD_GENERA[chosen]?.family ?? '' })
  const line = (field: 'commonName' | 'source', label: string, hint: string) => (
    <Field label={label} hint={hint} error={errorOf(field)}>
      {(id, describedBy) => (
        <Input
          id={id}
          aria-describedby={describedBy}
          size="large"
          maxLength={120}
          value={plant[field]}
          onChange={(event) => set({ [field]: event.target.value })}
        />
      )}
    </Field>
  )
  return (
    <article className="own-plant">
      <div className="place-head">
        <div>
          <h1>A plant of your own</h1>
          <p>Marked as yours for good: nobody but you will have checked what it could be taken for.</p>
        </div>
      </div>
      <section className="card">
        <h2>1 What it is</h2>
        <div className="form three">
          <Field label="Genus" error={errorOf('scientificName')}>
            {(id) => (
              <Select
                id={id}
                size="large"
                showSearch
                optionFilterProp="label"
                value={genus === '' ? null : listed ? genus : OTHER_GENUS}
                onChange={chooseGenus}
                options={GENERA}
              />
            )}
          </Field>
          {!listed && genus !== '' && (
            <Field
              label="Which genus"
              hint="It is told apart here and never eaten: no food use of it is on the shipped list."
            >
              {(id, describedBy) => (
                <Input
                  id={id}
                  aria-describedby={describedBy}
                  size="large"
                  maxLength={60}
                  value={genus === OTHER_GENUS ? '' : genus}
                  onChange={(event) =>
                    set({ scientificName: `${event.target.value.trim() || OTHER_GENUS} ${species}` })
                  }
                />
              )}
            </Field>
          )}
          <TextField
            label="Species"
            hint="The second word of its scientific name."
            maxLength={60}
            value={species}
            onChange={(text) => set({ scientificName: `${genus || OTHER_GENUS} ${text}` })}
          />
          {line('commonName', 'What you call it', 'One name.')}
          <Field label="Family" error={errorOf('family')}>
            {(id) => (
              <Select
                id={id}
                size="large"
                showSearch
                disabled={listed}
                value={plant.family === '' ? null : plant.family}
                onChange={(family) => set({ family })}
                options={families.map((each) => ({ value: each, label: each }))}
              />
            )}
          </Field>
        </div>
        <div className="form two">
          <Field label="It lives as">
            {(id) => (
              <Select
                id={id}
                size="large"
                value={plant.lifeForm}
                onChange={(lifeForm) => set({ lifeForm })}
                options={LIFE_FORMS.map((each) => ({ value: each, label: plainWords(each) }))}
              />
            )}
          </Field>
          <Field label="It grows in">
            {(id) => (
              <Select
                id={id}
                size="large"
                mode="multiple"
                value={[...plant.habitat]}
                onChange={(habitat) => set({ habitat })}
                options={HABITAT_STATES.map((each) => ({ value: each, label: plainWords(each) }))}
              />
            )}
          </Field>
        </div>
      </section>
      <section className="card">
        <h2>2 How it is told</h2>
        <p className="soft">
          Choose a character, then every state that the plant shows. Mark at least {OWN_KEY_TELLS} as key tells: those
          without which you would not accept it.
        </p>
        <Select
          size="large"
          className="own-ask"
          aria-label="A character"
          showSearch
          optionFilterProp="label"
          placeholder="a character to look at"
          value={asked}
          onChange={setAsked}
          options={Object.entries(CHARACTERS)
            .filter(([, { cost }]) => cost !== 'taste')
            .map(([value, { label }]) => ({ value, label }))}
        />
        {asked !== undefined && <States character={asked} plant={plant} onChange={setPlant} />}
        <ul className="own-tells">
          {Object.entries(plant.characters).map(([character, states]) => (
            <li key={character}>
              <Checkbox
                checked={plant.keyCharacters.includes(character)}
                onChange={({ target }) =>
                  set({
                    keyCharacters: target.checked
                      ? [...plant.keyCharacters, character]
                      : plant.keyCharacters.filter((each) => each !== character),
                  })
                }
              >
                key tell
              </Checkbox>
              <span>
                {CHARACTERS[character]?.label}: {states.map(plainWords).join(' or ')}
              </span>
              <Button type="text" onClick={() => setAsked(character)}>
                Change
              </Button>
            </li>
          ))}
        </ul>
        <Refusal sentence={errorOf('keyCharacters') ?? errorOf('characters')} />
      </section>
      <section className="card">
        <h2>3 What it could be taken for</h2>
        <Field
          label="Plants it could be taken for"
          hint="There is always one. The tells above must rule out every harmful plant on record."
        >
          {(id) => (
            <PlantSelect
              id={id}
              taxa={catalogue.taxa}
              value={plant.lookalikes.map(({ scientificName }) => scientificName)}
              onChange={(names) =>
                set({ lookalikes: names.map((scientificName) => ({ scientificName, why: 'As I know it.' })) })
              }
            />
          )}
        </Field>
        <Refusal sentence={errorOf('lookalikes')} />
      </section>
      <section className="card">
        <h2>4 What of it is eaten</h2>
        <div className="form three">
          <Field label="Part">
            {(id) => (
              <Select
                id={id}
                size="large"
                value={plant.part}
                onChange={(part: Part) => set({ part })}
                options={PARTS.map((each) => ({ value: each, label: plainWords(each) }))}
              />
            )}
          </Field>
          <Field label="Stage">
            {(id) => (
              <Select
                id={id}
                size="large"
                value={plant.stage}
                onChange={(stage: Stage) => set({ stage })}
                options={STAGES.map((each) => ({ value: each, label: plainWords(each) }))}
              />
            )}
          </Field>
          {line('source', 'Who says that it is food', 'A person or a book. That beasts eat it is no ground.')}
        </div>
        <p className="told">
          It will be boiled for {OWN_CARE.boil_minutes} minutes or more and its water thrown away,{' '}
          {formatMass(OWN_CARE.firstTaste_g)} at first and never more than {formatMass(OWN_CARE.perDay_g)} a day, and
          never for children or in pregnancy.
        </p>
      </section>
      <Refusal sentence={otherError(FIELDS)} />
      <Button type="primary" size="large" className="own-record" onClick={() => void record()}>
        Put it on record
      </Button>
      <p className="caution">
        A record of yours opens no gate that a record of the catalogue shuts. Ask a botanist who has the plant in hand.
      </p>
    </article>
  )
}

function States({
  character,
  plant,
  onChange,
}: {
  character: string
  plant: OwnPlant
  onChange: (plant: OwnPlant) => void
}) {
  const shown = plant.characters[character] ?? []
  const toggle = (state: string) => {
    const states = shown.includes(state) ? shown.filter((each) => each !== state) : [...shown, state]
    const rest = Object.fromEntries(Object.entries(plant.characters).filter(([each]) => each !== character))
    onChange({
      ...plant,
      characters: states.length === 0 ? rest : { ...plant.characters, [character]: states },
      keyCharacters:
        states.length === 0 ? plant.keyCharacters.filter((each) => each !== character) : plant.keyCharacters,
    })
  }
  return (
    <div className="tiles" role="group" aria-label={CHARACTERS[character]?.label}>
      {(CHARACTERS[character]?.states ?? []).map((state) => (
        <button
          key={state}
          type="button"
          className={shown.includes(state) ? 'tile on' : 'tile'}
          aria-pressed={shown.includes(state)}
          onClick={() => toggle(state)}
        >
          <TellDrawing character={character} state={state} />
          <span>{inUnits(plainWords(state))}</span>
        </button>
      ))}
    </div>
  )
}

function trimmed(plant: OwnPlant): OwnPlant {
  return {
    ...plant,
    scientificName: plant.scientificName.trim(),
    commonName: plant.commonName.trim(),
    family: plant.family.trim(),
    source: plant.source.trim(),
  }
}

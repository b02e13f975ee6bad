import {
  commonName,
  findTaxon,
  fromMs,
  MINUTE_ms,
  newLotId,
  newPatchId,
  nextLotCode,
  partWord,
  plainWords,
  rangeDoubt,
  regionOf,
  restsUntil,
  toMs,
  formatDay,
  kitchenAt,
  leftAlone,
  type BookState,
  type CutAt,
  type JudgeContext,
  type LotState,
  type Part,
  type Stage,
} from '@ellop/core'
import { Button, Modal, Select } from 'antd'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { useBook, useJudgeContext } from '../book/bookStore'
import { Choice } from '../controls/Choice'
import { PlantField } from '../controls/PlantField'
import { Field, NumberField, readField } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { CutAtFields, cutAtSaid, dogsReach } from '../ground/CutAtFields'
import { GrowthField, growthSeen } from '../lot/GrowthField'
import { Refusal } from '../controls/Refusal'
import { inUnits } from '../units/units'

const PICKED = [
  { value: '0', label: 'just now' },
  { value: '60', label: '1 h ago' },
  { value: '180', label: '3 h ago' },
  { value: '720', label: '12 h ago' },
] as const
const FIELDS = ['mass_g', 'took_min', 'taxon', 'part', 'stage', 'patch', 'pickedAt']

/** Weighing in: what the cook says it is, which part at which stage, from where, and the weight. Ellop never names it. */
export default function WeighIn({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Weigh in" open={open} onCancel={onClose} footer={null} destroyOnHidden width={620}>
      <WeighInForm onDone={onClose} />
    </Modal>
  )
}

const NEW_PATCH = 'new'
const AGAIN_AT_MOST = 4

type WeighedIn = NonNullable<LotState['weighedIn']>

/** The last few kinds of picking, each plant and patch once, latest first: one touch says it again. */
function lastPickings(book: BookState): readonly WeighedIn[] {
  const all = [...book.lots.values()]
    .flatMap(({ weighedIn, from }) => (weighedIn === null || from.length > 0 ? [] : [weighedIn]))
    .toSorted((a, b) => (a.pickedAt < b.pickedAt ? 1 : -1))
  const kinds = new Map(all.map((each) => [`${each.taxon} ${each.patch}`, each]))
  for (const each of all.toReversed()) kinds.set(`${each.taxon} ${each.patch}`, each)
  return [...kinds.values()].toSorted((a, b) => (a.pickedAt < b.pickedAt ? 1 : -1)).slice(0, AGAIN_AT_MOST)
}

function partAndStage({ part, stage }: WeighedIn): string {
  return `${part}/${stage}`
}

function againLabel(
  { taxon, part, patch }: WeighedIn,
  { book, catalogue }: Pick<JudgeContext, 'book' | 'catalogue'>,
): string {
  const record = findTaxon(catalogue, taxon)
  const name = record === undefined ? taxon : `${commonName(record)} ${partWord(part)}`
  return `${name}, ${book.house.patches[patch]?.name ?? patch}`
}

function WeighInForm({ onDone }: { onDone: () => void }) {
  const { book, catalogue, now } = useJudgeContext()
  const navigate = useNavigate()
  const { write, errorOf, otherError } = useNote()
  const [taxon, setTaxon] = useState<string>()
  const [use, setUse] = useState<string>()
  const [patch, setPatch] = useState<string>()
  const [newPatch, setNewPatch] = useState('')
  const [namedPatch, setNamedPatch] = useState('')
  const [mass, setMass] = useState('')
  const [picked, setPicked] = useState<string>('0')
  const [took, setTook] = useState('')
  const [habit, setHabit] = useState<string>()
  const [cutAt, setCutAt] = useState<Partial<CutAt>>({})
  const [typed, setTyped] = useState<string>()
  const [tookTyped, setTookTyped] = useState<string>()
  const record = catalogue.taxa.find(({ scientificName }) => scientificName === taxon)
  const uses = useMemo(
    () =>
      record?.uses.map((each) => ({
        value: `${each.part}/${each.stage}`,
        label: `${partWord(each.part)}, ${plainWords(each.stage)}`,
      })) ?? [],
    [record],
  )
  const asked = dogsReach({ taxon, part: use?.split('/')[0] as Part | undefined, patch }, { book, catalogue })
  const submit = async () => {
    const read = readField(mass)
    if ('error' in read) return setTyped(read.error)
    const timed = took.trim() === '' ? undefined : readField(took)
    if (timed !== undefined && 'error' in timed) return setTookTyped(timed.error)
    setTyped(undefined)
    setTookTyped(undefined)
    const [part, stage] = (use ?? '/').split('/') as [Part, Stage]
    const { clock } = useBook.getState()
    const code = nextLotCode(book, clock.book_ms)
    const lot = newLotId(code, v7())
    const moment = toMs(useBook.getState().second) - Number(picked) * MINUTE_ms
    const from = patch === NEW_PATCH ? newPatchId(v7()) : (patch ?? '')
    if (patch === NEW_PATCH) {
      const named = await write({ type: 'ground-noted', patch: from, name: namedPatch, facts: {} }, '')
      if (!named.ok) return
      setPatch(from)
    }
    const noted = await write(
      {
        type: 'weighed-in',
        lot,
        code,
        taxon: taxon ?? '',
        part,
        stage,
        patch: from,
        mass_g: read.value,
        pickedAt: fromMs(moment),
        ...(timed === undefined ? {} : { took_min: timed.value }),
        ...(asked ? cutAtSaid(cutAt) : {}),
      },
      'Weighed in',
    )
    if (!noted.ok) return
    if (habit !== undefined) await write(growthSeen(lot, habit), '')
    onDone()
    void navigate(`/lot/${lot}`)
  }
  const before = useMemo(() => lastPickings(book), [book])
  const again = (picking: WeighedIn) => {
    setTaxon(picking.taxon)
    setUse(partAndStage(picking))
    setPatch(picking.patch)
  }
  const rest = taxon === undefined || patch === undefined ? undefined : restsUntil(book, catalogue, patch, taxon)
  const alone = patch === undefined ? undefined : leftAlone(book.house, patch, now)
  const timeZone = kitchenAt(book.house, now)?.timeZone ?? 'UTC'
  const doubt = record === undefined ? undefined : rangeDoubt(record, catalogue, regionOf(timeZone))
  const whole = taxon !== undefined && use !== undefined && patch !== undefined
  return (
    <form
      className="form"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {before.length > 0 && (
        <div className="again" role="group" aria-label="As picked before">
          {before.map((picking) => (
            <Button
              key={`${picking.taxon}${picking.patch}`}
              size="large"
              type={picking.taxon === taxon && picking.patch === patch ? 'primary' : 'default'}
              onClick={() => again(picking)}
            >
              {againLabel(picking, { book, catalogue })}
            </Button>
          ))}
        </div>
      )}
      <PlantField
        label="What you say it is"
        hint="Ellop never names a plant. It checks that you did."
        error={errorOf('taxon')}
        value={taxon}
        onChange={(name) => {
          setTaxon(name)
          setUse(undefined)
        }}
      />
      {doubt !== undefined && <p className="told doubt">{inUnits(doubt.says)}</p>}
      <Field label="Which part, at which stage" error={errorOf('stage') ?? errorOf('part')}>
        {(id) => (
          <Select
            id={id}
            size="large"
            placeholder="tops, leaves, seed …"
            options={uses}
            value={use ?? null}
            disabled={record === undefined}
            onChange={setUse}
          />
        )}
      </Field>
      <GrowthField value={habit} onChange={setHabit} />
      <Field label="From which patch" error={errorOf('patch')}>
        {(id) => (
          <Select
            id={id}
            size="large"
            placeholder="Choose a patch, or type the name of a new one"
            showSearch={{ optionFilterProp: 'label', onSearch: setNewPatch }}
            options={[
              ...Object.values(book.house.patches).map(({ id: value, name }) => ({ value, label: name })),
              ...(newPatch.trim() === '' ? [] : [{ value: NEW_PATCH, label: `${newPatch.trim()} (new patch)` }]),
            ]}
            value={patch ?? null}
            onChange={(value: string) => {
              setPatch(value)
              if (value === NEW_PATCH) setNamedPatch(newPatch.trim())
            }}
          />
        )}
      </Field>
      {rest !== undefined && rest > now && (
        <p className="refusal">
          More than its share was taken there: the patch rests from this plant until {formatDay(rest, timeZone, true)}.
          What is picked all the same stays food, and is written down.
        </p>
      )}
      {alone !== undefined && (
        <p className="refusal">{alone} What is picked all the same stays food, and is written down.</p>
      )}
      {asked && <CutAtFields value={cutAt} onChange={setCutAt} />}
      <NumberField
        label="Weight as picked"
        unit="g"
        value={mass}
        onChange={setMass}
        error={typed ?? errorOf('mass_g')}
      />
      <NumberField
        label="Minutes the picking took"
        unit="min"
        hint="May stay empty. With a few of them an outing is reckoned by your own speed."
        value={took}
        onChange={setTook}
        error={tookTyped ?? errorOf('took_min')}
      />
      <Choice label="Picked" value={picked} options={PICKED} onChange={setPicked} />
      <Refusal sentence={otherError(FIELDS)} />
      <Button type="primary" htmlType="submit" size="large" block disabled={!whole}>
        Weigh in
      </Button>
    </form>
  )
}

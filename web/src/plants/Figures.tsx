import {
  BASES,
  FIGURES,
  FIGURE_UNITS,
  figuresOf,
  figureWords,
  formatCount,
  plainWords,
  UNIT_OF_ENERGY,
  UNIT_SIGNS,
  withCapital,
  type Figure,
  type FigureOf,
  type FiguresOf,
  type FigureUnit,
  type JudgeContext,
  type Part,
  type Taxon,
} from '@ellop/core'
import { Button, Input, Select } from 'antd'
import { useMemo, useState } from 'react'
import { Field, NumberField, readField } from '../controls/Field'
import { Refusal } from '../controls/Refusal'
import { useNote } from '../controls/useNote'

/** Masses that tables are made for. */
const PER = { 'a hundred grams': 100, 'a kilogram': 1000, 'an ounce': 28.349523125, 'a pound': 453.59237 } as const
const BASIS_WORDS: Readonly<Record<Figure['basis'], string>> = {
  fresh: 'of it fresh',
  dry: 'of its dry mass',
  unsaid: 'it does not say',
}

/** What tables and books say is in it, in one unit and on one basis; what contradicts itself is marked and left out. */
export function Figures({ taxon, context }: { taxon: Taxon; context: JudgeContext }) {
  const parts = useMemo(
    () => [...new Set(taxon.uses.filter(({ verdict }) => verdict !== 'never').map(({ part }) => part))],
    [taxon],
  )
  const told = useMemo(
    () =>
      parts
        .map((part) => ({ part, figures: figuresOf(taxon, part, context.book.house) }))
        .filter(({ figures }) => figures.length > 0),
    [parts, taxon, context.book.house],
  )
  if (parts.length === 0) return null
  return (
    <section className="card tables-say">
      <h2>What tables say is in it</h2>
      {told.length === 0 && (
        <p className="soft">No figure is written down. One table is hearsay; two that agree are something.</p>
      )}
      {told.map(({ part, figures }) => (
        <table key={part}>
          <caption>{withCapital(plainWords(part))}, in a hundred grams of it fresh</caption>
          <tbody>
            {figures.map((of) => (
              <FigureRow key={of.what} of={of} />
            ))}
          </tbody>
        </table>
      ))}
      <p className="caution">Other people’s figures, for interest: they move no limit, and no diet is made of them.</p>
      <details className="set-aside">
        <summary>Write a figure down</summary>
        <FigureForm taxon={taxon} parts={parts} />
      </details>
    </section>
  )
}

function FigureRow({ of: { what, each, between, sources } }: { of: FiguresOf }) {
  const doubted = each.filter(({ doubts }) => doubts.length > 0)
  return (
    <tr>
      <th scope="row">{withCapital(plainWords(what))}</th>
      <td>{between === undefined ? 'nobody can say' : figureWords(what, between)}</td>
      <td>
        {between !== undefined && formatCount(sources, 'source')}
        {doubted.map(({ figure, doubts, ...range }) => (
          <p key={`${figure.source} ${figure.value}`} className="doubted">
            Left out: {figure.source}, {figureWords(what, range)}: {doubts.join('; ')}.
          </p>
        ))}
      </td>
    </tr>
  )
}

function FigureForm({ taxon, parts }: { taxon: Taxon; parts: readonly Part[] }) {
  const { write, errorOf, otherError } = useNote()
  const [part, setPart] = useState(parts[0])
  const [what, setWhat] = useState<FigureOf>('vitamin-c')
  const [value, setValue] = useState('')
  const [unit, setUnit] = useState<FigureUnit>('mg')
  const [per, setPer] = useState<keyof typeof PER>('a hundred grams')
  const [basis, setBasis] = useState<Figure['basis']>('fresh')
  const [source, setSource] = useState('')
  const [typed, setTyped] = useState<string>()
  const note = async () => {
    const read = readField(value)
    if ('error' in read) return setTyped(read.error)
    setTyped(undefined)
    if (part === undefined) return
    const figure: Figure = { what, value: read.value, unit, per_g: PER[per], basis, source: source.trim() }
    const noted = await write({ type: 'figure-noted', taxon: taxon.scientificName, part, figure }, 'Written down')
    if (noted.ok) setValue('')
  }
  const energy = what === 'energy'
  return (
    <div className="form three">
      <Choose label="Part" value={part ?? 'leaf'} onChange={setPart} options={parts} />
      <Choose
        label="What"
        value={what}
        onChange={(next) => {
          setWhat(next)
          if ((next === 'energy') !== UNIT_OF_ENERGY.includes(unit)) setUnit(next === 'energy' ? 'kcal' : 'mg')
        }}
        options={FIGURES}
      />
      <NumberField label="How much" unit="" value={value} onChange={setValue} error={typed ?? errorOf('value')} />
      <Choose
        label="Unit"
        value={unit}
        onChange={setUnit}
        options={FIGURE_UNITS.filter((each) => UNIT_OF_ENERGY.includes(each) === energy)}
        words={(each) => UNIT_SIGNS[each]}
      />
      <Choose
        label="In"
        value={per}
        onChange={setPer}
        options={Object.keys(PER) as (keyof typeof PER)[]}
        words={(each) => each}
      />
      <Choose
        label="Fresh or dry"
        value={basis}
        onChange={setBasis}
        options={BASES}
        words={(each) => BASIS_WORDS[each]}
      />
      <Field label="Who says so">
        {(id) => (
          <Input
            id={id}
            size="large"
            maxLength={120}
            placeholder="a table of 1998"
            value={source}
            onChange={(event) => setSource(event.target.value)}
          />
        )}
      </Field>
      <Refusal sentence={errorOf('unit') ?? otherError(['unit', 'value'])} wide />
      <Button size="large" disabled={source.trim() === ''} onClick={() => void note()}>
        Write it down
      </Button>
    </div>
  )
}

function Choose<T extends string>({
  label,
  value,
  onChange,
  options,
  words = plainWords,
}: {
  label: string
  value: T
  onChange: (value: T) => void
  options: readonly T[]
  words?: (value: T) => string
}) {
  return (
    <Field label={label}>
      {(id) => (
        <Select<T>
          id={id}
          size="large"
          showSearch
          optionFilterProp="label"
          value={value}
          onChange={onChange}
          options={options.map((each) => ({ value: each, label: words(each) }))}
        />
      )}
    </Field>
  )
}

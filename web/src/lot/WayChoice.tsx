import {
  currentStep,
  findTaxon,
  lotUse,
  protocolOf,
  schoolEvidence,
  strandsOf,
  type Goal,
  type JudgeContext,
  type LotState,
} from '@ellop/core'
import { Select } from 'antd'
import { Choice } from '../controls/Choice'
import { Field } from '../controls/Field'
import { useNote } from '../controls/useNote'
import { WhoSaysWhich } from '../controls/WhoSaysSo'

/** What a lot is for, as it is said. */
export const GOAL_WORDS: Readonly<Record<Goal, string>> = {
  'eat-raw': 'to eat raw',
  eat: 'to eat now',
  tea: 'for tea',
  flavouring: 'to season with',
  dry: 'to dry',
  freeze: 'for the freezer',
  flour: 'for flour',
  ferment: 'to ferment',
  pickle: 'to pickle',
  syrup: 'for syrup',
  jam: 'for jam',
  'infused-oil': 'in oil, cold',
  'infused-vinegar': 'in vinegar',
  can: 'in jars',
}

/** Whether nothing was done yet by which its way is settled. */
export const mayChooseWay = ({ runs, baths, strainedAt }: LotState) =>
  runs.length === 0 && baths.length === 0 && strainedAt === null

/** What for, and by which accepted way: before the treatment begins. Contested schools are not offered here. */
export function WayChoice({ lot, context }: { lot: LotState; context: JudgeContext }) {
  const { write, otherError } = useNote()
  const use = lotUse(lot, context.catalogue)
  if (use === undefined || !mayChooseWay(lot)) return null
  const ways = use.protocols.filter(({ standing }) => standing !== 'contested' && standing !== 'not-advised')
  const current = protocolOf(lot, use)
  // Of a batch a way that asks for nothing is in force only when it was chosen.
  const followed = lot.way !== null || lot.joined.length === 0 || currentStep(lot, context) !== undefined
  const goal = followed ? (lot.way?.goal ?? current?.goals[0]) : undefined
  const goals = [...new Set(ways.flatMap(({ goals: each }) => each))]
  const fitting = ways.filter(({ goals: each }) => goal !== undefined && each.includes(goal))
  const taxon = findTaxon(context.catalogue, strandsOf(lot)[0]?.lot.weighedIn?.taxon ?? '')
  const evidence = taxon === undefined ? [] : schoolEvidence(taxon, use, context)
  const choose = (wanted: Goal, name?: string) => {
    const way = ways.find((each) => each.goals.includes(wanted) && (name === undefined || each.name === name))
    if (way !== undefined)
      void write(
        { type: 'way-chosen', lot: lot.id, protocol: way.name, goal: wanted },
        `${way.name}, ${GOAL_WORDS[wanted]}`,
      )
  }
  return (
    <>
      <Choice
        label="What for"
        value={goal}
        onChange={(wanted) => choose(wanted)}
        options={goals.map((value) => ({ value, label: GOAL_WORDS[value] }))}
      />
      {fitting.length > 1 && goal !== undefined && (
        <Field label="By which way" hint={current?.why} error={otherError([])}>
          {(id) => (
            <Select
              id={id}
              size="large"
              value={current?.name ?? null}
              onChange={(name: string) => choose(goal, name)}
              options={fitting.map(({ name, standing }) => ({ value: name, label: `${name} (${standing})` }))}
            />
          )}
        </Field>
      )}
      <WhoSaysWhich of={evidence.filter(({ school }) => fitting.some(({ name }) => name === school))} />
    </>
  )
}

import { cautionWhom, formatList, type Caution, type Goal, type Use } from '@ellop/core'
import { formatMass, inUnits } from '../units/units'

/** What somebody does with a food that was treated for a goal, after “must not”. */
const EATEN: Readonly<Record<Goal, string>> = {
  'eat-raw': 'eat it raw',
  eat: 'eat it cooked',
  tea: 'drink tea of it',
  flavouring: 'have it as a flavour',
  dry: 'eat it dried',
  freeze: 'eat it thawed and raw',
  flour: 'eat flour of it',
  ferment: 'eat it fermented',
  pickle: 'eat it pickled',
  syrup: 'have syrup of it',
  jam: 'eat jam of it',
  'infused-oil': 'have oil with it',
  'infused-vinegar': 'have vinegar with it',
  can: 'eat it canned',
}

const EATERS = { adult: 'Adults', child: 'Children', infant: 'Babies' } as const

/** For whom a food is not, and how much of it is for whom: who must not stands first, and alone in red. */
export function WhoMay({ use: { cautionFor, amounts } }: { use: Use }) {
  if (cautionFor.length + amounts.length === 0) return null
  const cautions = cautionFor.toSorted((a, b) => Number(a.what === 'limit') - Number(b.what === 'limit'))
  return (
    <>
      <h3>Who must not, and how much</h3>
      <ul>
        {cautions.map((caution) => (
          <li key={`${caution.who} ${caution.what} ${(caution.onlyFor ?? []).join()}`}>
            {isNever(caution) && <span className="tag limit leading">MUST</span>}{' '}
            <strong>
              {cautionWhom(caution.who)}: {saidOf(caution)}
            </strong>{' '}
            {inUnits(caution.why)}
          </li>
        ))}
        {amounts.map(({ who, perDay_g, why, school }) => (
          <li key={`${who}${school ?? ''}`}>
            <strong>
              {EATERS[who]}: at most {formatMass(perDay_g)} a day{school === undefined ? '' : ` (${school})`}, weighed
              raw.
            </strong>{' '}
            {inUnits(why)}
          </li>
        ))}
      </ul>
    </>
  )
}

/** Barred from something that others may, whatever else is open to them. */
function isNever({ what, cookedFrom_months }: Caution): boolean {
  return what === 'avoid' && cookedFrom_months === undefined
}

function saidOf({ what, onlyFor, perDay_g, cookedFrom_months }: Caution): string {
  const deeds =
    onlyFor === undefined
      ? undefined
      : formatList(
          onlyFor.map((goal) => EATEN[goal]),
          'or',
        )
  if (what === 'limit') {
    const most = perDay_g === undefined ? 'one ordinary portion' : formatMass(perDay_g)
    return `at most ${most} a day${deeds === undefined ? '' : `, where you ${deeds}`}.`
  }
  if (cookedFrom_months !== undefined) return `only cooked soft, from ${cookedFrom_months} months.`
  return `must not ${deeds ?? 'eat it'}.`
}

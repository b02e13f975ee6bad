import { plainWords, type Use } from '@ellop/core'

/** How a use is eaten, in words. */
export const VERDICTS: Readonly<Record<Use['verdict'], string>> = {
  'raw-ok': 'raw or cooked',
  cook: 'cooked only',
  'leach-then-cook': 'leached, then cooked',
  'flavouring-only': 'as a flavour only',
  never: 'never',
}

/** A use speaks for every part that goes by its rule: where it says never, all of them are named. */
export const partsOf = ({ part, alsoCalled = [], verdict }: Use) =>
  [part, ...(verdict === 'never' ? alsoCalled : [])].map(plainWords).join(', ')

/** A share of one in whole percent. @example percent(0.93) // '93 %' */
export const percent = (share: number) => `${Math.round(share * 100)} %`

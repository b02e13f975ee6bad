import { foldLog, CATALOGUE, gateViews, doNow } from '@ellop/core'
import { makeDemoBook, DEMO_OPENS_AT } from '@ellop/demo'
const book = foldLog(makeDemoBook()).state
const context = { book, catalogue: CATALOGUE, now: DEMO_OPENS_AT }
const lot = book.lots.get('27-007')!
console.log(lot.weighedIn, lot.tells, gateViews(lot, context)[0], doNow(lot, context))

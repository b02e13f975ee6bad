// Amounts and moments
export * from './quantity/format'
export * from './quantity/instant'
export * from './quantity/number'
export * from './quantity/range'

// Plants
export * from './flora/catalogue'
export * from './flora/records'
export * from './flora/search'
export * from './flora/taxon'
export * from './flora/vocabulary'
export * from './identity/carriedOver'
export * from './identity/clear'
export * from './identity/lotTells'
export * from './identity/separation'
export * from './identity/tellsToSee'

// The log and what is folded from it
export * from './log/entries'
export type * from './log/entry'
export type { Redated } from './log/entries/redated'
export type { Struck } from './log/entries/struck'
export * from './log/amendments'
export * from './log/describe'
export * from './log/fold'
export * from './log/houseState'
export * from './log/propose'
export * from './log/stamp'

// The eight gates
export * from './gates/acts'
export * from './gates/identity'
export * from './gates/judge'
export * from './gates/keep'
export * from './gates/plate'
export * from './gates/verdict'

// A lot, as screens draw it
export * from './lot/asLastTime'
export * from './lot/doNow'
export * from './lot/due'
export * from './lot/gateView'
export * from './lot/held'
export * from './lot/lotName'
export * from './lot/lotPlan'
export * from './lot/lotState'
export * from './lot/kin'
export * from './lot/recall'
export * from './lot/packView'
export * from './lot/partWord'
export * from './lot/story'

// When what is good
export * from './season/climate'
export * from './season/day'
export * from './season/ofBook'
export * from './season/season'
export * from './season/station'
export * from './season/window'

// Going out
export * from './outing/effort'
export * from './outing/outing'

// Ground, take, treatment, store, table
export * from './ground/facts'
export * from './ground/verdict'
export * from './take/projection'
export * from './take/removal'
export * from './take/rest'
export * from './take/share'
export * from './take/standEstimate'
export * from './taste/forecast'
export * from './keep/dryForecast'
export * from './keep/waterActivity'
export * from './treatment/batchUse'
export * from './treatment/ledger'
export * from './treatment/limit'
export * from './treatment/plan'
export * from './treatment/progress'
export * from './keep/dryTarget'
export * from './keep/storage'
export * from './meal/eaten'
export * from './meal/illness'

// Leaching and heat
export * from './leach/leach'
export * from './leach/tannin'
export * from './heat/balance'
export * from './heat/boil'

// Edges: files and the command line
export * from './exchange/bookFile'
export * from './exchange/csv'
export * from './exchange/upgrades'
export * from './exchange/entrySchema'
export * from './exchange/verbs'

// What runs beside the screen: heavy work that needs no catalogue. The application's worker loads this and nothing else.
export { readBookFile } from './exchange/readBookFile'
export { compareWays } from './leach/compareWays'
export { leach } from './leach/leach'
export { optimiseLeach } from './leach/optimise'
export { rehearse } from './rehearsal/rehearse'
export { tasteForecast, tasteNext } from './taste/forecast'
export { learnedPrior } from './taste/learn'
export { standInCrumb } from './instruments/standInTongue'

// What runs beside the screen: heavy work that needs no catalogue. The application's worker loads this and nothing else.
export { readBookFile } from './exchange/bookFile'
export { leach } from './leach/leach'
export { tasteForecast, tasteNext } from './taste/forecast'

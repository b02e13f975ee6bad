import Joi from 'joi'
import { GOALS } from '../flora/taxon'
import { PARTS, SENSITIVITIES, STAGES } from '../flora/vocabulary'
import { isInstant } from '../quantity/instant'

/** The longest text a cook may type in one field. */
const LONGEST_TEXT = 500
/** The heaviest lot: a tonne would be a slip of the keys. */
const HEAVIEST_g = 1_000_000

/** Shapes of single fields, shared by entries, the book file and the verbs. */
export const text = () => Joi.string().min(1).max(LONGEST_TEXT)
export const id = () =>
  Joi.string()
    .min(1)
    .max(80)
    .pattern(/^[\w.:-]+$/, 'an id')
export const instant = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/, 'an instant')
    .custom((value: string, helpers) => (isInstant(value) ? value : helpers.error('instant')))
    .messages({
      instant: '{{#label}} must be an instant such as 2027-05-16T14:05:00.000Z',
      'string.pattern.name': '{{#label}} must be an instant such as 2027-05-16T14:05:00.000Z',
    })
export const day = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/, 'a day')
    .custom((value: string, helpers) => (isInstant(`${value}T00:00:00.000Z`) ? value : helpers.error('day')))
    .messages({
      day: '{{#label}} must be a day such as 2027-05-16',
      'string.pattern.name': '{{#label}} must be a day such as 2027-05-16',
    })
export const mass_g = () => Joi.number().greater(0).max(HEAVIEST_g)
export const massOrNone_g = () => Joi.number().min(0).max(HEAVIEST_g)
/** Food and water in an open pot: nothing is hotter than 130 °C there, and no store colder than −60. */
export const temp_C = () =>
  Joi.number().min(-60).max(130).messages({
    'number.max': '{{#label}} must be at most 130 °C: nothing in a pot is hotter',
    'number.min': '{{#label}} must be at least −60 °C: no store is colder',
  })
export const minutes = () =>
  Joi.number()
    .min(0)
    .max(60 * 24 * 60)
export const count = () => Joi.number().integer().min(0).max(1_000_000)
/** Nobody picks nearer to a pole; south is negative. */
export const latitude_deg = () => Joi.number().min(-72).max(72)
export const elevation_m = () => Joi.number().min(-430).max(9000)
export const part = () => Joi.string().valid(...PARTS)
export const stage = () => Joi.string().valid(...STAGES)
export const goal = () => Joi.string().valid(...GOALS)
export const sensitivity = () => Joi.string().valid(...SENSITIVITIES)
export const eaterKind = () => Joi.string().valid('adult', 'child', 'infant')
/** All keys required, as every stored entry has them; and the object itself, unless it is marked optional. */
export const strictObject = (keys: Joi.PartialSchemaMap) => Joi.object(keys).options({ presence: 'required' })

import type { Schema } from 'joi'

/** A document that passed its schema, or where and why it did not. */
export type Checked<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly path: string; readonly message: string }

/**
 * Holds a document against a Joi schema, strictly: nothing is converted, unknown fields are refused, the first fault is told
 * by its path with a message that a person can act on.
 */
export function check<T>(schema: Schema, document: unknown): Checked<T> {
  const { error, value } = schema.validate(document, {
    convert: false,
    abortEarly: true,
    allowUnknown: false,
    errors: { label: 'path', wrap: { label: false, array: false, string: false } },
    messages: MESSAGES,
  })
  const detail = error?.details[0]
  if (detail === undefined) return { ok: true, value: value as T }
  const path = detail.path.join('.') || '(document)'
  const label = String(detail.context?.label ?? '')
  const message = detail.message.startsWith(`${label} `) ? detail.message.slice(label.length + 1) : detail.message
  return { ok: false, path, message }
}

const MESSAGES = {
  'object.unknown': '{{#label}} is not a field of this document; leave it out',
  'any.required': '{{#label}} is missing; give it',
  'number.base': '{{#label}} must be a number',
  'number.infinity': '{{#label}} must be a finite number',
  'string.empty': '{{#label}} must not be empty',
}

import { readTyped, shownText, shownUnit } from '@ellop/core'
import { useState } from 'react'
import { useUnits } from './units'

interface QuantityText {
  /** What the field shows, and in which unit. */
  readonly text: string
  readonly unit: string
  /** What it comes to in the field's unit, where it was typed with another one. */
  readonly comesTo: string | undefined
  /** The one sentence when a unit was typed that does not fit. */
  readonly refused: string | undefined
  readonly type: (text: string) => void
}

/**
 * The text of a number field whose form keeps a metric text: shown and typed in the cook's measures, or with any unit that fits.
 * What was typed stays letter by letter; only a value that came otherwise, from a scale say, is written anew.
 */
export function useQuantityText(stored: string, metricUnit: string, onChange: (stored: string) => void): QuantityText {
  const units = useUnits((shown) => shown.units)
  const [typed, setTyped] = useState({ text: '', stored: '' })
  const isTyped = typed.stored === stored && stored !== ''
  const text = isTyped ? typed.text : shownText(stored, metricUnit, units)
  const unit = shownUnit(metricUnit, units)
  const read = readTyped(text, metricUnit, units)
  const hasOwnUnit = read.turned && /[a-z"'°″′]/i.test(text)
  const comesTo = `${shownText(rounded(read.stored), metricUnit, units)} ${unit}`
  return {
    text,
    unit,
    comesTo: hasOwnUnit && comesTo !== text.trim() ? comesTo : undefined,
    refused: read.refused,
    type(next) {
      const { stored: metric } = readTyped(next, metricUnit, units)
      setTyped({ text: next, stored: metric })
      onChange(metric)
    },
  }
}

/** To a hundredth: what it comes to is shown, not stored. */
function rounded(stored: string): string {
  return String(Number(Number(stored).toFixed(2)))
}

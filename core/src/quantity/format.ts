import type { Range } from './range'

/** Groups the thousands with a comma, as every figure on screen is written. @example grouped(2600) // '2,600' */
export function grouped(value: number, digits = 0): string {
  const [whole = '', part] = value.toFixed(digits).split('.')
  const groups = whole.length < 4 ? whole : whole.replace(/\d(?=(?:\d{3})+$)/g, '$&,')
  return part === undefined ? groups : `${groups}.${part}`
}

/** A text at the beginning of a sentence. @example withCapital('oxalate') // 'Oxalate' */
export function withCapital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** A text inside a sentence, its other capitals kept. @example withoutCapital('Kitchen scale') // 'kitchen scale' */
export function withoutCapital(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}

/** A mass for the screen: to a tenth below ten grams, else rounded to whole grams. @example formatMass(1240) // '1,240 g' */
export function formatMass(mass_g: number): string {
  const tenths_g = Math.round(mass_g * 10) / 10
  if (Math.abs(tenths_g) < 10 && !Number.isInteger(tenths_g)) return `${grouped(tenths_g, 1)} g`
  return `${grouped(Math.round(mass_g))} g`
}

/** A volume for the screen: litres to one decimal from a litre up, else millilitres. @example formatVolume(5000) // '5 L' */
export function formatVolume(volume_mL: number): string {
  if (volume_mL < 1000) return `${grouped(Math.round(volume_mL))} mL`
  const litres = Math.round(volume_mL / 100) / 10
  return `${grouped(litres, Number.isInteger(litres) ? 0 : 1)} L`
}

/** A temperature for the screen, to a tenth. @example formatTemp(96.05) // '96.1 °C' */
export function formatTemp(temp_C: number): string {
  return `${(Math.round(temp_C * 10) / 10).toFixed(1).replace('-', '−')} °C`
}

/** A span for the screen in minutes and seconds below ten minutes, then minutes, hours, days. @example formatSpan(2.5) // '2 min 30 s' */
export function formatSpan(minutes: number): string {
  const seconds = Math.round(minutes * 60)
  if (seconds < 60) return `${seconds} s`
  if (seconds < 600)
    return seconds % 60 === 0 ? `${seconds / 60} min` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`
  const whole = Math.round(minutes)
  if (whole < 90) return `${whole} min`
  const hours = Math.floor(whole / 60)
  if (hours < 48) return whole % 60 === 0 ? `${hours} h` : `${hours} h ${whole % 60} min`
  return `${Math.round(minutes / 1440)} days`
}

/** Days in words, below a day in hours. @example formatDays(1.5) // '1.5 days' */
export function formatDays(days: number): string {
  if (days < 1) return formatSpan(1440 * days)
  return days === 1 ? '1 day' : `${Number(days.toFixed(1))} days`
}

/** A clock reading of a countdown: seconds run in the last ten minutes, before that minutes, hours and days. @example formatCountdown(46) // '0:46' */
export function formatCountdown(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds))
  const minutes = Math.ceil(whole / 60)
  if (whole >= 172_800) return `${Math.round(whole / 86_400)} d`
  if (whole >= 36_000) return `${Math.round(whole / 3600)} h`
  if (minutes >= 100) return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
  if (whole > 600) return `${minutes} min`
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** An estimate with its range, always both. @example formatMassRange({ low: 700, usual: 800, high: 900 }) // 'about 800 g (700 to 900 g)' */
export function formatMassRange(range: Range): string {
  return `about ${formatMass(range.usual)} (${grouped(Math.round(range.low))} to ${formatMass(range.high)})`
}

/** A whole number with its noun. @example formatCount(1, 'load') // '1 load' */
export function formatCount(count: number, noun: string, plural = `${noun}s`): string {
  return `${grouped(count)} ${count === 1 ? noun : plural}`
}

/** Words joined for a sentence. @example formatList(['a', 'b', 'c']) // 'a, b and c' */
export function formatList(words: readonly string[], last: 'and' | 'or' = 'and'): string {
  if (words.length < 2) return words.join('')
  return `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`
}

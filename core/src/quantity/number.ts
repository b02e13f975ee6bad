/**
 * A number as a cook types it: a point or a comma before the decimals, spaces anywhere, nothing else.
 *
 * Where both marks stand, the later is the decimal mark and the earlier groups thousands. A lone mark before exactly three
 * last digits groups thousands, as the screens write them, unless a nought leads: no kitchen scale shows a thousandth. With
 * `inLargeUnit` it is the decimal mark: of kilograms and litres a kitchen writes thousandths, and has no thousands.
 *
 * @returns the number, or undefined when the text is not one.
 * @example readNumber('12,5') // 12.5
 */
export function readNumber(text: string, inLargeUnit = false): number | undefined {
  const bare = text.replace(/\s/g, '').replace('−', '-')
  const grouping = groupingMark(bare, inLargeUnit)
  const grouped = grouping === undefined ? bare : bare.replace(new RegExp(`\\${grouping}(?=\\d{3}(?!\\d))`, 'g'), '')
  const plain = grouped.replace(',', '.')
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined
}

function groupingMark(bare: string, inLargeUnit: boolean): ',' | '.' | undefined {
  const comma = bare.lastIndexOf(',')
  const point = bare.lastIndexOf('.')
  if (comma >= 0 && point >= 0) return comma > point ? '.' : ','
  if (inLargeUnit || !/^[-+]?[1-9]\d{0,2}([,.]\d{3})+$/.test(bare)) return undefined
  return comma >= 0 ? ',' : '.'
}

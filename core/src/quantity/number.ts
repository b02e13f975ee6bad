/**
 * A number as a cook types it: a point or a comma before the decimals, spaces anywhere, nothing else.
 *
 * One comma or point is the decimal mark. Where both stand, the later is the decimal mark and the earlier groups
 * thousands in threes; a lone mark before exactly three digits is ambiguous only to a machine, and is read as a decimal
 * mark, since "1,240" typed for grams is told apart by the form, which shows what it read.
 *
 * @returns the number, or undefined when the text is not one.
 * @example readNumber('12,5') // 12.5
 */
export function readNumber(text: string): number | undefined {
  const bare = text.replace(/[\s  ]/g, '')
  const both = bare.includes(',') && bare.includes('.')
  const decimal = both ? (bare.lastIndexOf(',') > bare.lastIndexOf('.') ? ',' : '.') : undefined
  const grouped = both ? bare.replace(decimal === ',' ? /\.(?=\d{3})/g : /,(?=\d{3})/g, '') : bare
  const plain = grouped.replace(',', '.')
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined
}

/** Line weights and colours of every schematic: the theme's greens, one brown for what is under the ground, one red for what harms. */
export const GREEN = '#3f6335'
export const LEAF_FILL = '#a9c489'
export const DEEP = '#24342e'
export const SOIL = '#b08a55'
export const ROOT_FILL = '#eadbbd'
export const ROOT = '#7b6a4c'
export const RED = '#9c3220'
export const PAPER = '#fffef9'

export const LEAF = { fill: LEAF_FILL, stroke: GREEN, strokeWidth: 2, strokeLinejoin: 'round' } as const
export const LINE = {
  fill: 'none',
  stroke: GREEN,
  strokeWidth: 2.4,
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const
export const THIN = { ...LINE, strokeWidth: 1.4 } as const
export const BROWN = { fill: ROOT_FILL, stroke: ROOT, strokeWidth: 2, strokeLinejoin: 'round' } as const
export const BROWN_LINE = { ...LINE, stroke: ROOT, strokeWidth: 2 } as const
export const SOIL_LINE = { ...LINE, stroke: SOIL, strokeWidth: 2 } as const
export const RED_LINE = { ...LINE, stroke: RED } as const

/** What the colours of flowers and fruits are painted with. */
export const PAINT: Readonly<Record<string, string>> = {
  white: '#fffef9',
  cream: '#f5e9c4',
  yellow: '#f1cf3b',
  orange: '#e58a2c',
  pink: '#ecaec0',
  red: '#b9382c',
  purple: '#8a5aa3',
  blue: '#5f7fc2',
  green: '#9dbb74',
  brown: '#94704a',
  'blue-black': '#2d3350',
}

/** What a kitchen scale rounds away, g: so much more or less is the same [planning value]. */
export const SCALE_g = 0.5

/** The share of an earlier mass that is dry stays dry: the mass at which a batch has dried to the moisture wanted (fractions of wet mass).
 * @throws RangeError when not 0 <= targetMoisture <= startMoisture < 1.
 * @example dryTarget({ start_g: 500, startMoisture: 0.86, targetMoisture: 0.1 }).target_g // 77.8, rounded */
export function dryTarget(input: { start_g: number; startMoisture: number; targetMoisture: number }): {
  target_g: number
} {
  const { start_g, startMoisture, targetMoisture } = input
  if (!(targetMoisture >= 0 && targetMoisture <= startMoisture && startMoisture < 1))
    throw new RangeError(
      `dryTarget: expected 0 <= targetMoisture <= startMoisture < 1, got ${targetMoisture}, ${startMoisture}`,
    )
  return { target_g: (start_g * (1 - startMoisture)) / (1 - targetMoisture) }
}

/** The wind a flame stands in, and whether something is put round it. */
export interface Wind {
  readonly speed_m_s: number
  readonly screened: boolean
}

/**
 * Heat that a metre a second more carries off for each part that reaches the pot: an open flame in 5 m/s wants two and a half times the
 * fuel, one behind a screen a third more [planning values; the habit of outdoor cooks, no measurement].
 */
const CARRIED_OFF = { open: 0.3, screened: 0.06 } as const

/**
 * Of a burner's heat what reaches the pot in a wind: η / (1 + k v). Still air changes nothing; for open flames of any fuel, up to 15 m/s.
 * @param efficiency share in still air, 0 to 1
 */
export function efficiencyInWind(efficiency: number, wind: Wind | undefined): number {
  if (wind === undefined) return efficiency
  return efficiency / (1 + CARRIED_OFF[wind.screened ? 'screened' : 'open'] * Math.max(0, wind.speed_m_s))
}

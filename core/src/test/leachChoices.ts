import { leach } from '../leach/leach'
import { diffusivity } from '../leach/leach'
import type { LeachAim, LeachChoice, LeachPlan } from '../leach/optimise'

/** A leach to be chosen for, made up. */
export function randomChoice(random: () => number): LeachChoice {
  const between = (low: number, high: number) => low + (high - low) * random()
  const scale = (low: number, high: number) => low * (high / low) ** random()
  const held = scale(200, 1500)
  return {
    shape: (['slab', 'cylinder', 'sphere'] as const)[Math.floor(3 * random())] ?? 'slab',
    heldLiquid_mL: held,
    solute: { diffusivity25_m2_s: scale(5e-11, 1e-9), activation_kJ_mol: between(15, 35) },
    keep: { diffusivity25_m2_s: scale(1e-11, 6e-10), activation_kJ_mol: between(15, 45) },
    target: scale(0.02, 0.3),
    baths: { least: 1 + Math.floor(3 * random()), most: 5 + Math.floor(6 * random()) },
    water_mL: { least: held * between(0.8, 2), most: held * between(3, 10) },
    minutes: { least: between(1, 10), most: scale(60, 900) },
    temp_C: { least: between(6, 20), most: between(60, 98) },
    size_mm: { least: between(1, 3), most: between(4, 12) },
    tap_C: between(6, 14),
    burnerEfficiency: between(0.3, 0.7),
    change_min: between(1, 8),
  }
}

/** Costs of a setting, by a reckoning of its own. */
function costs(choice: LeachChoice, baths: number, water_mL: number, minutes: number, temp_C: number) {
  const warming = (4.186 * water_mL * Math.max(0, temp_C - choice.tap_C)) / 1000
  const holding =
    temp_C > Math.max(choice.tap_C, 20) ? (1.1 * (water_mL / 1000) * (temp_C - 20) * minutes * 60) / 1000 : 0
  return {
    time: baths * (minutes + choice.change_min),
    water: baths * water_mL,
    fuel: (baths * (warming + holding)) / choice.burnerEfficiency,
  }
}

/**
 * Settings at random that reach the target by the leach engine, held against a plan: how far the best of them is better than it, as a
 * share; 0 where none is. Each setting is as short as it may be: a time at random first, halved as long as the target is still reached.
 */
export function beatenBy(
  choice: LeachChoice,
  aim: LeachAim,
  plan: LeachPlan,
  count: number,
  random: () => number,
): { readonly worst: number; readonly settings: number } {
  const between = ({ least, most }: { readonly least: number; readonly most: number }) =>
    least + (most - least) * random()
  const own = {
    time: plan.total.time_min,
    water: plan.total.water_mL,
    fuel: plan.total.fuel_kJ,
    kept: plan.total.kept,
  }
  let worst = 0
  let settings = 0
  for (let index = 0; index < count; index += 1) {
    const baths = Math.round(between({ least: choice.baths.least - 0.49, most: choice.baths.most + 0.49 }))
    const [water_mL, temp_C, size_mm] = [between(choice.water_mL), between(choice.temp_C), between(choice.size_mm)]
    let minutes = choice.minutes.least * (choice.minutes.most / choice.minutes.least) ** random()
    const after = (of: LeachChoice['solute'], each_min: number, follow: 'exact' | 'quick') =>
      leach(
        {
          ...of,
          pieces: { shape: choice.shape, size_mm },
          heldLiquid_mL: choice.heldLiquid_mL,
          baths: Array.from({ length: baths }, () => ({ water_mL, minutes: each_min, temp_C })),
        },
        follow,
      ).residual.at(-1) ?? 1
    if ((1 + water_mL / choice.heldLiquid_mL) ** -baths > choice.target) continue
    // Far too short to come to anything.
    if ((diffusivity(choice.solute, temp_C) * minutes * 60 * baths) / (size_mm / 2000) ** 2 < 1e-3) continue
    if (after(choice.solute, minutes, 'quick') > choice.target) continue
    for (let step = 0; step < 4; step += 1) {
      const shorter = Math.max(choice.minutes.least, minutes * 0.75)
      if (after(choice.solute, shorter, 'quick') <= choice.target) minutes = shorter
    }
    settings += 1
    const cost = costs(choice, baths, water_mL, minutes, temp_C)
    const kept = aim === 'kept' ? after(choice.keep ?? choice.solute, minutes, 'quick') : 0
    const gain =
      aim === 'kept' ? (kept - own.kept) / Math.max(own.kept, 0.01) : (own[aim] - cost[aim]) / Math.max(own[aim], 1)
    // Followed quickly it may seem to reach what it does not.
    if (gain > worst && after(choice.solute, minutes, 'exact') <= choice.target) worst = gain
  }
  return { worst, settings }
}

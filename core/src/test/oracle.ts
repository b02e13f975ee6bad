import type { Entry } from '../log/entries'
import { toMs } from '../quantity/instant'

/**
 * Whether nettle in lot A may be served or packed at a moment, decided from the bare entries alone in the most pedestrian way:
 * a second opinion that shares no line with the gates. Knows the test household only (1,180 m, one clean patch).
 */
export function mayActByHand(
  act: 'served' | 'packed',
  standing: readonly Entry[],
  at: string,
  pack: string | null,
): boolean {
  const of = <T extends Entry['type']>(type: T) =>
    standing.filter((entry): entry is Extract<Entry, { type: T }> => entry.type === type)
  const [weighed] = of('weighed-in')
  if (weighed === undefined) return false
  const cut = [...of('sorted'), ...of('step-begun')].map((entry) => entry.at).sort()[0] ?? '9999'
  const seen = new Map<string, Set<string>>()
  for (const { character, answer, states, at: looked } of of('tell-seen'))
    if (answer === 'seen' && looked < cut) seen.set(character, new Set([...(seen.get(character) ?? []), ...states]))
  const fits = (character: string, allowed: readonly string[]) => {
    const states = [...(seen.get(character) ?? [])]
    return states.length > 0 && states.every((state) => allowed.includes(state))
  }
  const stings = [...(seen.get('leafSurface') ?? [])].join() === 'stinging-hairs'
  const square = [...(seen.get('stemSection') ?? [])].join() === 'square'
  const identity =
    fits('leafArrangement', ['opposite']) &&
    fits('leafMargin', ['serrate']) &&
    fits('leafSurface', ['stinging-hairs', 'hairy-both']) &&
    fits('stemSection', ['square', 'ridged']) &&
    stings &&
    square &&
    of('certain-attested').length > 0 &&
    new Set(
      of('plant-met')
        .filter((met) => met.at <= at)
        .map((met) => met.at.slice(0, 10)),
    ).size >= 2 &&
    of('tasted').every(({ alarm }) => alarm === null) &&
    of('stray-reported').every(
      ({ at: reported, brokenUp }) => !brokenUp && of('strays-sorted').some(({ at: again }) => again >= reported),
    )
  const notes = of('ground-noted').filter(({ patch }) => patch === 'wall')
  const latest = (fact: string) =>
    notes.flatMap(({ facts }) => (fact in facts ? [facts[fact as keyof typeof facts]] : [])).at(-1)
  const ground =
    ['permission', 'sprayed', 'busyRoad', 'pastUse', 'manured', 'dogs', 'looksHealthy'].every(
      (fact) => latest(fact) !== undefined,
    ) &&
    (latest('sprayed') as { last: string | null }).last === null &&
    latest('looksHealthy') === true
  const [sorted] = of('sorted')
  const sort = sorted !== undefined && sorted.wash?.water !== 'chemicals' && sorted.stageSeen === 'young'

  const good = of('step-begun').filter(({ id }) => {
    const out = of('step-done').find(({ begun }) => begun === id)
    return (
      out !== undefined &&
      out.outcome === 'done' &&
      out.checked &&
      out.minutes >= 2 &&
      (out.temp_C === null || out.temp_C >= 94.5)
    )
  })
  // Half a gram is what a scale rounds away.
  const raw_g =
    (sorted?.kept_g ?? 0) -
    of('packed')
      .filter(({ at: packedAt }) => packedAt < (good[0]?.at ?? ''))
      .reduce((sum, { mass_g }) => sum + mass_g, 0)
  const blanched = good.length > 0 && good.reduce((sum, { mass_g }) => sum + mass_g, 0) >= raw_g - 1
  const fed = latest('manured') !== 'no'
  const nitrate = !fed || of('step-done').every(({ outcome, water }) => outcome !== 'done' || water === 'thrown')
  const [stand] = of('stand-counted').slice(-1)
  const take = stand !== undefined && stand.wildlifeLooked
  const palate = of('tasted').at(-1)?.accepts === true
  const lastOut =
    of('step-done')
      .map((entry) => entry.at)
      .sort()
      .at(-1) ?? at
  const fresh = toMs(at) - toMs(lastOut) <= 240 * 60_000
  if (act === 'packed') return identity && ground && sort && (fresh || !(blanched && nitrate))
  return identity && ground && sort && take && blanched && nitrate && palate && (fresh || pack !== null)
}

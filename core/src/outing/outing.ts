import { findTaxon } from '../flora/catalogue'
import { isHarmful } from '../identity/clear'
import type { Taxon, Use } from '../flora/taxon'
import type { JudgeContext } from '../gates/verdict'
import type { Access } from '../ground/facts'
import type { GroundVerdict } from '../ground/verdict'
import type { PatchState } from '../log/houseState'
import { leftAlone } from '../ground/leftAlone'
import { groundAt } from '../ground/ofPatch'
import type { PatchId } from '../log/entry'
import { kitchenAt } from '../log/houseState'
import { formatDay } from '../quantity/instant'
import type { Day } from '../season/day'
import type { SeasonRow, SeasonState } from '../season/season'
import type { DayWeather } from '../season/station'
import { removalOf } from '../take/removal'
import { restsUntil } from '../take/rest'
import { effortFor, type Effort, type OwnPickings } from './effort'

/** One thing that may be picked on an outing. */
export interface OutingChoice {
  readonly taxon: Taxon
  readonly use: Use
  readonly patch: PatchId
  readonly state: SeasonState
  readonly narrow: boolean
  /** Why it is not to be picked there; nothing where it may be. */
  readonly against: readonly string[]
  /** What must be asked of the ground before it counts. */
  readonly toAsk: readonly string[]
  /** What lives on the ground there, so that it is not eaten raw. */
  readonly living: readonly string[]
  /** Plants that kill or harm and are taken for it: it goes home in a bag of its own. */
  readonly doubles: readonly { readonly scientificName: string; readonly severity: string }[]
}

/** A thing to be picked, and for how many plates. */
export interface OutingWish {
  readonly choice: OutingChoice
  readonly plates: number
}

export interface OutingLine extends OutingWish {
  readonly effort: Effort | undefined
  /** Hours that it keeps raw and warm: what is used first stands first. */
  readonly keeps_h: number | undefined
}

export interface OutingPlan {
  /** Patches in the order of going: what keeps longest is picked first, what wilts is picked last. */
  readonly stops: readonly { readonly patch: PatchId; readonly lines: readonly OutingLine[] }[]
  readonly gear: readonly string[]
  /** Picking alone, minutes, of what is known; walking and telling come on top. */
  readonly picking_min: { readonly low: number; readonly usual: number; readonly high: number }
  readonly warnings: readonly string[]
}

const OPEN: readonly SeasonState[] = ['ready', 'best', 'nearly-past', 'second-growth']
const WET_mm = 2
const WINDY_km_h = 40
const HOT_C = 27

/** What is open at which patches on a day, with what speaks against it there. */
export function outingChoices(rows: readonly SeasonRow[], context: JudgeContext): readonly OutingChoice[] {
  const { book, catalogue, now } = context
  return rows.flatMap((row): readonly OutingChoice[] => {
    const patch = book.house.patches[row.patch]
    if (!OPEN.includes(row.state)) return []
    const picking = { taxon: row.taxon.scientificName, part: row.use.part, patch: row.patch }
    const ground = groundAt(picking, { house: book.house, catalogue, now })?.verdict
    if (patch === undefined || ground === undefined) return []
    return [
      {
        taxon: row.taxon,
        use: row.use,
        patch: patch.id,
        state: row.state,
        narrow: row.narrow,
        against: againstPicking(row.taxon, patch, ground, context),
        toAsk: ground.toAsk,
        living: ground.living,
        doubles: row.taxon.lookalikes
          .filter(isHarmful)
          .map(({ scientificName, severity }) => ({ scientificName, severity })),
      },
    ]
  })
}

/** Why nothing of a plant is taken at a patch now: its ground, months for its other dwellers, its rest, the law on the plant. */
export function againstPicking(
  taxon: Taxon,
  patch: PatchState,
  ground: GroundVerdict,
  { book, catalogue, now }: JudgeContext,
): readonly string[] {
  const rest = restsUntil(book, catalogue, patch.id, taxon.scientificName)
  const alone = leftAlone(book.house, patch.id, now)
  return [
    ...ground.closed,
    ...(alone === undefined ? [] : [alone]),
    ...(rest !== undefined && rest > now
      ? [
          `Pick none of it at ${patch.name} until ${formatDay(rest, kitchenAt(book.house, now)?.timeZone ?? 'UTC', true)}.`,
        ]
      : []),
    ...(taxon.standing === 'protected' ? ['It is protected: it is not picked.'] : []),
  ]
}

/** An outing for what is wished: how much of each, in what order, with what gear, and what the day is like. */
export function planOuting(
  wishes: readonly OutingWish[],
  context: JudgeContext,
  weather: DayWeather | undefined,
): OutingPlan {
  const lines = wishes.map((wish): OutingLine => {
    const { use, taxon } = wish.choice
    const days = use.keepsRaw_days?.ambient
    return {
      ...wish,
      effort: effortFor(use, wish.plates, ownPickings(taxon, use, context)),
      keeps_h: days === undefined ? undefined : days * 24,
    }
  })
  const patches = orderOfStops(lines, ({ choice: { patch, use } }) => ({
    patch,
    keeps_days: use.keepsRaw_days?.ambient,
  }))
  const sum = (end: 'low' | 'usual' | 'high') =>
    lines.reduce((total, { effort }) => total + (effort?.picking_min?.[end] ?? 0), 0)
  return {
    stops: patches.map((patch) => ({ patch, lines: lines.filter(({ choice }) => choice.patch === patch) })),
    gear: [...gearFor(lines), ...accessGear(patches, context)],
    picking_min: { low: sum('low'), usual: sum('usual'), high: sum('high') },
    warnings: weatherWarnings(weather, lines),
  }
}

/** Patches in the order of going: what keeps longest is picked first, what wilts is picked last. */
export function orderOfStops<T>(
  lines: readonly T[],
  of: (line: T) => { readonly patch: PatchId; readonly keeps_days: number | undefined },
): readonly PatchId[] {
  const shortest = new Map<PatchId, number>()
  for (const { patch, keeps_days = 2 } of lines.map(of))
    shortest.set(patch, Math.min(keeps_days, shortest.get(patch) ?? Infinity))
  return [...shortest].sort(([, a], [, b]) => b - a).map(([patch]) => patch)
}

/** What the cook's own pickings of this part of this plant say: what was kept at each sorting, how fast each went that was timed. */
export function ownPickings(taxon: Taxon, use: Use, { book, catalogue }: JudgeContext): OwnPickings {
  const own = [...book.lots.values()].filter(
    ({ weighedIn, from }) =>
      weighedIn !== null &&
      from.length === 0 &&
      weighedIn.part === use.part &&
      weighedIn.mass_g > 0 &&
      findTaxon(catalogue, weighedIn.taxon) === taxon,
  )
  return {
    kept: own.flatMap(({ weighedIn, sorted }) =>
      weighedIn === null || sorted === null ? [] : [sorted.kept_g / weighedIn.mass_g],
    ),
    rates_g_per_h: own.flatMap(({ weighedIn }) =>
      weighedIn?.took_min === undefined ? [] : [(60 * weighedIn.mass_g) / weighedIn.took_min],
    ),
  }
}

/** What these plants ask for, drawn from their records. */
function gearFor(lines: readonly OutingLine[]): readonly string[] {
  const has = (test: (line: OutingLine) => boolean) => lines.some(test)
  const hazard = (line: OutingLine, id: string) => line.choice.use.hazards.some((each) => each.id === id)
  const bags = lines.length
  return [
    ...(has((line) => hazard(line, 'sting')) ? ['thick gloves and sleeves'] : []),
    ...(has((line) => hazard(line, 'spine')) ? ['gloves against spines'] : []),
    ...(has(({ choice }) => ['leaf', 'top', 'flower'].includes(removalOf(choice.use.part))) ? ['scissors'] : []),
    ...(has(({ choice }) => removalOf(choice.use.part) === 'whole')
      ? ['a digging stick, and a bag for the soil to go back']
      : []),
    ...(has(({ choice }) => removalOf(choice.use.part) === 'fruit') ? ['a firm pail or basket'] : []),
    ...(bags > 0 ? [`${bags} loose containers, one a kind, with paper labels`] : []),
    ...(has(({ choice }) => choice.doubles.length > 0) ? ['the field cards of the plants'] : []),
    ...(bags > 0 ? ['a pocket scale or counting', 'drinking water, water to rinse hands', 'a bag for litter'] : []),
  ]
}

const ACCESS_GEAR: Readonly<Record<Access, string>> = {
  thorns: 'long sleeves against thorns',
  mud: 'boots and a stick to try soft mud with, and company',
  steep: 'shoes that hold on a slope, and company',
  surf: 'the tide table, and somebody who watches the sea',
  ice: 'company on ice, and a rope',
  ticks: 'long trousers, and a look for ticks afterwards',
}

/** What getting to these patches asks for (GRD-8). */
function accessGear(patches: readonly PatchId[], { book: { house } }: JudgeContext): readonly string[] {
  const all = patches.flatMap((patch) => house.patches[patch]?.facts.access?.value ?? [])
  return [...new Set(all)].map((each) => ACCESS_GEAR[each])
}

function weatherWarnings(weather: DayWeather | undefined, lines: readonly OutingLine[]): readonly string[] {
  if (weather === undefined) return []
  const { rain_mm = 0, wind_km_h = 0, max_C } = weather
  const flowers = lines.some(({ choice }) => removalOf(choice.use.part) === 'flower')
  return [
    ...(rain_mm > WET_mm ? ['Rain: wet leaves keep less, and pollen is washed off. Wait or use it the same day.'] : []),
    ...(rain_mm > WET_mm && flowers ? ['Flowers are picked dry, when the dew has gone.'] : []),
    ...(wind_km_h > WINDY_km_h ? ['Wind: no open fire, and not under old trees.'] : []),
    ...(max_C > HOT_C ? ['Heat: go early, carry it cool and loose.'] : []),
  ]
}

/** The day's weather, where it is known. */
export function weatherOn(days: readonly DayWeather[], day: Day): DayWeather | undefined {
  return days.find((each) => each.day === day)
}

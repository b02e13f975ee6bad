import { CATALOGUE } from '../flora/records'
import type { Entry } from '../log/entries'

/**
 * An auditor of what was eaten and stored: it takes one serving or pack, follows every gram of it back to the ground from the bare entries, and asks of its
 * whole life how warm, how long, in what, measured by what, what was put to it and who ate of it. Written from the rules alone; it shares no code with
 * gates, fold or clock. Knows the test household and the ways in `plants.ts` only.
 *
 * @returns the classes of what stands against the act; none where nothing does.
 */
export function audit(entries: readonly Entry[], index: number): readonly string[] {
  const act = entries[index]
  if (act?.type !== 'served' && act?.type !== 'packed') return []
  const world = replay(entries.slice(0, index))
  const bowl = act.type === 'served' && act.pack !== null ? world.packs.get(act.pack) : world.hands.get(act.lot)
  if (bowl === undefined) return ['nothing there']
  const at = ms(act.at)
  const against = new Set<string>()
  for (const gram of bowl.grams) {
    const opened = bowl.opened === null ? [] : [{ t: bowl.opened, what: 'opened' } as const]
    for (const each of live([...gram.life, ...opened], at)) against.add(each)
  }
  if (act.type === 'packed' && act.store === 'frozen' && bowl.grams.some(({ life }) => thawedRaw(life)))
    against.add('frozen raw again')
  const eaters = act.type === 'served' ? act.portions.map(({ eater }) => eater) : []
  for (const { life } of bowl.grams)
    for (const each of life) {
      if (each.what !== 'added') continue
      if (/walnut|hazelnut/.test(each.name) && eaters.some((eater) => world.nutAllergic.has(eater)))
        against.add('allergen')
    }
  const roots = new Set(bowl.grams.map(({ root }) => root))
  for (const { who, at: ill } of world.ill)
    if (
      world.eaten.some(
        (each) => each.who === who && roots.has(each.root) && each.at <= ill && ill - each.at <= 72 * HOUR,
      )
    )
      against.add('ill after it')
  if (bowl.grams.some(({ root }) => world.strayInCut.has(root))) against.add('stray in cut food')
  if (act.type === 'served' && tooMuch(act.portions, bowl, world, at)) against.add('too much in a day')
  return [...against]
}

/** Whether somebody grown up has more of one plant in a day, raw and trimmed, than its record gives them. */
function tooMuch(
  portions: readonly { readonly eater: string; readonly mass_g: number }[],
  bowl: Bowl,
  world: World,
  at: number,
): boolean {
  const day = new Date(at).toISOString().slice(0, 10)
  return portions.some(({ eater, mass_g }) => {
    if (!world.grown.has(eater)) return false
    return [...new Set(bowl.grams.map(({ life }) => kindOf(life)))].some((kind) => {
      const now_g = bowl.grams
        .filter(({ life }) => kindOf(life) === kind)
        .reduce((sum, { share_g }) => sum + (share_g * mass_g) / bowl.mass_g, 0)
      const before_g = world.eaten
        .filter((each) => each.who === eater && each.kind === kind && new Date(each.at).toISOString().startsWith(day))
        .reduce((sum, { raw_g }) => sum + raw_g, 0)
      // A scale rounds each portion.
      return now_g + before_g > 1.01 * recordOf(kind).mostInADay_g + 2
    })
  })
}

const MINUTE = 60_000
const HOUR = 60 * MINUTE
const DAY = 24 * HOUR
const ms = (at: string) => Date.parse(at)

/** What happened to a gram, in order. */
type Event = { readonly t: number } & (
  | { readonly what: 'picked'; readonly kind: string }
  | { readonly what: 'put'; readonly where: 'warm' | 'cold' | 'hot' }
  | { readonly what: 'cut' | 'wet' | 'handled' | 'opened' | 'half cooked' }
  | { readonly what: 'added'; readonly name: string; readonly wet: boolean; readonly salt: number }
  | { readonly what: 'cooking'; readonly until: number }
  | { readonly what: 'cooked'; readonly since: number }
  | { readonly what: 'bath'; readonly until: number; readonly most: number }
  | { readonly what: 'stored'; readonly store: string }
  | { readonly what: 'store found'; readonly temp_C: number }
  | { readonly what: 'out' }
)

interface Gram {
  readonly root: string
  /** What of the picking is in the bowl, as it was raw and trimmed: water comes and goes without it. */
  readonly share_g: number
  readonly life: readonly Event[]
}
interface Bowl {
  grams: readonly Gram[]
  mass_g: number
  /** When its container was first opened. */
  opened: number | null
}

interface World {
  readonly hands: Map<string, Bowl>
  readonly packs: Map<string, Bowl>
  readonly eaten: {
    readonly who: string
    readonly root: string
    readonly kind: string
    readonly raw_g: number
    readonly at: number
  }[]
  readonly grown: Set<string>
  readonly ill: { readonly who: string; readonly at: number }[]
  readonly nutAllergic: Set<string>
  /** Pickings in which a stray was found after they were cut or heated, or broken up in them. */
  readonly strayInCut: Set<string>
}

/** Least minutes at a boil and the steps that heat, by kind; the rest of a way is done by hand. */
const HEATS: Readonly<Record<string, Readonly<Record<number, number>>>> = {
  'Urtica dioica': { 2: 2 },
  'Allium ursinum': { 2: 1 },
  'Sambucus nigra': { 2: 30 },
  'Beta vulgaris': { 2: 3 },
  'Quercus robur': { 6: 15 },
  'Picea abies': {},
}

/** Plays the entries over bowls of grams. */
function replay(entries: readonly Entry[]): World {
  const world: World = {
    hands: new Map(),
    packs: new Map(),
    eaten: [],
    grown: new Set(),
    ill: [],
    nutAllergic: new Set(),
    strayInCut: new Set(),
  }
  const loads = new Map<string, { lot: string; step: number; mass_g: number; of_g: number; at: number }>()
  const done = new Map<string, { since: number; sum_g: number; of_g: number }>()
  const bathOf = new Map<string, { at: number; temp_C: number | null }>()
  const explained = new Map<string, number>()
  const happen = (bowl: Bowl | undefined, ...events: readonly Event[]) => {
    if (bowl !== undefined) bowl.grams = bowl.grams.map((gram) => ({ ...gram, life: [...gram.life, ...events] }))
  }
  const take = (bowl: Bowl, mass_g: number): readonly Gram[] => {
    const share = bowl.mass_g > 0 ? Math.min(1, mass_g / bowl.mass_g) : 0
    bowl.mass_g -= mass_g
    const taken = bowl.grams.map((gram) => ({ ...gram, share_g: gram.share_g * share }))
    bowl.grams = bowl.grams.map((gram) => ({ ...gram, share_g: gram.share_g * (1 - share) }))
    return taken
  }
  for (const entry of entries) {
    const t = ms(entry.at)
    const bowl = 'lot' in entry ? world.hands.get(entry.lot) : undefined
    switch (entry.type) {
      case 'eater-noted':
        if (entry.eater.kind === 'adult') world.grown.add(entry.eater.id)
        else world.grown.delete(entry.eater.id)
        if (entry.eater.sensitivities?.includes('nut-allergy')) world.nutAllergic.add(entry.eater.id)
        else world.nutAllergic.delete(entry.eater.id)
        break
      case 'felt-ill':
        world.ill.push({ who: entry.eater, at: t })
        break
      case 'ill-explained':
        explained.set(entry.eater, t)
        break
      case 'weighed-in': {
        const life = [{ t: ms(entry.pickedAt), what: 'picked', kind: entry.taxon } as const]
        const there = world.hands.get(entry.lot)
        if (there === undefined)
          world.hands.set(entry.lot, {
            grams: [{ root: entry.id, share_g: entry.mass_g, life }],
            mass_g: entry.mass_g,
            opened: null,
          })
        break
      }
      case 'sorted':
        if (bowl !== undefined) {
          const kept = bowl.mass_g > 0 ? Math.min(1, entry.kept_g / bowl.mass_g) : 0
          bowl.grams = bowl.grams.map((gram) => ({ ...gram, share_g: gram.share_g * kept }))
          bowl.mass_g = entry.kept_g
        }
        happen(bowl, { t, what: 'handled' })
        break
      case 'weighed':
        if (bowl !== undefined) bowl.mass_g = entry.mass_g
        happen(bowl, { t, what: 'handled' })
        break
      case 'placed': {
        const { place, temp_C } = entry
        const where =
          place === 'kitchen' || temp_C === null ? 'warm' : temp_C <= 5 ? 'cold' : temp_C >= 60 ? 'hot' : 'warm'
        happen(bowl, { t, what: 'put', where })
        break
      }
      case 'tasted':
        // Too little to be a portion, and enough to have had of it.
        for (const { root, life } of bowl?.grams ?? [])
          world.eaten.push({ who: entry.taster, root, kind: kindOf(life), raw_g: 0, at: t })
        break
      case 'cut-up':
        happen(bowl, { t, what: entry.how === 'soaked' ? 'wet' : 'cut' })
        break
      case 'ingredient-added':
        if (bowl !== undefined) bowl.mass_g += entry.mass_g
        happen(bowl, {
          ...{ t, what: 'added', name: entry.name, wet: entry.what !== 'salt' && entry.what !== 'sugar' },
          // Of this addition alone: salt that was in it before counts for nothing here.
          salt: entry.what === 'salt' && bowl !== undefined ? entry.mass_g / bowl.mass_g : 0,
        })
        break
      case 'stray-reported':
        if (
          bowl !== undefined &&
          (entry.brokenUp || bowl.grams.some(({ life }) => life.some(({ what }) => CUTTING.includes(what))))
        )
          for (const { root } of bowl.grams) world.strayInCut.add(root)
        break
      case 'step-begun':
        if (bowl !== undefined)
          loads.set(entry.id, { lot: entry.lot, step: entry.step, mass_g: entry.mass_g, of_g: bowl.mass_g, at: t })
        break
      case 'step-done': {
        const load = loads.get(entry.begun)
        if (load === undefined || bowl === undefined) break
        loads.delete(entry.begun)
        const kinds = bowl.grams.map(({ life }) => kindOf(life))
        const needs = kinds.map((kind) => HEATS[kind]?.[load.step])
        // What is pressed, strained or cracked takes no time of its own.
        if (needs.every((each) => each === undefined)) {
          happen(bowl, { t: load.at, what: 'handled' })
          break
        }
        const least = Math.max(...needs.map((each) => each ?? 0))
        const good =
          entry.outcome === 'done' && entry.checked && entry.minutes >= least && (entry.temp_C ?? 100) >= 94.5
        happen(bowl, { t: load.at, what: 'cooking', until: t })
        if (!good) happen(bowl, { t, what: 'half cooked' })
        else {
          const key = `${load.lot} ${load.step}`
          const before = done.get(key)
          const sum = {
            since: before?.since ?? t,
            sum_g: (before?.sum_g ?? 0) + load.mass_g,
            of_g: before?.of_g ?? load.of_g,
          }
          done.set(key, sum)
          const all = sum.sum_g >= sum.of_g - 1
          if (before !== undefined && before.sum_g >= before.of_g - 1) break
          happen(bowl, all ? { t, what: 'cooked', since: sum.since } : { t, what: 'half cooked' })
        }
        break
      }
      case 'bath-changed': {
        const lying = bathOf.get(entry.lot)
        if (lying !== undefined) {
          const hot = lying.temp_C !== null && lying.temp_C >= 60
          const most = hot
            ? DAY
            : lying.temp_C !== null && lying.temp_C <= 5
              ? 4 * DAY
              : lying.temp_C !== null && lying.temp_C <= 15
                ? 2 * DAY
                : DAY
          happen(bowl, { t: lying.at, what: 'bath', until: t, most })
          bathOf.delete(entry.lot)
        }
        if (entry.fresh !== null) bathOf.set(entry.lot, { at: t, temp_C: entry.fresh.temp_C })
        break
      }
      case 'split':
        if (bowl !== undefined)
          world.hands.set(entry.into, { grams: take(bowl, entry.mass_g), mass_g: entry.mass_g, opened: null })
        break
      case 'joined': {
        const grams = entry.parts.flatMap((part) => {
          const from = world.hands.get(part.lot)
          return from === undefined ? [] : take(from, part.mass_g).map((gram) => ({ ...gram, life: [...gram.life] }))
        })
        world.hands.set(entry.lot, {
          grams,
          mass_g: entry.parts.reduce((sum, { mass_g }) => sum + mass_g, 0),
          opened: null,
        })
        break
      }
      case 'packed': {
        if (bowl === undefined) break
        const packed = { grams: take(bowl, entry.mass_g), mass_g: entry.mass_g, opened: null }
        happen(packed, { t, what: 'stored', store: entry.store })
        world.packs.set(entry.pack, packed)
        break
      }
      case 'store-read':
        happen(world.packs.get(entry.pack), { t, what: 'store found', temp_C: entry.temp_C })
        break
      case 'opened': {
        const pack = world.packs.get(entry.pack)
        if (pack === undefined) break
        const opened = pack.opened ?? t
        const out = { grams: take(pack, entry.mass_g), mass_g: entry.mass_g, opened: null }
        happen(out, { t: opened, what: 'opened' }, { t, what: 'out' })
        world.hands.set(entry.into, out)
        pack.opened = pack.mass_g > 0.5 ? opened : null
        break
      }
      case 'thrown-away':
      case 'served': {
        const from = entry.pack === null ? bowl : world.packs.get(entry.pack)
        if (from === undefined) break
        if (entry.type === 'served')
          for (const { eater, mass_g } of entry.portions) {
            for (const { root, share_g, life } of take(from, mass_g))
              world.eaten.push({ who: eater, root, kind: kindOf(life), raw_g: share_g, at: t })
          }
        else take(from, entry.mass_g)
        if (entry.pack !== null) from.opened = from.mass_g > 0.5 ? (from.opened ?? t) : null
        break
      }
      default:
    }
  }
  // What lies in water, or on the fire, at the end lies there still.
  for (const [lot, { at }] of bathOf) happen(world.hands.get(lot), { t: at, what: 'bath', until: Infinity, most: DAY })
  for (const { lot, at, step } of loads.values()) {
    const bowl = world.hands.get(lot)
    const heats = bowl?.grams.some(({ life }) => HEATS[kindOf(life)]?.[step] !== undefined) === true
    if (heats) happen(bowl, { t: at, what: 'cooking', until: Infinity })
  }
  return { ...world, ill: world.ill.filter(({ who, at }) => (explained.get(who) ?? -1) < at) }
}

const CUTTING: readonly Event['what'][] = ['cut', 'wet', 'cooking', 'cooked', 'half cooked']

function kindOf(life: readonly Event[]): string {
  const [picked] = life
  return picked?.what === 'picked' ? picked.kind : ''
}

/** What a record says in days or months of how a kind keeps: facts, looked up. */
function recordOf(kind: string) {
  const use = CATALOGUE.taxa
    .find(({ scientificName }) => scientificName === kind)
    ?.uses.find(({ part, stage }) => PARTS[kind] === `${part} ${stage}`)
  const months = (at: number, count: number) => {
    const day = new Date(at)
    const first = new Date(
      Date.UTC(
        day.getUTCFullYear(),
        day.getUTCMonth() + count,
        1,
        day.getUTCHours(),
        day.getUTCMinutes(),
        day.getUTCSeconds(),
        day.getUTCMilliseconds(),
      ),
    )
    const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate()
    return first.getTime() + (Math.min(day.getUTCDate(), last) - 1) * DAY
  }
  const forAdults = (use?.amounts ?? []).filter(({ who }) => who === 'adult').map(({ perDay_g }) => perDay_g)
  return {
    /** So much salt in all of it, and it keeps by that. */
    saltedAt: Math.min(
      Infinity,
      ...(use?.stores ?? []).flatMap(({ limit }) => (limit.measure === 'salt-share' ? limit.atLeast : [])),
    ),
    mostInADay_g: forAdults.length === 0 ? Infinity : Math.max(...forAdults),
    raw: use?.spoilsRaw_days ?? { ambient: 1, chilled: 3 },
    end: (store: string, cooked: boolean, at: number): number => {
      const rules = (use?.stores ?? []).filter((rule) => rule.store === store)
      const rule = rules.find(({ after }) => after === (cooked ? 'treated' : 'raw')) ?? rules[0]
      if (rule === undefined) return Infinity
      return rule.keeps.unit === 'days' ? at + rule.keeps.high * DAY : months(at, rule.keeps.high)
    },
    coldMost_C: (cooked: boolean): number => {
      const rule = (use?.stores ?? []).find(
        ({ store, after }) => store === 'chilled' && after === (cooked ? 'treated' : 'raw'),
      )
      return rule?.limit.measure === 'store-temperature' ? rule.limit.atMost_C : 5
    },
    coldDays: (cooked: boolean): number => {
      const rule = (use?.stores ?? []).find(
        ({ store, after }) => store === 'chilled' && after === (cooked ? 'treated' : 'raw'),
      )
      const days = rule?.keeps.unit === 'days' ? rule.keeps.high : 3
      // A nut in its shell keeps for weeks; laid open it keeps like any wet food.
      return cooked ? days : Math.min(4, days)
    },
  }
}
const PARTS: Readonly<Record<string, string>> = {
  'Urtica dioica': 'leafy-top young',
  'Allium ursinum': 'leaf young',
  'Quercus robur': 'nut ripe',
  'Sambucus nigra': 'fruit ripe',
  'Beta vulgaris': 'leaf young',
  'Picea abies': 'needle-tip young',
}

/** Lives one gram through from its picking to a moment and says what went wrong on the way; once gone it stays gone. */
function live(events: readonly Event[], until: number): readonly string[] {
  const kind = kindOf(events)
  const record = recordOf(kind)
  const order = events.map((event, at) => ({ event, at })).sort((a, b) => a.event.t - b.event.t || a.at - b.at)
  let t = order[0]?.event.t ?? until
  let state: 'whole' | 'open' | 'leached' | 'cooked' | 'salted' = 'whole'
  let where: 'warm' | 'cold' | 'hot' | 'frozen' | 'apart' = 'warm'
  let apartUntil = -Infinity
  let [warm, raw, end, made] = [0, 0, Infinity, t]
  let frozen = false
  let store: string | null = null
  let gone: string | undefined
  const pass = (to: number) => {
    while (t < to && gone === undefined) {
      const inside = t < apartUntil
      const next = Math.min(to, inside ? apartUntil : to)
      const span = next - t
      const here = inside ? 'apart' : where
      if (here === 'warm' && state !== 'whole' && state !== 'salted') warm += span
      if (state === 'whole' || state === 'open' || state === 'leached') {
        const days = here === 'warm' ? record.raw.ambient : here === 'cold' ? record.raw.chilled : Infinity
        if (state !== 'leached' || here === 'warm' || here === 'cold') raw += span / (days * DAY)
      }
      const most = state === 'leached' ? DAY : 240 * MINUTE
      if (state !== 'whole' && state !== 'salted' && warm > most) gone = 'too long warm'
      else if (raw > 1 + 1e-9) gone = 'past its raw life'
      else if (end < next) gone = 'past its day'
      t = next
    }
    t = Math.max(t, to)
  }
  const soon = (when: number) => {
    end = Math.min(end, when)
  }
  const open = (at: number) => {
    if (state === 'salted') [state, warm, raw] = ['whole', 0, 0]
    if (state !== 'whole') return
    state = 'open'
    made = at
    soon(at + record.coldDays(false) * DAY)
  }
  for (const { event } of order) {
    if (event.t > until) break
    pass(event.t)
    switch (event.what) {
      case 'put':
        where = event.where
        break
      case 'handled':
        where = 'warm'
        break
      case 'half cooked':
        // Hot once and not made safe: it keeps no longer like a soaked nut.
        if (state === 'leached') {
          ;[state, made, warm] = ['open', event.t, 0]
        }
        open(event.t)
        if (state === 'open' && made === event.t)
          soon(event.t + Math.min(record.coldDays(false), record.coldDays(true)) * DAY)
        where = 'warm'
        break
      case 'cut':
      case 'wet':
        if (event.what === 'wet' || state !== 'salted') open(event.t)
        where = 'warm'
        break
      case 'added':
        if (event.wet) {
          open(event.t)
          where = 'warm'
        } else if (event.salt >= record.saltedAt && gone === undefined && state !== 'salted')
          [state, made, end] = ['salted', event.t, record.end('salted', false, event.t)]
        break
      case 'cooking':
        apartUntil = event.until
        where = 'warm'
        break
      case 'cooked':
        if (gone !== undefined) break
        state = 'cooked'
        ;[warm, raw, made, frozen] = [event.t - event.since, 0, event.since, false]
        end = made + record.coldDays(true) * DAY
        break
      case 'bath':
        if (event.until - event.t > event.most && Math.min(event.until, until) - event.t > event.most)
          gone ??= 'too long in one water'
        if (gone === undefined)
          [state, warm, end, made] = ['leached', 0, event.until + record.coldDays(false) * DAY, event.t]
        apartUntil = event.until
        where = 'warm'
        break
      case 'stored': {
        store = event.store
        const first = store === 'frozen' && !frozen
        if (first) [made, end] = [event.t, Infinity]
        if (first || !frozen || store === 'frozen') soon(record.end(store, state === 'cooked', made))
        frozen ||= store === 'frozen'
        where = store === 'frozen' ? 'frozen' : 'cold'
        break
      }
      case 'store found':
        if (store === 'frozen' && event.temp_C > -12 && where === 'frozen') soon(event.t + DAY)
        where =
          store === 'frozen' && event.temp_C <= -12
            ? 'frozen'
            : event.temp_C <= (store === 'frozen' ? 5 : record.coldMost_C(state === 'cooked'))
              ? 'cold'
              : 'warm'
        break
      case 'opened':
        soon(event.t + (store === 'frozen' ? 1 : 2) * DAY)
        break
      case 'out':
        store = null
        where = 'warm'
        break
      default:
    }
  }
  pass(until)
  return gone === undefined ? [] : [gone]
}

/** Frozen raw, thawed since, and not cooked since then. */
function thawedRaw(life: readonly Event[]): boolean {
  const cooked = life.findLastIndex(({ what }) => what === 'cooked')
  const since = life.slice(cooked + 1)
  const before = cooked >= 0
  const frozenAt = since.findIndex((event) => event.what === 'stored' && event.store === 'frozen')
  return !before && frozenAt >= 0 && since.slice(frozenAt).some(({ what }) => what === 'out')
}

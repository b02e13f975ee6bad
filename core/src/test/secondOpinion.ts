import { CATALOGUE } from '../flora/records'
import { CHARACTERS } from '../flora/vocabulary'
import type { Entry, LotEntry } from '../log/entries'
import { toMs } from '../quantity/instant'

/**
 * Whether a serving or a pack may be, decided from the bare entries alone in the most pedestrian way: a second opinion that
 * shares no line with the gates and the fold. Knows the test household only: 1,180 m, and the ways in `plants.ts`.
 */
export function mayActByHand(entries: readonly Entry[], index: number): boolean {
  const act = entries[index]
  if (act?.type !== 'served' && act?.type !== 'packed') return true
  if (act.type === 'served' && act.onTheWay !== undefined) return mayNibbleByHand(entries, index, act.onTheWay.rinsed)
  const fromPack = act.type === 'served' && act.pack !== null ? packedIndex(entries, act.lot, act.pack) : undefined
  const strands = strandsAt(entries, act.lot, fromPack ?? index)
  const since = fromPack === undefined ? [] : ownEntries(entries, act.lot, fromPack, index)
  // The rest tasted once more was done to it is another food than what was packed.
  const changed = since.findIndex(({ type }) => ['step-begun', 'bath-changed', 'ingredient-added', 'cut-up'].includes(type)) // prettier-ignore
  const tastedAlike = of(changed < 0 ? since : since.slice(0, changed), 'tasted')
  const later = [...knowledge(since).filter(({ type }) => type !== 'tasted'), ...tastedAlike]
  const whole = strands.map((strand) => ({ ...strand, before: [...strand.before, ...later] }))
  const known = whole.every(
    (strand) => identified(strand, entries, index, act.lot) && grounded(strand, entries, index) && sorted(strand),
  )
  if (!known || whole.length === 0 || recalled(entries, act.lot, act.type === 'served' ? act.pack : null, index))
    return false
  if (act.type === 'packed') return coldEnough(act.store, act.storeTemp_C)
  const batch = [...(strands[0]?.batch ?? []), ...tastedAlike]
  // Each picking by itself, or any batch that it went into as a whole.
  const safe =
    whole.every(rid) && strands.every(({ kind, stages }) => stages.some((stage) => safeByHand(kind, stage, entries)))
  const accepts = lastTaste(batch) ?? whole.every(({ before }) => lastTaste(before) === true)
  const eatersAsked = act.portions.every(({ eater }) => ['ann', 'eve', 'dot'].includes(eater))
  return (
    safe &&
    accepts &&
    whole.every(({ before, root }) =>
      [...of(before, 'stand-counted'), ...of(ownEntries(entries, root.lot, 0, index), 'stand-counted')].some(
        (stand) => stand.wildlifeLooked,
      ),
    ) &&
    eatersAsked
  )
}

/** What is eaten raw with no more done to it than a hand can do there, and whether it is washed first; the rest of the kinds is not. */
const RAW: Readonly<Record<string, { readonly washed: boolean }>> = {
  'Allium ursinum': { washed: true },
  'Beta vulgaris': { washed: true },
  'Picea abies': { washed: false },
}
const DAY_ms = 86_400_000

/** Eaten on the way: one picking of the last day that nothing was done to but looking and sorting. */
function mayNibbleByHand(entries: readonly Entry[], index: number, rinsed: boolean): boolean {
  const act = entries[index]
  if (act?.type !== 'served' || act.pack !== null) return false
  const own = ownEntries(entries, act.lot, 0, index)
  const [strand, ...more] = strandsAt(entries, act.lot, index)
  const picked = strand !== undefined && more.length === 0 && of(own, 'weighed-in')[0] === strand.root
  if (!picked || of(own, 'step-begun').length > 0 || of(own, 'bath-changed').length > 0) return false
  const raw = RAW[strand.kind]
  const wash = washOf(own) ?? (rinsed ? ({ water: 'safe' } as const) : null)
  return (
    raw !== undefined &&
    (!raw.washed || wash?.water === 'safe') &&
    wash?.water !== 'chemicals' &&
    toMs(act.at) - toMs(strand.root.pickedAt) <= DAY_ms &&
    identified(strand, entries, index, act.lot) &&
    grounded(strand, entries, index) &&
    of(own, 'stand-counted').some((stand) => stand.wildlifeLooked) &&
    !recalled(entries, act.lot, null, index) &&
    act.portions.every(({ eater }) => ['ann', 'eve', 'dot'].includes(eater))
  )
}

interface Strand {
  readonly kind: string
  readonly root: Extract<Entry, { type: 'weighed-in' }>
  /** Entries of the picking, and of each batch that it went into, in order. */
  readonly stages: readonly (readonly LotEntry[])[]
  /** All of them but those of the batch that it is in now, where it is in one. */
  readonly before: readonly LotEntry[]
  readonly batch: readonly LotEntry[] | undefined
}

function strandOf({ kind, root }: Pick<Strand, 'kind' | 'root'>, stages: Strand['stages']): Strand {
  const batch = stages.length > 1 ? stages.at(-1) : undefined
  return { kind, root, stages, batch, before: (batch === undefined ? stages : stages.slice(0, -1)).flat() }
}

function of<T extends Entry['type']>(entries: readonly Entry[], type: T): readonly Extract<Entry, { type: T }>[] {
  return entries.filter((entry): entry is Extract<Entry, { type: T }> => entry.type === type)
}

function ownEntries(entries: readonly Entry[], lot: string, from: number, until: number): readonly LotEntry[] {
  return entries
    .slice(from, until)
    .filter(
      (entry): entry is LotEntry =>
        'lot' in entry && entry.lot === lot && !['split', 'joined', 'opened'].includes(entry.type),
    )
}

function packedIndex(entries: readonly Entry[], lot: string, pack: string): number {
  return entries.findIndex((entry) => entry.type === 'packed' && entry.lot === lot && entry.pack === pack)
}

function knowledge(entries: readonly LotEntry[]): readonly LotEntry[] {
  return entries.filter(({ type }) =>
    ['tell-seen', 'certain-attested', 'stray-reported', 'strays-sorted', 'stand-counted', 'sorted', 'tasted'].includes(
      type,
    ),
  )
}

/** The pickings in a lot as of an entry, each with its own history. */
function strandsAt(entries: readonly Entry[], lot: string, until: number): readonly Strand[] {
  const own = ownEntries(entries, lot, 0, until)
  const born = entries.findIndex((entry) => (entry.type === 'split' || entry.type === 'opened') && entry.into === lot)
  const birth = entries[born]
  if (birth?.type === 'split' && born < until)
    return strandsAt(entries, birth.lot, born).map((strand) => continued(strand, own))
  if (birth?.type === 'opened' && born < until) {
    const stored = packedIndex(entries, birth.lot, birth.pack)
    const learnt = knowledge(ownEntries(entries, birth.lot, stored, born)).filter(({ type }) => type !== 'tasted')
    return strandsAt(entries, birth.lot, stored).map((strand) => continued(continued(strand, learnt), own))
  }
  const joined = entries.findIndex((entry) => entry.type === 'joined' && entry.lot === lot)
  const join = entries[joined]
  if (join?.type === 'joined' && joined < until)
    return join.parts.flatMap((part) =>
      strandsAt(entries, part.lot, joined).map((strand) => strandOf(strand, [...strand.stages, own])),
    )
  const [root] = of(own, 'weighed-in')
  if (root === undefined) return []
  return [strandOf({ kind: root.taxon, root }, [own])]
}

function continued(strand: Strand, own: readonly LotEntry[]): Strand {
  return strandOf(strand, [...strand.stages.slice(0, -1), [...(strand.stages.at(-1) ?? []), ...own]])
}

/** The mass in hand of its lot before an entry, replayed from nothing. */
function massBefore(entries: readonly Entry[], wanted: LotEntry): number {
  return massOf(
    entries.slice(
      0,
      entries.findIndex(({ id }) => id === wanted.id),
    ),
    wanted.lot,
  )
}

/** The mass of a lot after some entries. No lot gives more than it has, whatever was struck out or re-dated since it gave. */
function massOf(entries: readonly Entry[], lot: string): number {
  let mass_g = 0
  for (const [index, entry] of entries.entries()) {
    const given = (from: string, asked_g: number) => Math.min(asked_g, massOf(entries.slice(0, index), from))
    if ('into' in entry && entry.into === lot)
      mass_g +=
        entry.type === 'split'
          ? given(entry.lot, entry.mass_g)
          : packedIndex(entries, entry.lot, entry.pack) < 0
            ? 0
            : entry.mass_g
    if (entry.type === 'joined' && entry.lot === lot)
      mass_g += entry.parts.reduce((sum, part) => sum + given(part.lot, part.mass_g), 0)
    if (entry.type === 'joined')
      for (const part of entry.parts) if (part.lot === lot) mass_g -= Math.min(part.mass_g, mass_g)
    if (!('lot' in entry) || entry.lot !== lot) continue
    if (entry.type === 'weighed-in') mass_g += entry.mass_g
    if (entry.type === 'ingredient-added') mass_g += entry.mass_g
    if (entry.type === 'sorted') mass_g = entry.kept_g
    if (entry.type === 'weighed') mass_g = entry.mass_g
    if (entry.type === 'packed' || entry.type === 'split') mass_g -= Math.min(entry.mass_g, mass_g)
    if (entry.type === 'thrown-away' && entry.pack === null) mass_g -= Math.min(entry.mass_g, mass_g)
    if (entry.type === 'served' && entry.pack === null)
      mass_g -= entry.portions.reduce((sum, portion) => sum + portion.mass_g, 0)
  }
  return mass_g
}

function identified(strand: Strand, entries: readonly Entry[], index: number, lot: string): boolean {
  const all = [...strand.before, ...(strand.batch ?? [])]
  const record = CATALOGUE.taxa.find(({ scientificName }) => scientificName === strand.kind)
  if (record === undefined) return false
  const cut =
    all
      .filter(({ type }) => ['sorted', 'step-begun', 'bath-changed', 'cut-up'].includes(type))
      .map(({ at }) => at)
      .sort()[0] ?? '9999'
  // What was written down after the cutting was is no look before it, whatever time either was given since.
  const cutNoted =
    all
      .filter(({ type }) => ['sorted', 'step-begun', 'bath-changed', 'cut-up'].includes(type))
      .map(({ noted }) => noted)
      .sort()[0] ?? '9999'
  const seen = new Map<string, Set<string>>()
  for (const { character, answer, states, at, noted } of of(strand.before, 'tell-seen'))
    if (answer === 'seen' && at < cut && noted <= cutNoted)
      seen.set(character, new Set([...(seen.get(character) ?? []), ...states]))
  const fits = [...seen].every(([character, states]) =>
    [...states].every((state) => record.characters[character]?.includes(state) ?? true),
  )
  const keys = record.keyCharacters.every((character) => (seen.get(character)?.size ?? 0) > 0)
  const doubles = noDoubleStands(record, seen)
  const worst = record.lookalikes.some(({ severity }) => severity === 'deadly')
    ? 3
    : record.lookalikes.some(({ severity }) => severity === 'toxic')
      ? 2
      : 1
  const at = entries[index]?.at ?? ''
  const days = new Set(
    of(entries.slice(0, index), 'plant-met')
      .filter((met) => met.taxon === strand.kind && met.at <= at)
      .map((met) => met.at.slice(0, 10)),
  )
  const word = of(all, 'certain-attested').at(-1)
  const taken = of(all, 'stand-counted').at(-1)?.taken ?? Infinity
  // In a mixed stand ten stems are looked at, or all that were cut.
  const attested = word !== undefined && (word.stand?.mixed !== true || word.stand.stemsSeen >= Math.min(10, taken))
  return fits && keys && doubles && attested && days.size >= worst && untainted(strand, entries, index, lot)
}

/** The same question is asked at every serving of a log; its answer hangs on the record and the sights alone. */
const ASKED = new Map<string, boolean>()

function noDoubleStands(
  record: (typeof CATALOGUE.taxa)[number],
  seen: ReadonlyMap<string, ReadonlySet<string>>,
): boolean {
  const key = JSON.stringify([record.scientificName, [...seen].map(([character, states]) => [character, ...states])])
  const asked = ASKED.get(key)
  if (asked !== undefined) return asked
  const result = CATALOGUE.taxa.every((other) => {
    const listed = record.lookalikes.find(({ scientificName }) => scientificName === other.scientificName)?.severity
    const severity = other.role === 'danger' ? other.severity : (listed ?? other.severity)
    const needed = severity === 'deadly' || severity === 'toxic' ? 2 : severity === 'irritant' ? 1 : 0
    const against = new Set<string>()
    for (const [character, states] of seen)
      if (
        character !== 'habitatSeen' &&
        ![...states].some((state) => (other.characters[character] ?? unknownOf(other, character)).includes(state))
      )
        against.add(CHARACTERS[character]?.group ?? character)
    const doubled =
      listed !== undefined || other.lookalikes.some(({ scientificName }) => scientificName === record.scientificName)
    if (other === record || against.size >= needed) return true
    // Of a plant that nobody takes for it: how it grows is one look, and one mark that is not to be mistaken is enough.
    const grown = KINDS_OF_GROWTH.findIndex((kind) => kind.includes(record.lifeForm)) !== KINDS_OF_GROWTH.findIndex((kind) => kind.includes(other.lifeForm)) // prettier-ignore
    const plain = [...seen].some(
      ([character, states]) =>
        [...states].every((state) => PLAIN_MARKS.includes(state)) &&
        ![...states].some((state) => (other.characters[character] ?? unknownOf(other, character)).includes(state)),
    )
    return !doubled && (plain || against.size + Number(grown) >= needed)
  })
  ASKED.set(key, result)
  return result
}

const KINDS_OF_GROWTH = [
  ['tree', 'shrub'],
  ['annual', 'biennial', 'perennial-herb', 'bulb-geophyte'],
  ['vine'],
  ['aquatic'],
  ['lichen'],
]
/** Of the six kinds of the test household: sting, needle and its seat, acorn, leaves in leaflets, parallel veins. */
const PLAIN_MARKS = ['stinging-hairs', 'stinging', 'needle', 'peg', 'hanging', 'nut-in-cup', 'pinnate', 'parallel', 'simple'] // prettier-ignore

/** What a record that is silent may still show: anything, but of an organ that such a plant has not. */
function unknownOf({ lifeForm, characters }: (typeof CATALOGUE.taxa)[number], character: string): readonly string[] {
  const leafy = /^leaf(Arrangement|Margin|Base|Veins|Surface|Joint)$|^stemCore$/.test(character)
  const flowery = /^(flower|fruit|petals|inflorescence)/.test(character)
  const spores = lifeForm === 'lichen' || characters['frondStalk'] !== undefined
  const has =
    !(lifeForm === 'lichen' && leafy) &&
    !(spores && flowery) &&
    !(/^(needle|cone)/.test(character) && characters['leafType']?.includes('needle') !== true) &&
    !(character === 'bark' && !['tree', 'shrub', 'vine'].includes(lifeForm))
  return has ? (CHARACTERS[character]?.states ?? []) : []
}

/** No wrong taste, and no stray unsorted, in any lot that holds something of this picking. */
function untainted(
  { root, before, batch = [] }: Strand,
  entries: readonly Entry[],
  index: number,
  lot: string,
): boolean {
  const lots = new Set(
    entries
      .slice(0, index)
      .flatMap((entry) => ('into' in entry ? [entry.lot, entry.into] : 'lot' in entry ? [entry.lot] : [])),
  )
  const kin = [...lots].filter(
    (each) => each === lot || strandsAt(entries, each, index).some((strand) => strand.root === root),
  )
  const told = kin.flatMap((each) => ownEntries(entries, each, 0, index))
  const sortings = [
    ...of([...before, ...batch], 'strays-sorted'),
    ...of(ownEntries(entries, lot, 0, index), 'strays-sorted'),
  ]
  return (
    of(told, 'tasted').every(({ alarm }) => alarm === null) &&
    of(told, 'stray-reported').every(({ at, brokenUp }) => !brokenUp && sortings.some((again) => again.at >= at))
  )
}

function grounded({ root }: Strand, entries: readonly Entry[], index: number): boolean {
  const notes = of(entries.slice(0, index), 'ground-noted').filter(({ patch }) => patch === root.patch)
  const latest = (fact: string) =>
    notes.flatMap(({ facts }) => (fact in facts ? [facts[fact as keyof typeof facts]] : [])).at(-1)
  return (
    ['permission', 'sprayed', 'dogs', 'looksHealthy'].every((fact) => latest(fact) !== undefined) &&
    (latest('sprayed') as { last: string | null }).last === null &&
    latest('looksHealthy') === true
  )
}

function sorted({ before }: Strand): boolean {
  return of(before, 'sorted').length > 0 && washOf(before)?.water !== 'chemicals'
}

/** How it was washed, at the sorting or after; null as long as it was not. */
function washOf(entries: readonly LotEntry[]): { readonly water: string } | null {
  return of(entries, 'sorted')[0]?.wash ?? of(entries, 'washed').at(-1)?.wash ?? null
}

/** Plants in whose way nothing but water takes the grit off. */
const GRITTY = ['Urtica dioica', 'Allium ursinum', 'Sambucus nigra', 'Beta vulgaris']

function rid({ kind, before }: Strand): boolean {
  return !GRITTY.includes(kind) || washOf(before) !== null
}

/** A recall of the patch of anything in it, or of a lot or pack that it came out of. */
function recalled(entries: readonly Entry[], lot: string, pack: string | null, index: number): boolean {
  const before = entries.slice(0, index)
  if (
    strandsAt(entries, lot, index).some(({ root }) =>
      of(before, 'patch-turned').some(({ patch }) => patch === root.patch),
    )
  )
    return true
  const turned = of(before, 'food-turned')
  const bad = (id: string, from: string | null): boolean => {
    if (turned.some((each) => each.of === id && (each.pack === null || each.pack === from))) return true
    return before.some((entry) =>
      entry.type === 'split' && entry.into === id
        ? bad(entry.lot, null)
        : entry.type === 'opened' && entry.into === id
          ? bad(entry.lot, entry.pack)
          : entry.type === 'joined' && entry.lot === id && entry.parts.some((part) => bad(part.lot, null)),
    )
  }
  return bad(lot, pack)
}

function coldEnough(store: string, storeTemp_C: number | null): boolean {
  if (store === 'frozen') return storeTemp_C !== null && storeTemp_C <= -18
  return store === 'chilled' ? storeTemp_C !== null && storeTemp_C <= 5 : true
}

function lastTaste(entries: readonly LotEntry[]): boolean | undefined {
  return of(entries, 'tasted')
    .filter(({ crumb }) => !crumb)
    .at(-1)?.accepts
}

/** Least minutes at a rolling boil at 1,180 m, by kind and step; and whether the water must go. */
const BOILS: Readonly<Record<string, readonly { step: number; minutes: number; thrown: boolean }[]>> = {
  'Urtica dioica': [{ step: 2, minutes: 2, thrown: false }],
  'Allium ursinum': [{ step: 2, minutes: 1, thrown: false }],
  'Sambucus nigra': [
    { step: 2, minutes: 30, thrown: false },
    { step: 3, minutes: 0, thrown: false },
  ],
  'Beta vulgaris': [{ step: 2, minutes: 3, thrown: true }],
  'Quercus robur': [
    { step: 2, minutes: 0, thrown: false },
    { step: 6, minutes: 15, thrown: false },
  ],
  'Picea abies': [],
}

function safeByHand(kind: string, entries: readonly LotEntry[], all: readonly Entry[]): boolean {
  const leached = kind !== 'Quercus robur' ? '' : leachedAt(entries)
  if (leached === undefined) return false
  return (BOILS[kind] ?? []).every(({ step, minutes, thrown }) => {
    const good = of(entries, 'step-begun').filter((begun) => {
      const out = of(all, 'step-done').find((done) => done.begun === begun.id)
      return (
        begun.step === step &&
        out !== undefined &&
        out.outcome === 'done' &&
        out.checked &&
        out.minutes >= minutes &&
        (minutes === 0 || out.temp_C === null || out.temp_C >= 94.5) &&
        (!thrown || out.water === 'thrown') &&
        (step < 5 || begun.at >= leached)
      )
    })
    const first = good[0]
    if (first === undefined) return false
    return good.reduce((sum, { mass_g }) => sum + mass_g, 0) >= massBefore(all, first) - 1
  })
}

/** When a crumb showed that five hot baths of a quarter of an hour were enough; undefined while it has not. */
function leachedAt(entries: readonly LotEntry[]): string | undefined {
  const pours = of(entries, 'bath-changed')
  const lasted = pours.flatMap((pour, index) => {
    const next = pours[index + 1]
    return pour.fresh === null || next === undefined ? [] : [(toMs(next.at) - toMs(pour.at)) / 60_000]
  })
  const last = pours.at(-1)
  if (last === undefined || last.fresh !== null || lasted.filter((minutes) => minutes >= 14).length < 5)
    return undefined
  const crumbs = of(entries, 'tasted').filter(({ crumb, alarm, at }) => crumb && alarm === null && at >= last.at)
  return crumbs.length > 0 && crumbs.every(({ bitter, astringent }) => Math.max(bitter, astringent) <= 1)
    ? crumbs.at(-1)?.at
    : undefined
}

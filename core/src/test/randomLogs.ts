import { chance } from '../quantity/chance'
import { judge } from '../gates/judge'
import { addEntries, foldLog, inOrder, type BookLog } from '../log/fold'
import { isAmendment } from '../log/amendments'
import type { Saying } from '../log/stamp'
import { isBegun, strandsOf, type LotState } from '../lot/lotState'
import { massBalance } from '../lot/story'
import { audit } from './auditor'
import { mayActByHand } from './secondOpinion'
import { CLEAN, household, Pen } from './pen'
import { fairStand, KIND_NAMES, KINDS, meetAll, TELLS, type Kind } from './plants'

/** How far a random log came. */
export interface RandomLog {
  readonly pen: Pen
  readonly served: number
  readonly nibbled: number
  readonly packed: number
  readonly recalled: number
  readonly joined: number
  readonly split: number
  readonly opened: number
  readonly redated: number
  readonly refused: number
  /** A serving or pack that the second opinion or the auditor would not have let through; undefined when there is none. */
  readonly fault: string | undefined
  /** What the auditor had against servings and packs that were tried, by class. */
  readonly audited: readonly string[]
  /** Servings and packs that were refused though neither had anything against them, and how many both passed. */
  readonly needless: readonly string[]
  readonly rightful: number
}

/** Refusals of amounts and half done loads, of which neither opinion knows; they have tests of their own. */
const OF_ANOTHER_KIND = /left of it|up to .* now|no more today|loads are done and some are not/
/** Of this many acts one goes wrong: skipped, done wrongly, struck out, dated back, or something comes between. */
const SLIP_ONE_IN = 22
let begun: Pen | undefined
/** What every log begins with, written once, and not before it is wanted: a fault in it must fail a test and not the loading of a suite. */
function beginning(): Pen {
  if (begun === undefined) {
    begun = meetAll(household(new Pen()))
    begun.write({ type: 'ground-noted', patch: 'third', name: 'Third', facts: CLEAN })
    begun.write({
      type: 'eater-noted',
      eater: { id: 'eve', name: 'Eve', kind: 'adult', sensitivities: ['nut-allergy'] },
    })
    begun.write({ type: 'eater-noted', eater: { id: 'dot', name: 'Dot', kind: 'adult', sensitivities: [] } })
    // Dot has had each of these plants before: only the day's measure holds her.
    for (const kind of KIND_NAMES) {
      const { taxon, part, stage } = KINDS[kind]
      const [lot, at] = [`${LONG_AGO}-${kind}`, '2026-06-01T08:00:00.000Z']
      begun.force(
        { type: 'weighed-in', lot, code: lot, taxon, part, stage, patch: 'wall', mass_g: 1, pickedAt: at },
        at,
      )
      begun.force(serving(lot, 'dot', 1), at)
    }
  }
  return begun.copy()
}

/** Lots that were eaten up before a log begins. */
const LONG_AGO = 'ago'

const PATCHES = ['wall', 'other', 'third']

/**
 * A cook's day at random from one seed: one to three lots of different kinds taken towards the plate side by side, most acts
 * right and some wrong, with splits, joins, packs opened again, strays, recalls, strike-outs and entries dated back.
 */
export function playRandomLog(seed: number, careful = false): RandomLog {
  const random = chance(seed)
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)] as T
  const pen = beginning()
  const tally = {
    served: 0,
    nibbled: 0,
    packed: 0,
    recalled: 0,
    joined: 0,
    split: 0,
    opened: 0,
    redated: 0,
    refused: 0,
  }
  let fault: string | undefined
  const audited = new Set<string>()
  const needless: string[] = []
  let rightful = 0
  let serial = 0
  const attempt = (saying: Saying, at?: string) => {
    const tried = pen.try(saying, at)
    if (!tried.proposal.ok) tally.refused += 1
    if (saying.type === 'served' || saying.type === 'packed') {
      if (tried.proposal.ok)
        tally[saying.type === 'served' && saying.onTheWay !== undefined ? 'nibbled' : saying.type] += 1
      const there = tried.proposal.ok ? pen.log : addEntries(pen.log, [tried.entry])
      const standing = there.order.filter(({ id }) => !there.amendments.struck.has(id))
      const index = standing.findIndex(({ id }) => id === tried.entry.id)
      const found = audit(standing, index)
      for (const each of found) audited.add(each)
      const lets = found.length === 0 && mayActByHand(standing, index)
      if (careful || lets) rightful += 1
      if (tried.proposal.ok && !lets)
        fault ??= `${saying.type} of ${saying.lot} (${found.join(', ') || 'a shut gate'}), seed ${seed}`
      if (!tried.proposal.ok && (careful || lets) && !OF_ANOTHER_KIND.test(tried.proposal.message))
        needless.push(`${saying.type} ${tried.proposal.message}, seed ${seed}`)
    }
    pen.wait(1)
    return tried
  }
  const count = 1 + Math.floor(random() * 3)
  const kinds = [...KIND_NAMES].sort(() => random() - 0.5).slice(0, count)
  if (random() < 0.35) kinds.splice(1, kinds.length, kinds[0] as Kind)
  const scripts = kinds.map((kind, index) => script(kind, `L${index}`, PATCHES[index] ?? 'wall', random, careful))
  while (scripts.some((each) => each.length > 0)) {
    const acts = pick(scripts.filter((each) => each.length > 0))
    const act = acts.shift()
    if (act === undefined) continue
    if (!careful && random() * SLIP_ONE_IN < 1) slip()
    else act(attempt, pen)
    if (!careful && random() < 0.09) between()
    if (!careful && random() < 0.07) meanwhile()
    // A careful cook puts by what waits, and goes on with it in good time.
    if (careful && random() < 0.1) pen.wait(5 + Math.floor(random() * 40))
  }
  finish()
  return { pen, ...tally, fault, audited: [...audited], needless, rightful }

  /** Something goes wrong or comes between. */
  function slip(): void {
    const lots = [...pen.log.state.lots.keys()].filter((id) => !id.startsWith(LONG_AGO))
    const lot = lots.length === 0 ? 'L0' : pick(lots)
    const all = pen.log.order.filter((entry) => !isAmendment(entry))
    pick([
      () => undefined,
      () => void attempt({ type: 'struck', entry: pick(all).id, why: 'a slip' }),
      () => void attempt({ type: 'struck', entry: pick(inOrder(pen.log)).id, why: 'a slip' }),
      () => {
        const { proposal } = attempt({ type: 'redated', entry: pick(all).id, to: pick(all).at, why: 'a wrong clock' })
        if (proposal.ok) tally.redated += 1
      },
      () => void attempt({ type: 'stray-reported', lot, what: 'something smooth', brokenUp: random() < 0.3 }),
      () => void attempt({ type: 'strays-sorted', lot, found: 1 }),
      () => void attempt(taste(lot, { alarm: random() < 0.5 ? 'soap' : null, accepts: false })),
      () => void attempt(taste(lot, { crumb: true, astringent: Math.floor(random() * 4) })),
      () => void attempt({ type: 'thrown-away', lot, pack: null, mass_g: 20, why: 'dropped' }),
      () => void attempt({ type: 'ground-noted', patch: pick(PATCHES), facts: { looksHealthy: random() < 0.5 } }),
      () => void attempt({ type: 'tell-seen', lot, character: 'leafMargin', answer: 'seen', states: ['spiny'] }),
      () => void attempt({ type: 'certain-attested', lot }, pick(all).at),
      () => void pen.wait(Math.floor(random() * 400)),
      () => void attempt(serving(lot, pick(['bo', 'cy', 'ann']), 3)),
      () => void attempt(nibble(lot, pick(['bo', 'cy', 'ann', 'ann']), random() < 0.5)),
      () => {
        tally.recalled += 1
        attempt(
          random() < 0.5
            ? { type: 'patch-turned', patch: pick(PATCHES), why: 'sprayed', since: null }
            : { type: 'food-turned', of: lot, pack: null, why: 'mouldy' },
        )
      },
    ])()
  }

  /** Time passes, food is put somewhere, opened up, wetted; a store is measured; somebody feels ill. */
  function meanwhile(): void {
    const lots = [...pen.log.state.lots.values()].filter(({ mass_g }) => mass_g > 20)
    const lot = lots.length === 0 ? 'L0' : pick(lots).id
    const packs = [...pen.log.state.lots.values()].flatMap((each) =>
      each.packs.map(({ id }) => ({ lot: each.id, pack: id })),
    )
    const place = (where: 'cold' | 'kitchen') =>
      attempt({ type: 'placed', lot, place: where, temp_C: where === 'cold' ? 4 : null })
    pick([
      () => void place('cold'),
      () => void place('cold'),
      () => {
        place('cold')
        pen.wait(60 * 24 * (1 + Math.floor(random() * 6)))
      },
      () => void place('kitchen'),
      () => void pen.wait(60 * Math.floor(1 + random() * 9)),
      () => void pen.wait(60 * 24 * (0.5 + random() * 3)),
      () => void attempt({ type: 'cut-up', lot, how: random() < 0.5 ? 'cut' : 'pounded' }),
      () =>
        void attempt({
          type: 'ingredient-added',
          lot,
          what: random() < 0.5 ? 'water' : 'salt',
          name: 'put to it',
          mass_g: 20,
        }),
      () => {
        attempt({ type: 'ingredient-added', lot, what: 'other', name: 'bought walnuts', mass_g: 20 })
        attempt(serving(lot, 'eve', 2))
      },
      () => {
        if (packs.length > 0) attempt({ type: 'store-read', ...pick(packs), temp_C: pick([-19, -10, 3, 9]) })
      },
      () => {
        if (random() < 0.2) attempt({ type: 'felt-ill', eater: 'ann', symptoms: 'cramps' })
        if (random() < 0.5) attempt({ type: 'ill-explained', eater: 'ann', why: 'a cold, says the doctor' })
      },
      () => void attempt(serving(lot, 'eve', 2)),
    ])()
  }

  /** Splitting, joining, opening. */
  function between(): void {
    const lots = [...pen.log.state.lots.values()].filter(({ mass_g }) => mass_g > 50)
    if (lots.length === 0) return
    // Lots not known and sorted yet are refused: mostly a cook joins what is.
    const ready = lots.filter((lot) =>
      (['identity', 'sort'] as const).every((gate) => judge(gate, lot, pen.context).state === 'open'),
    )
    const among = ready.length > 1 && random() < 0.8 ? ready : lots
    const twins = among.filter((lot) => among.some((other) => other !== lot && kindOf(other) === kindOf(lot)))
    const a = pick(twins.length > 0 ? twins : among)
    const same = twins.filter((lot) => lot !== a && kindOf(lot) === kindOf(a))
    const b = pick(same.length > 0 && random() < 0.9 ? same : among)
    serial += 1
    const into = `N${serial}`
    const what = random()
    if (what < 0.35) {
      const { proposal } = attempt({
        type: 'split',
        lot: a.id,
        into,
        code: into,
        mass_g: Math.round(a.mass_g / 3),
        why: 'x',
      })
      if (proposal.ok) tally.split += 1
    } else if (what < 0.85 && a !== b) {
      const parts = [a, b].map(({ id, mass_g }) => ({
        lot: id,
        mass_g: Math.round(mass_g * (random() < 0.5 ? 1 : 0.5)),
      }))
      const { proposal } = attempt({ type: 'joined', lot: into, code: into, parts })
      if (!proposal.ok) return
      tally.joined += 1
      const kind = kindOf(a)
      // What was joined goes on by the way of its kind, as one lot.
      if (kind !== undefined && kind === kindOf(b)) scripts.push(fromSorted(kind, into, random))
    } else openOne(into)
  }

  function openOne(into: string): void {
    const packs = [...pen.log.state.lots.values()].flatMap((lot) =>
      lot.packs.filter(({ mass_g }) => mass_g > 5).map(({ id, mass_g }) => ({ lot: lot.id, id, mass_g })),
    )
    if (packs.length === 0) return
    const pack = pick(packs)
    const { proposal } = attempt({
      type: 'opened',
      lot: pack.lot,
      pack: pack.id,
      into,
      code: into,
      mass_g: pack.mass_g / 2,
    })
    if (proposal.ok) tally.opened += 1
  }

  /** At the end everything in hand and in the larder is tried on the table. */
  function finish(): void {
    if (careful) return
    for (const lot of [...pen.log.state.lots.values()]) {
      if (lot.mass_g > 5) attempt(nibble(lot.id, 'ann', true))
      if (lot.mass_g > 5) attempt(serving(lot.id, 'ann', 2))
      for (const { id, mass_g } of lot.packs) if (mass_g > 3) attempt({ ...serving(lot.id, 'ann', 2), pack: id })
      // A great eater has platefuls of everything, from the pot and from the larder, until the day's measure is full.
      for (const pack of [null, ...lot.packs.map(({ id }) => id)]) {
        const left_g = pen.log.state.lots.get(lot.id)?.packs.find(({ id }) => id === pack)?.mass_g ?? lot.mass_g
        const most_g = Math.min(left_g, 20 + random() * 250)
        if (most_g > 5 && random() < 0.5) attempt({ ...serving(lot.id, 'dot', most_g), pack })
      }
      if (lot.mass_g > 5) attempt(packing(lot.id, `${lot.id}-end`, 'frozen', lot.mass_g / 2, -19))
    }
  }
}

/** The kind of a lot, or of the first picking in it. */
function kindOf(lot: LotState): Kind | undefined {
  const taxon = strandsOf(lot)[0]?.lot.weighedIn?.taxon
  return KIND_NAMES.find((kind) => KINDS[kind].taxon === taxon)
}

type Act = (attempt: (saying: Saying, at?: string) => ReturnType<Pen['try']>, pen: Pen) => void

const say =
  (saying: Saying): Act =>
  (attempt) =>
    void attempt(saying)

function taste(lot: string, over: Partial<Saying<'tasted'>>): Saying<'tasted'> {
  return {
    type: 'tasted',
    lot,
    taster: 'ann',
    bitter: 0,
    astringent: 0,
    crumb: false,
    accepts: true,
    alarm: null,
    ...over,
  }
}

function serving(lot: string, eater: string, mass_g: number): Saying<'served'> {
  return { type: 'served', lot, pack: null, dish: 'dish', portions: [{ eater, mass_g }] }
}

/** Eaten where it grew. */
function nibble(lot: string, eater: string, rinsed: boolean): Saying<'served'> {
  return { ...serving(lot, eater, 1), onTheWay: { rinsed } }
}

function packing(
  lot: string,
  pack: string,
  store: Saying<'packed'>['store'],
  mass_g: number,
  storeTemp_C: number,
): Saying<'packed'> {
  return { type: 'packed', lot, pack, store, mass_g, containers: 1, storeTemp_C }
}

/** The right way of one lot, act by act. */
function script(kind: Kind, lot: string, patch: string, random: () => number, careful = false): Act[] {
  const { taxon, part, stage } = KINDS[kind]
  return [
    (attempt, pen) =>
      void attempt({
        type: 'weighed-in',
        lot,
        code: lot,
        taxon,
        part,
        stage,
        patch,
        mass_g: 1000,
        pickedAt: pen.now,
        // Now and then it was counted in the field, and is weighed when it is sorted.
        ...(random() < 0.08 ? { counted: 300, mass_g: 700 + Math.floor(600 * random()) } : {}),
      }),
    ...TELLS[kind].map(([character, state]) =>
      say({ type: 'tell-seen', lot, character, answer: 'seen', states: [state] }),
    ),
    say({
      type: 'certain-attested',
      lot,
      ...(random() < 0.15 ? { stand: { mixed: random() < 0.7, stemsSeen: !careful && random() < 0.2 ? 4 : 12 } } : {}),
    }),
    say(fairStand(lot)),
    ...(!careful && random() < 0.5 ? [say(nibble(lot, 'ann', random() < 0.7))] : []),
    say({
      type: 'sorted',
      lot,
      stageSeen: stage,
      kept_g: 900,
      trimmed_g: 100,
      trimmedTo: 'compost',
      wash: !careful && random() < 0.12 ? null : { water: careful ? 'safe' : waterOf(random), changes: 3 },
    }),
    ...(!careful && random() < 0.3 ? [say({ type: 'washed', lot, wash: { water: waterOf(random), changes: 1 } })] : []),
    ...fromSorted(kind, lot, random, careful),
  ]
}

/** Mostly fit to drink. */
function waterOf(random: () => number): 'safe' | 'germs' | 'chemicals' {
  const drawn = random()
  return drawn < 0.9 ? 'safe' : drawn < 0.97 ? 'germs' : 'chemicals'
}

/** The right way from the sorted lot on. */
function fromSorted(kind: Kind, lot: string, random: () => number, careful = false): Act[] {
  const { way, goal } = KINDS[kind]
  const load =
    (step: number, minutes: number): Act =>
    (attempt, pen) => {
      const state = pen.log.state.lots.get(lot)
      const mass_g = (state?.mass_g ?? 0) / (!careful && random() < 0.15 ? 2 : 1)
      if (mass_g <= 0) return
      const begun = attempt({ type: 'step-begun', lot, protocol: way, step, load: 1, mass_g })
      if (!begun.proposal.ok) return
      const short = !careful && random() < 0.05
      pen.wait(short ? minutes / 2 : minutes + 1)
      attempt({
        type: 'step-done',
        lot,
        begun: begun.entry.id,
        outcome: !careful && random() < 0.03 ? 'off-boil' : 'done',
        minutes: short ? minutes / 2 : minutes,
        temp_C: random() < 0.1 ? (!careful && random() < 0.3 ? 90 : 96) : null,
        backToBoil_s: null,
        driedTo_g: null,
        checked: careful || random() > 0.03,
        water: careful || random() < 0.9 ? 'thrown' : 'kept',
      })
    }
  const bath =
    (fresh: boolean): Act =>
    (attempt, pen) => {
      attempt({
        type: 'bath-changed',
        lot,
        protocol: way,
        step: 5,
        fresh: fresh ? { water_mL: 4000, temp_C: 96 } : null,
      })
      pen.wait(!careful && random() < 0.04 ? 5 : 15)
    }
  const treatment: Act[] =
    kind === 'spruce'
      ? []
      : kind === 'elder'
        ? [load(2, 31), load(3, 1)]
        : kind === 'acorns'
          ? [
              load(2, 1),
              ...[true, true, true, true, true, false].map(bath),
              say(taste(lot, { crumb: true, astringent: 1 })),
              load(6, 16),
            ]
          : [load(2, 4)]
  return [
    ...(careful && kind === 'elder'
      ? []
      : [say(packing(lot, `${lot}-raw`, 'chilled', 100, careful || random() < 0.9 ? 3 : 12))]),
    say({ type: 'way-chosen', lot, protocol: way, goal }),
    ...treatment,
    say(taste(lot, {})),
    say(packing(lot, `${lot}-a`, 'frozen', 200, -19)),
    say(serving(lot, 'ann', 2)),
  ]
}

/** What became of many random logs, as one line; and everything that was wrong with any of them. */
export interface RandomLogs {
  readonly shares: string
  /** Share that reached a legal serving or pack. */
  readonly reached: number
  readonly faults: readonly string[]
  /** What was refused though nothing spoke against it, and its share of all that nothing spoke against. */
  readonly needless: readonly string[]
  readonly needlessShare: number
}

/**
 * Plays random logs of successive seeds. Each is held against the second opinion at every serving and pack; its state must be
 * that of a fold from scratch, of the same entries come together from two devices, and mass must be conserved.
 */
export function playMany(firstSeed: number, count: number): RandomLogs {
  const reached = {
    serving: 0,
    nibble: 0,
    pack: 0,
    either: 0,
    recall: 0,
    join: 0,
    split: 0,
    opening: 0,
    're-dating': 0,
  }
  const faults: string[] = []
  const classes = new Map<string, number>()
  const needless: string[] = []
  let rightful = 0
  for (let seed = firstSeed; seed < firstSeed + count; seed += 1) {
    const played = playRandomLog(seed)
    if (played.fault !== undefined) faults.push(played.fault)
    for (const each of played.audited) classes.set(each, (classes.get(each) ?? 0) + 1)
    needless.push(...played.needless)
    rightful += played.rightful
    faults.push(...stateFaults(played.pen, seed))
    reached.serving += Number(played.served > 0)
    reached.nibble += Number(played.nibbled > 0)
    reached.pack += Number(played.packed > 0)
    reached.either += Number(played.served + played.packed > 0)
    reached.recall += Number(played.recalled > 0)
    reached.join += Number(played.joined > 0)
    reached.split += Number(played.split > 0)
    reached.opening += Number(played.opened > 0)
    reached['re-dating'] += Number(played.redated > 0)
  }
  const shares = [...Object.entries(reached), ...classes]
    .map(([what, times]) => `${what} ${((100 * times) / count).toFixed(1)} %`)
    .join(', ')
  if (reached.either < 0.3 * count) faults.push(`only ${reached.either} of ${count} reached a serving or a pack`)
  return {
    shares,
    reached: reached.either / count,
    faults,
    needless,
    needlessShare: needless.length / Math.max(1, rightful),
  }
}

function stateFaults({ log }: Pen, seed: number): readonly string[] {
  const all = inOrder(log)
  const whole = snapshot(foldLog(all))
  const random = chance(seed + 1_000_000)
  const [here, there] = [all.filter(() => random() < 0.5), all]
  const faults = []
  if (snapshot(log) !== whole) faults.push(`folded on differs from folded anew, seed ${seed}`)
  if (snapshot(addEntries(foldLog(here), there.toReversed())) !== whole) faults.push(`two devices differ, seed ${seed}`)
  for (const lot of log.state.lots.values()) {
    const { picked_g, takenUp_g, left, inHand_g } = massBalance(lot)
    const out_g = left.reduce((sum, { mass_g }) => sum + mass_g, inHand_g)
    if (isBegun(lot) && Math.abs(out_g - picked_g - takenUp_g) > 1e-6)
      faults.push(`lot ${lot.id}: ${out_g} of ${picked_g} g, seed ${seed}`)
  }
  return faults
}

/** A log as text: what is folded and the order of it, the same whatever the order in which it came about. */
function snapshot({ order, state: { house, lots, families } }: BookLog): string {
  const byKey = <T>(map: ReadonlyMap<string, T>) => [...map].sort(([a], [b]) => (a < b ? -1 : 1))
  const patches = Object.entries(house.patches).sort(([a], [b]) => (a < b ? -1 : 1))
  return JSON.stringify([{ ...house, patches }, byKey(lots), byKey(families), order.map(({ id, at }) => id + at)])
}

/** Careful logs of successive seeds: every serving and pack of them should be let through. */
export function playCareful(
  firstSeed: number,
  count: number,
): { readonly acts: number; readonly refused: readonly string[] } {
  const played = Array.from({ length: count }, (_, index) => playRandomLog(firstSeed + index, true))
  return {
    acts: played.reduce((sum, { rightful }) => sum + rightful, 0),
    refused: played.flatMap(({ needless }) => needless),
  }
}

import type { Catalogue } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { GroundNote } from '../ground/facts'
import type { JudgeContext } from '../gates/verdict'
import type { Entry } from '../log/entries'
import { addEntries, EMPTY_LOG, type BookLog } from '../log/fold'
import { propose, type Proposal } from '../log/propose'
import { stampEntry, type Saying } from '../log/stamp'
import type { LotState } from '../lot/lotState'
import { fromMs, MINUTE_ms, toMs, type Instant } from '../quantity/instant'

/** Where the tests' time begins. */
export const START: Instant = '2027-05-16T08:00:00.000Z'
const WRITER = { book: 'test', by: 'cook', device: 'test' }

/** A log under construction with its own clock: proposes what a test says, and appends it when the core takes it. */
export class Pen {
  log: BookLog = EMPTY_LOG
  now: Instant = START
  /** Who writes. */
  by = 'cook'
  readonly catalogue: Catalogue
  #count = 0

  constructor(catalogue: Catalogue = CATALOGUE) {
    this.catalogue = catalogue
  }

  /** Another one that goes on from here by itself. */
  copy(): Pen {
    const copy = new Pen(this.catalogue)
    copy.log = this.log
    copy.now = this.now
    copy.#count = this.#count
    return copy
  }
  /** Lets time pass. */
  wait(minutes: number): this {
    this.now = fromMs(toMs(this.now) + minutes * MINUTE_ms)
    return this
  }

  stamp(saying: Saying, at: Instant = this.now): Entry {
    this.#count += 1
    return stampEntry(
      saying,
      { ...WRITER, by: this.by },
      { id: `e${String(this.#count).padStart(6, '0')}`, at, noted: this.now },
    )
  }

  /** Proposes; appends when taken. */
  try(saying: Saying, at?: Instant): { proposal: Proposal; entry: Entry } {
    const entry = this.stamp(saying, at)
    const proposal = propose(entry, this.log, this.catalogue, this.now)
    if (proposal.ok) this.log = addEntries(this.log, [entry])
    return { proposal, entry }
  }

  /** Proposes and expects it to be taken; a minute passes. */
  write(saying: Saying, at?: Instant): Entry {
    const { proposal, entry } = this.try(saying, at)
    if (!proposal.ok) throw new RangeError(`${saying.type}: ${proposal.field}: ${proposal.message}`)
    this.wait(1)
    return entry
  }

  /** Appends without asking: what another device or a file may bring. */
  force(saying: Saying, at?: Instant): Entry {
    const entry = this.stamp(saying, at)
    this.log = addEntries(this.log, [entry])
    return entry
  }

  get context(): JudgeContext {
    return { book: this.log.state, catalogue: this.catalogue, now: this.now, writer: this.by }
  }

  lot(id = 'A'): LotState {
    const lot = this.log.state.lots.get(id)
    if (lot === undefined) throw new RangeError(`Pen: expected a lot ${id}`)
    return lot
  }
}

export const CLEAN: GroundNote = {
  permission: { from: 'us', until: null },
  law: { picking: 'allowed', digging: 'allowed' },
  sprayed: { last: null },
  busyRoad: { distance_m: null },
  pastUse: 'clean',
  manured: 'no',
  dogs: 'none',
  looksHealthy: true,
  water: 'flowing',
  upstream: [],
}

export const BLANCH = { protocol: 'blanch and drain', step: 2 } as const
export const FITTING_TELLS: readonly (readonly [string, string])[] = [
  ['leafArrangement', 'opposite'],
  ['leafMargin', 'serrate'],
  ['leafSurface', 'stinging-hairs'],
  ['stemSection', 'square'],
  ['habit', 'erect'],
]

/** A kitchen at 1,180 m, a clean patch, three eaters and two meetings with nettle. */
export function household(pen: Pen, kitchen: { elevation_m?: number } = {}): Pen {
  pen.write({
    type: 'kitchen-set',
    kitchen: {
      name: 'Test kitchen',
      elevation_m: kitchen.elevation_m ?? 1180,
      timeZone: 'UTC',
      burner: { power_W: 2200, efficiency: 0.55 },
      pots_mL: [8000],
      waterTemp_C: 9,
      ice_g: 2000,
    },
  })
  pen.write({ type: 'ground-noted', patch: 'wall', name: 'Wall', facts: CLEAN })
  pen.write({ type: 'eater-noted', eater: { id: 'ann', name: 'Ann', kind: 'adult', sensitivities: [] } })
  pen.write({ type: 'eater-noted', eater: { id: 'bo', name: 'Bo', kind: 'infant', sensitivities: [] } })
  pen.write({ type: 'eater-noted', eater: { id: 'cy', name: 'Cy', kind: 'adult', sensitivities: null } })
  pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-05-01T09:00:00.000Z')
  pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, '2026-06-01T09:00:00.000Z')
  return pen
}

/** Weighs in a lot of nettle tops. */
export function weighIn(pen: Pen, mass_g = 1240, lot = 'A'): void {
  pen.write({
    type: 'weighed-in',
    lot,
    code: lot,
    taxon: 'Urtica dioica',
    part: 'leafy-top',
    stage: 'young',
    patch: 'wall',
    mass_g,
    pickedAt: pen.now,
  })
}

export function tell(pen: Pen, character: string, state: string, lot = 'A'): void {
  pen.write({ type: 'tell-seen', lot, character, answer: 'seen', states: [state] })
}

/** From weighing in to a sorted lot with every gate before Make safe open. */
export function bringIn(
  pen: Pen,
  {
    picked_g = 1240,
    kept_g = 900,
    lot = 'A',
    wash = { water: 'safe', changes: 2 },
  }: { picked_g?: number; kept_g?: number; lot?: string; wash?: Saying<'sorted'>['wash'] } = {},
): Pen {
  weighIn(pen, picked_g, lot)
  for (const [character, state] of FITTING_TELLS) tell(pen, character, state, lot)
  pen.write({ type: 'certain-attested', lot })
  pen.write({
    type: 'stand-counted',
    lot,
    stems: 2000,
    taken: 500,
    wildlifeLooked: true,
    wildlifeOn: 0,
    othersPick: false,
    school: null,
  })
  pen.write({
    type: 'sorted',
    lot,
    stageSeen: 'young',
    kept_g,
    trimmed_g: picked_g - kept_g - 20,
    trimmedTo: 'stock',
    wash,
  })
  return pen
}

/** One load through the boil. */
export function load(pen: Pen, mass_g: number, over: Partial<Saying<'step-done'>> = {}, lot = 'A'): Entry {
  const begun = pen.write({ type: 'step-begun', lot, ...BLANCH, load: 1, mass_g })
  pen.wait(1.5)
  return pen.write({
    type: 'step-done',
    lot,
    begun: begun.id,
    outcome: 'done',
    minutes: 2.2,
    temp_C: 96,
    backToBoil_s: 50,
    driedTo_g: null,
    checked: true,
    water: 'thrown',
    ...over,
  })
}

/** A lot ready to serve: blanched, weighed, tasted. */
export function cook(pen: Pen): Pen {
  load(bringIn(pen), 900)
  pen.write({ type: 'weighed', lot: 'A', mass_g: 700, after: 'cooking' })
  pen.write({
    type: 'tasted',
    lot: 'A',
    taster: 'ann',
    bitter: 1,
    astringent: 0,
    crumb: false,
    accepts: true,
    alarm: null,
  })
  return pen
}

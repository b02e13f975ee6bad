import type { Part, Stage } from '../flora/vocabulary'
import { lifeOf, packLife } from '../freshness/life'
import type { Saying } from '../log/stamp'
import { fromMs, MINUTE_ms, toMs } from '../quantity/instant'
import { household, Pen } from './pen'

export const HOUR = 60
export const DAY = 1440
export const T0 = '2027-05-16T08:00:00.000Z'
export const at = (minutes: number) => fromMs(toMs(T0) + minutes * MINUTE_ms)
const KINDS = {
  nettle: ['Urtica dioica', 'leafy-top', 'emerging'],
  ramsons: ['Allium ursinum', 'leaf', 'young'],
  acorn: ['Quercus robur', 'nut', 'ripe'],
  spruce: ['Picea abies', 'needle-tip', 'young'],
  dandelion: ['Taraxacum officinale', 'leaf', 'young'],
  rowan: ['Sorbus aucuparia', 'fruit', 'ripe'],
  mustard: ['Alliaria petiolata', 'seed', 'ripe'],
} as const
type Kind = keyof typeof KINDS | readonly [taxon: string, part: Part, stage: Stage]

export const cut = (how: Saying<'cut-up'>['how']): Saying => ({ type: 'cut-up', lot: 'A', how })

/** One lot `A` of 1 kg, picked at minute 0 in a kitchen by the sea, and what is done to it at which minute. */
export class Story {
  readonly pen = household(new Pen(), { elevation_m: 0 })
  constructor(kind: Kind, lot = 'A') {
    this.pick(kind, lot, 0)
  }
  pick(kind: Kind, lot: string, minute: number): this {
    const [taxon, part, stage] = typeof kind === 'string' ? KINDS[kind] : kind
    return this.do(minute, { type: 'weighed-in', lot, code: lot, taxon, part, stage, patch: 'wall', mass_g: 1000, pickedAt: at(minute) }) // prettier-ignore
  }
  do(minute: number, ...sayings: readonly Saying[]): this {
    this.pen.now = at(minute)
    for (const saying of sayings) this.pen.force(saying)
    return this
  }
  /** A load through a step of a way. */
  run(
    from: number,
    until: number | null,
    protocol: string,
    step: number,
    over: Partial<Saying<'step-done'>> = {},
  ): this {
    this.pen.now = at(from)
    const begun = this.pen.force({
      type: 'step-begun',
      lot: 'A',
      protocol,
      step,
      load: 1,
      mass_g: this.pen.lot().mass_g,
    })
    if (until === null) return this
    return this.do(until, {
      ...{ type: 'step-done', lot: 'A', begun: begun.id, outcome: 'done', minutes: until - from, temp_C: 99 },
      ...{ backToBoil_s: 40, driedTo_g: null, checked: true, water: 'thrown' },
      ...over,
    })
  }
  place(minute: number, place: 'cold' | 'kitchen' | 'hot', temp_C: number | null = null): this {
    return this.do(minute, { type: 'placed', lot: 'A', place, temp_C })
  }
  bath(minute: number, step: number, temp_C: number | null, protocol = 'cold baths'): this {
    return this.do(minute, { type: 'bath-changed', lot: 'A', protocol, step, fresh: temp_C === null ? null : { water_mL: 4000, temp_C } }) // prettier-ignore
  }
  pack(minute: number, store: Saying<'packed'>['store'], over: Partial<Saying<'packed'>> = {}): this {
    return this.do(minute, { type: 'packed', lot: 'A', pack: 'p', store, mass_g: 100, containers: 1, storeTemp_C: store === 'frozen' ? -19 : 3, ...over }) // prettier-ignore
  }
  read(minute: number, temp_C: number): this {
    return this.do(minute, { type: 'store-read', lot: 'A', pack: 'p', temp_C })
  }
  open(minute: number, into = 'B', mass_g = 50): this {
    return this.do(minute, { type: 'opened', lot: 'A', pack: 'p', into, code: into, mass_g })
  }
  context(minute: number) {
    return { ...this.pen.context, now: at(minute) }
  }
  life(minute: number, lot = 'A') {
    return lifeOf(this.pen.lot(lot), this.context(minute))
  }
  packed(minute: number) {
    const [pack] = this.pen.lot().packs
    if (pack === undefined) throw new RangeError('expected a pack')
    return packLife(pack, this.context(minute))
  }
  /** When and of what it is over, minutes from its picking; looked at long after. */
  over(lot = 'A', after = 400 * DAY): readonly [number, string] | null {
    const { over } = this.life(after, lot)
    return over === null ? null : [(toMs(over.at) - toMs(T0)) / MINUTE_ms, over.cause.of]
  }
}

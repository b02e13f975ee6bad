import { describe, expect, it } from 'vitest'
import { judge } from '../gates/judge'
import { doNow } from '../lot/doNow'
import { FITTING_TELLS, household, Pen, tell, weighIn } from '../test/pen'

/** Nettle weighed in and looked at, by the cook who met it on two days. */
function lookedAt(): Pen {
  const pen = household(new Pen())
  weighIn(pen)
  for (const [character, state] of FITTING_TELLS) tell(pen, character, state)
  return pen
}
const identity = (pen: Pen) => judge('identity', pen.lot(), pen.context)
const sure = (pen: Pen, by: string) => {
  pen.by = by
  pen.write({ type: 'certain-attested', lot: 'A' })
  return pen
}

describe('who tells a plant', () => {
  it('needs meetings of their own: nobody else’s open Identity', () => {
    const pen = sure(lookedAt(), 'oswin')
    expect(identity(pen)).toMatchObject({
      state: 'ajar',
      reasons: ['Sure days with nettle: 0 of 2. Do not eat nettle yet.'],
    })
    expect(doNow(pen.lot(), pen.context).act.kind).toBe('meet')
    for (const day of ['2027-05-01', '2027-05-02'])
      pen.write({ type: 'plant-met', taxon: 'Urtica dioica', stage: 'young' }, `${day}T09:00:00.000Z`)
    expect(identity(pen).state).toBe('open')
  })
  it('is who was certain, whoever is at it later; and may be taken over by one who has met it', () => {
    const pen = sure(lookedAt(), 'oswin')
    pen.by = 'cook'
    expect(identity(pen).reasons).toEqual(['Sure days with nettle (the cook): 0 of 2. Do not eat nettle yet.'])
    pen.write({ type: 'eater-noted', eater: { id: 'oswin', name: 'Oswin', kind: 'adult', sensitivities: [] } })
    expect(identity(pen).reasons[0]).toMatch(/^Sure days with nettle \(Oswin\): 0 of 2/)
    expect(identity(sure(pen, 'cook')).state).toBe('open')
    pen.by = 'oswin'
    expect(identity(pen).state).toBe('open')
  })
  it('carries nothing over from a picking that another was certain of', () => {
    const pen = sure(lookedAt(), 'cook')
    pen.wait(24 * 60)
    pen.write({ type: 'weighed-in', lot: 'B', code: 'B', taxon: 'Urtica dioica', part: 'leafy-top', stage: 'young', patch: 'wall', mass_g: 500, pickedAt: pen.now }) // prettier-ignore
    const known = (by: string) => {
      pen.by = by
      return doNow(pen.lot('B'), pen.context).detail.includes('Known from this patch')
    }
    expect([known('cook'), known('oswin')]).toEqual([true, false])
  })
})

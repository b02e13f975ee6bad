import { describe, expect, it } from 'vitest'
import { requireTaxon } from '../flora/catalogue'
import { CATALOGUE } from '../flora/records'
import type { Saying } from '../log/stamp'
import { cook, household, Pen } from '../test/pen'
import { dishesAtTable } from './atTable'

const NETTLE = requireTaxon(CATALOGUE, 'Urtica dioica')

/** Nettle on two evenings, the second as soup. */
function table(): { pen: Pen; ids: readonly string[] } {
  const pen = cook(household(new Pen()))
  pen.force({ type: 'eater-noted', eater: { id: 'cy', name: 'Cy', kind: 'adult', sensitivities: [] } })
  const ids = (['spinach', 'soup', 'soup'] as const).map((dish) => {
    const portions = [
      { eater: 'ann', mass_g: 100 },
      { eater: 'cy', mass_g: 50 },
    ]
    pen.wait(10)
    return pen.force({ type: 'served', lot: 'A', pack: null, dish, portions }).id
  })
  pen.wait(30)
  return { pen, ids }
}
const heard = (pen: Pen, serving: string, ...said: Saying<'table-noted'>['heard']) =>
  pen.try({ type: 'table-noted', lot: 'A', serving, heard: said })

describe('at the table', () => {
  it('keeps apart how it was liked, how much was really eaten and what that fills', () => {
    const { pen, ids } = table()
    const [spinach = '', soup = '', again = ''] = ids
    expect(dishesAtTable(NETTLE, pen.context)).toEqual([])
    heard(pen, spinach, { eater: 'ann', eaten_g: 20, liking: 2 })
    heard(pen, soup, { eater: 'ann', eaten_g: 100, liking: 9 }, { eater: 'cy', eaten_g: 50, liking: null })
    heard(pen, again, { eater: 'ann', eaten_g: 80, liking: 6 })
    const dishes = dishesAtTable(NETTLE, pen.context)
    expect(dishes.map(({ dish, portions, liking, eaten }) => [dish, portions, liking, eaten])).toEqual([
      ['spinach', 1, { middle: 2, said: 1 }, { eaten_g: 20, served_g: 100 }],
      ['soup', 3, { middle: 7.5, said: 2 }, { eaten_g: 230, served_g: 250 }],
    ])
    // 900 g raw became 700 g; energy is told of the raw part.
    const kcal = NETTLE.uses.find(({ part, stage }) => part === 'leafy-top' && stage === 'young')?.energy_kcal_per_100g
    for (const { energy_kcal, portions, eaten } of dishes)
      if (kcal === undefined) expect(energy_kcal).toBeUndefined()
      else expect(energy_kcal).toBeCloseTo((eaten.eaten_g / portions) * (900 / 700) * (kcal / 100), 6)
    expect(dishesAtTable(requireTaxon(CATALOGUE, 'Allium ursinum'), pen.context)).toEqual([])
  })
  it('lets the last word on an eater hold, and refuses what cannot have been', () => {
    const { pen, ids } = table()
    const [serving = ''] = ids
    const said = (...asked: Saying<'table-noted'>['heard']) => {
      const { proposal } = heard(pen.copy(), serving, ...asked)
      return proposal.ok ? 'taken' : `${proposal.field}: ${proposal.message}`
    }
    const ann = { eater: 'ann', eaten_g: 90, liking: 5 } as const
    expect(said(ann)).toBe('taken')
    expect(said({ ...ann, eaten_g: 102 })).toBe('eaten_g: Nobody eats more than the 100 g that were served.')
    expect(said(ann, { ...ann, liking: 2 })).toBe('heard: Somebody is named twice.')
    expect(said({ ...ann, eater: 'bo' })).toBe('heard: Somebody named here had none of it.')
    const { proposal } = pen.try({ type: 'table-noted', lot: 'A', serving: 'none', heard: [ann] })
    expect(proposal).toMatchObject({ ok: false, field: 'serving' })
    heard(pen, serving, ann, { eater: 'cy', eaten_g: 10, liking: 1 })
    heard(pen, serving, { ...ann, eaten_g: 70, liking: 8 })
    expect(dishesAtTable(NETTLE, pen.context)[0]).toMatchObject({
      ...{ portions: 2, liking: { middle: 4.5, said: 2 } },
      eaten: { eaten_g: 80, served_g: 150 },
    })
  })
})

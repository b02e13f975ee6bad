import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { heldFood } from '../lot/held'
import { foodReach } from '../lot/reach'
import { isStopped } from '../lot/stopped'
import { household, Pen } from '../test/pen'
import { bringInKind, makeSafeKind, meetAll } from '../test/plants'
import { alsoAte } from './illHold'
import { illnessReport } from './illness'

/** A household with an eater who bears everything. */
const opened = () => {
  const pen = meetAll(household(new Pen()))
  pen.write({ type: 'eater-noted', eater: { id: 'di', name: 'Di', kind: 'adult', sensitivities: [] } })
  return pen
}
const serve = (pen: Pen, lot: string, mass_g: number, eater = 'ann') => {
  const { proposal } = pen.try({ type: 'served', lot, pack: null, dish: 'soup', portions: [{ eater, mass_g }] })
  return proposal.ok ? 'taken' : proposal.message
}

describe('somebody feels ill', () => {
  const ill = (pen: Pen, who = 'ann') => pen.write({ type: 'felt-ill', eater: who, symptoms: 'cramps' })
  it('and what they ate of is held, with its kin and its packs, for everybody, until it was not the food', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 100, containers: 1, storeTemp_C: -19 })
    pen.write({ type: 'split', lot: 'A', into: 'B', code: 'B', mass_g: 100, why: 'x' })
    for (const who of ['ann', 'di']) expect(serve(pen, 'A', 10, who)).toBe('taken')
    pen.wait(60)
    ill(pen)
    expect(serve(pen, 'B', 5, 'di')).toMatch(/Ann felt ill after eating of the same picking \(soup\)/)
    expect(heldFood(pen.context).packs).toMatchObject([{ pack: 'p' }])
    // Another picking, tasted by somebody who is ill already, is none of what made them ill.
    makeSafeKind(bringInKind(pen, 'nettle', 'C'), 'nettle', 'C')
    expect(serve(pen, 'C', 5, 'di')).toBe('taken')
    expect(pen.log.state.house.ill.map((each) => alsoAte(each, pen.log.state))).toEqual([['di']])
    pen.write({ type: 'ill-explained', eater: 'ann', why: 'Dr Moor: a cold' })
    expect(serve(pen, 'B', 5, 'di')).toBe('taken')
    expect(heldFood(pen.context).packs).toEqual([])
  })
  it('days later, it is not put down to what was eaten before', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 100, containers: 1, storeTemp_C: -19 })
    serve(pen, 'A', 10)
    pen.wait(60 * 24 * 4)
    ill(pen)
    expect(heldFood(pen.context).packs).toEqual([])
  })
  it('having only tasted it, or bitten of it along the stand, holds it as well, and they are asked like any who ate', () => {
    // Ann tastes it and has none of the dish.
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    expect(serve(pen, 'A', 5, 'di')).toBe('taken')
    pen.wait(60)
    ill(pen)
    expect(serve(pen, 'A', 5, 'di')).toMatch(/Ann felt ill after eating of the same picking \(a taste\)/)
    expect(pen.log.state.house.ill.map((each) => alsoAte(each, pen.log.state))).toEqual([['di']])
    expect(illnessReport(pen.log, CATALOGUE, pen.now, 72).eaten).toMatchObject([
      { eater: 'Di', dish: 'soup', amount: { mass_g: 5, drink: false } },
      { eater: 'Ann', dish: 'a taste', amount: null, plants: [{ name: 'Nettle' }] },
    ])
    const field = bringInKind(opened(), 'nettle', 'A')
    field.force({
      type: 'plants-scored',
      lot: 'A',
      taster: 'bo',
      rinsed: true,
      plants: [{ plant: 'third', liking: 7 }],
    })
    field.wait(60)
    ill(field, 'ann')
    expect(isStopped(field.lot(), field.context)).toBe(false)
    ill(field, 'bo')
    expect(isStopped(field.lot(), field.context)).toBe(true)
  })
  it('a week after eating from a jar or a cold box, that is held too; after fresh or frozen food it is not', () => {
    const weekAfter = (store: 'chilled' | 'frozen', temp_C: number) => {
      const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
      pen.write({ type: 'packed', lot: 'A', pack: 'p', store, mass_g: 100, containers: 2, storeTemp_C: temp_C })
      pen.write({ type: 'packed', lot: 'A', pack: 'q', store: 'frozen', mass_g: 50, containers: 1, storeTemp_C: -19 })
      pen.write({ type: 'served', lot: 'A', pack: 'p', dish: 'soup', portions: [{ eater: 'ann', mass_g: 20 }] })
      ill(pen.wait(60 * 24 * 7))
      return heldFood(pen.context).packs.some(({ pack }) => pack === 'q')
    }
    expect(weekAfter('chilled', 3)).toBe(true)
    expect(weekAfter('frozen', -19)).toBe(false)
  })
  it('and whoever helps is told what else was in it, and a drink by its volume', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    pen.write({ type: 'ingredient-added', lot: 'A', what: 'other', name: 'bought walnuts', mass_g: 50 })
    expect(serve(pen, 'A', 5, 'di')).toBe('taken')
    expect(illnessReport(pen.log, CATALOGUE, pen.now, 72).eaten).toMatchObject([
      { dish: 'soup', alsoIn: ['bought walnuts'] },
      { dish: 'a taste', alsoIn: [] },
    ])
  })
  it('and a taste that was wrong after serving names everybody who ate; what was made of it is told at once', () => {
    const pen = makeSafeKind(bringInKind(opened(), 'nettle', 'A'), 'nettle', 'A')
    serve(pen, 'A', 10)
    pen.write({ type: 'packed', lot: 'A', pack: 'p', store: 'frozen', mass_g: 100, containers: 1, storeTemp_C: -19 })
    pen.write({ type: 'tasted', lot: 'A', taster: 'cy', bitter: 0, astringent: 0, crumb: false, accepts: false, alarm: 'numbness' }) // prettier-ignore
    expect(heldFood(pen.context).servings).toMatchObject([{ dish: 'soup', eaters: ['ann'], gates: ['identity'] }])
    expect(isStopped(pen.lot(), pen.context)).toBe(true)
    expect(foodReach(pen.lot(), pen.log.state)).toMatchObject({
      packs: [{ pack: 'p' }],
      servings: [{ eaters: ['ann'] }],
    })
  })
})

import * as core from '@ellop/core'
import { create } from 'zustand'
import { chosenUnits, chooseUnits } from '../book/books'

/** Which measures this browser shows; the book itself is metric always. */
export const useUnits = create<{ readonly units: core.Units }>(() => ({ units: 'metric' }))

/** Shows what was chosen last; metric before anything was. */
export async function readUnits(): Promise<void> {
  useUnits.setState({ units: await chosenUnits() })
}

/** Shows everything in other measures from now on: the shell listens, and draws every place anew. */
export async function showUnits(units: core.Units): Promise<void> {
  useUnits.setState({ units })
  await chooseUnits(units)
}

/** A sentence of the core in the measures that the cook reads; what stands in it in metric is turned here, last of all. */
export function inUnits(text: string): string {
  return useUnits.getState().units === 'kitchen' ? core.inKitchenUnits(text) : text
}

export const formatMass = (mass_g: number): string => inUnits(core.formatMass(mass_g))
export const formatVolume = (volume_mL: number): string => inUnits(core.formatVolume(volume_mL))
/** So much of a food: what is drunk is poured, a gram of it is a millilitre. */
export const formatAmount = (of: core.LotState, served_g: number): string => inUnits(core.formatServed(of, served_g))
export const formatTemp = (temp_C: number): string => inUnits(core.formatTemp(temp_C))
export const formatMassRange = (range_g: core.Range): string => inUnits(core.formatMassRange(range_g))

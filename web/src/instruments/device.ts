/** What a device says: a value in its instrument's unit, or that it lost its signal, or that it went away. */
export type DeviceTold = { readonly value: number } | 'lost' | 'gone'

/** The one face of every instrument, simulated or real. */
export interface Device {
  readonly name: string
  /** A stand-in of the demonstration: what it shows counts nowhere else. */
  readonly simulated: boolean
  /** Tells until what it gives back is called. */
  readonly listen: (tell: (told: DeviceTold) => void) => () => void
}

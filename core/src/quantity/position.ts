/** A place on the globe, degrees; north and east are positive. */
export interface Position {
  readonly latitude_deg: number
  readonly longitude_deg: number
}

const KM_PER_DEGREE = 111.2

/** A position to the nearest point of a grid of so many kilometres: nobody finds the patch by it. */
export function roundedPosition({ latitude_deg, longitude_deg }: Position, grid_km: number): Position {
  const step = grid_km / KM_PER_DEGREE
  const latitude = Math.max(-90, Math.min(90, Math.round(latitude_deg / step) * step))
  // Meridians draw together towards the poles: a step in longitude is longer there in degrees.
  const stepEast = step / Math.max(0.01, Math.cos((latitude * Math.PI) / 180))
  const longitude = Math.round(longitude_deg / stepEast) * stepEast
  return { latitude_deg: toPlaces(latitude), longitude_deg: toPlaces(Math.max(-180, Math.min(180, longitude))) }
}

/** A position in words. @example positionWords({ latitude_deg: -33.9, longitude_deg: 18.4 }) // '33.9 ° south, 18.4 ° east' */
export function positionWords({ latitude_deg, longitude_deg }: Position): string {
  return `${Math.abs(latitude_deg)} ° ${latitude_deg < 0 ? 'south' : 'north'}, ${Math.abs(longitude_deg)} ° ${longitude_deg < 0 ? 'west' : 'east'}`
}

/** To ten metres or so; more places would only pretend. */
function toPlaces(degrees: number): number {
  return Math.round(degrees * 1e4) / 1e4
}

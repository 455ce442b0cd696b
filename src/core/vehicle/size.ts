import type { Shape } from './bodies'
import type { Vehicle } from './vehicle'

/** How much room a vehicle takes, m: what decides which bays it can stand in. */
export type VehicleSize = { lengthM: number; heightM: number }

/** What is usual for a shape, where nobody has measured the vehicle (common practice; vans and motorhomes differ most). */
export const USUAL_SIZE: Record<Shape, VehicleSize> = {
  hatchback: { lengthM: 4.1, heightM: 1.5 },
  saloon: { lengthM: 4.7, heightM: 1.45 },
  estate: { lengthM: 4.7, heightM: 1.5 },
  coupe: { lengthM: 4.4, heightM: 1.35 },
  convertible: { lengthM: 4.2, heightM: 1.3 },
  suv: { lengthM: 4.7, heightM: 1.75 },
  pickup: { lengthM: 5.3, heightM: 1.85 },
  van: { lengthM: 5.5, heightM: 2.5 },
  motorhome: { lengthM: 7, heightM: 3 },
}

/** No vehicle is shorter, lower, longer or higher than these, m (mem). */
export const SIZE_BOUNDS = { lengthM: [1, 20], heightM: [0.5, 6] } as const

/** The measures that were typed, or the usual ones of its shape. */
export function sizeOf({
  shape,
  lengthM,
  heightM,
}: Pick<Vehicle, 'shape' | 'lengthM' | 'heightM'>): VehicleSize {
  const usual = USUAL_SIZE[shape]
  return { lengthM: lengthM ?? usual.lengthM, heightM: heightM ?? usual.heightM }
}

/** Room in a bay, m: the longest and the highest vehicle it takes; any where it is not said. */
export type BayRoom = { lengthM?: number | undefined; heightM?: number | undefined }

/** Whether a vehicle fits into a bay. */
export const fitsIn = (bay: BayRoom, { lengthM, heightM }: VehicleSize): boolean =>
  lengthM <= (bay.lengthM ?? Number.POSITIVE_INFINITY) && heightM <= (bay.heightM ?? Number.POSITIVE_INFINITY)

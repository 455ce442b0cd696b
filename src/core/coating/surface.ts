import type { OtherSurface, Product, Surface } from './product'

/** A surface beside the paint, and what is applied to it. */
export type SurfaceCoat = { surface: OtherSurface; product: Product }

/** Painted area the areas and minutes below belong to, m²: a middle-sized car (mem). */
const MIDDLE_SIZED_M2 = 9

type SurfaceModel = {
  /** m² on a middle-sized car; it grows with the painted area (mem). */
  areaM2: number
  /** Minutes to clean, wipe, apply and buff it on a middle-sized car (mem). */
  minutes: number
}

export const SURFACE: Record<OtherSurface, SurfaceModel> = {
  glass: { areaM2: 2.6, minutes: 50 },
  trim: { areaM2: 0.8, minutes: 40 },
  wheels: { areaM2: 1.2, minutes: 60 },
  fabric: { areaM2: 4, minutes: 60 },
  leather: { areaM2: 3.5, minutes: 75 },
  chrome: { areaM2: 0.4, minutes: 20 },
}

/** m² of a surface on a vehicle with that much paint. */
export function surfaceAreaM2(surface: Surface, paintedM2: number): number {
  return surface === 'paint' ? paintedM2 : (SURFACE[surface].areaM2 * paintedM2) / MIDDLE_SIZED_M2
}

/** Minutes to clean, wipe, apply and buff a surface on a vehicle with that much paint. */
export function surfaceMinutes(surface: OtherSurface, paintedM2: number): number {
  return (SURFACE[surface].minutes * paintedM2) / MIDDLE_SIZED_M2
}

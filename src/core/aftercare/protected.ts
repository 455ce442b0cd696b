import type { LaidProduct, OtherSurface } from '../coating'
import type { JobId } from '../ids'
import type { Instant, LocalDay } from '../time'
import type { Coat } from './coat'
import type { Exposure } from './exposure'
import type { KeptLook } from './kept-look'
import type { Outlook } from './outlook'

export type ProtectedUnit = {
  id: string
  name: string
  laidAt: Instant
  layers: LaidProduct[]
  /** The last inspection since it was applied. */
  last?: KeptLook & { jobId: JobId }
}

export type SurfaceProtection = {
  surface: 'paint' | OtherSurface
  name: string
  products: LaidProduct[]
  /** When the last layer that lies on most of it had ended. */
  laidAt: Instant
  laidOn: LocalDay
  outlook: Outlook
  units: ProtectedUnit[]
  goodUntil: { low: LocalDay; mid: LocalDay; high: LocalDay }
}

export type Protection = {
  exposure: Exposure
  surfaces: SurfaceProtection[]
  toppedAt?: Instant
  coats: readonly Coat[]
  looks: readonly (KeptLook & { jobId: JobId })[]
}

import type { JobId } from '../ids'
import type { LocalDay } from '../time'
import type { KnownVehicle } from './known-vehicle'

/** What the shop remembers of a vehicle that comes back. */
export type Past = {
  known: KnownVehicle
  visits: {
    jobId: JobId
    number: number
    day: LocalDay
    wishes: string
    packageName?: string
    odometerKm?: number
  }[]
  /** Panels with paint taken, the most first, µm. */
  taken: { panel: string; takenUm: number; uncertaintyUm: number }[]
}

import type { PlannedOperation } from '../offer/job-plan'
import { airOf } from '../offer/side-by-side'
import type { Problem, ProblemOperation } from '../schedule'

/** Bays whose air is one, where the shop says so: they stand in one room. */

/** The room a bay is in with others, as the shop calls it. */
export type InRoom = { room?: string | undefined }

/** A bay as the scheduler reads it: rooms are the same whichever way they are written. */
export const withAir = <Bay extends Problem['places'][number] & InRoom>(bay: Bay): Bay =>
  bay.room ? { ...bay, air: bay.room.trim().toLowerCase() } : bay

/** Whether any two bays breathe the same air. */
export function sharesAir(places: Problem['places']): boolean {
  const airs = places.flatMap(({ air }) => air ?? [])
  return new Set(airs).size < airs.length
}

/** What an operation does to the air of a shop in which bays share theirs. */
export function inTheAir(operation: PlannedOperation, shared: boolean): Pick<ProblemOperation, 'air'> {
  const air = shared ? airOf(operation) : undefined
  return air ? { air } : {}
}

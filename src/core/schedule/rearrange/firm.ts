import type { JobId, OperationId } from '../../ids'
import type { Interval } from '../contract/intervals'
import type { Air, Model, ModelJob } from '../solver/model'
import { type JobPlacement, stayExtent } from '../solver/shop-state'

/** What no move can push away: begun work, what the manager has fixed, and the cars that stand in a bay because of it. */

export type FirmUse = Interval & { job: JobId; operation: OperationId }
/** Of a place: by a job, or by nobody where it is out of use. */
export type FirmHold = Interval & { job?: JobId }
/** In the air of a place: what raises dust there, or lies open. */
export type FirmAir = FirmUse & { air: Air; place: number }
export type FirmUses = {
  people: readonly FirmUse[][]
  places: readonly FirmHold[][]
  air: readonly FirmAir[]
}

/** The stays in which the car already stands, or is fixed to stand: their places are held till they are over. */
export function standingStays(job: ModelJob, placement: JobPlacement): [stay: number, { place: number }][] {
  return job.stays.flatMap((stay, index): [number, { place: number }][] => {
    const isFixed = stay.operations.some((at) => job.operations[at]!.pin?.place !== undefined)
    return isFixed ? [[index, { place: placement.operations[stay.operations[0]!]!.place }]] : []
  })
}

/** Whom and what no move can take away, and from which job. */
export function firmUses(model: Model, placements: readonly (JobPlacement | undefined)[]): FirmUses {
  const people: FirmUse[][] = model.personIds.map(() => [])
  const places: FirmHold[][] = model.placeIds.map(() => [])
  const airs: FirmAir[] = []
  for (const { place, ...time } of model.closed) places[place]!.push(time)
  for (const job of model.jobs) {
    const placement = placements[job.index]
    if (!placement) continue
    for (const { index, known, pin, air } of job.operations) {
      if (!pin) continue
      const { start, end, people: team, place } = placement.operations[index]!
      if (air) airs.push({ from: start, to: end, job: job.id, operation: known, air, place })
      for (const person of team) people[person]!.push({ from: start, to: end, job: job.id, operation: known })
    }
    for (const [stay, { place }] of standingStays(job, placement))
      places[place]!.push({ ...stayExtent(job, placement, stay), job: job.id })
  }
  for (const uses of [...people, ...places, airs]) uses.sort((a, b) => a.from - b.from)
  return { people, places, air: airs }
}

import type { JobId, OperationId } from '../../ids'
import { epochMinutes, fromEpochMinutes, type Instant } from '../../time'
import type { Problem } from '../contract/problem'
import { type PlacedOperation, SCHEDULE_FORMAT, type Schedule } from '../contract/schedule-file'
import { costOf, totalTerms } from './cost'
import { compileModel, type Model } from './model'
import type { JobPlacement, OperationPlacement } from './shop-state'
import { workSegments } from './work-time'

/** Between the operations of a schedule file and the placements of the model. */

export function writeOperations(model: Model, placement: JobPlacement): PlacedOperation[] {
  const job = model.jobs[placement.job]!
  const at = (minute: number) => fromEpochMinutes(model.originMinute + minute)
  return placement.operations.map((placed, index): PlacedOperation => {
    const operation = job.operations[index]!
    const segments =
      operation.mode === 'pausable'
        ? workSegments(
            model.openFor(placed.people, placed.place, operation.equipment),
            placed.start,
            placed.end,
          )
        : [{ from: placed.start, to: placed.end }]
    return {
      job: job.id,
      operation: operation.id,
      start: at(placed.start),
      end: at(placed.end),
      people: placed.people.map((person) => model.personIds[person]!),
      place: model.placeIds[placed.place]!,
      segments: segments.map(({ from, to }) => [at(from), at(to)]),
    }
  })
}

/** Where each operation of each job is placed, by their indexes; undefined for one that is not, or by whom or where the model does not know. */
export function readSteps(
  model: Model,
  placed: readonly PlacedOperation[],
): (OperationPlacement | undefined)[][] {
  const minuteOf = (at: Instant) => epochMinutes(at) - model.originMinute
  const key = (job: JobId, operation: OperationId) => `${job}\u0000${operation}`
  const known = new Map(placed.map((each) => [key(each.job, each.operation), each]))
  return model.jobs.map((job) =>
    job.operations.map(({ id }): OperationPlacement | undefined => {
      const found = known.get(key(job.id, id))
      const place = found ? model.placeIds.indexOf(found.place) : -1
      const people = found?.people.map((person) => model.personIds.indexOf(person)) ?? []
      if (!found || place < 0 || people.includes(-1)) return undefined
      return { start: minuteOf(found.start), end: minuteOf(found.end), people, place }
    }),
  )
}

/** The placements of the jobs of which every operation is placed; undefined for the others. By index of the job. */
export const readPlacements = (
  model: Model,
  placed: readonly PlacedOperation[],
): (JobPlacement | undefined)[] =>
  readSteps(model, placed).map((steps, job) => {
    const operations = steps.flatMap((step) => step ?? [])
    return operations.length === steps.length ? { job, operations } : undefined
  })

/** A schedule of these placements with what it costs. It is not checked here: the independent checker does that. */
export function scheduleOf(model: Model, placements: readonly JobPlacement[]): Schedule {
  const terms = totalTerms(model, placements)
  return {
    format: SCHEDULE_FORMAT,
    status: 'feasible',
    cost: costOf(model, terms),
    terms,
    operations: placements.flatMap((placement) => writeOperations(model, placement)),
    reasons: [],
  }
}

/** The schedule that these operations of a problem are, with what it costs; jobs that are not wholly among them are left out. */
export function scheduleFrom(problem: Problem, placed: readonly PlacedOperation[]): Schedule {
  const model = compileModel(problem)
  return scheduleOf(
    model,
    readPlacements(model, placed).flatMap((placement) => placement ?? []),
  )
}

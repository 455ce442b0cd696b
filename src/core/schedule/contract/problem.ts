import type { BayId, OperationId, PersonId } from '../../ids'
import type { Instant } from '../../time'
import { fault } from './faults'
import { type FileJob, type ProblemFile, problemShape } from './problem-shape'

export { PROBLEM_FORMAT } from './problem-shape'

/** The problem file `fern-yard/schedule-problem@1`: what is to be placed on the shop's calendar. */

/** A place one unit of which is out of use for a while: no car may even stand in it. */
export type Closed = { place: BayId; from: Instant; until: Instant }

/** Work of the same job that is judged: the operations still to come, and whoever did those that are over. */
export type Judged = { operations: readonly OperationId[]; people: readonly PersonId[] }

/** When an operation may begin, besides what its links say, because of the air of the whole shop. */
export type DryAir = { from?: Instant; by?: Instant }

/**
 * The problem as it is solved. A file says all that has a place in the file; what only the shop itself knows of its own work
 * stands in fields of its own.
 */
export type ProblemOperation = FileJob['operations'][number] & {
  /** The operation of which this is what is left: work under way is cut at the origin. */
  restOf?: OperationId
  dryAir?: DryAir
  /** It judges this work: given to somebody who had no hand in it, where there is such a one. */
  judges?: Judged
}
export type ProblemJob = Omit<FileJob, 'operations'> & {
  operations: ProblemOperation[]
  /** The places its car fits into; all where absent. */
  fits?: readonly BayId[]
}
export type Problem = Omit<ProblemFile, 'format' | 'jobs'> & {
  jobs: ProblemJob[]
  closed?: readonly Closed[]
  /** A unit of these is out of use for a while. */
  broken?: readonly { equipment: string; from: Instant; until: Instant }[]
}
export type ProblemCalendar = Problem['calendars'][string]

type Report = (path: (string | number)[], message: string) => void

function reportDuplicates(ids: readonly string[], path: (string | number)[], report: Report): void {
  const seen = new Set<string>()
  for (const [index, value] of ids.entries()) {
    if (seen.has(value)) report([...path, index], fault('twice', { id: value }))
    seen.add(value)
  }
}

function reportCalendars(problem: ProblemFile, report: Report): void {
  const known = (name: string) => Object.hasOwn(problem.calendars, name)
  for (const list of ['places', 'people', 'equipment'] as const)
    for (const [index, { calendar }] of (problem[list] ?? []).entries())
      if (!known(calendar)) report([list, index, 'calendar'], fault('no-calendar', { id: calendar }))
}

function reportJob(job: FileJob, path: (string | number)[], report: Report): void {
  const ids = new Set(job.operations.map((operation) => operation.id))
  reportDuplicates([...job.operations.map((operation) => operation.id)], [...path, 'operations'], report)
  reportDuplicates([...job.stays.map((stay) => stay.id)], [...path, 'stays'], report)
  for (const [index, link] of job.links.entries())
    for (const end of ['from', 'to'] as const)
      if (!ids.has(link[end]))
        report([...path, 'links', index, end], fault('not-in-this-job', { id: link[end] }))
  const stayOf = new Map<string, string>()
  for (const [index, stay] of job.stays.entries())
    for (const [place, operation] of stay.operations.entries()) {
      const at = [...path, 'stays', index, 'operations', place]
      if (!ids.has(operation)) report(at, fault('not-in-this-job', { id: operation }))
      else if (stayOf.has(operation))
        report(at, fault('in-another-stay', { id: operation, stay: stayOf.get(operation)! }))
      stayOf.set(operation, stay.id)
    }
  for (const [index, operation] of job.operations.entries())
    if (!stayOf.has(operation.id))
      report([...path, 'operations', index], fault('in-no-stay', { id: operation.id }))
}

/** What a job asks for beside its links: pieces of equipment, and what must not be done together or at some time. */
function reportBeside(
  job: FileJob,
  { equipment, staff }: { equipment: ReadonlySet<string>; staff: number },
  path: (string | number)[],
  report: Report,
): void {
  const ids = new Set(job.operations.map((operation) => operation.id))
  const own = (operation: OperationId, at: (string | number)[]) => {
    if (!ids.has(operation)) report([...path, ...at], fault('not-in-this-job', { id: operation }))
  }
  const known = (piece: string, at: (string | number)[]) => {
    if (!equipment.has(piece)) report([...path, ...at], fault('no-equipment', { id: piece }))
  }
  for (const [index, operation] of job.operations.entries()) {
    if (operation.split !== undefined && operation.split > staff)
      report(
        [...path, 'operations', index, 'split'],
        fault('split-above-staff', { split: operation.split, staff }),
      )
    for (const [at, piece] of (operation.equipment ?? []).entries())
      known(piece, ['operations', index, 'equipment', at])
    reportDuplicates(operation.equipment ?? [], [...path, 'operations', index, 'equipment'], report)
  }
  for (const [index, pair] of (job.apart ?? []).entries()) {
    for (const [at, operation] of pair.entries()) own(operation, ['apart', index, at])
    if (pair[0] === pair[1]) report([...path, 'apart', index], fault('apart-from-itself', { id: pair[0] }))
  }
  for (const [index, hold] of (job.hold ?? []).entries()) {
    for (const end of ['from', 'to'] as const) own(hold[end], ['hold', index, end])
    known(hold.equipment, ['hold', index, 'equipment'])
  }
  for (const [index, { operation }] of (job.notDuring ?? []).entries())
    own(operation, ['notDuring', index, 'operation'])
}

function reportFixed(problem: ProblemFile, report: Report): void {
  const places = new Set(problem.places.map((place) => place.id))
  const people = new Set(problem.people.map((person) => person.id))
  reportDuplicates(
    problem.fixed.map((pin) => `${pin.job} / ${pin.operation}`),
    ['fixed'],
    report,
  )
  for (const [index, pin] of problem.fixed.entries()) {
    const job = problem.jobs.find((candidate) => candidate.id === pin.job)
    const operation = job?.operations.find((candidate) => candidate.id === pin.operation)
    if (!job) report(['fixed', index, 'job'], fault('no-job', { id: pin.job }))
    else if (!operation)
      report(['fixed', index, 'operation'], fault('no-operation', { id: pin.operation, job: pin.job }))
    if (pin.place !== undefined && !places.has(pin.place))
      report(['fixed', index, 'place'], fault('no-place', { id: pin.place }))
    for (const person of pin.people ?? [])
      if (!people.has(person)) report(['fixed', index, 'people'], fault('no-person', { id: person }))
    reportDuplicates(pin.people ?? [], ['fixed', index, 'people'], report)
    const most = operation?.split ?? operation?.people ?? 0
    if (operation && pin.people && !(operation.people <= pin.people.length && pin.people.length <= most))
      report(
        ['fixed', index, 'people'],
        fault('people-given', { id: pin.operation, needs: operation.people, given: pin.people.length }),
      )
  }
}

/** Hours of people and places by name, as they stand in a problem file. */
export const calendarsSchema = problemShape.shape.calendars

/** Reads a problem file; what does not fit together is reported where it stands. */
export const problemSchema = problemShape
  .superRefine((problem, context) => {
    const report: Report = (path, message) => context.addIssue({ code: 'custom', path, message })
    for (const list of ['places', 'people', 'equipment', 'jobs'] as const)
      reportDuplicates(
        (problem[list] ?? []).map((entry) => entry.id),
        [list],
        report,
      )
    reportCalendars(problem, report)
    const equipment = new Set(problem.equipment?.map((each) => each.id))
    for (const [index, job] of problem.jobs.entries()) {
      reportJob(job, ['jobs', index], report)
      reportBeside(job, { equipment, staff: problem.people.length }, ['jobs', index], report)
    }
    reportFixed(problem, report)
  })
  .transform(({ format: _, ...problem }): Problem => problem)

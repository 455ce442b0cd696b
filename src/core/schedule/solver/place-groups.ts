import type { Problem } from '../contract/problem'
import type { Model, ModelJob, ModelOperation, ModelStay, PlaceGroup } from './model'
import { choices } from './teams'

/** In which places the stays of a job can be, and how long they are at least. */

/** Longest chain of minutes and lags through the operations of one stay. */
export function longestChain(job: ModelJob, stay: ModelStay): number {
  const inStay = new Set(stay.operations)
  const reach = new Map<number, number>()
  for (const index of job.order!) {
    if (!inStay.has(index)) continue
    const before = job.links
      .filter((link) => link.to === index && inStay.has(link.from))
      .map((link) => reach.get(link.from)! + link.min)
    reach.set(index, Math.max(0, ...before) + job.operations[index]!.minutes)
  }
  return Math.max(...reach.values())
}

/** The places of a stay by their calendars and their air; where one is pinned, only that one. */
function placeGroups(problem: Problem, { places, operations }: ModelStay, job: ModelJob): PlaceGroup[] {
  const pinned = new Set(operations.flatMap((index) => job.operations[index]!.pin?.place ?? []))
  if (pinned.size > 1) return []
  const alike = new Map<string, number[]>()
  for (const place of places) {
    if (pinned.size === 1 && !pinned.has(place)) continue
    const { calendar, air = '' } = problem.places[place]!
    const key = `${calendar}\u0000${air}`
    alike.set(key, [...(alike.get(key) ?? []), place])
  }
  return [...alike.values()]
}

/** Every way to choose a group of places for each stay. */
export const placesChosen = (problem: Problem, job: ModelJob): PlaceGroup[][] =>
  choices(job.stays.map((stay) => placeGroups(problem, stay, job)))

/** What a change leaves as it is, or asks for, of one operation. */
export type Narrowing = Partial<Pick<ModelOperation, 'pin' | 'crew' | 'notBefore'>>

/** The job with less freedom: some operations bound, some stays in these places only. Its own pins stay. */
export function narrowed(
  { problem }: Model,
  job: ModelJob,
  bind: (operation: ModelOperation) => Narrowing,
  placesOf: (stay: ModelStay, index: number) => number[],
): ModelJob {
  const operations = job.operations.map((operation) =>
    operation.pin ? operation : { ...operation, ...bind(operation) },
  )
  const stays = job.stays.map((stay, index) => ({ ...stay, places: placesOf(stay, index) }))
  const own: ModelJob = { ...job, operations, stays, pinned: operations.some(({ pin }) => pin) }
  return { ...own, placeChoices: placesChosen(problem, own) }
}

import type { BayId, PersonId } from '../../ids'
import type { Interval } from '../contract/intervals'
import type { Model, ModelJob, ModelOperation } from './model'

/** A reason that no schedule can exist, found without searching: the operation and what is missing. */
export type Impossibility = { job: number; operation: number } & (
  | { code: 'link-circle' }
  | { code: 'link-contradicts'; to: number; min: number; max: number }
  | { code: 'skill-missing'; skill: string; wanted: number; found: number }
  | { code: 'place-missing'; kind: string }
  /** There are places of the kind, and the car fits into none of them. */
  | { code: 'fits-nowhere'; kind: string }
  | { code: 'no-shift-long-enough'; minutes: number; longest: number; skill: string }
  | { code: 'pin-skill'; person: PersonId; skill: string }
  | { code: 'pin-before-arrival' }
  | { code: 'pin-place'; place: BayId; kind: string }
)

const longestOf = (open: readonly Interval[]) => Math.max(0, ...open.map(({ from, to }) => to - from))

function operationImpossibilities(model: Model, job: ModelJob, operation: ModelOperation): Impossibility[] {
  const at = { job: job.index, operation: operation.index }
  const found: Impossibility[] = []
  const stay = job.stays[operation.stay]!
  if (stay.places.length === 0) {
    const isThere = model.problem.places.some(({ kinds }) => kinds.includes(stay.kind))
    return [{ ...at, code: isThere ? 'fits-nowhere' : 'place-missing', kind: stay.kind }]
  }
  if (operation.skilled.length < operation.people)
    return [
      {
        ...at,
        code: 'skill-missing',
        skill: operation.skill,
        wanted: operation.people,
        found: operation.skilled.length,
      },
    ]
  if (operation.mode === 'solid') {
    const longest = Math.max(
      0,
      ...operation.skilled.flatMap((person) =>
        stay.places.map((place) => longestOf(model.openFor([person], place))),
      ),
    )
    if (longest < operation.minutes)
      found.push({
        ...at,
        code: 'no-shift-long-enough',
        minutes: operation.minutes,
        longest,
        skill: operation.skill,
      })
  }
  const { pin } = operation
  if (pin && pin.start < job.arrive) found.push({ ...at, code: 'pin-before-arrival' })
  for (const person of pin?.people ?? [])
    if (operation.people > 0 && !operation.skilled.includes(person))
      found.push({ ...at, code: 'pin-skill', person: model.personIds[person]!, skill: operation.skill })
  if (pin?.place !== undefined && !stay.places.includes(pin.place))
    found.push({ ...at, code: 'pin-place', place: model.placeIds[pin.place]!, kind: stay.kind })
  return found
}

/** Everything about a job that rules out any schedule. An empty list proves nothing. */
export function impossibilitiesOf(model: Model, job: ModelJob): Impossibility[] {
  if (!job.order) return [{ job: job.index, operation: 0, code: 'link-circle' }]
  const links = job.links
    .filter((link) => link.max < link.min)
    .map(
      (link): Impossibility => ({
        job: job.index,
        operation: link.from,
        code: 'link-contradicts',
        to: link.to,
        min: link.min,
        max: link.max,
      }),
    )
  return [...links, ...job.operations.flatMap((operation) => operationImpossibilities(model, job, operation))]
}

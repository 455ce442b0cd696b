import { type BayId, type OperationId, toBayId } from '../ids'
import type { LiveJob, Progress } from '../job'
import type { JobPlan } from '../offer/job-plan'
import type { Problem } from '../schedule'

/**
 * What is over takes no room any more. A car that somebody forgot to tick out of a bay, or two that the cards say stood in one, must not make every
 * plan impossible: stays that have ended lie in a place of their own beside each bay, with room for all.
 */

/** Kind of a stay that has ended. */
export const OVER = 'over'

const PREFIX = 'over '
export const overIn = (place: BayId): BayId => toBayId(`${PREFIX}${place}`)

/** The bay in which a stay that has ended really was. */
export const bayOf = (place: BayId): BayId =>
  place.startsWith(PREFIX) ? toBayId(place.slice(PREFIX.length)) : place

/** A place beside each bay for what has ended there. */
export const withOver = (places: Problem['places'], calendar: string): Problem['places'] => [
  ...places,
  ...places.map(({ id }) => ({ id: overIn(id), kinds: [OVER], capacity: 999, calendar })),
]

/**
 * The stays of a car. Where all that was planned of one is over and more has come to it since, the car has left that bay, and others may
 * have been given it: what came goes on in a stay of its own.
 */
export function staysNow(
  { plan, published }: Pick<LiveJob, 'plan' | 'published'>,
  stateOf: (id: OperationId) => Progress['kind'],
): JobPlan['stays'] {
  return plan.stays.flatMap((stay) => {
    const over = stay.operations.filter((id) => stateOf(id) === 'done')
    const rest = stay.operations.filter((id) => stateOf(id) !== 'done')
    const isPlanned = (id: OperationId) => published.some(({ operation }) => operation === id)
    const isThere = (id: OperationId) => stateOf(id) === 'started' || isPlanned(id)
    const hasLeft = rest.length > 0 && over.some(isPlanned) && !rest.some(isThere)
    return !hasLeft
      ? [stay]
      : [
          { ...stay, operations: over },
          { ...stay, id: `${stay.id} (after)`, operations: rest },
        ]
  })
}

/**
 * A stay by the bays it has been in: what was done in each lies there. What is still to come goes on in the last of them, or is a stay of its
 * own where that bay is not for it any more, since its roof is gone, say: then the car moves.
 */
export function movedOn(
  stay: JobPlan['stays'][number],
  isBegun: (id: OperationId) => boolean,
  bayOf: (id: OperationId) => BayId | undefined,
  suits: (stay: JobPlan['stays'][number], bay: BayId) => boolean,
): JobPlan['stays'] {
  const rest = stay.operations.filter((id) => !isBegun(id))
  const parts = new Map<BayId, OperationId[]>()
  let last: BayId | undefined
  for (const id of stay.operations.filter(isBegun)) {
    last = bayOf(id) ?? last
    if (last) parts.set(last, [...(parts.get(last) ?? []), id])
  }
  if (last === undefined || rest.length === 0)
    return parts.size > 1 ? split(stay, [...parts.values()]) : [stay]
  const goesOn = { ...stay, operations: [...parts.get(last)!, ...rest] }
  if (parts.size === 1 && suits(stay, last)) return [stay]
  const others = [...parts].flatMap(([bay, operations]) => (bay === last ? [] : [operations]))
  return split(
    stay,
    suits(goesOn, last) ? [...others, goesOn.operations] : [...others, parts.get(last)!, rest],
  )
}

const split = (stay: JobPlan['stays'][number], parts: readonly OperationId[][]): JobPlan['stays'] =>
  parts.map((operations, at) => ({ ...stay, id: at === 0 ? stay.id : `${stay.id} (${at + 1})`, operations }))

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
 * A stay that has begun in a bay which is not for all of it any more, since its roof is gone, say: what is still to come is a stay of its own, for
 * which the car moves. What was done there lies where it was.
 */
export function movedOn(
  stay: JobPlan['stays'][number],
  isBegun: (id: OperationId) => boolean,
  suits: (stay: JobPlan['stays'][number], begun: OperationId) => boolean,
): JobPlan['stays'] {
  const begun = stay.operations.filter(isBegun)
  const rest = stay.operations.filter((id) => !isBegun(id))
  const [first] = begun
  if (first === undefined || rest.length === 0 || suits(stay, first)) return [stay]
  return [
    { ...stay, operations: begun },
    { ...stay, id: `${stay.id} (elsewhere)`, operations: rest },
  ]
}

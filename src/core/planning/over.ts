import { type BayId, toBayId } from '../ids'
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

import { type PersonId, toPersonId } from '@/core/ids'

/** Who of the crew holds this tablet: whoever is signed in on it, or whoever took it over where nobody can sign in. */

const SIGNED_IN = 'fern-yard.signed-in'
const TOOK_OVER = 'fern-yard.took-over'

/** A browser that keeps nothing knows nobody; what is done on it is kept all the same. */
function kept(key: string): PersonId | undefined {
  try {
    const known = localStorage.getItem(key)
    return known ? toPersonId(known) : undefined
  } catch {
    return undefined
  }
}

function keep(key: string, person: PersonId | undefined): void {
  try {
    if (person) localStorage.setItem(key, person)
    else localStorage.removeItem(key)
  } catch {
    // See above.
  }
}

export const tookOver = () => kept(TOOK_OVER)
export const keepTookOver = (person: PersonId | undefined) => keep(TOOK_OVER, person)

/** Whoever signs in has the tablet, whoever had it before. */
export function keepSignedIn(person: PersonId | undefined): void {
  if (kept(SIGNED_IN) !== person) keep(TOOK_OVER, undefined)
  keep(SIGNED_IN, person)
}

export const whoHolds = (): PersonId | undefined => kept(TOOK_OVER) ?? kept(SIGNED_IN)

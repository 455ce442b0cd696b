import { type PersonId, toPersonId } from '@/core/ids'

/** Who of the crew holds this tablet: whoever is signed in on it, or whoever took it over where nobody can sign in. */

const SIGNED_IN = 'fern-yard.signed-in'
const TOOK_OVER = 'fern-yard.took-over'

const kept = (key: string): PersonId | undefined => {
  const known = localStorage.getItem(key)
  return known ? toPersonId(known) : undefined
}

function keep(key: string, person: PersonId | undefined): void {
  if (person) localStorage.setItem(key, person)
  else localStorage.removeItem(key)
}

export const tookOver = () => kept(TOOK_OVER)
export const keepTookOver = (person: PersonId | undefined) => keep(TOOK_OVER, person)
export const keepSignedIn = (person: PersonId | undefined) => keep(SIGNED_IN, person)

export const whoHolds = (): PersonId | undefined => kept(TOOK_OVER) ?? kept(SIGNED_IN)

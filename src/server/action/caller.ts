import type { AccountId, PersonId } from '@/core/ids'
import type { Role } from '@/core/staff'

/** Who asks for something, as far as the shop knows them. */
export type Caller = {
  role: Role
  account?: AccountId
  /** What they are called in the journal. */
  name?: string
  /** Who of the crew they are. */
  person?: PersonId
  session?: string
  /** The session that was locked while nobody was there: it lets nobody in, and ends when somebody signs in. */
  locked?: string
  /** The device of the shop it comes from, where it is a paired one. */
  paired?: string
  /** The tablet whose queue it stood in. */
  device?: string
  /** Under which owners of cars reach the shop, such as `https://cars.shop.example`; nothing where whoever runs it has not said. */
  address?: string
  /** Where it comes from on the network. */
  peer?: string
}

/** Whoever is at the machine, while nobody has been set up to sign in. */
export const OPEN_SHOP: Caller = { role: 'owner' }
/** The owner of a car, on the page they were given. */
export const CUSTOMER: Caller = { role: 'customer' }
export const STRANGER: Caller = { role: 'stranger' }

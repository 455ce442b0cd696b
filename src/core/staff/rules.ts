import { mayDo, type Role } from './roles'

/** What a shop decides of those who sign in. */
export type StaffRules = {
  /** After so long a screen nobody is at is locked. */
  idleMinutes: number
  /** Whether those at the cars may know how a customer is reached. */
  floorReaches: boolean
}

/** Whether somebody may know how a customer is reached. */
export const mayReach = (role: Role, { floorReaches }: StaffRules): boolean =>
  mayDo(role, 'desk') || (floorReaches && mayDo(role, 'floor'))

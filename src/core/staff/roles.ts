/** Who works with the shop's pages, and what each of them is trusted with. */

/** What somebody who signs in is to the shop. A subcontractor is given a page by a private link and does not sign in. */
export const STAFF_ROLES = ['owner', 'manager', 'counter', 'technician', 'trainee'] as const
export type StaffRole = (typeof STAFF_ROLES)[number]

/** Whoever else asks for something: the owner of a car, by the page they were given, and somebody nobody knows. */
export type Role = StaffRole | 'customer' | 'stranger'

/**
 * What is asked of somebody before a page is shown or anything done.
 * - `house`: who signs in and may do what, copies of everything, what is erased.
 * - `manage`: what the shop is and earns: prices, wages, crew, packages, the calendar moved by hand, what was learned.
 * - `desk`: customers, quotes, bookings, messages, money that comes in.
 * - `floor`: the work at the car and what it takes from the shelf.
 * - `team`: what all who work here may see or do.
 * - `customer`: what the owner of a car does from the page they were given.
 * - `anybody`: what must be had before one has said who one is.
 */
export const DUTIES = {
  house: ['owner'],
  manage: ['owner', 'manager'],
  desk: ['owner', 'manager', 'counter'],
  floor: ['owner', 'manager', 'technician', 'trainee'],
  team: ['owner', 'manager', 'counter', 'technician', 'trainee'],
  customer: ['customer'],
  anybody: ['owner', 'manager', 'counter', 'technician', 'trainee', 'customer', 'stranger'],
} as const satisfies Record<string, readonly Role[]>
export type Duty = keyof typeof DUTIES

/** Whether a role is trusted with a duty; never for a word that is no role. */
export function mayDo(role: string, duty: Duty): boolean {
  const roles: readonly string[] = DUTIES[duty]
  return roles.includes(role)
}

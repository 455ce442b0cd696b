/** Who may do something. Until people sign in, whoever stands in the shop's network is its manager. */
export const ROLES = ['manager', 'technician', 'owner'] as const
export type Role = (typeof ROLES)[number]

/**
 * `desk`: what the manager decides. `floor`: what is done in the shop, by whoever works there. `owner`: what the owner of a car
 * may do from the page they were given.
 */
export const AUDIENCES = { desk: ['manager'], floor: ['manager', 'technician'], owner: ['owner'] } as const
export type Audience = keyof typeof AUDIENCES

/** `address`: under which the shop was reached, such as `https://shop.example`; unknown to what comes from a tablet's queue. */
export type Caller = { role: string; device?: string; address?: string }

export const SHOP_FLOOR: Caller = { role: 'manager' }
export const OWNER: Caller = { role: 'owner' }

export function mayDo(caller: Caller, audience: Audience): boolean {
  const roles: readonly string[] = AUDIENCES[audience]
  return roles.includes(caller.role)
}

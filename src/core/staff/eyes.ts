import { mayDo, type Role } from './roles'
import { mayReach, type StaffRules } from './rules'

/** What somebody may see of what a page is made from. */
export type Eyes = {
  /** Prices, wages, budgets, what was paid. */
  money: boolean
  /** How a customer is reached. */
  contact: boolean
}

export const eyesOf = (role: Role, rules: StaffRules): Eyes => ({
  money: mayDo(role, 'desk'),
  contact: mayReach(role, rules),
})

const isMoney = (name: string) => /cents|price|wage/i.test(name)
const CONTACT: readonly string[] = ['phone', 'email']

/**
 * A value as somebody may have it: sums of money they may not see are nothing, and ways to reach a customer are empty. It is taken out before
 * it is sent, by what things are called, so that no page has to remember not to show it.
 */
export function asSeenBy<Value>(eyes: Eyes, value: Value): Value {
  return eyes.money && eyes.contact ? value : (veiled(eyes, value) as Value)
}

function veiled(eyes: Eyes, value: unknown, name = ''): unknown {
  if (typeof value === 'number') return !eyes.money && isMoney(name) ? 0 : value
  if (typeof value === 'string') return !eyes.contact && CONTACT.includes(name) ? '' : value
  if (Array.isArray(value)) return value.map((each) => veiled(eyes, each, name))
  if (value instanceof Map) return new Map([...value].map(([key, each]) => [key, veiled(eyes, each, name)]))
  if (typeof value !== 'object' || value === null || value instanceof Set || value instanceof Date)
    return value
  return Object.fromEntries(
    Object.entries(value).map(([own, each]) => [
      own,
      // What is sorted under a name like money, such as wages by skill, is money throughout.
      veiled(eyes, each, isMoney(name) ? name : own),
    ]),
  )
}

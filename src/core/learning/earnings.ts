import type { Skill } from '../offer'
import { minutesBetween } from '../time'
import type { Lesson } from './lesson'

/** What each package really earns by the hour a car stands in a bay, and why it is not what was planned. */

export type ShopCosts = {
  wageCentsPerHour: Record<Skill, number>
  bayCentsPerHour: number
  /** What the shop pays for a product, in percent of what it charges. */
  productPercent: number
}

/** Of one car, or the mean of many: cents, hours. */
export type Account = {
  netCents: number
  wageCents: number
  productCents: number
  vendorCents: number
  consumablesCents: number
  bayCents: number
  bayHours: number
  /** What is left once everything is paid. */
  leftCents: number
}

type Side = 'planned' | 'actual'

const hours = (minutes: number) => minutes / 60

function accountOf(lesson: Lesson, costs: ShopCosts, side: Side): Account {
  const planned = side === 'planned'
  const wageCents = lesson.steps.reduce(
    (sum, { skill, plannedMinutes, actualMinutes }) =>
      sum + costs.wageCentsPerHour[skill] * hours(planned ? plannedMinutes : actualMinutes),
    0,
  )
  const charged = lesson.products.reduce(
    (sum, { plannedMl, ml, centsPerMl }) => sum + (planned ? plannedMl : ml) * centsPerMl,
    0,
  )
  const bayHours = hours(
    lesson.bays.reduce(
      (sum, { plannedMinutes, from, to }) => sum + (planned ? plannedMinutes : minutesBetween(from, to)),
      0,
    ),
  )
  // What was planned did not reckon with a discount.
  const netCents = lesson.netCents + (planned ? lesson.discountCents : 0)
  const productCents = (charged * costs.productPercent) / 100
  const { vendorCents, consumablesCents } = lesson
  const bayCents = bayHours * costs.bayCentsPerHour
  return {
    netCents,
    wageCents,
    productCents,
    vendorCents,
    consumablesCents,
    bayCents,
    bayHours,
    leftCents: netCents - wageCents - productCents - vendorCents - consumablesCents - bayCents,
  }
}

const FIELDS = [
  'netCents',
  'wageCents',
  'productCents',
  'vendorCents',
  'consumablesCents',
  'bayCents',
  'bayHours',
  'leftCents',
] as const satisfies readonly (keyof Account)[]

function meanOf(accounts: readonly Account[]): Account {
  return Object.fromEntries(
    FIELDS.map((field) => [
      field,
      accounts.reduce((sum, account) => sum + account[field], 0) / accounts.length,
    ]),
  ) as Account
}

/** Why less, or more, was left than planned: cents a car, below 0 where it cost. They add up to the difference. */
export type Cause =
  | { kind: 'work'; key: string; cents: number; ratio: number }
  | { kind: 'discount'; cents: number }
  | { kind: 'product'; cents: number }
  | { kind: 'bay'; cents: number; hours: number }

export type PackageEarnings = {
  key: string
  name: string
  cars: number
  planned: Account
  actual: Account
  /** What an hour in the bay earns before the bay itself is paid. */
  centsPerBayHour: number
  /** The largest first. */
  causes: Cause[]
}

function causesOf(lessons: readonly Lesson[], costs: ShopCosts, planned: Account, actual: Account): Cause[] {
  const work = new Map<string, { cents: number; planned: number; actual: number }>()
  for (const { steps } of lessons)
    for (const { key, skill, plannedMinutes, actualMinutes } of steps) {
      const sum = work.get(key) ?? { cents: 0, planned: 0, actual: 0 }
      work.set(key, {
        cents: sum.cents - costs.wageCentsPerHour[skill] * hours(actualMinutes - plannedMinutes),
        planned: sum.planned + plannedMinutes,
        actual: sum.actual + actualMinutes,
      })
    }
  const causes: Cause[] = [...work].map(([key, sum]) => ({
    kind: 'work',
    key,
    cents: sum.cents / lessons.length,
    ratio: sum.planned > 0 ? sum.actual / sum.planned : 1,
  }))
  causes.push(
    { kind: 'discount', cents: actual.netCents - planned.netCents },
    { kind: 'product', cents: planned.productCents - actual.productCents },
    { kind: 'bay', cents: planned.bayCents - actual.bayCents, hours: actual.bayHours - planned.bayHours },
  )
  return causes.filter(({ cents }) => Math.abs(cents) >= 1).sort((a, b) => a.cents - b.cents)
}

/** What every package that was sold has earned, the best hour in the bay first. */
export function packageEarnings(lessons: readonly Lesson[], costs: ShopCosts): PackageEarnings[] {
  const keys = [...new Set(lessons.map(({ packageKey }) => packageKey))]
  return keys
    .map((key): PackageEarnings => {
      const own = lessons.filter(({ packageKey }) => packageKey === key)
      const planned = meanOf(own.map((lesson) => accountOf(lesson, costs, 'planned')))
      const actual = meanOf(own.map((lesson) => accountOf(lesson, costs, 'actual')))
      return {
        key,
        name: own.at(-1)!.packageName,
        cars: own.length,
        planned,
        actual,
        centsPerBayHour: actual.bayHours > 0 ? (actual.leftCents + actual.bayCents) / actual.bayHours : 0,
        causes: causesOf(own, costs, planned, actual),
      }
    })
    .sort((a, b) => b.centsPerBayHour - a.centsPerBayHour)
}

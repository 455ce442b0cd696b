import type { MethodKey } from '../correction'
import type { Choices } from './choices'
import type { Offer, OfferInput } from './offer'
import { offerCurve } from './offer-curve'
import type { PackageTemplate } from './package'

/** What a budget buys of the work at the machine: the methods of every panel and what all of it comes to; or the least it would cost. */
export type BudgetBuys =
  | { kind: 'bought'; processes: Record<string, MethodKey>; cents: number }
  | { kind: 'too-little'; leastCents: number }

const processesOf = ({ correction }: Offer): Record<string, MethodKey> =>
  Object.fromEntries(correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]))

/**
 * The farthest point of the curve whose price, as `priceOf` works it out for the whole job, integer cents, is within the budget. The price
 * does not fall along the curve. Points that cannot be worked out are passed over. Undefined where none can.
 */
export function forBudget(
  template: PackageTemplate,
  input: OfferInput,
  budgetCents: number,
  priceOf: (processes: NonNullable<Choices['processes']>) => number | undefined,
): BudgetBuys | undefined {
  const { points, offerAt } = offerCurve(template, input)
  let least: number | undefined
  for (const { minutes } of points.toReversed()) {
    const processes = processesOf(offerAt(minutes))
    const cents = priceOf(processes)
    if (cents === undefined) continue
    if (cents <= budgetCents) return { kind: 'bought', processes, cents }
    least = Math.min(least ?? cents, cents)
  }
  return least === undefined ? undefined : { kind: 'too-little', leastCents: least }
}

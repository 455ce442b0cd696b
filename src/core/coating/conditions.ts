import { type BayClimate, dewVerdict } from '../climate'
import type { Product } from './product'

/** A reason not to coat now. Temperatures in °C, humidity in %. */
export type ConditionBreach =
  | { rule: 'air-too-cold'; airC: number; minC: number }
  | { rule: 'air-too-warm'; airC: number; maxC: number }
  | { rule: 'air-too-dry'; rhPercent: number; minPercent: number }
  | { rule: 'air-too-humid'; rhPercent: number; maxPercent: number }
  | { rule: 'panel-near-dew-point'; marginC: number; requiredC: number }
  | { rule: 'climate-not-measured' }

/** Every reason why `product` must not be applied in this climate; an empty list is a go. */
export function conditionBreaches(product: Product, climate: BayClimate): ConditionBreach[] {
  const { airC, rhPercent } = climate
  const dew = dewVerdict(climate)
  if (!dew.ok) return [{ rule: 'climate-not-measured' }]
  const breaches: (ConditionBreach | false)[] = [
    airC < product.airC.min && { rule: 'air-too-cold', airC, minC: product.airC.min },
    airC > product.airC.max && { rule: 'air-too-warm', airC, maxC: product.airC.max },
    rhPercent < product.rhPercent.min && {
      rule: 'air-too-dry',
      rhPercent,
      minPercent: product.rhPercent.min,
    },
    rhPercent > product.rhPercent.max && {
      rule: 'air-too-humid',
      rhPercent,
      maxPercent: product.rhPercent.max,
    },
    !dew.value.go && {
      rule: 'panel-near-dew-point',
      marginC: dew.value.marginC,
      requiredC: dew.value.requiredMarginC,
    },
  ]
  return breaches.filter((breach) => breach !== false)
}

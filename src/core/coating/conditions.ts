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

/** Every reason why `product` must not be laid in this climate; an empty list is a go. */
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

export function conditionBreachText(breach: ConditionBreach): string {
  switch (breach.rule) {
    case 'air-too-cold':
      return `Air at ${breach.airC.toFixed(1)} °C; this product needs ${breach.minC} °C. Warm the bay first.`
    case 'air-too-warm':
      return `Air at ${breach.airC.toFixed(1)} °C; this product allows ${breach.maxC} °C. Shade or air the bay.`
    case 'air-too-dry':
      return `Humidity ${breach.rhPercent.toFixed(0)} %; this product needs ${breach.minPercent} %. Wet the floor.`
    case 'air-too-humid':
      return `Humidity ${breach.rhPercent.toFixed(0)} %; this product allows ${breach.maxPercent} %. Run the dryer and wait.`
    case 'panel-near-dew-point':
      return `The panel is only ${breach.marginC.toFixed(1)} °C above the dew point; ${breach.requiredC} °C are needed. Warm the panel.`
    case 'climate-not-measured':
      return 'The climate reading makes no sense. Measure again before coating.'
  }
}

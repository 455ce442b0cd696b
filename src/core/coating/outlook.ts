import { backWithin, dewVerdict, type Sensed } from '../climate'
import type { Instant } from '../time'
import { type ConditionBreach, conditionBreaches } from './conditions'
import type { Product } from './product'

/** Whether a product may be applied now, and if not, when the air should allow it again. */
export type CoatingOutlook = {
  breaches: ConditionBreach[]
  /** When everything should be back within its limits, as the last readings go; absent where nothing says so. */
  improvesAt?: Instant
}

/** Judges the last readings of a bay, oldest first. No reading is no go. */
export function coatingOutlook(product: Product, readings: readonly Sensed[]): CoatingOutlook {
  const last = readings.at(-1)
  if (!last) return { breaches: [{ rule: 'climate-not-measured' }] }
  const breaches = conditionBreaches(product, last.climate)
  const times = breaches.map((breach) => timeBack(breach, product, readings))
  if (breaches.length === 0 || times.some((at) => at === undefined)) return { breaches }
  return { breaches, improvesAt: times.filter((at) => at !== undefined).reduce((a, b) => (a > b ? a : b)) }
}

function timeBack(
  breach: ConditionBreach,
  product: Product,
  readings: readonly Sensed[],
): Instant | undefined {
  const series = (value: (sensed: Sensed) => number | undefined) =>
    readings.flatMap((sensed) => {
      const read = value(sensed)
      return read === undefined ? [] : [{ at: sensed.at, value: read }]
    })
  switch (breach.rule) {
    case 'air-too-cold':
    case 'air-too-warm':
      return backWithin(
        series(({ climate }) => climate.airC),
        product.airC,
      )
    case 'air-too-dry':
    case 'air-too-humid':
      return backWithin(
        series(({ climate }) => climate.rhPercent),
        product.rhPercent,
      )
    case 'panel-near-dew-point':
      return backWithin(
        series(({ climate }) => {
          const dew = dewVerdict(climate)
          return dew.ok ? dew.value.marginC : undefined
        }),
        { min: breach.requiredC, max: Number.POSITIVE_INFINITY },
      )
    default:
      return undefined
  }
}

import { type BayClimate, dewVerdict } from '@/core/climate'
import {
  type ConditionBreach,
  conditionBreaches,
  flashBand,
  type LayerWindow,
  type Product,
} from '@/core/coating'
import {
  cautionFor,
  type LiveJob,
  openedWindow,
  type PlannedOperation,
  type Progress,
  progressAt,
  recipeFor,
} from '@/core/job'
import type { Instant } from '@/core/time'
import type { LayerLog } from '@/server/work-store'

/** One step of a job card, ready to be shown. Plain data: it travels to the tablet. */
export type Step = {
  operation: PlannedOperation
  progress: Progress
  /** Every step before it is done. */
  reachable: boolean
  planned?: { start: Instant; end: Instant; people: string[]; place: string }
  caution?: string
  recipe?: string
  window?: LayerWindow
  log?: LayerLog
}

export type LayerConditions = {
  product: Product
  climate: BayClimate
  breaches: ConditionBreach[]
  dewMarginC?: number
  flash: { min: number; max: number }
}

export function cardSteps(live: LiveJob, logs: readonly LayerLog[], now: Instant): Step[] {
  return live.plan.operations.map((operation): Step => {
    const [caution, recipe] = [cautionFor(operation), recipeFor(operation)]
    const placed = live.published.find((each) => each.operation === operation.id)
    const before = live.plan.links.filter(({ to }) => to === operation.id)
    const window = openedWindow(live, operation, now)
    const log = logs.find(({ operationId }) => operationId === operation.id)
    return {
      operation,
      progress: progressAt(live, operation, now),
      reachable: before.every(({ from }) => {
        const earlier = live.plan.operations.find(({ id }) => id === from)!
        return progressAt(live, earlier, now).kind === 'done'
      }),
      ...(placed
        ? {
            planned: {
              start: placed.start as Instant,
              end: placed.end as Instant,
              people: placed.people,
              place: placed.place,
            },
          }
        : {}),
      ...(caution ? { caution } : {}),
      ...(recipe ? { recipe } : {}),
      ...(window ? { window } : {}),
      ...(log ? { log } : {}),
    }
  })
}

/** May this product be laid in this climate, and how long will it flash? */
export function layerConditions(product: Product, climate: BayClimate): LayerConditions {
  const dew = dewVerdict(climate)
  return {
    product,
    climate,
    breaches: conditionBreaches(product, climate),
    ...(dew.ok ? { dewMarginC: dew.value.marginC } : {}),
    flash: flashBand(product, climate.airC, climate.rhPercent),
  }
}

import type { Knex } from 'knex'
import { progressAt } from '@/core/job'
import { shareOfLayer } from '@/core/offer'
import type { Floor } from '@/core/planning'
import {
  bottleState,
  type CoatToCome,
  goodUntil,
  needsOf,
  type OrderOf,
  padNeeds,
  type Shelf,
  storeNeeds,
} from '@/core/stock'
import { dayIn, type LocalDay, plusDays } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { listOrders } from './orders'
import { listBottles, listSupplies, loadReorderPoints } from './stock-store'
import { listStores } from './stores'
import { stepsToCome } from './takes'

/** The shelf against what is to be applied. */

/** How far ahead the shelf is held against the plan, days. */
const AHEAD_DAYS = 7

/** Coats that are planned up to a day and not yet applied. */
export function coatsToCome({ jobs, now, shop }: Floor, until: LocalDay): CoatToCome[] {
  const zone = shop.setup.region.timezone
  return jobs.flatMap(({ job, live, agreement, stage }) => {
    if (!live || !agreement || stage.kind === 'handed-over') return []
    return live.plan.operations.flatMap((operation): CoatToCome[] => {
      const { productId, kind, layer, surface, title } = operation
      const placed = live.published.find((each) => each.operation === operation.id)
      const isCoat = kind === 'layer' || kind === 'surface'
      if (!productId || !isCoat || !placed || progressAt(live, operation, now).kind === 'done') return []
      if (dayIn(zone, placed.start) > until) return []
      const product = shop.catalogue.find(({ id }) => id === productId)
      const told = agreement.summary.coats.find((coat) =>
        kind === 'layer' ? coat.surface === 'paint' && coat.layer === layer : coat.surface === surface,
      )
      if (!product || !told) return []
      const share = shareOfLayer(operation, live.plan.operations, panelsOf(job.vehicle.shape))
      return [
        { productId, ml: Math.ceil(told.ml * share), at: placed.start, plate: job.vehicle.plate, title },
      ]
    })
  })
}

export async function loadShelf(db: Knex, floor: Floor): Promise<Shelf> {
  const { catalogue, setup } = floor.shop
  const today = dayIn(setup.region.timezone, floor.now)
  const until = plusDays(today, AHEAD_DAYS)
  const bottles = await listBottles(db)
  const supplies = await listSupplies(db)
  const stores = await listStores(db)
  const steps = await stepsToCome(db, floor, until)
  const orders = new Map((await listOrders(db)).map((order) => [order.of, order]))
  const ordered = (of: OrderOf) => {
    const order = orders.get(of)
    return order ? { ordered: order } : {}
  }
  const needs = needsOf(catalogue, bottles, coatsToCome(floor, until), await loadReorderPoints(db), today)
  return {
    needs: needs.map((need) => ({
      ...need,
      ...ordered(`product:${need.product.id}`),
      bottles: bottles
        .filter(({ productId }) => productId === need.product.id)
        .map((bottle) => ({
          ...bottle,
          state: bottleState(bottle, need.product, today),
          goodUntil: goodUntil(bottle, need.product),
        })),
    })),
    supplies,
    stores: storeNeeds(stores, steps).map((need) => {
      const { orderBelow = 0, cents = 0 } = stores.find(({ key }) => key === need.of) ?? {}
      return { ...need, ...ordered(`store:${need.of}`), orderBelow, cents }
    }),
    pads: padNeeds(supplies, steps),
    towels: steps.reduce((sum, { takes }) => sum + takes.towels, 0),
    until,
  }
}

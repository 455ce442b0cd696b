import type { Knex } from 'knex'
import {
  type CardState,
  type CoatLog,
  type Conflict,
  cardOf,
  conflictOf,
  type Entry,
  type Facts,
  factConflict,
  type KnownBottle,
  timeConflict,
  withEntry,
} from '@/core/card'
import type { BottleId, JobId, OperationId } from '@/core/ids'
import type { LiveJob } from '@/core/job'
import { isCoat, liveJob } from '@/core/planning'
import { everyone, type Shop } from '@/core/shop'
import { bottleState } from '@/core/stock'
import { dayIn, type Instant, plusMinutes } from '@/core/time'
import { anyPanelOf, type Shape } from '@/core/vehicle'
import { climateSensor } from '../devices'
import { findJob } from '../floor/job-store'
import { listPins } from '../planning/pin-store'
import { askToPlan } from '../planning/plan-requests'
import { loadPublishedOf } from '../planning/plan-store'
import { changePlan, findAgreement } from '../quotes/agreement-store'
import { panelsThatWait, planWithMethods } from '../quotes/methods-changed'
import { loadShop } from '../shop/shop-store'
import { listBottles, pour, soil } from '../stock/stock-store'
import { putBack, takeFromStores } from '../stock/stores'
import { takesOfStep } from '../stock/takes'
import { findWays } from '../survey/ways'
import { loadEntries } from './acts-store'
import { hasCome, waitFor } from './awaited-store'
import { loadProgress, recordDueBack, recordFinish, recordStart, restore } from './work-store'

/** Acts at the car, as they are taken: judged against the card as it stands, and written with what follows from them. */

/** The job of an entry with its card; undefined where nothing is agreed for it. */
type Found = { live: LiveJob; card: CardState; shape: Shape }

async function loadCard(db: Knex, jobId: JobId): Promise<Found | undefined> {
  const [job, agreement] = [await findJob(db, jobId), await findAgreement(db, jobId)]
  if (!job || !agreement) return undefined
  const progress = (await loadProgress(db, [jobId])).get(jobId) ?? {}
  const pins = (await listPins(db)).get(jobId)
  const live = liveJob(job, agreement, progress, await loadPublishedOf(db, jobId), { pinned: pins })
  return { live, card: cardOf(live, await loadEntries(db, jobId)), shape: job.vehicle.shape }
}

/** Acts after which the calendar is no longer as it was. */
const MOVES_THE_PLAN: ReadonlySet<string> = new Set([
  'begin',
  'done',
  'record',
  'undo',
  'process',
  'due-back',
  'order',
  'order-here',
])

/**
 * Takes an act: writes what follows from it, and asks in the same transaction for the plan that follows. Gives why it cannot be
 * taken; then nothing was written.
 */
export async function takeEntry(trx: Knex, entry: Entry, now: Instant): Promise<Conflict | undefined> {
  const shop = await loadShop(trx)
  const found = await loadCard(trx, entry.job)
  if (!found) return { code: 'unknown', what: 'job' }
  const { live, card } = found
  const conflict =
    // What the desk says is said by the shop's own clock, and cannot be of an odd time.
    (entry.at === now ? undefined : timeConflict(entry.at, now, live.arrive)) ??
    conflictOf(live, card, entry) ??
    factConflict(entry, await loadFacts(trx, found, shop, entry)) ??
    (await forbiddenProcess(trx, entry))
  if (conflict) return conflict
  await writeWhatFollows(trx, found, entry, shop)
  if (MOVES_THE_PLAN.has(entry.kind))
    await askToPlan(trx, { cause: 'work-at-the-car', jobs: [entry.job], at: now })
  return undefined
}

/** What there is in the shop and on this car, as far as this entry speaks of it. */
async function loadFacts(
  trx: Knex,
  { live, shape }: { live: LiveJob; shape: Shape },
  shop: Shop,
  entry: Entry,
): Promise<Facts> {
  const { setup, catalogue } = shop
  const pours = 'coat' in entry || 'poured' in entry
  const today = dayIn(setup.region.timezone, entry.at)
  const product = (id: string) => catalogue.find((each) => each.id === id)
  const bottles = (pours ? await listBottles(trx) : []).map((bottle): [BottleId, KnownBottle] => {
    const known = product(bottle.productId)
    const state = known ? bottleState(bottle, known, today) : 'past'
    return [bottle.id, { productId: bottle.productId, leftMl: bottle.leftMl, state }]
  })
  return {
    people: new Set(everyone(setup).map(({ id }) => id)),
    panels: new Set(anyPanelOf(shape).map(({ id }) => id)),
    bottles: new Map(bottles),
    products: new Map(catalogue.map((each) => [each.id, each])),
    waits: entry.kind === 'section' ? await panelsThatWait(trx, shop, live, entry.at) : new Set(),
    isPaint: (operation) => live.plan.operations.some(({ id, kind }) => id === operation && kind === 'layer'),
    planned: (operation) => live.plan.operations.find(({ id }) => id === operation)?.productId,
  }
}

/** Paint that cannot spare a process does not get it, whoever wishes it at the car. */
async function forbiddenProcess(trx: Knex, entry: Entry): Promise<Conflict | undefined> {
  if (entry.kind !== 'process') return undefined
  const way = (await findWays(trx, entry.job, entry.panel)).find(({ key }) => key === entry.process)
  if (!way) return { code: 'process-forbidden' }
  return way.forbidden ? { code: 'process-forbidden', rule: way.forbidden } : undefined
}

async function writeWhatFollows(trx: Knex, { live, card }: Found, entry: Entry, shop: Shop): Promise<void> {
  const { job, operation, at, by, id } = entry
  const why = { job, operation, act: id, at, day: dayIn(shop.setup.region.timezone, at) }
  const coated = (coat: CoatLog | undefined) =>
    coat && live.plan.operations.some((each) => each.id === operation && isCoat(each)) ? { layer: coat } : {}
  switch (entry.kind) {
    case 'begin':
      await recordStart(trx, job, operation, at, by, entry.dueBack)
      return
    case 'order':
      await waitFor(trx, job, operation, entry)
      return
    case 'order-here':
      await hasCome(trx, job, operation)
      return
    case 'due-back':
      await recordDueBack(trx, job, operation, entry.dueBack)
      return
    case 'done': {
      const began = card.progress[operation]
      const startedAt = began?.kind === 'started' ? began.at : at
      const { coat } = entry
      await takeUp(trx, shop, live, { job, operation, at })
      await recordFinish(trx, {
        jobId: job,
        operationId: operation,
        startedAt,
        endedAt: at < startedAt ? startedAt : at,
        by,
        ...coated(coat),
      })
      if (!coat) return
      await pour(trx, coat.poured, why)
      await keepAir(trx, shop, live, operation, startedAt, at)
      return
    }
    case 'record': {
      const { coat, from, to } = entry
      const times = { startedAt: from, endedAt: to, by }
      await takeUp(trx, shop, live, { job, operation, at: to })
      await recordFinish(trx, { jobId: job, operationId: operation, ...times, ...coated(coat) })
      if (!coat) return
      await pour(trx, coat.poured, { ...why, at: to, day: dayIn(shop.setup.region.timezone, to) })
      await keepAir(trx, shop, live, operation, from, to)
      return
    }
    case 'process': {
      const { processes } = withEntry(card, entry)
      const plan = await planWithMethods(trx, shop, live, processes, at)
      if (plan) await changePlan(trx, job, plan)
      return
    }
    case 'undo':
      await putBack(trx, job, operation, at)
      await restore(trx, job, operation, withEntry(card, entry).progress[operation], {
        at,
        zone: shop.setup.region.timezone,
      })
      return
    case 'high-spot-gone':
      await pour(trx, entry.poured, why)
      return
    case 'pad':
      if (entry.what === 'fresh')
        await soil(trx, 'pad', 1, (await takesOfStep(trx, shop, live, operation))?.pads)
      return
    case 'towel':
      await soil(trx, 'towel', 1)
      return
    default:
      return
  }
}

/** Liquids and tape that a step used by its recipe are booked once it is done. */
async function takeUp(
  trx: Knex,
  shop: Shop,
  live: LiveJob,
  why: { job: JobId; operation: OperationId; at: Instant },
): Promise<void> {
  const takes = await takesOfStep(trx, shop, live, why.operation)
  if (takes) await takeFromStores(trx, takes.stores, why)
}

/** Keeps the air a coat was applied in, as the sensor of its bay wrote it down. */
async function keepAir(
  trx: Knex,
  { setup }: Shop,
  live: LiveJob,
  operation: OperationId,
  from: Instant,
  until: Instant,
): Promise<void> {
  const bay = live.published.find((placed) => placed.operation === operation)?.place
  if (!bay) return
  const readings = (await climateSensor(trx, setup)).readings(bay, plusMinutes(from, -10), until)
  const rows = readings.map(({ at, climate }) => ({
    job_id: live.id,
    operation_id: operation,
    at,
    air_c_x10: Math.round(climate.airC * 10),
    rh_x10: Math.round(climate.rhPercent * 10),
    panel_c_x10: Math.round(climate.panelC * 10),
  }))
  if (rows.length > 0)
    await trx('coat_climate').insert(rows).onConflict(['job_id', 'operation_id', 'at']).ignore()
}

import type { Knex } from 'knex'
import { type CardState, type Conflict, cardOf, conflictOf, type Entry, type Reply } from '@/core/card'
import type { LiveJob } from '@/core/job'
import { isCoat, liveJob } from '@/core/planning'
import { dayIn, type Instant, plusMinutes } from '@/core/time'
import { climateSensor } from '../devices'
import { findJob } from '../floor/job-store'
import { listPins } from '../planning/pin-store'
import { askToPlan } from '../planning/plan-requests'
import { loadPublishedOf } from '../planning/plan-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { pour, soil } from '../stock/stock-store'
import { findWays } from '../survey/ways'
import { loadEntries, type ReceivedBatch, receiveBatch } from './acts-store'
import { loadProgress, recordFinish, recordStart } from './work-store'

/** Acts at the car, as they are taken: judged against the card as it stands, and written with what follows from them. */

/** The job of an entry with its card; undefined where nothing is agreed for it. */
async function loadCard(db: Knex, jobId: string): Promise<{ live: LiveJob; card: CardState } | undefined> {
  const [job, agreement] = [await findJob(db, jobId), await findAgreement(db, jobId)]
  if (!job || !agreement) return undefined
  const progress = (await loadProgress(db, [jobId])).get(jobId) ?? {}
  const pins = (await listPins(db)).get(jobId)
  const live = liveJob(job, agreement, progress, await loadPublishedOf(db, jobId), pins)
  return { live, card: cardOf(live, await loadEntries(db, jobId)) }
}

async function takeEntry(trx: Knex, entry: Entry, zone: string): Promise<Conflict | undefined> {
  const found = await loadCard(trx, entry.job)
  if (!found) return { code: 'step-gone' }
  const conflict = conflictOf(found.live, found.card, entry) ?? (await forbiddenProcess(trx, entry))
  if (!conflict) await writeWhatFollows(trx, found, entry, zone)
  return conflict
}

/** Paint that cannot spare a process does not get it, whoever wishes it at the car. */
async function forbiddenProcess(trx: Knex, entry: Entry): Promise<Conflict | undefined> {
  if (entry.kind !== 'process') return undefined
  const way = (await findWays(trx, entry.job, entry.panel)).find(({ name }) => name === entry.process)
  if (!way) return { code: 'process-forbidden', why: 'this shop does not know it.' }
  return way.forbidden ? { code: 'process-forbidden', why: way.forbidden } : undefined
}

async function writeWhatFollows(
  trx: Knex,
  { live, card }: { live: LiveJob; card: CardState },
  entry: Entry,
  zone: string,
): Promise<void> {
  const { job, operation, at, by, id } = entry
  const why = { job, operation, act: id, at, day: dayIn(zone, at) }
  switch (entry.kind) {
    case 'begin':
      await recordStart(trx, job, operation, at, by)
      return
    case 'done': {
      const began = card.progress[operation]
      const startedAt = began?.kind === 'started' ? began.at : at
      const { coat } = entry
      const isCoated = live.plan.operations.some((each) => each.id === operation && isCoat(each))
      await recordFinish(trx, {
        jobId: job,
        operationId: operation,
        startedAt,
        endedAt: at < startedAt ? startedAt : at,
        by,
        ...(coat && isCoated ? { layer: coat } : {}),
      })
      if (!coat) return
      await pour(trx, coat.poured, why)
      await keepAir(trx, live, operation, startedAt, at)
      return
    }
    case 'high-spot-gone':
      await pour(trx, entry.poured, why)
      return
    case 'pad':
      if (entry.what === 'fresh') await soil(trx, 'pad', 1)
      return
    case 'towel':
      await soil(trx, 'towel', 1)
      return
    default:
      return
  }
}

/** Keeps the air a coat was laid in, as the sensor of its bay wrote it down. */
async function keepAir(
  trx: Knex,
  live: LiveJob,
  operation: string,
  from: Instant,
  until: Instant,
): Promise<void> {
  const bay = live.published.find((placed) => placed.operation === operation)?.place
  if (!bay) return
  const readings = (await climateSensor(trx, (await loadShop(trx)).setup)).readings(
    bay,
    plusMinutes(from, -10),
    until,
  )
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

/** Acts after which the calendar is no longer as it was. */
const MOVES_THE_PLAN: ReadonlySet<string> = new Set(['begin', 'done'])

/** Takes a batch from a tablet, and asks in the same transaction for the plan that follows from it. */
export async function takeActs(db: Knex, batch: ReceivedBatch, now: Instant): Promise<Reply<Conflict>> {
  const { timezone } = (await loadShop(db)).setup
  const touched = new Set<string>()
  return receiveBatch(
    db,
    batch,
    now,
    async (trx, entry) => {
      const conflict = await takeEntry(trx, entry, timezone)
      if (!conflict && MOVES_THE_PLAN.has(entry.kind)) touched.add(entry.job)
      return conflict
    },
    async (trx) => {
      if (touched.size > 0) await askToPlan(trx, { cause: 'work at the car', jobs: [...touched], at: now })
    },
  )
}

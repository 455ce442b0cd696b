import path from 'node:path'
import type { JobId } from '@/core/ids'
import type { Job } from '@/core/job'
import type { JobPlan } from '@/core/offer'
import { adviceFor, type Foreseen, watchPromise } from '@/core/planning'
import { answerCaller, type Enquiry } from '@/core/planning/caller'
import type { Instant, LocalDay } from '@/core/time'
import type { VehicleSize } from '@/core/vehicle'
import { refreshStalest } from '../aftercare/care-dates'
import { daysFor } from '../aftercare/short-jobs'
import { backUp, backupPlaces, listBackups, passphraseOf } from '../backup/places'
import { rehearseBackup } from '../backup/restore'
import { planOfList } from '../bring/bring-store'
import { now } from '../clock'
import { atOneMoment, database, writer } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { drainPlanRequests } from '../planning/drain'
import { watchKept } from '../planning/watch'
import { workOut } from '../planning/work-out'
import { whenForPlan, whyNotEarlier } from '../quotes/offers'
import { loadShop } from '../shop/shop-store'

const floorAt = (at: Instant) => atOneMoment((db) => loadFloor(db, at))

/** What runs beside the thread that answers pages. Each takes and gives plain data. */
export const TASKS = {
  'plan-requests': async () => drainPlanRequests(await writer(), now),
  /** One car's dates of care, looked ahead anew. Gives whether there was one. */
  'stalest-care-dates': async () => {
    const db = await writer()
    return refreshStalest(db, await loadShop(db), now())
  },
  'work-out': async (at: Instant, what: Foreseen) => workOut(await database(), at, what),
  /** When a job could be fetched with each of these plans, nobody else moved. */
  fits: async (at: Instant, job: Pick<Job, 'id' | 'arriveAt' | 'vehicle'>, plans: readonly JobPlan[]) => {
    const floor = await floorAt(at)
    return plans.map((plan) => whenForPlan(floor, job, plan))
  },
  days: async (at: Instant, plan: JobPlan, size: VehicleSize, from: LocalDay) =>
    daysFor(await floorAt(at), plan, size, from),
  /** What a list that was set down would bring; a few of those the shop knows stand for all. */
  bring: async (id: string) => {
    const { rows, plan } = await atOneMoment((db) => planOfList(db, id))
    return {
      rows,
      customers: plan.customers.length,
      vehicles: plan.vehicles.length,
      past: plan.past.length,
      pastKnown: plan.pastKnown,
      recognised: plan.recognised.length,
      examples: plan.recognised.slice(0, 12),
    }
  },
  caller: async (at: Instant, told: Enquiry) => answerCaller(await floorAt(at), told),
  /** How surely each promise is kept, as the calendar stands. */
  promises: async (at: Instant) => watchKept(await floorAt(at)),
  /** How surely the promise of one job is kept. */
  promise: async (at: Instant, job: JobId) => watchPromise(await floorAt(at), job),
  /** What can be done for one promise. */
  advice: async (at: Instant, job: JobId) => adviceFor(await floorAt(at), job),
  /** A backup now, by the clock of a zone; gives how large it is, bytes. */
  'back-up': async (zone: string, at: Instant) => (await backUp(zone, at)).bytes,
  /** Whether the latest backup could be restored: unpacks and compares it. Gives when it was made; nothing where there is none. */
  'rehearse-backup': async () => {
    const places = backupPlaces()
    const { into } = places
    const [latest] = await listBackups(into)
    if (!latest) return undefined
    const { madeAt } = await rehearseBackup(path.join(into, latest.name), into, passphraseOf(places))
    return madeAt
  },
  'why-not-earlier': async (at: Instant, jobId: JobId) => whyNotEarlier(await floorAt(at), jobId),
}

export type TaskName = keyof typeof TASKS
export type TaskArgs<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>
export type TaskResult<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>

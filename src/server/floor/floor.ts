import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import { type Job, stageOf } from '@/core/job'
import { type Floor, type FloorJob, liveJob } from '@/core/planning'
import { dayIn, type Instant } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { listHolds } from '../planning/hold-store'
import { listOutages } from '../planning/outage-store'
import { listPins } from '../planning/pin-store'
import { lastPlanning, loadPublished } from '../planning/plan-store'
import { agreementsOf } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { listAwaited } from '../work/awaited-store'
import { loadProgress } from '../work/work-store'
import { findJob, listFloorJobs } from './job-store'

/** Whether a film gauge can read anything on this vehicle. */
function anyPanelReads({ paintSystem }: Vehicle): boolean {
  return !['wrap', 'gelcoat', 'bare-metal'].includes(paintSystem)
}

/** How many of the cars that went home last a floor still knows. */
const GONE_SHOWN = 5

/** Jobs as they stand at one moment. */
async function standing(db: Knex, jobs: readonly Job[], now: Instant): Promise<FloorJob[]> {
  const ids = jobs.map(({ id }) => id)
  const agreements = await agreementsOf(db, ids)
  const progress = await loadProgress(db, ids)
  const published = await loadPublished(db, ids)
  const pins = await listPins(db)
  const awaited = await listAwaited(db, ids)
  const among = async (table: string) =>
    new Set<string>((await db(table).whereIn('job_id', ids).distinct('job_id')).map((row) => row.job_id))
  const [read, graded] = [await among('film_readings'), await among('defects')]
  return jobs.map((job): FloorJob => {
    const agreement = agreements.get(job.id)
    // Where no gauge reads anything, looking is all the surveying there is.
    const surveyed = read.has(job.id) || (!anyPanelReads(job.vehicle) && graded.has(job.id))
    const live =
      agreement &&
      liveJob(job, agreement, progress.get(job.id) ?? {}, published.get(job.id) ?? [], {
        pinned: pins.get(job.id),
        awaited: awaited.get(job.id),
      })
    const stage = stageOf(
      { job: live, surveyed, handedOver: job.handedOverAt !== undefined, isVisit: job.kind === 'visit' },
      now,
    )
    return { job, ...(agreement ? { agreement } : {}), ...(live ? { live } : {}), stage, surveyed }
  })
}

export async function loadFloor(db: Knex, now: Instant): Promise<Floor> {
  const shop = await loadShop(db)
  const planning = await lastPlanning(db)
  const jobs = await standing(db, await listFloorJobs(db, GONE_SHOWN), now)
  const holds = await listHolds(db, dayIn(shop.setup.region.timezone, now), now)
  return { now, shop, outages: await listOutages(db, now), jobs, holds, ...(planning ? { planning } : {}) }
}

/** One job: from the floor, or from long ago. Undefined where there never was one of that id. */
export async function jobOnFloor(db: Knex, floor: Floor, id: JobId): Promise<FloorJob | undefined> {
  const here = floor.jobs.find(({ job }) => job.id === id)
  if (here) return here
  const job = await findJob(db, id)
  return job && (await standing(db, [job], floor.now))[0]
}

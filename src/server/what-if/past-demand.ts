import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { atLocal, dayIn, type Instant, plusMonths } from '@/core/time'
import { sizeOf } from '@/core/vehicle'
import { type AskedCar, moneyOf } from '@/core/what-if'
import { jobsByIds } from '../floor/job-store'
import { agreementsOf } from '../quotes/agreement-store'

/** So far back demand is replayed, months. */
const MONTHS = 12

/** The cars of the last twelve months that have gone home and had one of the packages the shop sells, as their owners asked. */
export async function pastDemand(db: Knex, { setup }: Shop, now: Instant): Promise<AskedCar[]> {
  const zone = setup.region.timezone
  const from = atLocal(zone, plusMonths(dayIn(zone, now), -MONTHS), '00:00')
  const rows: { id: JobId }[] = await db('jobs')
    .join('agreements', 'agreements.job_id', 'jobs.id')
    .whereNotNull('jobs.handed_over_at')
    .whereBetween('jobs.arrive_at', [from, now])
    .whereIn(
      'agreements.package_key',
      setup.packages.map(({ key }) => key),
    )
    .select('jobs.id')
  const ids = rows.map(({ id }) => id)
  const agreements = await agreementsOf(db, ids)
  return (await jobsByIds(db, ids)).flatMap((job): AskedCar[] => {
    const agreement = agreements.get(job.id)
    if (!agreement) return []
    const { packageKey, plan } = agreement
    return [
      {
        id: job.id,
        packageKey,
        asked: job.arriveAt,
        size: sizeOf(job.vehicle),
        plan,
        ...moneyOf(agreement, setup.costs),
      },
    ]
  })
}

import type { Knex } from 'knex'
import type { VehicleId } from '@/core/ids'
import type { Past } from '@/core/job'
import { takenByPanel } from '@/core/survey'
import { dayIn } from '@/core/time'
import { visitsOf } from '../floor/job-store'
import { agreementsOf } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { loadLedger } from '../vehicles/ledger-store'
import { findKnown } from '../vehicles/vehicle-store'

/** Undefined where there is no such vehicle. */
export async function loadPast(db: Knex, vehicleId: VehicleId): Promise<Past | undefined> {
  const known = await findKnown(db, vehicleId)
  if (!known) return undefined
  const { setup } = await loadShop(db)
  const jobs = await visitsOf(db, vehicleId)
  const agreements = await agreementsOf(
    db,
    jobs.map(({ id }) => id),
  )
  const visits = jobs.map((job) => {
    const agreement = agreements.get(job.id)
    return {
      jobId: job.id,
      number: job.number,
      day: dayIn(setup.region.timezone, job.arriveAt),
      wishes: job.wishes,
      ...(agreement ? { packageName: agreement.packageName } : {}),
      ...(job.odometerKm === undefined ? {} : { odometerKm: job.odometerKm }),
    }
  })
  const taken = Object.entries(takenByPanel(await loadLedger(db, vehicleId)))
    .map(([panel, entry]) => ({ panel, ...entry }))
    .sort((a, b) => b.takenUm - a.takenUm)
  return { known, visits, taken }
}

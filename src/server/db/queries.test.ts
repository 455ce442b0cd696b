import type { Knex } from 'knex'
import { expect, test } from 'vitest'
import type { VehicleId } from '@/core/ids'
import type { Job } from '@/core/job'
import { instantOrThrow } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { visitsOf } from '../floor/job-store'
import { proposalViews } from '../messages/proposal-view'
import { proposeMessages } from '../messages/proposed-messages'
import { loadShop } from '../shop/shop-store'
import { loadPaintStudy } from '../survey/paint-memory'
import { earlierVisits } from '../vehicles/earlier-visits'
import { loadTimeline } from '../vehicles/timeline'
import { loadHistory } from '../vehicles/vehicle-history'
import { demoShop } from './demo-shop.fixture'

/** A survey alone lies in eight tables. */
const MOST = 22
const NOW = instantOrThrow('2027-01-13T10:20:00Z')

const years = demoShop(NOW, 'years')

/** How many times the database was asked. */
async function queriesOf(db: Knex, read: () => Promise<unknown>): Promise<number> {
  let asked = 0
  const count = () => {
    asked += 1
  }
  db.on('query', count)
  await read()
  db.removeListener('query', count)
  return asked
}

/** The visits of the vehicle that was here most often, the oldest first. */
async function visitsOfRegular(db: Knex): Promise<Job[]> {
  const rows = await db('jobs').select('vehicle_id')
  const visits = new Map<VehicleId, number>()
  for (const { vehicle_id } of rows) visits.set(vehicle_id, (visits.get(vehicle_id) ?? 0) + 1)
  const [most] = [...visits].sort(([, a], [, b]) => b - a)
  expect(most![1]).toBeGreaterThan(2)
  return visitsOf(db, most![0])
}

test('what is read of many jobs is asked for at once, not job by job', async () => {
  const { db } = years
  const shop = await loadShop(db)
  const job = (await visitsOfRegular(db)).at(-1)!
  const vehicleId = job.vehicle.id
  const counts = {
    floor: await queriesOf(db, () => loadFloor(db, NOW)),
    'paint memory': await queriesOf(db, () => loadPaintStudy(db, job, shop.setup)),
    'earlier visits': await queriesOf(db, () => earlierVisits(db, job, shop.setup.region.timezone)),
    timeline: await queriesOf(db, () => loadTimeline(db, shop, vehicleId)),
    history: await queriesOf(db, () => loadHistory(db, shop, vehicleId, NOW)),
    proposals: await queriesOf(db, async () =>
      proposalViews(db, shop, (await proposeMessages(db, shop, NOW)).proposed),
    ),
  }
  for (const [what, asked] of Object.entries(counts)) expect(asked, what).toBeLessThanOrEqual(MOST)
})

import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop } from '@demo/copy'
import type { Knex } from 'knex'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Shop } from '@/core/shop'
import { instantOrThrow } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { listFloorJobs } from '../floor/job-store'
import { proposalViews } from '../messages/proposal-view'
import { proposeMessages } from '../messages/proposed-messages'
import { loadShop } from '../shop/shop-store'
import { loadPaintStudy } from '../survey/paint-memory'
import { earlierVisits } from '../vehicles/earlier-visits'
import { loadTimeline } from '../vehicles/timeline'
import { loadHistory } from '../vehicles/vehicle-history'
import { openDatabase } from './connection'
import { databaseFile } from './data-folder'

/** A survey alone lies in eight tables. */
const MOST = 20
const NOW = instantOrThrow('2027-01-13T10:20:00Z')

let folder: string
let db: Knex
let shop: Shop
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-test-'))
  process.env.FERN_YARD_DATA = folder
  copyShop(folder, NOW, 'years')
  db = await openDatabase(databaseFile())
  shop = await loadShop(db)
})
afterAll(async () => {
  await db.destroy()
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

/** How many times the database was asked. */
async function queriesOf(read: () => Promise<unknown>): Promise<number> {
  let asked = 0
  const count = () => {
    asked += 1
  }
  db.on('query', count)
  await read()
  db.removeListener('query', count)
  return asked
}

/** The vehicle that was here most often, and its last visit. */
async function regular(): Promise<{ vehicleId: string; jobId: string }> {
  const [most] = await db('jobs')
    .groupBy('vehicle_id')
    .orderBy('visits', 'desc')
    .select('vehicle_id', db.raw('count(*) as visits'), db.raw('max(id) as id'))
    .limit(1)
  expect(most.visits).toBeGreaterThan(2)
  return { vehicleId: most.vehicle_id, jobId: most.id }
}

test('what is read of many jobs is asked for at once, not job by job', async () => {
  const { vehicleId } = await regular()
  const [job] = await listFloorJobs(db, 1)
  const counts = {
    floor: await queriesOf(() => loadFloor(db, NOW)),
    'paint memory': await queriesOf(() => loadPaintStudy(db, job!, shop.setup)),
    'earlier visits': await queriesOf(() => earlierVisits(db, job!, shop.setup.timezone)),
    timeline: await queriesOf(() => loadTimeline(db, shop, vehicleId)),
    history: await queriesOf(() => loadHistory(db, shop, vehicleId, NOW)),
    proposals: await queriesOf(async () =>
      proposalViews(db, shop, (await proposeMessages(db, shop, NOW)).proposed),
    ),
  }
  for (const [what, asked] of Object.entries(counts)) expect(asked, what).toBeLessThanOrEqual(MOST)
})

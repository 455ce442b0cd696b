import { describe, expect, test } from 'vitest'
import { correctionsLeft } from '@/core/aftercare'
import { HARDNESS_GIVE } from '@/core/correction'
import { toVehicleId } from '@/core/ids'
import { takenByPanel } from '@/core/survey'
import { paintKnowledge } from '@/core/test-spot'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { findJob } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { loadPaintStudy } from '../survey/paint-memory'
import { correctionsOf } from './corrections'
import { appendRemovals, loadLedger } from './ledger-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

async function stayOf(plate: string) {
  const { id } = await shop
    .db('jobs')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .where({ plate })
    .orderBy('arrive_at', 'desc')
    .first('jobs.id')
  return (await findJob(shop.db, id))!
}
async function leftOf(plate: string, panel: string) {
  const { setup } = await loadShop(shop.db)
  const { vehicle } = await stayOf(plate)
  return (await correctionsOf(shop.db, setup, vehicle)).find((each) => each.panel === panel)!.left
}

describe('how often a panel can still be corrected', () => {
  test('is not at all where the gauge leaves nothing, however empty the ledger', async () => {
    const { vehicle } = await stayOf('IM 19')
    expect(takenByPanel(await loadLedger(shop.db, toVehicleId(vehicle.id))).bonnet).toBeUndefined()
    expect(await leftOf('IM 19', 'bonnet')).toEqual({ leftUm: 0, polishes: 0, cuts: 0 })
    expect((await leftOf('IM 19', 'roof')).polishes).toBeGreaterThan(0)
  })
  test('goes by what test spots have shown of this paint, not by what was declared', async () => {
    const { setup } = await loadShop(shop.db)
    const job = await stayOf('IM 4471')
    const learned = paintKnowledge(await loadPaintStudy(shop.db, job, setup))['metal-original'].give
    expect(learned).not.toBeCloseTo(HARDNESS_GIVE[job.vehicle.hardness], 2)
    const left = await leftOf('IM 4471', 'roof')
    expect(left.polishes).toBe(correctionsLeft(undefined, learned, left.leftUm).polishes)
  })
  test('counts what was taken since the readings', async () => {
    const job = await stayOf('IM 4471')
    const before = await leftOf('IM 4471', 'roof')
    const removal = {
      panel: 'roof',
      removedUm: 2,
      uncertaintyUm: 0.5,
      source: 'worked-out',
      note: '',
    } as const
    await appendRemovals(
      shop.db,
      toVehicleId(job.vehicle.id),
      job.id,
      [{ ...removal, day: '2027-01-13' as never }],
      NOW,
    )
    const after = await leftOf('IM 4471', 'roof')
    expect(before.leftUm - after.leftUm).toBeGreaterThanOrEqual(2 - 1e-9)
  })
})

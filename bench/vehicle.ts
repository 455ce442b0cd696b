import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { toVehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { emptyRecord } from '@/core/survey'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { isMetal, panelsOf } from '@/core/vehicle'
import { openDatabase } from '@/server/db/connection'
import { findJob, takeIn } from '@/server/floor/job-store'
import { addPhoto } from '@/server/photos/photo-store'
import { loadShop } from '@/server/shop/shop-store'
import { saveSurvey } from '@/server/survey/survey-store'
import { loadTimeline } from '@/server/vehicles/timeline'

const VISITS = 10
const PHOTOS = 60
const ROUNDS = 10
const START = instantOrThrow('2020-01-13T09:00:00Z')

/** Everything the page of a vehicle with ten visits and sixty photographs needs from the database, ms. */
export async function vehicleBench(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-bench-'))
  const db = await openDatabase(path.join(folder, 'shop.db'))
  const intake = {
    ...emptyIntake('2020-01-13'),
    customerName: 'A',
    plate: 'A',
    make: 'A',
    model: 'A',
    colour: 'A',
    wishes: 'A',
  }
  let vehicleId = toVehicleId('')
  for (let visit = 0; visit < VISITS; visit++) {
    const at = plusMinutes(START, visit * 200 * 1440)
    const jobId = await takeIn(db, { ...intake, vehicleId }, at, at)
    vehicleId = (await findJob(db, jobId))!.vehicle.id
    const record = emptyRecord()
    for (const { id, substrate } of panelsOf('hatchback'))
      if (isMetal(substrate))
        record.before.readings[id] = Array.from({ length: 8 }, (_, n) => ({ um: 110 + n }))
    await saveSurvey(db, jobId, 1, { ...record, after: record.before }, at)
    for (let photo = 0; photo < PHOTOS / VISITS; photo++)
      await addPhoto(db, {
        jobId,
        place: 'bonnet',
        phase: 'before',
        hash: 'a'.repeat(64),
        width: 2400,
        height: 1800,
        takenAt: at,
      })
  }
  const shop = await loadShop(db)
  const times: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now()
    await loadTimeline(db, shop, vehicleId)
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  console.log(
    `vehicle: ${VISITS} visits and ${PHOTOS} photographs read: median ${times[ROUNDS / 2]!.toFixed(1)} ms`,
  )
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
}

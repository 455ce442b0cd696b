import type { Knex } from 'knex'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { PanelTrend } from '@/core/aftercare'
import { type JobId, toJobId, type VehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { type Instant, instantOrThrow, localDayOrThrow } from '@/core/time'
import { openDatabase } from '../db/connection'
import { findJob, takeIn } from '../floor/job-store'
import { loadTrends } from './trends'

/** A car measured year after year, with figures chosen so that every trend can be told by hand. */

const ZONE = 'Europe/Dublin'
let db: Knex
let vehicle: { id: VehicleId; shape: 'hatchback' }
const jobs: JobId[] = []

const ARRIVALS = ['2024-01-10', '2025-01-10', '2026-01-10'].map((day) => instantOrThrow(`${day}T08:00:00Z`))

async function stay(arriveAt: Instant, vehicleId?: VehicleId): Promise<JobId> {
  const intake = {
    ...emptyIntake(arriveAt.slice(0, 10)),
    ...(vehicleId ? { vehicleId } : {}),
    customerName: 'Ita Whelk',
    plate: 'IM 1',
    make: 'Marl',
    model: 'Puffin',
    shape: 'hatchback' as const,
    colour: 'Slate',
    wishes: 'Clean.',
  }
  return takeIn(db, intake, arriveAt, arriveAt)
}

/** Adds readings of one panel after those it has. */
async function film(
  job: JobId,
  phase: 'before' | 'after',
  panel: string,
  values: number[],
  settled: 'set-aside' | null = null,
): Promise<void> {
  const there = (await db('film_readings').where({ job_id: job, phase, panel })).length
  await db('film_readings').insert(
    values.map((um, at) => ({
      job_id: job,
      phase,
      panel,
      position: there + at,
      film_um_x10: um * 10,
      settled,
    })),
  )
}

const of = (trends: readonly PanelTrend[], panel: string) => trends.find((each) => each.panel === panel)!

beforeAll(async () => {
  db = await openDatabase(':memory:')
  const first = await stay(ARRIVALS[0]!)
  const { vehicle: car } = (await findJob(db, first))!
  vehicle = { id: car.id, shape: 'hatchback' }
  jobs.push(first)
  for (const at of ARRIVALS.slice(1)) {
    await db('jobs')
      .where({ id: jobs.at(-1)! })
      .update({ handed_over_at: at })
    jobs.push(await stay(at, car.id))
  }
})
afterAll(() => db.destroy())

describe('film', () => {
  test('what was polished off at a job is no wear: the trend stays level over it', async () => {
    const [first, second, third] = jobs as [JobId, JobId, JobId]
    await film(first, 'before', 'bonnet', [120, 121, 119, 120])
    await film(first, 'after', 'bonnet', [116, 117, 115, 116])
    await db('removals').insert({
      vehicle_id: vehicle.id,
      job_id: first,
      panel: 'bonnet',
      day: localDayOrThrow('2024-01-12'),
      removed_um_x10: 40,
      uncertainty_um_x10: 5,
      source: 'measured',
      note: '',
      written_at: ARRIVALS[0]!,
    })
    await film(second, 'before', 'bonnet', [116, 117, 115, 116])
    await film(third, 'before', 'bonnet', [116, 117, 115, 116])
    const { rounds, trend } = of((await loadTrends(db, vehicle, ZONE)).film, 'bonnet')
    expect(rounds.map(({ day, phase, value }) => [day, phase, Math.round(value)])).toEqual([
      ['2024-01-10', 'before', 120],
      ['2024-01-10', 'after', 116],
      ['2025-01-10', 'before', 116],
      ['2026-01-10', 'before', 116],
    ])
    expect(trend!.perYear).toBeCloseTo(0, 6)
    expect(trend!.last).toBeCloseTo(120, 6)
    expect(trend!.isReal).toBe(false)
  })
  test('what is gone and in no ledger shows as a real change', async () => {
    const [first, second, third] = jobs as [JobId, JobId, JobId]
    await film(first, 'before', 'roof', [110, 110, 110])
    await film(second, 'before', 'roof', [105, 105, 105])
    await film(third, 'before', 'roof', [100, 100, 100])
    const { trend } = of((await loadTrends(db, vehicle, ZONE)).film, 'roof')
    expect(trend!.perYear).toBeCloseTo(-5, 1)
    expect(trend!.isReal).toBe(true)
  })
  test('readings that were set aside, and panels a gauge cannot read, have no part in it', async () => {
    const [first, second] = jobs as [JobId, JobId]
    await film(first, 'before', 'tailgate', [100, 100])
    await film(first, 'before', 'tailgate', [300], 'set-aside')
    await film(second, 'before', 'tailgate', [100, 100])
    await film(first, 'before', 'front-bumper', [90, 90])
    const trends = (await loadTrends(db, vehicle, ZONE)).film
    expect(of(trends, 'tailgate').rounds.map(({ value }) => value)).toEqual([100, 100])
    expect(of(trends, 'front-bumper')).toBeUndefined()
  })
  test('one visit makes no trend', async () => {
    await film(jobs[0]!, 'before', 'front-door-left', [100, 101])
    const { rounds, trend } = of((await loadTrends(db, vehicle, ZONE)).film, 'front-door-left')
    expect(rounds).toHaveLength(1)
    expect(trend).toBeUndefined()
  })
})

test('gloss is followed from the last time it was polished, on plastic, too', async () => {
  const gloss = (job: string, phase: 'before' | 'after', gu: number) =>
    db('gloss_readings').insert({
      job_id: toJobId(job),
      phase,
      panel: 'front-bumper',
      position: 0,
      gu_x10: gu * 10,
    })
  const [first, second, third] = jobs as [JobId, JobId, JobId]
  await gloss(first, 'before', 70)
  await gloss(first, 'after', 95)
  await gloss(second, 'before', 90)
  await gloss(third, 'before', 85)
  const { rounds, trend } = of((await loadTrends(db, vehicle, ZONE)).gloss, 'front-bumper')
  expect(rounds.map(({ value }) => value)).toEqual([70, 95, 90, 85])
  expect(trend!.perYear).toBeCloseTo(-5, 1)
})

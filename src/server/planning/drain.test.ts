import { expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { openJobs } from '@/core/planning'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { recordStart } from '../work/work-store'
import { drainPlanRequests } from './drain'
import { askToPlan, openRequests } from './plan-requests'
import { lastPlanning } from './plan-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const clock = () => NOW

test('what was asked for is planned once, several requests together, and nothing stays open', async () => {
  const [first, second] = openJobs(await loadFloor(shop.db, NOW))
  await askToPlan(shop.db, { cause: 'work at the car', jobs: [first!.id], at: NOW })
  await askToPlan(shop.db, { cause: 'a fault sent back', jobs: [second!.id], at: NOW })
  expect(await drainPlanRequests(shop.db, clock)).toBe(2)
  expect(await openRequests(shop.db)).toEqual([])
  expect((await lastPlanning(shop.db))?.cause).toBe('work at the car; a fault sent back')
  expect(await drainPlanRequests(shop.db, clock)).toBe(0)
})

test('a floor that changes while it is planned is planned again from how it stands then', async () => {
  const job = openJobs(await loadFloor(shop.db, NOW)).find(
    ({ progress, plan }) => !progress[plan.operations[0]!.id],
  )!
  await askToPlan(shop.db, { cause: 'first', jobs: [job.id], at: NOW })
  let asked = 0
  // Between the reading of the clock and the publishing somebody begins the car.
  const meanwhile = () => {
    asked += 1
    if (asked === 1) void recordStart(shop.db, job.id, job.plan.operations[0]!.id, NOW, toPersonId('senan'))
    return plusMinutes(NOW, asked)
  }
  expect(await drainPlanRequests(shop.db, meanwhile)).toBe(1)
  const after = openJobs(await loadFloor(shop.db, NOW)).find(({ id }) => id === job.id)!
  expect(after.progress[job.plan.operations[0]!.id]).toMatchObject({ kind: 'started' })
  expect(await openRequests(shop.db)).toEqual([])
})

test('a request that cannot be met is closed with its fault, and those after it are met', async () => {
  await askToPlan(shop.db, { cause: 'fine', at: NOW })
  const broken = () => 'no time at all' as typeof NOW
  await drainPlanRequests(shop.db, broken)
  expect(await openRequests(shop.db)).toEqual([])
  expect(await shop.db('plan_requests').whereNotNull('fault')).toHaveLength(1)
  await askToPlan(shop.db, { cause: 'next', jobs: [], at: NOW })
  expect(await drainPlanRequests(shop.db, clock)).toBe(1)
})

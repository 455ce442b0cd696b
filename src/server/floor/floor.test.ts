import { expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { openJobs, planFloor, shopCalendar } from '@/core/planning'
import { instantOrThrow, minutesBetween, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from './floor'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

test('one plan that cannot be read takes no other car with it', async () => {
  const before = openJobs(await loadFloor(shop.db, NOW))
  const [first] = before
  const kept = await shop.db('agreements').where({ job_id: first!.id }).first('plan')
  await shop.db('agreements').where({ job_id: first!.id }).update({ plan: '{"nonsense":true}' })
  await shop.db('published').where({ job_id: before[1]!.id }).limit(1).update({ segments: '[["never"]]' })
  const floor = await loadFloor(shop.db, NOW)
  expect(openJobs(floor).map(({ id }) => id)).toEqual(before.slice(1).map(({ id }) => id))
  await shop.db('agreements').where({ job_id: first!.id }).update(kept!)
})

test('a step that is said to have begun in 1970 does not make the calendar long', async () => {
  const floor = await loadFloor(shop.db, NOW)
  const jobs = openJobs(floor).map((job, at) => {
    const first = job.plan.operations[0]!.id
    const from = instantOrThrow('1970-01-01T00:00:00Z')
    const done = { kind: 'done' as const, from, to: plusMinutes(from, 60), by: toPersonId('senan') }
    return at === 0 ? { ...job, progress: { ...job.progress, [first]: done } } : job
  })
  const { problem } = planFloor(shopCalendar(floor.shop.setup), jobs, { now: NOW })
  const oldest = problem.fixed.map(({ start }) => start).toSorted()[0]!
  expect(minutesBetween(oldest, NOW)).toBeLessThanOrEqual(61 * 1440)
})

import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { loadFloor } from '../floor/floor'
import { batchSchema, receiveBatch } from '../queue/receive'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { demoShop } from './demo-shop.fixture'

/** A disk that fills up in the midst of writing: SQLite is given no more pages than it has. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

async function fillUp() {
  await shop.db.raw('VACUUM')
  const [{ page_count: pages }] = await shop.db.raw('PRAGMA page_count')
  await shop.db.raw(`PRAGMA max_page_count = ${pages + 1}`)
}
const makeRoom = () => shop.db.raw('PRAGMA max_page_count = 1000000')

const counted = async () => {
  const rows = await Promise.all(
    (['payments', 'acts', 'action_journal', 'refused_entries', 'devices'] as const).map((table) =>
      shop.db(table as 'payments').count({ n: '*' }),
    ),
  )
  return rows.map(([row]) => Number(row!.n))
}

const pays = async (jobId: string, note: string) =>
  perform(
    shop.db,
    EVERY_ACTION.get('handover.record-payment')!,
    { key: randomUUID(), input: { jobId, euros: 1, way: 'cash', note } },
    { caller: OPEN_SHOP, at: NOW },
  )

test('what does not fit is refused in words, undone wholly, and done once there is room', async () => {
  const { job_id: jobId } = (await shop.db('agreements').first('job_id'))!
  await fillUp()
  let stood = await counted()
  let said: Awaited<ReturnType<typeof pays>>
  do {
    stood = await counted()
    said = await pays(jobId, 'a'.repeat(100))
  } while (said.ok)
  expect(said.message).toContain('full')
  expect(await counted()).toEqual(stood)
  await makeRoom()
  expect((await pays(jobId, 'again')).ok).toBe(true)
})

test('what a tablet tells then is not answered at all: it keeps it, and nothing is lost or doubled', async () => {
  const { job } = (await loadFloor(shop.db, NOW)).jobs.find((each) => each.job.vehicle.plate === 'IM 903')!
  const { people } = (await loadFloor(shop.db, NOW)).shop.setup
  const { job_id: jobId } = (await shop.db('agreements').first('job_id'))!
  const device = randomUUID()
  const text = 'n'.repeat(250)
  const batch = batchSchema.parse({
    device,
    waiting: Array.from({ length: 200 }, (_, at) => ({
      id: `full-disk-${at}`,
      number: at + 1,
      ago: 0,
      ...(at % 2
        ? {
            kind: 'act',
            job: job.id,
            by: people[0]!.id,
            act: { kind: 'note', operation: 'cut', to: 'office', text },
          }
        : {
            kind: 'call',
            action: 'handover.record-payment',
            input: { jobId, euros: 1, way: 'cash', note: `n${at}` },
            about: 'a payment',
          }),
    })),
  })
  await fillUp()
  const stood = await counted()
  await expect(receiveBatch(shop.db, batch, NOW, OPEN_SHOP)).rejects.toThrow()
  expect(await counted()).toEqual(stood)
  await makeRoom()
  const { outcomes, next } = await receiveBatch(shop.db, batch, NOW, OPEN_SHOP)
  expect(outcomes.filter(({ taken }) => !taken)).toEqual([])
  expect(next).toBe(201)
  const after = await counted()
  expect(after[0]! - stood[0]!).toBe(100)
  expect(after[1]! - stood[1]!).toBe(100)
})

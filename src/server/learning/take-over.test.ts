import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import type { Lesson } from '@/core/learning'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadShop } from '../shop/shop-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadLearned } from './learning'
import { listPaceChanges } from './lesson-store'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT, 'years')

const act = (name: string, input: object) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: AT })
const swirls = async () => {
  const { depths } = await loadLearned(shop.db, await loadShop(shop.db), AT, 24)
  return depths.find(({ key }) => key === 'swirls:3')!
}

test('marks that go less far than expected are found deeper; taken over once, they are not proposed again', async () => {
  expect((await swirls()).worthAccepting).toBe(false)
  const rows = await shop.db('lessons').select('job_id', 'lesson')
  for (const { job_id, lesson } of rows) {
    const kept = JSON.parse(lesson) as Lesson
    const clearing = kept.clearing.map((each) => ({ ...each, reached: 0.6 * each.reached }))
    await shop
      .db('lessons')
      .where({ job_id })
      .update({ lesson: JSON.stringify({ ...kept, clearing }) })
  }
  const found = await swirls()
  expect(found.worthAccepting).toBe(true)
  expect(found.factor).toBeGreaterThan(1.4)
  const shown = [{ key: found.key, factor: found.factor }]
  const stale = [{ key: found.key, factor: 1.1 }]
  expect(await act('learning.accept', { of: 'depths', months: 24, shown: stale })).toMatchObject({
    ok: false,
  })
  expect(await act('learning.accept', { of: 'depths', months: 24, shown })).toMatchObject({ ok: true })
  const { setup } = await loadShop(shop.db)
  expect(setup.depths['swirls:3']).toBeCloseTo(found.factor, 1)
  expect(setup.pace).toEqual({})
  expect(await swirls()).toMatchObject({ worthAccepting: false, current: setup.depths['swirls:3'] })
  expect((await listPaceChanges(shop.db))[0]).toMatchObject({
    of: 'depths',
    key: 'swirls:3',
    before: 1,
    jobs: found.cars,
  })
  expect(await act('learning.drop', { of: 'depths', key: 'swirls:3' })).toMatchObject({ ok: true })
  expect((await loadShop(shop.db)).setup.depths).toEqual({})
})

import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { keptInOf } from '@/core/offer'
import { type Instant, instantOrThrow, minutesBetween, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { shopVersion } from '../shop/shop-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { coatedJustNow } from '../trials/going-deeds.fixture'
import { loadGoingOut } from './going-out'
import { findLetGo } from './handover-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const say = (name: string, input: object, at: Instant = NOW) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at })

async function freshCar(at: Instant = NOW) {
  const floor = await loadFloor(shop.db, at)
  return { floor, entry: floor.jobs.find(({ stage }) => stage.kind === 'ready')! }
}

const hearWeather = async (weather: 'none' | 'simulated') => {
  const { floor } = await freshCar()
  const { devices } = floor.shop.setup
  await say('shop.keep-devices', { version: await shopVersion(shop.db), devices: { ...devices, weather } })
}

const SIGNATURE = [
  [
    [0.1, 0.1],
    [0.4, 0.2],
  ],
]

test('a car with a fresh coat does not leave unasked; without a forecast it needs a roof or a signature', async () => {
  const { entry } = await freshCar()
  const jobId = entry.job.id
  await coatedJustNow(shop.db, NOW, entry.job)
  await hearWeather('none')
  const goes = (answer?: object) =>
    say('handover.hand-over', { jobId, owing: true, ...(answer ? { goes: answer } : {}) })
  expect(await goes()).toMatchObject({ ok: false, field: 'goes', message: expect.stringContaining('a roof') })
  expect(await goes({ how: 'open' })).toMatchObject({ ok: false, field: 'goes' })
  expect(await goes({ how: 'exception', name: ' ', signature: SIGNATURE })).toMatchObject({
    ok: false,
    field: 'goes.name',
  })
  expect(await goes({ how: 'exception', name: 'E. Quill', signature: [] })).toMatchObject({
    ok: false,
    field: 'goes.signature',
  })
  expect(await goes({ how: 'exception', name: 'E. Quill', signature: SIGNATURE })).toMatchObject({ ok: true })
  expect(await findLetGo(shop.db, jobId)).toMatchObject({ name: 'E. Quill', at: NOW })
  // Taken back, the exception is void: it is asked anew.
  expect(await say('handover.take-back', { jobId })).toMatchObject({ ok: true })
  expect(await findLetGo(shop.db, jobId)).toBeUndefined()
  expect(await goes()).toMatchObject({ ok: false, field: 'goes' })
})

test('kept in, it waits in its bay until the coat may get wet, and is ready then', async () => {
  const { floor, entry } = await freshCar()
  const jobId = entry.job.id
  const { dryUntil, keep } = (await loadGoingOut(shop.db, floor, entry))!
  expect(keep.cents).toBe(Math.round((keep.minutes / 60) * floor.shop.setup.costs.bayCentsPerHour))
  expect(await say('handover.keep-in', { jobId })).toMatchObject({ ok: true })
  expect(await say('handover.keep-in', { jobId })).toMatchObject({ ok: false, code: 'stale' })
  const stageAt = async (at: Instant) =>
    (await loadFloor(shop.db, at)).jobs.find(({ job }) => job.id === jobId)!
  const waiting = await stageAt(plusMinutes(dryUntil, -1))
  expect(waiting.stage).toMatchObject({ kind: 'waiting', operation: { id: 'kept-in' } })
  const wait = keptInOf(waiting.live!.plan)!
  expect(minutesBetween(NOW, dryUntil)).toBeLessThanOrEqual(wait.minutes)
  expect((await stageAt(dryUntil)).stage.kind).toBe('ready')
  // By then nothing is asked.
  expect(await say('handover.hand-over', { jobId, owing: true }, dryUntil)).toMatchObject({ ok: true })
  expect(await say('handover.take-back', { jobId }, dryUntil)).toMatchObject({ ok: true })
  expect(await say('handover.end-keeping-in', { jobId })).toMatchObject({ ok: true })
  expect(await say('handover.end-keeping-in', { jobId })).toMatchObject({ ok: false, code: 'stale' })
  expect((await stageAt(NOW)).stage.kind).toBe('ready')
})

test('by the forecast it goes in the dry, and stays where rain or frost comes first', async () => {
  await hearWeather('simulated')
  const { entry } = await freshCar()
  const jobId = entry.job.id
  const seen = new Set<string>()
  // The coat is as fresh on each of these days, the sky is not the same.
  for (let day = 0; day < 12; day++) {
    const at = plusMinutes(NOW, day * 1440)
    await shop.db('layers').where({ job_id: jobId }).del()
    await coatedJustNow(shop.db, at, entry.job)
    const now = await freshCar(at)
    const out = (await loadGoingOut(shop.db, now.floor, now.entry))!
    const wet = out.sky?.find(({ kind, from }) => kind !== 'heat' && from < out.dryUntil)
    const answer = await say('handover.hand-over', { jobId, owing: true, goes: { how: 'open' } }, at)
    seen.add(!out.sky ? 'silent' : wet ? wet.kind : 'dry')
    if (out.sky && !wet) {
      expect(answer).toMatchObject({ ok: true })
      await say('handover.take-back', { jobId }, at)
    } else
      expect(answer).toMatchObject({
        ok: false,
        field: 'goes',
        message: expect.stringContaining(
          !out.sky ? 'No forecast' : wet!.kind === 'rain' ? 'Rain is forecast' : 'Frost is forecast',
        ),
      })
  }
  expect([...seen].sort()).toEqual(expect.arrayContaining(['dry', 'frost', 'rain']))
})

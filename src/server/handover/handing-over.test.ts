import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { blindToIt, inspectionItems, reworkFor, reworksIn, stepsToSendTo } from '@/core/handover'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { findJob } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { listVerdicts } from './handover-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const say = (name: string, input: object, at: Instant = NOW) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at })

async function readyCar() {
  const floor = await loadFloor(shop.db, NOW)
  return { floor, entry: floor.jobs.find(({ stage }) => stage.kind === 'ready')! }
}

describe('a fault of the final inspection', () => {
  test('is not forgotten by saying good: it is done again first, or somebody says why; what was found stays', async () => {
    const { entry, floor } = await readyCar()
    const { job, live } = entry
    const blind = blindToIt(live!.plan, live!.progress)
    const by = floor.shop.setup.people.find(({ id }) => !blind.has(id))!.id
    const [first, second] = inspectionItems(job.vehicle)
    const judge = (item: string, verdict: 'good' | 'fault', note: string, more: object = {}) =>
      say('handover.judge-item', { jobId: job.id, item, verdict, note, by, ...more })
    expect(await judge(first!.id, 'fault', 'a smear')).toMatchObject({ ok: true })
    expect(await judge(first!.id, 'good', '')).toMatchObject({
      ok: false,
      message: expect.stringContaining('Say why it is good now'),
      field: 'note',
    })
    expect(await judge(first!.id, 'good', 'it was water')).toMatchObject({ ok: true })
    expect((await listVerdicts(shop.db, job.id)).find(({ item }) => item === first!.id)).toMatchObject({
      verdict: 'good',
      note: 'it was water',
      found: 'a smear',
    })
    const polish = stepsToSendTo(live!.plan).find(({ kind }) => kind === 'polish')!
    expect(await judge(second!.id, 'fault', 'a trail', { sentTo: polish.id })).toMatchObject({ ok: true })
    expect(reworksIn((await findAgreement(shop.db, job.id))!.plan)).toBe(1)
    expect(await judge(second!.id, 'good', '')).toMatchObject({
      ok: false,
      message: expect.stringContaining('still being done again'),
    })
    // Found again later and only written down: what was done before answers for nothing.
    const done = reworkFor((await findAgreement(shop.db, job.id))!.plan, second!.id)
    for (const { id } of done)
      await shop.db('progress').insert({
        job_id: job.id,
        operation_id: id,
        started_at: NOW,
        ended_at: NOW,
        by_person: [...blind][0]!,
        version: 1,
      })
    expect(await judge(second!.id, 'fault', 'still a trail')).toMatchObject({ ok: true })
    expect(await judge(second!.id, 'good', '')).toMatchObject({ ok: false, field: 'note' })
    await shop
      .db('progress')
      .whereIn(
        'operation_id',
        done.map(({ id }) => id),
      )
      .delete()
    // Nor does the car go home meanwhile.
    expect(await say('handover.hand-over', { jobId: job.id, owing: true })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Not every step'),
    })
  })
})

describe('a car that goes home', () => {
  const other = demoShop(NOW)
  const tell = (name: string, input: object, at: Instant = NOW) =>
    perform(other.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at })
  test('asks once where money is open; and for ten minutes it can be taken back, with all that was written down', async () => {
    const floor = await loadFloor(other.db, NOW)
    const { job } = floor.jobs.find(({ stage }) => stage.kind === 'ready')!
    const entered = async () => (await other.db('removals').where({ job_id: job.id })).length
    const lessons = async () => (await other.db('lessons').where({ job_id: job.id })).length
    const before = await entered()
    expect(await tell('handover.hand-over', { jobId: job.id })).toMatchObject({ ok: false, field: 'owing' })
    expect((await findJob(other.db, job.id))!.handedOverAt).toBeUndefined()
    expect(await tell('handover.hand-over', { jobId: job.id, owing: true })).toMatchObject({ ok: true })
    expect(await entered()).toBeGreaterThan(before)
    expect(await lessons()).toBe(1)
    const late = plusMinutes(NOW, 11)
    expect(await tell('handover.take-back', { jobId: job.id }, late)).toMatchObject({
      ok: false,
      message: expect.stringContaining('ten minutes only'),
    })
    expect(await tell('handover.take-back', { jobId: job.id }, plusMinutes(NOW, 9))).toMatchObject({
      ok: true,
    })
    expect(await entered()).toBe(before)
    expect(await lessons()).toBe(0)
    expect((await findJob(other.db, job.id))!.handedOverAt).toBeUndefined()
    // Twice is once.
    expect(await tell('handover.take-back', { jobId: job.id })).toMatchObject({
      ok: false,
      message: expect.stringContaining('not handed over'),
    })
  })
})

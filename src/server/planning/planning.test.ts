import { describe, expect, test } from 'vitest'
import { type JobId, toOperationId, toPersonId, toProductId } from '@/core/ids'
import { productName } from '@/core/job'
import { summaryOf } from '@/core/offer'
import { calendarNow, collectionTime, type Floor, openJobs, planFloor } from '@/core/planning'
import { checkSchedule, type PlacedOperation } from '@/core/schedule'
import { type Instant, instantOrThrow, minutesBetween, plusMinutes } from '@/core/time'
import { loadCare } from '../aftercare/care'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { handOver } from '../floor/job-store'
import { writeAgreement } from '../quotes/agreement-store'
import { loadWorked, offersFor, whenForPlan, whyNotEarlier } from '../quotes/offers'
import { recordFinish, recordStart, restore } from '../work/work-store'
import { lastPlanning, loadPublished } from './plan-store'
import { replan } from './planning'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

const shop = demoShop(NOW)

const entryOf = (floor: Floor, plate: string) => floor.jobs.find(({ job }) => job.vehicle.plate === plate)!
const open = (published: Map<string, PlacedOperation[]>, except: string) =>
  [...published]
    .filter(([job]) => job !== except)
    .flatMap(([, list]) => list.map(({ job, operation, start }) => `${job} ${operation} ${start}`))

describe('the floor', () => {
  test('can be planned as it stands, and the checker finds nothing', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { problem, schedule } = planFloor(calendarNow(floor), openJobs(floor), { now: NOW })
    expect(schedule.status).not.toBe('infeasible')
    expect(checkSchedule(problem, schedule)).toEqual([])
  })
  test('keeps no car on the calendar that is ready or gone', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const gone = floor.jobs.filter(({ stage }) => stage.kind === 'ready' || stage.kind === 'handed-over')
    expect(gone.length).toBeGreaterThan(0)
    const onCalendar = new Set(openJobs(floor).map(({ id }) => id))
    for (const { job } of gone) expect(onCalendar.has(job.id)).toBe(false)
  })
})

describe('an offer', () => {
  test('is dated while the counter is open, after the work is done, and moves nobody', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { job } = entryOf(floor, 'IM 5012')
    const before = open(await loadPublished(shop.db), job.id)
    const { input } = await loadWorked(shop.db, floor.shop, job)
    const offers = await offersFor(input, floor.shop.setup.packages, (plans) =>
      plans.map((plan) => whenForPlan(floor, job, plan)),
    )
    for (const { when } of offers) {
      if (when.kind !== 'possible') throw new Error('the demo shop has room for every package')
      const end = when.placed
        .map(({ end }) => end)
        .sort()
        .at(-1)!
      expect(when.collectAt >= end).toBe(true)
      expect(collectionTime(floor.shop.setup, when.collectAt)).toBe(when.collectAt)
    }
    expect(open(await loadPublished(shop.db), job.id)).toEqual(before)
  })
  test('is agreed once; the second to agree is told', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { job } = entryOf(floor, 'IM 5012')
    const { input } = await loadWorked(shop.db, floor.shop, job)
    const [first] = await offersFor(input, floor.shop.setup.packages, (plans) =>
      plans.map((plan) => whenForPlan(floor, job, plan)),
    )
    if (first?.when.kind !== 'possible') throw new Error('no offer')
    const agreement = {
      jobId: job.id,
      packageKey: first.offer.template.key,
      packageName: first.offer.template.name,
      plan: first.offer.plan,
      summary: summaryOf(first.offer),
      totalCents: first.offer.price.totalCents,
      promisedFor: first.when.collectAt,
      agreedAt: NOW,
    }
    const others = open(await loadPublished(shop.db), job.id)
    expect(await writeAgreement(shop.db, agreement)).toBe(true)
    expect(await writeAgreement(shop.db, { ...agreement, totalCents: 1 })).toBe(false)
    const planned = await replan(shop.db, NOW, 'test', new Set([job.id]))
    expect(planned.schedule.status).not.toBe('infeasible')
    expect(open(await loadPublished(shop.db), job.id)).toEqual(others)
    const after = await loadFloor(shop.db, NOW)
    expect(entryOf(after, 'IM 5012').agreement?.totalCents).toBe(agreement.totalCents)
    expect(await lastPlanning(shop.db)).toMatchObject({ cause: 'test', reasons: [] })
  })
  test('says why it could not be earlier, from the first step to the last', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { job, live } = entryOf(floor, 'IM 77')
    const chain = whyNotEarlier(floor, job.id)!
    expect(chain.at(-1)!.operation).toBe(live!.plan.operations.at(-1)!.id)
    for (const [index, link] of chain.entries())
      if (index > 0) expect(link.start >= chain[index - 1]!.start).toBe(true)
  })
})

describe('what happens at the car', () => {
  const finish = async (jobId: JobId, operationId: string, from: Instant, to: Instant, layer?: string) => {
    const climate = { airC: 19, rhPercent: 50, panelC: 18 }
    const done = await recordFinish(shop.db, {
      jobId,
      operationId: toOperationId(operationId),
      startedAt: from,
      endedAt: to,
      by: toPersonId('merle'),
      ...(layer ? { layer: { productId: toProductId(layer), lot: 'T-1', climate } } : {}),
    })
    expect(done.ok).toBe(true)
  }

  test('a layer that ends later than planned pushes what follows, and the cure runs from its real end', async () => {
    const before = entryOf(await loadFloor(shop.db, NOW), 'IM 4471')
    const { job } = before
    expect(before.stage).toMatchObject({ kind: 'between', next: { id: 'layer-3' } })
    const [from, to] = [instantOrThrow('2027-01-13T14:00:00Z'), instantOrThrow('2027-01-13T19:10:00Z')]
    await finish(job.id, 'layer-3', from, to, 'tern-top')
    await replan(shop.db, to, 'work done', new Set([job.id]))
    const after = entryOf(await loadFloor(shop.db, to), 'IM 4471')
    expect(after.stage).toMatchObject({ kind: 'waiting', operation: { id: 'dry' }, since: to })
    const last = after.live!.published.find(({ operation }) => operation === 'finish')!
    expect(minutesBetween(to, last.start as Instant)).toBeGreaterThanOrEqual(720)
  })

  test('the cure calendar counts from that same end', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { job } = entryOf(floor, 'IM 4471')
    const care = await loadCare(shop.db, floor.shop, job.id, NOW)
    expect(care.layers).toHaveLength(3)
    const dry = care.milestones.find(({ key }) => key === 'dry-until')!
    expect(dry.when).toEqual({ kind: 'instant', at: '2027-01-14T19:10:00.000Z' })
    expect(productName(floor.shop, toProductId('tern-top'))).toBe('Tern Top')
    expect(productName(floor.shop, toProductId('gone'))).toBe('gone')
  })

  test('a record taken back gives the step, its lot and its dates back', async () => {
    const { job } = entryOf(await loadFloor(shop.db, NOW), 'IM 4471')
    await restore(shop.db, job.id, toOperationId('layer-3'), undefined, {
      at: NOW,
      zone: 'Europe/Dublin',
    })
    const floor = await loadFloor(shop.db, NOW)
    expect(entryOf(floor, 'IM 4471').stage).toMatchObject({ kind: 'between' })
    expect((await loadCare(shop.db, floor.shop, job.id, NOW)).layers).toHaveLength(2)
  })

  test('a window that a late day has closed is given up, and the manager is told why', async () => {
    const late = instantOrThrow('2027-01-14T12:00:00Z')
    const { job } = entryOf(await loadFloor(shop.db, NOW), 'IM 4471')
    const planned = await replan(shop.db, late, 'a lost morning', new Set([job.id]))
    expect(planned.missed.filter((each) => each.job === job.id)).toMatchObject([
      { operation: 'layer-3', after: 'layer-2', closed: '2027-01-13T22:20:00.000Z' },
    ])
    const next = (await loadPublished(shop.db)).get(job.id)!.find(({ operation }) => operation === 'layer-3')!
    expect(next.start >= late).toBe(true)
  })

  test('work that overruns its estimate keeps its person, and the day is planned on', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { job } = entryOf(floor, 'IM 77')
    const begun = instantOrThrow('2027-01-15T08:00:00Z')
    // The one wash bay is free by then.
    const inBay = entryOf(floor, 'IM 3380').job.id
    await finish(inBay, 'wash', NOW, plusMinutes(NOW, 30))
    expect((await recordStart(shop.db, job.id, toOperationId('wash'), begun, toPersonId('brida'))).ok).toBe(
      true,
    )
    const later = plusMinutes(begun, 300)
    const planned = await replan(shop.db, later, 'overrun', new Set([job.id]))
    expect(planned.schedule.status).not.toBe('infeasible')
    const wash = planned.placed.find((each) => each.job === job.id && each.operation === 'wash')!
    expect(wash).toMatchObject({ start: begun, people: ['brida'] })
    expect(wash.end > later).toBe(true)
  })

  test('a car that was handed over keeps the hour at which it was', async () => {
    const { job } = entryOf(await loadFloor(shop.db, NOW), 'IM 1154')
    await handOver(shop.db, job, [], NOW)
    await handOver(shop.db, job, [], plusMinutes(NOW, 60))
    expect(entryOf(await loadFloor(shop.db, NOW), 'IM 1154')).toMatchObject({
      stage: { kind: 'handed-over' },
      job: { handedOverAt: NOW },
    })
  })
})

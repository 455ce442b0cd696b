import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { toJobId, toPersonId } from '@/core/ids'
import { openJobs, planEverything } from '@/core/planning'
import { checkSchedule, solve } from '@/core/schedule'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { recordStart } from '../work/work-store'
import { lastPlanning, loadPublished } from './plan-store'
import { offerSchedule, problemToPlan } from './proposal'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

const shop = demoShop(NOW)

const standing = async () => JSON.stringify([...(await loadPublished(shop.db))])

describe('0004-proposals, on a database from before', () => {
  test('adds its table and leaves the plan that stands', async () => {
    const old = connect(path.join(shop.folder, 'old.db'))
    await migrate(old, MIGRATIONS.slice(0, 3))
    const planning = { computed_at: NOW, status: 'feasible', cause: 'before', reasons: '[]' }
    await old('plannings').insert(planning)
    expect(await migrate(old, MIGRATIONS.slice(0, 4))).toEqual(['0004-proposals'])
    expect(await old('plannings')).toMatchObject([{ cause: 'before' }])
    expect(await old('proposals')).toEqual([])
    await old.destroy()
  })
})

describe('a new plan', () => {
  test('breaks no rule and keeps what was promised', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { problem, schedule, placed } = planEverything(floor)
    expect(schedule.status).not.toBe('infeasible')
    expect(checkSchedule(problem, schedule)).toEqual([])
    for (const { id, due } of openJobs(floor)) {
      const ends = placed.filter(({ job }) => job === id).map(({ end }) => end)
      expect(due === undefined || ends.every((end) => end <= due)).toBe(true)
    }
  })
  test('is shown with what it changes, and publishes nothing by itself', async () => {
    const before = await standing()
    const { id, changes } = await propose(shop.db, NOW, { kind: 'everything' })
    expect(await standing()).toBe(before)
    expect(id).toBeTruthy()
    for (const change of changes) {
      expect(change.moved.length).toBeGreaterThan(0)
      expect(change.plate).toMatch(/^IM /)
    }
  })
  test('is refused once the floor has changed, and the plan that stands stays', async () => {
    const { id } = await propose(shop.db, NOW, { kind: 'everything' })
    const floor = await loadFloor(shop.db, NOW)
    const waiting = floor.jobs.find(({ stage }) => stage.kind === 'between')!
    const { stage } = waiting
    if (stage.kind !== 'between') throw new Error('nobody waits between two steps')
    expect((await recordStart(shop.db, waiting.job.id, stage.next.id, NOW, toPersonId('merle'))).ok).toBe(
      true,
    )
    const before = await standing()
    expect(await takeProposal(shop.db, id, plusMinutes(NOW, 5))).toEqual({ kind: 'stale' })
    expect(await standing()).toBe(before)
  })
  test('taken, is published as it was shown, once', async () => {
    const at = plusMinutes(NOW, 10)
    const { id } = await propose(shop.db, at, { kind: 'everything' })
    const shown = JSON.parse((await shop.db('proposals').where({ id }).first())!.placed) as {
      job: string
      operation: string
      start: string
    }[]
    expect(await takeProposal(shop.db, id, plusMinutes(at, 1))).toEqual({ kind: 'taken' })
    const published = await loadPublished(shop.db)
    for (const { job, operation, start } of shown)
      expect(published.get(toJobId(job))!.find((placed) => placed.operation === operation)!.start).toBe(start)
    expect(await lastPlanning(shop.db)).toMatchObject({
      cause: 're-planned',
      computedAt: plusMinutes(at, 1),
    })
    expect(await takeProposal(shop.db, id, plusMinutes(at, 2))).toEqual({ kind: 'gone' })
  })
  test('nobody took is forgotten after some days', async () => {
    await propose(shop.db, plusMinutes(NOW, 20), { kind: 'everything' })
    const later = plusMinutes(NOW, 5 * 1440)
    await propose(shop.db, later, { kind: 'everything' })
    const kept: { made_at: string }[] = await shop.db('proposals')
    expect(kept.map(({ made_at }) => made_at)).toEqual([later])
  })
})

describe('a plan worked out beside the page', () => {
  const found = async () => {
    const { problem, from } = await problemToPlan(shop.db, NOW)
    return { from, problem, schedule: solve(problem, { seed: 5, steps: 60 }).schedule }
  }
  test('is believed only after every rule was checked, and then shown like any other', async () => {
    const { from, problem, schedule } = await found()
    const answer = await offerSchedule(shop.db, plusMinutes(NOW, 3), from, schedule)
    expect(answer.kind).toBe('proposed')
    if (answer.kind !== 'proposed') return
    expect(await takeProposal(shop.db, answer.proposal.id, plusMinutes(NOW, 4))).toEqual({ kind: 'taken' })
    const planned = [...(await loadPublished(shop.db)).values()].flat()
    const rests = new Set(
      problem.jobs.flatMap(({ operations }) => operations.flatMap((each) => (each.restOf ? [each.id] : []))),
    )
    expect(rests.size).toBeGreaterThan(0)
    for (const { job, operation, start } of schedule.operations.filter((each) => !rests.has(each.operation)))
      expect(planned.find((each) => each.job === job && each.operation === operation)?.start).toBe(start)
  })
  test('is refused where it breaks a rule, however it came', async () => {
    const { from, schedule } = await found()
    const operations = schedule.operations.map((each, index) =>
      index === schedule.operations.length - 1
        ? {
            ...each,
            start: plusMinutes(each.start as Instant, -1440),
            end: plusMinutes(each.end as Instant, -1440),
          }
        : each,
    )
    const before = await shop.db('proposals').count({ count: '*' }).first()
    expect((await offerSchedule(shop.db, NOW, from, { ...schedule, operations })).kind).toBe('broken')
    expect(await shop.db('proposals').count({ count: '*' }).first()).toEqual(before)
  })
  test('is refused where it finds no room for a car, or leaves one out', async () => {
    const { from, schedule } = await found()
    const missing = { ...schedule, operations: schedule.operations.slice(1) }
    expect((await offerSchedule(shop.db, NOW, from, missing)).kind).toBe('broken')
    const none = { ...schedule, status: 'infeasible' as const, cost: null, operations: [], reasons: [] }
    expect((await offerSchedule(shop.db, NOW, from, none)).kind).toBe('broken')
  })
  test('is stale after half an hour, from a clock ahead, or once the floor has changed', async () => {
    const { from, schedule } = await found()
    expect(await offerSchedule(shop.db, plusMinutes(NOW, 31), from, schedule)).toEqual({ kind: 'stale' })
    expect(await offerSchedule(shop.db, plusMinutes(NOW, -1), from, schedule)).toEqual({ kind: 'stale' })
    expect(await offerSchedule(shop.db, NOW, { ...from, basis: 'other' }, schedule)).toEqual({
      kind: 'stale',
    })
  })
})

import path from 'node:path'
import { beforeEach, describe, expect, test } from 'vitest'
import { toBayId, toOperationId, toPersonId } from '@/core/ids'
import { planEverything, type ToMove } from '@/core/planning'
import { checkSchedule, MoveDesk, type PlacedOperation, type Rearranged } from '@/core/schedule'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { recordStart } from '../work/work-store'
import { calendarToMove, moveHistory, redoMove, takeMove, undoMove } from './moving'
import { listPins, pin, unpin } from './pin-store'
import { loadPublished } from './plan-store'
import { replan } from './planning'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

type Open = Extract<ToMove, { kind: 'open' }>

const published = async () => [...(await loadPublished(shop.db)).values()].flat()
const standing = async () => JSON.stringify(await published())

async function open(): Promise<Open> {
  const toMove = await calendarToMove(shop.db, NOW)
  if (toMove.kind === 'blocked') throw new Error(toMove.reasons[0]!.reason.code)
  return toMove
}

/** A last step of a car that has room to be later, tried an hour or more later. */
function someMove({ problem, operations }: Open): { placed: PlacedOperation; way: Rearranged } {
  const desk = new MoveDesk(problem, operations)
  for (const placed of operations.filter(({ operation }) => operation === 'finish'))
    for (let hours = 1; hours < 30; hours++) {
      const start = plusMinutes(placed.start as Instant, 60 * hours)
      const tried = desk.tryOperation({ job: placed.job, operation: toOperationId('finish'), start })
      if (tried.kind === 'allowed') return { placed, way: tried.ways[0] }
    }
  throw new Error('nothing of the demo can be moved')
}

test('0006-moves adds its tables to a database from before', async () => {
  const old = connect(path.join(shop.folder, 'old.db'))
  await migrate(old, MIGRATIONS.slice(0, 5))
  expect(await migrate(old, MIGRATIONS.slice(0, 6))).toEqual(['0006-moves'])
  expect(await listPins(old)).toEqual(new Map())
  expect(await moveHistory(old)).toEqual({})
  await old.destroy()
})

describe('a move by hand', () => {
  let calendar: Open
  beforeEach(async () => {
    calendar = await open()
  })

  test('the calendar it is tried on is the published one, and breaks no rule', async () => {
    const desk = new MoveDesk(calendar.problem, calendar.operations)
    expect(checkSchedule(calendar.problem, desk.scheduleWith({ operations: [] }))).toEqual([])
    for (const { job, operation, start, place } of await published())
      if (start > NOW && calendar.operations.some((each) => each.job === job))
        expect(calendar.operations).toContainEqual(expect.objectContaining({ job, operation, start, place }))
  })
  test('is published for the cars it changes, undone and done again', async () => {
    const before = await standing()
    const { placed, way } = someMove(calendar)
    expect(await takeMove(shop.db, NOW, calendar.from, way.operations, 'the final inspection')).toEqual({
      kind: 'moved',
    })
    const moved = (await published()).find(
      ({ job, operation }) => job === placed.job && operation === placed.operation,
    )
    expect(moved?.start).toBe(way.start)
    const after = await standing()
    expect(await moveHistory(shop.db)).toEqual({ undo: 'the final inspection' })

    expect(await undoMove(shop.db, NOW)).toEqual({ kind: 'moved' })
    expect(await standing()).toBe(before)
    expect(await moveHistory(shop.db)).toEqual({ redo: 'the final inspection' })
    expect(await undoMove(shop.db, NOW)).toEqual({ kind: 'nothing' })

    expect(await redoMove(shop.db, NOW)).toEqual({ kind: 'moved' })
    expect(await standing()).toBe(after)
    expect(await redoMove(shop.db, NOW)).toEqual({ kind: 'nothing' })
    expect(await undoMove(shop.db, NOW)).toEqual({ kind: 'moved' })
  })
  test('of times that break a rule is not believed', async () => {
    const before = await standing()
    const { way } = someMove(calendar)
    const wrong = way.operations.map((each) => ({
      ...each,
      place: toBayId('loft-1'),
      people: [...each.people],
    }))
    wrong[0] = { ...wrong[0]!, start: plusMinutes(wrong[0]!.start as Instant, -60 * 24 * 9) }
    expect(await takeMove(shop.db, NOW, calendar.from, wrong, 'nonsense')).toMatchObject({
      kind: 'broken',
    })
    expect(await standing()).toBe(before)
  })
  test('on a floor that has changed since is stale, and a move that was overtaken is not undone', async () => {
    const { placed, way } = someMove(calendar)
    expect(await takeMove(shop.db, NOW, calendar.from, way.operations, 'first')).toEqual({ kind: 'moved' })
    expect(await takeMove(shop.db, NOW, calendar.from, way.operations, 'again')).toEqual({ kind: 'stale' })
    // Published by something else than a move by hand.
    await shop
      .db('published')
      .where({ job_id: placed.job, operation_id: toOperationId('finish') })
      .update({ start_at: placed.start, end_at: placed.end })
    const now = await standing()
    expect(await undoMove(shop.db, NOW)).toEqual({ kind: 'overtaken', what: 'first' })
    expect(await standing()).toBe(now)
  })
})

describe('what is pinned', () => {
  test('stays where it is when everything is re-planned, until it is unpinned', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const free = planEverything(floor).placed
    const moving = (await published()).find(({ job, operation, start }) => {
      const then = free.find((each) => each.job === job && each.operation === operation)
      return start > NOW && then !== undefined && then.start !== start
    })
    const target = moving ?? (await published()).find(({ start }) => start > plusMinutes(NOW, 600))!
    await pin(shop.db, target.job, [target.operation])
    await pin(shop.db, target.job, [target.operation])
    expect((await listPins(shop.db)).get(target.job)).toEqual([target.operation])
    const { placed } = await replan(shop.db, NOW, 'all')
    const kept = placed.find(({ job, operation }) => job === target.job && operation === target.operation)!
    expect(kept).toMatchObject({ start: target.start, place: target.place, people: target.people })
    await unpin(shop.db, target.job, [target.operation])
    expect(await listPins(shop.db)).toEqual(new Map())
  })
  test('is let go, with a word, where it can no longer be kept', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const waiting = floor.jobs.find(({ stage }) => stage.kind === 'between')!
    const { stage } = waiting
    if (stage.kind !== 'between') throw new Error('nobody waits between two steps')
    // Everything of one car is pinned; then its next step is begun far too late for the one after it.
    await pin(
      shop.db,
      waiting.job.id,
      waiting.live!.plan.operations.map(({ id }) => id),
    )
    const late = plusMinutes(NOW, 60 * 30)
    expect((await recordStart(shop.db, waiting.job.id, stage.next.id, late, toPersonId('merle'))).ok).toBe(
      true,
    )
    const { schedule } = await replan(shop.db, late, 'late', new Set())
    expect(schedule.status).not.toBe('infeasible')
  })
})

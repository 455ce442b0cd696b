import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type JobId, toJobId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { type Hold, openJobs, planEverything, standing } from '@/core/planning'
import { answerCaller } from '@/core/planning/caller'
import { checkSchedule } from '@/core/schedule'
import { atLocal, dayIn, type Instant, instantOrThrow, localDayOrThrow, plusDays } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { writeAgreement } from '../quotes/agreement-store'
import { whenForPlan } from '../quotes/offers'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { feed } from './feeds'
import { publish, publishFor } from './plan-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const ZONE = 'Europe/Dublin'
const TODAY = dayIn(ZONE, NOW)
const MONDAY = localDayOrThrow('2027-01-18')
const shop = demoShop(NOW)
const floorAt = (at: Instant) => loadFloor(shop.db, at)
const say = (name: string, input: object, at = NOW) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at })

const told = { shape: 'hatchback', state: 'usual', packageKey: 'headland' } as const
const answerAt = async (at: Instant) =>
  answerCaller(await floorAt(at), { ...told, arrive: atLocal(ZONE, MONDAY, '08:00') })
async function usual() {
  const answer = await answerAt(NOW)
  if (answer.kind !== 'promise') throw new Error(answer.kind)
  return answer.usual
}
const whom = { name: 'Ita Breen', phone: '01 555 0142', car: 'a green one' }
const holdIt = async (more: object = {}) =>
  say('planning.hold-slot', {
    ...told,
    day: MONDAY,
    time: '08:00',
    ...whom,
    until: plusDays(TODAY, 2),
    said: (await usual()).collectAt,
    ...more,
  })

const desk = globalThis as { fernYardDesk?: unknown }
const before = desk.fernYardDesk
beforeAll(() => {
  // What is worked out beside the pages is worked out here.
  desk.fernYardDesk = {
    ask: async (_: string, at: Instant, enquiry: Parameters<typeof answerCaller>[1]) =>
      answerCaller(await floorAt(at), enquiry),
  }
})
afterAll(() => {
  desk.fernYardDesk = before
})

describe('a slot', () => {
  test('is held for nobody without a name and a telephone, nor longer than until the car has to come, nor by a date that is no longer so', async () => {
    expect(await holdIt({ name: ' ' })).toMatchObject({ ok: false, field: 'name' })
    expect(await holdIt({ phone: '' })).toMatchObject({ ok: false, field: 'phone' })
    expect(await holdIt({ until: plusDays(TODAY, -1) })).toMatchObject({ ok: false, field: 'until' })
    expect(await holdIt({ until: plusDays(MONDAY, 60) })).toMatchObject({ ok: false, field: 'until' })
    expect(await holdIt({ until: '' })).toMatchObject({ ok: false, field: 'until' })
    expect(await holdIt({ said: NOW })).toMatchObject({ ok: false, code: 'stale' })
    expect((await floorAt(NOW)).holds).toEqual([])
  })

  test('is offered though a step is late, and the calendar is to be planned anew', async () => {
    const late = instantOrThrow('2027-01-13T10:36:00Z')
    expect(standing(await floorAt(late)).kind).toBe('blocked')
    const answer = await answerAt(late)
    if (answer.kind !== 'promise') throw new Error(answer.kind)
    expect(answer.usual.chances[0]!.chance).toBeGreaterThanOrEqual(0.8)
  })

  let held: Hold
  test('is held by name and telephone as it was said, and given to nobody else', async () => {
    const said = await usual()
    expect(await holdIt()).toMatchObject({ ok: true })
    const floor = await floorAt(NOW)
    held = floor.holds[0]!
    expect(held).toMatchObject({ ...whom, collectAt: said.collectAt, chance: said.chances[0]!.chance })
    expect(openJobs(floor).map(({ id }) => id)).toContain(held.id)
    const next = await usual()
    for (const one of next.operations)
      for (const own of held.placed)
        if (one.place === own.place && one.place !== 'wash')
          expect(one.start >= own.end || own.start >= one.end).toBe(true)
    expect(next.collectAt >= said.collectAt).toBe(true)
  })
  test('is planned with all others, never before the car comes, and lies where the plan puts it', async () => {
    const floor = await floorAt(NOW)
    const { problem, schedule, placed } = planEverything(floor, () => true)
    expect(checkSchedule(problem, schedule)).toEqual([])
    const own = placed.filter(({ job }) => job === held.id)
    expect(own).toHaveLength(held.plan.operations.length)
    expect(own.every(({ start }) => start >= held.bringAt)).toBe(true)
    const rows = await shop.db('published')
    await publish(shop.db, own, { computedAt: NOW, status: 'feasible', cause: 'test', reasons: [] })
    expect((await floorAt(NOW)).holds[0]!.placed).toEqual(own)
    expect(await shop.db('published')).toEqual(rows)
  })
  test('stands in the calendars of whoever is to work on it, of its bays and of the shop; its telephone in none', async () => {
    const floor = await floorAt(NOW)
    const [work] = floor.holds[0]!.placed.filter(({ people }) => people.length > 0)
    for (const [kind, id] of [
      ['people', work!.people[0]!],
      ['bays', work!.place],
      ['shop', 'all'],
    ] as const) {
      const text = feed(floor, kind, id)!
      expect(text).toContain('Ita Breen (held)')
      expect(text).not.toContain(whom.phone)
    }
  })
  test('can be kept for another day, and frees itself when that is over', async () => {
    const until = plusDays(TODAY, 1)
    expect(await say('planning.keep-hold', { hold: held.id, until })).toMatchObject({ ok: true })
    expect(await say('planning.keep-hold', { hold: held.id, until: plusDays(TODAY, -1) })).toMatchObject({
      ok: false,
      field: 'until',
    })
    const lateOn = (day: typeof TODAY) => atLocal(ZONE, day, '23:30')
    expect((await floorAt(lateOn(until))).holds).toHaveLength(1)
    expect((await floorAt(lateOn(plusDays(until, 1)))).holds).toEqual([])
  })

  let job: JobId
  test('becomes a check-in, and goes on keeping its place for that car: its own offers count on it', async () => {
    const intake = {
      ...emptyIntake(TODAY),
      hold: held.id,
      customerName: held.name,
      phone: held.phone,
      plate: 'IM 7007',
      make: 'Corran',
      model: 'Gale',
      shape: held.shape,
      colour: 'Green',
      paintSystem: 'clear-over-base',
      wishes: 'Headland',
      arriveDay: MONDAY,
    }
    const answer = await say('intake.take-in', intake)
    expect(answer).toMatchObject({ ok: true })
    job = toJobId((answer as { value: { jobId: string } }).value.jobId)
    const after = atLocal(ZONE, plusDays(TODAY, 3), '09:00')
    const floor = await floorAt(after)
    expect(floor.holds.map(({ jobId }) => jobId)).toEqual([job])
    expect(await say('planning.end-hold', { hold: held.id })).toMatchObject({ ok: false, code: 'gone' })
    const entry = floor.jobs.find((each) => each.job.id === job)!
    const own = whenForPlan(floor, entry.job, held.plan)
    const asNobody = whenForPlan(floor, { ...entry.job, id: toJobId('another') }, held.plan)
    if (own.kind !== 'possible' || asNobody.kind !== 'possible') throw new Error('no place')
    expect(own.collectAt <= asNobody.collectAt).toBe(true)
  })
  test('is the job’s own once that is agreed', async () => {
    const floor = await floorAt(NOW)
    const { plan, packageKey, packageName } = held
    const entry = floor.jobs.find((each) => each.job.id === job)!
    const when = whenForPlan(floor, entry.job, plan)
    if (when.kind !== 'possible') throw new Error('no place')
    await writeAgreement(shop.db, {
      jobId: job,
      packageKey,
      packageName,
      plan,
      summary: { name: packageName, lines: [], panels: [], extras: [] } as never,
      totalCents: 100,
      promisedFor: when.collectAt,
      agreedAt: NOW,
    })
    await publishFor(shop.db, job, when.placed, { floor, cause: 'agreed' })
    expect((await floorAt(NOW)).holds).toEqual([])
  })
  test('can be freed before its time, once', async () => {
    const answer = await holdIt()
    const { id } = (answer as { value: { id: string } }).value
    expect(await say('planning.end-hold', { hold: id })).toMatchObject({ ok: true })
    expect(await say('planning.end-hold', { hold: id })).toMatchObject({ ok: false, code: 'gone' })
    expect((await floorAt(NOW)).holds).toEqual([])
  })
})

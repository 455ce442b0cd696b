import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { beforeAll, describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { hasBegun } from '@/core/job'
import { type CarEvent, type FloorJob, openJobs, type Proposal, watchPromises } from '@/core/planning'
import { clockIn, dayIn, type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { comesThen } from '../floor/job-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadEntries } from '../work/acts-store'
import { fingerprint } from './fingerprint'
import { listOutages } from './outage-store'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const ZONE = 'Europe/Dublin'
const shop = demoShop(NOW)
/** The first plan will do: how good it is does not matter here. */
const atOnce = () => true
const days = (count: number) => plusMinutes(NOW, 1440 * count)
const typed = (at: Instant) => ({ day: dayIn(ZONE, at), time: clockIn(ZONE, at) })
const floorNow = () => loadFloor(shop.db, NOW)
const say = (name: string, input: object) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: NOW })

const booked = async () =>
  (await floorNow()).jobs.find((entry) => entry.agreement && entry.live && !hasBegun(entry.live))!
const again = async ({ job }: FloorJob) => (await floorNow()).jobs.find((each) => each.job.id === job.id)!

const effectOf = (event: CarEvent): Promise<Proposal> => propose(shop.db, NOW, { kind: 'car', event }, atOnce)
async function take(event: CarEvent): Promise<Proposal> {
  const proposal = await effectOf(event)
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  return proposal
}

test('0040-events keeps who was away, lets equipment be out of use, and forgets only proposals for what comes back late', async () => {
  const old = connect(path.join(shop.folder, 'before-events.db'))
  await migrate(old, MIGRATIONS.slice(0, 39))
  const times = { from_at: NOW, until_at: days(2), entered_at: NOW }
  await old('outages').insert({ id: 'ill', kind: 'person', what_id: 'oran', ...times })
  const waiting = { basis: 'b', placed: '[]', planning: '{}', made_at: NOW }
  await old('proposals').insert([
    { id: 'plain', ...waiting },
    { id: 'late', ...waiting, late: '{}' } as never,
  ])
  expect(await migrate(old, MIGRATIONS.slice(0, 40))).toEqual(['0040-events'])
  await old('outages').insert({ id: 'lift', kind: 'equipment', what_id: 'lift', ...times })
  expect(await listOutages(old, NOW)).toMatchObject([
    { id: 'ill', what: { kind: 'person', id: 'oran' } },
    { id: 'lift', what: { kind: 'equipment', id: 'lift' } },
  ])
  expect(await old('proposals').select('id', 'event')).toEqual([{ id: 'plain', event: null }])
  await old.destroy()
})

describe('a car', () => {
  let car: FloorJob
  beforeAll(async () => {
    car = await booked()
  })
  test('that comes two days later is planned from then on, and nobody else is moved for it', async () => {
    const first = car.live!.published.map(({ start }) => start).reduce((a, b) => (a < b ? a : b))
    const at = plusMinutes(first as Instant, 2 * 1440)
    const proposal = await take({ kind: 'comes', job: car.job.id, at })
    expect(proposal.changes.map(({ job }) => job)).toEqual([car.job.id])
    const { job, live } = await again(car)
    expect(job.arriveAt).toBe(at)
    expect(live!.published.every(({ start }) => start >= at)).toBe(true)
  })
  test('that comes at another time makes a plan stale that was worked out before that, though nothing of it moved', async () => {
    const floor = await floorNow()
    const other = await propose(shop.db, NOW, { kind: 'everything' }, atOnce)
    const { arriveAt } = (await again(car)).job
    await comesThen(shop.db, car.job.id, { comesAt: plusMinutes(arriveAt, 15) })
    expect(await takeProposal(shop.db, other.id, NOW)).toEqual({ kind: 'stale' })
    await comesThen(shop.db, car.job.id, { comesAt: arriveAt })
    expect(fingerprint(await floorNow())).toBe(fingerprint(floor))
  })
  test('that comes earlier may be begun earlier', async () => {
    const at = plusMinutes((await again(car)).job.arriveAt, -1440)
    await take({ kind: 'comes', job: car.job.id, at })
    const { job, live } = await again(car)
    expect(job.arriveAt).toBe(at)
    expect(live!.published.every(({ start }) => start >= at)).toBe(true)
  })
  test('that is needed sooner is promised sooner once the plan keeps that', async () => {
    const { agreement, live } = await again(car)
    const end = live!.published.map((each) => each.end).reduce((a, b) => (a > b ? a : b))
    const by = plusMinutes(end as Instant, 120)
    const sooner = by < agreement!.promisedFor ? by : plusMinutes(agreement!.promisedFor, -60)
    await take({ kind: 'urgent', job: car.job.id, by: sooner })
    const promised = (await again(car)).agreement!.promisedFor
    expect(promised <= agreement!.promisedFor).toBe(true)
    expect(promised >= sooner).toBe(true)
  })
  test('is never promised later for being urgent', async () => {
    const before = (await again(car)).agreement!.promisedFor
    await take({ kind: 'urgent', job: car.job.id, by: plusMinutes(NOW, 60) })
    expect((await again(car)).agreement!.promisedFor <= before).toBe(true)
  })
  test('of which a part is missing waits for it; the card knows what from whom', async () => {
    const { live } = await again(car)
    const step = live!.plan.operations.find(({ mode }) => mode !== 'unattended')!
    const planned = live!.published.find(({ operation }) => operation === step.id)!
    const due = plusMinutes(planned.start as Instant, 1440)
    await take({
      kind: 'part-missing',
      job: car.job.id,
      operation: step.id,
      by: toPersonId('oran'),
      awaited: { what: 'the left mirror glass', supplier: 'Causeway Glass', due },
    })
    const { live: after } = await again(car)
    expect(after!.awaited![step.id]).toEqual({
      what: 'the left mirror glass',
      supplier: 'Causeway Glass',
      due,
    })
    expect(after!.published.find(({ operation }) => operation === step.id)!.start >= due).toBe(true)
    expect((await loadEntries(shop.db, car.job.id)).at(-1)).toMatchObject({ kind: 'order', by: 'oran', due })
  })
  test('that does not come is off the calendar, moves nobody, and is on it again once a day is set', async () => {
    const proposal = await take({ kind: 'stays-away', job: car.job.id })
    expect(proposal.changes.map(({ job }) => job)).toEqual([car.job.id])
    expect(proposal.changes[0]!.endAfter).toBeUndefined()
    const { job, live } = await again(car)
    expect(job.putOffAt).toBe(NOW)
    expect(live!.published).toEqual([])
    const floor = await floorNow()
    expect(openJobs(floor).map(({ id }) => id)).not.toContain(car.job.id)
    const watch = watchPromises(floor)
    expect(watch.kind === 'seen' && car.job.id in watch.chances).toBe(false)
    // Work that is begun on it shows that it has come after all.
    const first = live!.plan.operations[0]!.id
    const begun = {
      ...floor,
      jobs: floor.jobs.map((entry) =>
        entry.job.id === car.job.id
          ? {
              ...entry,
              live: { ...entry.live!, progress: { [first]: { kind: 'started' as const, at: NOW } } },
            }
          : entry,
      ),
    }
    expect(openJobs(begun).map(({ id }) => id)).toContain(car.job.id)
    await take({ kind: 'comes', job: car.job.id, at: days(9) })
    const back = await again(car)
    expect(back.job.putOffAt).toBeUndefined()
    expect(back.live!.published.length).toBeGreaterThan(0)
  })
})

test('what cannot happen is refused at its field: work that has begun, a time that has passed, a name left out', async () => {
  const floor = await floorNow()
  const begun = floor.jobs.find(
    (entry) => entry.live && hasBegun(entry.live) && entry.stage.kind !== 'handed-over',
  )!
  const job = begun.job.id
  const at = typed(days(3))
  const told = (input: object) => say('planning.foresee-for-car', input)
  expect(await told({ kind: 'comes', job, at })).toMatchObject({ ok: false, field: 'job' })
  expect(await told({ kind: 'stays-away', job })).toMatchObject({ ok: false, field: 'job' })
  expect(await told({ kind: 'urgent', job, at: typed(days(-1)) })).toMatchObject({ ok: false, field: 'at' })
  const sunday = typed(instantOrThrow('2027-01-17T12:00:00Z'))
  expect(await told({ kind: 'urgent', job, at: sunday })).toMatchObject({ ok: false, field: 'at' })
  expect(await told({ kind: 'urgent', job: '', at })).toMatchObject({ ok: false, field: 'job' })
  const part = { kind: 'part-missing', job, operation: 'none', by: 'oran', supplier: 'Causeway Glass', at }
  expect(await told({ ...part, what: 'a badge' })).toMatchObject({ ok: false, field: 'operation' })
  expect(await told({ ...part, what: ' ' })).toMatchObject({ ok: false, field: 'what' })
  const span = { from: typed(days(1)), until: typed(days(3)) }
  const lent = (input: object) => say('planning.foresee-lent', { ...span, ...input })
  expect(await lent({ name: '', like: 'oran' })).toMatchObject({ ok: false, field: 'name' })
  expect(await lent({ name: 'Oran', like: 'oran' })).toMatchObject({ ok: false, field: 'name' })
  expect(await lent({ name: 'Nuala', like: 'nobody' })).toMatchObject({ ok: false, field: 'like' })
  expect(await lent({ name: 'Nuala', like: 'oran', until: span.from })).toMatchObject({
    ok: false,
    field: 'until',
  })
})

test('whoever is lent can be planned on those days alone, with the hours of whom they are like', async () => {
  const id = toPersonId('lent-nuala')
  const lent = { id, name: 'Nuala', like: toPersonId('oran'), from: days(1), until: days(3) }
  const proposal = await propose(shop.db, NOW, { kind: 'lent', lent }, atOnce)
  expect(proposal.names[id]).toBe('Nuala')
  expect((await floorNow()).shop.setup.people.map((each) => each.id)).not.toContain(id)
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  const { setup } = (await floorNow()).shop
  const own = setup.people.find((each) => each.id === id)!
  expect(own.skills).toEqual(setup.people.find((each) => each.id === 'oran')!.skills)
  const calendar = setup.calendars[own.calendar]!
  expect('weekly' in calendar && calendar.weekly).toEqual({})
  const open = 'exceptions' in calendar ? calendar.exceptions!.map(({ date }) => date) : []
  expect(open.length).toBeGreaterThan(0)
  expect(open.every((day) => day >= dayIn(ZONE, lent.from) && day <= dayIn(ZONE, lent.until))).toBe(true)
})

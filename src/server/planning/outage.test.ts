import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { isCoat, type Outage } from '@/core/planning'
import { MoveDesk } from '@/core/schedule'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { namedReasonText } from '@/text/en/placing'
import { DUBLIN } from '@/text/region.fixture'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { calendarToMove } from './moving'
import { addOutage, endOutage, listOutages } from './outage-store'
import { loadPublished } from './plan-store'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const hours = (count: number) => plusMinutes(NOW, 60 * count)

const shop = demoShop(NOW)

const published = async () => [...(await loadPublished(shop.db)).values()].flat()

test('0005-outages adds its table to a database from before, and keeps the proposals that wait', async () => {
  const old = connect(path.join(shop.folder, 'old.db'))
  await migrate(old, MIGRATIONS.slice(0, 4))
  await old('proposals').insert({ id: 'p', basis: 'b', placed: '[]', planning: '{}', made_at: NOW })
  expect(await migrate(old, MIGRATIONS.slice(0, 5))).toEqual(['0005-outages'])
  expect(await old('proposals')).toMatchObject([{ id: 'p', outage: null }])
  expect(await listOutages(old, NOW)).toEqual([])
  await old.destroy()
})

test('0008-damp-air keeps who was away and which bay was out, and lets the air be told of', async () => {
  const old = connect(path.join(shop.folder, 'older.db'))
  await migrate(old, MIGRATIONS.slice(0, 7))
  const row = (id: string, kind: 'person' | 'place', until: Instant) => ({
    id,
    kind,
    what_id: 'x',
    from_at: NOW,
    until_at: until,
    entered_at: NOW,
  })
  await old('outages').insert([row('a', 'person', hours(4)), row('b', 'place', hours(5))])
  expect(await migrate(old, MIGRATIONS.slice(0, 8))).toEqual(['0008-damp-air'])
  const damp: Outage = { id: 'c', what: { kind: 'air' }, from: hours(1), until: hours(2) }
  await addOutage(old, damp, NOW)
  expect(await listOutages(old, NOW)).toEqual([
    { id: 'a', what: { kind: 'person', id: 'x' }, from: NOW, until: hours(4) },
    { id: 'b', what: { kind: 'place', id: 'x' }, from: NOW, until: hours(5) },
    damp,
  ])
  await old.destroy()
})

test('0039-more-outages keeps all that was out, and lets more hours and no power be told of', async () => {
  const old = connect(path.join(shop.folder, 'newer.db'))
  await migrate(old, MIGRATIONS.slice(0, 38))
  const damp: Outage = { id: 'c', what: { kind: 'air' }, from: hours(1), until: hours(2) }
  await addOutage(old, damp, NOW)
  expect(await migrate(old, MIGRATIONS.slice(0, 39))).toEqual(['0039-more-outages'])
  const more: Outage[] = [
    { id: 'd', what: { kind: 'extra', id: toPersonId('oran') }, from: hours(2), until: hours(3) },
    { id: 'e', what: { kind: 'power' }, from: hours(3), until: hours(4) },
  ]
  for (const outage of more) await addOutage(old, outage, NOW)
  expect(await listOutages(old, NOW)).toEqual([damp, ...more])
  await old.destroy()
})

describe('somebody falls ill', () => {
  const oran: Outage = {
    id: 'ill',
    what: { kind: 'person', id: toPersonId('oran') },
    from: hours(26),
    until: hours(60),
  }
  const hisWork = async () =>
    (await published()).filter(
      ({ people, start, end }) =>
        people.includes(toPersonId('oran')) && start < oran.until && end > oran.from,
    )

  test('there is work of his in the demo that has to be moved', async () => {
    expect((await hisWork()).length).toBeGreaterThan(0)
  })
  test('what follows is shown first, and nothing is known before the plan is taken', async () => {
    const before = JSON.stringify(await published())
    const proposal = await propose(shop.db, NOW, { kind: 'outage', outage: oran })
    expect(proposal.outage).toEqual(oran)
    expect(proposal.changes.length).toBeGreaterThan(0)
    expect(JSON.stringify(await published())).toBe(before)
    expect(await listOutages(shop.db, NOW)).toEqual([])
  })
  test('taken, the plan needs him at no time while he is away, and he is known to be', async () => {
    const proposal = await propose(shop.db, NOW, { kind: 'outage', outage: oran })
    expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
    expect(await hisWork()).toEqual([])
    expect((await loadFloor(shop.db, NOW)).outages).toEqual([oran])
  })
  test('a plan worked out before that is stale', async () => {
    const proposal = await propose(shop.db, NOW, { kind: 'everything' })
    const later: Outage = { ...oran, id: 'ill-too', what: { kind: 'person', id: toPersonId('senan') } }
    const other = await propose(shop.db, NOW, { kind: 'outage', outage: later })
    expect(await takeProposal(shop.db, other.id, NOW)).toEqual({ kind: 'taken' })
    expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'stale' })
  })
  test('back again, he is away no more, and it is said once', async () => {
    expect(await endOutage(shop.db, 'ill', hours(30))).toBe(true)
    expect(await endOutage(shop.db, 'ill', hours(30))).toBe(false)
    expect((await listOutages(shop.db, hours(30))).map(({ id }) => id)).toEqual(['ill-too'])
    expect(await listOutages(shop.db, hours(80))).toEqual([])
  })
})

test('a bay out of use is left to no car that was to come, and the others keep their times', async () => {
  const all = await published()
  // A stay that has not begun, so that the car can still be put elsewhere.
  const coming = all.find(
    ({ job, place, start }) =>
      place.startsWith('loft') &&
      start > hours(12) &&
      all.every((other) => other.job !== job || other.place !== place || other.start > hours(12)),
  )!
  const closed: Outage = {
    id: 'leak',
    what: { kind: 'place', id: coming.place },
    from: plusMinutes(coming.start as Instant, -30),
    until: plusMinutes(coming.end as Instant, 30),
  }
  const there = async () =>
    (await published()).filter(
      ({ place, start, end }) => place === coming.place && start < closed.until && end > closed.from,
    )
  const touched = new Set((await there()).map(({ job }) => job))
  const proposal = await propose(shop.db, NOW, { kind: 'outage', outage: closed })
  expect(touched.size).toBeGreaterThan(0)
  // Cars that were not to stand there keep their times.
  expect(proposal.changes.map(({ job }) => job).filter((job) => !touched.has(job))).toEqual([])
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  expect(await there()).toEqual([])
  const { jobs } = await loadFloor(shop.db, NOW)
  const cars = new Set(jobs.map(({ job }) => job.id))
  expect((await published()).every(({ job }) => cars.has(job))).toBe(true)
})

/** The first plan will do: how good it is does not matter here. */
const atOnce = () => true

test('in damp air nothing is coated, and every way to plan keeps to it', async () => {
  const floor = await loadFloor(shop.db, NOW)
  const isLayer = ({ job, operation }: { job: string; operation: string }) =>
    floor.jobs
      .find(({ live }) => live?.id === job)
      ?.live?.plan.operations.some((each) => each.id === operation && isCoat(each)) ?? false
  const layer = (await published()).find((placed) => isLayer(placed) && placed.start > hours(2))!
  const damp: Outage = {
    id: 'damp',
    what: { kind: 'air' },
    from: plusMinutes(layer.start as Instant, -60),
    until: plusMinutes(layer.end as Instant, 120),
  }
  const coated = async () =>
    (await published()).filter(
      (placed) => isLayer(placed) && placed.start < damp.until && placed.end > damp.from,
    )
  const touched = new Set((await coated()).map(({ job }) => job))
  const proposal = await propose(shop.db, NOW, { kind: 'outage', outage: damp }, atOnce)
  // A car is wiped down already: its layer cannot wait so long, and that is said before anybody takes it.
  const shopNow = { region: DUBLIN, now: NOW, names: proposal.names }
  expect(proposal.reasons.map((reason) => namedReasonText(reason, shopNow))).toEqual([
    expect.stringMatching(
      /^IM .*“Layer \d.*must begin between .* after .*, but it can only begin .*: before that the air is too damp to coat/,
    ),
  ])
  const moved = proposal.changes.map(({ job }) => job)
  expect([...touched].every((job) => moved.includes(job))).toBe(true)
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  expect(await coated()).toEqual([])
  const anew = await propose(shop.db, NOW, { kind: 'everything' }, atOnce)
  expect(await takeProposal(shop.db, anew.id, NOW)).toEqual({ kind: 'taken' })
  expect(await coated()).toEqual([])
  const calendar = await calendarToMove(shop.db, NOW)
  expect(calendar.kind).toBe('open')
  if (calendar.kind !== 'open') return
  const desk = new MoveDesk(calendar.problem, calendar.operations)
  const tried = desk.tryOperation({ job: layer.job, operation: layer.operation, start: damp.from })
  expect(tried.kind).toBe('refused')
})

import { expect, test } from 'vitest'
import { toOperationId, toPersonId } from '@/core/ids'
import { openNow } from '@/core/job'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { changePlan, findAgreement } from '../quotes/agreement-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { awaitedOn, loadAway } from './away'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const THERE = toOperationId('vendor-fergus-paint')
const oran = toPersonId('oran')

/** A car in hand goes to the painter beside what is on its card. */
async function carThatGoes(at: Instant) {
  const { jobs } = await loadFloor(shop.db, at)
  const { job, live } = jobs.find(
    (each) => each.live && openNow(each.live, at).some(({ isBegun }) => isBegun),
  )!
  const { plan } = (await findAgreement(shop.db, job.id))!
  const title = { code: 'vendor', trade: 'paint', name: 'Fergus Dowd' } as const
  await changePlan(shop.db, job.id, {
    ...plan,
    operations: [
      {
        id: THERE,
        kind: 'vendor',
        title,
        minutes: 480,
        mode: 'pausable',
        people: 1,
        skill: 'vendor-fergus-paint',
        away: 'piece',
      },
      ...plan.operations,
    ],
    stays: [...plan.stays, { id: 'piece', kind: 'offsite', operations: [THERE] }],
  })
  return { job, begun: live!.plan.operations[0]!.id }
}

let count = 0
const say = (jobId: string, what: object, at: Instant, by = oran, operation = THERE) =>
  perform(
    shop.db,
    EVERY_ACTION.get('work.move-away')!,
    { key: `away-${++count}-aaaaaaaa`, input: { jobId, operation, by, what } },
    { caller: { ...OPEN_SHOP, address: 'https://shop.example' }, at },
  )

test('out, later than said, back: each is one act, and each that cannot be is answered', async () => {
  const { job, begun } = await carThatGoes(NOW)
  const at = (minutes: number) => plusMinutes(NOW, minutes)
  expect(await say(job.id, { kind: 'back' }, at(0))).toMatchObject({ ok: false, code: 'stale' })
  expect(
    await say(job.id, { kind: 'later', day: '2027-01-20', time: '12:00', note: '' }, at(0)),
  ).toMatchObject({
    ok: false,
  })
  expect(await say(job.id, { kind: 'out', day: '2027-01-12', time: '12:00' }, at(1))).toMatchObject({
    ok: false,
    message: 'It can only be due back later than now. Choose a later day or time.',
  })
  expect(
    await say(job.id, { kind: 'out', day: '2027-01-15', time: '16:00' }, at(1), oran, begun),
  ).toMatchObject({
    ok: false,
    message: 'This cannot be said of it now. Reload, and look at the job card.',
  })
  expect(
    await say(job.id, { kind: 'out', day: '2027-01-15', time: '16:00' }, at(1), toPersonId('nobody')),
  ).toMatchObject({ ok: false, field: 'by' })

  expect(await say(job.id, { kind: 'out', day: '2027-01-15', time: '16:00' }, at(2))).toMatchObject({
    ok: true,
  })
  expect(await loadAway(shop.db, await loadFloor(shop.db, at(3)))).toMatchObject([
    { plate: job.vehicle.plate, thing: 'piece', late: false, out: { dueBack: '2027-01-15T16:00:00.000Z' } },
  ])
  expect(await say(job.id, { kind: 'out', day: '2027-01-16', time: '16:00' }, at(4))).toMatchObject({
    ok: false,
    message: 'It is out already. Reload to see since when.',
  })

  const late = instantOrThrow('2027-01-16T09:00:00Z')
  expect((await loadAway(shop.db, await loadFloor(shop.db, late)))[0]).toMatchObject({ late: true })
  const later = { kind: 'later', day: '2027-01-18', time: '10:00', note: 'Two coats more' }
  expect(await say(job.id, later, late)).toMatchObject({ ok: true })
  expect((await loadAway(shop.db, await loadFloor(shop.db, late)))[0]).toMatchObject({
    late: false,
    out: { dueBack: '2027-01-18T10:00:00.000Z' },
    firstSaid: '2027-01-15T16:00:00.000Z',
    note: 'Two coats more',
  })

  const home = instantOrThrow('2027-01-18T09:30:00Z')
  expect(await say(job.id, { kind: 'back' }, home)).toMatchObject({ ok: true })
  expect(await say(job.id, { kind: 'back' }, plusMinutes(home, 1))).toMatchObject({
    ok: false,
    message: 'It is back already. Reload to see since when.',
  })
  expect(await loadAway(shop.db, await loadFloor(shop.db, plusMinutes(home, 2)))).toEqual([])
})

test('only a step that is still to be done waits for what was ordered', async () => {
  const floor = await loadFloor(shop.db, NOW)
  const entry = floor.jobs.find(({ job, live }) => live && !job.handedOverAt)!
  const live = entry.live!
  const open = live.plan.operations.find(({ id }) => (live.progress[id]?.kind ?? 'open') === 'open')!
  const order = { what: 'Paint LY7', supplier: 'Lantern Colours', due: plusMinutes(NOW, 600) }
  const plates = (awaited: object, progress: object = {}) =>
    awaitedOn({
      jobs: [{ ...entry, live: { ...live, awaited, progress: { ...live.progress, ...progress } } } as never],
    }).map(({ operation }) => operation)
  expect(plates({ [open.id]: order })).toEqual([open.id])
  expect(plates({ 'extra-dropped': order })).toEqual([])
  expect(plates({ [open.id]: order }, { [open.id]: { kind: 'done', from: NOW, to: NOW } })).toEqual([])
})

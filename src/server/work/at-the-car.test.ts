import { randomUUID } from 'node:crypto'
import path from 'node:path'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Act, type CardState, withEntry } from '@/core/card'
import { believed } from '@/core/climate'
import type { MethodKey } from '@/core/correction'
import { type JobId, toBayId, toJobId, toOperationId, toPersonId, toProductId } from '@/core/ids'
import type { SentEntry } from '@/core/queue'
import { instantOrThrow, minutesBetween, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { connect, snapshot } from '../db/connection'
import { databaseFile } from '../db/data-folder'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { jobOnFloor, loadFloor } from '../floor/floor'
import { receiveBatch } from '../queue/receive'
import { unreadRefused } from '../queue/refused-store'
import { bayAir } from '../shop/air'
import { loadShop } from '../shop/shop-store'
import { addSpell } from '../shop/spell-store'
import { addBottle, listBottles } from '../stock/stock-store'
import { findWays } from '../survey/ways'
import { loadEntries } from './acts-store'
import { loadCardView } from './card'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

type ActSent = Extract<SentEntry, { kind: 'act' }>
type Sent = Parameters<typeof receiveBatch>[1]['waiting'][number]

/** A tablet of its own for each test. */
function tablet() {
  const device = randomUUID()
  let number = 0
  const waiting = (job: string, act: Act, agoMinutes = 0, by = 'brida'): ActSent => {
    number += 1
    return {
      id: randomUUID(),
      number,
      kind: 'act',
      job: toJobId(job),
      by: toPersonId(by),
      act,
      ago: agoMinutes * 60_000,
    }
  }
  const send = (sent: readonly ActSent[]) =>
    receiveBatch(shop.db, { device, waiting: [...sent] as Sent[] }, NOW, OPEN_SHOP)
  return { waiting, send, device }
}
const refusedOf = async (jobId: JobId) =>
  (await unreadRefused(shop.db)).filter((refused) => refused.jobId === jobId)
const jobWith = async (plate: string) =>
  (await loadFloor(shop.db, NOW)).jobs.find(({ job }) => job.vehicle.plate === plate)!

test('0009-at-the-car leaves what a database held, and takes its new facts', async () => {
  const old = connect(path.join(shop.folder, 'old.db'))
  await migrate(old, MIGRATIONS.slice(0, 8))
  expect(await migrate(old, MIGRATIONS.slice(0, 9))).toEqual(['0009-at-the-car'])
  const id = await addBottle(old, {
    productId: toProductId('p'),
    lot: 'L',
    fullMl: 50,
    arrivedOn: '2027-01-01' as never,
  })
  expect(await listBottles(old)).toMatchObject([{ id, code: 1, leftMl: 50 }])
  await expect(
    old('payments').insert({ id: 'x', job_id: toJobId('none'), cents: 5, way: 'card', note: '', at: NOW }),
  ).rejects.toThrow()
  await old.destroy()
})

describe('acts from a tablet', () => {
  test('are taken once, in order, at the time they happened whatever its clock says', async () => {
    const { live } = await jobWith('IM 903')
    const operation = live!.plan.operations.find(({ id }) => live!.progress[id]?.kind === 'started')!.id
    const { waiting, send } = tablet()
    const batch = [
      waiting(live!.id, { kind: 'sections', operation, panel: 'bonnet', done: 1 }, 50),
      waiting(live!.id, { kind: 'sections', operation, panel: 'bonnet', done: 3 }, 20),
    ]
    expect((await send([batch[1]!])).next).toBe(1)
    const reply = await send(batch)
    expect(reply).toMatchObject({ next: 3, outcomes: [{ taken: true }, { taken: true }] })
    expect(await send(batch)).toEqual(reply)
    const entries = await loadEntries(shop.db, live!.id)
    expect(entries.map(({ at }) => minutesBetween(at, NOW))).toEqual([50, 20])
  })
  test('that another was faster with are kept, refused and told', async () => {
    const { live } = await jobWith('IM 903')
    const operation = live!.plan.operations.find(({ id }) => live!.progress[id]?.kind === 'started')!.id
    const { waiting, send } = tablet()
    const { outcomes } = await send([waiting(live!.id, { kind: 'begin', operation }, 1, 'senan')])
    expect(outcomes).toMatchObject([{ taken: false, why: { conflict: { code: 'begun-already' } } }])
    expect((await refusedOf(live!.id)).map(({ entry }) => 'by' in entry && entry.by)).toEqual(['senan'])
  })
  test('that cannot be read do not hold up what comes after', async () => {
    const { live } = await jobWith('IM 903')
    const { waiting, send } = tablet()
    const bad = {
      ...waiting(live!.id, { kind: 'towel', operation: toOperationId('x') }),
      act: { kind: 'nonsense' } as never,
    }
    const { next, outcomes } = await send([
      bad,
      waiting(live!.id, { kind: 'towel', operation: toOperationId('wash') }),
    ])
    expect(next).toBe(3)
    expect(outcomes).toMatchObject([
      { taken: false, why: { conflict: { code: 'malformed' } } },
      { taken: true },
    ])
  })
  test('of a job nobody knows are refused and lose nothing', async () => {
    const { waiting, send } = tablet()
    const { outcomes } = await send([
      waiting('no-such-job', { kind: 'begin', operation: toOperationId('wash') }),
    ])
    expect(outcomes).toMatchObject([{ taken: false, why: { conflict: { code: 'unknown', what: 'job' } } }])
  })
  test('sent in whatever pieces and repeats leave the same card as sent at once', async () => {
    const { live } = await jobWith('IM 903')
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 8 }),
        async (upTo) => {
          const { waiting, send } = tablet()
          const all = [1, 2, 3, 4, 5, 6].map((done) =>
            waiting(live!.id, { kind: 'sections', operation: toOperationId('refine'), panel: 'roof', done }),
          )
          for (const count of upTo) await send(all.slice(0, count))
          await send(all)
          const mine = new Set(all.map(({ id }) => id))
          const taken = (await loadEntries(shop.db, live!.id)).filter(({ id }) => mine.has(id))
          expect(taken.map(({ id }) => id)).toEqual(all.map(({ id }) => id))
        },
      ),
      { numRuns: 12 },
    )
  })
})

describe('a layer done at the car', () => {
  const LATER = plusMinutes(NOW, 240)
  const device = randomUUID()
  let number = 0
  const send = (job: JobId, ...acts: { act: Act; ago: number }[]) =>
    receiveBatch(
      shop.db,
      {
        device,
        waiting: acts.map(({ act, ago }) => {
          number += 1
          return {
            id: randomUUID(),
            number,
            kind: 'act',
            job,
            by: toPersonId('merle'),
            act,
            ago: ago * 60_000,
          }
        }),
      },
      LATER,
      OPEN_SHOP,
    )
  const standing = async (id: string) => (await listBottles(shop.db)).find((each) => each.id === id)!
  const leftIn = async (id: string) => (await standing(id)).leftMl
  const applied = async () => {
    const { job, live } = await jobWith('IM 4471')
    const layer = live!.plan.operations.find(({ id }) => id === 'layer-3')!
    const bottle = await addBottle(shop.db, {
      productId: layer.productId!,
      lot: 'TT-9',
      fullMl: 50,
      arrivedOn: '2027-01-04' as never,
    })
    const coat = {
      productId: layer.productId!,
      lot: 'TT-9',
      poured: [{ bottle, ml: 36 }],
      climate: { airC: 18, rhPercent: 52, panelC: 17.5 },
    }
    const reply = await send(
      job.id,
      { act: { kind: 'begin', operation: layer.id }, ago: 55 },
      { act: { kind: 'done', operation: layer.id, coat }, ago: 5 },
    )
    expect(reply.outcomes.map(({ taken }) => taken)).toEqual([true, true])
    return { job: job.id, bottle, layer: layer.id, coat }
  }

  test('books its bottle, keeps its air, and moves the plan; taken back and logged again it counts once', async () => {
    const { job, bottle, layer, coat } = await applied()
    expect(await leftIn(bottle)).toBe(14)
    expect((await jobWith('IM 4471')).live!.progress[layer]?.kind).toBe('done')
    const air = () => shop.db('coat_climate').where({ job_id: job, operation_id: layer })
    expect((await air()).length).toBeGreaterThan(5)
    for (let again = 0; again < 2; again++) {
      // What a high spot took belongs to the layer it was in, and goes back with it.
      const spot = { kind: 'high-spot', operation: layer, panel: 'roof' } as const
      await send(job, { act: spot, ago: 4 })
      const card = (await loadCardView(shop.db, await loadFloor(shop.db, NOW), await jobWith('IM 4471')))!
      const found = card.entries.findLast(({ kind }) => kind === 'high-spot')!
      const mended = { kind: 'high-spot-gone', operation: layer, spot: found.id, how: 're-wet' } as const
      await send(job, { act: { ...mended, poured: [{ bottle, ml: 2 }] }, ago: 4 })
      expect(await leftIn(bottle)).toBe(12)
      const begun = (await jobWith('IM 4471')).live!.progress[layer]
      const back = await send(job, { act: { kind: 'undo', operation: layer }, ago: 3 })
      expect(back.outcomes.map(({ taken }) => taken)).toEqual([true])
      expect((await jobWith('IM 4471')).live!.progress[layer]).toEqual({
        kind: 'started',
        at: begun?.kind === 'done' && begun.from,
        by: 'merle',
      })
      // As it stood: full, and not opened, so that its time after opening has not begun.
      expect(await standing(bottle)).toMatchObject({ leftMl: 50 })
      expect((await standing(bottle)).openedOn).toBeUndefined()
      expect(await air()).toEqual([])
      const reply = await send(job, { act: { kind: 'done', operation: layer, coat }, ago: 2 })
      expect(reply.outcomes.map(({ taken }) => taken)).toEqual([true])
      expect(await leftIn(bottle)).toBe(14)
    }
    expect((await air()).length).toBeGreaterThan(5)
  })
})

test('the card of a car carries what a tablet needs to go on alone', async () => {
  const floor = await loadFloor(shop.db, NOW)
  const entry = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!
  const view = (await loadCardView(shop.db, floor, entry))!
  const layer = view.live.plan.operations.find(({ kind }) => kind === 'layer')!
  expect(view.sheets[layer.id]!.coat).toMatchObject({
    product: { id: layer.productId },
    shortMl: expect.any(Number),
  })
  expect(view.sheets[layer.id]!.tasks.length).toBeGreaterThan(10)
  expect(view.sheets.cut!.machines.length).toBeGreaterThan(0)
  expect(JSON.parse(JSON.stringify(view))).toEqual(view)
})

test('a card read while somebody writes is whole: what its journal says is what its steps show', async () => {
  const { live } = await jobWith('IM 903')
  const operation = live!.plan.operations.find(({ id }) => live!.progress[id]?.kind === 'started')!.id
  const { waiting, send } = tablet()
  const reader = connect(databaseFile(), { readOnly: true })
  // What the first acts undo was brought along with the demo and is in no journal.
  await send([
    waiting(live!.id, { kind: 'undo', operation }),
    waiting(live!.id, { kind: 'begin', operation }),
  ])
  const read = () =>
    snapshot(reader, async (db) => {
      const floor = await loadFloor(db, NOW)
      return (await loadCardView(db, floor, (await jobOnFloor(db, floor, live!.id))!))!
    })
  const none: CardState = { progress: {}, work: {}, processes: [], parts: [] }
  for (let round = 0; round < 12; round++) {
    const writing = send([waiting(live!.id, { kind: round % 2 ? 'begin' : 'undo', operation })])
    const views = await Promise.all([read(), read(), read()])
    await writing
    for (const { entries, live: seen } of views) {
      const said = entries.reduce(withEntry, none).progress[operation]
      expect(seen.progress[operation]?.kind ?? 'open').toBe(said?.kind ?? 'open')
    }
  }
  await reader.destroy()
})

test('a humid spell reaches the card, and a silent sensor is no go', async () => {
  await addSpell(shop.db, {
    bay: toBayId('loft-1'),
    kind: 'humid',
    from: plusMinutes(NOW, -120),
    until: plusMinutes(NOW, 200),
  })
  await addSpell(shop.db, {
    bay: toBayId('loft-2'),
    kind: 'silent',
    from: plusMinutes(NOW, -120),
    until: plusMinutes(NOW, 200),
  })
  const air = await bayAir(
    shop.db,
    (await loadShop(shop.db)).setup,
    [toBayId('loft-1'), toBayId('loft-2'), toBayId('loft-3')],
    NOW,
  )
  expect(believed(air.get(toBayId('loft-1')))!.rhPercent).toBeGreaterThan(75)
  expect(believed(air.get(toBayId('loft-2')))).toBeUndefined()
  expect(believed(air.get(toBayId('loft-3')))!.rhPercent).toBeLessThan(70)
})

test('another method is offered within what the paint can spare, and the rest with its reason', async () => {
  const { job } = await jobWith('IM 903')
  const ways = await findWays(shop.db, job.id, 'bonnet')
  expect(ways.some(({ forbidden }) => forbidden !== undefined)).toBe(true)
  expect(ways[0]).toEqual({ key: 'leave', name: '', takesUm: 0 })
  expect(await findWays(shop.db, job.id, 'no-panel')).toEqual([])
  // What is forbidden is not taken from a tablet either.
  const { waiting, send } = tablet()
  const act = (process: MethodKey): Act => ({
    kind: 'process',
    operation: toOperationId('refine'),
    panel: 'bonnet',
    process,
    reason: 'softer than thought',
  })
  const wrong = ways.find(({ forbidden }) => forbidden)!.key
  expect((await send([waiting(job.id, act('scrubbing'))])).outcomes).toMatchObject([{ taken: false }])
  const { outcomes } = await send([waiting(job.id, act(wrong)), waiting(job.id, act('leave'))])
  expect(outcomes).toMatchObject([
    { taken: false, why: { conflict: { code: 'process-forbidden' } } },
    { taken: true },
  ])
})

test('acts keep their order though one sending was longer on its way than the next', async () => {
  const { live } = await jobWith('IM 903')
  const operation = live!.plan.operations.find(({ id }) => live!.progress[id]?.kind === 'started')!.id
  const { waiting, send } = tablet()
  const check = (on: boolean) => waiting(live!.id, { kind: 'check', operation, item: 'edges', checked: on })
  const [first, second, third] = [check(true), check(false), check(true)]
  await send([{ ...first, ago: 1_000 }])
  // Sent at once again, and quicker: by the clock it would come before the first.
  await send([
    { ...second, ago: 1_078 },
    { ...third, ago: 1_020 },
  ])
  const mine = (await loadEntries(shop.db, live!.id)).filter(({ id }) =>
    [first.id, second.id, third.id].includes(id),
  )
  expect(mine.map(({ id }) => id)).toEqual([first.id, second.id, third.id])
  const times = mine.map(({ at }) => at)
  expect(times).toEqual(times.toSorted())
})

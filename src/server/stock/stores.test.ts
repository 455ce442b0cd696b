import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { machineRoles } from '@/core/offer'
import { wornCents } from '@/core/stock'
import { dayIn, instantOrThrow, plusDays, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { writeAct } from '../work/acts-store'
import { takeEntry } from '../work/at-the-car'
import { loadShelf } from './shelf'
import { listSupplies, setSupplyPrice } from './stock-store'
import { countStore, listStores, setStore, usedFor } from './stores'
import { stepsToCome, takesOfDone, takesOfStep } from './takes'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const left = async (key: string) => (await listStores(shop.db)).find((store) => store.key === key)?.left

async function cutting() {
  const floor = await loadFloor(shop.db, NOW)
  const { job, live } = floor.jobs.find(({ job: each }) => each.vehicle.plate === 'IM 903')!
  const cut = live!.plan.operations.find((step) => machineRoles(step).length > 0)!
  return { floor, job, live: live!, cut }
}

const say = async (what: object, minutes: number) => {
  const { job, cut } = await cutting()
  const at = plusMinutes(NOW, minutes)
  const entry = {
    id: randomUUID(),
    job: job.id,
    operation: cut.id,
    by: toPersonId('senan'),
    at,
    ...what,
  } as never
  expect(await takeEntry(shop.db, entry, at)).toBeUndefined()
  await writeAct(shop.db, entry, 'tablet', at)
}

test('counted is counted: the difference is booked, and an order point alone counts nothing', async () => {
  await countStore(shop.db, 'tar-remover', 500, NOW)
  expect(await left('tar-remover')).toBe(500)
  await countStore(shop.db, 'tar-remover', 320.5, NOW)
  expect(await left('tar-remover')).toBe(320.5)
  await setStore(shop.db, 'tar-remover', { orderBelow: 200, cents: 900 })
  expect(await left('tar-remover')).toBe(320.5)
})

test('a step that is done takes what its recipe says, once; taken back, it is there again', async () => {
  const { floor, job, live, cut } = await cutting()
  const takes = (await takesOfStep(shop.db, floor.shop, live, cut.id))!
  const compound = takes.stores.find(({ key }) => key === 'compound')!
  expect(compound.amount).toBeGreaterThan(10)
  expect(takes.pads.length).toBeGreaterThan(0)
  const before = (await left('compound'))!
  await say({ kind: 'done' }, 30)
  expect(await left('compound')).toBeCloseTo(before - compound.amount, 1)
  expect((await usedFor(shop.db, job.id)).find(({ key }) => key === 'compound')!.amount).toBeCloseTo(
    compound.amount,
    1,
  )
  await say({ kind: 'undo' }, 31)
  expect(await left('compound')).toBeCloseTo(before, 1)
  await say({ kind: 'done' }, 40)
  expect(await left('compound')).toBeCloseTo(before - compound.amount, 1)
})

test('what the steps of a car wore out of pads and towels is reckoned once one of them has a price', async () => {
  const { floor, job, live, cut } = await cutting()
  const { agreement } = floor.jobs.find(({ job: { id } }) => id === job.id)!
  const done = await takesOfDone(shop.db, floor.shop, { job, agreement: agreement!, live, processes: [] })
  expect(done.length).toBe(live.plan.operations.filter(({ id }) => live.progress[id]?.kind === 'done').length)
  expect(live.progress[cut.id]?.kind).toBe('done')
  const sets = await listSupplies(shop.db)
  expect(wornCents(done, sets)).toBeUndefined()
  const towels = sets.filter(({ kind }) => kind === 'towel')
  for (const { id } of towels) expect(await setSupplyPrice(shop.db, id, 600)).toBe(true)
  const used = done.reduce((sum, { towels: count }) => sum + count, 0)
  expect(used).toBeGreaterThan(0)
  // Sixty washes at six euros: ten cents a use.
  expect(wornCents(done, await listSupplies(shop.db))).toBe(10 * used)
  expect(await setSupplyPrice(shop.db, 'no-such-set', 600)).toBe(false)
})

test('the shelf is held against the recipes of the days to come, liquids, pads and towels', async () => {
  const floor = await loadFloor(shop.db, NOW)
  const until = plusDays(dayIn('Europe/Dublin', NOW), 7)
  const steps = await stepsToCome(shop.db, floor, until)
  expect(steps.length).toBeGreaterThan(5)
  const shelf = await loadShelf(shop.db, floor)
  for (const { of, needed } of shelf.stores) {
    const sum = steps.flatMap(({ takes }) => takes.stores).filter(({ key }) => key === of)
    expect(needed).toBeCloseTo(
      sum.reduce((all, { amount }) => all + amount, 0),
      1,
    )
  }
  expect(shelf.towels).toBe(steps.reduce((sum, { takes }) => sum + takes.towels, 0))
  expect(shelf.pads.some(({ of }) => of.pad === 'foam-cut')).toBe(true)
})

test('a fresh pad comes from the set of its kind and width', async () => {
  const { floor, live, cut } = await cutting()
  const { pads } = (await takesOfStep(shop.db, floor.shop, live, cut.id))!
  const [wanted] = pads
  await shop.db('supplies').insert({
    id: 'fitting',
    kind: 'pad',
    name: 'Zz fitting',
    clean: 3,
    dirty: 0,
    washes: 0,
    washes_most: 15,
    reorder_at: 0,
    pad: wanted!.pad,
    mm: wanted!.mm,
  })
  await shop.db('supplies').where({ kind: 'pad' }).whereNot({ id: 'fitting' }).update({ pad: null, mm: null })
  await say({ kind: 'undo' }, 50)
  await say({ kind: 'pad', what: 'fresh' }, 51)
  expect((await listSupplies(shop.db)).find(({ id }) => id === 'fitting')).toMatchObject({
    clean: 2,
    dirty: 1,
  })
})

import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import type { MethodKey } from '@/core/correction'
import { toPersonId } from '@/core/ids'
import { machineRoles } from '@/core/offer'
import { attempt } from '@/core/test-spot/spots.fixture'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { shopVersion } from '../shop/shop-store'
import { loadJudged } from '../survey/judged'
import { loadPaintStudy } from '../survey/paint-memory'
import { spotNews } from '../survey/spot-news'
import { listAttempts } from '../survey/spot-store'
import { findWays } from '../survey/ways'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { writeAct } from '../work/acts-store'
import { takeEntry } from '../work/at-the-car'
import { groupOf, previewMethods, spared } from './methods-changed'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const say = (name: string, input: object) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: NOW })

const PLATE = 'IM 903'
async function car() {
  const floor = await loadFloor(shop.db, NOW)
  const entry = floor.jobs.find(({ job }) => job.vehicle.plate === PLATE)!
  return { floor, entry, job: entry.job, live: entry.live!, agreement: entry.agreement! }
}

const machineMinutes = async () =>
  (await car()).live.plan.operations
    .filter((operation) => machineRoles(operation).length > 0)
    .map(({ id, minutes }) => ({ id, minutes }))

/** As somebody at the car says it. */
async function change(panel: string, process: MethodKey) {
  const { job, live } = await car()
  const operation = live.plan.operations.find((step) => machineRoles(step).length > 0)!.id
  const what = { kind: 'process', operation, panel, process, reason: 'harder' } as const
  const act = { ...what, id: randomUUID(), job: job.id, by: toPersonId('senan'), at: NOW }
  const conflict = await takeEntry(shop.db, act, NOW)
  if (!conflict) await writeAct(shop.db, act, 'tablet', NOW)
  return conflict
}

async function section(panel: string) {
  const { job, live } = await car()
  const operation = live.plan.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!.id
  const what = { kind: 'section', operation, panel, count: 1, of: 9 } as const
  return takeEntry(shop.db, { ...what, id: randomUUID(), job: job.id, by: toPersonId('senan'), at: NOW }, NOW)
}

/** The strongest method the roof can spare that is not the one agreed. */
async function stronger(): Promise<MethodKey> {
  const { job, agreement } = await car()
  const agreed = agreement.summary.processes.roof
  return (await findWays(shop.db, job.id, 'roof')).findLast(
    ({ key, forbidden }) => !forbidden && key !== agreed && key !== 'leave',
  )!.key
}

const standsIn = async (agreed: readonly string[]) => {
  const { agreement } = await car()
  return agreed.map((panel) => agreement.summary.processes[panel] ?? 'leave')
}

test('a change of method is shown in hours, money and day before it holds, for one panel or all that are like it', async () => {
  const { floor, job, live } = await car()
  const process = await stronger()
  const group = await groupOf(shop.db, floor.shop, job.id, 'roof')
  expect(group).toContain('roof')
  expect(group.length).toBeGreaterThan(2)
  expect(await standsIn(group)).not.toContain('leave')
  const able = await spared(shop.db, job.id, group, process)
  for (const panel of group) {
    const way = (await findWays(shop.db, job.id, panel)).find(({ key }) => key === process)
    expect(able.includes(panel)).toBe(way !== undefined && way.forbidden === undefined)
  }
  const one = (await previewMethods(shop.db, floor, job.id, ['roof'], process))!
  const all = (await previewMethods(shop.db, floor, job.id, able, process))!
  expect(one.minutes).not.toBe(0)
  expect(Math.abs(all.minutes)).toBeGreaterThan(Math.abs(one.minutes))
  expect(one.collect.before).toBeDefined()
  // Nothing of it was kept.
  expect((await car()).live.plan).toEqual(live.plan)
})

test('a method that is changed back has its minutes again', async () => {
  const before = await machineMinutes()
  const { agreement } = await car()
  expect(await change('roof', await stronger())).toBeUndefined()
  expect(await machineMinutes()).not.toEqual(before)
  expect(await change('roof', agreement.summary.processes.roof!)).toBeUndefined()
  expect(await machineMinutes()).toEqual(before)
})

test('where the shop waits for a yes, the panel is not worked until there is one; where it goes on, it is', async () => {
  const { floor, job, agreement } = await car()
  const process = await stronger()
  const { cents } = (await previewMethods(shop.db, floor, job.id, ['roof'], process))!
  expect(cents).toBeGreaterThan(0)
  await change('roof', process)
  expect(await section('roof')).toBeUndefined()
  const { school, polishing, sharing, sure, inspector, wash } = floor.shop.setup
  const ways = { school, polishing, sharing, sure, inspector, wash }
  const rule = async (unagreed: 'waits' | 'goes-on') =>
    say('shop.keep-ways', { version: await shopVersion(shop.db), ...ways, unagreed })
  expect(await rule('waits')).toMatchObject({ ok: true })
  expect(await section('roof')).toEqual({ code: 'panel-waits', panel: 'roof' })
  expect(await section('bonnet')).toBeUndefined()
  await change('roof', agreement.summary.processes.roof!)
  expect(await section('roof')).toBeUndefined()
  expect(await rule('goes-on')).toMatchObject({ ok: true })
})

test('a test spot after the job was agreed offers what it settled for its panels, with what that comes to', async () => {
  const news = async () => {
    const { floor, entry, job } = await car()
    const { judgement } = await loadJudged(shop.db, job, floor.shop.setup)
    const study = await loadPaintStudy(shop.db, job, floor.shop.setup)
    const attempts = await listAttempts(shop.db, job.id)
    return spotNews(shop.db, floor, entry, judgement, { ...study, attempts })
  }
  expect(await news()).toBeUndefined()
  const { job, agreement } = await car()
  const process = await stronger()
  const tried = attempt({ panel: 'roof', process, verdict: 'enough', cleared: 0.96 })
  const kept = await say('survey.keep-attempt', { jobId: job.id, attempt: tried })
  expect(kept).toMatchObject({ ok: true })
  const told = (await news())!
  const [settled] = told.settled
  expect(settled).toMatchObject({ group: 'metal-original', process })
  expect(settled!.panels).toContain('roof')
  for (const panel of settled!.panels) expect(agreement.summary.processes[panel]).not.toBe(process)
  const taken = { jobId: job.id, panels: settled!.panels, process, reason: 'by the test spot' }
  expect(await say('survey.take-settled', { ...taken, by: 'nobody' })).toMatchObject({
    ok: false,
    field: 'by',
  })
  const before = await machineMinutes()
  expect(await say('survey.take-settled', { ...taken, by: 'senan' })).toMatchObject({ ok: true })
  expect(await machineMinutes()).not.toEqual(before)
  expect((await news())?.settled ?? []).toEqual([])
  // Whatever was still otherwise is planned once, and then nothing differs any more.
  if ((await news())?.anew)
    expect(await say('survey.plan-by-spots', { jobId: job.id })).toMatchObject({ ok: true })
  expect(await news()).toBeUndefined()
  expect(await say('survey.plan-by-spots', { jobId: job.id })).toMatchObject({ ok: false, code: 'stale' })
})

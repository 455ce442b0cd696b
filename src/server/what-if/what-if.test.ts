import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { toPersonId } from '@/core/ids'
import { everythingToPlan, typedCrew } from '@/core/planning'
import { SureSolver } from '@/core/schedule'
import { dayIn, instantOrThrow, localDayOrThrow, plusMinutes } from '@/core/time'
import { type Bought, type ShopChange, setupWith } from '@/core/what-if'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadLessons } from '../learning/lesson-store'
import { loadShop, shopVersion } from '../shop/shop-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadGround } from './ground'
import { listTrials } from './trial-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW, 'years')
const say = (name: string, input: object, at = NOW) =>
  perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at })

const second: ShopChange = { kind: 'person', like: toPersonId('oran') }
const nothing: Bought = { booked: { kind: 'nothing' } }
const trial = { change: second, busier: 1, weeklyCents: 124_000, bought: nothing }

describe('what a change is tried against', () => {
  test('are the cars of the past year that went home, each with what it leaves, and what is booked with what it will', async () => {
    const { past, earned, floor } = await loadGround(shop.db, NOW)
    expect(past.length).toBeGreaterThan(70)
    expect(past.every(({ asked }) => asked >= '2026-01-13' && asked < NOW)).toBe(true)
    const { costs } = floor.shop.setup
    const lessons = await loadLessons(shop.db, localDayOrThrow('2026-01-01'), dayIn('Europe/Dublin', NOW))
    for (const { id, leftCents, wageCents } of past) {
      const lesson = lessons.find(({ jobId }) => jobId === id)!
      const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)
      const wages = lesson.steps.map(
        ({ skill, plannedMinutes }) => (costs.wageCentsPerHour[skill] * plannedMinutes) / 60,
      )
      expect(wageCents).toBeCloseTo(sum(wages), 3)
      const products = lesson.products.map(({ plannedMl, centsPerMl }) => plannedMl * centsPerMl)
      const paid = lesson.vendorCents + lesson.consumablesCents + (sum(products) * costs.productPercent) / 100
      // Millilitres are charged for as they were rounded on the quote.
      expect(Math.abs(leftCents - (lesson.netCents - paid))).toBeLessThan(0.01 * leftCents)
    }
    expect(earned.length).toBe(floor.jobs.filter(({ agreement }) => agreement).length)
  })
  test('the plan for a change that is tried is the plan once the shop is really like that', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const tried = everythingToPlan({
      ...floor,
      shop: { ...floor.shop, setup: setupWith(floor.shop.setup, second)! },
    })
    const { setup } = await loadShop(shop.db)
    const crew = typedCrew(setup)
    const oran = crew.people.find(({ id }) => id === 'oran')!
    const hired = { ...crew, people: [...crew.people, { ...oran, id: 'person-9', name: 'Hired' }] }
    const answer = await say('shop.keep-crew', { version: await shopVersion(shop.db), crew: hired })
    expect(answer.ok).toBe(true)
    const real = everythingToPlan(await loadFloor(shop.db, NOW))
    const named = (text: string) => text.replaceAll('what-if oran', 'person-9')
    const planOf = ({ problem, ...options }: typeof tried) => {
      const solver = new SureSolver(problem, options)
      for (let step = 0; step < 60; step++) solver.step()
      return named(JSON.stringify(solver.schedule()))
    }
    expect(planOf(tried)).toBe(planOf(real))
    expect(planOf(tried)).not.toBe(planOf(everythingToPlan(floor)))
  })
})

describe('changes that were tried', () => {
  test('are kept by name, the latest first, until they are removed', async () => {
    expect((await say('what-if.keep', trial)).ok).toBe(true)
    const bay = { kind: 'bay', like: 'loft-2' }
    expect((await say('what-if.keep', { ...trial, change: bay, busier: 2 }, plusMinutes(NOW, 5))).ok).toBe(
      true,
    )
    const kept = await listTrials(shop.db)
    expect(kept.map(({ about, busier }) => [about, busier])).toEqual([
      ['Loft 2', 2],
      ['Oran', 1],
    ])
    expect(kept[1]).toMatchObject({ ...trial, triedAt: NOW })
    expect((await say('what-if.forget', { id: kept[0]!.id })).ok).toBe(true)
    expect(await listTrials(shop.db)).toHaveLength(1)
    expect(await say('what-if.forget', { id: kept[0]!.id })).toMatchObject({ ok: false, code: 'gone' })
  })
  test('are refused where what they are about has left the shop, or a figure is none; nothing is kept', async () => {
    const before = await listTrials(shop.db)
    const wrong = [
      { ...trial, change: { kind: 'person', like: 'nobody' } },
      { ...trial, weeklyCents: Number.NaN },
      { ...trial, weeklyCents: 1e12 },
      { ...trial, busier: 4 },
      { ...trial, bought: { booked: { kind: 'compared', cars: 3, figures: {} } } },
    ]
    for (const input of wrong) expect(await say('what-if.keep', input)).toMatchObject({ ok: false })
    expect(await listTrials(shop.db)).toEqual(before)
  })
  test('one that cannot be read is left out, and the others are there', async () => {
    const [known] = await listTrials(shop.db)
    await shop.db('shop_trials').insert({
      id: 'broken',
      change: '{"kind":"magic"}',
      about: 'Oran',
      busier: 1,
      weekly_cents: 0,
      bought: '{}',
      tried_at: NOW,
    })
    expect(await listTrials(shop.db)).toEqual([known])
  })
})

import { describe, expect, test } from 'vitest'
import { toBayId } from '@/core/ids'
import { calendarNow, newJob, planningProblem, standing } from '@/core/planning'
import { answerCaller, type Enquiry } from '@/core/planning/caller'
import { type PlacedOperation, type ProblemJob, soonestFor } from '@/core/schedule'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadPublished } from './plan-store'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

const asked: Enquiry = { shape: 'hatchback', state: 'usual', packageKey: 'headland', arrive: NOW }
const ask = async (more: Partial<Enquiry> = {}) =>
  answerCaller(await loadFloor(shop.db, NOW), { ...asked, ...more })

/** Whether a car is inspected by somebody who worked on it. */
function inspectsOwn({ operations }: ProblemJob, placed: readonly PlacedOperation[]): boolean {
  const handsOf = (id: string) => placed.find(({ operation }) => operation === id)?.people ?? []
  return operations.some(({ id, judges }) =>
    judges?.operations.flatMap(handsOf).some((person) => handsOf(id).includes(person)),
  )
}

describe('a caller', () => {
  test('is told a collection at which everything is done, while the counter is open, and nothing is written', async () => {
    const before = JSON.stringify([...(await loadPublished(shop.db))])
    const answer = await ask()
    if (answer.kind !== 'promise') throw new Error(answer.kind)
    const { usual, sooner, noSooner, totalCents } = answer
    const end = usual.operations
      .map((placed) => placed.end as Instant)
      .sort()
      .at(-1)!
    expect(usual.collectAt >= end).toBe(true)
    expect(usual.operations.every(({ start }) => start >= NOW)).toBe(true)
    expect(usual.operations.map(({ operation }) => operation)).toEqual(
      usual.plan.operations.map(({ id }) => id),
    )
    expect(totalCents).toBeGreaterThan(0)
    expect(sooner.length + noSooner.length).toBeGreaterThanOrEqual(2)
    for (const way of sooner) expect(way.collectAt < usual.collectAt).toBe(true)
    expect(JSON.stringify([...(await loadPublished(shop.db))])).toBe(before)
  })
  test('is told how surely: at least as the shop wants its word kept, the surer the later, and what mostly makes it later', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { setup } = floor.shop
    const promised = ([0.5, 0.8, 0.95] as const).map((sure) => {
      const answer = answerCaller({ ...floor, shop: { ...floor.shop, setup: { ...setup, sure } } }, asked)
      if (answer.kind !== 'promise') throw new Error(answer.kind)
      const { chances, hangsOn, plan, collectAt } = answer.usual
      expect(chances[0]!.at).toBe(collectAt)
      expect(chances[0]!.chance).toBeGreaterThanOrEqual(sure)
      if (chances[1]) {
        expect(chances[1].at > collectAt).toBe(true)
        expect(chances[1].chance).toBeGreaterThanOrEqual(0.95)
      }
      // In a shop that is full, time is lost somewhere: at a step of its own, or of a car before it.
      const before = floor.jobs.find(({ job }) => job.vehicle.plate === hangsOn!.other?.plate)?.live
      expect((before?.plan ?? plan).operations.map(({ title }) => title)).toContainEqual(hangsOn!.title)
      expect(before === undefined).toBe(hangsOn!.other === undefined)
      return collectAt
    })
    expect(promised).toEqual(promised.toSorted())
  })
  test('could not be sooner if one of those who work on the car were away', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const calendar = standing(floor)
    if (calendar.kind !== 'open') throw new Error(calendar.kind)
    const { problem, operations } = calendar
    const plans = floor.jobs.flatMap(({ live }) => (live ? [live] : []))
    expect(plans.length).toBeGreaterThan(10)
    for (const { plan, size } of plans) {
      const alone = planningProblem({ ...calendarNow(floor), closures: [] }, [newJob(plan, NOW, size!)], {
        now: NOW,
      })
      const [job] = alone.problem.jobs
      const found = soonestFor(problem, operations, job!)
      if (found.kind !== 'possible') continue
      for (const away of new Set(found.operations.flatMap(({ people }) => people))) {
        const without = {
          ...problem,
          calendars: { ...problem.calendars, off: { weekly: {} } },
          people: problem.people.map((each) => (each.id === away ? { ...each, calendar: 'off' } : each)),
        }
        const other = soonestFor(without, operations, job!)
        if (other.kind !== 'possible') continue
        // Without the only one who had no hand in it, it would be inspected by whoever did, who is refused at the car: that is no other promise.
        if (inspectsOwn(job!, other.operations) && !inspectsOwn(job!, found.operations)) continue
        expect(other.end >= found.end).toBe(true)
      }
    }
  })
  test('moves nobody: what is said fits beside everything that is published', async () => {
    const answer = await ask({ packageKey: 'lantern', shape: 'estate' })
    if (answer.kind !== 'promise') throw new Error(answer.kind)
    const others = [...(await loadPublished(shop.db)).values()].flat()
    for (const { people, place, start, end } of answer.usual.operations)
      for (const other of others) {
        const together = other.start < end && start < other.end
        if (together) expect(other.place).not.toBe(place)
        if (together && other.start > NOW)
          for (const person of people) expect(other.people).not.toContain(person)
      }
  })
  test('who comes later is never done sooner', async () => {
    const [now, later] = [await ask(), await ask({ arrive: plusMinutes(NOW, 3 * 1440) })]
    if (now.kind !== 'promise' || later.kind !== 'promise') throw new Error('no promise')
    expect(later.usual.collectAt >= now.usual.collectAt).toBe(true)
  })
  test('asks for what is not sold, or for a time nobody plans yet, and is told so', async () => {
    expect(await ask({ packageKey: 'moonshine' })).toEqual({ kind: 'no-package' })
    const far = await ask({ arrive: plusMinutes(NOW, 41 * 1440) })
    expect(far.kind).toBe('impossible')
    if (far.kind === 'impossible') expect(far.reasons.join(' ')).not.toMatch(/layer-1|undefined/)
  })
  test('with the wash bay out of use, a wash without a hose is sooner', async () => {
    const outage = {
      id: 'frozen',
      what: { kind: 'place', id: toBayId('wash') },
      from: plusMinutes(NOW, 6 * 60),
      until: plusMinutes(NOW, 3 * 1440),
    } as const
    const { id } = await propose(shop.db, NOW, { kind: 'outage', outage })
    expect(await takeProposal(shop.db, id, NOW)).toEqual({ kind: 'taken' })
    const answer = await ask({ arrive: plusMinutes(NOW, 8 * 60) })
    if (answer.kind !== 'promise') throw new Error(answer.kind)
    expect(answer.sooner.map(({ way }) => way.kind)).toContain('washed-inside')
    const inside = answer.sooner.find(({ way }) => way.kind === 'washed-inside')!
    expect(inside.operations.some(({ place }) => place === 'wash')).toBe(false)
  })
})

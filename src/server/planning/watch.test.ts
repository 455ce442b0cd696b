import { describe, expect, test } from 'vitest'
import type { JobId } from '@/core/ids'
import { adviceFor, type Help, standing, type Watched, watchPromise, watchPromises } from '@/core/planning'
import { checkSchedule, scheduleFrom } from '@/core/schedule'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { chanceText } from '@/text/chance'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { addOutage } from './outage-store'
import { takeProposal } from './take-proposal'
import { watchKept } from './watch'
import { propose } from './work-out'

/** Promises of the demo are the very ends of its plan: half of them fail, and the shop wants eight in ten. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

async function seen() {
  const watch = watchPromises(await loadFloor(shop.db, NOW))
  if (watch.kind !== 'seen') throw new Error('the calendar cannot be kept')
  return watch
}

const stays = (help: Help) => help.kind === 'stays' || help.kind === 'comes-in'

describe('promises', () => {
  test('less sure than the shop wants are warned of, the worst first, with what is to blame', async () => {
    const { atRisk, chances } = await seen()
    expect(atRisk.length).toBeGreaterThan(0)
    expect(atRisk.map(({ chance }) => chance)).toEqual(
      atRisk.map(({ chance }) => chance).toSorted((a, b) => a - b),
    )
    for (const { job, chance, eater } of atRisk) {
      expect(chance).toBeLessThan(0.8)
      expect(chances[job]).toBe(chance)
      expect(eater).toBeDefined()
    }
    const warned = new Set<string>(atRisk.map(({ job }) => job))
    for (const [job, chance] of Object.entries(chances))
      if (!warned.has(job)) expect(chance).toBeGreaterThan(0.75)
  })
  test('become surer when somebody stays as was advised', async () => {
    const { atRisk } = await seen()
    const floor = await loadFloor(shop.db, NOW)
    let advised: Watched | undefined
    let help: Help | undefined
    for (const watched of atRisk) {
      if (help) break
      help = adviceFor(floor, watched.job).helps.find(stays)
      advised = watched
    }
    if (!advised || !help || help.kind === 'moves') throw new Error('somebody was to stay')
    expect(help.chance).toBeGreaterThan(advised.chance)
    const { person, from, until } = help
    await addOutage(shop.db, { id: 'more', what: { kind: 'extra', id: person }, from, until }, NOW)
    const { chances } = await seen()
    expect(chances[advised.job]!).toBeGreaterThan(advised.chance + 0.02)
  })
  test('that nothing makes sure enough have a later time with the chance the shop wants', async () => {
    const { atRisk } = await seen()
    const floor = await loadFloor(shop.db, NOW)
    const { region } = floor.shop.setup
    for (const { job, promisedFor, chance } of atRisk.slice(0, 4)) {
      const { helps, instead } = adviceFor(floor, job)
      // As they are told, each is more than there is.
      for (const help of helps) expect(chanceText(region, help.chance)).not.toBe(chanceText(region, chance))
      expect(instead!.at > promisedFor).toBe(true)
      expect(instead!.chance).toBeGreaterThanOrEqual(0.8)
    }
  })
  test('are watched on though a step is late and the calendar can no longer be kept to the minute', async () => {
    const late = instantOrThrow('2027-01-13T10:36:00Z')
    const floor = await loadFloor(shop.db, late)
    expect(standing(floor).kind).toBe('blocked')
    const watch = watchPromises(floor)
    if (watch.kind !== 'seen') throw new Error('nothing is watched')
    expect(watch.behind.map(({ plate, at }) => [plate, at])).toEqual([
      ['IM 2206', instantOrThrow('2027-01-13T10:30:00Z')],
    ])
    // By nobody else's doing: the car of that step is late now, and others are seen as before.
    const own = watch.atRisk.find(({ plate }) => plate === 'IM 2206')!
    expect(own.chance).toBeLessThan(0.2)
    expect(watchPromise(floor, own.job)?.isAtRisk).toBe(true)
    expect(Object.keys(watch.chances).length).toBe(Object.keys((await seen()).chances).length)
  })
  test('are watched at any hour of a day on which nobody ticks anything off', async () => {
    for (let minutes = 0; minutes <= 600; minutes += 45) {
      const floor = await loadFloor(shop.db, plusMinutes(NOW, minutes))
      const watch = watchPromises(floor)
      if (watch.kind !== 'seen') throw new Error(`nothing is watched after ${minutes} minutes`)
      expect(watch.isKept).toBe(standing(floor).kind === 'open')
      expect(Object.keys(watch.chances).length).toBeGreaterThan(10)
    }
  })
  test('given for a time at which the counter is closed since are warned of, however sure, with another to be told', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const { setup } = floor.shop
    const { chances } = await seen()
    const [job] = Object.entries(chances).toSorted((a, b) => b[1] - a[1])[0]!
    const { promisedFor } = floor.jobs.find((entry) => entry.job.id === job)!.agreement!
    const counter = setup.calendars[setup.counterCalendar]!
    if ('always' in counter) throw new Error('the counter is never closed')
    const date = dayIn(setup.region.timezone, promisedFor)
    const closed = { ...counter, exceptions: [...(counter.exceptions ?? []), { date, open: [] }] }
    const calendars = { ...setup.calendars, [setup.counterCalendar]: closed }
    const since = { ...floor, shop: { ...floor.shop, setup: { ...setup, calendars } } }
    const watch = watchPromises(since)
    if (watch.kind !== 'seen') throw new Error('nothing is watched')
    expect(watch.atRisk).toContainEqual(expect.objectContaining({ job, isShut: true }))
    const { helps, instead } = adviceFor(since, job as JobId)
    expect(helps).toEqual([])
    expect(dayIn(setup.region.timezone, instead!.at)).not.toBe(date)
  })
  test('of one car are made surer by its own steps, with nobody else moved and no rule broken', async () => {
    const { chances } = await seen()
    for (const [id, before] of Object.entries(chances)
      .toSorted((a, b) => a[1] - b[1])
      .slice(0, 3)) {
      const job = id as keyof typeof chances
      const proposal = await propose(shop.db, NOW, { kind: 'surer', job })
      expect(proposal.changes.filter((change) => change.job !== job)).toEqual([])
      if (proposal.changes.length === 0) continue
      expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
      const calendar = standing(await loadFloor(shop.db, NOW))
      if (calendar.kind === 'blocked') throw new Error('it cannot be kept')
      const schedule = scheduleFrom(calendar.problem, calendar.operations)
      expect(checkSchedule(calendar.problem, schedule)).toEqual([])
      const after = (await seen()).chances[job]!
      expect(after).toBeGreaterThan(before)
    }
  })
  test('are worked out anew only where the floor is another', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const first = watchKept(floor)
    expect(watchKept(await loadFloor(shop.db, NOW))).toBe(first)
    const surer = { ...floor, shop: { ...floor.shop, setup: { ...floor.shop.setup, sure: 0.95 as const } } }
    expect(watchKept(surer)).not.toBe(first)
  })
})

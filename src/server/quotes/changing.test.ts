import { describe, expect, test } from 'vitest'
import { ask } from '@/core/asks'
import { toPersonId } from '@/core/ids'
import { stepStates } from '@/core/job'
import { type Choices, changeOf, chosenOffer } from '@/core/offer'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadPublished } from '../planning/plan-store'
import { findWays } from '../survey/ways'
import { writeAct } from '../work/acts-store'
import { takeEntry } from '../work/at-the-car'
import { recordStart } from '../work/work-store'
import { findAgreement } from './agreement-store'
import { agreeChange, callOff, writeChange } from './changing'
import { loadWorked } from './offers'
import { listQuotes } from './quote-store'
import { loadToPut } from './since-agreed'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const TOLD = { how: 'telephone', name: 'Her brother' } as const
const WORDS = { found: 'Both headlamps are cloudy.', otherwise: 'They stay dull.', note: '', photos: [] }
const LAMPS = [{ key: 'headlamps' as const, count: 2 }]

const entryOf = async (plate: string, at = NOW) =>
  (await loadFloor(shop.db, at)).jobs.find(({ job }) => job.vehicle.plate === plate)!

/** The choices that are agreed, every panel held, with something more. */
async function choicesOf(plate: string, more: Partial<Choices> = {}): Promise<Choices> {
  const { job, agreement } = await entryOf(plate)
  const quotes = await listQuotes(shop.db, job.id)
  const { choices } = quotes.find(({ version }) => version === agreement!.version)!
  return { ...choices, processes: agreement!.summary.processes, ...more }
}

async function write(plate: string, choices: Choices) {
  const floor = await loadFloor(shop.db, NOW)
  const { job, agreement, live } = await entryOf(plate)
  const { input } = await loadWorked(shop.db, floor.shop, job)
  const offer = chosenOffer(floor.shop.setup.packages, { ...input, pace: agreement!.summary.pace }, choices)!
  const states = stepStates(live!, NOW)
  const changed = changeOf(
    offer,
    { ...agreement!, stateOf: (id) => states[id] ?? 'open', version: 9, holds: true },
    { rates: floor.shop.setup.rates, terms: choices.terms },
    floor.shop.catalogue,
  )
  const shownCents = typeof changed === 'object' ? changed.price.totalCents : 0
  return {
    job,
    shownCents,
    written: await writeChange(shop.db, floor, job.id, choices, { ...WORDS, shownCents }),
  }
}

const agree = async (plate: string, version: number, at = NOW) => {
  const { job } = await entryOf(plate)
  return agreeChange(shop.db, await loadFloor(shop.db, at), job.id, version, { at, agreedBy: TOLD })
}

describe('a change of what is agreed', () => {
  test('a car comes on another day: a change of its own, that moves its arrival, its plan and its promise once agreed', async () => {
    const before = await entryOf('IM 268')
    const comesAt = plusMinutes(before.job.arriveAt, 2 * 1440)
    const wantedBy = dayIn('Europe/Dublin', plusMinutes(comesAt, 6 * 1440))
    const choices = await choicesOf('IM 268', { comesAt, wantedBy })
    const { id } = before.job
    const other = { ...WORDS, shownCents: before.agreement!.totalCents }
    const floor = await loadFloor(shop.db, NOW)
    expect(
      await writeChange(shop.db, floor, id, { ...choices, comesAt: plusMinutes(NOW, -60) }, other),
    ).toEqual({
      message: ask('past-day'),
    })
    const early = { ...choices, wantedBy: dayIn('Europe/Dublin', NOW) }
    expect(await writeChange(shop.db, floor, id, early, other)).toEqual({ message: ask('before-arrival') })
    expect(await writeChange(shop.db, floor, id, choices, other)).toEqual({ version: 2 })
    expect((await entryOf('IM 268')).job.arriveAt).toBe(before.job.arriveAt)
    const [, told] = await listQuotes(shop.db, id)
    expect(told!.told!.change!.sections[0]).toMatchObject({
      heading: 'When the car comes',
      text: expect.stringContaining('instead of'),
    })
    expect(await agree('IM 268', 2)).toBeUndefined()
    const after = await entryOf('IM 268')
    expect(after.job).toMatchObject({ arriveAt: comesAt, wantedBy })
    expect(after.agreement!.totalCents).toBe(before.agreement!.totalCents)
    const placed = (await loadPublished(shop.db, [id])).get(id)!
    for (const { start } of placed) expect(start >= comesAt).toBe(true)
    expect(after.agreement!.promisedFor > before.agreement!.promisedFor).toBe(true)
    // A car that is here does not come on another day.
    const { job } = await entryOf('IM 903')
    const here = await choicesOf('IM 903', { comesAt })
    expect(await writeChange(shop.db, await loadFloor(shop.db, NOW), job.id, here, other)).toEqual({
      message: ask('here-already'),
    })
  })
  test('nothing holds before somebody says yes; then card, calendar and price follow, and what was done stays', async () => {
    const before = await entryOf('IM 903')
    const stood = await loadPublished(shop.db)
    const { written, shownCents } = await write('IM 903', await choicesOf('IM 903', { extras: LAMPS }))
    expect(written).toEqual({ version: 2 })
    expect(await findAgreement(shop.db, before.job.id)).toEqual(before.agreement)

    expect(await agree('IM 903', 2)).toBeUndefined()
    const after = await entryOf('IM 903')
    expect(after.agreement).toMatchObject({
      version: 2,
      totalCents: shownCents,
      agreedAt: before.agreement!.agreedAt,
    })
    expect(after.agreement!.totalCents).toBeGreaterThan(before.agreement!.totalCents)
    expect(after.live!.progress).toEqual(before.live!.progress)
    for (const operation of before.live!.plan.operations)
      if (before.live!.progress[operation.id]?.kind === 'done')
        expect(after.live!.plan.operations).toContainEqual(operation)
    const placed = (await loadPublished(shop.db, [after.job.id])).get(after.job.id)!
    expect(placed.map(({ operation }) => operation)).toContain('extra-headlamps')
    // Nobody else was moved.
    const others = await loadPublished(shop.db)
    others.delete(after.job.id)
    stood.delete(after.job.id)
    expect(others).toEqual(stood)
    const [first, second] = await listQuotes(shop.db, after.job.id)
    expect(first!.decision?.said).toBe('accepted')
    expect(second!.decision).toMatchObject({ said: 'accepted', agreedBy: TOLD })
    expect(second!.told!.change!.rows).toHaveLength(1)
  })
  test('accepted twice, too late, or against another state: each has its answer, and nothing is changed', async () => {
    expect(await agree('IM 903', 2)).toEqual({ message: ask('quote-accepted') })
    expect(await agree('IM 903', 7)).toEqual({ message: ask('quote-gone') })
    expect(await write('IM 903', await choicesOf('IM 903'))).toMatchObject({
      written: { message: ask('nothing-differs') },
    })
    const { written } = await write('IM 903', await choicesOf('IM 903', { extras: [] }))
    expect(written).toEqual({ version: 3 })
    expect(await agree('IM 903', 3, plusMinutes(NOW, 30 * 1440))).toEqual({ message: ask('quote-expired') })
    // What the supplement leaves out is begun meanwhile.
    const { job } = await entryOf('IM 903')
    await recordStart(shop.db, job.id, 'extra-headlamps' as never, NOW, toPersonId('brida'))
    const at = plusMinutes(NOW, 5)
    expect(await agree('IM 903', 3, at)).toEqual({ message: ask('work-went-on') })
    expect((await entryOf('IM 903')).agreement!.version).toBe(2)
  })
  test('a method changed at the car moves the calendar at once, and waits to be put to the customer', async () => {
    const before = await entryOf('IM 2899')
    const car = await entryOf('IM 903')
    const agreed = car.agreement!.summary.processes.roof
    const ways = await findWays(shop.db, car.job.id, 'roof')
    const process = ways.findLast(
      ({ key, forbidden }) => !forbidden && key !== agreed && key !== 'leave',
    )!.key
    const operation = car.live!.plan.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!
    const entry = {
      kind: 'process',
      operation: operation.id,
      panel: 'roof',
      process,
      reason: 'softer',
    } as const
    const act = { ...entry, id: 'act-roof', job: car.job.id, by: toPersonId('senan'), at: NOW }
    expect(await takeEntry(shop.db, act, NOW)).toBeUndefined()
    await writeAct(shop.db, act, 'tablet', NOW)
    const after = await entryOf('IM 903')
    expect(after.agreement!.summary).toEqual(car.agreement!.summary)
    expect(after.agreement!.totalCents).toBe(car.agreement!.totalCents)
    expect(after.live!.plan).not.toEqual(car.live!.plan)
    const floor = await loadFloor(shop.db, NOW)
    expect(await loadToPut(shop.db, floor)).toContainEqual({
      jobId: car.job.id,
      plate: 'IM 903',
      methods: [{ panel: 'roof', process, reason: 'softer' }],
      marks: 0,
    })
    expect((await loadToPut(shop.db, floor)).some(({ jobId }) => jobId === before.job.id)).toBe(false)
  })
  test('called off: only what was done is charged and stays; a step under way is ended first', async () => {
    const floor = await loadFloor(shop.db, NOW)
    const car = await entryOf('IM 903')
    const off = { found: 'Sold.', at: NOW, agreedBy: TOLD }
    expect(await callOff(shop.db, floor, car.job.id, { ...off, from: 2 })).toEqual({
      message: ask('work-under-way'),
    })
    expect(await callOff(shop.db, floor, car.job.id, { ...off, from: 1 })).toEqual({
      message: ask('change-overtaken'),
    })
    const { job, agreement } = await entryOf('IM 77')
    expect(await callOff(shop.db, floor, job.id, { ...off, from: agreement!.version! })).toBeUndefined()
    const after = await entryOf('IM 77')
    expect(after.agreement).toMatchObject({ totalCents: 0, plan: { operations: [] } })
    // It never came: it is off the floor.
    expect(after.stage.kind).toBe('handed-over')
    expect(await loadPublished(shop.db, [job.id])).toEqual(new Map())
    const unagreed = await entryOf('IM 6127')
    expect(await callOff(shop.db, floor, unagreed.job.id, { ...off, from: 0 })).toEqual({
      message: ask('nothing-agreed'),
    })
  })
})

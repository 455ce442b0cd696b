import { toJobId, toOperationId, toPersonId } from '@/core/ids'
import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newIn, type QueueBatch, type QueueEntry, type QueueOutcome, type QueueReply } from '@/core/queue'
import { DeviceQueue } from './device-queue'
import { rest, Tablet } from './tablet.fixture'

const HOUR = 3_600_000

/** A shop that takes each number of each device once, and answers repeats as before. */
class Shop {
  now = Date.parse('2027-01-13T10:00:00Z')
  up = true
  /** Replies that are lost on their way back. */
  loseReplies = 0
  refuses = new Set<string>()
  readonly taken: { id: string; at: number; device: string }[] = []
  private readonly next = new Map<string, number>()
  private readonly outcomes = new Map<string, QueueOutcome>()

  receive({ device, waiting }: QueueBatch): QueueReply {
    if (!this.up) throw new Error('no network')
    const next = this.next.get(device) ?? 1
    const fresh = newIn({ waiting }, next)
    for (const { id, number, ago } of fresh) {
      if (this.outcomes.has(id)) continue
      const refused = this.refuses.has(id)
      if (!refused) this.taken.push({ id, at: this.now - ago, device })
      this.outcomes.set(
        id,
        refused
          ? { id, number, taken: false, why: { kind: 'words', message: 'Not so.' } }
          : { id, number, taken: true },
      )
    }
    const after = next + fresh.length
    this.next.set(device, after)
    const told = waiting.filter(({ number }) => number < after)
    if (this.loseReplies > 0) {
      this.loseReplies -= 1
      throw new Error('the reply was lost')
    }
    return {
      next: after,
      outcomes: told.map(({ id, number }) => ({ ...this.outcomes.get(id)!, number })),
      now: new Date(this.now).toISOString(),
    }
  }
}

let made = 0
const fresh = () => {
  made += 1
  return `device-${made}`
}
const towel = (id: string): QueueEntry => ({
  id,
  kind: 'act',
  job: toJobId('J'),
  by: toPersonId('brida'),
  act: { kind: 'towel', operation: toOperationId('layer-1') },
})
const photo = (id: string): QueueEntry => ({
  id,
  kind: 'photo',
  job: toJobId('J'),
  place: 'roof',
  phase: 'after',
  name: 'roof.jpg',
})
describe.each([
  ['with locks', true],
  ['by a lease, as on plain http', false],
])('the queue of a device, %s', (_, hasLocks) => {
  test('keeps what is done without a network over a reload, and sends it in order when it is back', async () => {
    const shop = new Shop()
    const tablet = new Tablet(shop, fresh(), hasLocks)
    shop.up = false
    const first = tablet.tab()
    for (const id of ['a', 'b']) await first.add(towel(id))
    await first.add(photo('c'), new Blob(['picture']))
    await first.add(towel('d'))
    expect(first.getState()).toMatchObject({ reached: false, forgetful: false })
    const second = tablet.tab()
    shop.up = true
    await rest(tablet, [second])
    expect(shop.taken.map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd'])
    expect(second.getState().waiting).toEqual([])
  })
  test('two tabs note side by side: nothing is lost, nothing counts twice', async () => {
    const shop = new Shop()
    const tablet = new Tablet(shop, fresh(), hasLocks)
    const tabs = [tablet.tab(), tablet.tab()]
    const ids = Array.from({ length: 19 }, (_each, at) => `x${at}`)
    await Promise.all(ids.map((id, at) => tabs[at % 2]!.add(towel(id))))
    await rest(tablet, tabs)
    expect(shop.taken.map(({ id }) => id).toSorted()).toEqual(ids.toSorted())
    for (const tab of tabs) expect(tab.getState().waiting).toEqual([])
  })
  test('what the shop has taken, and the card does not show yet, stays in the order in which it was done', async () => {
    const shop = new Shop()
    const tablet = new Tablet(shop, fresh(), hasLocks)
    const tabs = [tablet.tab(), tablet.tab()]
    for (const id of ['z', 'm', 'a', 'k']) await tabs[id === 'm' ? 1 : 0]!.add(towel(id))
    await rest(tablet, tabs)
    for (const tab of [...tabs, tablet.tab()]) {
      await tab.ready
      expect(tab.getState().sent.map(({ id }) => id)).toEqual(['z', 'm', 'a', 'k'])
    }
  })
  test('what the shop refuses stays to be read, in every tab, until somebody has', async () => {
    const shop = new Shop()
    shop.refuses.add('bad')
    const tablet = new Tablet(shop, fresh(), hasLocks)
    const tabs = [tablet.tab(), tablet.tab()]
    await tabs[0]!.add(towel('bad'))
    await tabs[0]!.add(towel('good'))
    await rest(tablet, tabs)
    for (const tab of tabs) expect(tab.getState().refused.map(({ id }) => id)).toEqual(['bad'])
    await tabs[1]!.dismiss('bad')
    await rest(tablet, [tablet.tab(), ...tabs])
    for (const tab of tabs) expect(tab.getState().refused).toEqual([])
    expect(shop.taken.map(({ id }) => id)).toEqual(['good'])
  })
  test('a shop set back to an old day is told again what waits, and nothing counts twice', async () => {
    const tablet = new Tablet(new Shop(), fresh(), hasLocks)
    const tab = tablet.tab()
    for (const id of ['a', 'b']) await tab.add(towel(id))
    await rest(tablet, [tab])
    const old = new Shop()
    Object.assign(tablet, { shop: old })
    old.up = false
    await tab.add(towel('c'))
    old.up = true
    await rest(tablet, [tab, tablet.tab()])
    expect(old.taken.map(({ id }) => id)).toEqual(['c'])
  })
  test('keeps the time of an entry though the clock is set right before it is sent', async () => {
    const shop = new Shop()
    const tablet = new Tablet(shop, fresh(), hasLocks)
    tablet.wallOff = 30 * 24 * HOUR
    const tab = tablet.tab()
    await rest(tablet, [tab])
    shop.up = false
    const at = shop.now
    await tab.add(towel('a'))
    shop.now += 2 * HOUR
    tablet.wallOff = 0
    shop.now += HOUR
    shop.up = true
    await rest(tablet, [tab])
    expect(shop.taken).toMatchObject([{ id: 'a', at }])
  })
  test('keeps the time of what was noted before a reload, though a photograph before it is sent by itself', async () => {
    const shop = new Shop()
    const tablet = new Tablet(shop, fresh(), hasLocks)
    const before = tablet.tab()
    await rest(tablet, [before])
    shop.up = false
    const at = shop.now
    await before.add(photo('a'), new Blob(['picture']))
    await before.add(towel('b'))
    shop.now += HOUR
    shop.up = true
    await rest(tablet, [tablet.tab()])
    expect(shop.taken).toMatchObject([
      { id: 'a', at },
      { id: 'b', at },
    ])
  })
  test('whatever the network, the tabs and the clock do: all is taken once, each tab’s in order, at its time', async () => {
    const step = fc.oneof(
      { weight: 5, arbitrary: fc.record({ kind: fc.constant('note' as const), tab: fc.nat(1) }) },
      { weight: 1, arbitrary: fc.record({ kind: fc.constant('photo' as const), tab: fc.nat(1) }) },
      { weight: 2, arbitrary: fc.record({ kind: fc.constant('network' as const), up: fc.boolean() }) },
      {
        weight: 1,
        arbitrary: fc.record({ kind: fc.constant('lose' as const), replies: fc.integer({ min: 1, max: 2 }) }),
      },
      { weight: 2, arbitrary: fc.record({ kind: fc.constant('reload' as const), tab: fc.nat(1) }) },
      {
        weight: 1,
        arbitrary: fc.record({
          kind: fc.constant('clock' as const),
          hours: fc.integer({ min: -50, max: 50 }),
        }),
      },
      {
        weight: 2,
        arbitrary: fc.record({
          kind: fc.constant('wait' as const),
          minutes: fc.integer({ min: 1, max: 200 }),
        }),
      },
      { weight: 2, arbitrary: fc.record({ kind: fc.constant('again' as const) }) },
    )
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 24 }), async (steps) => {
        const shop = new Shop()
        const tablet = new Tablet(shop, fresh(), hasLocks)
        const tabs = [tablet.tab(), tablet.tab()]
        const said: { id: string; tab: number; at: number }[] = []
        let clockStepped = false
        await rest(tablet, tabs)
        for (const each of steps) {
          if (each.kind === 'note' || each.kind === 'photo') {
            const id = `n${said.length}`
            said.push({ id, tab: each.tab, at: shop.now })
            await tabs[each.tab]!.add(each.kind === 'photo' ? photo(id) : towel(id))
          } else if (each.kind === 'network') shop.up = each.up
          else if (each.kind === 'lose') shop.loseReplies = each.replies
          else if (each.kind === 'reload') {
            tabs[each.tab] = tablet.tab()
          } else if (each.kind === 'clock') {
            tablet.wallOff += each.hours * HOUR
            clockStepped ||= each.hours !== 0
          } else if (each.kind === 'wait') shop.now += each.minutes * 60_000
          else for (const run of tablet.later.splice(0)) run()
        }
        shop.up = true
        shop.loseReplies = 0
        await rest(tablet, tabs)
        await rest(tablet, tabs)
        expect(shop.taken.map(({ id }) => id)).toEqual(said.map(({ id }) => id))
        for (const tab of tabs) expect(tab.getState().waiting).toEqual([])
        // Each page has a clock of its own that cannot be set; only across pages a clock that was set makes a difference.
        if (!clockStepped)
          for (const { id, at } of said)
            expect(Math.abs(shop.taken.find((each) => each.id === id)!.at - at)).toBeLessThanOrEqual(61_000)
      }),
      { numRuns: 40 },
    )
  })
})

test('a page left in the midst of sending holds up the next page of its tab not at all, another tab for a while', async () => {
  const shop = new Shop()
  const tablet = new Tablet(shop, fresh(), false)
  // It is left while the shop has not answered, and never hears of it.
  const { receive } = shop
  shop.receive = (() => new Promise(() => {})) as never
  const left = tablet.tab('one')
  await left.ready
  void left.add(towel('a'))
  await new Promise((resolve) => setTimeout(resolve, 20))
  shop.receive = receive.bind(shop)
  const other = tablet.tab('two')
  await other.flush()
  expect(shop.taken).toEqual([])
  const next = tablet.tab('one')
  await next.flush()
  expect(shop.taken.map(({ id }) => id)).toEqual(['a'])
  shop.now += 30_000
  await other.add(towel('b'))
  expect(shop.taken.map(({ id }) => id)).toEqual(['a', 'b'])
})

describe('a browser that keeps nothing', () => {
  const forgetful = (shop: Shop) => {
    const later: (() => void)[] = []
    const queue = new DeviceQueue({
      open: () => Promise.reject(new Error('private')),
      post: async (batch) => shop.receive(batch),
      postPhoto: async ({ device, entry: { noted: _, picture: __, ...sent }, ago }) =>
        shop.receive({ device, waiting: [{ ...sent, ago }] }),
      clocks: () => ({ wall: shop.now, mono: shop.now, session: 'p' }),
      newId: () => `memory-${Math.round(shop.now)}`,
      tab: 'tab',
      who: () => undefined,
      later: (run) => void later.push(run),
      tellOthers: () => {},
      onOther: () => {},
    })
    const settle = async () => {
      for (let round = 0; round < 5; round++) {
        await queue.flush()
        for (const run of later.splice(0)) run()
        await new Promise((resolve) => setTimeout(resolve, 0))
      }
    }
    return { queue, settle }
  }
  test('still sends from the open page, one after the other, and says that it is forgetful', async () => {
    const shop = new Shop()
    const { queue } = forgetful(shop)
    for (const id of ['a', 'b', 'c']) await queue.add(towel(id))
    expect(queue.getState()).toMatchObject({ forgetful: true, waiting: [] })
    expect(shop.taken.map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    expect(queue.getState().sent.map(({ id }) => id)).toEqual(['a', 'b', 'c'])
  })
  test('keeps them in the page while there is no network, photographs too, and tells when they were', async () => {
    const shop = new Shop()
    const { queue, settle } = forgetful(shop)
    await queue.add(towel('a'))
    shop.up = false
    const began = shop.now
    for (const entry of [towel('b'), photo('c'), towel('d')]) {
      shop.now += 60_000
      await queue.add(entry, entry.kind === 'photo' ? new Blob(['picture']) : undefined)
    }
    shop.now += 3_600_000
    shop.up = true
    shop.loseReplies = 2
    await settle()
    expect(shop.taken.map(({ id, at }) => [id, Math.round((at - began) / 60_000)])).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 2],
      ['d', 3],
    ])
    expect(queue.getState().waiting).toEqual([])
  })
  test('shows what was refused', async () => {
    const shop = new Shop()
    shop.refuses.add('b')
    const { queue } = forgetful(shop)
    for (const id of ['a', 'b', 'c']) await queue.add(towel(id))
    expect(queue.getState().refused.map(({ id }) => id)).toEqual(['b'])
    expect(shop.taken.map(({ id }) => id)).toEqual(['a', 'c'])
  })
})

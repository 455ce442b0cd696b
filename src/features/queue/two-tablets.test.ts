import 'fake-indexeddb/auto'
import { copyFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import type { Knex } from 'knex'
import { expect, test } from 'vitest'
import { type Act, cardOf } from '@/core/card'
import { tries } from '@/core/long.fixture'
import type { QueueBatch, QueueEntry, QueueReply } from '@/core/queue'
import { instantOf, instantOrThrow } from '@/core/time'
import { connect } from '@/server/db/connection'
import { databaseFile } from '@/server/db/data-folder'
import { demoShop } from '@/server/db/demo-shop.fixture'
import { loadFloor } from '@/server/floor/floor'
import { batchSchema, receiveBatch } from '@/server/queue/receive'
import { loadEntries } from '@/server/work/acts-store'
import { type Reached, rest, Tablet } from './tablet.fixture'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const HOUR = 3_600_000
const demo = demoShop(NOW)

/** The real shop behind a network that goes, and that loses replies. */
class RealShop implements Reached {
  now = Date.parse(NOW)
  up = true
  loseReplies = 0
  constructor(readonly db: Knex) {}

  async receive(batch: QueueBatch): Promise<QueueReply> {
    if (!this.up) throw new Error('no network')
    const now = instantOf(new Date(this.now))
    const taken = await receiveBatch(this.db, batchSchema.parse(JSON.parse(JSON.stringify(batch))), now)
    if (this.loseReplies > 0) {
      this.loseReplies -= 1
      throw new Error('the reply was lost')
    }
    return { ...taken, now }
  }
}

let copies = 0
async function inShop<Value>(run: (shop: RealShop) => Promise<Value>): Promise<Value> {
  copies += 1
  const file = path.join(demo.folder, `two-tablets-${copies}.db`)
  copyFileSync(databaseFile(), file)
  const db = connect(file)
  const value = await run(new RealShop(db))
  await db.destroy()
  return value
}

/** What tablets say of one step while it goes on; none of it hangs on who says it first. */
const said = fc.oneof(
  fc.record({
    kind: fc.constant('section' as const),
    panel: fc.constantFrom('bonnet', 'roof'),
    count: fc.integer({ min: 1, max: 2 }),
    of: fc.constant(90),
  }),
  fc.record({ kind: fc.constant('towel' as const) }),
  fc.record({ kind: fc.constant('timer' as const), label: fc.constant('flash'), seconds: fc.constant(90) }),
  fc.record({ kind: fc.constant('short' as const), panel: fc.constant('roof'), note: fc.constant('haze') }),
  fc.record({ kind: fc.constant('check' as const), item: fc.constant('pads'), checked: fc.constant(true) }),
  fc.record({ kind: fc.constant('pay' as const), euros: fc.integer({ min: 1, max: 90 }) }),
)
type Said = typeof said extends fc.Arbitrary<infer Value> ? Value : never
const which = { tablet: fc.nat(1), tab: fc.nat(1) }
const step = fc.oneof(
  { weight: 6, arbitrary: fc.record({ do: fc.constant('say' as const), ...which, said }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('network' as const), up: fc.boolean() }) },
  {
    weight: 1,
    arbitrary: fc.record({ do: fc.constant('lose' as const), replies: fc.integer({ min: 1, max: 2 }) }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('reload' as const), ...which }) },
  {
    weight: 1,
    arbitrary: fc.record({
      do: fc.constant('clock' as const),
      ...which,
      hours: fc.integer({ min: -30, max: 30 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constant('wait' as const), minutes: fc.integer({ min: 1, max: 20 }) }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('again' as const) }) },
)

test(
  'two tablets with two tabs each, whatever befalls them, leave what they would have left with a network',
  async () => {
    const floor = await loadFloor(demo.db, NOW)
    const { live } = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!
    const operation = live!.plan.operations.find(({ id }) => live!.progress[id]?.kind === 'started')!.id
    const entryOf = (id: string, { kind, ...what }: Said): QueueEntry =>
      kind === 'pay'
        ? {
            kind: 'call',
            id,
            action: 'handover.record-payment',
            input: { jobId: live!.id, way: 'cash', note: id, ...what },
            about: 'a payment',
          }
        : { kind: 'act', id, job: live!.id, by: 'merle', act: { kind, operation, ...what } as unknown as Act }
    const left = async ({ db }: RealShop) => {
      const { work } = cardOf(live!, await loadEntries(db, live!.id))
      const { sections, towels, timers, short, checks, pad } = work[operation]!
      return {
        sections: Object.fromEntries(Object.entries(sections).map(([panel, { done }]) => [panel, done])),
        towels,
        timers: timers.length,
        short: short.length,
        checks,
        fresh: pad.fresh,
        payments: await db('payments').orderBy('note').select('note', 'cents'),
        refused: await db('refused_entries').count({ n: '*' }),
      }
    }
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 20 }), async (steps) => {
        const entries = steps.flatMap((each, at) =>
          each.do === 'say' ? [{ at, entry: entryOf(`said-${String(at).padStart(4, '0')}`, each.said) }] : [],
        )
        fc.pre(entries.some(({ entry }) => entry.kind === 'act'))
        const calm = await inShop(async (shop) => {
          const tablet = new Tablet(shop, `calm-${copies}`, true)
          const tab = tablet.tab()
          for (const { entry } of entries) await tab.add(entry)
          await rest(tablet, [tab])
          return left(shop)
        })
        const tried = await inShop(async (shop) => {
          const tablets = [0, 1].map((number) => new Tablet(shop, `tried-${copies}-${number}`, number === 0))
          const tabs = tablets.map((tablet) => [tablet.tab(), tablet.tab()])
          const settle = () => Promise.all(tablets.map((tablet, at) => rest(tablet, tabs[at]!)))
          await settle()
          for (const [at, each] of steps.entries()) {
            if (each.do === 'say') {
              const { entry } = entries.find((one) => one.at === at)!
              await tabs[each.tablet]![each.tab]!.add(entry)
            } else if (each.do === 'network') shop.up = each.up
            else if (each.do === 'lose') shop.loseReplies = each.replies
            else if (each.do === 'reload') tabs[each.tablet]![each.tab] = tablets[each.tablet]!.tab()
            else if (each.do === 'clock') tablets[each.tablet]!.wallOff += each.hours * HOUR
            else if (each.do === 'wait') shop.now += each.minutes * 60_000
            else for (const tablet of tablets) for (const run of tablet.later.splice(0)) run()
          }
          shop.up = true
          shop.loseReplies = 0
          await settle()
          await settle()
          for (const tab of tabs.flat()) expect(tab.getState().waiting).toEqual([])
          return left(shop)
        })
        expect(tried).toEqual(calm)
      }),
      { numRuns: tries(12, 300) },
    )
  },
  tries(120_000, 1_200_000),
)

import { type JobId, toPersonId } from '@/core/ids'
import 'fake-indexeddb/auto'
import { copyFileSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { expect, test } from 'vitest'
import { type Act, cardOf, workOn } from '@/core/card'
import { blindToIt } from '@/core/handover'
import type { Job, LiveJob } from '@/core/job'
import { tries } from '@/core/long.fixture'
import type { PlannedOperation } from '@/core/offer'
import { openJobs } from '@/core/planning'
import type { QueueBatch, QueueEntry, QueueReply } from '@/core/queue'
import { everyone } from '@/core/shop'
import { instantOf, instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '@/server/action/caller'
import { openVisit } from '@/server/aftercare/short-jobs'
import { connect } from '@/server/db/connection'
import { databaseFile } from '@/server/db/data-folder'
import { demoShop } from '@/server/db/demo-shop.fixture'
import { loadFloor } from '@/server/floor/floor'
import { findJob } from '@/server/floor/job-store'
import { batchSchema, receiveBatch, type Taken } from '@/server/queue/receive'
import { photoQuery, receivePhoto } from '@/server/queue/receive-photo'
import { listKnown } from '@/server/vehicles/vehicle-store'
import { loadEntries } from '@/server/work/acts-store'
import { loadProgress } from '@/server/work/work-store'
import type { DeviceQueue } from './device-queue'
import { type Reached, rest, Tablet } from './tablet.fixture'
import type { PhotoCall } from './told'

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
    return this.reply(
      await receiveBatch(this.db, batchSchema.parse(JSON.parse(JSON.stringify(batch))), now, OPEN_SHOP),
    )
  }

  async receivePhoto({ device, entry, ago }: PhotoCall): Promise<QueueReply> {
    if (!this.up) throw new Error('no network')
    const { id, number, name, job: jobId, place, phase } = entry
    const told = photoQuery.parse({ device, id, number, ago, name, jobId, place, phase })
    const bytes = Buffer.from(await entry.picture!.arrayBuffer())
    return this.reply(await receivePhoto(this.db, told, bytes, instantOf(new Date(this.now)), OPEN_SHOP))
  }

  private reply(taken: Taken): QueueReply {
    if (this.loseReplies > 0) {
      this.loseReplies -= 1
      throw new Error('the reply was lost')
    }
    return { ...taken, now: instantOf(new Date(this.now)) }
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

/** What hangs on the order in which it is said: one of the tablets says all of it, in both of its tabs. */
const inOrder = fc.oneof(
  fc.record({
    kind: fc.constant('step' as const),
    act: fc.constantFrom(
      'begin' as const,
      'pause' as const,
      'resume' as const,
      'done' as const,
      'undo' as const,
    ),
  }),
  fc.record({
    kind: fc.constant('verdict' as const),
    item: fc.nat(1),
    verdict: fc.constantFrom('good' as const, 'fault' as const),
  }),
  fc.record({
    kind: fc.constant('look' as const),
    unit: fc.constantFrom('bonnet', 'roof'),
    water: fc.constantFrom('tight' as const, 'sheets' as const),
  }),
  fc.record({ kind: fc.constant('look-back' as const), unit: fc.constantFrom('bonnet', 'roof') }),
  fc.record({ kind: fc.constant('photo' as const), place: fc.constantFrom('bonnet', 'roof') }),
  fc.record({ kind: fc.constant('home' as const) }),
)
type InOrder = typeof inOrder extends fc.Arbitrary<infer Value> ? Value : never
const which = { tablet: fc.nat(1), tab: fc.nat(1) }
const step = fc.oneof(
  { weight: 5, arbitrary: fc.record({ do: fc.constant('say' as const), ...which, said }) },
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constant('say' as const),
      tablet: fc.constant(0),
      tab: which.tab,
      said: inOrder,
    }),
  },
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

/** The cars that are spoken of: one that is worked on, another one, one that is ready, one that came for a look. */
type Cars = { worked: LiveJob; next: LiveJob; ready: Job; visit: JobId; by: string }

async function cars(): Promise<Cars> {
  const floor = await loadFloor(demo.db, NOW)
  const { live: worked } = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!
  // Not a layer: that is done only with what it was applied with.
  const next = openJobs(floor).find(
    (live) => live.id !== worked!.id && live.plan.operations.some((step) => isGoing(live, step)),
  )
  const { job: ready } = floor.jobs.find(({ stage }) => stage.kind === 'ready')!
  const here = new Set(floor.jobs.filter(({ job }) => !job.handedOverAt).map(({ job }) => job.vehicle.id))
  const home = (await listKnown(demo.db)).known.find(({ vehicle }) => !here.has(vehicle.id))!
  const visit = await openVisit(demo.db, home.vehicle.id, NOW)
  const blind = blindToIt(next!.plan, next!.progress)
  const by = everyone(floor.shop.setup).find(({ id }) => !blind.has(id))!.id
  return { worked: worked!, next: next!, ready, visit, by }
}

const isGoing = ({ progress }: LiveJob, { id, kind, mode }: PlannedOperation) =>
  progress[id]?.kind === 'started' && kind !== 'layer' && mode !== 'unattended'
const begunStep = (job: LiveJob) => job.plan.operations.find((step) => isGoing(job, step))!.id

/** Places that every car has. */
const ITEMS = ['bonnet', 'roof']

const PATIENCE = 200
const isWaiting = (tab: DeviceQueue) => tab.getState().waiting.length > 0

/** What is said as an entry of a queue. */
function entryOf({ worked, next, ready, visit, by }: Cars, id: string, said: Said | InOrder): QueueEntry {
  const act = (job: LiveJob, operation: string, what: object): QueueEntry => ({
    kind: 'act',
    id,
    job: job.id,
    by: toPersonId('merle'),
    act: { operation, ...what } as unknown as Act,
  })
  const call = (action: string, input: object): QueueEntry => ({ kind: 'call', id, action, input, about: id })
  switch (said.kind) {
    case 'pay':
      return call('handover.record-payment', { jobId: worked.id, way: 'cash', note: id, euros: said.euros })
    case 'step':
      return act(next, begunStep(next), {
        kind: said.act,
        ...(said.act === 'pause' ? { reason: 'break' } : {}),
      })
    case 'verdict': {
      const item = ITEMS[said.item]!
      const seen = { item, verdict: said.verdict, note: id, by }
      return call('handover.judge-item', { jobId: next.id, ...seen })
    }
    case 'look': {
      const looks = [{ unit: said.unit, water: said.water, note: id }]
      return call('aftercare.keep-looks', { jobId: visit, by, cleaned: true, looks })
    }
    case 'look-back':
      return call('aftercare.take-look-back', { jobId: visit, unit: said.unit })
    case 'photo':
      return { kind: 'photo', id, job: next.id, place: said.place, phase: 'after', name: `${id}.png` }
    case 'home':
      return call('handover.hand-over', { jobId: ready.id })
    default: {
      const { kind, ...what } = said
      return act(worked, begunStep(worked), { kind, ...what })
    }
  }
}

/** What there is in the shop of all that can be said, without the times at which it was. */
async function left({ db }: RealShop, { worked, next, ready, visit }: Cars) {
  const card = cardOf(worked, await loadEntries(db, worked.id))
  const { sections, towels, timers, short, checks, pad } = workOn(card, begunStep(worked))
  const entries = await loadEntries(db, next.id)
  const step = cardOf(next, entries).work[begunStep(next)]
  const progress = (await loadProgress(db, [next.id])).get(next.id)?.[begunStep(next)]
  return {
    sections: Object.fromEntries(Object.entries(sections).map(([panel, { done }]) => [panel, done])),
    towels,
    timers: timers.length,
    short: short.length,
    checks,
    fresh: pad.fresh,
    payments: await db('payments').orderBy('note').select('note', 'cents'),
    step: [progress?.kind, step?.pauses.length ?? 0],
    acts: entries.map(({ id, kind }) => [id, kind]),
    verdicts: await db('inspections')
      .where({ job_id: next.id })
      .orderBy('item')
      .select('item', 'verdict', 'note'),
    looks: await db('looks').where({ job_id: visit }).orderBy('unit').select('unit', 'water', 'note'),
    photos: await db('photos').where({ job_id: next.id }).orderBy('id').select('id', 'place', 'phase'),
    home: (await findJob(db, ready.id))!.handedOverAt !== undefined,
    removals: await db('removals').where({ job_id: ready.id }).count({ n: '*' }),
    refused: await db('refused_entries').orderBy('id').select('id', 'why'),
  }
}

test(
  'two tablets with two tabs each, whatever befalls them, leave what they would have left with a network',
  async () => {
    const spoken = await cars()
    await demo.db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
    const picture = new Blob([
      await sharp({ create: { width: 8, height: 6, channels: 3, background: 'teal' } })
        .png()
        .toBuffer(),
    ])
    const say = (tab: DeviceQueue, entry: QueueEntry) =>
      tab.add(entry, entry.kind === 'photo' ? picture : undefined)
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 20 }), async (steps) => {
        const entries = steps.flatMap((each, at) =>
          each.do === 'say'
            ? [{ at, entry: entryOf(spoken, `said-${String(at).padStart(4, '0')}`, each.said) }]
            : [],
        )
        fc.pre(entries.length > 0)
        const calm = await inShop(async (shop) => {
          const tablet = new Tablet(shop, `calm-${copies}`, true)
          const tab = tablet.tab()
          for (const { entry } of entries) await say(tab, entry)
          await rest(tablet, [tab])
          expect(isWaiting(tab)).toBe(false)
          return left(shop, spoken)
        })
        const tried = await inShop(async (shop) => {
          const tablets = [0, 1].map((number) => new Tablet(shop, `tried-${copies}-${number}`, number === 0))
          const tabs = tablets.map((tablet) => [tablet.tab(), tablet.tab()])
          const settle = () => Promise.all(tablets.map((tablet, at) => rest(tablet, tabs[at]!)))
          await settle()
          for (const [at, each] of steps.entries()) {
            if (each.do === 'say') {
              const { entry } = entries.find((one) => one.at === at)!
              await say(tabs[each.tablet]![each.tab]!, entry)
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
          // A page that was left may still be sending a picture: it is waited for, but not for ever.
          for (let round = 0; round < PATIENCE && tabs.flat().some(isWaiting); round++) {
            await new Promise((resolve) => setTimeout(resolve, 5))
            await settle()
          }
          for (const tab of tabs.flat()) expect(tab.getState().waiting).toEqual([])
          return left(shop, spoken)
        })
        expect(tried).toEqual(calm)
      }),
      { numRuns: tries(12, 300) },
    )
  },
  tries(120_000, 1_200_000),
)

import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { toOperationId } from '@/core/ids'
import type { LiveJob } from '@/core/job'
import { frozenWashes, openJobs, takesLonger } from '@/core/planning'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { loadFloor } from '../floor/floor'
import { loadPublished } from '../planning/plan-store'
import { takeProposal } from '../planning/take-proposal'
import { propose } from '../planning/work-out'
import { findAgreement } from '../quotes/agreement-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const days = (count: number) => plusMinutes(NOW, count * 1440)

const published = async () => [...(await loadPublished(shop.db)).values()].flat()

test('0007-changed-work adds its column and keeps the proposals that wait', async () => {
  const old = connect(path.join(shop.folder, 'old.db'))
  await migrate(old, MIGRATIONS.slice(0, 6))
  await old('proposals').insert({ id: 'p', basis: 'b', placed: '[]', planning: '{}', made_at: NOW })
  expect(await migrate(old, MIGRATIONS.slice(0, 7))).toEqual(['0007-changed-work'])
  expect(await old('proposals')).toMatchObject([{ id: 'p', plans: null }])
  await old.destroy()
})

describe('it freezes', () => {
  const frost = { from: plusMinutes(NOW, 60), until: days(8) }
  const washed = (live: LiveJob) => live.plan.operations.find(({ kind }) => kind === 'wash')!

  test('washes outside in that time go inside, and nothing that has begun or lies beyond', async () => {
    const jobs = openJobs(await loadFloor(shop.db, NOW))
    const changes = frozenWashes(jobs, frost, NOW)
    expect(changes.length).toBeGreaterThan(1)
    for (const live of jobs) {
      const wash = live.published.find(({ operation }) => operation === washed(live).id)!
      const within = wash.start < frost.until && wash.end > frost.from
      const open = (live.progress[washed(live).id] ?? { kind: 'open' }).kind === 'open'
      expect(changes.some(({ job }) => job === live.id)).toBe(within && open)
    }
    expect(frozenWashes(jobs, { from: days(90), until: days(91) }, NOW)).toEqual([])
  })
  test('is shown first; taken, no wash is in the wash bay, and it happens once', async () => {
    const jobs = openJobs(await loadFloor(shop.db, NOW))
    const changes = frozenWashes(jobs, frost, NOW)
    const before = JSON.stringify(await published())
    const proposal = await propose(shop.db, NOW, { kind: 'work', changes, cause: 'frost' })
    expect(proposal.changes.length).toBeGreaterThan(0)
    expect(JSON.stringify(await published())).toBe(before)
    expect((await findAgreement(shop.db, changes[0]!.job))!.plan.stays.length).toBe(2)

    expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
    for (const { job, plan } of changes) {
      expect((await findAgreement(shop.db, job))!.plan).toEqual(plan)
      const own = (await published()).filter((placed) => placed.job === job)
      expect(own.some(({ place }) => place === 'wash')).toBe(false)
      expect(own.length).toBe(plan.operations.length)
    }
    const after = openJobs(await loadFloor(shop.db, NOW))
    expect(frozenWashes(after, frost, NOW)).toEqual([])
  })
})

describe('a step takes longer', () => {
  test('what follows moves behind it, and the estimate is kept', async () => {
    const jobs = openJobs(await loadFloor(shop.db, NOW))
    const live = jobs.find(
      ({ plan, progress }) =>
        plan.operations.some(({ id }) => id === 'cut') && !progress.cut && !progress.wash,
    )!
    const change = takesLonger(live, toOperationId('cut'), 180)!
    const minutes = (plan: LiveJob['plan']) => plan.operations.find(({ id }) => id === 'cut')!.minutes
    expect(minutes(change.plan)).toBe(minutes(live.plan) + 180)
    const proposal = await propose(shop.db, NOW, {
      kind: 'work',
      changes: [change],
      cause: 'a step takes longer',
    })
    expect(proposal.changes.map(({ job }) => job)).toContain(live.id)
    expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
    const cut = (await published()).find(({ job, operation }) => job === live.id && operation === 'cut')!
    const worked = cut.segments.reduce(
      (sum, [from, to]) => sum + (Date.parse(to as Instant) - Date.parse(from as Instant)) / 60_000,
      0,
    )
    expect(worked).toBe(minutes(change.plan))
  })
  test('never less than five minutes, and nothing for a step that is not there', async () => {
    const [live] = openJobs(await loadFloor(shop.db, NOW))
    const { id } = live!.plan.operations[0]!
    expect(takesLonger(live!, id, -100_000)!.plan.operations[0]!.minutes).toBe(5)
    expect(takesLonger(live!, toOperationId('nothing'), 10)).toBeUndefined()
  })
})

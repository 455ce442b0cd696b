import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { toOperationId, toPersonId } from '@/core/ids'
import { openNow } from '@/core/job'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { changePlan, findAgreement } from '../quotes/agreement-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadEntries } from '../work/acts-store'
import { loadProgress, recordStart } from '../work/work-store'
import { takeProposal } from './take-proposal'
import { propose } from './work-out'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const WHEELS = toOperationId('vendor-tam-wheels')
const say = (input: object) =>
  perform(
    shop.db,
    EVERY_ACTION.get('planning.foresee-for-car')!,
    { key: randomUUID(), input: { kind: 'back', ...input } },
    { caller: OPEN_SHOP, at: NOW },
  )

/** Wheels of a car in hand are with the refinisher until tomorrow, and its last step waits for them. */
async function wheelsAreAway() {
  const { jobs } = await loadFloor(shop.db, NOW)
  const { job } = jobs.find(({ live }) => live && openNow(live, NOW).some(({ isBegun }) => isBegun))!
  const { plan } = (await findAgreement(shop.db, job.id))!
  const title = { code: 'vendor', trade: 'wheels', name: 'Tam Rusk' } as const
  const hands = { mode: 'pausable', people: 1, skill: 'vendor-tam-wheels', away: 'piece' } as const
  await changePlan(shop.db, job.id, {
    operations: [{ id: WHEELS, kind: 'vendor', title, minutes: 480, ...hands }, ...plan.operations],
    links: [...plan.links, { from: WHEELS, to: plan.operations.at(-1)!.id, min: 0 }],
    stays: [...plan.stays, { id: 'piece', kind: 'offsite', operations: [WHEELS] }],
  })
  await recordStart(shop.db, job.id, WHEELS, NOW, toPersonId('oran'), plusMinutes(NOW, 1440))
  return job
}

test('what comes back later is answered before it holds: which cars move, to when; taken, it stands on the card', async () => {
  const job = await wheelsAreAway()
  // The calendar learns of the wheels first.
  const first = await propose(shop.db, NOW, {
    kind: 'car',
    event: { kind: 'back', job: job.id, operation: WHEELS, dueBack: plusMinutes(NOW, 1440) },
  })
  expect(await takeProposal(shop.db, first.id, NOW)).toEqual({ kind: 'taken' })
  const dueBack = instantOrThrow('2027-01-21T12:00:00Z')
  const proposal = await propose(shop.db, NOW, {
    kind: 'car',
    event: { kind: 'back', job: job.id, operation: WHEELS, dueBack },
  })
  const own = proposal.changes.find((change) => change.job === job.id)!
  expect(own.collectAfter! > own.collectBefore!).toBe(true)
  expect(own.collectAfter! > dueBack).toBe(true)
  const dueNow = async () => (await loadProgress(shop.db, [job.id])).get(job.id)![WHEELS]
  expect(await dueNow()).toMatchObject({ dueBack: plusMinutes(NOW, 1440) })
  expect(await takeProposal(shop.db, proposal.id, NOW)).toEqual({ kind: 'taken' })
  expect(await dueNow()).toMatchObject({ kind: 'started', dueBack })
  expect((await loadEntries(shop.db, job.id)).at(-1)).toMatchObject({ kind: 'due-back', dueBack, by: 'oran' })
  const { live } = (await loadFloor(shop.db, NOW)).jobs.find((each) => each.job.id === job.id)!
  const last = live!.plan.operations.at(-1)!
  expect(live!.published.find(({ operation }) => operation === last.id)!.start >= dueBack).toBe(true)
})

test('in the past, of what is not away, or of nothing: each is answered at its field', async () => {
  const { jobs } = await loadFloor(shop.db, NOW)
  const { job } = jobs.find(({ live }) => live?.progress[WHEELS])!
  const at = { day: '2027-01-22', time: '09:00' }
  expect(await say({ job: job.id, operation: WHEELS, at: { ...at, day: '2027-01-12' } })).toMatchObject({
    ok: false,
    field: 'at',
  })
  const other = jobs.find(({ live }) => live && !live.progress[WHEELS])!
  expect(await say({ job: other.job.id, operation: other.live!.plan.operations[0]!.id, at })).toMatchObject({
    ok: false,
    field: 'operation',
  })
  expect(await say({ job: job.id, operation: '', at })).toMatchObject({ ok: false, field: 'operation' })
  expect(await say({ job: job.id, operation: WHEELS, at: { day: '', time: '' } })).toMatchObject({
    ok: false,
    code: 'input',
  })
})

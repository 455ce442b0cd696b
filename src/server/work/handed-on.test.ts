import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { type PersonId, toPersonId } from '@/core/ids'
import { instantOrThrow, plusMinutes } from '@/core/time'
import type { Caller } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { batchSchema, receiveBatch } from '../queue/receive'
import { addAccount } from '../staff/accounts'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { loadHandedOn } from './handed-on'
import { isToConfirm, noteTrainee } from './to-confirm'

/** A tablet that changes hands where nobody can sign in. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

type Hand = { role: 'technician' | 'trainee' | 'manager'; name: string; person?: PersonId }

async function signedIn({ role, name, person }: Hand): Promise<Caller> {
  const account = await addAccount(shop.db, { name, role, ...(person ? { person } : {}) }, NOW)
  return { role, account, name, ...(person ? { person } : {}) }
}

const aCar = async () => {
  const { jobs } = await loadFloor(shop.db, NOW)
  return jobs.find((each) => each.job.vehicle.plate === 'IM 903')!
}

async function note(by: PersonId, caller: Caller): Promise<string> {
  const id = randomUUID()
  const entry = { id, number: 1, ago: 0, kind: 'act', job: (await aCar()).job.id, by }
  const batch = batchSchema.parse({
    device: randomUUID(),
    waiting: [{ ...entry, act: { kind: 'note', operation: 'cut', to: 'office', text: 'Soft.' } }],
  })
  expect((await receiveBatch(shop.db, batch, NOW, caller)).outcomes).toMatchObject([{ taken: true }])
  return id
}

async function pay(euros: number, by: PersonId, caller: Caller): Promise<string> {
  const id = randomUUID()
  const { job_id: jobId } = (await shop.db('agreements').first('job_id'))!
  const batch = batchSchema.parse({
    device: randomUUID(),
    waiting: [
      {
        id,
        number: 1,
        ago: 0,
        kind: 'call',
        action: 'handover.record-payment',
        input: { jobId, euros, way: 'cash', note: '' },
        about: 'a payment',
        by,
      },
    ],
  })
  await receiveBatch(shop.db, batch, NOW, caller)
  return id
}

const answers = (ids: readonly string[], answer: string, caller: Caller) =>
  perform(
    shop.db,
    EVERY_ACTION.get('work.answer-handed-on')!,
    { key: randomUUID(), input: { ids, answer } },
    { caller, at: plusMinutes(NOW, 5) },
  )
const waiting = async () => loadHandedOn(shop.db, await loadFloor(shop.db, NOW))

test('what one does on another’s sign-in waits for whoever did it, who says so once', async () => {
  const { people } = (await loadFloor(shop.db, NOW)).shop.setup
  const [merle, iven] = [people[0]!.id, people[1]!.id]
  const Merle = await signedIn({ role: 'technician', name: 'Merle', person: merle })
  const Iven = await signedIn({ role: 'technician', name: 'Iven', person: iven })
  const manager = await signedIn({ role: 'manager', name: 'Una' })
  await note(merle, Merle)
  await note(merle, manager)
  expect(await waiting()).toEqual([])

  const ids = [await note(iven, Merle), await note(iven, Merle)].toSorted()
  const [group, ...others] = await waiting()
  expect(others).toEqual([])
  expect(group).toMatchObject({
    person: iven,
    sentBy: 'Merle',
    car: { plate: 'IM 903' },
    from: NOW,
    isDenied: false,
  })
  expect(group!.ids.toSorted()).toEqual(ids)
  expect((await answers(ids, 'me', Merle)).ok).toBe(false)
  expect((await answers(ids, 'vouched', Merle)).ok).toBe(false)
  expect((await answers(ids, 'me', Iven)).ok).toBe(true)
  expect(await waiting()).toEqual([])
  expect((await answers(ids, 'not-me', Iven)).ok).toBe(false)

  const denied = [await note(iven, Merle)]
  expect((await answers(denied, 'not-me', Iven)).ok).toBe(true)
  expect(await waiting()).toMatchObject([{ ids: denied, isDenied: true }])
  expect((await answers(denied, 'me', Iven)).ok).toBe(false)
  expect((await answers(denied, 'vouched', manager)).ok).toBe(false)
  expect((await answers(denied, 'looked-into', Merle)).ok).toBe(false)
  expect((await answers(denied, 'looked-into', manager)).ok).toBe(true)
  expect(await waiting()).toEqual([])
})

test('a trainee who takes over a tablet is a trainee all the same', async () => {
  const finn = toPersonId('finn')
  const senior = await signedIn({ role: 'technician', name: 'Aoife', person: toPersonId('aoife') })
  await signedIn({ role: 'trainee', name: 'Finn', person: finn })
  const { job, live } = (await loadFloor(shop.db, NOW)).jobs.find((each) => each.live)!
  const { id: operation } = live!.plan.operations[0]!
  const finished = (id: string, by: PersonId) =>
    ({ id, kind: 'done', job: job.id, operation, at: NOW, by }) as never
  await noteTrainee(shop.db, finished('by-senior', senior.person!), senior)
  expect(await isToConfirm(shop.db, job.id)).toBe(false)
  await noteTrainee(shop.db, finished('by-finn', finn), senior)
  expect(await isToConfirm(shop.db, job.id)).toBe(true)
})

test('an action of another’s is marked like an act, where it was taken', async () => {
  const account = await addAccount(
    shop.db,
    { name: 'Isla', role: 'counter', person: toPersonId('isla') },
    NOW,
  )
  const caller: Caller = { role: 'counter', account, name: 'Isla', person: toPersonId('isla') }
  const taken = await pay(12.5, toPersonId('merle'), caller)
  expect(await waiting()).toMatchObject([{ ids: [taken], person: 'merle', sentBy: 'Isla' }])
  // Of what was refused nobody has to say who did it.
  await pay(-1, toPersonId('merle'), caller)
  expect(await waiting()).toMatchObject([{ ids: [taken] }])
})

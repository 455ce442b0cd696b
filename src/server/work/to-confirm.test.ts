import { expect, test } from 'vitest'
import type { Entry } from '@/core/card'
import { toAccountId } from '@/core/ids'
import { instantOrThrow } from '@/core/time'
import type { Caller } from '../action/caller'
import { perform } from '../action/perform'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { addAccount } from '../staff/accounts'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { isToConfirm, loadToConfirm, noteTrainee } from './to-confirm'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

let keys = 0
const confirms = (id: string, caller: Caller) =>
  perform(
    shop.db,
    EVERY_ACTION.get('work.confirm')!,
    { key: `confirm-test-${++keys}`, input: { id } },
    { caller, at: NOW },
  )

test('what a trainee finishes waits for somebody else, and the car does not go before', async () => {
  const finn = await addAccount(shop.db, { name: 'Finn', role: 'trainee' }, NOW)
  const trainee: Caller = { role: 'trainee', account: finn, name: 'Finn' }
  const technician: Caller = { role: 'technician', account: toAccountId('merle'), name: 'Merle' }
  const { jobs } = await loadFloor(shop.db, NOW)
  const { job, live } = jobs.find((each) => each.live)!
  const { id: operation } = live!.plan.operations[0]!
  const finished = (id: string) => ({ id, kind: 'done', job: job.id, operation, at: NOW }) as unknown as Entry

  await noteTrainee(shop.db, finished('by-merle'), technician)
  expect(await isToConfirm(shop.db, job.id)).toBe(false)
  await noteTrainee(shop.db, finished('by-finn'), trainee)
  expect(await isToConfirm(shop.db, job.id)).toBe(true)
  expect(await loadToConfirm(shop.db, await loadFloor(shop.db, NOW))).toMatchObject([
    { id: 'by-finn', plate: job.vehicle.plate, by: 'Finn', at: NOW },
  ])

  expect((await confirms('by-finn', trainee)).ok).toBe(false)
  const other = await addAccount(shop.db, { name: 'Roisin', role: 'trainee' }, NOW)
  expect((await confirms('by-finn', { role: 'trainee', account: other, name: 'Roisin' })).ok).toBe(false)
  // Who was a trainee when it was done does not confirm it once they are none.
  expect((await confirms('by-finn', { ...trainee, role: 'technician' })).ok).toBe(false)
  expect((await confirms('by-finn', technician)).ok).toBe(true)
  expect(await isToConfirm(shop.db, job.id)).toBe(false)
  expect((await confirms('by-finn', technician)).ok).toBe(false)
  expect(await shop.db('to_confirm').where({ id: 'by-finn' }).first('confirmed_by')).toEqual({
    confirmed_by: 'Merle',
  })

  await noteTrainee(shop.db, finished('again'), trainee)
  await noteTrainee(shop.db, { ...finished('opened'), kind: 'undo' } as unknown as Entry, technician)
  expect(await isToConfirm(shop.db, job.id)).toBe(false)
})

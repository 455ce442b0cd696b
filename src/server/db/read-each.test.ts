import { expect, test } from 'vitest'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { listDue } from '../aftercare/due-list'
import { loadFloor } from '../floor/floor'
import { proposalsOf } from '../messages/proposed-messages'
import { correctionsOf } from '../vehicles/corrections'
import { findAllKnown, listKnown } from '../vehicles/vehicle-store'
import { connect } from './connection'
import { demoShop } from './demo-shop.fixture'
import { readEach } from './read-each'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const TODAY = localDayOrThrow('2027-01-13')
const shop = demoShop(NOW)

test('what can be read is read, in its order, and the rest is named', () => {
  const read = readEach([1, 2, 3, 4], (n) => (n % 2 ? n : JSON.parse('{')), String)
  expect(read).toEqual({ read: [1, 3], unread: ['2', '4'] })
})

test('one car that cannot be read closes neither the visits nor the vehicles to the others', async () => {
  const { known } = await listKnown(shop.db, '', 0, 10_000)
  const due = await listDue(shop.db, 'all', TODAY)
  const broken = due.cars[0]!.vehicle
  await shop.db.raw('PRAGMA ignore_check_constraints = ON')
  await shop.db('vehicles').where({ id: broken.id }).update({ panel_facts: '[[' })
  await shop
    .db('care_dates')
    .where({ vehicle_id: broken.id })
    .update({ good_mid: 'in the year 9000' as never })
  const after = await listDue(shop.db, 'all', TODAY)
  expect(after.unread).toEqual([broken.plate])
  expect(after.cars.map(({ vehicle }) => vehicle.id)).toEqual(
    due.cars.slice(1).map(({ vehicle }) => vehicle.id),
  )
  const listed = await listKnown(shop.db, '', 0, 10_000)
  expect(listed.unread).toEqual([broken.plate])
  expect(listed.known).toHaveLength(known.length - 1)
  const shopNow = (await loadFloor(shop.db, NOW)).shop
  expect(await proposalsOf(shop.db, shopNow, NOW, new Set())).toEqual([])
  const { setup } = (await loadFloor(shop.db, NOW)).shop
  expect((await correctionsOf(shop.db, setup, listed.known[0]!.vehicle)).length).toBeGreaterThan(5)
  expect((await findAllKnown(shop.db, [broken.id, listed.known[0]!.vehicle.id])).size).toBe(1)
})

test('a fault of the database names the statement and not what was typed', async () => {
  const db = connect(':memory:')
  await db.raw('CREATE TABLE guests (name TEXT NOT NULL CHECK (length(name) < 5))')
  const fault: unknown = await db('guests' as 'customers')
    .insert({ name: 'Odhran Spare' } as never)
    .catch((error: unknown) => error)
  await db.destroy()
  expect(String(fault)).toContain('guests')
  expect(String(fault)).not.toContain('Odhran')
})

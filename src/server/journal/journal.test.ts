import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { z } from 'zod'
import { done } from '@/core/answer'
import { toAccountId, toPersonId } from '@/core/ids'
import type { ChangedField } from '@/core/journal'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { changeTexts, readingOf } from '@/text/en/changes'
import { deedText, hasDeedText } from '@/text/en/journal'
import { type Caller, OPEN_SHOP } from '../action/caller'
import { chained, forgetStrayChanges, verifyJournal, writeEntry } from '../action/journal'
import { defineWrite, perform } from '../action/perform'
import { openDatabase } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { receiveBatch } from '../queue/receive'
import { loadShop } from '../shop/shop-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { restore } from '../work/work-store'
import { readJournal } from './journal-store'
import { changesOfRecords, type Watched } from './record-changes'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const MERLE: Caller = { role: 'technician', account: toAccountId('a-merle'), name: 'Merle' }

const count = defineWrite({
  name: 'stock.count-set',
  who: 'team',
  input: z.strictObject({ pieces: z.int(), vehicleId: z.string().optional() }),
  write: async () => done(),
})

describe('the journal', () => {
  let db: Knex
  beforeEach(async () => {
    db = await openDatabase(':memory:')
  })
  afterEach(() => db.destroy())
  const counts = (pieces: number, caller: Caller = MERLE, at: Instant = NOW) =>
    perform(db, count, { key: randomUUID(), input: { pieces } }, { caller, at })
  const five = async () => {
    for (let pieces = 1; pieces <= 5; pieces++) await counts(pieces)
  }

  test('names who did what and when, and finds it by person, kind and day', async () => {
    await counts(1)
    await counts(2, OPEN_SHOP, plusMinutes(NOW, 60))
    expect(await readJournal(db, {}, 10)).toMatchObject([
      { action: 'stock.count-set', role: 'owner', sent: '{"pieces":2}' },
      { action: 'stock.count-set', role: 'technician', who: 'Merle', at: NOW, sent: '{"pieces":1}' },
    ])
    expect(await readJournal(db, { who: MERLE.account }, 10)).toHaveLength(1)
    expect(await readJournal(db, { subject: 'stock' }, 10)).toHaveLength(2)
    expect(await readJournal(db, { subject: 'sto%' }, 10)).toEqual([])
    expect(await readJournal(db, { from: plusMinutes(NOW, 1) }, 10)).toHaveLength(1)
    expect(await readJournal(db, { until: NOW }, 10)).toEqual([])
  })
  test('is whole as it was written', async () => {
    await five()
    expect(await verifyJournal(db)).toMatchObject({ entries: 5 })
  })
  test.each(['who', 'action', 'at', 'input', 'answer', 'role'] as const)(
    'in which %s of an entry was changed says which entry it is',
    async (column) => {
      await five()
      await db('action_journal')
        .where({ position: 3 })
        .update({ [column]: column === 'answer' || column === 'input' ? '{"pieces":9}' : 'another' })
      expect((await verifyJournal(db)).broken).toEqual({ position: 3, why: 'changed' })
    },
  )
  test('from which an entry was taken says where one is missing', async () => {
    await five()
    await db('action_journal').where({ position: 2 }).delete()
    expect((await verifyJournal(db)).broken).toEqual({ position: 2, why: 'missing' })
  })
  test('that was written anew from somewhere on no longer ends as a copy of before does', async () => {
    await five()
    const { last } = await verifyJournal(db)
    await db('action_journal').where('position', '>', 3).delete()
    await counts(7)
    await counts(8)
    const now = await verifyJournal(db)
    expect(now.broken).toBeUndefined()
    expect(now.last).not.toBe(last)
  })
  test('in which what stood before or after was changed, added or taken away says so', async () => {
    const vehicle = {
      of_table: 'vehicles',
      row_key: 'v1',
      before: '{"plate":"IM 1"}',
      after: '{"plate":"IM 2"}',
    }
    await counts(1)
    await db('row_changes').insert(vehicle)
    const entry = { key: 'changing', action: 'stock.count-set', caller: MERLE, at: NOW, input: {} }
    await writeEntry(db, { ...entry, answer: done(), secret: false })
    await counts(3)
    const broken = async () => (await verifyJournal(db)).broken
    expect(await broken()).toBeUndefined()
    const of = () => db('row_changes').where({ position: 2 })
    await of().update({ before: '{"plate":"IM 9"}' })
    expect(await broken()).toEqual({ position: 2, why: 'changed' })
    await of().update({ before: vehicle.before })
    expect(await broken()).toBeUndefined()
    await db('row_changes').insert({ ...vehicle, position: 3 })
    expect(await broken()).toEqual({ position: 3, why: 'changed' })
    await db('row_changes').where({ position: 3 }).delete()
    await of().delete()
    expect(await broken()).toEqual({ position: 2, why: 'changed' })
  })
  test('keeps the seals of entries from before that was under them', async () => {
    await counts(1)
    const [row] = await db('action_journal')
    await db('action_journal').update({
      changes_hash: null,
      chain: chained(null, { ...row!, changes_hash: null }),
    })
    await db('row_changes').insert({
      of_table: 'vehicles',
      row_key: 'v',
      before: '{}',
      after: '{}',
      position: row!.position,
    })
    expect((await verifyJournal(db)).broken).toBeUndefined()
  })
  test('passes over what was written before there were seals', async () => {
    await five()
    await db('action_journal').update({ chain: null })
    await counts(6)
    expect(await verifyJournal(db)).toMatchObject({ entries: 6 })
    expect((await verifyJournal(db)).broken).toBeUndefined()
  })
})

describe('what stood before and after', () => {
  const shop = demoShop(NOW)
  const does = (name: string, input: unknown) =>
    perform(shop.db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller: OPEN_SHOP, at: NOW })

  test('is with the entry under which it was changed, and with no other', async () => {
    const vehicle = (await shop.db('vehicles').whereNot('length_m', 5.1).orWhereNull('length_m').first())!
    expect(
      (await does('vehicles.save-size', { vehicleId: vehicle.id, lengthM: 5.1, heightM: null })).ok,
    ).toBe(true)
    const [entry] = await readJournal(shop.db, { subject: 'vehicles' }, 1)
    expect(entry!.changes).toEqual([
      {
        of: 'vehicles',
        fields: [{ path: ['length_m'], before: vehicle.length_m, after: 5.1 }].concat(
          vehicle.height_m === null
            ? []
            : [{ path: ['height_m'], before: vehicle.height_m, after: null as never }],
        ),
      },
    ])
    expect(
      (await does('vehicles.save-size', { vehicleId: vehicle.id, lengthM: 5.1, heightM: null })).ok,
    ).toBe(true)
    expect((await readJournal(shop.db, { subject: 'vehicles' }, 1))[0]!.changes).toEqual([])
  })
  test('is kept of a layer that is taken back', async () => {
    const layer = (await shop.db('layers').first())!
    const { job_id, operation_id, ...was } = layer
    await shop.db.transaction(async (trx) => {
      const at = { at: NOW, zone: 'Europe/Dublin' }
      await forgetStrayChanges(trx)
      await restore(trx, job_id, operation_id, undefined, at)
      const input = { job: job_id }
      await writeEntry(trx, {
        key: 'taken-back',
        action: 'card.undo',
        caller: MERLE,
        at: NOW,
        input,
        answer: done(),
        secret: false,
      })
    })
    const [entry] = await readJournal(shop.db, { subject: 'card' }, 1)
    const change = entry!.changes.find(({ of }) => of === 'layers')!
    expect(entry!.who).toBe('Merle')
    expect(change.fields).toContainEqual({ path: ['lot'], before: was.lot, after: undefined })
    expect(change.fields).toContainEqual({ path: ['product_id'], before: was.product_id, after: undefined })
  })
  test('of one record is found by it, the latest first, and by the part of it that is looked at', async () => {
    const { id } = (await shop.db('vehicles').first('id'))!
    const size = (lengthM: number) => does('vehicles.save-size', { vehicleId: id, lengthM, heightM: 1.5 })
    for (const length of [4.1, 4.2, 4.3]) expect((await size(length)).ok).toBe(true)
    const lengths = async (watched: Watched, most = 9) =>
      (await changesOfRecords(shop.db, [watched], most)).map(({ fields }) =>
        fields.filter(({ field }) => field.path[0] === 'length_m').map(({ field }) => field.after),
      )
    expect((await lengths({ of: 'vehicles', key: id })).slice(0, 3)).toEqual([[4.3], [4.2], [4.1]])
    expect(await lengths({ of: 'vehicles', key: id, parts: ['height_m'] }, 1)).toEqual([[]])
    expect(await lengths({ of: 'vehicles', key: 'another' })).toEqual([])
    expect((await lengths({ of: 'vehicles' }, 2)).length).toBe(2)
  })
  test('is said in words', async () => {
    const reading = readingOf(await loadShop(shop.db))
    const said = (of: string, field: ChangedField) => changeTexts(reading, of, [field])[0]!
    expect(said('customers', { path: ['may_remind'], before: 0, after: 1 })).toEqual({
      name: 'customer, may be reminded',
      before: 'no',
      after: 'yes',
    })
    expect(said('shop', { path: ['setup', 'rates', 'consumablesCents'], before: 3500, after: null })).toEqual(
      {
        name: 'shop, rates, consumables',
        before: '€35.00',
        after: 'nothing',
      },
    )
    const text = (of: string, name: string, before: unknown, after: unknown) =>
      Object.values(said(of, { path: [name], before, after }))
    expect(text('jobs', 'budget_cents', 90_000, 100_000)).toEqual(['job, budget', '€900.00', '€1,000.00'])
    expect(
      said('shop', { path: ['setup', 'rates', 'centsPerHour', 'prep'], before: 4200, after: 4400 }),
    ).toEqual({ name: 'shop, rates, per hour, prep', before: '€42.00', after: '€44.00' })
    expect(text('supplies', 'constructor', 1, 2)).toEqual(['set, constructor', '1', '2'])
    const added = { path: ['setup', 'rates', 'trim'], before: undefined, after: 0 }
    expect(changeTexts(reading, 'shop', [added])).toEqual([])
    expect(text('layers', 'air_c_x10', 186, undefined)).toEqual(['layer, air', '18.6 °C', 'nothing'])
    expect(text('layers', 'rh_x10', 550, 560)).toEqual(['layer, humidity', '55%', '56%'])
    expect(text('jobs', 'arrive_at', '2027-01-18T08:00:00.000Z', null)).toEqual([
      'job, comes',
      '18 Jan 2027, 08:00',
      'nothing',
    ])
  })
})

test('each action of the shop has words in the journal', () => {
  expect([...EVERY_ACTION.keys()].filter((name) => !hasDeedText(name))).toEqual([])
  expect(deedText('card.coat')).toBe('logged a layer')
  // What a newer version wrote is still told somehow.
  expect(deedText('later.unknown')).toBe('later.unknown')
})

describe('a deed at a car', () => {
  const shop = demoShop(NOW)
  test('is in the journal with who sent it, and is found by the plate', async () => {
    const { job } = (await loadFloor(shop.db, NOW)).jobs.find((each) => each.job.vehicle.plate === 'IM 903')!
    const waiting = [
      {
        id: randomUUID(),
        number: 1,
        ago: 0,
        kind: 'act' as const,
        job: job.id,
        by: toPersonId('merle'),
        act: { kind: 'note', operation: 'cut', to: 'office', text: 'Which towel?' },
      },
    ]
    const account = {
      id: MERLE.account!,
      name: 'Merle',
      plain_name: 'merle',
      role: 'technician' as const,
      person_id: null,
      passphrase: null,
      pin: null,
      made_at: NOW,
      closed_at: null,
    }
    await shop.db('accounts').insert(account)
    const sent = await receiveBatch(shop.db, { device: randomUUID(), waiting }, NOW, MERLE)
    expect(sent.outcomes).toMatchObject([{ taken: true }])
    expect(await readJournal(shop.db, { plate: 'im-903' }, 10)).toMatchObject([
      { action: 'card.note', who: 'Merle', job: job.id, plate: 'IM 903' },
    ])
    // Whoever is signed in now sent what somebody else had done while the network was away: both are named.
    expect((await readJournal(shop.db, { plate: 'im-903' }, 10))[0]!.by).toBe('merle')
    await shop.db('accounts').where({ id: account.id }).update({ person_id: 'merle' })
    expect((await readJournal(shop.db, { plate: 'im-903' }, 10))[0]!.by).toBeUndefined()
    // Sent again it is no second entry.
    await receiveBatch(shop.db, { device: randomUUID(), waiting }, NOW, MERLE)
    expect(await readJournal(shop.db, { plate: 'IM 903' }, 10)).toHaveLength(1)
    expect((await verifyJournal(shop.db)).broken).toBeUndefined()
  })
  test('is not taken from who may not work at cars', async () => {
    const { job } = (await loadFloor(shop.db, NOW)).jobs.find((each) => each.job.vehicle.plate === 'IM 903')!
    const note = { kind: 'note', operation: 'cut', to: 'office', text: 'Hello' }
    const waiting = [
      {
        id: randomUUID(),
        number: 1,
        ago: 0,
        kind: 'act' as const,
        job: job.id,
        by: toPersonId('merle'),
        act: note,
      },
    ]
    const counter: Caller = { role: 'counter', name: 'Isla' }
    const { outcomes } = await receiveBatch(shop.db, { device: randomUUID(), waiting }, NOW, counter)
    expect(outcomes).toMatchObject([{ taken: false }])
  })
})

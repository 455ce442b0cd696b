import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop } from '@demo/copy'
import type { Knex } from 'knex'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { type CustomerId, toCustomerId } from '@/core/ids'
import { dayIn, instantOrThrow, localDayOrThrow } from '@/core/time'
import { CONSENT_WORDING } from '@/text/en/people'
import { type Caller, OPEN_SHOP } from '../action/caller'
import { verifyJournal } from '../action/journal'
import { perform } from '../action/perform'
import { listDue } from '../aftercare/due-list'
import type { ArchiveFile } from '../data/archive'
import { openDatabase } from '../db/connection'
import { databaseFile } from '../db/data-folder'
import { loadFloor } from '../floor/floor'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { findKnown, listKnown } from '../vehicles/vehicle-store'
import { consentsOf } from './consents'
import { ERASED } from './erase'
import { personalData } from './personal-data'
import { reachedBy } from './reached'
import { outdated, proposedThisMonth } from './retention'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

let folder: string
let shop: Knex
let db: Knex
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-people-'))
  process.env.FERN_YARD_DATA = folder
  copyShop(folder, NOW, 'years')
  shop = await openDatabase(databaseFile())
})
afterAll(async () => {
  await shop.destroy()
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

/** Each test does what it does and takes it back. */
beforeEach(async () => {
  db = await shop.transaction()
  return () => (db as Knex.Transaction).rollback()
})

let keys = 0
const does = (name: string, input: unknown, caller: Caller = OPEN_SHOP) =>
  perform(db, EVERY_ACTION.get(name)!, { key: `people-test-${++keys}`, input }, { caller, at: NOW })

/** Somebody with a car that is not expected, and with as much written of them as there is. */
async function somebody(): Promise<{ id: CustomerId; name: string; phone: string; email: string }> {
  const row = await db('customers')
    .join('vehicles', 'vehicles.customer_id', 'customers.id')
    .join('jobs', 'jobs.vehicle_id', 'vehicles.id')
    .groupBy('customers.id')
    .havingRaw('count(*) = count(jobs.handed_over_at)')
    // In two years some share a name or a telephone.
    .whereRaw(
      `NOT EXISTS (
        SELECT 1 FROM customers AS other
        WHERE other.id <> customers.id
          AND (instr(other.name, customers.name) > 0
            OR (customers.phone <> '' AND instr(other.phone, customers.phone) > 0)
            OR (customers.email <> '' AND instr(other.email, customers.email) > 0)))`,
    )
    .orderByRaw('count(*) desc, customers.id')
    .first('customers.*')
  return { ...row!, id: toCustomerId(row!.id) }
}

/** The tables that say a word anywhere. */
async function whereSaid(word: string): Promise<string[]> {
  const tables: string[] = await db('sqlite_master').where({ type: 'table' }).pluck('name')
  const found: string[] = []
  for (const table of tables)
    if (JSON.stringify(await db.raw(`SELECT * FROM "${table}"`)).includes(word)) found.push(table)
  return found
}

const erased = (who: { id: CustomerId; name: string }, more: object = {}) =>
  does('customers.erase', {
    customerId: who.id,
    name: who.name,
    photos: 'keep',
    plates: false,
    marked: [],
    ...more,
  })

describe('what hangs on a customer', () => {
  test('is found whatever table it is in', async () => {
    const reached = await reachedBy(db, (await somebody()).id)
    const tables: string[] = await db('sqlite_master').where({ type: 'table' }).pluck('name')
    for (const table of tables) {
      const columns: { name: string }[] = await db.raw(`PRAGMA table_info("${table}")`)
      const isTheirs = columns.some(({ name }) => /^(customer|vehicle|job|message)_id$/.test(name))
      if (isTheirs && table !== 'action_journal') expect([...reached.keys()]).toContain(table)
    }
    expect(reached.get('jobs')!.length).toBeGreaterThan(0)
    expect(reached.get('customers')).toHaveLength(1)
  })
  test('is given to them as one file', async () => {
    const who = await somebody()
    await does('messages.save-contact', {
      customerId: who.id,
      phone: '091 555 0123',
      email: who.email,
      mayRemind: true,
      language: 'en',
      writeBy: 'email',
      tax: 'as-usual',
      saidBy: 'telephone',
    })
    const files: ArchiveFile[] = []
    for await (const file of personalData(db, who.id, NOW)) files.push(file)
    const told = JSON.parse(new TextDecoder().decode(files[0]!.bytes))
    expect(told.tables.customers).toMatchObject([{ name: who.name, phone: '091 555 0123' }])
    expect(told.tables.jobs.length).toBeGreaterThan(0)
    expect(told.tables.owner_links).toBeUndefined()
    expect(told.tables.consents.length).toBeGreaterThan(0)
  })
})

describe('erasing', () => {
  test('leaves no word of them anywhere, and what has to be kept stands', async () => {
    const who = await somebody()
    const vehicles: string[] = await db('vehicles').where({ customer_id: who.id }).pluck('id')
    const [job] = await db('jobs')
      .whereIn('vehicle_id', vehicles as never[])
      .pluck('id')
    await db('jobs')
      .where({ id: job })
      .update({ warnings: `${who.name} wants it back by noon` })
    const kept = () =>
      db('agreements')
        .whereIn(
          'job_id',
          db('jobs')
            .whereIn('vehicle_id', vehicles as never[])
            .select('id'),
        )
        .count()
    const before = await kept()
    expect((await erased(who)).ok).toBe(true)
    for (const word of [who.name, who.email, who.phone]) if (word) expect(await whereSaid(word)).toEqual([])
    expect(await kept()).toEqual(before)
    expect((await db('jobs').where({ id: job }).first('warnings'))!.warnings).toBe(
      `${ERASED} wants it back by noon`,
    )
    expect(await db('customers').where({ id: who.id }).first('name', 'erased_at')).toEqual({
      name: ERASED,
      erased_at: NOW,
    })
    // Every page that shows cars can still be read.
    await loadFloor(db, NOW)
    await listDue(db, 'all', dayIn('Europe/Dublin', NOW))
  })
  test('forgets the plates where that is asked for, and only then', async () => {
    const who = await somebody()
    const { plate } = (await db('vehicles').where({ customer_id: who.id }).first('plate'))!
    expect((await erased(who, { plates: true })).ok).toBe(true)
    expect(await whereSaid(plate)).toEqual([])
  })
  test('takes no other name, nobody whose car is expected, and nobody twice', async () => {
    const who = await somebody()
    expect(await erased({ ...who, name: 'Somebody Else' })).toMatchObject({ ok: false, field: 'name' })
    const expected = await db('customers')
      .join('vehicles', 'vehicles.customer_id', 'customers.id')
      .join('jobs', 'jobs.vehicle_id', 'vehicles.id')
      .whereNull('jobs.handed_over_at')
      .first('customers.id', 'customers.name')
    expect((await erased({ id: toCustomerId(expected!.id), name: expected!.name })).ok).toBe(false)
    expect((await erased(who)).ok).toBe(true)
    expect((await erased({ ...who, name: ERASED })).ok).toBe(false)
  })
  test('empties what the journal holds of them, and the journal still verifies', async () => {
    const who = await somebody()
    const [vehicleId] = await db('vehicles').where({ customer_id: who.id }).pluck('id')
    await does('vehicles.save-size', { vehicleId, lengthM: 4.4, heightM: null })
    const [last] = await db('action_journal').orderBy('position', 'desc').limit(1)
    expect(last!.input).toContain(vehicleId)
    expect((await erased(who)).ok).toBe(true)
    expect((await db('action_journal').where({ position: last!.position }).first('input'))!.input).toBeNull()
    expect((await verifyJournal(db)).broken).toBeUndefined()
    // Somebody who empties an entry by hand is found out.
    const [next] = await db('action_journal').orderBy('position', 'desc').limit(1)
    await db('action_journal').where({ position: next!.position }).update({ input: null })
    expect((await verifyJournal(db)).broken).toMatchObject({ position: next!.position })
  })
})

test('what they agreed to stands with day, words and how they said so; asked for where it changes', async () => {
  const who = await somebody()
  const { may_remind: was } = (await db('customers').where({ id: who.id }).first('may_remind'))!
  const contact = {
    customerId: who.id,
    phone: '',
    email: '',
    language: 'en',
    writeBy: 'email',
    tax: 'as-usual',
  }
  const says = (mayRemind: boolean, more: object = {}) =>
    does('messages.save-contact', { ...contact, mayRemind, ...more })
  expect((await says(was === 1)).ok).toBe(true)
  expect(await says(was !== 1)).toMatchObject({ ok: false, field: 'saidBy' })
  expect((await says(was !== 1, { saidBy: 'writing' })).ok).toBe(true)
  expect((await consentsOf(db, who.id))[0]).toEqual({
    at: NOW,
    given: was !== 1,
    channel: 'writing',
    wording: CONSENT_WORDING,
    by: '',
  })
})

describe('what was kept for its time', () => {
  const proposed = () => outdated(db, localDayOrThrow('2027-01-13'))
  test('is proposed, and goes when somebody says so', async () => {
    expect((await proposed()).customers).toEqual([])
    expect((await does('customers.keep-retention', { messages: 1, photographs: 1, customers: 6 })).ok).toBe(
      true,
    )
    const found = await proposed()
    expect(found.messages).toBeGreaterThan(0)
    expect(found.customers.length).toBeGreaterThan(0)
    expect(found.customers.every(({ lastOn }) => lastOn < '2026-07-13')).toBe(true)
    expect((await does('customers.drop-messages', null)).ok).toBe(true)
    expect((await does('customers.drop-photographs', null)).ok).toBe(true)
    expect(await proposed()).toMatchObject({ messages: 0, photographs: 0 })
  })
  test('is asked about once a month, and left alone for a month where somebody says so', async () => {
    const asked = async (day: string) => (await proposedThisMonth(db, localDayOrThrow(day))) !== undefined
    expect(await asked('2027-01-13')).toBe(false)
    await does('customers.keep-retention', { messages: 600, photographs: 600, customers: 6 })
    expect(await asked('2027-01-13')).toBe(true)
    expect((await does('customers.leave-outdated', null)).ok).toBe(true)
    expect(await asked('2027-01-31')).toBe(false)
    expect(await asked('2027-02-01')).toBe(true)
    await does('customers.keep-retention', { messages: 600, photographs: 600, customers: 600 })
    expect(await asked('2027-02-01')).toBe(false)
  })
  test('of photographs are those out of sight as well, but no picture that is shown elsewhere', async () => {
    const photo = (id: string, hash: string, takenAt: string, removed: boolean) => ({
      id,
      job_id: job,
      place: 'bonnet',
      phase: 'before' as const,
      hash,
      width: 4,
      height: 3,
      marks: '[]',
      shows: null,
      same_place_as: null,
      taken_at: instantOrThrow(takenAt),
      removed_at: removed ? NOW : null,
      version: 1,
    })
    const { id: job } = (await db('jobs').first('id'))!
    const [hidden, shared] = ['a'.repeat(64), 'b'.repeat(64)]
    await db('photos').insert(photo('p1', hidden, '2019-01-01T10:00:00Z', true))
    await db('photos').insert(photo('p2', shared, '2019-01-01T10:00:00Z', false))
    await db('photos').insert(photo('p3', shared, '2027-01-01T10:00:00Z', false))
    expect((await proposed()).photographs).toBe(2)
    expect(await does('customers.drop-photographs', null)).toMatchObject({
      ok: true,
      value: { pictures: [hidden] },
    })
    expect((await proposed()).photographs).toBe(0)
    // What was let go of is not brought back as an empty frame.
    expect((await does('photos.restore', { id: 'p1' })).ok).toBe(false)
  })
  test('is kept for months one can count', async () => {
    for (const messages of [0, 601, 1.5])
      expect(
        await does('customers.keep-retention', { messages, photographs: 1, customers: 1 }),
      ).toMatchObject({ ok: false, field: 'messages' })
  })
})

test('a car that is put away is in no list, is found by who looks for it, and comes back', async () => {
  const who = await somebody()
  const { id: vehicleId, plate } = (await db('vehicles').where({ customer_id: who.id }).first('id', 'plate'))!
  const today = dayIn('Europe/Dublin', NOW)
  const isDue = async () => {
    const { cars } = await listDue(db, 'all', today)
    return cars.some(({ vehicle }) => vehicle.id === vehicleId)
  }
  const isListed = async (typed: string) =>
    (await listKnown(db, typed, 0, 10_000)).known.some(({ vehicle }) => vehicle.id === vehicleId)
  expect((await does('vehicles.put-away', { vehicleId })).ok).toBe(true)
  expect([await isDue(), await isListed(''), await isListed(plate)]).toEqual([false, false, true])
  expect((await findKnown(db, vehicleId))!.isPutAway).toBe(true)
  expect((await does('vehicles.take-back', { vehicleId })).ok).toBe(true)
  expect(await isListed('')).toBe(true)
})

describe('how a customer is reached', () => {
  const MERLE: Caller = { role: 'technician', name: 'Merle' }
  const asked = async (caller?: Caller) => {
    const { id } = await somebody()
    const { id: vehicleId } = (await db('vehicles').where({ customer_id: id }).first('id'))!
    return does('customers.reach', { vehicleId }, caller)
  }

  test('is told the desk, and stands nowhere in the journal', async () => {
    const { phone, email } = await somebody()
    expect(await asked()).toEqual({ ok: true, value: { phone, email } })
    const entry = await db('action_journal').where({ action: 'customers.reach' }).first()
    expect(entry?.vehicle_id).toBeTruthy()
    expect(JSON.stringify(entry)).not.toContain(phone)
  })
  test('is told a technician where the shop says so', async () => {
    expect(await asked(MERLE)).toMatchObject({ ok: false, code: 'not-for-you' })
    await does('staff.keep-rules', { idleMinutes: 15, floorReaches: true })
    expect(await asked(MERLE)).toMatchObject({ ok: true })
  })
})

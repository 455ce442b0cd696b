import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { toCustomerId, toJobId, toMessageId, toPersonId, toVehicleId } from '@/core/ids'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { connect } from './connection'
import { MIGRATIONS, migrate } from './migrations'

/** The steps of the years after, each on a database that holds what its predecessor held. */

let folder: string
let old: Knex
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-years-'))
  old = connect(path.join(folder, 'old.db'))
  await migrate(old, MIGRATIONS.slice(0, 9))
  for (const [customer, vehicle, job] of [
    ['c1', 'v1', 'j1'],
    ['c2', 'v2', 'j2'],
  ] as const) {
    await old('customers').insert({
      id: toCustomerId(customer),
      name: `Owner ${customer}`,
      phone: '',
      email: '',
      may_remind: 1,
      created_at: instantOrThrow('2026-01-01T00:00:00.000Z'),
    })
    await old('vehicles').insert({
      id: toVehicleId(vehicle),
      customer_id: toCustomerId(customer),
      plate: vehicle,
      vin: '',
      make: 'Marl',
      model: 'Puffin',
      shape: 'coupe',
      colour: 'Slate',
      paint_system: 'clear-over-base',
      hardness: 'medium',
    })
    await old('jobs').insert({
      id: toJobId(job),
      number: job === 'j1' ? 101 : 102,
      vehicle_id: toVehicleId(vehicle),
      wishes: 'Clean.',
      arrive_at: instantOrThrow('2026-01-02T08:00:00.000Z'),
      created_at: instantOrThrow('2026-01-01T00:00:00.000Z'),
    })
  }
})
afterAll(async () => {
  await old.destroy()
  rmSync(folder, { recursive: true, force: true })
})

test('0010-years-after knows of each job whose it was, and that it was work', async () => {
  expect(await migrate(old, MIGRATIONS.slice(0, 10))).toEqual(['0010-years-after'])
  expect(await old('jobs').orderBy('number').select('id', 'customer_id', 'kind', 'on_guarantee')).toEqual([
    { id: 'j1', customer_id: 'c1', kind: 'work', on_guarantee: 0 },
    { id: 'j2', customer_id: 'c2', kind: 'work', on_guarantee: 0 },
  ])
  const look = {
    job_id: toJobId('j1'),
    unit: 'bonnet',
    cleaned: 1 as const,
    by_person: toPersonId('ann'),
    at: instantOrThrow('2026-06-01T08:00:00.000Z'),
  }
  // What no caller of ours can say, and a hand in the database could.
  const bubbly = 'bubbly' as 'tight'
  const party = 'party' as 'work'
  await old('looks').insert({ ...look, water: 'tight' })
  await expect(old('looks').insert({ ...look, unit: 'roof', water: bubbly })).rejects.toThrow(/CHECK/)
  await expect(
    old('jobs')
      .where({ id: toJobId('j1') })
      .update({ kind: party }),
  ).rejects.toThrow(/CHECK/)
})

test('0011-messages writes to everybody in English by e-mail until somebody says otherwise, and once of each key', async () => {
  expect(await migrate(old, MIGRATIONS.slice(0, 11))).toEqual(['0011-messages'])
  expect(await old('customers').distinct('language', 'write_by', 'may_remind')).toEqual([
    { language: 'en', write_by: 'email', may_remind: 1 },
  ])
  const message = {
    customer_id: toCustomerId('c1'),
    vehicle_id: toVehicleId('v1'),
    occasion: 'curing',
    language: 'en',
    channel: 'email' as const,
    address: 'a@b.example',
    subject: 's',
    text: 't',
    made_at: instantOrThrow('2026-01-02T08:00:00.000Z'),
    not_before: instantOrThrow('2026-01-02T08:00:00.000Z'),
    state: 'waiting' as const,
  }
  await old('messages').insert({ ...message, id: toMessageId('m1'), key: 'k' })
  await expect(old('messages').insert({ ...message, id: toMessageId('m2'), key: 'k' })).rejects.toThrow(
    /UNIQUE/,
  )
  // Sent is only what the carrier has given an id.
  await expect(
    old('messages')
      .where({ id: toMessageId('m1') })
      .update({ state: 'sent' }),
  ).rejects.toThrow(/CHECK/)
})

test('0012-lessons and 0013-brought-histories leave what was there, and take their new facts', async () => {
  const before = await old('jobs').orderBy('id')
  expect(await migrate(old, MIGRATIONS.slice(0, 13))).toEqual(['0012-lessons', '0013-brought-histories'])
  expect(await old('jobs').orderBy('id')).toEqual(before)
  await old('lessons').insert({
    job_id: toJobId('j1'),
    day: localDayOrThrow('2026-01-03'),
    package_key: 'slipway',
    lesson: '{}',
  })
  await expect(
    old('lessons').insert({
      job_id: toJobId('nobody'),
      day: localDayOrThrow('2026-01-03'),
      package_key: 'slipway',
      lesson: '{}',
    }),
  ).rejects.toThrow(/FOREIGN KEY/)
  await old('brought_histories').insert({
    vehicle_id: toVehicleId('v1'),
    history: '{}',
    read_at: instantOrThrow('2026-01-03T08:00:00.000Z'),
  })
  await expect(
    old('pace_changes').insert({
      key: 'wash',
      factor_before: 1,
      factor_after: 0,
      jobs: 3,
      accepted_at: instantOrThrow('2026-01-03T08:00:00.000Z'),
    }),
  ).rejects.toThrow(/CHECK/)
})

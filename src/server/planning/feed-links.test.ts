import type { Knex } from 'knex'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { openDatabase } from '../db/connection'
import { feedOf, listFeeds, makeFeed, noteRead, revokeFeed } from './feed-links'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
let db: Knex
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
afterEach(() => db.destroy())

test('an address leads to one calendar, stands nowhere as it is, and is over once it is revoked', async () => {
  const token = await makeFeed(db, { kind: 'people', of: 'brida' }, NOW)
  expect(token.length).toBeGreaterThan(40)
  expect(JSON.stringify(await db('feeds'))).not.toContain(token)
  const found = await feedOf(db, token)
  expect(found).toMatchObject({ kind: 'people', of: 'brida' })
  expect(await feedOf(db, 'brida')).toBeUndefined()
  await revokeFeed(db, found!.hash, NOW)
  expect(await feedOf(db, token)).toBeUndefined()
  expect(await listFeeds(db)).toEqual([])
})

test('that it is read is written once a day', async () => {
  const token = await makeFeed(db, { kind: 'shop', of: 'all' }, NOW)
  const { hash } = (await feedOf(db, token))!
  const readAt = async () => (await listFeeds(db))[0]!.readAt
  expect(await readAt()).toBeUndefined()
  await noteRead(db, hash, NOW)
  await noteRead(db, hash, plusMinutes(NOW, 60))
  expect(await readAt()).toBe(NOW)
  await noteRead(db, hash, plusMinutes(NOW, 1500))
  expect(await readAt()).toBe(plusMinutes(NOW, 1500))
})

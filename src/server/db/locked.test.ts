import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import type { Knex } from 'knex'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { connect, openDatabase } from './connection'

let folder: string
let writer: Knex
let reader: Knex
let other: Database.Database
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-locked-'))
  const file = path.join(folder, 'shop.db')
  writer = await openDatabase(file)
  reader = connect(file, { readOnly: true })
  other = new Database(file)
})
afterEach(async () => {
  other.close()
  await writer.destroy()
  await reader.destroy()
  rmSync(folder, { recursive: true, force: true })
})

const feed = { kind: 'shop', of_id: 'all', made_at: instantOrThrow('2027-01-13T10:20:00Z') } as const

test('while another program holds the lock, writes wait and everything else goes on', async () => {
  other.exec('BEGIN IMMEDIATE')
  const done: string[] = []
  const within = writer
    .transaction((trx) => trx('feeds').insert({ ...feed, token_hash: 'within' }))
    .then(() => done.push('transaction'))
  const alone = Promise.resolve(writer('feeds').insert({ ...feed, token_hash: 'alone' })).then(() =>
    done.push('statement'),
  )
  for (let page = 0; page < 20; page++) {
    expect(await reader('feeds').select()).toEqual([])
    done.push('page')
    await new Promise((resolve) => setTimeout(resolve, 10))
  }
  other.exec('COMMIT')
  await Promise.all([within, alone])
  expect(done.slice(0, 20)).toEqual(Array(20).fill('page'))
  expect(await reader('feeds').pluck('token_hash').orderBy('token_hash')).toEqual(['alone', 'within'])
})

test('a shop that is up to date is opened while another program holds the lock', async () => {
  other.exec('BEGIN IMMEDIATE')
  const opened = await openDatabase(path.join(folder, 'shop.db'))
  expect(await opened('shop').pluck('id')).toHaveLength(1)
  other.exec('COMMIT')
  await opened.destroy()
})

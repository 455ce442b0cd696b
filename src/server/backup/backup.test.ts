import { createHash } from 'node:crypto'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { openDatabase } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { stateOfShop } from '../trials/shop-state.fixture'
import { makeBackup } from './make'
import { backUp, backupPlaces, letGo, listBackups } from './places'
import { BackupError, rehearseBackup, restoreBackup } from './restore'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

let home: string
let into: string
beforeEach(() => {
  home = mkdtempSync(path.join(tmpdir(), 'fern-yard-backup-'))
  into = path.join(home, 'backups')
  const bytes = Buffer.from('a picture of a bonnet')
  const hash = createHash('sha256').update(bytes).digest('hex')
  const folder = path.join(shop.folder, 'photos', hash.slice(0, 2))
  mkdirSync(folder, { recursive: true })
  writeFileSync(path.join(folder, `${hash}.jpg`), bytes)
  writeFileSync(path.join(folder, `${hash}.jpg.0.part`), 'half a picture')
})
afterEach(() => rmSync(home, { recursive: true, force: true }))

const make = (passphrase?: string, at: Instant = NOW) =>
  makeBackup({ folder: shop.folder, into, ...(passphrase ? { passphrase } : {}) }, at)
const why = (asked: Promise<unknown>) =>
  asked.then(
    () => 'good',
    (error) => (error instanceof BackupError ? error.bad.code : String(error)),
  )

async function stateOf(folder: string) {
  const db = await openDatabase(path.join(folder, 'fern-yard.db'))
  const state = await stateOfShop(db)
  await db.destroy()
  return state
}

const photosIn = (folder: string) =>
  Object.fromEntries(
    readdirSync(path.join(folder, 'photos'), { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.jpg'))
      .map((name) => [name, readFileSync(path.join(folder, 'photos', name)).toString('base64')]),
  )

describe('a backup', () => {
  test('comes back as the shop was, with every row and photograph', async () => {
    const before = await stateOfShop(shop.db)
    const { file } = await make()
    const folder = path.join(home, 'data')
    const { manifest, stoodBefore } = await restoreBackup({ file, folder }, new Date(NOW))
    expect(stoodBefore).toBeUndefined()
    expect(manifest.rows.jobs).toBeGreaterThan(10)
    expect(await stateOf(folder)).toEqual(before)
    expect(photosIn(folder)).toEqual(photosIn(shop.folder))
    expect(readdirSync(home).sort()).toEqual(['backups', 'data'])
    expect(readdirSync(into)).toHaveLength(1)
  })
  test('is for nobody else on the machine', async () => {
    const { file } = await make()
    expect(statSync(file).mode & 0o077).toBe(0)
    expect(statSync(into).mode & 0o077).toBe(0)
  })
  test('holds whatever was acknowledged before it began, though somebody writes all the while', async () => {
    const busy = path.join(home, 'busy')
    cpSync(shop.folder, busy, { recursive: true, filter: (name) => !/-(wal|shm)$/.test(name) })
    const db = await openDatabase(path.join(busy, 'fern-yard.db'))
    let written = 0
    let goesOn = true
    const write = async () => {
      while (goesOn) {
        await db('sign_in_tries').insert({ plain_name: `n${written}`, whence: 'here', at: NOW, right: 1 })
        written++
        await new Promise(setImmediate)
      }
    }
    const writing = write()
    for (let round = 0; round < 5; round++) {
      const acknowledged = written
      const at = plusMinutes(NOW, round)
      const { file } = await makeBackup({ folder: busy, into }, at)
      const manifest = await rehearseBackup(file, home)
      expect(manifest.rows.sign_in_tries).toBeGreaterThanOrEqual(acknowledged)
      expect(manifest.rows.sign_in_tries).toBeLessThanOrEqual(written + 1)
    }
    goesOn = false
    await writing
    expect(written).toBeGreaterThan(0)
    await db.destroy()
  })
  test('that is sealed opens with its passphrase and no other, and tells nothing without', async () => {
    const { file } = await make('gulls on a wet roof')
    expect(readFileSync(file).subarray(0, 21).toString()).toBe('age-encryption.org/v1')
    expect(readFileSync(file).includes('IM 903')).toBe(false)
    expect(await why(rehearseBackup(file, home))).toBe('needs-passphrase')
    expect(await why(rehearseBackup(file, home, 'gulls on a dry roof'))).toBe('wrong-passphrase')
    expect(await why(rehearseBackup(file, home, 'gulls on a wet roof'))).toBe('good')
  })
  test.each(['', '\n', undefined])('is not made open where its passphrase is missing: %j', async (text) => {
    const secret = path.join(home, 'secret')
    if (text !== undefined) writeFileSync(secret, text)
    const places = { ...backupPlaces({ FERN_YARD_BACKUP_PASSPHRASE_FILE: secret }), into }
    await expect(backUp('Europe/Dublin', NOW, places)).rejects.toThrow()
    expect(await listBackups(into)).toEqual([])
  })
})

describe('a backup that is not what it was', () => {
  const spoiled = (file: string, spoil: (tar: Buffer) => Buffer) =>
    writeFileSync(file, gzipSync(spoil(gunzipSync(readFileSync(file)))))

  test('is refused where it is cut off', async () => {
    const { file, bytes } = await make()
    truncateSync(file, bytes - 1000)
    expect(await why(rehearseBackup(file, home))).toBe('damaged')
    truncateSync(file, 0)
    expect(await why(rehearseBackup(file, home))).toBe('damaged')
  })
  test('is refused where a byte of a photograph or of the database is another', async () => {
    for (const [at, mark] of [
      [0, 'a picture of a bonnet'],
      [0, 'IM 903'],
    ] as const) {
      const { file } = await make()
      spoiled(file, (tar) => {
        const found = tar.indexOf(mark)
        expect(found).toBeGreaterThan(0)
        tar[found + at]! ^= 1
        return tar
      })
      expect(await why(rehearseBackup(file, home))).toBe('damaged')
    }
  })
  test('is refused where it would write elsewhere', async () => {
    const { file } = await make()
    spoiled(file, (tar) => {
      const name = 'photos/'
      const found = tar.indexOf(name)
      tar.write('../../e', found)
      // The sum of the header, made to fit again: it is the name that must be refused.
      const head = tar.subarray(found, found + 512)
      head.fill(' ', 148, 156)
      let sum = 0
      for (const byte of head) sum += byte
      head.write(`${sum.toString(8).padStart(6, '0')}\0 `, 148)
      return tar
    })
    expect(await why(rehearseBackup(file, home))).toBe('damaged')
  })
  test('and one that is not there leave what stands as it is', async () => {
    const folder = path.join(home, 'data')
    mkdirSync(folder)
    writeFileSync(path.join(folder, 'fern-yard.db'), 'what stands')
    const { file, bytes } = await make()
    truncateSync(file, bytes - 1000)
    expect(await why(restoreBackup({ file, folder }, new Date(NOW)))).toBe('damaged')
    expect(await why(restoreBackup({ file: `${file}x`, folder }, new Date(NOW)))).toBe('no-such-file')
    expect(await why(restoreBackup({ file, folder, servedBy: 7 }, new Date(NOW)))).toBe('in-use')
    expect(readFileSync(path.join(folder, 'fern-yard.db'), 'utf8')).toBe('what stands')
    expect(readdirSync(home).sort()).toEqual(['backups', 'data'])
  })
})

test('what stood where a backup is restored is kept beside it', async () => {
  const folder = path.join(home, 'data')
  mkdirSync(folder)
  writeFileSync(path.join(folder, 'note'), 'what stood')
  const { file } = await make()
  const { stoodBefore } = await restoreBackup({ file, folder }, new Date(NOW))
  expect(readFileSync(path.join(stoodBefore!, 'note'), 'utf8')).toBe('what stood')
  expect(existsSync(path.join(folder, 'fern-yard.db'))).toBe(true)
})

test('old backups are let go, and nothing else in their folder', async () => {
  mkdirSync(into)
  const days = Array.from({ length: 40 }, (_, ago) => plusMinutes(NOW, -1440 * ago))
  for (const at of days)
    writeFileSync(path.join(into, `fern-yard-${at.slice(0, 16).replaceAll(/[:-]/g, '')}Z.tar.gz`), '')
  writeFileSync(path.join(into, 'holiday.jpg'), '')
  await letGo(into, 'Europe/Dublin')
  const kept = await listBackups(into)
  expect(kept[0]!.at).toBe(instantOrThrow('2027-01-13T10:20:00Z'))
  expect(kept.length).toBeLessThan(15)
  expect(kept.length).toBeGreaterThanOrEqual(7)
  expect(existsSync(path.join(into, 'holiday.jpg'))).toBe(true)
})

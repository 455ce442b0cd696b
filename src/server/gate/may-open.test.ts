import { spawn } from 'node:child_process'
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import {
  isLoopback,
  leaveFolder,
  mayNotOpen,
  wrongPublicUrl,
  wrongSecret,
} from '../../../scripts/may-open.mjs'
import { openDatabase } from '../db/connection'
import { MIGRATIONS } from '../db/migrations'
import { addAccount, hashedSecrets } from '../staff/accounts'

const steps = MIGRATIONS.map(({ name }) => name)
const LOCAL = '127.0.0.1'

let folder: string
let file: string
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-open-'))
  file = path.join(folder, 'fern-yard.db')
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const asked = (more: { host?: string; proxies?: string; isNew?: boolean; known?: readonly string[] } = {}) =>
  mayNotOpen({
    folder,
    host: more.host ?? LOCAL,
    proxies: more.proxies ?? '',
    steps: more.known ?? steps,
    isNew: more.isNew ?? false,
  })

async function shop(withOwner = false) {
  const db = await openDatabase(file)
  if (withOwner) {
    const id = await addAccount(db, { name: 'Rowan', role: 'owner' }, instantOrThrow('2027-01-13T10:20:00Z'))
    await db('accounts')
      .where({ id })
      .update(await hashedSecrets({ passphrase: 'candle regatta ferry' }))
  }
  // As it is left by a program that ended: all of it in one file.
  await db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
  await db.destroy()
}

describe('a folder', () => {
  test('that is new, empty or holds a shop of this version is served, and is nobody else’s meanwhile', async () => {
    expect(asked()).toBeUndefined()
    expect(existsSync(path.join(folder, 'served.lock'))).toBe(true)
    leaveFolder(folder)
    await shop()
    expect(asked()).toBeUndefined()
  })
  test('is served once', async () => {
    const other = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)'])
    writeFileSync(path.join(folder, 'served.lock'), String(other.pid))
    expect(asked()).toContain(`already served from ${folder}, by process ${other.pid}`)
    const ended = new Promise((resolve) => other.once('exit', resolve))
    other.kill('SIGKILL')
    await ended
    // Whoever was killed holds nothing.
    expect(asked()).toBeUndefined()
  })
  test('is free again where it was refused', async () => {
    await shop()
    expect(asked({ host: '0.0.0.0' })).toContain('nobody can sign in yet')
    expect(asked({ proxies: '127.0.0.1' })).toContain('FERN_YARD_PROXY=127.0.0.1 lets other machines in')
    expect(existsSync(path.join(folder, 'served.lock'))).toBe(false)
  })
  test.runIf(process.getuid?.() !== 0)('in which nothing can be written is refused', () => {
    chmodSync(folder, 0o500)
    expect(asked()).toContain('Nothing can be written')
    chmodSync(folder, 0o700)
  })
  test('whose place is a file is refused with words', () => {
    rmSync(folder, { recursive: true })
    writeFileSync(folder, '')
    expect(asked()).toContain('Nothing can be written')
  })
  test('that has photographs and has lost its database is not begun anew without a word', () => {
    mkdirSync(path.join(folder, 'photos', 'ab'), { recursive: true })
    expect(asked()).toContain('holds photographs but no database')
    expect(asked({ isNew: true })).toBeUndefined()
  })
})

describe('a database', () => {
  test('of a newer version, or of something else, is left alone', async () => {
    await shop()
    expect(asked({ known: steps.slice(0, -1) })).toContain('newer version')
    const before = readFileSync(file)
    expect(readFileSync(file).equals(before)).toBe(true)
    expect(asked()).toBeUndefined()
  })
  test('that is cut off or overwritten is said to be damaged', async () => {
    await shop()
    const whole = readFileSync(file)
    truncateSync(file, whole.length - 8192)
    expect(asked()).toContain('is damaged')
    const scribbled = Buffer.from(whole)
    scribbled.fill(0x5a, 4096 * 3, 4096 * 5)
    writeFileSync(file, scribbled)
    expect(asked()).toContain('is damaged')
    writeFileSync(file, 'no database at all')
    expect(asked()).toContain('is damaged')
  })
})

describe('other machines', () => {
  test('are let in once somebody can sign in, and not before', async () => {
    await shop()
    expect(asked({ host: '0.0.0.0' })).toContain('/shop/staff')
    expect(asked({ host: '192.168.1.5' })).toContain('/shop/staff')
    expect(asked({ host: LOCAL })).toBeUndefined()
    leaveFolder(folder)
    rmSync(file)
    await shop(true)
    expect(asked({ host: '0.0.0.0' })).toBeUndefined()
  })
  test.each([
    ['127.0.0.1', true],
    ['127.9.9.9', true],
    ['::1', true],
    ['localhost', true],
    ['0.0.0.0', false],
    ['::', false],
    ['127.0.0.1.evil.example', false],
    ['192.168.1.1', false],
  ])('%s is this machine alone: %s', (host, isOwn) => {
    expect(isLoopback(host)).toBe(isOwn)
  })
})

test('where owners reach the shop is an address of the web, or nothing', () => {
  for (const good of [undefined, '', 'https://cars.example', 'http://192.0.2.2:3210'])
    expect(wrongPublicUrl(good)).toBeUndefined()
  for (const bad of ['cars.example', 'cars.example:3210', 'javascript://cars.example/x', 'https://'])
    expect(wrongPublicUrl(bad)).toContain(`FERN_YARD_PUBLIC_URL=${bad} is no address`)
})

test('the passphrase of backups can be read, or is not asked for', () => {
  expect(wrongSecret(undefined)).toBeUndefined()
  const secret = path.join(folder, 'secret')
  for (const text of [undefined, '', '\n']) {
    if (text !== undefined) writeFileSync(secret, text)
    expect(wrongSecret(secret)).toContain('cannot be read, or nothing is in it')
  }
  writeFileSync(secret, 'gulls on a wet roof\n')
  expect(wrongSecret(secret)).toBeUndefined()
})

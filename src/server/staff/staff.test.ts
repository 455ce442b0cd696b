import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { ask } from '@/core/asks'
import type { AccountId } from '@/core/ids'
import { DUTIES, type Duty, mayDo, type Role, STAFF_ROLES } from '@/core/staff'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { asked } from '@/text/en/asks'
import { type Caller, OPEN_SHOP, STRANGER } from '../action/caller'
import { perform } from '../action/perform'
import { openDatabase } from '../db/connection'
import { FIRST_REGION } from '../shop/shop-store'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { whoShows } from './caller-now'
import { hashedSecret, isSecret } from './hashed'
import { listDevices } from './paired-devices'
import { listSessions, touchSession } from './sessions'
import { wrongTries } from './tries-store'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const PASSPHRASE = 'candle regatta ferry harbour'
let db: Knex
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
afterEach(() => db.destroy())

const does = (name: string, input: unknown, caller: Caller = OPEN_SHOP, at: Instant = NOW) =>
  perform(db, EVERY_ACTION.get(name)!, { key: randomUUID(), input }, { caller, at })

async function given<Value>(name: string, input: unknown, caller?: Caller, at?: Instant): Promise<Value> {
  const answer = await does(name, input, caller, at)
  if (!answer.ok) throw new Error(`${name}: ${answer.message}`)
  return answer.value as Value
}

const said = (text: Parameters<typeof asked>[1]) => asked(FIRST_REGION, text)
const setUp = () =>
  given<{ token: string }>('staff.set-up', { name: 'Rowan', passphrase: PASSPHRASE, browser: 'test' })
const shows = (session?: string, device?: string, at: Instant = NOW) => whoShows(db, { session, device }, at)
const callerOf = async (session?: string, device?: string, at?: Instant) =>
  (await shows(session, device, at)).caller
const hire = (owner: Caller, name: string, more: object = {}) =>
  given<{ account: AccountId }>(
    'staff.keep',
    { name, role: 'technician', passphrase: '', pin: '4711', ...more },
    owner,
  )
const byPassphrase = (name: string, secret: string, caller: Caller = STRANGER, at?: Instant) =>
  does('staff.sign-in', { name, by: 'passphrase', secret, browser: 'test' }, caller, at)
const byPin = (name: string, secret: string, caller: Caller, at?: Instant) =>
  does('staff.sign-in', { name, by: 'pin', secret, browser: 'test' }, caller, at)

/** A shop with an owner, a device of its own and a technician who has a PIN. */
async function staffed() {
  const { token } = await setUp()
  const owner = await callerOf(token)
  const device = await given<{ id: string; token: string }>('staff.pair-device', { name: 'Tablet' }, owner)
  const { account } = await hire(owner, 'Merle')
  const atTablet: Caller = { ...STRANGER, paired: device.id }
  return { token, owner, device, merle: account, atTablet }
}

describe('a shop in which nobody signs in', () => {
  test('takes whoever is there for its owner, until one is set up', async () => {
    expect((await shows()).isOpen).toBe(true)
    expect((await callerOf()).role).toBe('owner')
    const { token } = await setUp()
    expect((await callerOf()).role).toBe('stranger')
    expect(await callerOf(token)).toMatchObject({ role: 'owner', name: 'Rowan' })
  })
  test('is set up once', async () => {
    await setUp()
    expect(await does('staff.set-up', { name: 'Thief', passphrase: PASSPHRASE, browser: 'x' })).toMatchObject(
      {
        ok: false,
        message: said(ask('set-up-already')),
      },
    )
  })
  test('takes no easy passphrase for its owner', async () => {
    const answer = await does('staff.set-up', { name: 'Rowan', passphrase: 'rowan', browser: 'x' })
    expect(answer).toMatchObject({ code: 'input', field: 'passphrase' })
    expect((await shows()).isOpen).toBe(true)
  })
})

describe('signing in', () => {
  test('needs name and passphrase, and does not say which of them is wrong', async () => {
    await setUp()
    const wrong = said(ask('wrong-sign-in'))
    expect(await byPassphrase('Rowan', 'something else again')).toMatchObject({ ok: false, message: wrong })
    expect(await byPassphrase('Nobody', PASSPHRASE)).toMatchObject({ ok: false, message: wrong })
    expect(await byPassphrase('rowan', PASSPHRASE)).toMatchObject({ ok: true })
  })
  test('by PIN is possible on a device of the shop and nowhere else', async () => {
    const { atTablet } = await staffed()
    expect(await byPin('Merle', '4711', STRANGER)).toMatchObject({
      ok: false,
      message: said(ask('pin-only-here')),
    })
    expect(await byPin('Merle', '4711', atTablet)).toMatchObject({ ok: true })
  })
  test('a session of a device is worth nothing on another, and none once the device is taken away', async () => {
    const { atTablet, device, owner } = await staffed()
    const { token } = await given<{ token: string }>(
      'staff.sign-in',
      { name: 'Merle', by: 'pin', secret: '4711', browser: 'test' },
      atTablet,
    )
    expect(await callerOf(token, device.token)).toMatchObject({
      role: 'technician',
      name: 'Merle',
      paired: device.id,
    })
    expect((await callerOf(token)).role).toBe('stranger')
    await given('staff.unpair-device', { device: device.id }, owner)
    expect(await callerOf(token, device.token)).toEqual(STRANGER)
  })
  test('is paired by a code that is good once, for ten minutes, however it is typed', async () => {
    const { owner, atTablet } = await staffed()
    const offered = () => given<{ code: string }>('staff.offer-pairing', { name: 'Wash bay' }, owner)
    const { code } = await offered()
    const typed = code.replaceAll('0', 'o').replaceAll('1', 'l').toLowerCase()
    const takes = (what: string, at?: Instant) => does('staff.take-pairing', { code: what }, STRANGER, at)
    expect((await takes('')).ok).toBe(false)
    expect((await takes(`${code}0`)).ok).toBe(false)
    const taken = await takes(` ${typed.slice(0, 4)}-${typed.slice(4)} `)
    expect(taken).toMatchObject({ ok: true, value: { name: 'Wash bay' } })
    expect((await listDevices(db)).map(({ name }) => name)).toEqual(['Tablet', 'Wash bay'])
    expect(await takes(code)).toMatchObject({ ok: false, message: said(ask('pairing-code')) })
    const late = await offered()
    expect((await takes(late.code, plusMinutes(NOW, 10))).ok).toBe(false)
    expect((await takes(late.code, plusMinutes(NOW, 9))).ok).toBe(true)
    expect((await does('staff.offer-pairing', { name: 'Mine' }, atTablet)).ok).toBe(false)
  })
  test('takes longer with each wrong try, tells the manager, and is quick again after a right one', async () => {
    const { atTablet } = await staffed()
    for (const pin of ['1111', '2222', '3333']) expect((await byPin('Merle', pin, atTablet)).ok).toBe(false)
    expect(await byPin('Merle', '4711', atTablet)).toMatchObject({
      ok: false,
      message: said(ask('tries-again-in', { seconds: 5 })),
    })
    expect(await wrongTries(db, NOW, 3)).toMatchObject([{ name: 'Merle', count: 3 }])
    const later = plusMinutes(NOW, 1)
    expect((await byPin('Merle', '4711', atTablet, later)).ok).toBe(true)
    expect((await byPin('Merle', '9999', atTablet, later)).ok).toBe(false)
    expect((await byPin('Merle', '4711', atTablet, later)).ok).toBe(true)
  })
  test('a hundred guesses at once are not looked at before the first are counted', async () => {
    const { atTablet } = await staffed()
    const guesses = Array.from({ length: 30 }, (_, at) => byPin('Merle', String(5000 + at), atTablet))
    const answers = await Promise.all(guesses)
    const looked = answers.filter((answer) => !answer.ok && answer.message === said(ask('wrong-pin')))
    expect(looked.length).toBeLessThanOrEqual(3)
  })
  test('ends the session the browser had before', async () => {
    const { owner, token } = await staffed()
    expect(await byPassphrase('Rowan', PASSPHRASE, owner)).toMatchObject({ ok: true })
    expect((await callerOf(token)).role).toBe('stranger')
  })
  test('what was typed stands nowhere, neither as it is nor as a quick hash', async () => {
    const { owner } = await staffed()
    await byPassphrase('Rowan', PASSPHRASE)
    await byPassphrase(PASSPHRASE, 'typed into the wrong field')
    await does('staff.keep-own-secrets', { now: PASSPHRASE, passphrase: '', pin: '2580' }, owner)
    const tables = ['accounts', 'sessions', 'paired_devices', 'sign_in_tries', 'action_journal'] as const
    const all = JSON.stringify(await Promise.all(tables.map((table) => db(table))))
    expect(all).not.toContain(PASSPHRASE)
    expect(all).not.toContain('candleregatta')
    expect(all).not.toMatch(/"(4711|2580)"/)
    const hashes = (await db('action_journal').where('action', 'like', 'staff.%')).map(
      (row) => row.input_hash,
    )
    // The names of the actions that hold a secret all have the hash of nothing.
    expect(new Set(hashes).size).toBeLessThanOrEqual(2)
  })
  test('is entered in the journal under the name of who it was', async () => {
    await setUp()
    await byPassphrase('Rowan', PASSPHRASE)
    const entries = await db('action_journal').orderBy('position').select('action', 'who')
    expect(entries).toEqual([
      { action: 'staff.set-up', who: 'Rowan' },
      { action: 'staff.sign-in', who: 'Rowan' },
    ])
  })
})

describe('a screen', () => {
  test('that was locked has one session again once somebody signs in, whoever it is', async () => {
    const { device } = await staffed()
    const { token } = await given<{ token: string }>(
      'staff.sign-in',
      { name: 'Merle', by: 'pin', secret: '4711', browser: 'test' },
      await callerOf(undefined, device.token),
    )
    const later = plusMinutes(NOW, 31)
    const locked = await callerOf(token, device.token, later)
    expect(locked.role).toBe('stranger')
    expect((await byPin('Merle', '4711', locked, later)).ok).toBe(true)
    expect((await listSessions(db, later)).filter(({ name }) => name === 'Merle')).toHaveLength(1)
  })
  test('is locked when nobody was there for half an hour, and knows whom it waits for', async () => {
    const { token } = await setUp()
    const later = plusMinutes(NOW, 31)
    const { caller, session } = await shows(token, undefined, later)
    expect(caller.role).toBe('stranger')
    expect(session).toMatchObject({ state: 'locked', name: 'Rowan' })
  })
  test('of the shop is known to have been used when somebody was there', async () => {
    const { owner, device } = await staffed()
    const later = plusMinutes(NOW, 5)
    await touchSession(db, { session: owner.session!, paired: device.id }, later)
    expect(await listDevices(db)).toMatchObject([{ seenAt: later }])
    expect(await listSessions(db, later)).toMatchObject([{ usedAt: later }])
    // Within a minute nothing is written again.
    await touchSession(
      db,
      { session: owner.session!, paired: device.id },
      instantOrThrow('2027-01-13T10:25:30Z'),
    )
    expect(await listDevices(db)).toMatchObject([{ seenAt: later }])
  })
  test('is signed out from afar', async () => {
    const { token, owner } = await staffed()
    const [session] = await listSessions(db, NOW)
    await given('staff.end-session', { session: session!.id }, owner)
    expect((await callerOf(token)).role).toBe('stranger')
  })
})

describe('people', () => {
  test('who leave can no longer sign in and are signed out; the last owner cannot leave', async () => {
    const { owner, merle, atTablet, device } = await staffed()
    const { token } = await given<{ token: string }>(
      'staff.sign-in',
      { name: 'Merle', by: 'pin', secret: '4711', browser: 'test' },
      atTablet,
    )
    await given('staff.close', { account: merle }, owner)
    expect((await callerOf(token, device.token)).role).toBe('stranger')
    expect((await byPin('Merle', '4711', atTablet)).ok).toBe(false)
    expect(await does('staff.close', { account: owner.account }, OPEN_SHOP)).toMatchObject({
      message: said(ask('last-owner')),
    })
    expect(
      await does(
        'staff.keep',
        { account: owner.account, name: 'Rowan', role: 'manager', passphrase: '', pin: '' },
        owner,
      ),
    ).toMatchObject({ field: 'role' })
  })
  test('whose PIN is changed are signed out where they were', async () => {
    const { owner, merle, atTablet, device } = await staffed()
    const { token } = await given<{ token: string }>(
      'staff.sign-in',
      { name: 'Merle', by: 'pin', secret: '4711', browser: 'test' },
      atTablet,
    )
    await hire(owner, 'Merle', { account: merle, pin: '8062' })
    expect((await callerOf(token, device.token)).role).toBe('stranger')
    expect((await byPin('Merle', '8062', atTablet)).ok).toBe(true)
  })
  test('change their own passphrase with the one that holds now', async () => {
    const { owner } = await staffed()
    const next = 'another row of plain words'
    expect(
      await does('staff.keep-own-secrets', { now: 'not it at all, sorry', passphrase: next, pin: '' }, owner),
    ).toMatchObject({ field: 'now' })
    await given('staff.keep-own-secrets', { now: PASSPHRASE, passphrase: next, pin: '' }, owner)
    expect((await byPassphrase('Rowan', next)).ok).toBe(true)
    expect((await byPassphrase('Rowan', PASSPHRASE)).ok).toBe(false)
  })
  test('have names of their own', async () => {
    const { owner } = await staffed()
    expect(
      await does('staff.keep', { name: 'mérle', role: 'counter', passphrase: '', pin: '' }, owner),
    ).toMatchObject({ field: 'name' })
  })
})

test('who may what: every action of the shop, asked by everybody', async () => {
  const roles: Role[] = [...STAFF_ROLES, 'customer', 'stranger']
  expect(EVERY_ACTION.size).toBeGreaterThan(100)
  for (const [name, definition] of EVERY_ACTION) {
    expect(DUTIES[definition.who as Duty], name).toBeDefined()
    for (const role of roles) {
      // Without a key nothing is ever done; whoever may not is told so before that.
      const answer = await perform(db, definition, { input: null }, { caller: { role }, at: NOW })
      expect(answer.ok).toBe(false)
      expect(!answer.ok && answer.code === 'not-for-you', `${role} ${name}`).toBe(
        !mayDo(role, definition.who),
      )
    }
  }
  const names = (role: Role) =>
    [...EVERY_ACTION].filter(([, { who }]) => mayDo(role, who)).map(([name]) => name)
  expect(names('stranger').sort()).toEqual(['staff.sign-in', 'staff.sign-out', 'staff.take-pairing'])
  for (const name of names('technician'))
    expect(name).not.toMatch(/price|payment|quote|messages|keep-crew|learning|what-if|hand-over|link/)
  for (const name of names('counter'))
    expect(name).not.toMatch(/keep-crew|keep-prices|learning|staff\.(keep|close)$/)
})

test('a secret is kept so that each time it looks another way, and only it is right', async () => {
  const [one, other] = [await hashedSecret('4711'), await hashedSecret('4711')]
  expect(one).not.toBe(other)
  expect(await isSecret('4711', one)).toBe(true)
  expect(await isSecret('4712', one)).toBe(false)
  expect(await isSecret('4711', null)).toBe(false)
  expect(await isSecret('', undefined)).toBe(false)
})

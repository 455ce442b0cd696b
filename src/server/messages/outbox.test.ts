import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import type { CustomerId, VehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { tries } from '@/core/long.fixture'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { type MessageGateway, SimulatedGateway } from '@/devices/message-gateway'
import { openDatabase } from '../db/connection'
import { findJob, takeIn } from '../floor/job-store'
import type { DyingPoint } from './kill-outbox.fixture'
import {
  knownKeys,
  listMessages,
  markRead,
  messagesOfVehicle,
  queueMessage,
  skipMessage,
  unreadReplies,
  withdrawMessage,
} from './message-store'
import { emptyOutbox, sendDue, takeNews } from './outbox'

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const ROOT = path.resolve(import.meta.dirname, '../../..')
let folder: string
let db: Knex
let owner: { customerId: CustomerId; vehicleId: VehicleId }
const file = (name: string) => path.join(folder, name)

beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-outbox-'))
  db = await openDatabase(file('shop.db'))
  const intake = {
    ...emptyIntake('2027-01-13'),
    customerName: 'Ita Whelk',
    email: 'ita@inchmoyle.example',
    mayRemind: true,
    plate: 'IM 1',
    make: 'Marl',
    model: 'Puffin',
    colour: 'Slate',
    wishes: 'Clean.',
  }
  const job = (await findJob(db, await takeIn(db, intake, NOW, NOW)))!
  owner = { customerId: job.customer.id, vehicleId: job.vehicle.id }
})
afterEach(async () => {
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
})

const queue = (key: string, notBefore: Instant = NOW, occasion: 'curing' | 'visit-due' = 'curing') =>
  queueMessage(
    db,
    {
      ...owner,
      key,
      occasion,
      language: 'en',
      channel: 'email',
      address: `${key}@inchmoyle.example`,
      subject: 'Your car',
      text: `About ${key}`,
      notBefore,
    },
    NOW,
  )

describe('the queue', () => {
  test('takes one message of a key, however often one asks, and never one again that was withdrawn', async () => {
    expect(await queue('a')).toBe(true)
    expect(await queue('a')).toBe(false)
    const [message] = (await listMessages(db, ['waiting'])).messages
    expect(await withdrawMessage(db, message!.id)).toBe(true)
    expect(await queue('a')).toBe(false)
    await skipMessage(db, 'b', NOW)
    expect(await knownKeys(db, ['a', 'b', 'c'])).toEqual(new Set(['a', 'b']))
  })
  test('sends what is due and leaves the rest, each once', async () => {
    const gateway = new SimulatedGateway(file('gateway.db'))
    await queue('now')
    await queue('later', plusMinutes(NOW, 600))
    expect(await sendDue(db, gateway, NOW)).toBe(1)
    expect(await sendDue(db, gateway, plusMinutes(NOW, 1))).toBe(0)
    expect(gateway.taken().map(({ text }) => text)).toEqual(['About now'])
    expect(await sendDue(db, gateway, plusMinutes(NOW, 601))).toBe(1)
    expect(gateway.taken()).toHaveLength(2)
    gateway.close()
  })
  test('a reminder whose consent was withdrawn meanwhile is not sent; word about the work is', async () => {
    const gateway = new SimulatedGateway(file('gateway.db'))
    await queue('reminder', NOW, 'visit-due')
    await queue('word')
    await db('customers').update({ may_remind: 0 })
    expect(await sendDue(db, gateway, NOW)).toBe(1)
    expect(gateway.taken().map(({ text }) => text)).toEqual(['About word'])
    expect((await listMessages(db, ['withdrawn'])).messages[0]!.lastError).toContain('Consent')
    gateway.close()
  })
  test('what cannot be sent is tried again, ever more patiently, and given up by name', async () => {
    const dead: MessageGateway = {
      send: async () => {
        throw new Error('no line')
      },
      news: async () => [],
    }
    await queue('stuck')
    let at = NOW
    const waits: number[] = []
    for (let tries = 0; tries < 20; tries++) {
      await sendDue(db, dead, at)
      const [message] = (await listMessages(db, ['waiting'])).messages
      if (!message) break
      waits.push((Date.parse(message.notBefore) - Date.parse(at)) / 60_000)
      at = message.notBefore
    }
    expect(waits).toEqual([2, 4, 8, 16, 32, 64, 128])
    expect((await listMessages(db, ['failed'])).messages[0]).toMatchObject({
      lastError: 'no line',
      attempts: 8,
    })
  })
  test('what became of it is written once, an answer is to be read, and one that says stop ends the consent', async () => {
    await queue('asked')
    const gateway: MessageGateway = {
      send: async ({ key }) => ({ id: `g-${key}` }),
      news: async ([id]) => [
        { id: id!, kind: 'delivered', words: '', at: plusMinutes(NOW, 1) },
        { id: id!, kind: 'replied', words: 'Stop please', at: plusMinutes(NOW, 2) },
      ],
    }
    await sendDue(db, gateway, NOW)
    expect(await takeNews(db, gateway, plusMinutes(NOW, 5))).toBe(2)
    expect(await takeNews(db, gateway, plusMinutes(NOW, 6))).toBe(0)
    expect((await db('customers').first())!.may_remind).toBe(0)
    const [unread] = await unreadReplies(db)
    expect(unread!.events.map(({ kind }) => kind)).toEqual(['delivered', 'replied'])
    await markRead(db, unread!.id, NOW)
    expect(await unreadReplies(db)).toEqual([])
    expect(await messagesOfVehicle(db, owner.vehicleId)).toHaveLength(1)
  })
})

describe('a round of the postman', () => {
  const hours = { zone: 'Europe/Dublin', quiet: { from: '20:00', until: '08:00', sundays: true } }
  const at = (text: string) => instantOrThrow(`2027-01-${text}:00Z`)
  test('sends nothing in the quiet hours or on a Sunday, though it was queued for the day', async () => {
    const gateway = new SimulatedGateway(file('gateway.db'))
    await queue('a')
    for (const [quiet, until] of [
      ['13T20:00', '14T08:00'],
      ['14T07:59', '14T08:00'],
      // Saturday night leads over Sunday to Monday.
      ['16T23:00', '18T08:00'],
      ['17T12:00', '18T08:00'],
    ] as const)
      expect(await emptyOutbox(db, gateway, hours, at(quiet))).toEqual({ sent: 0, quietUntil: at(until) })
    expect(gateway.taken()).toEqual([])
    expect(await emptyOutbox(db, gateway, hours, at('18T08:00'))).toEqual({ sent: 1 })
    gateway.close()
  })
  test('asks in the quiet hours, too, what became of what was sent', async () => {
    await queue('a')
    const gateway: MessageGateway = {
      send: async ({ key }) => ({ id: `g-${key}` }),
      news: async ([id]) => [{ id: id!, kind: 'replied', words: 'Thanks', at: at('13T21:00') }],
    }
    await emptyOutbox(db, gateway, hours, at('13T12:00'))
    await emptyOutbox(db, gateway, hours, at('13T22:00'))
    expect(await unreadReplies(db)).toHaveLength(1)
  })
  test('a line that breaks in the evening does not lead to a message at night', async () => {
    let broken = true
    const box: string[] = []
    const gateway: MessageGateway = {
      send: async ({ key, text }) => {
        if (broken) throw new Error('no line')
        box.push(text)
        return { id: `g-${key}` }
      },
      news: async () => [],
    }
    await queue('late', at('13T19:55'))
    const sentAt: string[] = []
    for (let minute = 0; minute < 16 * 60; minute += 5) {
      const now = plusMinutes(at('13T19:55'), minute)
      if (minute === 30) broken = false
      if ((await emptyOutbox(db, gateway, hours, now)).sent > 0) sentAt.push(now)
    }
    expect(sentAt).toEqual([at('14T08:00')])
    expect(box).toEqual(['About late'])
  })
})

test('two outboxes at once send nothing twice', async () => {
  const other = await openDatabase(file('shop.db'))
  const gateway = new SimulatedGateway(file('gateway.db'))
  for (let at = 0; at < 40; at++) await queue(`m${at}`)
  await Promise.all([sendDue(db, gateway, NOW), sendDue(other, gateway, NOW)])
  expect(gateway.taken()).toHaveLength(40)
  expect(new Set(gateway.taken().map(({ text }) => text)).size).toBe(40)
  await other.destroy()
  gateway.close()
})

/** Runs a process that sends and dies at its n-th message. Gives the signal it died of, null where it ended by itself. */
function sendUntilKilled(at: Instant, nth: number, point: DyingPoint): Promise<NodeJS.Signals | null> {
  return new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [
        '--import',
        'tsx',
        'src/server/messages/kill-outbox.fixture.ts',
        file('shop.db'),
        file('gateway.db'),
        at,
        `${nth}`,
        point,
      ],
      { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] },
    )
    child.once('error', reject)
    child.once('close', (_code, signal) => resolve(signal))
  })
}

test('killed in the midst of sending over a line that breaks, it sends every message, and none twice', async () => {
  const COUNT = tries(60, 200)
  for (let at = 0; at < COUNT; at++) await queue(`m${at}`)
  await db.destroy()
  let at = NOW
  const deaths: [number, DyingPoint][] = [
    [1, 'claimed'],
    [1, 'handed-over'],
    [9, 'handed-over'],
    [13, 'claimed'],
    [17, 'handed-over'],
  ]
  for (const [nth, point] of deaths) {
    expect(await sendUntilKilled(at, nth, point)).toBe('SIGKILL')
    at = plusMinutes(at, 5)
  }
  db = await openDatabase(file('shop.db'))
  expect(await db.raw('PRAGMA integrity_check')).toEqual([{ integrity_check: 'ok' }])
  const gateway = new SimulatedGateway(file('gateway.db'))
  for (let round = 0; round < 20; round++) {
    await sendDue(db, gateway, at, 10_000)
    at = plusMinutes(at, 300)
  }
  const texts = gateway.taken().map(({ text }) => text)
  expect(texts).toHaveLength(COUNT)
  expect(new Set(texts).size).toBe(COUNT)
  expect(await db('messages').whereNot('state', 'sent')).toEqual([])
  // What the shop believes was sent is what the carrier has.
  const ids = new Set((await db('messages').pluck('gateway_id')) as string[])
  expect(ids).toEqual(new Set(gateway.taken().map(({ id }) => id)))
  gateway.close()
})

import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { SimulatedGateway } from '@/devices/message-gateway'
import { type Caller, OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { MIGRATIONS, migrate } from '../db/migrations'
import { vehicleOfLink } from '../links/owner-links'
import { EVERY_ACTION } from '../trials/every-action.fixture'
import { sendDue, takeNews } from './outbox'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)
const TOKEN = /\/o\/([\w-]{24})/

async function writeTo(vehicleId: string, caller: Caller) {
  const message = {
    id: randomUUID(),
    vehicleId,
    occasion: 'words',
    subject: 'Your car',
    text: 'Everything about it: {page}',
  }
  return perform(
    shop.db,
    EVERY_ACTION.get('messages.write-to-owner')!,
    { key: randomUUID(), input: message },
    { caller, at: NOW },
  )
}

async function somebodyToWriteTo() {
  const row = await shop
    .db('vehicles')
    .join('customers', 'customers.id', 'vehicles.customer_id')
    .whereNot('customers.email', '')
    .first('vehicles.id')
  return row!.id as string
}

test('a message holds no key to a page, before it is handed over or after; its owner gets one that works', async () => {
  const vehicle = await somebodyToWriteTo()
  const answer = await writeTo(vehicle, { ...OPEN_SHOP, address: 'https://cars.shop.example' })
  expect(answer).toMatchObject({ ok: true })
  const gateway = new SimulatedGateway(path.join(shop.folder, 'letters.db'))
  expect(JSON.stringify(await shop.db('messages'))).not.toMatch(TOKEN)
  expect(await sendDue(shop.db, gateway, NOW)).toBeGreaterThan(0)
  const letter = gateway.taken().find(({ text }) => text.startsWith('Everything about it'))!
  expect(letter.text).toMatch(/^Everything about it: https:\/\/cars\.shop\.example\/o\/[\w-]{24}$/)
  expect((await vehicleOfLink(shop.db, TOKEN.exec(letter.text)![1]!, NOW))?.vehicleId).toBe(vehicle)
  const tables = ['messages', 'action_journal', 'owner_links'] as const
  for (const table of tables)
    expect(JSON.stringify(await shop.db(table))).not.toContain(TOKEN.exec(letter.text)![1])
  await takeNews(shop.db, gateway, plusMinutes(NOW, 5))
  expect(gateway.taken().find(({ id }) => id === letter.id)!.text).toBe('')
  gateway.close()
})

test('where nobody has said how owners reach the shop, no message leads anywhere a request would like', async () => {
  const before = (await shop.db('messages')).length
  expect(await writeTo(await somebodyToWriteTo(), OPEN_SHOP)).toMatchObject({ ok: false, code: 'rule' })
  expect(await shop.db('messages')).toHaveLength(before)
})

test('0045 takes the keys out of messages written before it, and leaves the others as they are', async () => {
  const old = connect(path.join(shop.folder, 'old-messages.db'))
  const at = MIGRATIONS.findIndex(({ name }) => name.startsWith('0045'))
  await migrate(old, MIGRATIONS.slice(0, at))
  await old.raw('PRAGMA foreign_keys = OFF')
  for (const [id, text] of [
    ['m1', 'Look: https://a.example/o/ABCDEFGHIJKLMNOPQRSTUVWX. Bye'],
    ['m2', 'No page at all.'],
  ])
    await old.raw(
      `INSERT INTO messages (id, key, customer_id, vehicle_id, occasion, language, channel, address, subject, text, state, not_before, made_at)
       VALUES (?, ?, 'c', 'v', 'words', 'en', 'email', 'a@b.example', 's', ?, 'waiting', ?, ?)`,
      [id!, id!, text!, NOW, NOW],
    )
  await migrate(old, MIGRATIONS)
  const texts = await old('messages').orderBy('id').select('text')
  expect(texts.map(({ text }) => text)).toEqual(['Look: https://a.example/o/{page}. Bye', 'No page at all.'])
  await old.destroy()
})

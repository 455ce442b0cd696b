import type { Knex } from 'knex'
import type { VehicleId } from '@/core/ids'
import { asksToStop, type Message, nextLoud, OCCASION, type QuietHours } from '@/core/messages'
import { type Instant, plusMinutes } from '@/core/time'
import type { MessageGateway } from '@/devices/message-gateway'
import { CONSENT_WITHDRAWN } from '@/text/en/messages'
import type { MessagesRow } from '../db/tables'
import { makeOwnerLink } from '../links/owner-links'
import { noteConsent } from '../people/consents'
import { toMessage } from './message-store'
import { PAGE_DAYS, PAGE_TO_COME } from './owner-page'

/**
 * The way out. A message is claimed before it is handed over and marked as sent after, and it is handed over with its own id
 * as the key: whatever dies in between, it is handed over again with that key, and the gateway takes it once.
 */

/** A claim that is older than this was left behind by a process that died, minutes (mem). */
const CLAIM_MINUTES = 2
const TRIES_MOST = 8
/** Waits between two tries grow from one minute to a few hours. */
const backOffMinutes = (attempts: number) => Math.min(240, 2 ** attempts)

async function claim(db: Knex, now: Instant): Promise<Message | undefined> {
  const rows: MessagesRow[] = await db('messages')
    .whereIn('id', (next) =>
      next
        .select('id')
        .from('messages')
        .where((either) =>
          either
            .where((waiting) => waiting.where('state', 'waiting').where('not_before', '<=', now))
            .orWhere((left) =>
              left.where('state', 'sending').where('claimed_at', '<=', plusMinutes(now, -CLAIM_MINUTES)),
            ),
        )
        .orderBy(['not_before', 'id'])
        .limit(1),
    )
    .update({ state: 'sending', claimed_at: now, attempts: db.raw('attempts + 1') })
    .returning('*')
  return rows[0] && toMessage(rows[0])
}

/** Consent may have been withdrawn since the message was written. */
async function mayStillSend(db: Knex, { occasion, customerId }: Message): Promise<boolean> {
  if (!OCCASION[occasion].needsConsent) return true
  const customer = await db('customers').where({ id: customerId }).first('may_remind')
  return customer?.may_remind === 1
}

/**
 * The words as they are handed over: with a page of its own for the owner where they lead to one. Tried again it is another page: of two the
 * carrier may have taken the first, so that both are good.
 */
async function withPage(db: Knex, vehicleId: VehicleId, text: string, now: Instant): Promise<string> {
  if (!text.includes(PAGE_TO_COME)) return text
  const token = await makeOwnerLink(db, vehicleId, now, plusMinutes(now, PAGE_DAYS * 1440))
  return text.replaceAll(PAGE_TO_COME, token ?? '')
}

async function deliver(db: Knex, gateway: MessageGateway, message: Message, now: Instant): Promise<boolean> {
  const own = db('messages').where({ id: message.id, state: 'sending' })
  if (!(await mayStillSend(db, message))) {
    await own.update({ state: 'withdrawn', last_error: CONSENT_WITHDRAWN })
    return false
  }
  try {
    const { channel, address, subject, text } = message
    const sent = await withPage(db, message.vehicleId, text, now)
    const { id } = await gateway.send({ key: message.id, channel, address, subject, text: sent }, now)
    await own.update({ state: 'sent', sent_at: now, gateway_id: id, last_error: '' })
    return true
  } catch (error) {
    const failed = message.attempts >= TRIES_MOST
    await db('messages')
      .where({ id: message.id, state: 'sending' })
      .update({
        state: failed ? 'failed' : 'waiting',
        not_before: plusMinutes(now, backOffMinutes(message.attempts)),
        last_error: error instanceof Error ? error.message : String(error),
      })
    return false
  }
}

/** Sends what is due, one after the other. Gives how many were sent. */
export async function sendDue(db: Knex, gateway: MessageGateway, now: Instant, most = 200): Promise<number> {
  let sent = 0
  for (let at = 0; at < most; at++) {
    const message = await claim(db, now)
    if (!message) break
    if (await deliver(db, gateway, message, now)) sent++
  }
  return sent
}

/** When one may write, on the shop's clock. */
export type Hours = { zone: string; quiet: QuietHours }

/**
 * One round of the postman: sends what is due, unless the hours are quiet, and asks after what was sent. What was queued for
 * the day and comes late, because a line broke or the shop's machine was off, waits for the morning like the rest.
 */
export async function emptyOutbox(
  db: Knex,
  gateway: MessageGateway,
  { zone, quiet }: Hours,
  now: Instant,
): Promise<{ sent: number; quietUntil?: Instant }> {
  const loud = nextLoud(zone, now, quiet)
  const sent = loud > now ? 0 : await sendDue(db, gateway, now)
  await takeNews(db, gateway, now)
  return { sent, ...(loud > now ? { quietUntil: loud } : {}) }
}

/** Nothing more is heard of a message after so long, days (mem). */
const NEWS_DAYS = 14

/** Asks what became of messages that were sent lately. An answer that asks to be left alone ends the consent. */
export async function takeNews(db: Knex, gateway: MessageGateway, now: Instant): Promise<number> {
  const rows: MessagesRow[] = await db('messages')
    .where({ state: 'sent' })
    .where('sent_at', '>', plusMinutes(now, -NEWS_DAYS * 1440))
  const byGateway = new Map(rows.map((row) => [row.gateway_id!, toMessage(row)]))
  const news = await gateway.news([...byGateway.keys()], now)
  let written = 0
  for (const { id, kind, words, at } of news) {
    const message = byGateway.get(id)!
    const fresh = await db('message_events')
      .insert({ message_id: message.id, kind, words, at })
      .onConflict(['message_id', 'kind'])
      .ignore()
      .returning('message_id')
    if (fresh.length === 0) continue
    written++
    if (kind === 'replied' && asksToStop(words)) {
      await db('customers').where({ id: message.customerId }).update({ may_remind: 0 })
      await noteConsent(db, message.customerId, { given: false, channel: 'message', by: '' }, at)
    }
  }
  return written
}

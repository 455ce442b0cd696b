import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { LANGUAGES, type Language } from '@/core/customer'
import { type MessageId, toMessageId, type VehicleId } from '@/core/ids'
import {
  type Message,
  type MessageEvent,
  type MessageState,
  OCCASIONS,
  type Occasion,
  type Template,
} from '@/core/messages'
import { type Instant, instantOrThrow } from '@/core/time'
import { standardText } from '@/text/messages'
import { oneOf } from '../db/one-of'
import type { MessagesRow } from '../db/tables'

/** Messages as they are kept: written once, and what became of them. */

export const toMessage = (row: MessagesRow, events: MessageEvent[] = []): Message => ({
  id: row.id,
  key: row.key,
  customerId: row.customer_id,
  vehicleId: row.vehicle_id,
  occasion: oneOf(OCCASIONS, row.occasion),
  language: oneOf(LANGUAGES, row.language),
  channel: row.channel,
  address: row.address,
  subject: row.subject,
  text: row.text,
  madeAt: instantOrThrow(row.made_at),
  notBefore: instantOrThrow(row.not_before),
  state: row.state,
  attempts: row.attempts,
  lastError: row.last_error,
  ...(row.sent_at ? { sentAt: instantOrThrow(row.sent_at) } : {}),
  ...(row.gateway_id ? { gatewayId: row.gateway_id } : {}),
  events,
})

export type NewMessage = Pick<
  Message,
  'key' | 'customerId' | 'vehicleId' | 'occasion' | 'language' | 'channel' | 'address' | 'subject' | 'text'
> & { notBefore: Instant }

/** Puts a message into the queue. False where one with its key is there already, in whatever state. */
export async function queueMessage(db: Knex, message: NewMessage, now: Instant): Promise<boolean> {
  const written = await db('messages')
    .insert({
      id: toMessageId(randomUUID()),
      key: message.key,
      customer_id: message.customerId,
      vehicle_id: message.vehicleId,
      occasion: message.occasion,
      language: message.language,
      channel: message.channel,
      address: message.address,
      subject: message.subject,
      text: message.text,
      made_at: now,
      not_before: message.notBefore,
      state: 'waiting',
    })
    .onConflict('key')
    .ignore()
    .returning('id')
  return written.length > 0
}

async function withEvents(db: Knex, rows: readonly MessagesRow[]): Promise<Message[]> {
  const events = await db('message_events')
    .whereIn(
      'message_id',
      rows.map(({ id }) => id),
    )
    .orderBy('at')
  return rows.map((row) =>
    toMessage(
      row,
      events
        .filter(({ message_id }) => message_id === row.id)
        .map(({ kind, words, at, read_at }) => ({
          kind,
          words,
          at: instantOrThrow(at),
          ...(read_at ? { readAt: instantOrThrow(read_at) } : {}),
        })),
    ),
  )
}

export const MESSAGE_PAGE = 40

/** A page of messages in these states, the latest first. */
export async function listMessages(
  db: Knex,
  states: readonly MessageState[],
  page = 0,
): Promise<{ messages: Message[]; more: boolean }> {
  const rows: MessagesRow[] = await db('messages')
    .whereIn('state', states)
    .orderByRaw('coalesce(sent_at, not_before) DESC, id')
    .limit(MESSAGE_PAGE + 1)
    .offset(page * MESSAGE_PAGE)
  return { messages: await withEvents(db, rows.slice(0, MESSAGE_PAGE)), more: rows.length > MESSAGE_PAGE }
}

export async function messagesOfVehicle(db: Knex, vehicleId: VehicleId): Promise<Message[]> {
  return withEvents(db, await db('messages').where({ vehicle_id: vehicleId }).orderBy('made_at'))
}

/** Messages whose answer nobody has read yet. */
export async function unreadReplies(db: Knex): Promise<Message[]> {
  const rows: MessagesRow[] = await db('messages')
    .join('message_events', 'message_events.message_id', 'messages.id')
    .where('message_events.kind', 'replied')
    .whereNull('message_events.read_at')
    .orderBy('message_events.at')
    .limit(MESSAGE_PAGE)
    .select('messages.*')
  return withEvents(db, rows)
}

export async function markRead(db: Knex, messageId: MessageId, at: Instant): Promise<void> {
  await db('message_events').where({ message_id: messageId, kind: 'replied' }).update({ read_at: at })
}

/** Takes a message out of the queue; one that is under way or sent stays as it is. */
export async function withdrawMessage(db: Knex, id: MessageId): Promise<boolean> {
  return (await db('messages').where({ id, state: 'waiting' }).update({ state: 'withdrawn' })) > 0
}

/** A proposal that is not to be made again. */
export async function skipMessage(db: Knex, key: string, at: Instant): Promise<void> {
  await db('skipped_messages').insert({ key, at }).onConflict('key').ignore()
}

/** Of these keys, those that were written or skipped already. */
export async function knownKeys(db: Knex, keys: readonly string[]): Promise<Set<string>> {
  const known = new Set<string>()
  for (let from = 0; from < keys.length; from += 500) {
    const some = keys.slice(from, from + 500)
    for (const table of ['messages', 'skipped_messages'] as const)
      for (const { key } of await db(table).whereIn('key', some).select('key')) known.add(key)
  }
  return known
}

/** The words of every occasion in every language: the shop's own, or those that ship with it. Read once, however many are written out. */
export async function loadTemplates(
  db: Knex,
): Promise<(occasion: Occasion, language: Language) => Template & { own: boolean }> {
  const rows: { occasion: string; language: string; subject: string; text: string }[] = await db('templates')
  return (occasion, language) => {
    const row = rows.find((each) => each.occasion === occasion && each.language === language)
    return row
      ? { subject: row.subject, text: row.text, own: true }
      : { ...standardText(occasion, language), own: false }
  }
}

/** Keeps the shop's own words, or goes back to those that ship with it. */
export async function saveTemplate(
  db: Knex,
  occasion: Occasion,
  language: Language,
  template: Template | undefined,
): Promise<void> {
  if (!template) await db('templates').where({ occasion, language }).delete()
  else
    await db('templates')
      .insert({ occasion, language, ...template })
      .onConflict(['occasion', 'language'])
      .merge()
}

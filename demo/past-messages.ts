import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Language } from '@/core/customer'
import type { Job } from '@/core/job'
import { type DueMessage, fillIn } from '@/core/messages'
import type { Region } from '@/core/region'
import type { Random } from '@/core/schedule'
import { type Instant, plusMinutes } from '@/core/time'
import type { MessageEventsRow } from '@/server/db/tables'
import { dueFacts, standardText } from '@/text/messages'
import { toMessageId } from '../src/core/ids'
import { pick } from './past-cars'

/** Messages of the past with what became of them: most arrived, a few found nobody, some were answered and read. */

const ANSWERS: Record<Language, readonly string[]> = {
  en: ['Thank you, will do.', 'It beads like mad.', 'Dry so far, thanks.', 'We will come on the Tuesday.'],
  fr: ['Merci, ce sera fait.', 'Nous viendrons mardi.'],
  de: ['Danke, machen wir.', 'Wir kommen am Dienstag.'],
}
const BOUNCED = 0.04
const ANSWERED = 0.15

export async function sayThen(
  db: Knex,
  { customer, vehicle }: Pick<Job, 'customer' | 'vehicle'>,
  { occasion, key, at, facts }: Pick<DueMessage, 'occasion' | 'key' | 'facts'> & { at: Instant },
  region: Region,
  random: Random,
): Promise<void> {
  const text = fillIn(standardText(occasion, customer.language), {
    name: customer.name,
    car: `${vehicle.make} ${vehicle.model}`,
    shop: 'Fern Yard',
    ...dueFacts(region, customer.language, { occasion, facts }),
  })
  if (!text.ok) throw new Error(`a text of the past lacks {${text.error.name}}`)
  const id = toMessageId(randomUUID())
  await db('messages').insert({
    id,
    key,
    customer_id: customer.id,
    vehicle_id: vehicle.id,
    occasion,
    language: customer.language,
    channel: 'email',
    address: customer.email,
    ...text.value,
    made_at: at,
    not_before: at,
    state: 'sent',
    attempts: 1,
    sent_at: at,
    gateway_id: `past-${id}`,
  })
  const event = (kind: MessageEventsRow['kind'], words: string, minutes: number) => ({
    message_id: id,
    kind,
    words,
    at: plusMinutes(at, minutes),
    read_at: plusMinutes(at, minutes + 60),
  })
  if (random() < BOUNCED)
    return void (await db('message_events').insert(event('bounced', 'No such address.', 1)))
  await db('message_events').insert(event('delivered', '', 1))
  if (random() < ANSWERED)
    await db('message_events').insert(event('replied', pick(random, ANSWERS[customer.language]), 95))
}

import type { Knex } from 'knex'
import type { CustomerId } from '@/core/ids'
import type { Consent } from '@/core/people'
import { type Instant, instantOrThrow } from '@/core/time'
import { CONSENT_WORDING } from '@/text/en/people'

/** What a customer agreed to, when, in which words and how they said so. */

/** Notes that a customer may be reminded, or may not any more; nothing where that stands there already. */
export async function noteConsent(
  trx: Knex,
  customer: CustomerId,
  { given, channel, by }: Pick<Consent, 'given' | 'channel' | 'by'>,
  at: Instant,
): Promise<void> {
  const last = await trx('consents').where({ customer_id: customer }).orderBy('id', 'desc').first('given')
  if ((last?.given ?? 0) === (given ? 1 : 0)) return
  await trx('consents').insert({
    customer_id: customer,
    at,
    given: given ? 1 : 0,
    channel,
    wording: CONSENT_WORDING,
    noted_by: by,
  })
}

/** The latest first. */
export async function consentsOf(db: Knex, customer: CustomerId): Promise<Consent[]> {
  const rows = await db('consents').where({ customer_id: customer }).orderBy('id', 'desc')
  return rows.map((row) => ({
    at: instantOrThrow(row.at),
    given: row.given === 1,
    channel: row.channel,
    wording: row.wording,
    by: row.noted_by,
  }))
}

import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Payment, PaymentWay, Verdict } from '@/core/handover'
import type { Instant } from '@/core/time'

/** What is written down as a car goes home: the last look, the money, the links its owner was given. */

export async function listVerdicts(db: Knex, jobId: string): Promise<Verdict[]> {
  const rows = await db('inspections').where({ job_id: jobId })
  return rows.map((row) => ({
    item: row.item,
    verdict: row.verdict,
    note: row.note,
    ...(row.cleared_percent === null ? {} : { clearedPercent: row.cleared_percent }),
    ...(row.sent_to === null ? {} : { sentTo: row.sent_to }),
    by: row.by_person,
    at: row.at,
  }))
}

/** Keeps what somebody saw; looked at again, the later look stands. */
export async function writeVerdict(db: Knex, jobId: string, verdict: Verdict): Promise<void> {
  await db('inspections')
    .insert({
      job_id: jobId,
      item: verdict.item,
      verdict: verdict.verdict,
      note: verdict.note,
      cleared_percent: verdict.clearedPercent ?? null,
      sent_to: verdict.sentTo ?? null,
      by_person: verdict.by,
      at: verdict.at,
    })
    .onConflict(['job_id', 'item'])
    .merge()
}

export async function listPayments(db: Knex, jobId: string): Promise<Payment[]> {
  const rows = await db('payments').where({ job_id: jobId }).orderBy('at')
  return rows.map((row) => ({
    id: row.id,
    cents: row.cents,
    way: row.way as PaymentWay,
    note: row.note,
    at: row.at,
    ...(row.taken_back_at ? { takenBackAt: row.taken_back_at } : {}),
  }))
}

export async function addPayment(
  db: Knex,
  jobId: string,
  payment: Pick<Payment, 'cents' | 'way' | 'note' | 'at'>,
): Promise<void> {
  await db('payments').insert({ id: randomUUID(), job_id: jobId, ...payment })
}

/** A payment written down by mistake stays in the book, crossed out. */
export async function takePaymentBack(db: Knex, id: string, at: Instant): Promise<void> {
  await db('payments').where({ id }).whereNull('taken_back_at').update({ taken_back_at: at })
}

export type PrivateLink = { hash: string; madeAt: Instant; expiresAt: Instant; revokedAt?: Instant }

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/** Makes a link; only its hash is kept, so the database gives none away. Returns what goes into the address. */
export async function makeLink(
  db: Knex,
  jobId: string,
  madeAt: Instant,
  expiresAt: Instant,
): Promise<string> {
  const token = randomBytes(18).toString('base64url')
  await db('private_links').insert({
    token_hash: hashOf(token),
    job_id: jobId,
    made_at: madeAt,
    expires_at: expiresAt,
  })
  return token
}

export async function listLinks(db: Knex, jobId: string): Promise<PrivateLink[]> {
  const rows = await db('private_links').where({ job_id: jobId }).orderBy('made_at')
  return rows.map((row) => ({
    hash: row.token_hash,
    madeAt: row.made_at,
    expiresAt: row.expires_at,
    ...(row.revoked_at ? { revokedAt: row.revoked_at } : {}),
  }))
}

export async function revokeLink(db: Knex, hash: string, at: Instant): Promise<void> {
  await db('private_links').where({ token_hash: hash }).whereNull('revoked_at').update({ revoked_at: at })
}

/** The job a link leads to now; nothing for one that is unknown, revoked or expired. */
export async function jobOfLink(db: Knex, token: string, now: Instant): Promise<string | undefined> {
  const row = await db('private_links')
    .where({ token_hash: hashOf(token) })
    .whereNull('revoked_at')
    .where('expires_at', '>', now)
    .first()
  return row?.job_id
}

import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { LetGo, Payment, Verdict } from '@/core/handover'
import type { JobId } from '@/core/ids'
import { signatureSchema } from '@/core/survey'
import { type Instant, instantOrThrow } from '@/core/time'

/** What is written down as a car is handed over: the final inspection, the payments, and an exception from keeping it dry. */

export async function listVerdicts(db: Knex, jobId: JobId): Promise<Verdict[]> {
  const rows = await db('inspections').where({ job_id: jobId })
  return rows.map((row) => ({
    item: row.item,
    verdict: row.verdict,
    note: row.note,
    ...(row.cleared_percent === null ? {} : { clearedPercent: row.cleared_percent }),
    ...(row.found === null ? {} : { found: row.found }),
    ...(row.sent_to === null ? {} : { sentTo: row.sent_to }),
    by: row.by_person,
    at: instantOrThrow(row.at),
  }))
}

/** Keeps what somebody saw; looked at again, the later look stands. */
export async function writeVerdicts(db: Knex, jobId: JobId, verdicts: readonly Verdict[]): Promise<void> {
  if (verdicts.length === 0) return
  const rows = verdicts.map((verdict) => ({
    job_id: jobId,
    item: verdict.item,
    verdict: verdict.verdict,
    note: verdict.note,
    cleared_percent: verdict.clearedPercent ?? null,
    found: verdict.found ?? null,
    sent_to: verdict.sentTo ?? null,
    by_person: verdict.by,
    at: verdict.at,
  }))
  await db('inspections').insert(rows).onConflict(['job_id', 'item']).merge()
}

export async function listPayments(db: Knex, jobId: JobId): Promise<Payment[]> {
  return (await paymentsOf(db, [jobId])).map(({ payment }) => payment)
}

/** What was paid for jobs, the first payment first. */
export async function paymentsOf(
  db: Knex,
  jobIds: readonly JobId[],
): Promise<{ jobId: JobId; payment: Payment }[]> {
  const rows = await db('payments').whereIn('job_id', jobIds).orderBy('at')
  return rows.map((row) => ({
    jobId: row.job_id,
    payment: {
      id: row.id,
      cents: row.cents,
      way: row.way,
      note: row.note,
      at: instantOrThrow(row.at),
      ...(row.taken_back_at ? { takenBackAt: instantOrThrow(row.taken_back_at) } : {}),
    },
  }))
}

export async function addPayment(
  db: Knex,
  jobId: JobId,
  payment: Pick<Payment, 'cents' | 'way' | 'note' | 'at'>,
): Promise<void> {
  await db('payments').insert({ id: randomUUID(), job_id: jobId, ...payment })
}

/** A payment written down by mistake stays in the book, crossed out. */
export async function takePaymentBack(db: Knex, id: string, at: Instant): Promise<void> {
  await db('payments').where({ id }).whereNull('taken_back_at').update({ taken_back_at: at })
}

/** The signed exception with which a car left before its coat may get wet. */
export async function findLetGo(db: Knex, jobId: JobId): Promise<LetGo | undefined> {
  const row = await db('let_go').where({ job_id: jobId }).first()
  return row
    ? {
        dryUntil: instantOrThrow(row.dry_until),
        name: row.signed_by,
        signature: signatureSchema.parse(JSON.parse(row.signature)),
        at: instantOrThrow(row.at),
      }
    : undefined
}

export async function writeLetGo(
  db: Knex,
  jobId: JobId,
  { dryUntil, name, signature, at }: LetGo,
): Promise<void> {
  await db('let_go').insert({
    job_id: jobId,
    dry_until: dryUntil,
    signed_by: name,
    signature: JSON.stringify(signature),
    at,
  })
}

/** A car that never left took no exception. */
export async function dropLetGo(db: Knex, jobId: JobId): Promise<void> {
  await db('let_go').where({ job_id: jobId }).del()
}

import type { Knex } from 'knex'
import type { JobId } from '@/core/ids'
import {
  type Agreement,
  type Collecting,
  collectingSchema,
  type JobPlan,
  planSchema,
  type Summary,
  summarySchema,
} from '@/core/offer'
import { type Instant, instantOrThrow } from '@/core/time'
import { parsedOnce } from '../db/parsed-once'
import { readable } from '../db/readable'
import type { AgreementsRow } from '../db/tables'

/** A plan and its words as they were stored. Throws on what this version cannot read: it never guesses. */
export const readPlan = parsedOnce((json): JobPlan => planSchema.parse(JSON.parse(json)))
export const readSummary = parsedOnce((json): Summary => summarySchema.parse(JSON.parse(json)))

const readChances = parsedOnce((json): Collecting[] => collectingSchema.parse(JSON.parse(json)))

function toAgreement(row: AgreementsRow): Agreement {
  return {
    jobId: row.job_id,
    ...(row.version === null ? {} : { version: row.version }),
    packageKey: row.package_key,
    packageName: row.package_name,
    plan: readPlan(row.plan),
    summary: readSummary(row.summary),
    totalCents: row.total_cents,
    promisedFor: instantOrThrow(row.promised_for),
    agreedAt: instantOrThrow(row.agreed_at),
    ...(row.chances === null ? {} : { chances: readChances(row.chances) }),
  }
}

export async function agreementsOf(db: Knex, jobIds: readonly JobId[]): Promise<Map<JobId, Agreement>> {
  const rows = await db('agreements').whereIn('job_id', jobIds)
  const agreements = readable(rows, toAgreement, (row) => ({ agreement: row.job_id }))
  return new Map(agreements.map((agreement) => [agreement.jobId, agreement]))
}

export async function findAgreement(db: Knex, jobId: JobId): Promise<Agreement | undefined> {
  const row = await db('agreements').where({ job_id: jobId }).first()
  return row ? toAgreement(row) : undefined
}

/** Keeps what was agreed. A job is agreed once; false when it already was. */
export async function writeAgreement(db: Knex, agreement: Agreement): Promise<boolean> {
  const written = await db('agreements')
    .insert({
      job_id: agreement.jobId,
      version: agreement.version ?? null,
      package_key: agreement.packageKey,
      package_name: agreement.packageName,
      plan: JSON.stringify(agreement.plan),
      summary: JSON.stringify(agreement.summary),
      total_cents: agreement.totalCents,
      promised_for: agreement.promisedFor,
      agreed_at: agreement.agreedAt,
      chances: agreement.chances ? JSON.stringify(agreement.chances) : null,
    })
    .onConflict('job_id')
    .ignore()
    .returning('job_id')
  return written.length > 0
}

/** Puts what is agreed now in the place of what was; when it was first agreed stays. */
export async function replaceAgreement(
  db: Knex,
  {
    jobId,
    version,
    packageKey,
    packageName,
    plan,
    summary,
    totalCents,
    promisedFor,
    chances,
  }: Omit<Agreement, 'agreedAt'>,
): Promise<void> {
  await db('agreements')
    .where({ job_id: jobId })
    .update({
      version: version ?? null,
      package_key: packageKey,
      package_name: packageName,
      plan: JSON.stringify(plan),
      summary: JSON.stringify(summary),
      total_cents: totalCents,
      promised_for: promisedFor,
      chances: chances ? JSON.stringify(chances) : null,
    })
}

/** Another time is promised; how surely is worked out when it is asked. */
export async function promiseAnew(db: Knex, jobId: JobId, promisedFor: Instant): Promise<void> {
  await db('agreements').where({ job_id: jobId }).update({ promised_for: promisedFor, chances: null })
}

/** The work as it is now to be done; what was agreed in words and money stays. */
export async function changePlan(db: Knex, jobId: JobId, plan: JobPlan): Promise<void> {
  await db('agreements')
    .where({ job_id: jobId })
    .update({ plan: JSON.stringify(plan) })
}

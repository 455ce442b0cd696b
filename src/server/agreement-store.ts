import type { Knex } from 'knex'
import { z } from 'zod'
import { type JobPlan, type Offer, OPERATION_KINDS, type PriceLine, SKILLS } from '@/core/job'
import type { Instant } from '@/core/time'

const planSchema = z.object({
  operations: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(OPERATION_KINDS),
      title: z.string(),
      minutes: z.int(),
      mode: z.enum(['solid', 'pausable', 'unattended']),
      people: z.int(),
      skill: z.enum(SKILLS).optional(),
      layer: z.int().optional(),
      productId: z.string().optional(),
    }),
  ),
  links: z.array(z.object({ from: z.string(), to: z.string(), min: z.int(), max: z.int().optional() })),
  stays: z.array(z.object({ id: z.string(), kind: z.string(), operations: z.array(z.string()) })),
})

/** What the customer was told, kept as it was told. */
const summarySchema = z.object({
  indexBefore: z.number(),
  indexAfter: z.number(),
  expectedClearing: z.number(),
  layers: z.array(z.string()),
  processes: z.record(z.string(), z.string()),
  left: z.array(z.string()),
  priceLines: z.array(z.custom<PriceLine>()),
  netCents: z.int(),
  taxCents: z.int(),
})
export type AgreementSummary = z.infer<typeof summarySchema>

export type Agreement = {
  jobId: string
  packageKey: string
  packageName: string
  plan: JobPlan
  summary: AgreementSummary
  totalCents: number
  promisedFor: Instant
  agreedAt: Instant
}

export function summaryOf(offer: Offer): AgreementSummary {
  const { correction, price } = offer
  return {
    indexBefore: correction.indexBefore,
    indexAfter: correction.indexAfter,
    expectedClearing: correction.expectedClearing,
    layers: offer.template.layers,
    processes: Object.fromEntries(
      correction.panels.map(({ judged, option }) => [judged.panel.id, option.process.name]),
    ),
    left: correction.leftAsTheyAre.map(({ judged }) => judged.panel.name),
    priceLines: price.lines,
    netCents: price.netCents,
    taxCents: price.taxCents,
  }
}

function toAgreement(row: Record<string, string> & { total_cents: number }): Agreement {
  return {
    jobId: row.job_id!,
    packageKey: row.package_key!,
    packageName: row.package_name!,
    plan: planSchema.parse(JSON.parse(row.plan!)),
    summary: summarySchema.parse(JSON.parse(row.summary!)),
    totalCents: row.total_cents,
    promisedFor: row.promised_for as Instant,
    agreedAt: row.agreed_at as Instant,
  }
}

export async function listAgreements(db: Knex): Promise<Agreement[]> {
  return (await db('agreements')).map(toAgreement)
}

export async function findAgreement(db: Knex, jobId: string): Promise<Agreement | undefined> {
  const row = await db('agreements').where({ job_id: jobId }).first()
  return row ? toAgreement(row) : undefined
}

/** Keeps what was agreed. A job is agreed once; false when it already was. */
export async function writeAgreement(db: Knex, agreement: Agreement): Promise<boolean> {
  const written = await db('agreements')
    .insert({
      job_id: agreement.jobId,
      package_key: agreement.packageKey,
      package_name: agreement.packageName,
      plan: JSON.stringify(agreement.plan),
      summary: JSON.stringify(agreement.summary),
      total_cents: agreement.totalCents,
      promised_for: agreement.promisedFor,
      agreed_at: agreement.agreedAt,
    })
    .onConflict('job_id')
    .ignore()
    .returning('job_id')
  return written.length > 0
}

import type { Knex } from 'knex'
import { z } from 'zod'
import { ask } from '@/core/asks'
import type { JobId } from '@/core/ids'
import { type Level, SIGHTS, type StoredWash, type WashFindings, ZONES } from '@/core/wash'

const level = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]) satisfies z.ZodType<Level>
const levels = <K extends string>(keys: readonly K[]) =>
  z.object(Object.fromEntries(keys.map((key) => [key, level])) as Record<K, typeof level>)

/** What was felt, seen and decided before the wash of one vehicle. */
export const washFindingsSchema = z.object({
  contamination: z.object({ touch: levels(ZONES), sight: levels(SIGHTS) }),
  place: z.object({
    airC: z
      .number({ error: ask('air-temperature') })
      .min(-30, ask('between', { quantity: 'temperature', least: -30, most: 50 }))
      .max(50, ask('between', { quantity: 'temperature', least: -30, most: 50 })),
    drain: z.boolean(),
    hose: z.boolean(),
    indoors: z.boolean(),
  }),
  method: z.enum(['wet', 'rinseless']).optional(),
})

export async function loadWash(db: Knex, jobId: JobId): Promise<StoredWash> {
  const row = await db('washes').where({ job_id: jobId }).first()
  return row
    ? { findings: washFindingsSchema.parse(JSON.parse(row.findings)), version: row.version }
    : { version: 0 }
}

/** Writes over the version that was read; false where another has been written since. */
export async function saveWash(
  db: Knex,
  jobId: JobId,
  readAt: number,
  findings: WashFindings,
): Promise<boolean> {
  const text = JSON.stringify(findings)
  if (readAt > 0) {
    const key = { job_id: jobId, version: readAt }
    return (
      (await db('washes')
        .where(key)
        .update({ findings: text, version: readAt + 1 })) > 0
    )
  }
  const written = await db('washes')
    .insert({ job_id: jobId, findings: text, version: 1 })
    .onConflict('job_id')
    .ignore()
    .returning('version')
  return written.length > 0
}

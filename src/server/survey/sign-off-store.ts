import type { Knex } from 'knex'
import { z } from 'zod'
import type { JobId } from '@/core/ids'
import { ok, type Result, refused } from '@/core/result'
import { SIGN_OFF_RULES, type SignedOff, signatureSchema } from '@/core/survey'
import { instantOrThrow } from '@/core/time'

const linesSchema = z.array(z.object({ rule: z.enum(SIGN_OFF_RULES), text: z.string() }))

export async function signedVersions(db: Knex, jobId: JobId): Promise<SignedOff[]> {
  const rows = await db('promises').where({ job_id: jobId }).orderBy('version')
  return rows.map((row) => ({
    version: row.version,
    lines: linesSchema.parse(JSON.parse(row.lines)),
    signedBy: row.signed_by,
    signature: signatureSchema.parse(JSON.parse(row.signature)),
    signedAt: instantOrThrow(row.signed_at),
  }))
}

/** Adds the version after `readAt`; refused where that version has been signed in the meantime. */
export async function signOff(
  db: Knex,
  jobId: JobId,
  readAt: number,
  signed: Omit<SignedOff, 'version'>,
): Promise<Result<{ version: number }, { code: 'promises-stale' }>> {
  const written = await db('promises')
    .insert({
      job_id: jobId,
      version: readAt + 1,
      lines: JSON.stringify(signed.lines),
      signed_by: signed.signedBy,
      signature: JSON.stringify(signed.signature),
      signed_at: signed.signedAt,
    })
    .onConflict(['job_id', 'version'])
    .ignore()
    .returning('version')
  return written.length > 0 ? ok({ version: readAt + 1 }) : refused({ code: 'promises-stale' })
}

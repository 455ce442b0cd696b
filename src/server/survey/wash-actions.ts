'use server'

import { database } from '../db/connection'
import { findJob } from '../floor/job-store'
import { saveWash, washFindingsSchema } from './wash-store'

export type WashAnswer = { kind: 'saved'; version: number } | { kind: 'refused'; message: string }

/** Keeps what was felt and seen before the wash. */
export async function keepWash(jobId: string, readAt: number, input: unknown): Promise<WashAnswer> {
  const checked = washFindingsSchema.safeParse(input)
  if (!checked.success) return { kind: 'refused', message: checked.error.issues[0]!.message }
  const db = await database()
  if (!(await findJob(db, jobId))) return { kind: 'refused', message: 'This job is no longer there.' }
  return (await saveWash(db, jobId, readAt, checked.data))
    ? { kind: 'saved', version: readAt + 1 }
    : {
        kind: 'refused',
        message: 'Someone else has changed this wash. Reload to see it, then change it again.',
      }
}

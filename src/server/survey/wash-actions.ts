'use server'

import { z } from 'zod'
import { type Answer, done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, version } from '@/core/inputs'
import type { StoredWash } from '@/core/wash'
import { defineAction } from '../action/define'
import { findJob } from '../floor/job-store'
import { loadWash, saveWash, washFindingsSchema } from './wash-store'

/** Kept, or what stands there by now, to bring the two together. */
export type SavedWash = { kind: 'saved'; version: number } | { kind: 'stale'; current: StoredWash }

/** Keeps what was felt and seen before the wash. */
export const keepWash = defineAction({
  name: 'survey.keep-wash',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, version, findings: washFindingsSchema }),
  write: async ({ trx }, { jobId, version: readAt, findings }): Promise<Answer<SavedWash>> => {
    if (!(await findJob(trx, jobId))) return refuse('gone', ask('job-gone'))
    return (await saveWash(trx, jobId, readAt, findings))
      ? done<SavedWash>({ kind: 'saved', version: readAt + 1 })
      : done<SavedWash>({ kind: 'stale', current: await loadWash(trx, jobId) })
  },
})

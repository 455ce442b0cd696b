'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { aJob, version } from '@/core/inputs'
import { defineAction } from '../action/define'
import { findJob } from '../floor/job-store'
import { saveWash, washFindingsSchema } from './wash-store'

/** Keeps what was felt and seen before the wash. */
export const keepWash = defineAction({
  name: 'survey.keep-wash',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, version, findings: washFindingsSchema }),
  write: async ({ trx }, { jobId, version: readAt, findings }) => {
    if (!(await findJob(trx, jobId))) return refuse('gone', 'This job is no longer there.')
    return (await saveWash(trx, jobId, readAt, findings))
      ? done({ version: readAt + 1 })
      : refuse('stale', 'Someone else has changed this wash. Reload to see it, then change it again.')
  },
})

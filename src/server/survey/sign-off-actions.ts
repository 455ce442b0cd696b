'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, version } from '@/core/inputs'
import { MOST_SIGNED, signatureSchema } from '@/core/survey'
import { defineAction } from '../action/define'
import { findJob } from '../floor/job-store'
import { loadShop } from '../shop/shop-store'
import { signOff } from './sign-off-store'
import { linesToSign } from './to-sign'

/**
 * Keeps what was said as signed. The lines are made anew from what stands in the shop now, and refused where they
 * differ from what the customer had before their eyes.
 */
export const sign = defineAction({
  name: 'survey.sign-off',
  who: 'floor',
  input: z.strictObject({
    jobId: aJob,
    version,
    shown: z.array(z.string().max(2000)).max(200),
    signedBy: z
      .string()
      .trim()
      .min(1, ask('signed-by'))
      .max(200, ask('keep-under', { characters: 200 })),
    signature: signatureSchema,
  }),
  mostInput: MOST_SIGNED,
  write: async ({ trx, at }, { jobId, version: readAt, shown, ...signed }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    const { setup } = await loadShop(trx)
    const lines = await linesToSign(trx, job, setup)
    if (JSON.stringify(lines.map(({ text }) => text)) !== JSON.stringify(shown))
      return refuse('stale', ask('sign-off-stale'))
    const kept = await signOff(trx, jobId, readAt, { lines, ...signed, signedAt: at })
    return kept.ok ? done() : refuse('stale', ask('signed-meanwhile'))
  },
})

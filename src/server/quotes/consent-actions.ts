'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, id } from '@/core/inputs'
import { panelsOfVehicle } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { findJob } from '../floor/job-store'
import { findAgreement } from './agreement-store'
import { saveConsent } from './consent-store'

/** Keeps that the customer has agreed to what is only done by consent on one panel, or has not. */
export const keepConsent = defineAction({
  name: 'plan.keep-consent',
  who: 'desk',
  input: z.strictObject({ jobId: aJob, panel: id, agreed: z.boolean() }),
  write: async ({ trx, at }, { jobId, panel, agreed }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    if (!panelsOfVehicle(job.vehicle).some((each) => each.id === panel))
      return refuse('input', ask('panels-to-coat'))
    if (await findAgreement(trx, jobId)) return refuse('rule', ask('agreed-now'))
    await saveConsent(trx, jobId, panel, agreed ? at : undefined)
    return done()
  },
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, anOperation } from '@/core/inputs'
import { washTooOld } from '@/core/job'
import { withWashAgain } from '@/core/offer'
import { paintedAreaM2 } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { changePlan } from '../quotes/agreement-store'

/** Puts a short wash before a step for which the last one is too old; the calendar follows. */
export const washAgain = defineAction({
  name: 'work.wash-again',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, operation: anOperation }),
  write: async ({ trx, at, replan }, { jobId, operation }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (!entry?.live) return refuse('gone', ask('no-agreed-work'))
    if (washTooOld(entry.live, at)?.before !== operation) return refuse('stale', ask('wash-fresh'))
    const plan = withWashAgain(entry.live.plan, operation, paintedAreaM2(entry.job.vehicle.shape))
    if (!plan) return refuse('gone', ask('no-agreed-work'))
    await changePlan(trx, jobId, plan)
    await replan('wash-again', [jobId])
    return done()
  },
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { keptMethod } from '@/core/correction'
import { aJob, aPerson, id } from '@/core/inputs'
import { machineRoles } from '@/core/offer'
import { everyone } from '@/core/shop'
import { attemptSchema } from '@/core/test-spot'
import { panelsOfVehicle } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { findJob } from '../floor/job-store'
import { listPhotos } from '../photos/photo-store'
import { changePlan, findAgreement } from '../quotes/agreement-store'
import { workedAnew } from '../quotes/methods-changed'
import { loadShop } from '../shop/shop-store'
import { writeAct } from '../work/acts-store'
import { takeEntry } from '../work/at-the-car'
import { addAttempt, withdrawAttempt } from './spot-store'

/** Writes down what was tried at a test spot. What follows from it stands on the page at once. */
export const keepAttempt = defineAction({
  name: 'survey.keep-attempt',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, attempt: attemptSchema, photoId: id.optional() }),
  write: async ({ trx, at }, { jobId, attempt, photoId }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    if (!panelsOfVehicle(job.vehicle).some((panel) => panel.id === attempt.panel))
      return refuse('input', ask('no-such-part'), 'attempt.panel')
    if (photoId !== undefined && !(await listPhotos(trx, jobId)).some((photo) => photo.id === photoId))
      return refuse('gone', ask('photo-other'))
    return done({ id: await addAttempt(trx, jobId, attempt, photoId, at) })
  },
})

/** Takes a slip back. It is set aside, not deleted. */
export const takeBackAttempt = defineAction({
  name: 'survey.take-attempt-back',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, id }),
  write: async ({ trx, at }, { jobId, id: attempt }) =>
    (await withdrawAttempt(trx, jobId, attempt, at)) ? done() : refuse('stale', ask('spot-taken-back')),
})

/** What a spot has settled is used for its panels: as if it were said at each of them. */
export const takeSettled = defineAction({
  name: 'survey.take-settled',
  who: 'floor',
  input: z.strictObject({
    jobId: aJob,
    panels: z.array(id).min(1).max(60),
    process: keptMethod,
    by: aPerson,
    reason: z
      .string()
      .trim()
      .min(1, ask('why-changed'))
      .max(300, ask('keep-under', { characters: 300 })),
  }),
  write: async ({ trx, at, key }, { jobId, panels, process, by, reason }) => {
    const { setup } = await loadShop(trx)
    if (!everyone(setup).some((person) => person.id === by)) return refuse('input', ask('who-looks'), 'by')
    const steps = (await findAgreement(trx, jobId))?.plan.operations ?? []
    const operation = steps.find((step) => machineRoles(step).length > 0)?.id
    if (!operation) return refuse('gone', ask('no-agreed-work'))
    for (const panel of panels) {
      const what = { kind: 'process', operation, panel, process, reason } as const
      const entry = { ...what, id: `${key} ${panel}`, job: jobId, by, at }
      if (await takeEntry(trx, entry, at)) return refuse('stale', ask('method-not-now'))
      await writeAct(trx, entry, 'desk', at)
    }
    return done()
  },
})

/** The work at the machine gets its minutes by what is known of the paint by now; methods and price stay. */
export const planBySpots = defineAction({
  name: 'survey.plan-by-spots',
  who: 'floor',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at, replan }, { jobId }) => {
    const anew = await workedAnew(trx, await loadFloor(trx, at), jobId)
    if (!anew) return refuse('stale', ask('planned-so-already'))
    await changePlan(trx, jobId, anew.plan)
    await replan('test-spot', [jobId])
    return done()
  },
})

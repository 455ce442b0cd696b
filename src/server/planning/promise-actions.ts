'use server'

import { z } from 'zod'
import { done } from '@/core/answer'
import { toJobId } from '@/core/ids'
import { defineReadAction } from '../action/define'
import { compute } from '../compute/compute'

/** Promises that are less sure than the shop wants them, and what is late. Nothing is kept. */
export const promisesAtRisk = defineReadAction({
  name: 'planning.promises-at-risk',
  who: 'desk',
  input: z.null(),
  read: async ({ at }) => {
    const watch = await compute('promises', at)
    if (watch.kind === 'blocked') return done({ atRisk: [], isKept: false, behind: [] })
    const { atRisk, isKept, behind } = watch
    return done({ atRisk, isKept, behind })
  },
})

/** What would make a promise surer, each with the chance it would then have, and when else the car is surely ready. Nothing is kept. */
export const whatHelps = defineReadAction({
  name: 'planning.what-helps',
  who: 'desk',
  input: z.strictObject({ job: z.string().min(1).max(80) }),
  read: async ({ at }, { job }) => done(await compute('advice', at, toJobId(job))),
})

/** How surely the promise of one job is kept as things stand, and what it hangs on; nothing where there is none to keep. */
export const howSure = defineReadAction({
  name: 'planning.how-sure',
  who: 'desk',
  input: z.strictObject({ job: z.string().min(1).max(80) }),
  read: async ({ at }, { job }) => done((await compute('promise', at, toJobId(job))) ?? null),
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { id, nothing } from '@/core/inputs'
import { scheduleSchema } from '@/core/schedule'
import { PLANNED_AS_SEEN } from '@/text/en/planning'
import { defineAction, defineReadAction } from '../action/define'
import { compute } from '../compute/compute'
import { plannedFromSchema } from './planned-from'
import { keepProposal, offerSchedule, problemToPlan } from './proposal'
import { takeProposal } from './take-proposal'

/** What there is to plan, for the worker beside the page. */
export const whatToPlan = defineReadAction({
  name: 'planning.what-to-plan',
  who: 'manage',
  input: nothing,
  read: async ({ db, at }) => done(await problemToPlan(db, at)),
})

/** Works out, on the server, a plan that may give up bays or windows where a day has gone too far to keep them. */
export const proposePlan = defineAction({
  name: 'planning.propose',
  who: 'manage',
  input: nothing,
  prepare: async ({ at }) => compute('work-out', at, { kind: 'everything' }),
  write: async ({ trx }, _, worked) => done(await keepProposal(trx, worked)),
})

/** A schedule of a hundred cars is a fifth of this, characters. */
const MOST_SCHEDULE = 5_000_000

/** Keeps a plan that the worker found, if it breaks no rule and nothing has happened since. It is shown, not published. */
export const offerPlan = defineAction({
  name: 'planning.offer',
  who: 'manage',
  input: z.strictObject({ from: plannedFromSchema, schedule: scheduleSchema }),
  mostInput: MOST_SCHEDULE,
  write: async ({ trx, at }, { from, schedule }) => {
    const offered = await offerSchedule(trx, at, from, schedule)
    switch (offered.kind) {
      case 'proposed':
        return done(offered.proposal)
      case 'stale':
        return refuse('stale', ask('schedule-changed'))
      case 'broken':
        return refuse('rule', ask('breaks-rule', { rule: offered.rule }))
    }
  },
})

/** Takes a plan that was shown. Says in words where it can no longer be taken. */
export const takePlan = defineAction({
  name: 'planning.take',
  who: 'manage',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, proposal) => {
    const { kind } = await takeProposal(trx, proposal.id, at)
    switch (kind) {
      case 'taken':
        return done({ said: PLANNED_AS_SEEN })
      case 'stale':
        return refuse('stale', ask('schedule-changed-check'))
      case 'gone':
        return refuse('gone', ask('plan-gone'))
    }
  },
})

'use server'

import { revalidatePath } from 'next/cache'
import { type Schedule, scheduleSchema } from '@/core/schedule'
import { now } from '../clock'
import { database } from '../db/connection'
import { plannedFromSchema } from './planned-from'
import {
  type Offered,
  offerSchedule,
  type Proposal,
  problemToPlan,
  propose,
  type ToPlan,
  takeProposal,
} from './proposal'

/** What there is to plan, for the worker beside the page. */
export async function whatToPlan(): Promise<ToPlan> {
  return problemToPlan(await database(), now())
}

/** Works out, on the server, a plan that may give up bays or windows where a day has gone too far to keep them. */
export async function proposePlan(): Promise<Proposal> {
  return propose(await database(), now())
}

/** Keeps a plan that the worker found, if it breaks no rule and nothing has happened since. It is shown, not published. */
export async function offerPlan(from: { at: string; basis: string }, schedule: Schedule): Promise<Offered> {
  const db = await database()
  return offerSchedule(db, now(), plannedFromSchema.parse(from), scheduleSchema.parse(schedule))
}

/** Takes a plan that was shown. Says in words where it can no longer be taken. */
export async function takePlan(id: string): Promise<{ taken: boolean; message: string }> {
  const { kind } = await takeProposal(await database(), id, now())
  revalidatePath('/', 'layout')
  switch (kind) {
    case 'taken':
      return { taken: true, message: 'Planned. Everybody’s times are the ones you saw.' }
    case 'stale':
      return { taken: false, message: 'Something has happened on the floor since. Plan anew and look again.' }
    case 'gone':
      return { taken: false, message: 'This plan is no longer kept. Plan anew.' }
  }
}

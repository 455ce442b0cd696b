'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { cardOf, partsOff } from '@/core/card'
import {
  balanceOf,
  type Goes,
  goesSchema,
  isTorqueOpen,
  keepsItIn,
  openHighSpots,
  takeBackUntil,
} from '@/core/handover'
import { aJob } from '@/core/inputs'
import { progressAt } from '@/core/job'
import { keptInOf, withKeptIn, withoutKeptIn } from '@/core/offer'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { findJob } from '../floor/job-store'
import { changePlan } from '../quotes/agreement-store'
import { loadEntries } from '../work/acts-store'
import { isToConfirm } from '../work/to-confirm'
import { loadGoingOut } from './going-out'
import { handOverJob, takeBackJob } from './hand-over'
import { listPayments, listVerdicts, writeLetGo } from './handover-store'

/** A finished car is handed over, is kept in until its coat may get wet, or is taken back. */

/** Hands a car over: its customer has it, and what was taken stands in the ledger. */
export const handJobOver = defineAction({
  name: 'handover.hand-over',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    /** Whoever hands it over knows that money is open. */
    owing: z.boolean().default(false),
    /** How it goes while its coat must not get wet. */
    goes: goesSchema.optional(),
  }),
  write: async ({ trx, at }, { jobId, owing, goes }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (entry?.stage.kind !== 'ready') return refuse('stale', ask('steps-open'))
    const fault = (await listVerdicts(trx, jobId)).find(({ verdict }) => verdict === 'fault')
    if (fault) return refuse('rule', ask('fault-found', { note: fault.note }))
    if (entry.live) {
      const card = cardOf(entry.live, await loadEntries(trx, jobId))
      if (isTorqueOpen(entry.live.plan.operations, card)) return refuse('rule', ask('wheel-nuts'))
      const off = partsOff(card.parts)
      if (off.length > 0) return refuse('rule', ask('parts-off', { names: off.map(({ name }) => name) }))
      if (openHighSpots(card) > 0) return refuse('rule', ask('high-spot-open'))
      if (await isToConfirm(trx, jobId)) return refuse('rule', ask('to-confirm'))
    }
    const { openCents } = balanceOf(entry.agreement?.totalCents ?? 0, await listPayments(trx, jobId))
    if (openCents > 0 && !owing) return refuse('rule', ask('money-open', { cents: openCents }), 'owing')
    const out = await loadGoingOut(trx, floor, entry)
    const water = out && keepsItIn(out, at, goes)
    if (water) return refuse('rule', keptFor(water, goes), 'goes')
    if (out && goes?.how === 'exception') {
      const { name, signature } = goes
      await writeLetGo(trx, jobId, { dryUntil: out.dryUntil, name, signature, at })
    }
    await handOverJob(trx, entry.job, floor.shop.setup.region.timezone, at)
    return done()
  },
})

function keptFor(water: Exclude<ReturnType<typeof keepsItIn>, undefined>, goes: Goes | undefined) {
  if (water === 'unasked') return ask('roof-asked')
  if (water.kind !== 'wet') return ask('sky-unknown')
  const { kind, from } = water.spell
  return ask('water-ahead', { kind: kind === 'frost' ? kind : 'rain', from, roof: goes?.how === 'roof' })
}

/** Keeps a finished car in until its coat may get wet: it waits in its bay, and is ready then. */
export const keepIn = defineAction({
  name: 'handover.keep-in',
  who: 'team',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at, replan }, { jobId }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    const live = entry?.live
    if (live && keptInOf(live.plan)) return refuse('stale', ask('kept-in-already'))
    if (!live || entry.stage.kind !== 'ready') return refuse('stale', ask('steps-open'))
    const out = await loadGoingOut(trx, floor, entry)
    const last = live.plan.operations.at(-1)!
    const ended = progressAt(live, last, at)
    const plan = out && ended.kind === 'done' ? withKeptIn(live.plan, ended.to, out.dryUntil) : undefined
    if (!plan) return refuse('stale', ask('dry-already'))
    await changePlan(trx, jobId, plan)
    await replan('kept-in', [jobId])
    return done()
  },
})

/** A car that was kept in goes sooner after all: how it goes is asked anew. */
export const endKeepingIn = defineAction({
  name: 'handover.end-keeping-in',
  who: 'team',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at, replan }, { jobId }) => {
    const floor = await loadFloor(trx, at)
    const live = floor.jobs.find(({ job }) => job.id === jobId)?.live
    const wait = live && keptInOf(live.plan)
    if (!wait || progressAt(live, wait, at).kind === 'done') return refuse('stale', ask('not-kept-in'))
    await changePlan(trx, jobId, withoutKeptIn(live.plan))
    await replan('kept-in', [jobId])
    return done()
  },
})

/** Takes a handover back that was a mistake: the car is in the shop again, and nothing of it stands in the ledger. */
export const takeHandoverBack = defineAction({
  name: 'handover.take-back',
  who: 'desk',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at }, { jobId }) => {
    const job = await findJob(trx, jobId)
    if (!job) return refuse('gone', ask('job-gone'))
    if (!job.handedOverAt) return refuse('stale', ask('not-handed-over'))
    if (at > takeBackUntil(job.handedOverAt)) return refuse('rule', ask('handed-over-too-long'))
    await takeBackJob(trx, job, at)
    return done()
  },
})

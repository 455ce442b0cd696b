'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { cardOf } from '@/core/card'
import { blindToIt, inspectionItems, isTorqueOpen, PAYMENT_WAYS, withRework } from '@/core/handover'
import { toPersonId } from '@/core/ids'
import { aJob, anOperation, id } from '@/core/inputs'
import { everyone } from '@/core/shop'
import { plusMinutes } from '@/core/time'
import { minorDigits } from '@/text/formats'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { findJob } from '../floor/job-store'
import { makeJobLink, revokeJobLink } from '../links/job-links'
import { changePlan } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { loadEntries } from '../work/acts-store'
import { handOverJob } from './hand-over'
import { addPayment, listVerdicts, takePaymentBack, writeVerdict } from './handover-store'

/** Keeps what a second pair of eyes saw; a fault that is sent back becomes a step of its own on the calendar. */
export const judgeItem = defineAction({
  name: 'handover.judge-item',
  who: 'floor',
  input: z
    .strictObject({
      jobId: aJob,
      item: id,
      verdict: z.enum(['good', 'fault']),
      note: z.string().trim().max(300, 'Keep it under 300 characters.'),
      clearedPercent: z.int().min(0).max(100).optional(),
      sentTo: anOperation.optional(),
      by: z.string().min(1, 'Say who looks.').max(80).transform(toPersonId),
    })
    .refine(({ verdict, note }) => verdict === 'good' || note.length > 0, {
      path: ['note'],
      message: 'Say in a few words what is wrong.',
    }),
  write: async ({ trx, at, replan }, { jobId, by, sentTo, ...seen }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (!entry?.live) return refuse('gone', 'There is no agreed work on this car. Load the page again.')
    if (entry.job.handedOverAt)
      return refuse('stale', 'The car has gone home. What was seen is kept as it was.')
    const item = inspectionItems(entry.job.vehicle.shape).find((each) => each.id === seen.item)
    if (!item) return refuse('gone', 'This car has no such place. Load the page again.')
    const person = everyone(floor.shop.setup).find((each) => each.id === by)
    if (!person) return refuse('input', 'Say who looks.', 'by')
    if (blindToIt(entry.live.plan, entry.live.progress).has(by))
      return refuse('rule', `${person.name} worked on this paint. Somebody else has to look.`, 'by')
    const changed = sentTo ? withRework(entry.live.plan, sentTo, item.name) : undefined
    if (sentTo && !changed) return refuse('input', 'Choose the step it goes back to.', 'sentTo')
    await writeVerdict(trx, jobId, { ...seen, by, at, ...(sentTo ? { sentTo } : {}) })
    if (changed) {
      await changePlan(trx, jobId, changed)
      await replan('a fault sent back', [jobId])
    }
    return done()
  },
})

export const recordPayment = defineAction({
  name: 'handover.record-payment',
  who: 'floor',
  input: z.strictObject({
    jobId: aJob,
    euros: z
      .number({ error: 'Type the amount as a number, such as 480.50.' })
      .positive('Type how much came in.')
      .max(1_000_000, 'That is more than any job here costs.'),
    way: z.enum(PAYMENT_WAYS),
    note: z.string().trim().max(120, 'Keep it under 120 characters.'),
  }),
  write: async ({ trx, at }, { jobId, euros, way, note }) => {
    if (!(await findJob(trx, jobId)))
      return refuse('gone', 'This job is no longer there. Go back to the yard.')
    // Tablets name the amount so whatever the currency.
    const { region } = (await loadShop(trx)).setup
    const cents = Math.round(euros * 10 ** minorDigits(region))
    await addPayment(trx, jobId, { cents, way, note, at })
    return done()
  },
})

export const crossPaymentOut = defineAction({
  name: 'handover.cross-payment-out',
  who: 'floor',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, payment) => {
    await takePaymentBack(trx, payment.id, at)
    return done()
  },
})

/** A link to the handover sheet works for so long, days (mem). */
const LINK_DAYS = 90

/** Makes a private link to the sheet of one job; the address is shown once. */
export const makePrivateLink = defineAction({
  name: 'handover.make-link',
  who: 'floor',
  secret: true,
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at }, { jobId }) => {
    if (!(await findJob(trx, jobId)))
      return refuse('gone', 'This job is no longer there. Go back to the yard.')
    const token = await makeJobLink(trx, jobId, at, plusMinutes(at, LINK_DAYS * 1440))
    return done({ path: `/g/${token}` })
  },
})

export const revokePrivateLink = defineAction({
  name: 'handover.revoke-link',
  who: 'floor',
  input: z.strictObject({ hash: z.string().max(128) }),
  write: async ({ trx, at }, { hash }) => {
    await revokeJobLink(trx, hash, at)
    return done()
  },
})

/** Hands a car over: its customer has it, and what was taken stands in the ledger. */
export const handJobOver = defineAction({
  name: 'handover.hand-over',
  who: 'floor',
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at }, { jobId }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (entry?.stage.kind !== 'ready') return refuse('stale', 'Not every step is done yet.')
    const fault = (await listVerdicts(trx, jobId)).find(({ verdict }) => verdict === 'fault')
    if (fault)
      return refuse(
        'rule',
        `The final inspection found a fault: ${fault.note}. Put it right, then inspect again.`,
      )
    if (
      entry.live &&
      isTorqueOpen(entry.live.plan.operations, cardOf(entry.live, await loadEntries(trx, jobId)))
    )
      return refuse('rule', 'Confirm the wheel-nut torque before handover: tick it on the job card.')
    await handOverJob(trx, entry.job, floor.shop.setup.region.timezone, at)
    return done()
  },
})

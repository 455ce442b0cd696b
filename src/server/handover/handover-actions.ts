'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { sheetThen } from '@/core/coating'
import { inspectionItems, PAYMENT_WAYS, reworkFor, withRework } from '@/core/handover'
import { type OperationId, toPersonId } from '@/core/ids'
import { aJob, anOperation, id } from '@/core/inputs'
import { progressAt } from '@/core/job'
import { everyone } from '@/core/shop'
import { plusMinutes } from '@/core/time'
import { minorDigits } from '@/text/formats'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { findJob } from '../floor/job-store'
import { makeJobLink, revokeJobLink } from '../links/job-links'
import { mayMakeLink } from '../links/private-links'
import { changePlan } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { eyesOf } from './eyes'
import { addPayment, listVerdicts, takePaymentBack, writeVerdicts } from './handover-store'

/** Keeps what a second pair of eyes saw; a fault that is sent back becomes a step of its own on the calendar. */
export const judgeItem = defineAction({
  name: 'handover.judge-item',
  who: 'team',
  input: z
    .strictObject({
      jobId: aJob,
      item: id,
      verdict: z.enum(['good', 'fault']),
      note: z
        .string()
        .trim()
        .max(300, ask('keep-under', { characters: 300 })),
      clearedPercent: z.int().min(0).max(100).optional(),
      sentTo: anOperation.optional(),
      by: z.string().min(1, ask('who-looks')).max(80).transform(toPersonId),
    })
    .refine(({ verdict, note }) => verdict === 'good' || note.length > 0, {
      path: ['note'],
      message: ask('what-is-wrong'),
    }),
  write: async ({ trx, at, replan }, { jobId, by, sentTo, ...seen }) => {
    const floor = await loadFloor(trx, at)
    const entry = floor.jobs.find(({ job }) => job.id === jobId)
    if (!entry?.live) return refuse('gone', ask('no-agreed-work'))
    if (entry.job.handedOverAt) return refuse('stale', ask('looks-kept'))
    const item = inspectionItems(entry.job.vehicle).find((each) => each.id === seen.item)
    if (!item) return refuse('gone', ask('no-such-place'))
    const known = (await listVerdicts(trx, jobId)).find((each) => each.item === item.id)
    if (known?.verdict === 'fault' && seen.verdict === 'good') {
      const again = reworkFor(entry.live.plan, item.id)
      const isOpen = again.some((step) => progressAt(entry.live!, step, at).kind !== 'done')
      if (isOpen) return refuse('rule', ask('rework-open'))
      // Only this fault counts: what was done again before it was found answers for nothing.
      if (!known.sentTo && seen.note === '') return refuse('input', ask('why-good'), 'note')
    }
    const person = everyone(floor.shop.setup).find((each) => each.id === by)
    if (!person) return refuse('input', ask('who-looks'), 'by')
    const eyes = eyesOf(floor, entry.live)
    if (!eyes.people.includes(by))
      return eyes.because === 'rested'
        ? refuse('rule', ask('inspector-tomorrow'), 'by')
        : refuse('rule', ask('inspector-worked', { name: person.name }), 'by')
    const { live } = entry
    const isDone = (operation: OperationId) => live.progress[operation]?.kind === 'done'
    const productOf = (product: string) => sheetThen(floor.shop, product, entry.agreement?.agreedAt ?? at)
    const place = { place: item.id, ...(item.panel ? { panel: item.panel } : {}), isDone, productOf }
    const changed = sentTo ? withRework(live.plan, sentTo, place) : undefined
    if (sentTo && !changed) return refuse('input', ask('step-to-redo'), 'sentTo')
    const found =
      seen.verdict === 'good' ? (known?.verdict === 'fault' ? known.note : known?.found) : undefined
    await writeVerdicts(trx, jobId, [
      { ...seen, by, at, ...(found ? { found } : {}), ...(sentTo ? { sentTo } : {}) },
    ])
    if (changed) {
      await changePlan(trx, jobId, changed)
      await replan('fault-sent-back', [jobId])
    }
    return done()
  },
})

export const recordPayment = defineAction({
  name: 'handover.record-payment',
  who: 'desk',
  input: z.strictObject({
    jobId: aJob,
    euros: z
      .number({ error: ask('payment-number') })
      .positive(ask('payment'))
      .max(1_000_000, ask('payment-too-large')),
    way: z.enum(PAYMENT_WAYS),
    note: z
      .string()
      .trim()
      .max(120, ask('keep-under', { characters: 120 })),
  }),
  write: async ({ trx, at }, { jobId, euros, way, note }) => {
    if (!(await findJob(trx, jobId))) return refuse('gone', ask('job-gone'))
    // Tablets name the amount so whatever the currency.
    const { region } = (await loadShop(trx)).setup
    const cents = Math.round(euros * 10 ** minorDigits(region))
    await addPayment(trx, jobId, { cents, way, note, at })
    return done()
  },
})

export const crossPaymentOut = defineAction({
  name: 'handover.cross-payment-out',
  who: 'desk',
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
  who: 'desk',
  secret: true,
  input: z.strictObject({ jobId: aJob }),
  write: async ({ trx, at, caller }, { jobId }) => {
    if (!(await findJob(trx, jobId))) return refuse('gone', ask('job-gone'))
    if (!(await mayMakeLink(trx, 'private_links', { job_id: jobId }, at)))
      return refuse('rule', ask('links-most'))
    const token = await makeJobLink(trx, jobId, at, plusMinutes(at, LINK_DAYS * 1440))
    return done({ path: `${caller.address ?? ''}/g/${token}` })
  },
})

export const revokePrivateLink = defineAction({
  name: 'handover.revoke-link',
  who: 'desk',
  input: z.strictObject({ hash: z.string().max(128) }),
  write: async ({ trx, at }, { hash }) => {
    await revokeJobLink(trx, hash, at)
    return done()
  },
})

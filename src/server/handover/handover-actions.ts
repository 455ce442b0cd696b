'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { blindToIt, inspectionItems, PAYMENT_WAYS, withRework } from '@/core/handover'
import { everyone } from '@/core/shop'
import { plusMinutes } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { makeJobLink, revokeJobLink } from '../links/job-links'
import { replan } from '../planning/planning'
import { changePlan } from '../quotes/agreement-store'
import { addPayment, takePaymentBack, writeVerdict } from './handover-store'

export type HandoverAnswer = { kind: 'done' } | { kind: 'refused'; field: string; message: string }

const refused = (field: string, message: string): HandoverAnswer => ({ kind: 'refused', field, message })

function refusal(error: z.ZodError): HandoverAnswer {
  const [issue] = error.issues
  return refused(String(issue!.path.at(-1) ?? ''), issue!.message)
}

function done(): HandoverAnswer {
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

const verdictSchema = z
  .strictObject({
    jobId: z.string(),
    item: z.string(),
    verdict: z.enum(['good', 'fault']),
    note: z.string().trim().max(300, 'Keep it under 300 characters.'),
    clearedPercent: z.int().min(0).max(100).optional(),
    sentTo: z.string().optional(),
    by: z.string().min(1, 'Say who looks.'),
  })
  .refine(({ verdict, note }) => verdict === 'good' || note.length > 0, {
    path: ['note'],
    message: 'Say in a few words what is wrong.',
  })

/** Keeps what a second pair of eyes saw; a fault that is sent back becomes a step of its own on the calendar. */
export async function judgeItem(typed: z.input<typeof verdictSchema>): Promise<HandoverAnswer> {
  const read = verdictSchema.safeParse(typed)
  if (!read.success) return refusal(read.error)
  const { jobId, by, sentTo, ...rest } = read.data
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!entry?.live) return refused('', 'There is no agreed work on this car. Load the page again.')
  if (entry.job.handedOverAt) return refused('', 'The car has gone home. What was seen is kept as it was.')
  const item = inspectionItems(entry.job.vehicle.shape).find(({ id }) => id === rest.item)
  if (!item) return refused('', 'This car has no such place. Load the page again.')
  const people = everyone(floor.shop.setup)
  if (!people.some(({ id }) => id === by)) return refused('by', 'Say who looks.')
  const name = people.find(({ id }) => id === by)!.name
  if (blindToIt(entry.live.plan, entry.live.progress).has(by))
    return refused('by', `${name} worked on this paint. Somebody else has to look.`)
  const changed = sentTo ? withRework(entry.live.plan, sentTo, item.name) : undefined
  if (sentTo && !changed) return refused('sentTo', 'Choose the step it goes back to.')
  await writeVerdict(db, jobId, { ...rest, by, at, ...(sentTo ? { sentTo } : {}) })
  if (changed) {
    await changePlan(db, jobId, changed)
    await replan(db, at, 'a fault sent back', new Set([jobId]))
  }
  return done()
}

const paymentSchema = z.strictObject({
  jobId: z.string(),
  euros: z
    .number({ error: 'Type the amount as a number, such as 480.50.' })
    .positive('Type how much came in.')
    .max(1_000_000, 'That is more than any job here costs.'),
  way: z.enum(PAYMENT_WAYS),
  note: z.string().trim().max(120, 'Keep it under 120 characters.'),
})

export async function recordPayment(typed: z.input<typeof paymentSchema>): Promise<HandoverAnswer> {
  const read = paymentSchema.safeParse(typed)
  if (!read.success) return refusal(read.error)
  const { jobId, euros, way, note } = read.data
  await addPayment(await database(), jobId, { cents: Math.round(euros * 100), way, note, at: now() })
  return done()
}

export async function crossPaymentOut(id: string): Promise<HandoverAnswer> {
  await takePaymentBack(await database(), id, now())
  return done()
}

/** A link to the handover sheet works for so long, days (mem). */
const LINK_DAYS = 90

/** Makes a private link to the sheet of one job; the address is shown once. */
export async function makePrivateLink(jobId: string): Promise<string> {
  const at = now()
  const token = await makeJobLink(await database(), jobId, at, plusMinutes(at, LINK_DAYS * 1440))
  revalidatePath('/', 'layout')
  return `/g/${token}`
}

export async function revokePrivateLink(hash: string): Promise<void> {
  await revokeJobLink(await database(), hash, now())
  revalidatePath('/', 'layout')
}

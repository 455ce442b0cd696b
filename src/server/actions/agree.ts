'use server'

import { redirect } from 'next/navigation'
import { z } from 'zod'
import { PROCESS_KEYS } from '@/core/correction'
import { makeOffer } from '@/core/job'
import type { Instant } from '@/core/time'
import { summaryOf, writeAgreement } from '../agreement-store'
import { now } from '../clock'
import { database } from '../db'
import { loadFloor } from '../floor'
import { loadJudged } from '../judged'
import { chosenOffer, offerInput, whenFor } from '../offers'
import { replan } from '../planning'

export type AgreeRefusal = { message: string }

/** Processes chosen panel by panel, where they are not the package’s own. */
const processesSchema = z.record(z.string(), z.enum(PROCESS_KEYS)).optional()

/**
 * Agrees a package with the customer: works it out once more from what stands in the shop now, keeps it, and puts
 * the job on the calendar without moving anybody else.
 */
export async function agree(
  jobId: string,
  packageKey: string,
  shownCents: number,
  chosenProcesses?: unknown,
): Promise<AgreeRefusal> {
  const processes = processesSchema.safeParse(chosenProcesses)
  if (!processes.success)
    return { message: 'A panel has a process that is not known here. Reload and choose again.' }
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!entry) return { message: 'This job is no longer there. Go back to the yard.' }
  if (entry.agreement)
    return { message: `“${entry.agreement.packageName}” is agreed already. Reload to see it.` }
  const { judgement } = await loadJudged(db, entry.job, floor.shop.setup)
  if (!entry.surveyed) return { message: 'Nothing is measured yet. Read the paint first.' }
  const template = floor.shop.setup.packages.find(({ key }) => key === packageKey)
  if (!template) return { message: 'This package is no longer sold. Reload to see the others.' }
  const offer = processes.data
    ? chosenOffer(floor, entry.job, judgement, packageKey, processes.data)
    : makeOffer(template, offerInput(floor.shop, entry.job, judgement))
  if (!offer)
    return {
      message: 'The survey has changed, and a panel can no longer take its process. Reload and choose again.',
    }
  const stop = offer.breaches.find(({ weight }) => weight === 'stop')
  if (stop) return { message: `${stop.reason} ${stop.remedy}` }
  const when = whenFor(floor, entry.job, offer)
  if (when.kind === 'impossible') return { message: `It cannot be placed: ${when.reasons.join(' ')}` }
  if (offer.price.totalCents !== shownCents)
    return { message: 'The survey has changed since this price was worked out. Reload and look again.' }
  const written = await writeAgreement(db, {
    jobId,
    packageKey,
    packageName: offer.template.name,
    plan: offer.plan,
    summary: summaryOf(offer),
    totalCents: offer.price.totalCents,
    promisedFor: when.collectAt,
    agreedAt: at,
  })
  if (!written) return { message: 'Someone else has just agreed a package. Reload to see it.' }
  await replan(db, at, 'package agreed', new Set([jobId]))
  redirect(`/jobs/${jobId}/schedule`)
}

export type Collection = { kind: 'possible'; collectAt: Instant } | { kind: 'impossible'; reasons: string[] }

/** When the vehicle could be fetched with processes chosen panel by panel; nobody else is moved for it. */
export async function collectionFor(jobId: string, packageKey: string, chosen: unknown): Promise<Collection> {
  const processes = processesSchema.safeParse(chosen)
  const floor = await loadFloor(await database(), now())
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!processes.success || !entry) return { kind: 'impossible', reasons: ['This job is no longer there.'] }
  const { judgement } = await loadJudged(await database(), entry.job, floor.shop.setup)
  const offer = chosenOffer(floor, entry.job, judgement, packageKey, processes.data ?? {})
  if (!offer) return { kind: 'impossible', reasons: ['The survey has changed. Reload and choose again.'] }
  const when = whenFor(floor, entry.job, offer)
  return when.kind === 'possible' ? { kind: 'possible', collectAt: when.collectAt } : when
}

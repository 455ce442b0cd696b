'use server'

import { redirect } from 'next/navigation'
import { summaryOf, writeAgreement } from '../agreement-store'
import { now } from '../clock'
import { database } from '../db'
import { loadFloor } from '../floor'
import { loadJudged } from '../judged'
import { offersFor } from '../offers'
import { replan } from '../planning'

export type AgreeRefusal = { message: string }

/**
 * Agrees a package with the customer: works it out once more from what stands in the shop now, keeps it, and puts
 * the job on the calendar without moving anybody else.
 */
export async function agree(jobId: string, packageKey: string, shownCents: number): Promise<AgreeRefusal> {
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!entry) return { message: 'This job is no longer there. Go back to the yard.' }
  if (entry.agreement)
    return { message: `“${entry.agreement.packageName}” is agreed already. Reload to see it.` }
  const { judgement } = await loadJudged(db, entry.job, floor.shop.setup)
  if (!entry.surveyed) return { message: 'Nothing is measured yet. Read the paint first.' }
  const chosen = offersFor(floor, entry.job, judgement).find(({ offer }) => offer.template.key === packageKey)
  if (!chosen) return { message: 'This package is no longer sold. Reload to see the others.' }
  const { offer, when } = chosen
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

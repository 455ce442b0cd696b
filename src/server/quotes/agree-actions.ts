'use server'

import { redirect } from 'next/navigation'
import { z } from 'zod'
import { PROCESS_KEYS } from '@/core/correction'
import { chosenOffer } from '@/core/offer'
import type { Instant } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { agreeQuote, type Refusal, writeOffer } from './agreeing'
import { loadWorked, whenFor } from './offers'

/** Processes chosen panel by panel, where they are not the package’s own. */
const processesSchema = z.record(z.string(), z.enum(PROCESS_KEYS)).optional()

/**
 * Agrees a package at the desk: writes the quote as it stands on the screen, and accepts it at once. The job goes on
 * the calendar without moving anybody else.
 */
export async function agree(
  jobId: string,
  packageKey: string,
  shownCents: number,
  chosenProcesses?: unknown,
): Promise<Refusal> {
  const processes = processesSchema.safeParse(chosenProcesses)
  if (!processes.success)
    return { message: 'A panel has a process that is not known here. Reload and choose again.' }
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const choices = {
    packageKey,
    extras: [],
    terms: { ...floor.shop.setup.terms, discountPercent: 0 },
    ...(processes.data ? { processes: processes.data } : {}),
  }
  const written = await writeOffer(db, floor, jobId, choices, { shownCents, note: '', mustFit: true })
  if ('message' in written) return written
  const refusal = await agreeQuote(db, jobId, written.version, at)
  if (refusal) return refusal
  redirect(`/jobs/${jobId}/schedule`)
}

export type Collection = { kind: 'possible'; collectAt: Instant } | { kind: 'impossible'; reasons: string[] }

/** When the vehicle could be fetched with processes chosen panel by panel; nobody else is moved for it. */
export async function collectionFor(jobId: string, packageKey: string, chosen: unknown): Promise<Collection> {
  const processes = processesSchema.safeParse(chosen)
  const db = await database()
  const floor = await loadFloor(db, now())
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (!processes.success || !entry) return { kind: 'impossible', reasons: ['This job is no longer there.'] }
  const { input } = await loadWorked(db, floor.shop, entry.job)
  const offer = chosenOffer(floor.shop.setup.packages, input, {
    packageKey,
    processes: processes.data ?? {},
    extras: [],
    terms: floor.shop.setup.terms,
  })
  if (!offer) return { kind: 'impossible', reasons: ['The survey has changed. Reload and choose again.'] }
  const when = whenFor(floor, entry.job, offer)
  return when.kind === 'possible' ? { kind: 'possible', collectAt: when.collectAt } : when
}

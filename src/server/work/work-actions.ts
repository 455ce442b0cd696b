'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { type LiveJob, type Progress, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { everyone } from '@/core/shop'
import { type Instant, instant } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { handOverJob } from '../handover/hand-over'
import { listVerdicts } from '../handover/handover-store'
import { replan } from '../planning/planning'
import { recordFinish, takeBack, type WorkError } from './work-store'

export type WorkAnswer = { kind: 'done' } | { kind: 'refused'; field?: string; message: string }

const refuse = (message: string, field?: string): WorkAnswer => ({
  kind: 'refused',
  message,
  ...(field ? { field } : {}),
})

const moment = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok) return read.value
  context.addIssue({ code: 'custom', message: 'Choose a date and a time.' })
  return z.NEVER
})

const reading = (least: number, most: number, what: string) =>
  z
    .number({ error: `Type the ${what} as a number.` })
    .min(least, `The ${what} must lie between ${least} and ${most}.`)
    .max(most, `The ${what} must lie between ${least} and ${most}.`)

const finishSchema = z.object({
  jobId: z.string(),
  operationId: z.string(),
  startedAt: moment,
  endedAt: moment,
  by: z.string().min(1, 'Say who did it.'),
  layer: z
    .object({
      productId: z.string(),
      lot: z
        .string()
        .trim()
        .min(1, 'Write the lot from the bottle.')
        .max(60, 'Keep the lot under 60 characters.'),
      airC: reading(-20, 60, 'temperature'),
      rhPercent: reading(1, 100, 'humidity'),
      panelC: reading(-20, 80, 'panel temperature'),
    })
    .optional(),
})

/** Clocks of tablets run a little ahead; more than this is a mistake. */
const AHEAD_MINUTES = 5

const conflictText = (error: WorkError): string =>
  error.code === 'already-recorded'
    ? 'Someone has recorded this step already. Reload to see it; take it back first if it is wrong.'
    : 'This step is not recorded any more. Reload to see how it stands.'

type Found = { live: LiveJob; operation: PlannedOperation }

function find(floor: Floor, jobId: string, operationId: string): Found | undefined {
  const live = floor.jobs.find(({ job }) => job.id === jobId)?.live
  const operation = live?.plan.operations.find(({ id }) => id === operationId)
  return live && operation ? { live, operation } : undefined
}

/** What must be done before an operation may begin: the titles of what is still open before it. */
function openBefore({ live, operation }: Found, at: Instant): string[] {
  return live.plan.links
    .filter(({ to }) => to === operation.id)
    .map(({ from }) => live.plan.operations.find(({ id }) => id === from)!)
    .filter((before) => progressAt(live, before, at).kind !== 'done')
    .map(({ title }) => title)
}

async function settle(jobId: string, at: Instant, cause: string): Promise<WorkAnswer> {
  await replan(await database(), at, cause, new Set([jobId]))
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

/** What came before an operation in reality, to hold its times against. */
function endBefore({ live, operation }: Found, at: Instant): Instant | undefined {
  return live.plan.links
    .filter(({ to }) => to === operation.id)
    .map(({ from }) => progressAt(live, live.plan.operations.find(({ id }) => id === from)!, at))
    .filter((progress): progress is Extract<Progress, { kind: 'done' }> => progress.kind === 'done')
    .map(({ to }) => to)
    .reduce<Instant | undefined>((last, to) => (last === undefined || to > last ? to : last), undefined)
}

/** Records a step as done with its real times, and a layer with its product, lot and climate. */
export async function finishOperation(input: unknown): Promise<WorkAnswer> {
  const checked = finishSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return refuse(issue!.message, String(issue!.path.at(-1)))
  }
  const { jobId, operationId, startedAt, endedAt, by, layer } = checked.data
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const found = find(floor, jobId, operationId)
  if (!found) return refuse('This step is no longer part of the job. Reload the card.')
  if (endedAt < startedAt) return refuse('It ends before it begins. Correct one of the times.', 'endedAt')
  if (Date.parse(endedAt) > Date.parse(at) + AHEAD_MINUTES * 60_000)
    return refuse('That end lies in the future. Record it when it is done.', 'endedAt')
  const before = openBefore(found, at)
  if (before.length > 0) return refuse(`First finish: ${before.join(', ')}.`)
  const earliest = endBefore(found, at)
  if (earliest && startedAt < earliest)
    return refuse('That is before the step before it had ended. Correct the start.', 'startedAt')
  if ((found.operation.kind === 'layer') !== (layer !== undefined))
    return refuse('A layer needs its product, lot and climate.')
  if (layer && !floor.shop.catalogue.some(({ id }) => id === layer.productId))
    return refuse('Choose the product.', 'productId')
  if (!everyone(floor.shop.setup).some(({ id }) => id === by)) return refuse('Say who did it.', 'by')
  const finished = await recordFinish(db, {
    jobId,
    operationId,
    startedAt,
    endedAt,
    by,
    ...(layer
      ? {
          layer: {
            productId: layer.productId,
            lot: layer.lot,
            climate: { airC: layer.airC, rhPercent: layer.rhPercent, panelC: layer.panelC },
          },
        }
      : {}),
  })
  return finished.ok ? settle(jobId, at, 'work done') : refuse(conflictText(finished.error))
}

/** Takes the last record of a job back; a step that others already stand on is refused. */
export async function takeOperationBack(jobId: string, operationId: string): Promise<WorkAnswer> {
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const found = find(floor, jobId, operationId)
  if (!found) return refuse('This step is no longer part of the job. Reload the card.')
  const position = found.live.plan.operations.indexOf(found.operation)
  const later = found.live.plan.operations.slice(position + 1).find(({ id }) => found.live.progress[id])
  if (later) return refuse(`“${later.title}” was recorded after it. Take that back first.`)
  const taken = await takeBack(db, jobId, operationId, at)
  return taken.ok ? settle(jobId, at, 'record taken back') : refuse(conflictText(taken.error))
}

export async function handJobOver(jobId: string): Promise<WorkAnswer> {
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const entry = floor.jobs.find(({ job }) => job.id === jobId)
  if (entry?.stage.kind !== 'ready') return refuse('Not every step is done yet.')
  const fault = (await listVerdicts(db, jobId)).find(({ verdict }) => verdict === 'fault')
  if (fault) return refuse(`The last look found a fault: ${fault.note}. Mend it, and look again.`)
  await handOverJob(db, entry.job, floor.shop.setup.timezone, at)
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { type LiveJob, type Progress, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { everyone } from '@/core/shop'
import { type Instant, instant } from '@/core/time'
import { defineAction } from '../action/define'
import { id } from '../action/inputs'
import { loadFloor } from '../floor/floor'
import { recordFinish, takeBack, type WorkError } from './work-store'

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

/** Clocks of tablets run a little ahead; more than this is a mistake. */
const AHEAD_MINUTES = 5

const conflictText = (error: WorkError): string =>
  error.code === 'already-recorded'
    ? 'Someone has recorded this step already. Reload to see it; take it back first if it is wrong.'
    : 'This step is not recorded any more. Reload to see how it stands.'

const STEP_GONE = 'This step is no longer part of the job. Reload the card.'

type Found = { live: LiveJob; operation: PlannedOperation }

function find(floor: Floor, jobId: string, operationId: string): Found | undefined {
  const live = floor.jobs.find(({ job }) => job.id === jobId)?.live
  const operation = live?.plan.operations.find((each) => each.id === operationId)
  return live && operation ? { live, operation } : undefined
}

/** What comes right before an operation, with how far it is. */
function before({ live, operation }: Found, at: Instant): { title: string; progress: Progress }[] {
  return live.plan.links
    .filter(({ to }) => to === operation.id)
    .map(({ from }) => live.plan.operations.find((each) => each.id === from)!)
    .map((step) => ({ title: step.title, progress: progressAt(live, step, at) }))
}

/** Records a step as done with its real times, and a layer with its product, lot and climate. */
export const finishOperation = defineAction({
  name: 'work.record',
  who: 'floor',
  input: z.strictObject({
    jobId: id,
    operationId: id,
    startedAt: moment,
    endedAt: moment,
    by: z.string().min(1, 'Say who did it.').max(80),
    layer: z
      .strictObject({
        productId: id,
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
  }),
  write: async ({ trx, at, replan }, { jobId, operationId, startedAt, endedAt, by, layer }) => {
    const floor = await loadFloor(trx, at)
    const found = find(floor, jobId, operationId)
    if (!found) return refuse('gone', STEP_GONE)
    if (endedAt < startedAt)
      return refuse('input', 'It ends before it begins. Correct one of the times.', 'endedAt')
    if (Date.parse(endedAt) > Date.parse(at) + AHEAD_MINUTES * 60_000)
      return refuse('input', 'That end lies in the future. Record it when it is done.', 'endedAt')
    const steps = before(found, at)
    const open = steps.filter(({ progress }) => progress.kind !== 'done').map(({ title }) => title)
    if (open.length > 0) return refuse('rule', `First finish: ${open.join(', ')}.`)
    if (steps.some(({ progress }) => progress.kind === 'done' && startedAt < progress.to))
      return refuse('rule', 'That is before the step before it had ended. Correct the start.', 'startedAt')
    if ((found.operation.kind === 'layer') !== (layer !== undefined))
      return refuse('input', 'A layer needs its product, lot and climate.')
    if (layer && !floor.shop.catalogue.some((product) => product.id === layer.productId))
      return refuse('input', 'Choose the product.', 'layer.productId')
    if (!everyone(floor.shop.setup).some((person) => person.id === by))
      return refuse('input', 'Say who did it.', 'by')
    const { productId, lot, ...climate } = layer ?? {}
    const finished = await recordFinish(trx, {
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
              climate: climate as Omit<typeof layer, 'productId' | 'lot'>,
            },
          }
        : {}),
    })
    if (!finished.ok) return refuse('stale', conflictText(finished.error))
    await replan('work done', [jobId])
    return done()
  },
})

/** Takes the last record of a job back; a step that others already stand on is refused. */
export const takeOperationBack = defineAction({
  name: 'work.take-back',
  who: 'floor',
  input: z.strictObject({ jobId: id, operationId: id }),
  write: async ({ trx, at, replan }, { jobId, operationId }) => {
    const found = find(await loadFloor(trx, at), jobId, operationId)
    if (!found) return refuse('gone', STEP_GONE)
    const { operations } = found.live.plan
    const later = operations
      .slice(operations.indexOf(found.operation) + 1)
      .find((each) => found.live.progress[each.id])
    if (later) return refuse('rule', `“${later.title}” was recorded after it. Take that back first.`)
    const taken = await takeBack(trx, jobId, operationId, at)
    if (!taken.ok) return refuse('stale', conflictText(taken.error))
    await replan('record taken back', [jobId])
    return done()
  },
})

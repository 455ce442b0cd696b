import { z } from 'zod'
import { toJobId } from '../../ids'
import { type Instant, instant } from '../../time'

/** The schedule file `fern-yard/schedule@1`: when, where and by whom everything is done, and what it costs. */

export const SCHEDULE_FORMAT = 'fern-yard/schedule@1'

const termsSchema = z.object({
  tardiness: z.number(),
  hold: z.number(),
  finish: z.number(),
  makespan: z.number(),
})

const moment = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok) return read.value
  context.addIssue({ code: 'custom', message: 'must be an ISO 8601 instant with an offset' })
  return z.NEVER
})

export const placedOperationSchema = z.object({
  job: z.string().transform(toJobId),
  operation: z.string(),
  start: moment,
  end: moment,
  people: z.array(z.string()),
  place: z.string(),
  segments: z.array(z.tuple([moment, moment])),
})

export const scheduleSchema = z.object({
  format: z.literal(SCHEDULE_FORMAT),
  status: z.enum(['optimal', 'feasible', 'infeasible']),
  cost: z.number().nullable().optional(),
  lowerBound: z.number().optional(),
  terms: termsSchema.nullable().optional(),
  operations: z.array(placedOperationSchema).default([]),
  reasons: z
    .array(
      z.object({
        job: z.string().transform(toJobId),
        operation: z.string(),
        code: z.string(),
        message: z.string(),
      }),
    )
    .default([]),
})

export type Schedule = z.infer<typeof scheduleSchema>
export type PlacedOperation = z.infer<typeof placedOperationSchema>
export type ScheduleReason = Schedule['reasons'][number]
export type CostTerms = z.infer<typeof termsSchema>

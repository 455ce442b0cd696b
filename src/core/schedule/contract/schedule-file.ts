import { z } from 'zod'
import { toBayId, toJobId, toOperationId, toPersonId } from '../../ids'
import { moment } from './moment'
import { reasonSchema } from './reason'

/** The schedule file `fern-yard/schedule@1`: when, where and by whom everything is done, and what it costs. */

export const SCHEDULE_FORMAT = 'fern-yard/schedule@1'

const termsSchema = z.object({
  tardiness: z.number(),
  hold: z.number(),
  finish: z.number(),
  makespan: z.number(),
})

export const placedOperationSchema = z.object({
  job: z.string().transform(toJobId),
  operation: z.string().transform(toOperationId),
  start: moment,
  end: moment,
  people: z.array(z.string().transform(toPersonId)),
  place: z.string().transform(toBayId),
  segments: z.array(z.tuple([moment, moment])),
})

export const scheduleSchema = z.object({
  format: z.literal(SCHEDULE_FORMAT),
  status: z.enum(['optimal', 'feasible', 'infeasible']),
  cost: z.number().nullable().optional(),
  lowerBound: z.number().optional(),
  terms: termsSchema.nullable().optional(),
  operations: z.array(placedOperationSchema).default([]),
  reasons: z.array(reasonSchema).default([]),
})

export type Schedule = z.infer<typeof scheduleSchema>
export type PlacedOperation = z.infer<typeof placedOperationSchema>
export type CostTerms = z.infer<typeof termsSchema>

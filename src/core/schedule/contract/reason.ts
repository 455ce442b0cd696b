import { z } from 'zod'
import { toBayId, toJobId, toOperationId, toPersonId } from '../../ids'
import { moment } from './moment'

/** Why something cannot be placed, as facts: the operation, the rule, and what there is to say about it. */

const operation = z.string().transform(toOperationId)
const at = { job: z.string().transform(toJobId), operation }

/** What lets an operation begin only later than its window would: the air, or work before it that lies fixed. */
const held = z.object({
  since: moment,
  because: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('damp-air') }),
    z.object({ kind: z.literal('fixed'), operation }),
  ]),
})

const placingReasonSchema = z.discriminatedUnion('code', [
  z.object({ ...at, code: z.literal('link-circle') }),
  z.object({ ...at, code: z.literal('link-contradicts'), to: operation, min: z.number(), max: z.number() }),
  z.object({ ...at, code: z.literal('skill-missing'), skill: z.string(), wanted: z.int(), found: z.int() }),
  z.object({ ...at, code: z.literal('place-missing'), kind: z.string() }),
  z.object({ ...at, code: z.literal('fits-nowhere'), kind: z.string() }),
  z.object({
    ...at,
    code: z.literal('no-shift-long-enough'),
    minutes: z.number(),
    longest: z.number(),
    skill: z.string(),
  }),
  z.object({
    ...at,
    code: z.literal('pin-skill'),
    person: z.string().transform(toPersonId),
    skill: z.string(),
  }),
  z.object({ ...at, code: z.literal('pin-before-arrival') }),
  z.object({ ...at, code: z.literal('pin-place'), place: z.string().transform(toBayId), kind: z.string() }),
  z.object({
    ...at,
    code: z.literal('window-closed'),
    after: operation,
    opens: moment,
    closes: moment,
    held: held.optional(),
  }),
  z.object({ ...at, code: z.literal('air-too-damp'), by: moment }),
  z.object({ ...at, code: z.literal('pin-broken') }),
  z.object({ ...at, code: z.literal('place-taken'), kind: z.string() }),
  z.object({ ...at, code: z.literal('equipment-taken'), equipment: z.string() }),
  z.object({ ...at, code: z.literal('no-place'), kind: z.string() }),
  z.object({ ...at, code: z.literal('nobody-free'), skill: z.string() }),
  z.object({ ...at, code: z.literal('ends-too-late') }),
])
export type PlacingReason = z.infer<typeof placingReasonSchema>

/** As a file says it, or as it was kept before its facts were: in words. */
const toldReasonSchema = z.object({ ...at, code: z.string(), message: z.string() })
export type ToldReason = z.infer<typeof toldReasonSchema>

export const reasonSchema = z.union([placingReasonSchema, toldReasonSchema])
export type ScheduleReason = PlacingReason | ToldReason

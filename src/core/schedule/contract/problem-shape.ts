import { z } from 'zod'
import { toBayId, toJobId, toOperationId, toPersonId } from '../../ids'
import { type Instant, instant, isLocalDay, isZone, WEEKDAYS } from '../../time'
import { fault } from './faults'

/** What a problem file says, entry by entry; whether its entries fit together is asked of the whole (`problem.ts`). */

export const PROBLEM_FORMAT = 'fern-yard/schedule-problem@1'

const wholeMinute = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok && Date.parse(read.value) % 60_000 === 0) return read.value
  const message = fault('whole-minute')
  context.addIssue({ code: 'custom', message })
  return z.NEVER
})

const clock = z.string().regex(/^(([01]\d|2[0-3]):[0-5]\d|24:00)$/, fault('clock'))
const openInterval = z
  .tuple([clock, clock])
  .refine(([from, to]) => from < to, fault('opens-before-it-closes'))
const openDay = z.array(openInterval)

const weekly = z.strictObject(Object.fromEntries(WEEKDAYS.map((day) => [day, openDay.optional()])))
const exception = z.object({
  date: z.string().refine(isLocalDay, fault('day')),
  open: openDay,
})

const calendarSchema = z.union(
  [
    z.strictObject({ always: z.literal(true) }),
    z.strictObject({ weekly, exceptions: z.array(exception).optional() }),
  ],
  fault('calendar'),
)

const id = z.string().min(1)
const job = id.transform(toJobId)
const operation = id.transform(toOperationId)
const person = id.transform(toPersonId)
const bay = id.transform(toBayId)

const operationSchema = z
  .object({
    id: operation,
    minutes: z.int().min(1, fault('a-minute')),
    mode: z.enum(['solid', 'pausable', 'unattended']),
    people: z.int().nonnegative().default(0),
    skill: id.optional(),
    /** One unit of each is held from its start to its end, nights included. */
    equipment: z.array(id).optional(),
    /** Shared by as many with the skill as this, from `people` on; then `minutes` are those of all hands together. */
    split: z.int().min(1, fault('split-of-one')).optional(),
    /** Coefficient of variation of the minutes, 0–1. */
    spread: z.number().min(0, fault('spread')).max(1, fault('spread')).optional(),
    /** What it does to the air, or fears from it: it raises dust, or something lies open to dust. */
    air: z.enum(['dust', 'open']).optional(),
  })
  .superRefine((operation, context) => {
    const attended = operation.mode !== 'unattended'
    if (operation.split !== undefined && (!attended || operation.split < operation.people))
      context.addIssue({ code: 'custom', path: ['split'], message: fault('split-below-people') })
    if (attended && operation.people === 0)
      context.addIssue({
        code: 'custom',
        path: ['people'],
        message: fault('needs-people'),
      })
    if (!attended && operation.people > 0)
      context.addIssue({ code: 'custom', path: ['people'], message: fault('needs-nobody') })
    if (attended && !operation.skill)
      context.addIssue({ code: 'custom', path: ['skill'], message: fault('needs-skill') })
  })

const lag = z.int().nonnegative(fault('not-negative'))

const jobSchema = z.object({
  id: job,
  arrive: wholeMinute,
  due: wholeMinute.optional(),
  weight: z.number().nonnegative().default(1),
  operations: z.array(operationSchema).min(1),
  links: z
    .array(z.object({ from: operation, to: operation, min: lag.default(0), max: lag.optional() }))
    .default([]),
  stays: z.array(z.object({ id, kind: id, operations: z.array(operation).min(1) })).min(1),
  /** Pairs that must not overlap in time. */
  apart: z.array(z.tuple([operation, operation])).optional(),
  /** One unit from the start of one operation to the end of another. */
  hold: z
    .array(
      z.object({
        from: operation,
        to: z
          .string({ error: fault('hold-without-end') })
          .min(1, fault('hold-without-end'))
          .transform(toOperationId),
        equipment: id,
      }),
    )
    .optional(),
  /** Spans an operation must not lie in, not even with a part of it. */
  notDuring: z
    .array(
      z
        .object({ operation, from: wholeMinute, to: wholeMinute })
        .refine(({ from, to }) => from < to, { path: ['to'], message: fault('ends-before-it-begins') }),
    )
    .optional(),
})

const weightTerm = z.number().nonnegative().default(0)

export const problemShape = z.object({
  format: z.literal(PROBLEM_FORMAT),
  timezone: z.string().refine(isZone, fault('time-zone')),
  origin: wholeMinute,
  slotMinutes: z.int().min(1),
  horizonDays: z.int().min(1).max(3660),
  objective: z.object({ tardiness: weightTerm, hold: weightTerm, finish: weightTerm, makespan: weightTerm }),
  calendars: z.record(z.string(), calendarSchema),
  /** What a minute of an offsite stay counts of one in a bay; as much as there where nothing is said. */
  offsiteCost: z.number().nonnegative(fault('not-negative')).optional(),
  equipment: z
    .array(z.object({ id, capacity: z.int().min(1).default(1), calendar: id.default('always') }))
    .optional(),
  places: z.array(
    z.object({
      id: bay,
      kinds: z.array(id).min(1),
      capacity: z.int().min(1).default(1),
      calendar: id,
      /** Places of one air: where one car raises dust, nothing of another lies open to it. */
      air: id.optional(),
    }),
  ),
  people: z.array(z.object({ id: person, skills: z.array(id), calendar: id })),
  jobs: z.array(jobSchema),
  fixed: z
    .array(
      z.object({
        job,
        operation,
        start: wholeMinute,
        people: z.array(person).optional(),
        place: bay.optional(),
      }),
    )
    .default([]),
})

export type ProblemFile = z.infer<typeof problemShape>
export type FileJob = ProblemFile['jobs'][number]

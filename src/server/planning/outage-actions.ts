'use server'

import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { type Answer, done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toJobId, toOperationId, toPersonId } from '@/core/ids'
import { id } from '@/core/inputs'
import {
  type CarEvent,
  type Foreseen,
  floorAfter,
  frozenWashes,
  isCounterOpen,
  type Outage,
  openJobs,
  type Proposal,
  takesLonger,
  withLent,
} from '@/core/planning'
import { carInput, lentInput, outageInput, spanOf, timesInput } from '@/core/planning/outage-told'
import { unreachable } from '@/core/result'
import { everyone, type Setup } from '@/core/shop'
import { atLocal, dayIn, daysBetween, type Instant, localDayOrThrow } from '@/core/time'
import { defineAction } from '../action/define'
import { compute } from '../compute/compute'
import { loadFloor } from '../floor/floor'
import { loadShop } from '../shop/shop-store'
import { endOutage } from './outage-store'
import { keepProposal, type WorkedOut } from './proposal'

/** Who is away for longer does not work here (mem). */
const LONGEST_DAYS = 366

type Foretold = Refusal | { ok: true; worked: WorkedOut }

const foretell = async (at: Parameters<typeof dayIn>[1], what: Foreseen): Promise<Foretold> => ({
  ok: true,
  worked: await compute('work-out', at, what),
})

const keep = async (trx: Parameters<typeof keepProposal>[0], told: Foretold): Promise<Answer<Proposal>> =>
  told.ok ? done(await keepProposal(trx, told.worked)) : told

function spanFault(
  { from, until }: { from: Instant; until: Instant },
  zone: string,
  at: Instant,
): Refusal | undefined {
  if (until <= from) return refuse('input', ask('end-after-begin'), 'until')
  if (until <= at) return refuse('input', ask('over-already'), 'until')
  return daysBetween(dayIn(zone, from), dayIn(zone, until)) > LONGEST_DAYS
    ? refuse('input', ask('longer-than-a-year'), 'until')
    : undefined
}

function isThere(setup: Setup, { kind, id: of }: Extract<Outage['what'], { id: string }>): boolean {
  if (kind === 'equipment') return setup.equipment[of] !== undefined
  return (kind === 'place' ? setup.places : everyone(setup)).some((each) => each.id === of)
}

/** Works out what it would change that somebody is away, a bay or a piece of equipment is out of use or the air is too damp to coat. It holds only when that plan is taken. */
export const foresee = defineAction({
  name: 'planning.foresee-outage',
  who: 'manage',
  input: outageInput,
  prepare: async ({ db, at }, { what, ...times }): Promise<Foretold> => {
    const { setup } = await loadShop(db)
    if ('id' in what && !isThere(setup, what)) return refuse('gone', ask('shop-thing-gone'), 'id')
    const { from, until } = spanOf(times, setup.region.timezone)
    const wrong = spanFault({ from, until }, setup.region.timezone, at)
    if (wrong) return wrong
    return foretell(at, { kind: 'outage', outage: { id: randomUUID(), what, from, until } })
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Works out what it would change that it freezes: washes outside become washes without a hose inside. */
export const foreseeFrost = defineAction({
  name: 'planning.foresee-frost',
  who: 'manage',
  input: timesInput,
  prepare: async ({ db, at }, times): Promise<Foretold> => {
    const floor = await loadFloor(db, at)
    const span = spanOf(times, floor.shop.setup.region.timezone)
    if (span.until <= span.from) return refuse('input', ask('end-after-begin'), 'until')
    const changes = frozenWashes(openJobs(floor), span, at)
    if (changes.length === 0) return refuse('gone', ask('no-wash-outside'), 'from')
    return foretell(at, { kind: 'work', changes, cause: 'frost' })
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Works out what it would change that a step takes longer than was planned, or less long. */
export const foreseeLonger = defineAction({
  name: 'planning.foresee-longer',
  who: 'manage',
  input: z.strictObject({
    job: z.string().max(80),
    operation: z.string().min(1, ask('step')).max(80).transform(toOperationId),
    minutes: z
      .number(ask('longer-minutes'))
      .int(ask('longer-whole-minutes'))
      .min(-600, ask('longer-too-long'))
      .max(2880, ask('longer-two-days'))
      .refine((minutes) => minutes !== 0, ask('longer-minutes')),
  }),
  prepare: async ({ db, at }, { job, operation, minutes }): Promise<Foretold> => {
    const live = openJobs(await loadFloor(db, at)).find((each) => each.id === job)
    const change = live && takesLonger(live, operation, minutes)
    return change
      ? foretell(at, { kind: 'work', changes: [change], cause: 'step-takes-longer' })
      : refuse('gone', ask('step-not-to-do'), 'operation')
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Works out what it would change that something happens to one car: it comes at another time, is needed sooner, waits for a part. */
export const foreseeForCar = defineAction({
  name: 'planning.foresee-for-car',
  who: 'manage',
  input: carInput,
  prepare: async ({ db, at }, told): Promise<Foretold> => {
    const floor = await loadFloor(db, at)
    const entry = floor.jobs.find(({ job }) => job.id === told.job)
    if (!entry?.live || entry.stage.kind === 'handed-over') return refuse('gone', ask('job-gone'), 'job')
    const zone = floor.shop.setup.region.timezone
    const when = 'at' in told ? atLocal(zone, localDayOrThrow(told.at.day), told.at.time) : undefined
    if (when && when <= at)
      return refuse('input', ask(told.kind === 'back' ? 'away-due-past' : 'time-past'), 'at')
    if (told.kind === 'urgent' && !isCounterOpen(floor.shop.setup, when!))
      return refuse('input', ask('counter-closed'), 'at')
    const event = eventOf(told, when!)
    return floorAfter(floor, event)
      ? foretell(at, { kind: 'car', event })
      : refuse('gone', ask(NOT_NOW[told.kind]), 'operation' in told ? 'operation' : 'job')
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Why something can no longer be said of a car, by what it is. */
const NOT_NOW = {
  back: 'away-not-now',
  comes: 'car-has-begun',
  'stays-away': 'car-has-begun',
  urgent: 'job-gone',
  'part-missing': 'step-not-to-do',
} as const

/** `at`: the moment that is told, where one is. */
function eventOf(told: z.output<typeof carInput>, at: Instant): CarEvent {
  const { job } = told
  switch (told.kind) {
    case 'back':
      return { kind: told.kind, job, operation: told.operation, dueBack: at }
    case 'comes':
      return { kind: told.kind, job, at }
    case 'stays-away':
      return { kind: told.kind, job }
    case 'urgent':
      return { kind: told.kind, job, by: at }
    case 'part-missing': {
      const { what, supplier, operation, by } = told
      return { kind: told.kind, job, operation, by, awaited: { what, supplier, due: at } }
    }
    default:
      return unreachable(told)
  }
}

/** Works out what it would change that somebody is lent to the shop. */
export const foreseeLent = defineAction({
  name: 'planning.foresee-lent',
  who: 'manage',
  input: lentInput,
  prepare: async ({ db, at }, { name, like, ...times }): Promise<Foretold> => {
    const { setup } = await loadShop(db)
    const { from, until } = spanOf(times, setup.region.timezone)
    const wrong = spanFault({ from, until }, setup.region.timezone, at)
    if (wrong) return wrong
    if (everyone(setup).some((each) => each.name.toLowerCase() === name.toLowerCase()))
      return refuse('input', ask('same-names'), 'name')
    const lent = { id: toPersonId(`lent-${randomUUID()}`), name, like, from, until }
    return withLent(setup, lent)
      ? foretell(at, { kind: 'lent', lent })
      : refuse('gone', ask('shop-thing-gone'), 'like')
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Somebody is back, a bay is in use again, or the air is dry. The plan that stands stays until it is re-planned. */
export const isBack = defineAction({
  name: 'planning.end-outage',
  who: 'manage',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, outage) => {
    await endOutage(trx, outage.id, at)
    return done()
  },
})

/** Works out what it would change to place one car anew, so that its promise is surer. */
export const foreseeSurer = defineAction({
  name: 'planning.foresee-surer',
  who: 'manage',
  input: z.strictObject({ job: z.string().min(1).max(80) }),
  prepare: async ({ db, at }, { job }): Promise<Foretold> => {
    const floor = await loadFloor(db, at)
    if (!openJobs(floor).some(({ id }) => id === job)) return refuse('gone', ask('job-gone'), 'job')
    return foretell(at, { kind: 'surer', job: toJobId(job) })
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

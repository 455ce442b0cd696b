'use server'

import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import { type Answer, done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toJobId, toOperationId } from '@/core/ids'
import { id } from '@/core/inputs'
import { backThen, type Foreseen, frozenWashes, openJobs, type Proposal, takesLonger } from '@/core/planning'
import { backInput, outageInput, spanOf, timesInput } from '@/core/planning/outage-told'
import { everyone } from '@/core/shop'
import { atLocal, dayIn, daysBetween, localDayOrThrow } from '@/core/time'
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

/** Works out what it would change that somebody is away, a bay is out of use or the air is too damp to coat. It holds only when that plan is taken. */
export const foresee = defineAction({
  name: 'planning.foresee-outage',
  who: 'desk',
  input: outageInput,
  prepare: async ({ db, at }, { what, ...times }): Promise<Foretold> => {
    const { setup } = await loadShop(db)
    if (
      'id' in what &&
      !(what.kind === 'place' ? setup.places : everyone(setup)).some((each) => each.id === what.id)
    )
      return refuse('gone', ask('shop-thing-gone'), 'id')
    const { from, until } = spanOf(times, setup.region.timezone)
    if (until <= from) return refuse('input', ask('end-after-begin'), 'until')
    if (until <= at) return refuse('input', ask('over-already'), 'until')
    if (daysBetween(dayIn(setup.region.timezone, from), dayIn(setup.region.timezone, until)) > LONGEST_DAYS)
      return refuse('input', ask('longer-than-a-year'), 'until')
    return foretell(at, { kind: 'outage', outage: { id: randomUUID(), what, from, until } })
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Works out what it would change that it freezes: washes outside become washes without a hose inside. */
export const foreseeFrost = defineAction({
  name: 'planning.foresee-frost',
  who: 'desk',
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
  who: 'desk',
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

/** Works out what it would change that something comes back at another time than was said. */
export const foreseeLate = defineAction({
  name: 'planning.foresee-late',
  who: 'desk',
  input: z.strictObject({
    job: z.string().min(1, ask('what-is-late')).max(80).transform(toJobId),
    operation: z.string().min(1, ask('what-is-late')).max(80).transform(toOperationId),
    back: backInput,
  }),
  prepare: async ({ db, at }, { job, operation, back }): Promise<Foretold> => {
    const floor = await loadFloor(db, at)
    const dueBack = atLocal(floor.shop.setup.region.timezone, localDayOrThrow(back.day), back.time)
    if (dueBack <= at) return refuse('input', ask('away-due-past'), 'back')
    const live = openJobs(floor).find((each) => each.id === job)
    const late = { job, operation, dueBack }
    return live && backThen(live, late)
      ? foretell(at, { kind: 'late', late })
      : refuse('gone', ask('away-not-now'), 'operation')
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

/** Somebody is back, a bay is in use again, or the air is dry. The plan that stands stays until it is re-planned. */
export const isBack = defineAction({
  name: 'planning.end-outage',
  who: 'desk',
  input: z.strictObject({ id }),
  write: async ({ trx, at }, outage) => {
    await endOutage(trx, outage.id, at)
    return done()
  },
})

/** Works out what it would change to place one car anew, so that its promise is surer. */
export const foreseeSurer = defineAction({
  name: 'planning.foresee-surer',
  who: 'desk',
  input: z.strictObject({ job: z.string().min(1).max(80) }),
  prepare: async ({ db, at }, { job }): Promise<Foretold> => {
    const floor = await loadFloor(db, at)
    if (!openJobs(floor).some(({ id }) => id === job)) return refuse('gone', ask('job-gone'), 'job')
    return foretell(at, { kind: 'surer', job: toJobId(job) })
  },
  write: ({ trx }, _, told) => keep(trx, told),
})

import { z } from 'zod'
import { ask } from '../asks'
import { toBayId, toJobId, toOperationId, toPersonId } from '../ids'
import { aPerson } from '../inputs'
import { atLocal, type Instant, isLocalDay, localDayOrThrow } from '../time'
import { EQUIPMENT_KINDS } from './equipment'

/** What is told of something that goes otherwise than planned. */

const moment = (end: 'from' | 'until') =>
  z.strictObject({
    day: z.string().max(10).refine(isLocalDay, ask('outage-day', { end })),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, ask('outage-time', { end })),
  })

const aCar = z.string().min(1, ask('which-car')).max(80).transform(toJobId)
const aStep = z.string().min(1, ask('step')).max(80).transform(toOperationId)

const times = { from: moment('from'), until: moment('until') }

export const timesInput = z.strictObject(times)
type Times = z.input<typeof timesInput>

const out = z.string().min(1, ask('who-or-what')).max(80)

export const outageInput = z.strictObject({
  what: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('person'), id: out.transform(toPersonId) }),
    z.strictObject({ kind: z.literal('place'), id: out.transform(toBayId) }),
    z.strictObject({ kind: z.literal('extra'), id: out.transform(toPersonId) }),
    z.strictObject({ kind: z.literal('equipment'), id: z.enum(EQUIPMENT_KINDS, ask('who-or-what')) }),
    z.strictObject({ kind: z.literal('air') }),
    z.strictObject({ kind: z.literal('power') }),
  ]),
  ...times,
})
export type TypedOutage = z.input<typeof outageInput>

/** What is told of one car. */
export const carInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('back'),
    job: z.string().min(1, ask('what-is-late')).max(80).transform(toJobId),
    operation: z.string().min(1, ask('what-is-late')).max(80).transform(toOperationId),
    at: moment('until'),
  }),
  z.strictObject({ kind: z.literal('comes'), job: aCar, at: moment('from') }),
  z.strictObject({ kind: z.literal('stays-away'), job: aCar }),
  z.strictObject({ kind: z.literal('urgent'), job: aCar, at: moment('until') }),
  z.strictObject({
    kind: z.literal('part-missing'),
    job: z.string().min(1, ask('step')).max(80).transform(toJobId),
    operation: aStep,
    by: aPerson,
    what: z.string().trim().min(1, ask('what-is-missing')).max(80),
    supplier: z.string().trim().min(1, ask('order-supplier')).max(80),
    at: moment('until'),
  }),
])
export type TypedCarEvent = z.input<typeof carInput>

/** Somebody who is lent to the shop. */
export const lentInput = z.strictObject({
  name: z.string().trim().min(1, ask('lent-name')).max(60),
  like: z.string().min(1, ask('lent-like')).max(80).transform(toPersonId),
  ...times,
})

/** The stretch of time that was told, on the shop's clock. */
export function spanOf({ from, until }: Times, zone: string): { from: Instant; until: Instant } {
  const at = ({ day, time }: Times['from']) => atLocal(zone, localDayOrThrow(day), time)
  return { from: at(from), until: at(until) }
}

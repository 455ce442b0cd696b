import { z } from 'zod'
import { ask } from '../asks'
import { toBayId, toPersonId } from '../ids'
import { atLocal, type Instant, isLocalDay, localDayOrThrow } from '../time'

/** What is told of something that goes otherwise than planned. */

const moment = (end: 'from' | 'until') =>
  z.strictObject({
    day: z.string().max(10).refine(isLocalDay, ask('outage-day', { end })),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, ask('outage-time', { end })),
  })

/** When something is back by what is said now. */
export const backInput = moment('until')

const times = { from: moment('from'), until: moment('until') }

export const timesInput = z.strictObject(times)
type Times = z.input<typeof timesInput>

const out = z.string().min(1, ask('who-or-what')).max(80)

export const outageInput = z.strictObject({
  what: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('person'), id: out.transform(toPersonId) }),
    z.strictObject({ kind: z.literal('place'), id: out.transform(toBayId) }),
    z.strictObject({ kind: z.literal('extra'), id: out.transform(toPersonId) }),
    z.strictObject({ kind: z.literal('air') }),
    z.strictObject({ kind: z.literal('power') }),
  ]),
  ...times,
})
export type TypedOutage = z.input<typeof outageInput>

/** The stretch of time that was told, on the shop's clock. */
export function spanOf({ from, until }: Times, zone: string): { from: Instant; until: Instant } {
  const at = ({ day, time }: Times['from']) => atLocal(zone, localDayOrThrow(day), time)
  return { from: at(from), until: at(until) }
}

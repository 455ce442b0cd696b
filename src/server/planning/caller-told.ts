import { z } from 'zod'
import { ask } from '@/core/asks'
import { day, id } from '@/core/inputs'
import { TOLD_STATES } from '@/core/planning'
import type { Enquiry } from '@/core/planning/caller'
import { atLocal } from '@/core/time'
import { SHAPES } from '@/core/vehicle'

/** What a caller says of a car nobody has seen, and when it can come. */
export const callerTold = z.strictObject({
  shape: z.enum(SHAPES),
  state: z.enum(TOLD_STATES),
  packageKey: id,
  day: day(ask('enquiry-day')),
  time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, ask('enquiry-time')),
})

export const enquiryOf = (
  { day: arriveDay, time, ...told }: z.output<typeof callerTold>,
  zone: string,
): Enquiry => ({ ...told, arrive: atLocal(zone, arriveDay, time) })

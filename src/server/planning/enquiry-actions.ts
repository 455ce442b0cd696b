'use server'

import { z } from 'zod'
import { TOLD_STATES } from '@/core/planning'
import { atLocal, dayIn, isLocalDay, localDayOrThrow } from '@/core/time'
import { SHAPES } from '@/core/vehicle'
import { requestFloor } from '../floor/request-floor'
import { answerCaller, type EnquiryAnswer } from './enquiry'

const typedEnquiry = z.strictObject({
  shape: z.enum(SHAPES),
  state: z.enum(TOLD_STATES),
  packageKey: z.string(),
  day: z.string().refine(isLocalDay, 'Choose the day on which the car can come.'),
  time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Type the time at which it can come, such as 08:30.'),
})
export type TypedEnquiry = z.input<typeof typedEnquiry>

export type CallerAnswer = EnquiryAnswer | { kind: 'refused'; field: 'day' | 'time'; message: string }

/** When a caller’s car could be fetched. Nothing is kept. */
export async function askWhen(typed: TypedEnquiry): Promise<CallerAnswer> {
  const read = typedEnquiry.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'refused', field: issue!.path[0] === 'time' ? 'time' : 'day', message: issue!.message }
  }
  const floor = await requestFloor()
  const { day, time, ...told } = read.data
  const { timezone } = floor.shop.setup
  if (localDayOrThrow(day) < dayIn(timezone, floor.now))
    return { kind: 'refused', field: 'day', message: 'This day is past. Choose today or a later one.' }
  const arrive = atLocal(timezone, localDayOrThrow(day), time)
  return answerCaller(floor, { ...told, arrive })
}

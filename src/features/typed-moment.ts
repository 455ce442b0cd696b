import type { Region } from '@/core/region'
import { atLocal, clockIn, dayIn, type Instant, isClock, isLocalDay, localDayOrThrow } from '@/core/time'
import type { TypedMoment } from '@/ui/moment-input'

/** A moment as it is typed on the shop’s clock, and back; undefined where what was typed is none. */

export const typedAt = ({ timezone }: Pick<Region, 'timezone'>, at: Instant): TypedMoment => ({
  day: dayIn(timezone, at),
  time: clockIn(timezone, at),
})

export function momentOf(
  { timezone }: Pick<Region, 'timezone'>,
  { day, time }: TypedMoment,
): Instant | undefined {
  return isLocalDay(day) && isClock(time) ? atLocal(timezone, localDayOrThrow(day), time) : undefined
}

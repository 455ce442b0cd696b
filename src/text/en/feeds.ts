import type { FeedWords } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { screenMoment } from '../formats'
import { stepTitle } from './step-names'

/** How the calendars of the staff are called, and what stands in them. */
export const feedWords = (region: Region): FeedWords & { whole: string; held: (name: string) => string } => ({
  whole: 'who comes and goes',
  held: (name) => `${name} (held)`,
  step: (plate, name) => `${plate}: ${stepTitle(region, name)}`,
  inTheBay: (plate) => `${plate} in the bay`,
  comesIn: (plate) => `${plate} comes in`,
  isPromised: (plate) => `${plate} is promised`,
})

export const NO_SUCH_CALENDAR =
  'There is no such calendar, or its address was revoked. Ask the shop for a new one.'

/** When an address of a calendar was made, and whether anybody still reads it. */
export const feedLinkText = (
  region: Region,
  { madeAt, readAt }: { madeAt: Instant; readAt: Instant | undefined },
  now: Instant,
): string =>
  `made ${screenMoment(region, madeAt, now)}, ${readAt ? `last read ${screenMoment(region, readAt, now)}` : 'not read yet'}`

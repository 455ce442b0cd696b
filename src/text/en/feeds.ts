import type { FeedWords } from '@/core/planning'
import type { Region } from '@/core/region'
import { stepTitle } from './step-names'

/** How the calendars of the staff are called, and what stands in them. */
export const feedWords = (region: Region): FeedWords & { whole: string } => ({
  whole: 'who comes and goes',
  step: (plate, name) => `${plate}: ${stepTitle(region, name)}`,
  inTheBay: (plate) => `${plate} in the bay`,
  comesIn: (plate) => `${plate} comes in`,
  isPromised: (plate) => `${plate} is promised`,
})

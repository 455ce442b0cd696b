import type { FeedWords } from '@/core/planning'
import type { Region } from '@/core/region'
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

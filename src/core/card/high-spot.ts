import { type Instant, minutesBetween } from '../time'
import type { HighSpotRemedy } from './act'

/** Until so long after the end of its layer a smear still softens under the same coating (common practice: within a day). */
export const RE_WET_MINUTES = 24 * 60
/** Before it flashes a smear is simply levelled with what is at hand (mem). */
export const STILL_SOFT_MINUTES = 30

export type HighSpotAdvice = {
  remedy: HighSpotRemedy
  /** Minutes since the layer ended. */
  ageMinutes: number
  /** Minutes for which this remedy still holds; absent where it always does. */
  minutesLeft?: number
  what: string
}

/** What to do about a smear found at `now` in a layer that ended at `ended`. */
export function highSpotAdvice(ended: Instant, now: Instant): HighSpotAdvice {
  const ageMinutes = Math.max(0, minutesBetween(ended, now))
  const minutesLeft = RE_WET_MINUTES - ageMinutes
  if (ageMinutes <= STILL_SOFT_MINUTES)
    return {
      remedy: 're-wet',
      ageMinutes,
      minutesLeft,
      what: 'Level it at once with a drop of the same coating on a fresh towel, then buff with a second.',
    }
  if (minutesLeft > 0)
    return {
      remedy: 're-wet',
      ageMinutes,
      minutesLeft,
      what: 'Re-wet the smear with the same coating, wait for the flash, level and buff with fresh towels, and look at eye level.',
    }
  return {
    remedy: 'recoat',
    ageMinutes,
    what: 'It has hardened: polish it off, wipe the panel, and coat that panel again within the limits of the bay’s air.',
  }
}

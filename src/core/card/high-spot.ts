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
  /** Whether it has not flashed yet. */
  soft: boolean
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
      soft: true,
    }
  if (minutesLeft > 0)
    return {
      remedy: 're-wet',
      ageMinutes,
      minutesLeft,
      soft: false,
    }
  return {
    remedy: 'recoat',
    ageMinutes,
    soft: false,
  }
}

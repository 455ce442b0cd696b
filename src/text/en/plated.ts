import { partOfPhoto } from '@/core/photo'
import type { Region } from '@/core/region'
import type { Phase } from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import { shortDay } from '../formats'
import { placeTitle } from '../panels'

/** A photograph by what it shows, when it was taken and on which day. */
export function platedName(
  region: Region,
  { place, phase, takenAt }: { place: string; phase: Phase; takenAt: Instant },
): string {
  const what = partOfPhoto({ place }) === undefined ? placeTitle(region, place) : 'A part that came off'
  return `${what}, ${phase} the work, ${shortDay(region, dayIn(region.timezone, takenAt))}`
}

import type { Region } from '@/core/region'
import { number } from '../formats'

const UNITS = ['kB', 'MB', 'GB', 'TB'] as const

/** Room on a disk as one says it. */
export function bytesText(region: Region, bytes: number): string {
  let value = bytes / 1000
  let unit = 0
  while (value >= 1000 && unit < UNITS.length - 1) {
    value /= 1000
    unit += 1
  }
  return `${number(region, value, value < 10 ? 1 : 0)} ${UNITS[unit]}`
}

/** Less than this is as good as nothing, bytes (mem). */
const NOTHING = 1e6

/** What the yard says of a disk on which room is short. */
export const shortOfRoom = (region: Region, freeBytes: number): string =>
  freeBytes < NOTHING
    ? 'The disk is full: nothing more can be written down until there is room.'
    : `Only ${bytesText(region, freeBytes)} are left on the disk.`

const FAULT_WORDS: Record<string, (which: string) => string> = {
  action: (which) => `Something that was asked for could not be done (${which}).`,
  round: () => 'What the shop does by itself was broken off, and is tried again.',
  thread: (which) => `A computation ended early (${which}).`,
  request: (which) => `A page could not be shown (${which}).`,
}

export const faultText = ({ what, which }: { what: string; which: string }): string =>
  (FAULT_WORDS[what] ?? FAULT_WORDS.request)!(which)

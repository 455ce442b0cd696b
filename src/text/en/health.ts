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

const FAULT_WORDS: Record<string, (which: string) => string> = {
  action: (which) => `Something that was asked for could not be done (${which}).`,
  round: () => 'What the shop does by itself was broken off, and is tried again.',
  thread: (which) => `A computation ended early (${which}).`,
  request: (which) => `A page could not be shown (${which}).`,
}

export const faultText = ({ what, which }: { what: string; which: string }): string =>
  (FAULT_WORDS[what] ?? FAULT_WORDS.request)!(which)

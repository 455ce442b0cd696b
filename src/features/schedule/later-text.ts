import type { Collection } from '@/core/planning/caller'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'

/** What mostly makes it later than planned. */
export function laterText(
  { title, waits, other }: NonNullable<Collection['hangsOn']>,
  { region, now }: { region: Region; now: Instant },
): string {
  const step = `“${stepTitle(region, title)}”${other ? ` on ${other.plate} (${moment(region, other.at, now)})` : ''}`
  return waits
    ? `When it gets later, it is mostly ${step} that no longer fits into the shift.`
    : `When it gets later, it is mostly ${step} that took longer.`
}

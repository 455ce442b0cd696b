import type { JobKind } from '@/core/job'
import type { Region } from '@/core/region'
import { list } from '../formats'
import { staffPanelName } from './staff-panels'

/** What the staff call the short jobs of the years after. */
export const SHORT_NAME: Record<Exclude<JobKind, 'work'>, string> = {
  visit: 'Care visit',
  repair: 'Coating repair',
}

/** A stay at which nothing was agreed. */
export const ONLY_INSPECTED = 'Inspected'

/** What a short job is for, where nobody wrote it down. */
export const SHORT_WISH = {
  unannounced: 'Came in for an inspection.',
  visit: 'Inspection of the coating, wash and topper.',
  repair: (region: Region, panels: readonly string[]) =>
    `Recoat: ${list(
      region,
      panels.map((panel) => staffPanelName(region, panel)),
    )}.`,
}

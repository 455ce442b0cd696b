import type { Watched } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'

/** What is wrong with a promise or mostly makes it late, in a sentence. */
export function hangsOn(
  { plate, eater, readyAt, isShut }: Watched,
  region: Region,
  names: Record<string, string>,
  now: Instant,
): string {
  if (isShut) return 'The counter is closed then: tell the customer another time.'
  if (readyAt) return `As it stands, it is not ready before ${moment(region, readyAt, now)}.`
  if (!eater) return ''
  const whose = eater.plate === plate ? '' : ` on ${eater.plate}`
  const by = eater.people.map((id) => names[id] ?? id).join(' and ')
  const step = `“${stepTitle(region, eater.title)}”${whose} (${by}, ${moment(region, eater.at, now)})`
  return eater.waits
    ? `It hangs on ${step}: begun late, it no longer fits into the shift.`
    : `It hangs on ${step}: if that takes longer, the car is late.`
}

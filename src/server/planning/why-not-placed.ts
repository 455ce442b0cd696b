import type { JobPlan } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { readIn } from '@/core/region'
import type { ScheduleReason } from '@/core/schedule'
import { namesOf } from '@/core/shop'
import { placingReason } from '@/text/en/placing'

/** Why a plan finds no place beside the calendar as it stands, in the words of the staff. */
export function whyNotPlaced(
  { shop: { setup }, now }: Floor,
  reasons: readonly ScheduleReason[],
  { operations }: Pick<JobPlan, 'operations'>,
): string {
  const shop = { region: readIn(setup.region, 'en'), now, names: namesOf(setup) }
  return reasons.map((reason) => placingReason(reason, operations, shop)).join(' ')
}

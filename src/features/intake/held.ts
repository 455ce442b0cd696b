import type { Intake } from '@/core/intake/intake'
import type { Hold } from '@/core/planning'
import type { Region } from '@/core/region'
import { dayIn } from '@/core/time'
import { TOLD_STATE_WORDS } from '@/text/en/enquiry'

/** What an intake need not ask again of a caller for whom a slot is held. */
export const intakeOfHold = (
  { id, name, phone, car, shape, state, packageName, bringAt }: Hold,
  region: Region,
): Partial<Intake> => ({
  hold: id,
  customerName: name,
  phone,
  shape,
  arriveDay: dayIn(region.timezone, bringAt),
  wishes: [
    packageName,
    `By telephone: ${[car, TOLD_STATE_WORDS[state].name.toLowerCase()].filter(Boolean).join(', ')}`,
  ].join('\n'),
})

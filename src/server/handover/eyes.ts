import { type Eyes, eyesFor } from '@/core/handover'
import type { LiveJob } from '@/core/job'
import type { Floor } from '@/core/planning'
import { dayIn } from '@/core/time'

/** Who of the shop may inspect this car now. */
export function eyesOf({ shop, now }: Pick<Floor, 'shop' | 'now'>, { plan, progress }: LiveJob): Eyes {
  const { people, inspector, region } = shop.setup
  const zone = region.timezone
  return eyesFor({
    staff: people,
    plan,
    progress,
    rule: inspector.rule,
    manager: people.find(({ id }) => id === inspector.manager)?.id,
    today: dayIn(zone, now),
    zone,
  })
}

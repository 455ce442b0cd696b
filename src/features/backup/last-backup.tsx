import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { moment } from '@/text/formats'
import { Link } from '@/ui/link'

/** When the shop was last copied whole: at the foot of the yard, for whoever answers for it. */
export function LastBackup({ at, region, now }: { at: Instant; region: Region; now: Instant }) {
  return (
    <p className="px-5 pb-5 text-sm text-ink-soft">
      <Link href="/shop/backups">Last backup</Link>: {moment(region, at, now)}
    </p>
  )
}

import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { paperMoment } from '@/text/formats'
import { Link } from '@/ui/link'

/** Told on the yard when two nights went by without a backup. */
export function BackupMissed({ last, region }: { last: Instant | undefined; region: Region }) {
  return (
    <section role="status" className="mb-3 border-l-4 border-copper bg-copper/10 px-4 py-3">
      {last
        ? `The last backup is from ${paperMoment(region, last)}.`
        : 'There is no backup of this shop yet.'}{' '}
      If this disk broke, what was written since would be lost. <Link href="/shop/backups">See to it</Link>.
    </section>
  )
}

'use client'

import type { PrivateLink } from '@/core/handover'
import type { VehicleId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { PrivateLinks } from '@/features/links/private-links'
import { closePage, makePage } from '@/server/messages/message-actions'

type Props = { vehicleId: VehicleId; links: readonly PrivateLink[]; region: Region; now: Instant }

/** Private pages of the owner. */
export function OwnerPages({ vehicleId, ...shown }: Props) {
  return (
    <div className="mt-2">
      <p className="text-[15px] text-ink-soft">
        Their car, its calendar, before and after, what to do and not to do, and a way to ask for a visit.
        Nothing of anybody else.
      </p>
      <PrivateLinks
        {...shown}
        label="Create private page"
        testId="owner-page"
        subject={{ vehicleId }}
        make={makePage}
        takeBack={closePage}
      />
    </div>
  )
}

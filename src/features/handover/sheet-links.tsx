'use client'

import type { PrivateLink } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { PrivateLinks } from '@/features/links/private-links'
import { makePrivateLink, revokePrivateLink } from '@/server/handover/handover-actions'

type Props = { jobId: JobId; links: readonly PrivateLink[]; region: Region; now: Instant }

/** Links by which a customer reads the sheet of their car, and nothing else. */
export function SheetLinks({ jobId, ...shown }: Props) {
  return (
    <PrivateLinks
      {...shown}
      label="A private link for the customer"
      testId="private-link"
      subject={{ jobId }}
      make={makePrivateLink}
      takeBack={revokePrivateLink}
    />
  )
}

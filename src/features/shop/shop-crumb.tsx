'use client'

import { PatientLink } from '@/ui/patient-link'
import { useOnward } from './setting-up'

/** The way back to the shop's own page; none while a new shop is being led through its set-up. */
export function ShopCrumb() {
  return useOnward() ? null : (
    <p>
      <PatientLink className="inline-flex min-h-11 items-center underline underline-offset-4" href="/shop">
        How this shop works
      </PatientLink>
    </p>
  )
}

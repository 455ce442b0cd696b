'use client'

import type { Shown } from '@/core/photo'
import type { Panel } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { later } from '@/ui/later'
import { useRegion } from '@/ui/region'
import type { Photos } from '../photos/use-photos'

// The album is large and seldom open at the car: it comes when it is asked for.
const PhotoStrip = later(
  () => import('../photos/photo-strip').then(({ PhotoStrip: strip }) => strip),
  // A line, and the camera below it.
  '5.0625rem',
)

type Props = { album: Photos; panel: Panel; marks: readonly Shown[] | undefined }

/** The photographs of the panel in hand, and the camera for one more. */
export function PanelPhotos({ album, panel, marks }: Props) {
  const region = useRegion()
  return (
    <PhotoStrip
      album={album}
      place={panel.id}
      placeName={staffPanel(region, panel.id)}
      phase="after"
      readOnly={false}
      {...(marks ? { marks } : {})}
    />
  )
}

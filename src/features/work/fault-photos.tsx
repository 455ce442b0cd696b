import { inspectedPlace } from '@/text/en/step-names'
import { useRegion } from '@/ui/region'
import { PhotoStrip } from '../photos/photo-strip'
import type { Photos } from '../photos/use-photos'

/** The photographs of a place that was sent back, to look at. */
export function FaultPhotos({ album, place }: { album: Photos; place: string }) {
  const region = useRegion()
  if (!album.photos.some((photo) => photo.place === place)) return null
  return (
    <PhotoStrip
      album={album}
      place={place}
      placeName={inspectedPlace(region, place)}
      phase="after"
      readOnly
    />
  )
}

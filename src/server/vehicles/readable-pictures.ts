import sharp from 'sharp'
import type { VehicleHistory } from '@/core/history'

/** px; pictures in a history are small. */
const MOST_PIXELS = 4_000_000

/** Whether all of a picture can be read, base64. */
const isWhole = (picture: string): Promise<boolean> =>
  sharp(Buffer.from(picture, 'base64'), { failOn: 'error', limitInputPixels: MOST_PIXELS })
    .stats()
    .then(
      () => true,
      () => false,
    )

/** The same history without pictures that are cut off or none: no paper can be set with one. */
export async function withReadablePictures(history: VehicleHistory): Promise<VehicleHistory> {
  const stays: VehicleHistory['stays'] = []
  for (const stay of history.stays) {
    const photographs: typeof stay.photographs = []
    for (const { picture, ...photograph } of stay.photographs)
      photographs.push(picture && (await isWhole(picture)) ? { ...photograph, picture } : photograph)
    stays.push({ ...stay, photographs })
  }
  return { ...history, stays }
}

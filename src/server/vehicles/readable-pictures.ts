import type { VehicleHistory } from '@/core/history'
import { inDarkroom } from '../pictures/darkroom'

/** The same history without pictures that are cut off or none: no paper can be set with one. */
export async function withReadablePictures(history: VehicleHistory): Promise<VehicleHistory> {
  const pictures = history.stays.flatMap(({ photographs }) =>
    photographs.flatMap(({ picture }) => picture ?? []),
  )
  if (pictures.length === 0) return history
  const whole = await inDarkroom('whole', pictures)
  const readable = new Set(pictures.filter((_, at) => whole?.[at]))
  const stays = history.stays.map((stay) => ({
    ...stay,
    photographs: stay.photographs.map(({ picture, ...photograph }) =>
      picture && readable.has(picture) ? { ...photograph, picture } : photograph,
    ),
  }))
  return { ...history, stays }
}

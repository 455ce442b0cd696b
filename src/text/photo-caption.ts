import type { ShownPhoto } from '@/core/offer'
import { partOfPhoto } from '@/core/photo/part-photo'
import type { Region } from '@/core/region'
import { markName } from './marks'
import { placeTitle } from './panels'

/** What a photograph is of, for whoever reads it; empty where nobody knows what came off the car there. */
export function photoCaption(reader: Region, { place, shows, name }: Omit<ShownPhoto, 'hash'>): string {
  const where = name ?? (partOfPhoto({ place }) ? '' : placeTitle(reader, place))
  return [where, shows ? markName(reader, shows) : ''].filter(Boolean).join(': ')
}

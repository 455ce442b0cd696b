import type { Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { list } from '../formats'
import { placeName, placeTitle } from '../panels'

/** Panels as they stand before a colon, where names of parts need no article. */
export function panelsAhead(region: Region, { panels, everywhere }: OnPanels): string {
  if (everywhere) return 'Toute la carrosserie'
  const [first, ...others] = panels
  return list(region, [placeTitle(region, first!), ...others.map((id) => placeName(region, id))])
}

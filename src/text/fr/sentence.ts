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

/** What a customer has to know of an old repair. */
export const fillerUnder = (at: OnPanels, region: Region): string =>
  `${panelsAhead(region, at)} : il y a probablement du mastic sous la peinture. D’anciennes réparations peuvent apparaître une fois la surface nette.`

import type { Region } from '@/core/region'
import type { OnPanels } from '@/core/survey'
import { list } from '../formats'
import { placeTitle } from '../panels'

/** Panels as they stand before a colon, where they need neither article nor case. */
export const panelsAhead = (region: Region, { panels, everywhere }: OnPanels) =>
  everywhere
    ? 'Ganzes Fahrzeug'
    : list(
        region,
        panels.map((id) => placeTitle(region, id)),
      )

/** What a customer has to know of an old repair. */
export const fillerUnder = (at: OnPanels, region: Region) =>
  `${panelsAhead(region, at)}: Unter dem Lack liegt wahrscheinlich Spachtelmasse. Alte Reparaturen können sichtbar werden, sobald die Oberfläche klar ist.`

import { METRIC, type Region, type Units, US_CUSTOMARY } from './region'

/** Where a shop may stand, with how people write there: what a new shop starts from, and may change one by one. */

export type RegionOfPlace = Pick<Region, 'locale' | 'timezone' | 'currency' | 'clock' | 'units'> & {
  name: string
}

const place = (
  name: string,
  locale: string,
  timezone: string,
  currency: string,
  more: Partial<Pick<Region, 'clock' | 'units'>> = {},
): RegionOfPlace => ({ name, locale, timezone, currency, clock: '24-hour', units: METRIC, ...more })

/** Britain measures a car in metric units and its way in miles. */
const BRITISH: Units = { ...METRIC, distance: 'mi' }

/** Usual zone, currency and writing of each (CLDR); of a land of several zones the most populous. */
export const PLACES: readonly RegionOfPlace[] = [
  place('Australia', 'en-AU', 'Australia/Sydney', 'AUD', { clock: '12-hour' }),
  place('Austria', 'de-AT', 'Europe/Vienna', 'EUR'),
  place('Belgium (Dutch)', 'nl-BE', 'Europe/Brussels', 'EUR'),
  place('Belgium (French)', 'fr-BE', 'Europe/Brussels', 'EUR'),
  place('Canada (English)', 'en-CA', 'America/Toronto', 'CAD', { clock: '12-hour' }),
  place('Canada (French)', 'fr-CA', 'America/Toronto', 'CAD'),
  place('Czechia', 'cs-CZ', 'Europe/Prague', 'CZK'),
  place('Denmark', 'da-DK', 'Europe/Copenhagen', 'DKK'),
  place('Finland', 'fi-FI', 'Europe/Helsinki', 'EUR'),
  place('France', 'fr-FR', 'Europe/Paris', 'EUR'),
  place('Germany', 'de-DE', 'Europe/Berlin', 'EUR'),
  place('Ireland', 'en-IE', 'Europe/Dublin', 'EUR'),
  place('Italy', 'it-IT', 'Europe/Rome', 'EUR'),
  place('Luxembourg', 'fr-LU', 'Europe/Luxembourg', 'EUR'),
  place('Netherlands', 'nl-NL', 'Europe/Amsterdam', 'EUR'),
  place('New Zealand', 'en-NZ', 'Pacific/Auckland', 'NZD', { clock: '12-hour' }),
  place('Norway', 'nb-NO', 'Europe/Oslo', 'NOK'),
  place('Poland', 'pl-PL', 'Europe/Warsaw', 'PLN'),
  place('Portugal', 'pt-PT', 'Europe/Lisbon', 'EUR'),
  place('South Africa', 'en-ZA', 'Africa/Johannesburg', 'ZAR'),
  place('Spain', 'es-ES', 'Europe/Madrid', 'EUR'),
  place('Sweden', 'sv-SE', 'Europe/Stockholm', 'SEK'),
  place('Switzerland (French)', 'fr-CH', 'Europe/Zurich', 'CHF'),
  place('Switzerland (German)', 'de-CH', 'Europe/Zurich', 'CHF'),
  place('United Kingdom', 'en-GB', 'Europe/London', 'GBP', { units: BRITISH }),
  place('United States', 'en-US', 'America/New_York', 'USD', { clock: '12-hour', units: US_CUSTOMARY }),
]

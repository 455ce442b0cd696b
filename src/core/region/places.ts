import { METRIC, type Region, type Units, US_CUSTOMARY } from './region'

/** Where a shop may stand, with how people write there: what a new shop starts from, and may change one by one. */

export type RegionOfPlace = Pick<Region, 'locale' | 'timezone' | 'currency' | 'clock' | 'units'> & {
  name: string
  tax: PlaceTax
}

/** The tax on sales there: what it is called and its standard rate, percent, as remembered in 2026 (mem); the shop types its own. */
export type PlaceTax = { name: string; percent: number }

const place = (
  name: string,
  locale: string,
  timezone: string,
  currency: string,
  tax: PlaceTax,
  more: Partial<Pick<Region, 'clock' | 'units'>> = {},
): RegionOfPlace => ({ name, locale, timezone, currency, tax, clock: '24-hour', units: METRIC, ...more })

const tax = (called: string, rate: number): PlaceTax => ({ name: called, percent: rate })

/** Britain measures a car in metric units and its way in miles. */
const BRITISH: Units = { ...METRIC, distance: 'mi' }

const IRELAND = place('Ireland', 'en-IE', 'Europe/Dublin', 'EUR', tax('VAT', 23))

/** How a file or a terminal is written, whatever shop it is about: in English, metric, on a 24-hour clock. */
export const plainRegion = (timezone: string): Region => {
  const { locale, currency, clock, units } = IRELAND
  return { locale, timezone, currency, clock, units, language: 'en' }
}

/** Usual zone, currency and writing of each (CLDR); of a land of several zones the most populous. */
export const PLACES: readonly RegionOfPlace[] = [
  place('Australia', 'en-AU', 'Australia/Sydney', 'AUD', tax('GST', 10), { clock: '12-hour' }),
  place('Austria', 'de-AT', 'Europe/Vienna', 'EUR', tax('MwSt.', 20)),
  place('Belgium (Dutch)', 'nl-BE', 'Europe/Brussels', 'EUR', tax('btw', 21)),
  place('Belgium (French)', 'fr-BE', 'Europe/Brussels', 'EUR', tax('TVA', 21)),
  place('Canada (English)', 'en-CA', 'America/Toronto', 'CAD', tax('HST', 13), { clock: '12-hour' }),
  place('Canada (French)', 'fr-CA', 'America/Toronto', 'CAD', tax('TPS/TVQ', 14.975)),
  place('Czechia', 'cs-CZ', 'Europe/Prague', 'CZK', tax('DPH', 21)),
  place('Denmark', 'da-DK', 'Europe/Copenhagen', 'DKK', tax('moms', 25)),
  place('Finland', 'fi-FI', 'Europe/Helsinki', 'EUR', tax('ALV', 25.5)),
  place('France', 'fr-FR', 'Europe/Paris', 'EUR', tax('TVA', 20)),
  place('Germany', 'de-DE', 'Europe/Berlin', 'EUR', tax('MwSt.', 19)),
  IRELAND,
  place('Italy', 'it-IT', 'Europe/Rome', 'EUR', tax('IVA', 22)),
  place('Luxembourg', 'fr-LU', 'Europe/Luxembourg', 'EUR', tax('TVA', 17)),
  place('Netherlands', 'nl-NL', 'Europe/Amsterdam', 'EUR', tax('btw', 21)),
  place('New Zealand', 'en-NZ', 'Pacific/Auckland', 'NZD', tax('GST', 15), { clock: '12-hour' }),
  place('Norway', 'nb-NO', 'Europe/Oslo', 'NOK', tax('mva', 25)),
  place('Poland', 'pl-PL', 'Europe/Warsaw', 'PLN', tax('VAT', 23)),
  place('Portugal', 'pt-PT', 'Europe/Lisbon', 'EUR', tax('IVA', 23)),
  place('South Africa', 'en-ZA', 'Africa/Johannesburg', 'ZAR', tax('VAT', 15)),
  place('Spain', 'es-ES', 'Europe/Madrid', 'EUR', tax('IVA', 21)),
  place('Sweden', 'sv-SE', 'Europe/Stockholm', 'SEK', tax('moms', 25)),
  place('Switzerland (French)', 'fr-CH', 'Europe/Zurich', 'CHF', tax('TVA', 8.1)),
  place('Switzerland (German)', 'de-CH', 'Europe/Zurich', 'CHF', tax('MwSt.', 8.1)),
  place('United Kingdom', 'en-GB', 'Europe/London', 'GBP', tax('VAT', 20), { units: BRITISH }),
  place('United States', 'en-US', 'America/New_York', 'USD', tax('Sales tax', 0), {
    clock: '12-hour',
    units: US_CUSTOMARY,
  }),
]

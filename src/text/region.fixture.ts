import { METRIC, type Region, US_CUSTOMARY } from '@/core/region'

/** Six shops in six places, for whatever must read right in each. */

export const DUBLIN: Region = {
  locale: 'en-IE',
  timezone: 'Europe/Dublin',
  currency: 'EUR',
  clock: '24-hour',
  units: METRIC,
  language: 'en',
}
export const OHIO: Region = {
  locale: 'en-US',
  timezone: 'America/New_York',
  currency: 'USD',
  clock: '12-hour',
  units: US_CUSTOMARY,
  language: 'en',
}
export const BERLIN: Region = { ...DUBLIN, locale: 'de-DE', timezone: 'Europe/Berlin' }
export const LYON: Region = { ...DUBLIN, locale: 'fr-FR', timezone: 'Europe/Paris' }
export const ZURICH: Region = { ...DUBLIN, locale: 'de-CH', timezone: 'Europe/Zurich', currency: 'CHF' }
export const LEEDS: Region = {
  ...DUBLIN,
  locale: 'en-GB',
  timezone: 'Europe/London',
  currency: 'GBP',
  units: { ...METRIC, distance: 'mi' },
}

export const REGIONS = { DUBLIN, OHIO, BERLIN, LYON, ZURICH, LEEDS }

import { METRIC, type Region } from '@/core/region'

/** How the command line writes, whatever shop it is asked about: metric, 24 hours, UTC. */
export const PLAIN: Region = {
  locale: 'en-IE',
  timezone: 'UTC',
  currency: 'EUR',
  clock: '24-hour',
  units: METRIC,
  language: 'en',
}

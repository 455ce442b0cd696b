import { plainRegion } from '@/core/region'

/** How the command line writes, whatever shop it is asked about. */
export const PLAIN = plainRegion('UTC')

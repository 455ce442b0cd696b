import type { Region } from '@/core/region'

/** What English calls by two names, one on each side of the Atlantic. */
export type Terms = {
  bonnet: string
  boot: string
  bootShort: string
  wing: string
  quarter: string
  tailgate: string
  sill: string
  sills: string
  wheelArches: string
  windscreen: string
  mirrorCap: string
}

export const BRITISH: Terms = {
  bonnet: 'bonnet',
  boot: 'boot lid',
  bootShort: 'boot',
  wing: 'wing',
  quarter: 'rear quarter',
  tailgate: 'tailgate',
  sill: 'sill',
  sills: 'sills',
  wheelArches: 'wheel arches',
  windscreen: 'windscreen',
  mirrorCap: 'mirror cap',
}

export const AMERICAN: Terms = {
  bonnet: 'hood',
  boot: 'trunk lid',
  bootShort: 'trunk',
  wing: 'fender',
  quarter: 'quarter panel',
  tailgate: 'liftgate',
  sill: 'rocker panel',
  sills: 'rocker panels',
  wheelArches: 'wheel wells',
  windscreen: 'windshield',
  mirrorCap: 'mirror cap',
}

export const isAmerican = ({ locale }: Pick<Region, 'locale'>): boolean => locale === 'en-US'

export const termsOf = (region: Pick<Region, 'locale'>): Terms => (isAmerican(region) ? AMERICAN : BRITISH)

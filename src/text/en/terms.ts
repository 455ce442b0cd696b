import type { Region } from '@/core/region'

/** What English calls by two names, one on each side of the Atlantic. */
export type Terms = {
  bonnet: string
  boot: string
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
  wing: 'fender',
  quarter: 'quarter panel',
  tailgate: 'liftgate',
  sill: 'rocker panel',
  sills: 'rocker panels',
  wheelArches: 'wheel wells',
  windscreen: 'windshield',
  mirrorCap: 'mirror cap',
}

const AMERICAN_LOCALES = /^en-US$/

export const termsOf = ({ locale }: Pick<Region, 'locale'>): Terms =>
  AMERICAN_LOCALES.test(locale) ? AMERICAN : BRITISH

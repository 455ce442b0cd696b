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
  colour: string
  coloured: string
  tyre: string
  kerb: string
  grey: string
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
  colour: 'colour',
  coloured: 'coloured',
  tyre: 'tyre',
  kerb: 'kerb',
  grey: 'grey',
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
  colour: 'color',
  coloured: 'colored',
  tyre: 'tire',
  kerb: 'curb',
  grey: 'gray',
}

const AMERICAN_LOCALES = /^en-US$/

export const termsOf = ({ locale }: Pick<Region, 'locale'>): Terms =>
  AMERICAN_LOCALES.test(locale) ? AMERICAN : BRITISH

import type { Region } from '@/core/region'
import { isAmerican } from './terms'

/**
 * The catalogues are spelt as in Britain and Ireland. America spells some words otherwise, always in the same way, so that one
 * list turns a text into the other; parts of a car that have another name altogether are in `Terms`.
 */
const IN_AMERICA: Readonly<Record<string, string>> = {
  bonnet: 'hood',
  centre: 'center',
  colour: 'color',
  colours: 'colors',
  coloured: 'colored',
  estate: 'wagon',
  grey: 'gray',
  kerb: 'curb',
  kerbed: 'curbed',
  odour: 'odor',
  saloon: 'sedan',
  shuts: 'jambs',
  sills: 'rocker panels',
  tyre: 'tire',
  tyres: 'tires',
  windscreen: 'windshield',
  wings: 'fenders',
}
const WORDS = new RegExp(`\\b(${Object.keys(IN_AMERICA).join('|')})\\b`, 'gi')

const asWritten = (like: string, word: string) =>
  like[0] === like[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word

/** A text as the shop’s place spells it. */
export const spelt = (region: Pick<Region, 'locale'>, text: string): string =>
  isAmerican(region)
    ? text.replace(WORDS, (found) => asWritten(found, IN_AMERICA[found.toLowerCase()]!))
    : text

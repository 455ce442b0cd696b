import type { Language, Region } from '@/core/region'
import { placeTitle } from './panels'
import { inItsSpelling } from './spelling'

/** What is said beside a panel drawn under a lamp, in the reader's language. */

export type LampWords = {
  /** Heading, with the panel. */
  heading: (panel: string) => string
  now: string
  after: string
  edge: string
  /** That it is no photograph. */
  drawn: string
  fault: string
}

const WORDS: Record<Language, LampWords> = {
  en: {
    heading: (panel) => `${panel} under a lamp`,
    now: 'now',
    after: 'after the work',
    edge: 'Edge between now and after the work',
    drawn: 'Drawn from what was found and what the work is expected to remove. Not a photograph.',
    fault: 'The panel could not be drawn in this browser.',
  },
  fr: {
    heading: (panel) => `${panel} sous une lampe`,
    now: 'aujourd’hui',
    after: 'après le travail',
    edge: 'Limite entre aujourd’hui et après le travail',
    drawn:
      'Dessiné d’après ce qui a été relevé et ce que le travail devrait enlever. Ce n’est pas une photo.',
    fault: 'L’élément n’a pas pu être dessiné dans ce navigateur.',
  },
  de: {
    heading: (panel) => `${panel} unter der Lampe`,
    now: 'jetzt',
    after: 'nach der Arbeit',
    edge: 'Grenze zwischen jetzt und nach der Arbeit',
    drawn: 'Gezeichnet nach dem Befund und nach dem, was die Arbeit entfernen soll. Kein Foto.',
    fault: 'Das Teil konnte in diesem Browser nicht gezeichnet werden.',
  },
}

export const lampWords = ({ language }: Pick<Region, 'language'>) => WORDS[language]

export const lampHeading = (region: Region, panel: string) =>
  inItsSpelling(region, WORDS[region.language].heading(placeTitle(region, panel)))

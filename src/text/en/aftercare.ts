import type { AngleError, Cause, Feel, Water } from '@/core/aftercare'

/** What is seen on a panel at a visit, in the words a technician would use beside the car. */

export const WATER_WORDS: Record<Water, { name: string; means: string }> = {
  tight: { name: 'Tight beads', means: 'Round, tall drops that roll off when the panel is tilted or blown.' },
  loose: { name: 'Loose beads', means: 'Flat, ragged drops that hang on.' },
  sheets: { name: 'Sheets', means: 'Water runs off slowly as one sheet and leaves the panel damp.' },
  wets: { name: 'Stays wet', means: 'A film of water stays. Nothing holds it off any more.' },
}

export const FEEL_WORDS: Record<Feel, string> = {
  slick: 'Slick',
  drags: 'Drags a little',
  grips: 'Grips the towel',
}

export const CAUSE_WORDS: Record<Cause, string> = {
  wear: 'Nothing to see: worn off',
  etched: 'Droppings or sap left on',
  impact: 'Scraped or knocked',
  repainted: 'Resprayed since',
  unknown: 'Not clear',
}

export const ANGLE_ERROR_WORDS: Record<AngleError['code'], string> = {
  'drop-not-positive':
    'Height and width of the drop must both be more than nothing. Measure both in the same unit.',
  'drop-not-a-number': 'Type height and width of the drop as numbers, in the same unit.',
}

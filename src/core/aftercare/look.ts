/** What is seen on one panel at a visit. The words are those a technician would use beside the car. */

export const WATERS = ['tight', 'loose', 'sheets', 'wets'] as const
export type Water = (typeof WATERS)[number]
export const WATER: Record<Water, { name: string; means: string }> = {
  tight: { name: 'Tight beads', means: 'Round, tall drops that roll off when the panel is tilted or blown.' },
  loose: { name: 'Loose beads', means: 'Flat, ragged drops that hang on.' },
  sheets: { name: 'Sheets', means: 'Water runs off slowly as one sheet and leaves the panel damp.' },
  wets: { name: 'Stays wet', means: 'A film of water stays. Nothing holds it off any more.' },
}

export const FEELS = ['slick', 'drags', 'grips'] as const
export type Feel = (typeof FEELS)[number]
export const FEEL: Record<Feel, string> = {
  slick: 'Slick',
  drags: 'Drags a little',
  grips: 'Grips the towel',
}

/** What a panel suffered that no coating stands, as seen or told. */
export const CAUSES = ['wear', 'etched', 'impact', 'repainted', 'unknown'] as const
export type Cause = (typeof CAUSES)[number]
export const CAUSE: Record<Cause, string> = {
  wear: 'Nothing to see: it has just gone',
  etched: 'Droppings or sap left on',
  impact: 'Scraped or knocked',
  repainted: 'Painted by others since',
  unknown: 'Cannot be said',
}

/** One look at one panel, or at another coated surface. */
export type Look = {
  unit: string
  water: Water
  /** Degrees, from a drop on a photograph. */
  angleDegrees?: number
  feel?: Feel
  /** Gloss units lost since the coating had cured; below 0 where it reads higher. */
  glossLossGu?: number
  /** Iron and tar taken off and the panel wiped before it was looked at: dirt hides a coating that is still there. */
  cleaned: boolean
  /** Months since a topper was put over it, where one was: for that long one may be looking at the topper. */
  topperMonths?: number
}

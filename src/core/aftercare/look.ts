/** What is seen on one panel at a visit. */

export const WATERS = ['tight', 'loose', 'sheets', 'wets'] as const
export type Water = (typeof WATERS)[number]

export const FEELS = ['slick', 'drags', 'grips'] as const
export type Feel = (typeof FEELS)[number]

/** What a panel suffered that no coating stands, as seen or told. */
export const CAUSES = ['wear', 'etched', 'impact', 'repainted', 'unknown'] as const
export type Cause = (typeof CAUSES)[number]

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

/** For so many months a topper may well answer for whatever is under it (mem: one lasts three to six, common practice). */
const TOPPER_HIDES_MONTHS = 2

/**
 * A look that cannot find a failure, whatever it saw: water alone on a panel that was merely washed, since dirt wets like bare
 * paint; or anything at all while a fresh topper lies over it.
 */
export const isBlind = ({
  cleaned,
  angleDegrees,
  topperMonths,
}: Pick<Look, 'cleaned' | 'angleDegrees' | 'topperMonths'>): boolean =>
  (!cleaned && angleDegrees === undefined) ||
  (topperMonths !== undefined && topperMonths < TOPPER_HIDES_MONTHS)

/** With running water or without: decided by weather, water and place (common practice). */

export type WashPlace = {
  airC: number
  /** A drain that may take wash water. */
  drain: boolean
  hose: boolean
  indoors: boolean
}

export type WashMethod = 'wet' | 'rinseless'

/** Below this water freezes in locks and seals before it is blown out, °C (common practice: “near freezing”). */
export const NEAR_FREEZING_C = 3

/** What speaks for a method; `all-there` for a wet wash. */
export const METHOD_REASONS = ['near-freezing', 'no-hose', 'no-drain', 'all-there'] as const
export type MethodReason = (typeof METHOD_REASONS)[number]

type MethodRule = { id: Exclude<MethodReason, 'all-there'>; holds: (place: WashPlace) => boolean }

/** What speaks for a rinseless wash; any one is enough. */
export const RINSELESS_RULES: readonly MethodRule[] = [
  { id: 'near-freezing', holds: ({ airC }) => airC < NEAR_FREEZING_C },
  { id: 'no-hose', holds: ({ hose }) => !hose },
  { id: 'no-drain', holds: ({ drain }) => !drain },
]

/** What is planned before anybody has looked at the car and the weather: by the water the shop has. */
export const methodHere = ({ drain, hose }: Pick<WashPlace, 'drain' | 'hose'>): WashMethod =>
  washMethod({ airC: Number.POSITIVE_INFINITY, drain, hose, indoors: true }).method

export function washMethod(place: WashPlace): { method: WashMethod; reasons: MethodReason[] } {
  const reasons = RINSELESS_RULES.filter((rule) => rule.holds(place)).map(({ id }) => id)
  if (reasons.length > 0) return { method: 'rinseless', reasons }
  return { method: 'wet', reasons: ['all-there'] }
}

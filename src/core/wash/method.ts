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

type MethodRule = { id: string; reason: string; holds: (place: WashPlace) => boolean }

/** What speaks for a rinseless wash; any one is enough. */
export const RINSELESS_RULES: readonly MethodRule[] = [
  {
    id: 'near-freezing',
    reason: `It is below ${NEAR_FREEZING_C} °C: water would freeze in locks and seals.`,
    holds: ({ airC }) => airC < NEAR_FREEZING_C,
  },
  { id: 'no-hose', reason: 'There is no running water here.', holds: ({ hose }) => !hose },
  {
    id: 'no-drain',
    reason: 'There is no drain here that may take wash water.',
    holds: ({ drain }) => !drain,
  },
]

export function washMethod(place: WashPlace): { method: WashMethod; reasons: string[] } {
  const reasons = RINSELESS_RULES.filter((rule) => rule.holds(place)).map(({ reason }) => reason)
  if (reasons.length > 0) return { method: 'rinseless', reasons }
  return { method: 'wet', reasons: ['Water, a drain and frost-free air: wash it wet.'] }
}

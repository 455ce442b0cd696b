/** Who looks where everybody had a hand in the paint: the manager, or whoever has slept over it. */
export const INSPECTOR_RULES = ['tomorrow', 'manager'] as const
export type InspectorRule = (typeof INSPECTOR_RULES)[number]

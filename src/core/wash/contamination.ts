/** How dirty a car is, by touch and by sight after the first wash, and what that asks for. */

/** Where one feels, with the back of the hand or a finger in a thin bag (common practice). */
export const ZONES = ['upper', 'sides', 'lower', 'tail'] as const
export type Zone = (typeof ZONES)[number]

/** 0 like glass, 1 a few grains, 2 gritty, 3 like sandpaper. */
export type Level = 0 | 1 | 2 | 3

export const SIGHTS = ['iron', 'tar', 'sap', 'overspray', 'mineral', 'algae'] as const
export type Sight = (typeof SIGHTS)[number]

export type Contamination = { touch: Record<Zone, Level>; sight: Record<Sight, Level> }

export const CLEAN: Contamination = {
  touch: { upper: 0, sides: 0, lower: 0, tail: 0 },
  sight: { iron: 0, tar: 0, sap: 0, overspray: 0, mineral: 0, algae: 0 },
}

/** How much a heavy case of each weighs in the score, 0–1 (mem). */
const WEIGHT: Record<Sight, number> = {
  iron: 0.3,
  tar: 0.2,
  sap: 0.2,
  overspray: 0.5,
  mineral: 0.2,
  algae: 0.1,
}

export type ContaminationPart = 'touch' | Sight
export type ContaminationScore = { score: number; parts: { what: ContaminationPart; points: number }[] }

/**
 * Score 0–100: 0 is like glass with nothing to see. What is felt and what is seen each take their share of what is
 * still left of a clean car, so that the score never passes 100 and every part of it can be shown.
 */
export function contaminationScore({ touch, sight }: Contamination): ContaminationScore {
  const felt = ZONES.reduce((sum, zone) => sum + touch[zone], 0) / (3 * ZONES.length)
  const worst = Math.max(...ZONES.map((zone) => touch[zone])) / 3
  const found: [ContaminationPart, number][] = [
    // One gritty zone decides what has to be done, so the worst counts as much as the mean.
    ['touch', (felt + worst) / 2],
    ...SIGHTS.map((kind): [ContaminationPart, number] => [kind, (WEIGHT[kind] * sight[kind]) / 3]),
  ]
  let clean = 100
  const parts = found.map(([what, share]) => {
    const points = clean * share
    clean -= points
    return { what, points }
  })
  return { score: 100 - clean, parts: parts.filter(({ points }) => points > 0) }
}

export const CLAY_GRADES = ['none', 'fine', 'medium', 'heavy'] as const
export type ClayGrade = (typeof CLAY_GRADES)[number]

/** Where to start, and how far to go if that moves nothing: fine first, always (common practice). */
export function clayGrade({ touch, sight }: Contamination): { start: ClayGrade; upTo: ClayGrade } {
  const worst = Math.max(...ZONES.map((zone) => touch[zone]), sight.overspray, sight.iron - 1)
  if (worst <= 0) return { start: 'none', upTo: 'none' }
  return { start: 'fine', upTo: (['none', 'fine', 'medium', 'heavy'] as const)[worst]! }
}

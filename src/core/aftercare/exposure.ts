import type { Storage, Washing } from '../vehicle'

/** How a vehicle lives, as its owner tells it at intake and at visits. */
export type Use = {
  storage: Storage
  washing: Washing
  yearlyKm?: number
  salted: boolean
  hardWater: boolean
}

/** Something that wears a coating sooner; `share` of its life is left by it (mem: a shop replaces these with its own). */
export type ExposureRule = {
  id: string
  applies: (use: Use) => boolean
  share: number
  reason: string
  remedy: string
}

/** Much driving and very much of it, km a year (mem). */
const FAR_KM = 25_000
const MUCH_KM = 15_000

/** Always less in harsh climate, outdoors, brush-washed (common practice); by how much is remembered. */
export const EXPOSURE_RULES: readonly ExposureRule[] = [
  {
    id: 'brush-washed',
    applies: ({ washing }) => washing === 'brush',
    share: 0.65,
    reason: 'Brushes rub the coating thin, always at the same places.',
    remedy: 'Wash by hand with two buckets, or touchless.',
  },
  {
    id: 'touchless-washed',
    applies: ({ washing }) => washing === 'touchless',
    share: 0.88,
    reason: 'A touchless wash must clean by strong chemistry.',
    remedy: 'Ask for the mild programme, and wash by hand in between.',
  },
  {
    id: 'washing-not-asked',
    applies: ({ washing }) => washing === 'unknown',
    share: 0.88,
    reason: 'Nobody has asked how it is washed.',
    remedy: 'Ask at the next visit.',
  },
  {
    id: 'sleeps-outside',
    applies: ({ storage }) => storage === 'street',
    share: 0.8,
    reason: 'Sun, droppings and dew are on it day and night.',
    remedy: 'A roof over it, even an open one, and droppings off within the day.',
  },
  {
    id: 'half-outside',
    applies: ({ storage }) => storage === 'carport' || storage === 'unknown',
    share: 0.9,
    reason: 'A carport keeps off the rain, not the damp.',
    remedy: 'Dry it before it stands for long.',
  },
  {
    id: 'driven-far',
    applies: ({ yearlyKm = 0 }) => yearlyKm > FAR_KM,
    share: 0.85,
    reason: `More than ${FAR_KM.toLocaleString('en-IE')} km a year of grit and tar.`,
    remedy: 'Tar off twice a year, and look at the nose at every visit.',
  },
  {
    id: 'driven-much',
    applies: ({ yearlyKm = 0 }) => yearlyKm > MUCH_KM && yearlyKm <= FAR_KM,
    share: 0.93,
    reason: `More than ${MUCH_KM.toLocaleString('en-IE')} km a year of grit and tar.`,
    remedy: 'Tar off once a year at least.',
  },
  {
    id: 'salted-roads',
    applies: ({ salted }) => salted,
    share: 0.9,
    reason: 'Road salt stays wet and works on through the winter.',
    remedy: 'Rinse it every week while the roads are salted, underneath too.',
  },
  {
    id: 'hard-water',
    applies: ({ hardWater }) => hardWater,
    share: 0.93,
    reason: 'Hard water dries to spots that etch.',
    remedy: 'Dry after every wash; never let the sun do it.',
  },
]

export type Exposure = { share: number; rules: readonly ExposureRule[] }

/** However it lives, a coating keeps this share of its life (mem). */
const LEAST_SHARE = 0.35

/** Share 0–1 of a product’s life that is left by the way this vehicle lives, and the rules that took the rest. */
export function exposureOf(use: Use): Exposure {
  const rules = EXPOSURE_RULES.filter(({ applies }) => applies(use))
  return {
    rules,
    share: Math.max(
      LEAST_SHARE,
      rules.reduce((share, rule) => share * rule.share, 1),
    ),
  }
}

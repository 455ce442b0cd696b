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
export const EXPOSURE_IDS = [
  'brush-washed',
  'touchless-washed',
  'washing-not-asked',
  'sleeps-outside',
  'half-outside',
  'driven-far',
  'driven-much',
  'salted-roads',
  'hard-water',
] as const
export type ExposureId = (typeof EXPOSURE_IDS)[number]

export type ExposureRule = {
  id: ExposureId
  applies: (use: Use) => boolean
  share: number
}

/** Much driving and very much of it, km a year (mem). */
export const FAR_KM = 25_000
export const MUCH_KM = 15_000

/** Always less in harsh climate, outdoors, brush-washed (common practice); by how much is remembered. */
export const EXPOSURE_RULES: readonly ExposureRule[] = [
  {
    id: 'brush-washed',
    applies: ({ washing }) => washing === 'brush',
    share: 0.65,
  },
  {
    id: 'touchless-washed',
    applies: ({ washing }) => washing === 'touchless',
    share: 0.88,
  },
  {
    id: 'washing-not-asked',
    applies: ({ washing }) => washing === 'unknown',
    share: 0.88,
  },
  {
    id: 'sleeps-outside',
    applies: ({ storage }) => storage === 'street',
    share: 0.8,
  },
  {
    id: 'half-outside',
    applies: ({ storage }) => storage === 'carport' || storage === 'unknown',
    share: 0.9,
  },
  {
    id: 'driven-far',
    applies: ({ yearlyKm = 0 }) => yearlyKm > FAR_KM,
    share: 0.85,
  },
  {
    id: 'driven-much',
    applies: ({ yearlyKm = 0 }) => yearlyKm > MUCH_KM && yearlyKm <= FAR_KM,
    share: 0.93,
  },
  {
    id: 'salted-roads',
    applies: ({ salted }) => salted,
    share: 0.9,
  },
  {
    id: 'hard-water',
    applies: ({ hardWater }) => hardWater,
    share: 0.93,
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

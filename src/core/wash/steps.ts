import type { WashContext, WashSchool } from './context'

/** Wash and decontamination as data: when a step is needed, what for it is poured, how long it dwells. */

export type Dwell = { minMinutes: number; maxMinutes: number }

/** Kinds of liquid a wash is poured from. */
export const WASH_LIQUIDS = [
  'fabric-cleaner',
  'wheel-cleaner',
  'acid-wheel-cleaner',
  'all-purpose-cleaner',
  'foam',
  'shampoo',
  'rinseless-wash',
  'iron-remover',
  'tar-remover',
  'clay-lubricant',
  'acid-spot-remover',
] as const
export type WashLiquid = (typeof WASH_LIQUIDS)[number]

export const WASH_STEP_IDS = [
  'soft-top',
  'wheels',
  'acid-wheels',
  'pre-rinse',
  'algae',
  'foam',
  'two-buckets',
  'rinseless-pre-spray',
  'rinseless-wash',
  'iron',
  'tar',
  'clay',
  'mineral',
  'dry',
] as const
export type WashStepId = (typeof WASH_STEP_IDS)[number]

export type WashStep = {
  id: WashStepId
  order: Record<WashSchool, number>
  needed: (context: WashContext) => boolean
  dwell?: (context: WashContext) => Dwell
  product?: WashLiquid
  mix?: { into: 'lance'; panelShare: number } | { into: 'bucket' | 'spray'; partsWater: number }
}

const wet = ({ method }: WashContext) => method === 'wet'
const rinseless = ({ method }: WashContext) => method === 'rinseless'
const seen = (kind: keyof WashContext['contamination']['sight']) => (context: WashContext) =>
  context.contamination.sight[kind] > 0
const at = (place: number): Record<WashSchool, number> => ({ 'iron-first': place, 'clay-first': place })

/** Iron and organic work happens once: behind the pre-wash, before or after the clay. */
export const WASH_STEPS: readonly WashStep[] = [
  {
    id: 'soft-top',
    order: at(10),
    needed: ({ softTop }) => softTop,
    product: 'fabric-cleaner',
    mix: { into: 'spray', partsWater: 4 },
  },
  {
    id: 'wheels',
    order: at(20),
    needed: () => true,
    product: 'wheel-cleaner',
    mix: { into: 'spray', partsWater: 4 },
    dwell: () => ({ minMinutes: 2, maxMinutes: 4 }),
  },
  {
    id: 'acid-wheels',
    order: at(22),
    needed: ({ bakedWheels }) => bakedWheels,
    product: 'acid-wheel-cleaner',
    dwell: () => ({ minMinutes: 2, maxMinutes: 4 }),
  },
  {
    id: 'pre-rinse',
    order: at(30),
    needed: wet,
  },
  {
    id: 'algae',
    order: at(32),
    needed: seen('algae'),
    product: 'all-purpose-cleaner',
    mix: { into: 'spray', partsWater: 10 },
  },
  {
    id: 'foam',
    order: at(40),
    needed: wet,
    dwell: () => ({ minMinutes: 3, maxMinutes: 5 }),
    product: 'foam',
    mix: { into: 'lance', panelShare: 0.04 },
  },
  {
    id: 'two-buckets',
    order: at(50),
    needed: wet,
    product: 'shampoo',
    mix: { into: 'bucket', partsWater: 400 },
  },
  {
    id: 'rinseless-pre-spray',
    order: at(40),
    needed: rinseless,
    dwell: () => ({ minMinutes: 1, maxMinutes: 3 }),
    product: 'rinseless-wash',
    mix: { into: 'spray', partsWater: 128 },
  },
  {
    id: 'rinseless-wash',
    order: at(50),
    needed: rinseless,
    product: 'rinseless-wash',
    mix: { into: 'bucket', partsWater: 128 },
  },
  {
    id: 'iron',
    order: { 'iron-first': 60, 'clay-first': 85 },
    needed: ({ contamination }) => contamination.sight.iron > 0 || contamination.touch.lower > 1,
    // Two schools: 1–2 min, or 5–10 (common practice).
    dwell: ({ school }) =>
      school === 'iron-first' ? { minMinutes: 1, maxMinutes: 2 } : { minMinutes: 5, maxMinutes: 10 },
    product: 'iron-remover',
  },
  {
    id: 'tar',
    order: at(62),
    needed: ({ contamination }) => contamination.sight.tar > 0 || contamination.sight.sap > 0,
    dwell: () => ({ minMinutes: 1, maxMinutes: 2 }),
    product: 'tar-remover',
  },
  {
    id: 'clay',
    order: at(70),
    needed: ({ clay }) => clay.start !== 'none',
    product: 'clay-lubricant',
    mix: { into: 'spray', partsWater: 16 },
  },
  {
    id: 'mineral',
    order: at(88),
    needed: seen('mineral'),
    dwell: () => ({ minMinutes: 1, maxMinutes: 2 }),
    product: 'acid-spot-remover',
  },
  {
    id: 'dry',
    order: at(90),
    needed: () => true,
  },
]

import type { WashLiquid } from '../supply'
import type { WashContext, WashSchool } from './context'

/** Wash and decontamination as data: when a step is needed, what for it is poured, and into what. Strength and dwell are the product's. */

export const WASH_STEP_IDS = [
  'soft-top',
  'wheels',
  'acid-wheels',
  'tyres',
  'pre-rinse',
  'pre-soak',
  'algae',
  'foam',
  'two-buckets',
  'rinseless-pre-spray',
  'rinseless-wash',
  'iron',
  'rinseless-iron',
  'rinseless-lift',
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
  product?: (context: WashContext) => WashLiquid
  /** What a mix of it is poured into; what its sheet says to use neat comes from its own bottle. */
  into?: 'lance' | 'bucket' | 'spray'
  /** It stays on no longer than this, whatever its sheet allows, min. */
  dwellMost?: number
}

const wet = ({ method }: WashContext) => method === 'wet'
const rinseless = ({ method }: WashContext) => method === 'rinseless'
const seen = (kind: keyof WashContext['contamination']['sight']) => (context: WashContext) =>
  context.contamination.sight[kind] > 0
const at = (place: number): Record<WashSchool, number> => ({ 'iron-first': place, 'clay-first': place })
const just = (liquid: WashLiquid) => () => liquid

/** Iron is seen as dots, or felt low down. On a coating that stays it must be seen. */
const iron = ({ contamination, coated }: WashContext) =>
  contamination.sight.iron > 0 || (!coated && contamination.touch.lower > 1)
/** A coated car in for a visit gets no clay as a matter of course (common practice). */
const clay = ({ clay: { start }, coated }: WashContext) => start !== 'none' && !coated
/** Sills and what is behind the wheels are caked: soaked first, or the mitt drags it (common practice). */
const grimy = ({ contamination: { touch, sight } }: WashContext) => touch.lower > 1 || sight.tar > 1

/** Iron and organic work happens once: behind the pre-wash, before or after the clay. */
export const WASH_STEPS: readonly WashStep[] = [
  {
    id: 'soft-top',
    order: at(10),
    needed: ({ softTop }) => softTop,
    product: just('fabric-cleaner'),
    into: 'spray',
  },
  {
    id: 'wheels',
    order: at(20),
    needed: () => true,
    product: just('wheel-cleaner'),
    into: 'spray',
  },
  {
    id: 'acid-wheels',
    order: at(22),
    needed: ({ bakedWheels }) => bakedWheels,
    product: just('acid-wheel-cleaner'),
  },
  {
    id: 'tyres',
    order: at(24),
    needed: () => true,
    product: just('tyre-cleaner'),
    into: 'spray',
  },
  {
    id: 'pre-soak',
    order: at(28),
    needed: grimy,
    product: just('all-purpose-cleaner'),
    into: 'spray',
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
    product: just('all-purpose-cleaner'),
    into: 'spray',
  },
  {
    id: 'foam',
    order: at(40),
    needed: wet,
    product: just('foam'),
    into: 'lance',
  },
  {
    id: 'two-buckets',
    order: at(50),
    needed: wet,
    product: ({ strips }) => (strips ? 'stripping-wash' : 'shampoo'),
    into: 'bucket',
  },
  {
    id: 'rinseless-pre-spray',
    order: at(40),
    needed: rinseless,
    product: just('rinseless-wash'),
    into: 'spray',
  },
  {
    id: 'rinseless-wash',
    order: at(50),
    needed: rinseless,
    product: just('rinseless-wash'),
    into: 'bucket',
  },
  {
    id: 'iron',
    order: { 'iron-first': 60, 'clay-first': 85 },
    needed: (context) => wet(context) && iron(context),
    product: just('iron-remover'),
  },
  {
    id: 'rinseless-iron',
    order: at(60),
    needed: (context) => rinseless(context) && iron(context),
    product: just('iron-remover'),
    // Nothing rinses it off: a minute or two, and never dry (common practice).
    dwellMost: 2,
  },
  {
    id: 'rinseless-lift',
    order: at(61),
    needed: (context) => rinseless(context) && (iron(context) || clay(context)),
    product: just('rinseless-strong'),
    into: 'bucket',
  },
  {
    id: 'tar',
    order: { 'iron-first': 62, 'clay-first': 62 },
    needed: ({ contamination }) => contamination.sight.tar > 0 || contamination.sight.sap > 0,
    product: just('tar-remover'),
  },
  {
    id: 'clay',
    order: at(70),
    needed: (context) => wet(context) && clay(context),
    product: just('clay-lubricant'),
    into: 'spray',
  },
  {
    id: 'mineral',
    order: at(88),
    needed: seen('mineral'),
    product: just('acid-spot-remover'),
  },
  {
    id: 'dry',
    order: at(90),
    needed: () => true,
  },
]

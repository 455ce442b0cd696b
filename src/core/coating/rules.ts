import type { BayClimate } from '../climate'
import type { ProductId } from '../ids'
import type { EarlierTreatment, PaintSystem } from '../vehicle'
import { conditionBreaches } from './conditions'
import type { Product } from './product'
import { type SurfaceCoat, surfaceAreaM2 } from './surface'

/** Rules of a coating plan as data: what breaks it, why, and what to do. Every breach is returned, never the first alone. */

/** Millilitres of a product that stand in the shop, by bottle. */
export type BottleInShop = {
  productId: ProductId
  millilitres: number
  openMonths?: number
  closedMonths?: number
}

export type CoatingPlan = {
  paintSystem: PaintSystem
  /** First layer first. */
  layers: readonly Product[]
  /** What is laid on glass, trim, wheels and the rest. */
  surfaces: readonly SurfaceCoat[]
  /** What the correction leaves on the paint. */
  residue: 'none' | 'all-in-one'
  /** What was done to the paint before, as told. */
  treatments: readonly EarlierTreatment[]
  /** Film that is to be laid, and when. */
  film?: 'before-coating' | 'after-coating'
  areaM2: number
  /** The air of the bay it would be laid in, where it is measured. */
  climate?: BayClimate
  /** What stands on the shelf; left out where the shop keeps no stock. */
  bottles?: readonly BottleInShop[]
}

export type CoatingRule = {
  id: string
  /** A stop forbids the plan; a caution is to be settled before the bottle is opened. */
  weight: 'stop' | 'caution'
  reason: string
  remedy: string
  breaks: (plan: CoatingPlan) => boolean
}

const told = (kind: EarlierTreatment['kind']) => (plan: CoatingPlan) =>
  plan.treatments.some((treatment) => treatment.kind === kind)

/** Bottles of a product that are within their shelf life. */
function usable(plan: CoatingPlan, { id, shelfLifeMonths }: Product): BottleInShop[] {
  return (plan.bottles ?? []).filter(
    ({ productId, openMonths, closedMonths }) =>
      productId === id &&
      (openMonths === undefined
        ? (closedMonths ?? 0) <= shelfLifeMonths.closed
        : openMonths <= shelfLifeMonths.open),
  )
}

const sum = (bottles: readonly BottleInShop[]) =>
  bottles.reduce((total, { millilitres }) => total + millilitres, 0)

/** ml a plan needs of each of its products, over all surfaces and layers. */
export function millilitresNeeded({
  layers,
  surfaces,
  areaM2,
}: Pick<CoatingPlan, 'layers' | 'surfaces' | 'areaM2'>): Map<Product, number> {
  const needed = new Map<Product, number>()
  const add = (product: Product, ofM2: number) =>
    needed.set(product, (needed.get(product) ?? 0) + product.mlPerM2 * ofM2)
  for (const product of layers) add(product, areaM2)
  for (const { surface, product } of surfaces) add(product, surfaceAreaM2(surface, areaM2))
  return needed
}

const lacks = (plan: CoatingPlan, of: (product: Product) => number) =>
  plan.bottles !== undefined && [...millilitresNeeded(plan)].some(([product, ml]) => of(product) < ml)

/** Common practice throughout. */
export const COATING_RULES: readonly CoatingRule[] = [
  {
    id: 'strong-solvent-on-single-stage',
    weight: 'stop',
    reason: 'A strong solvent softens old single-stage paint and pulls its colour.',
    remedy: 'Choose a product with a mild solvent or none.',
    breaks: ({ paintSystem, layers }) =>
      paintSystem === 'single-stage' && layers.some(({ solvent }) => solvent === 'strong'),
  },
  {
    id: 'coating-over-all-in-one',
    weight: 'stop',
    reason: 'An all-in-one leaves protection behind, and a coating does not hold on it.',
    remedy: 'Go over it with a light polish and wipe it, or sell the all-in-one alone.',
    breaks: ({ residue, layers }) => residue === 'all-in-one' && layers.length > 0,
  },
  {
    id: 'film-after-coating',
    weight: 'stop',
    reason: 'Film does not stick to a coating.',
    remedy: 'Film first, on naked paint; the coating goes over it.',
    breaks: ({ film, layers }) => film === 'after-coating' && layers.length > 0,
  },
  {
    id: 'not-for-paint',
    weight: 'stop',
    reason: 'One of these products is not made for paint.',
    remedy: 'Choose a product for paint; each surface has its own.',
    breaks: ({ layers }) => layers.some(({ surfaces }) => !surfaces.includes('paint')),
  },
  {
    id: 'not-for-this-surface',
    weight: 'stop',
    reason: 'A product is named for a surface it is not made for.',
    remedy: 'Choose one made for that surface; each has its own.',
    breaks: ({ surfaces }) => surfaces.some(({ surface, product }) => !product.surfaces.includes(surface)),
  },
  {
    id: 'top-without-base',
    weight: 'stop',
    reason: 'A top coat holds on its base, not on bare paint.',
    remedy: 'Begin with the base it belongs to.',
    breaks: ({ layers }) => layers[0]?.kind === 'top',
  },
  {
    id: 'base-over-top',
    weight: 'stop',
    reason: 'A base laid over a top coat has nothing to hold on.',
    remedy: 'All bases first, then the tops.',
    breaks: ({ layers }) =>
      layers.some(
        ({ kind }, at) => kind === 'base' && layers.slice(0, at).some((below) => below.kind === 'top'),
      ),
  },
  {
    id: 'bare-metal',
    weight: 'stop',
    reason: 'Bare metal takes a protection of its own, not a paint coating.',
    remedy: 'Polish the metal and use a product made for it.',
    breaks: ({ paintSystem, layers }) => paintSystem === 'bare-metal' && layers.length > 0,
  },
  {
    id: 'old-coating-first',
    weight: 'caution',
    reason: 'An old coating lies on this car. A new one does not hold on it.',
    remedy:
      'Take it off the way its maker says, and test that water no longer beads, before the first layer.',
    breaks: (plan) => plan.layers.length > 0 && told('coating')(plan),
  },
  {
    id: 'wax-or-sealant-first',
    weight: 'caution',
    reason: 'Wax or sealant was put on before.',
    remedy: 'Decontaminate and polish it off; wipe twice.',
    breaks: (plan) => plan.layers.length > 0 && (told('wax')(plan) || told('sealant')(plan)),
  },
  {
    id: 'fresh-respray',
    weight: 'caution',
    reason: 'A panel was painted again. Fresh paint still gives off solvent under a coating.',
    remedy: 'Ask the painter when it was done; wait as long as the data sheet of the paint says.',
    breaks: (plan) => plan.layers.length > 0 && told('respray')(plan),
  },
  {
    id: 'out-of-conditions',
    weight: 'caution',
    reason: 'As the bay is now, a product of this plan must not be laid.',
    remedy: 'Warm, air or dry the bay before the first layer; the job card measures again.',
    breaks: ({ climate, layers }) =>
      climate !== undefined && layers.some((product) => conditionBreaches(product, climate).length > 0),
  },
  {
    id: 'bottle-too-old',
    weight: 'stop',
    reason: 'A bottle for this plan is past its shelf life.',
    remedy: 'Use it up on wheels or trim, and open a fresh one.',
    breaks: (plan) =>
      lacks(plan, (product) => sum(usable(plan, product))) &&
      !lacks(plan, (product) =>
        sum((plan.bottles ?? []).filter(({ productId }) => productId === product.id)),
      ),
  },
  {
    id: 'too-little-in-the-bottle',
    weight: 'stop',
    reason: 'There is too little of a product in the shop for this car.',
    remedy: 'Order it before the first layer: a layer is not laid from half a bottle.',
    breaks: (plan) =>
      lacks(plan, (product) => sum((plan.bottles ?? []).filter(({ productId }) => productId === product.id))),
  },
]

/** Every rule a plan breaks, the stops first. */
export function coatingBreaches(plan: CoatingPlan): CoatingRule[] {
  const broken = COATING_RULES.filter((rule) => rule.breaks(plan))
  return [
    ...broken.filter(({ weight }) => weight === 'stop'),
    ...broken.filter(({ weight }) => weight !== 'stop'),
  ]
}

import type { BayClimate } from '../climate'
import type { ProductId } from '../ids'
import type { EarlierTreatment, PaintSystem } from '../vehicle'
import { conditionBreaches } from './conditions'
import type { Product } from './product'
import { type SurfaceCoat, surfaceAreaM2 } from './surface'

/** Rules of a coating plan as data. Every breach is returned, never the first alone. */

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
  /** What goes on glass, trim, wheels and the rest. */
  surfaces: readonly SurfaceCoat[]
  /** What the correction leaves on the paint. */
  residue: 'none' | 'all-in-one'
  /** What was done to the paint before, as told. */
  treatments: readonly EarlierTreatment[]
  /** Panels that were sprayed so recently that nothing goes on them. */
  freshPanels?: number
  /** The year it is planned in. */
  year?: number
  /** Film that is to be fitted, and when. */
  film?: 'before-coating' | 'after-coating'
  areaM2: number
  /** The air of the bay it would be applied in, where it is measured. */
  climate?: BayClimate
  /** What stands on the shelf; left out where the shop keeps no stock. */
  bottles?: readonly BottleInShop[]
}

export const COATING_RULE_IDS = [
  'strong-solvent-on-single-stage',
  'coating-over-all-in-one',
  'film-after-coating',
  'not-for-paint',
  'not-for-this-surface',
  'top-without-base',
  'base-over-top',
  'bare-metal',
  'old-coating-first',
  'wax-or-sealant-first',
  'fresh-respray',
  'respray-undated',
  'out-of-conditions',
  'bottle-too-old',
  'too-little-in-the-bottle',
] as const
export type CoatingRuleId = (typeof COATING_RULE_IDS)[number]

export type CoatingRule = {
  id: CoatingRuleId
  /** A stop forbids the plan; a caution is to be settled before the bottle is opened. */
  weight: 'stop' | 'caution'
  breaks: (plan: CoatingPlan) => boolean
}

const told = (kind: EarlierTreatment['kind']) => (plan: CoatingPlan) =>
  plan.treatments.some((treatment) => treatment.kind === kind)

/** Paint goes on giving off solvent for weeks, not for years (common practice); a respray nobody dated may be one of last week. */
const FRESH_YEARS = 1

/** Said as “2019” or “about 2019”. */
const YEAR = /\b\d{4}\b/

const isFresh = ({ kind, year }: EarlierTreatment, { year: now }: CoatingPlan) =>
  kind === 'respray' && (now === undefined || now - Number(YEAR.exec(year)?.[0] ?? now) <= FRESH_YEARS)

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
    breaks: ({ paintSystem, layers }) =>
      paintSystem === 'single-stage' && layers.some(({ solvent }) => solvent === 'strong'),
  },
  {
    id: 'coating-over-all-in-one',
    weight: 'stop',
    breaks: ({ residue, layers }) => residue === 'all-in-one' && layers.length > 0,
  },
  {
    id: 'film-after-coating',
    weight: 'stop',
    breaks: ({ film, layers }) => film === 'after-coating' && layers.length > 0,
  },
  {
    id: 'not-for-paint',
    weight: 'stop',
    breaks: ({ layers }) => layers.some(({ surfaces }) => !surfaces.includes('paint')),
  },
  {
    id: 'not-for-this-surface',
    weight: 'stop',
    breaks: ({ surfaces }) => surfaces.some(({ surface, product }) => !product.surfaces.includes(surface)),
  },
  {
    id: 'top-without-base',
    weight: 'stop',
    breaks: ({ layers }) => layers[0]?.kind === 'top',
  },
  {
    id: 'base-over-top',
    weight: 'stop',
    breaks: ({ layers }) =>
      layers.some(
        ({ kind }, at) => kind === 'base' && layers.slice(0, at).some((below) => below.kind === 'top'),
      ),
  },
  {
    id: 'bare-metal',
    weight: 'stop',
    breaks: ({ paintSystem, layers }) => paintSystem === 'bare-metal' && layers.length > 0,
  },
  {
    id: 'old-coating-first',
    weight: 'caution',
    breaks: (plan) => plan.layers.length > 0 && told('coating')(plan),
  },
  {
    id: 'wax-or-sealant-first',
    weight: 'caution',
    breaks: (plan) => plan.layers.length > 0 && (told('wax')(plan) || told('sealant')(plan)),
  },
  {
    id: 'fresh-respray',
    weight: 'caution',
    breaks: (plan) => plan.layers.length > 0 && (plan.freshPanels ?? 0) > 0,
  },
  {
    id: 'respray-undated',
    weight: 'caution',
    breaks: (plan) =>
      plan.layers.length > 0 &&
      (plan.freshPanels ?? 0) === 0 &&
      plan.treatments.some((treatment) => isFresh(treatment, plan)),
  },
  {
    id: 'out-of-conditions',
    weight: 'caution',
    breaks: ({ climate, layers }) =>
      climate !== undefined && layers.some((product) => conditionBreaches(product, climate).length > 0),
  },
  {
    id: 'bottle-too-old',
    weight: 'stop',
    breaks: (plan) =>
      lacks(plan, (product) => sum(usable(plan, product))) &&
      !lacks(plan, (product) =>
        sum((plan.bottles ?? []).filter(({ productId }) => productId === product.id)),
      ),
  },
  {
    id: 'too-little-in-the-bottle',
    weight: 'stop',
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

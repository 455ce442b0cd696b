import { toProductId } from '../ids'
import type { Product, ProductKind } from './product'

/** A sheet to begin with: a name and a kind are enough, and what the bottle says is filled in later. */

type Usual = Omit<Product, 'id' | 'name' | 'kind' | 'version' | 'retired' | 'suits' | 'surfaces'>

const HOUR = 60
const DAY = 24 * HOUR

/** As coatings usually are: the windows, holds and dates of common practice; amounts and prices remembered. */
const COATING: Usual = {
  solvent: 'mild',
  mlPerM2: 4,
  bottleMl: 50,
  flashSeconds: { min: 60, max: 180 },
  sectionM: 0.6,
  nextLayerMinutes: { min: 3 * HOUR, max: 12 * HOUR },
  dryHoldMinutes: DAY,
  indoorHoldMinutes: 12 * HOUR,
  firstWashDays: 7,
  topperFromMinutes: DAY,
  fullCureDays: 30,
  lifeMonths: 12,
  guaranteeMonths: 0,
  firstVisitMonths: 6,
  shelfLifeMonths: { closed: 12, open: 6 },
  airC: { min: 10, max: 30 },
  rhPercent: { min: 30, max: 70 },
  centsPerMl: 100,
}

/** What wears off by itself: sprayed or spread, wiped at once, and dry within hours (common practice; lives mem). */
const SPREAD: Usual = {
  ...COATING,
  solvent: 'none',
  mlPerM2: 8,
  bottleMl: 500,
  flashSeconds: { min: 0, max: 60 },
  nextLayerMinutes: { min: 2 * HOUR, max: 7 * DAY },
  dryHoldMinutes: 2 * HOUR,
  indoorHoldMinutes: 2 * HOUR,
  firstWashDays: 1,
  topperFromMinutes: 2 * HOUR,
  fullCureDays: 1,
  lifeMonths: 6,
  shelfLifeMonths: { closed: 24, open: 12 },
  rhPercent: { min: 20, max: 80 },
  centsPerMl: 8,
}

const USUAL: Record<ProductKind, Usual> = {
  // Base alone 3–5 years, base and top 5 years, light 12 months (common practice).
  base: { ...COATING, solvent: 'strong', lifeMonths: 48 },
  top: { ...COATING, lifeMonths: 60 },
  single: COATING,
  sealant: SPREAD,
  wax: { ...SPREAD, lifeMonths: 3, nextLayerMinutes: { min: DAY, max: 30 * DAY } },
  topper: { ...SPREAD, lifeMonths: 4 },
}

/** A new product of that kind, to be corrected by what its data sheet says. */
export const usualProduct = (id: string, kind: ProductKind): Product => ({
  id: toProductId(id),
  name: '',
  kind,
  version: 1,
  retired: false,
  suits: [],
  surfaces: ['paint'],
  ...USUAL[kind],
})

import { z } from 'zod'
import { toProductId } from '../ids'

/** What a product is made for. Each surface has its own (common practice). */
export const SURFACES = ['paint', 'glass', 'trim', 'wheels', 'fabric', 'leather', 'chrome'] as const
export type Surface = (typeof SURFACES)[number]
/** Everything that is coated beside the paint. */
export type OtherSurface = Exclude<Surface, 'paint'>
export const OTHER_SURFACES = SURFACES.filter((surface): surface is OtherSurface => surface !== 'paint')

export const PRODUCT_KINDS = ['base', 'top', 'single', 'sealant', 'topper'] as const

/** A coating or sealant as its data sheet describes it. Minutes and hours are elapsed time, days are calendar days. */
export const productSchema = z.strictObject({
  id: z.string().min(1).transform(toProductId),
  name: z.string().min(1),
  kind: z.enum(PRODUCT_KINDS),
  surfaces: z.array(z.enum(SURFACES)).min(1),
  solvent: z.enum(['none', 'mild', 'strong']),
  mlPerM2: z.number().positive(),
  bottleMl: z.number().positive().default(50),
  /** Seconds until it may be levelled, at 20 °C and 50 % RH. */
  flashSeconds: z.strictObject({ min: z.number().nonnegative(), max: z.number().positive() }),
  /** Minutes from the end of this layer to the start of the next: no earlier and no later. */
  nextLayerMinutes: z.strictObject({ min: z.int().nonnegative(), max: z.int().positive() }),
  dryHoldMinutes: z.int().nonnegative(),
  indoorHoldMinutes: z.int().nonnegative(),
  firstWashDays: z.int().nonnegative(),
  topperFromMinutes: z.int().nonnegative(),
  fullCureDays: z.int().nonnegative(),
  lifeMonths: z.number().positive(),
  /** How long the shop stands for it; 0 where it does not. */
  guaranteeMonths: z.int().nonnegative().default(0),
  firstVisitMonths: z.number().positive(),
  shelfLifeMonths: z.strictObject({ closed: z.number().positive(), open: z.number().positive() }),
  airC: z.strictObject({ min: z.number(), max: z.number() }),
  rhPercent: z.strictObject({ min: z.number(), max: z.number() }),
  centsPerMl: z.number().nonnegative(),
})

export type Product = z.infer<typeof productSchema>

/** What must be known of a product once it lies on a car, whoever applied it. */
export type LaidProduct = Pick<
  Product,
  'id' | 'name' | 'kind' | 'lifeMonths' | 'guaranteeMonths' | 'firstVisitMonths' | 'topperFromMinutes'
>

export const catalogueSchema = z.array(productSchema).min(1)

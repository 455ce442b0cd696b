import { z } from 'zod'
import { type AskedThing, ask } from '../asks'
import { toProductId } from '../ids'
import { type Instant, instantOrThrow } from '../time'

/** What a product is made for. Each surface has its own (common practice). */
export const SURFACES = ['paint', 'glass', 'trim', 'wheels', 'fabric', 'leather', 'chrome'] as const
export type Surface = (typeof SURFACES)[number]
/** Everything that is coated beside the paint. */
export type OtherSurface = Exclude<Surface, 'paint'>
export const OTHER_SURFACES = SURFACES.filter((surface): surface is OtherSurface => surface !== 'paint')

export const PRODUCT_KINDS = ['base', 'top', 'single', 'sealant', 'wax', 'topper'] as const
export type ProductKind = (typeof PRODUCT_KINDS)[number]

/** What lasts for years, and not for a season: the others wear off by themselves. */
export const isCoating = ({ kind }: { kind: ProductKind }) =>
  kind === 'base' || kind === 'top' || kind === 'single'

/** Whom a product suits, beside everybody. */
export const SUITS = ['daily', 'show', 'old-paint'] as const

/** Bounds keep out slips of the pen, no more (mem). */
const number = (of: AskedThing, least: number, most: number) =>
  z
    .number({ error: ask('number-of', { of }) })
    .min(least, ask('of-between', { of, least, most }))
    .max(most, ask('of-between', { of, least, most }))
const whole = (of: AskedThing, least: number, most: number) =>
  number(of, least, most).int(ask('number-of', { of }))

/** A least and a most of the same thing. */
const band = (value: z.ZodNumber) =>
  z
    .strictObject({ min: value, max: value })
    .refine(({ min, max }) => min <= max, { path: ['max'], message: ask('least-before-most') })

const DAY_MINUTES = 24 * 60

/** A coating or sealant as its data sheet describes it. Minutes and hours are elapsed time, days are calendar days. */
export const productSchema = z.strictObject({
  id: z.string().min(1).max(80).transform(toProductId),
  version: z.int().min(1).default(1),
  name: z
    .string()
    .trim()
    .min(1, ask('product-name'))
    .max(60, ask('keep-under', { characters: 60 })),
  kind: z.enum(PRODUCT_KINDS),
  surfaces: z.array(z.enum(SURFACES)).min(1, ask('product-surface')),
  solvent: z.enum(['none', 'mild', 'strong']),
  mlPerM2: number('ml-per-m2', 0.1, 200),
  bottleMl: number('bottle-ml', 1, 20_000).default(50),
  /** Seconds until it may be levelled, at 20 °C and 50 % RH; from 0 where it is wiped at once. */
  flashSeconds: band(number('flash', 0, 3600)),
  /** Side of the square that is coated at once, m. */
  sectionM: number('section', 0.2, 2).default(0.6),
  /** Minutes from the end of this layer to the start of the next: no earlier and no later. */
  nextLayerMinutes: band(whole('recoat', 0, 60 * DAY_MINUTES)),
  dryHoldMinutes: whole('hold', 0, 60 * DAY_MINUTES),
  indoorHoldMinutes: whole('hold', 0, 60 * DAY_MINUTES),
  firstWashDays: whole('first-wash', 0, 90),
  topperFromMinutes: whole('topper-from', 0, 365 * DAY_MINUTES),
  fullCureDays: whole('cure', 0, 365),
  lifeMonths: number('life', 0.5, 240),
  /** How long the shop stands for it; 0 where it does not. */
  guaranteeMonths: whole('guarantee', 0, 240).default(0),
  firstVisitMonths: number('first-visit', 0.5, 60),
  shelfLifeMonths: z.strictObject({
    closed: number('shelf-life', 0.1, 120),
    open: number('shelf-life', 0.1, 120),
  }),
  airC: band(number('product-air', -20, 60)),
  rhPercent: band(number('product-humidity', 0, 100)),
  centsPerMl: number('price-per-ml', 0, 100_000),
  suits: z.array(z.enum(SUITS)).default([]),
  retired: z.boolean().default(false),
})

export type Product = z.infer<typeof productSchema>

/** A sheet that was replaced, and until when it stood. */
export const earlierSheetSchema = z.strictObject({
  sheet: productSchema,
  until: z.string().transform((text): Instant => instantOrThrow(text)),
})
export type EarlierSheet = z.infer<typeof earlierSheetSchema>

type Sheets = { catalogue: readonly Product[]; setup: { earlierSheets: readonly EarlierSheet[] } }

/** The sheet of a product as it stood then: what was agreed or applied by one goes on by it. */
export function sheetThen({ catalogue, setup }: Sheets, id: string, then: Instant): Product | undefined {
  const replaced = setup.earlierSheets
    .filter(({ sheet, until }) => sheet.id === id && until > then)
    .toSorted((a, b) => (a.until < b.until ? -1 : 1))[0]
  return replaced?.sheet ?? catalogue.find((product) => product.id === id)
}

/** What must be known of a product once it lies on a car, whoever applied it. */
export type LaidProduct = Pick<
  Product,
  'id' | 'name' | 'kind' | 'lifeMonths' | 'guaranteeMonths' | 'firstVisitMonths' | 'topperFromMinutes'
>

export const catalogueSchema = z.array(productSchema).min(1)

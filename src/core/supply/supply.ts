import { z } from 'zod'
import { ask } from '../asks'

/** What a car is washed and polished with, as its data sheet says: strengths and dwell times belong to the product. */

/** Kinds of liquid a wash is poured from. Some bottles serve as several: each use has its own strength. */
export const WASH_LIQUIDS = [
  'fabric-cleaner',
  'wheel-cleaner',
  'acid-wheel-cleaner',
  'tyre-cleaner',
  'all-purpose-cleaner',
  'foam',
  'shampoo',
  'stripping-wash',
  'rinseless-wash',
  'rinseless-strong',
  'iron-remover',
  'tar-remover',
  'clay-lubricant',
  'acid-spot-remover',
] as const
export type WashLiquid = (typeof WASH_LIQUIDS)[number]

export const SUPPLY_KINDS = [
  ...WASH_LIQUIDS,
  'compound',
  'polish',
  'finishing-polish',
  'all-in-one',
  'prep',
] as const
export type SupplyKind = (typeof SUPPLY_KINDS)[number]

/** Minutes it stays on: no less, and no more. */
export type Dwell = { minMinutes: number; maxMinutes: number }

/** As it comes, thinned 1:N with water, or so that a share (0–1) of it lands on the panel. */
export type Strength =
  | { kind: 'neat' }
  | { kind: 'parts'; water: number }
  | { kind: 'on-panel'; share: number }

export type Supply = {
  id: string
  version: number
  /** Empty for one that ships with the app: it is called by its kind. */
  name: string
  kind: SupplyKind
  strength: Strength
  dwell?: Dwell | undefined
  /** How strongly its solvent bites: strong ones stay off single-stage paint. */
  solvent: 'none' | 'mild' | 'strong'
  /** What one square metre takes of it; empty for what is mixed by the bucket. */
  mlPerM2?: number | undefined
  bottleMl?: number | undefined
  /** Months it keeps once it is opened. */
  shelfLifeMonths?: number | undefined
  retired: boolean
}

/** Longer stays nothing on a car (mem). */
const DWELL_MOST_MINUTES = 120

const minutes = z
  .number({ error: ask('number-of', { of: 'dwell' }) })
  .min(0, ask('of-between', { of: 'dwell', least: 0, most: DWELL_MOST_MINUTES }))
  .max(DWELL_MOST_MINUTES, ask('of-between', { of: 'dwell', least: 0, most: DWELL_MOST_MINUTES }))

const amount = (of: 'ml-per-m2' | 'bottle-ml' | 'shelf-life', most: number) =>
  z
    .number({ error: ask('number-of', { of }) })
    .positive(ask('more-of', { of }))
    .max(most, ask('of-between', { of, least: 0, most }))
    .optional()

const dilution = (most: number) =>
  z
    .number({ error: ask('number-of', { of: 'dilution' }) })
    .positive(ask('more-of', { of: 'dilution' }))
    .max(most, ask('of-between', { of: 'dilution', least: 0, most }))

export const supplySchema: z.ZodType<Supply> = z.strictObject({
  id: z.string().min(1).max(80),
  version: z.int().min(1),
  name: z
    .string()
    .trim()
    .max(60, ask('keep-under', { characters: 60 })),
  kind: z.enum(SUPPLY_KINDS),
  strength: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('neat') }),
    z.strictObject({ kind: z.literal('parts'), water: dilution(5000) }),
    z.strictObject({ kind: z.literal('on-panel'), share: dilution(0.2) }),
  ]),
  dwell: z
    .strictObject({ minMinutes: minutes, maxMinutes: minutes })
    .refine(({ minMinutes, maxMinutes }) => minMinutes <= maxMinutes, {
      path: ['maxMinutes'],
      message: ask('least-before-most'),
    })
    .optional(),
  solvent: z.enum(['none', 'mild', 'strong']),
  mlPerM2: amount('ml-per-m2', 200),
  bottleMl: amount('bottle-ml', 200_000),
  shelfLifeMonths: amount('shelf-life', 120),
  retired: z.boolean(),
})

const parts = (water: number): Strength => ({ kind: 'parts', water })
const NEAT: Strength = { kind: 'neat' }
const dwell = (minMinutes: number, maxMinutes: number): Dwell => ({ minMinutes, maxMinutes })

type Seed = [kind: SupplyKind, strength: Strength, dwell?: Dwell, solvent?: Supply['solvent']]

/** What a square metre of paint takes, ml (mem). */
const ML_PER_M2: Partial<Record<SupplyKind, number>> = {
  'iron-remover': 30,
  'tar-remover': 5,
  compound: 8,
  polish: 6,
  'finishing-polish': 5,
  'all-in-one': 8,
  prep: 12,
}

/** What a shop pours until it has entered its own: common practice, but what is marked mem. */
const SEEDS: readonly Seed[] = [
  // mem
  ['fabric-cleaner', parts(4)],
  ['wheel-cleaner', parts(4), dwell(2, 4)],
  ['acid-wheel-cleaner', NEAT, dwell(2, 4)],
  // mem
  ['tyre-cleaner', parts(2), dwell(1, 2)],
  ['all-purpose-cleaner', parts(10), dwell(2, 4)],
  ['foam', { kind: 'on-panel', share: 0.04 }, dwell(3, 5)],
  // mem
  ['shampoo', parts(400)],
  // mem
  ['stripping-wash', parts(100)],
  ['rinseless-wash', parts(128), dwell(1, 3)],
  ['rinseless-strong', parts(64)],
  // Data sheets say from 1–2 to 5–10 min.
  ['iron-remover', NEAT, dwell(5, 10)],
  ['tar-remover', NEAT, dwell(1, 2), 'strong'],
  ['clay-lubricant', parts(16)],
  ['acid-spot-remover', NEAT, dwell(1, 2)],
  ['compound', NEAT],
  ['polish', NEAT],
  ['finishing-polish', NEAT],
  ['all-in-one', NEAT, dwell(30, 30)],
  ['prep', NEAT, undefined, 'mild'],
]

export const SEEDED_SUPPLIES: readonly Supply[] = SEEDS.map(([kind, strength, stands, solvent]) => ({
  id: kind,
  version: 1,
  name: '',
  kind,
  strength,
  ...(stands ? { dwell: stands } : {}),
  solvent: solvent ?? 'none',
  ...(ML_PER_M2[kind] ? { mlPerM2: ML_PER_M2[kind] } : {}),
  retired: false,
}))

export const suppliesSchema = z
  .array(supplySchema)
  .min(1)
  .default([...SEEDED_SUPPLIES])

/** What the shop pours as that: the first it uses, and where it has none the one that ships. */
export function supplyFor(supplies: readonly Supply[], kind: SupplyKind): Supply {
  return (
    supplies.find((each) => each.kind === kind && !each.retired) ??
    SEEDED_SUPPLIES.find((each) => each.kind === kind)!
  )
}

/** What so many square metres take of it, ml; undefined where its sheet says nothing of that. */
export const takesMl = ({ mlPerM2 }: Pick<Supply, 'mlPerM2'>, areaM2: number): number | undefined =>
  mlPerM2 === undefined ? undefined : mlPerM2 * areaM2

/** How long an all-in-one sets before it is wiped off, where its sheet says so. */
export function setTime(supplies: readonly Supply[]): { setMinutes?: number } {
  const { dwell } = supplyFor(supplies, 'all-in-one')
  return dwell ? { setMinutes: dwell.minMinutes } : {}
}

import type { Product } from '../coating'
import { paintedAreaM2, type Shape } from '../vehicle'
import { type JobPlan, SKILLS, type Skill } from './operations'
import type { Rates } from './package'

/** One line of a price, traceable to the operations or the product it comes from. Integer cents, net. */
export type PriceLine =
  | { kind: 'labour'; skill: Skill; minutes: number; operations: string[]; cents: number }
  | { kind: 'product'; productId: string; name: string; ml: number; cents: number }
  | { kind: 'consumables'; cents: number }

export type Price = {
  lines: PriceLine[]
  netCents: number
  taxCents: number
  totalCents: number
  taxPercent: number
}

function labourLine(plan: JobPlan, skill: Skill, rates: Rates): PriceLine {
  const operations = plan.operations.filter((operation) => operation.skill === skill)
  const minutes = operations.reduce((sum, operation) => sum + operation.minutes * operation.people, 0)
  const cents = Math.round((minutes * rates.centsPerHour[skill]) / 60)
  return { kind: 'labour', skill, minutes, operations: operations.map(({ id }) => id), cents }
}

function productLines(shape: Shape, layers: readonly Product[]): PriceLine[] {
  const areaM2 = paintedAreaM2(shape)
  const perProduct = new Map<string, { product: Product; layers: number }>()
  for (const product of layers)
    perProduct.set(product.id, { product, layers: (perProduct.get(product.id)?.layers ?? 0) + 1 })
  return [...perProduct.values()].map(({ product, layers: count }) => {
    const ml = Math.ceil(product.mlPerM2 * areaM2 * count)
    return {
      kind: 'product',
      productId: product.id,
      name: product.name,
      ml,
      cents: Math.round(ml * product.centsPerMl),
    }
  })
}

/** The price of a plan: labour by skill, products by the millilitre, consumables, and tax on the sum. */
export function priceOf(plan: JobPlan, shape: Shape, layers: readonly Product[], rates: Rates): Price {
  const lines = [
    ...SKILLS.map((skill) => labourLine(plan, skill, rates)).filter(({ cents }) => cents > 0),
    ...productLines(shape, layers),
    { kind: 'consumables' as const, cents: rates.consumablesCents },
  ]
  const netCents = lines.reduce((sum, { cents }) => sum + cents, 0)
  const taxCents = Math.round((netCents * rates.taxPercent) / 100)
  return { lines, netCents, taxCents, totalCents: netCents + taxCents, taxPercent: rates.taxPercent }
}

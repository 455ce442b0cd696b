import type { CoatStep } from '../coating'
import type { ProductId } from '../ids'
import type { ChosenExtra, ExtraKey } from './extras'
import { EXTRA } from './extras'
import type { JobPlan, PlannedOperation } from './operations'
import type { Rates, Terms } from './package'
import { SKILLS, type Skill } from './skill'
import type { Trade, Vendor } from './vendor'

/** One line of a price, traceable to the operations or the product it comes from. Integer cents, net. */
export type PriceLine =
  | { kind: 'labour'; skill: Skill; minutes: number; operations: string[]; cents: number }
  | { kind: 'product'; productId: ProductId; name: string; ml: number; cents: number }
  | { kind: 'extra'; extra: ExtraKey; name: string; count: number; minutes: number; cents: number }
  | { kind: 'vendor'; vendorId: string; name: string; trade: Trade; cents: number }
  | { kind: 'consumables'; cents: number }
  /** Below 0. */
  | { kind: 'discount'; percent: number; cents: number }

export type Totals = {
  netCents: number
  taxCents: number
  totalCents: number
  taxPercent: number
  /** To be paid before the work, of the total. */
  depositCents: number
}
export type Price = Totals & { lines: PriceLine[] }

/** Half a cent is rounded away from nothing, as at a till. */
const cents = (exact: number) => Math.round(exact)

/**
 * Closes a price: the discount becomes a line of its own, so that the lines add up to the net price, and net and tax to
 * the total, to the cent. Discount, tax and deposit in percent; the tax is on what is left after the discount.
 */
export function closePrice(
  lines: readonly PriceLine[],
  { discountPercent, depositPercent }: Pick<Terms, 'discountPercent' | 'depositPercent'>,
  taxPercent: number,
): Price {
  const gross = lines.reduce((sum, line) => sum + line.cents, 0)
  const off = cents((gross * discountPercent) / 100)
  const netCents = gross - off
  const taxCents = cents((netCents * taxPercent) / 100)
  const totalCents = netCents + taxCents
  return {
    lines: [
      ...lines,
      ...(off > 0 ? [{ kind: 'discount' as const, percent: discountPercent, cents: -off }] : []),
    ],
    netCents,
    taxCents,
    totalCents,
    taxPercent,
    depositCents: cents((totalCents * depositPercent) / 100),
  }
}

const minutesOf = (operations: readonly PlannedOperation[]) =>
  operations.reduce((sum, { minutes, people }) => sum + minutes * people, 0)

function labourLines({ operations }: JobPlan, rates: Rates): PriceLine[] {
  return SKILLS.flatMap((skill): PriceLine[] => {
    const own = operations.filter((operation) => operation.skill === skill && operation.kind !== 'extra')
    const minutes = minutesOf(own)
    const charged = cents((minutes * rates.centsPerHour[skill]) / 60)
    return charged > 0
      ? [{ kind: 'labour', skill, minutes, operations: own.map(({ id }) => id), cents: charged }]
      : []
  })
}

function productLines(coats: readonly CoatStep[]): PriceLine[] {
  const products = [...new Set(coats.map(({ product }) => product))]
  return products.map((product) => {
    const ml = Math.ceil(
      coats.reduce((sum, coat) => sum + (coat.product === product ? coat.ml : 0), 0) - 1e-9,
    )
    return {
      kind: 'product',
      productId: product.id,
      name: product.name,
      ml,
      cents: cents(ml * product.centsPerMl),
    }
  })
}

function extraLines(plan: JobPlan, extras: readonly ChosenExtra[], rates: Rates): PriceLine[] {
  return extras.map(({ key, count }) => {
    const minutes = minutesOf(plan.operations.filter(({ extra }) => extra === key))
    const labour = (minutes * rates.centsPerHour[EXTRA[key].skill]) / 60
    const materials = (rates.extraMaterialsCents[key] ?? 0) * count
    return {
      kind: 'extra',
      extra: key,
      name: EXTRA[key].name,
      count,
      minutes,
      cents: cents(labour + materials),
    }
  })
}

export type Charged = {
  plan: JobPlan
  coats: readonly CoatStep[]
  extras: readonly ChosenExtra[]
  vendors: readonly Vendor[]
  rates: Rates
  terms: Pick<Terms, 'discountPercent' | 'depositPercent'>
}

/** The price of a plan: labour by skill, products by the millilitre, extras, vendors, consumables, discount and tax. */
export function priceOf({ plan, coats, extras, vendors, rates, terms }: Charged): Price {
  return closePrice(
    [
      ...labourLines(plan, rates),
      ...productLines(coats),
      ...extraLines(plan, extras, rates),
      ...vendors.map(
        ({ id, name, trade, cents: fixed }): PriceLine => ({
          kind: 'vendor',
          vendorId: id,
          name,
          trade,
          cents: fixed,
        }),
      ),
      { kind: 'consumables', cents: rates.consumablesCents },
    ],
    terms,
    rates.taxPercent,
  )
}

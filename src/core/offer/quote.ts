import type { CoatStep } from '../coating'
import type { ProductId } from '../ids'
import type { ChosenExtra, ExtraKey } from './extras'
import { EXTRA } from './extras'
import type { JobPlan, PlannedOperation } from './job-plan'
import type { OneOff } from './one-off'
import type { Rates, Terms } from './package'
import { SKILLS, type Skill } from './skill'
import {
  beforeTax,
  type CustomerTax,
  isTakenOut,
  shared,
  type Taxation,
  type Taxed,
  type TaxPart,
  taxationFor,
} from './tax'
import type { Trade, Vendor } from './vendor'

/**
 * One line of a price, traceable to the operations or the product it comes from. Integer cents, before tax unless the price says that
 * its lines contain it.
 */
export type PriceLine =
  | { kind: 'labour'; skill: Skill; minutes: number; operations: string[]; cents: number }
  | { kind: 'product'; productId: ProductId; name: string; ml: number; cents: number }
  | {
      kind: 'extra'
      extra: ExtraKey
      count: number
      pieces?: readonly string[]
      minutes: number
      cents: number
    }
  | { kind: 'vendor'; vendorId: string; name: string; trade: Trade; cents: number }
  | { kind: 'one-off'; words: string; minutes: number; cents: number }
  | { kind: 'consumables'; cents: number }
  /** Below 0. */
  | { kind: 'discount'; percent: number; cents: number }

export type Totals = {
  /** Before tax. */
  netCents: number
  taxCents: number
  /** With tax. */
  totalCents: number
  taxName: string
  /** The tax by rate, the highest first; rates of nothing are not among them. */
  taxes: readonly TaxPart[]
  /** The rates the lines stand under, percent. */
  taxRates: Taxation['percent']
  /** The lines contain the tax. */
  taxIncluded: boolean
  /** To be paid before the work, of the total. */
  depositCents: number
}
export type Price = Totals & { lines: PriceLine[] }

/** Half a cent is rounded away from nothing, as at a till. */
const cents = (exact: number) => Math.round(exact)

const TAXED_AS: Record<Exclude<PriceLine['kind'], 'discount'>, Taxed> = {
  labour: 'work',
  extra: 'work',
  'one-off': 'work',
  product: 'products',
  consumables: 'products',
  vendor: 'subcontractors',
}
/** The rate of tax on a line, percent. A discount has none of its own: it lowers all lines alike. */
const rateOf = ({ kind }: PriceLine, { percent }: Pick<Taxation, 'percent'>) =>
  kind === 'discount' ? 0 : percent[TAXED_AS[kind]]

/** What a line comes to before tax, integer cents; a discount lowers all alike and is given at `discountRate`, percent. */
export const lineBeforeTax = (
  line: PriceLine,
  { taxRates, taxIncluded }: { taxRates?: Taxation['percent'] | undefined; taxIncluded: boolean },
  discountRate = 0,
): number => {
  if (!taxIncluded || !taxRates) return line.cents
  return beforeTax(line.cents, line.kind === 'discount' ? discountRate : rateOf(line, { percent: taxRates }))
}

/** What is charged at each rate, the highest first, after a discount that lowers all alike. */
function byRate(lines: readonly PriceLine[], off: number, taxation: Taxation) {
  const sums = new Map<number, number>()
  for (const line of lines) {
    const rate = rateOf(line, taxation)
    sums.set(rate, (sums.get(rate) ?? 0) + line.cents)
  }
  const rates = [...sums].toSorted(([a], [b]) => b - a)
  const less = shared(
    off,
    rates.map(([, sum]) => sum),
  )
  return rates.map(([percent, sum], at) => ({ percent, left: sum - less[at]! }))
}

/**
 * Closes a price: the discount becomes a line of its own, so that the lines add up to the net price, or to the total where they
 * contain the tax, and net and tax to the total, to the cent. Discount, tax and deposit in percent; the tax is on what is left
 * after the discount, rounded once for each rate.
 */
export function closePrice(
  lines: readonly PriceLine[],
  { discountPercent, depositPercent }: Pick<Terms, 'discountPercent' | 'depositPercent'>,
  taxation: Taxation,
): Price {
  const gross = lines.reduce((sum, line) => sum + line.cents, 0)
  const off = cents((gross * discountPercent) / 100)
  const taxes = byRate(lines, off, taxation).map(({ percent, left }): TaxPart => {
    const onCents = taxation.isIncluded ? beforeTax(left, percent) : left
    return { percent, onCents, cents: taxation.isIncluded ? left - onCents : cents((left * percent) / 100) }
  })
  const netCents = taxes.reduce((sum, { onCents }) => sum + onCents, 0)
  const taxCents = taxes.reduce((sum, part) => sum + part.cents, 0)
  const totalCents = netCents + taxCents
  return {
    lines: [
      ...lines,
      ...(off > 0 ? [{ kind: 'discount' as const, percent: discountPercent, cents: -off }] : []),
    ],
    netCents,
    taxCents,
    totalCents,
    taxName: taxation.name,
    taxes: taxes.filter(({ percent }) => percent > 0),
    taxRates: taxation.percent,
    taxIncluded: taxation.isIncluded,
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
  return extras.map(({ key, count, pieces }) => {
    const minutes = minutesOf(plan.operations.filter(({ extra }) => extra === key))
    const labour = (minutes * rates.centsPerHour[EXTRA[key].skill]) / 60
    const materials = (rates.extraMaterialsCents[key] ?? 0) * count
    return {
      kind: 'extra',
      extra: key,
      count,
      ...(pieces && pieces.length > 0 ? { pieces } : {}),
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
  oneOffs?: readonly OneOff[]
  rates: Rates
  terms: Pick<Terms, 'discountPercent' | 'depositPercent'>
  customerTax?: CustomerTax
}

/** The lines of a plan: labour by skill, products by the millilitre, extras, vendors, lines of its own, consumables. */
export function priceLines({
  plan,
  coats,
  extras,
  vendors,
  oneOffs = [],
  rates,
  customerTax = 'as-usual',
}: Omit<Charged, 'terms'>): PriceLine[] {
  const lines: PriceLine[] = [
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
    ...oneOffs.map(
      ({ words, minutes, cents: fixed }): PriceLine => ({ kind: 'one-off', words, minutes, cents: fixed }),
    ),
    { kind: 'consumables', cents: rates.consumablesCents },
  ]
  return isTakenOut(rates.tax, customerTax)
    ? lines.map((line) => ({ ...line, cents: beforeTax(line.cents, rateOf(line, rates.tax)) }))
    : lines
}

/** The price of a plan: its lines, discount and tax. */
export const priceOf = (charged: Charged): Price =>
  closePrice(
    priceLines(charged),
    charged.terms,
    taxationFor(charged.rates.tax, charged.customerTax ?? 'as-usual'),
  )

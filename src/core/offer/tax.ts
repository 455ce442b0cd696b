import { z } from 'zod'
import { ask } from '../asks'
import { percent } from './percent'

/** Tax on sales (value added, goods and services, or sales tax): what it is called, at which rates, and whether prices contain it. */

/** What a rate is set for. In many places hours are taxed otherwise than goods (common practice). */
export const TAXED = ['work', 'products', 'subcontractors'] as const
export type Taxed = (typeof TAXED)[number]

export const taxSchema = z.strictObject({
  /** As it stands on papers: VAT, MwSt., Sales tax. */
  name: z
    .string()
    .trim()
    .min(1, ask('tax-name'))
    .max(30, ask('keep-under', { characters: 30 })),
  percent: z.strictObject({
    work: percent('tax-work'),
    products: percent('tax-products'),
    subcontractors: percent('tax-subcontractors'),
  }),
  /** Whether the shop's prices are typed and shown before the tax or with it. */
  prices: z.enum(['before-tax', 'with-tax']),
})
export type Tax = z.infer<typeof taxSchema>

/** How one customer is charged: as everybody, with prices before the tax and the tax on top, or without any tax. */
export const CUSTOMER_TAX = ['as-usual', 'on-top', 'none'] as const
export type CustomerTax = (typeof CUSTOMER_TAX)[number]

/** Tax at one rate: on how much, before it, and how much. Integer cents. */
export type TaxPart = { percent: number; onCents: number; cents: number }

/** How the lines of one price are taxed. */
export type Taxation = {
  name: string
  percent: Readonly<Record<Taxed, number>>
  /** Lines contain the tax. */
  isIncluded: boolean
}

const NO_TAX: Taxation['percent'] = { work: 0, products: 0, subcontractors: 0 }

/** How the lines of a price are taxed for one customer, once they stand before or with the tax as `linesFor` brings them. */
export function taxationFor({ name, percent: rates, prices }: Tax, customer: CustomerTax): Taxation {
  return {
    name,
    percent: customer === 'none' ? NO_TAX : rates,
    isIncluded: prices === 'with-tax' && customer === 'as-usual',
  }
}

/** Amounts of a shop whose prices contain the tax, for a customer whose prices do not. */
export function isTakenOut({ prices }: Tax, customer: CustomerTax): boolean {
  return prices === 'with-tax' && customer !== 'as-usual'
}

/** An amount without the tax it contains; integer cents. */
export const beforeTax = (cents: number, rate: number) => Math.round(cents / (1 + rate / 100))

/**
 * Splits a whole number of cents over parts in proportion to them; the shares add up to it, and none is more than its part while
 * `cents` is not more than all of them.
 */
export function shared(cents: number, parts: readonly number[]): number[] {
  const all = parts.reduce((sum, part) => sum + part, 0)
  let so = 0
  let given = 0
  return parts.map((part) => {
    so += part
    const upTo = all === 0 ? 0 : Math.round((cents * so) / all)
    const share = upTo - given
    given = upTo
    return share
  })
}

import {
  type AwayThing,
  EXTRA_KEYS,
  type ExtraKey,
  type Rates,
  type Skill,
  TAXED,
  type Tax,
  type Taxed,
  type Terms,
  type Trade,
  type Vendor,
  type VendorDays,
  type VendorStage,
} from '@/core/offer'
import type { Region } from '@/core/region'
import { amountText, minorOf, numberOf } from '@/text/typed'

/** Prices as they are typed: amounts in the currency, times in hours, everything as text until it is kept. */

export type TypedVendor = {
  id: string
  name: string
  trade: Trade
  stage: VendorStage
  hours: string
  amount: string
  when: VendorDays
  /** Where it is done: here, or at their place with the car or a piece of it. */
  away: AwayThing | 'here'
  travel: string
  atOnce: string
}

export type TypedPrices = {
  hour: Record<Skill, string>
  consumables: string
  materials: Record<ExtraKey, string>
  tax: { name: string; percent: Record<Taxed, string>; prices: Tax['prices'] }
  deposit: string
  validDays: string
  vendors: readonly TypedVendor[]
}

export type VendorWhen = Omit<Vendor, 'calendar'> & { when: VendorDays }

type Money = Pick<Region, 'currency'>

export function typedPrices(
  region: Money,
  rates: Rates,
  terms: Terms,
  vendors: readonly VendorWhen[],
): TypedPrices {
  const amount = (cents: number) => amountText(region, cents)
  const { prep, correct, coat } = rates.centsPerHour
  return {
    hour: { prep: amount(prep), correct: amount(correct), coat: amount(coat) },
    consumables: amount(rates.consumablesCents),
    materials: Object.fromEntries(
      EXTRA_KEYS.map((key) => [key, amount(rates.extraMaterialsCents[key] ?? 0)]),
    ) as Record<ExtraKey, string>,
    tax: {
      ...rates.tax,
      percent: Object.fromEntries(TAXED.map((what) => [what, String(rates.tax.percent[what])])) as Record<
        Taxed,
        string
      >,
    },
    deposit: String(terms.depositPercent),
    validDays: String(terms.validDays),
    vendors: vendors.map(({ minutes, cents: fixed, away, ...vendor }) => ({
      ...vendor,
      hours: String(minutes / 60),
      amount: amount(fixed),
      away: away?.what ?? 'here',
      travel: String(away?.travelMinutes ?? 30),
      atOnce: String(away?.atOnce ?? 1),
    })),
  }
}

/** What the server is asked to keep; it checks every field and names the one that is wrong. */
export function pricesOf(region: Money, typed: TypedPrices, { discountPercent }: Terms) {
  const { hour, tax } = typed
  const cents = (text: string) => minorOf(region, text)
  return {
    rates: {
      centsPerHour: { prep: cents(hour.prep), correct: cents(hour.correct), coat: cents(hour.coat) },
      consumablesCents: cents(typed.consumables),
      extraMaterialsCents: Object.fromEntries(EXTRA_KEYS.map((key) => [key, cents(typed.materials[key])])),
      tax: {
        ...tax,
        percent: {
          work: numberOf(tax.percent.work),
          products: numberOf(tax.percent.products),
          subcontractors: numberOf(tax.percent.subcontractors),
        },
      },
    },
    terms: {
      discountPercent,
      depositPercent: numberOf(typed.deposit),
      validDays: numberOf(typed.validDays),
    },
    vendors: typed.vendors.map(({ hours, amount: charged, away, travel, atOnce, ...vendor }) => ({
      ...vendor,
      minutes: Math.round(numberOf(hours) * 60),
      cents: cents(charged),
      ...(away === 'here'
        ? {}
        : { away: { what: away, travelMinutes: numberOf(travel), atOnce: numberOf(atOnce) } }),
    })),
  }
}

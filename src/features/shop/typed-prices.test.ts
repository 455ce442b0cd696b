import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ask } from '@/core/asks'
import { ratesSchema, termsSchema, vendorDaysSchema, vendorSchema } from '@/core/offer'
import { unread } from '@/text/typed'
import setup from '../../../demo/setup.json'
import { pricesOf, typedPrices } from './typed-prices'

const rates = ratesSchema.parse(setup.rates)
const terms = termsSchema.parse(setup.terms)
const EURO = { currency: 'EUR' }
const when = vendorDaysSchema.parse({ days: ['tue'], from: '09:00', to: '15:00' })
const vendors = setup.vendors.map((vendor) => {
  const { calendar: _, ...rest } = vendorSchema.parse(vendor)
  return { ...rest, when }
})

describe('prices as they are typed', () => {
  test('come back to the cent and the minute when nothing is changed', () => {
    const kept = pricesOf(EURO, typedPrices(EURO, rates, terms, vendors), terms)
    expect(kept.rates).toEqual({
      ...rates,
      extraMaterialsCents: expect.objectContaining(rates.extraMaterialsCents),
    })
    expect(kept.terms).toEqual(terms)
    expect(kept.vendors).toEqual(vendors)
  })
  test('any amount in cents survives being shown and typed again', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000_000 }), (prep) => {
        const shown = typedPrices(
          EURO,
          { ...rates, centsPerHour: { ...rates.centsPerHour, prep } },
          terms,
          [],
        )
        expect(pricesOf(EURO, shown, terms).rates.centsPerHour.prep).toBe(prep)
      }),
    )
  })
  test('what could not be read is no number, and an empty field no nought', () => {
    const first = typedPrices(EURO, rates, terms, [])
    const typed = {
      ...first,
      consumables: unread('35,500'),
      tax: { ...first.tax, percent: { ...first.tax.percent, work: '' } },
    }
    const kept = pricesOf(EURO, typed, terms)
    expect(kept.rates.consumablesCents).toBeNaN()
    expect(kept.rates.tax.percent.work).toBeNaN()
    expect(ratesSchema.safeParse({ ...kept.rates, consumablesCents: 3550 }).error?.issues[0]).toMatchObject({
      path: ['tax', 'percent', 'work'],
      message: ask('percent-of', { of: 'tax-work' }),
    })
  })
  test('a currency without cents is typed and kept in whole units', () => {
    const yen = { currency: 'JPY' }
    const shown = typedPrices(yen, { ...rates, consumablesCents: 4200 }, terms, [])
    expect(shown.consumables).toBe('4200')
    expect(pricesOf(yen, { ...shown, consumables: '5000' }, terms).rates.consumablesCents).toBe(5000)
  })
})

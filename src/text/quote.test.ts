import { describe, expect, test } from 'vitest'
import { makeOffer, type PriceLine, summaryOf } from '@/core/offer'
import { offerInput, template } from '@/core/offer/offer.fixture'
import { readIn } from '@/core/region'
import { instantOrThrow } from '@/core/time'
import { quoteText } from './quote'
import { lineOrigin, lineText, protectionLines, sumRows, workLines } from './quote-lines'
import { DUBLIN, OHIO } from './region.fixture'

const offer = makeOffer(template('boathouse'), offerInput({ thin: ['roof'] }), {
  extras: [{ key: 'headlamps', count: 2 }],
  terms: { discountPercent: 5, depositPercent: 20 },
})
const summary = summaryOf(offer)
const french = readIn(DUBLIN, 'fr')
const german = readIn(DUBLIN, 'de')

describe('what stands on a quote', () => {
  test('names every panel once: with its process, or as cleaned and not polished', () => {
    const said = workLines(DUBLIN, summary).join(' ')
    for (const { name } of summary.panels) expect(said).toContain(name.toLowerCase())
    expect(said).toMatch(/Cleaned, not polished: .*roof/)
    expect(said).not.toMatch(/leave/i)
  })
  test('names every extra and everybody called in, as the price has them', () => {
    const said = workLines(DUBLIN, summary)
    expect(said).toContain('Headlamp restoration × 2.')
    expect(said).toContain('Dent removal by Oona Marsh.')
    expect(said).toContain('Wheels off.')
    expect(workLines(german, summary).join(' ')).toContain('durch Tam Rusk.')
  })
  test('says how closely it is worked only where something is worked, in no workshop terms', () => {
    expect(workLines(DUBLIN, summary).at(-1)).toMatch(/checked twice under two lamps/)
    const nothing = summaryOf(
      makeOffer(template('headland'), offerInput({ paintSystem: 'matte', defects: {} })),
    )
    expect(workLines(DUBLIN, nothing)).toHaveLength(1)
    for (const region of [DUBLIN, french, german])
      expect(workLines(region, summary).join(' ')).not.toMatch(/0[.,]6|0[.,]45|\bm\b/)
  })
  test('says in one line what goes on the paint, then what goes on the rest', () => {
    expect(protectionLines(DUBLIN, summary)).toEqual([
      'Paint: Ebb Single.',
      'Glass: Rill Glass.',
      'Trim: Kelp Trim.',
      'Wheels: Ebb Single.',
    ])
    const layered = summaryOf(makeOffer(template('lantern'), offerInput()))
    expect(protectionLines(DUBLIN, layered)).toEqual(['Paint: Cladonia Base, then Tern Top, then Tern Top.'])
    expect(protectionLines(french, layered)).toEqual([
      'Peinture : Cladonia Base, puis Tern Top, puis Tern Top.',
    ])
  })
  test('the hours of a line are all told, in words a customer knows', () => {
    for (const line of summary.priceLines) {
      if (line.kind !== 'labour') continue
      const steps = offer.plan.operations.filter(({ id }) => line.operations.includes(id))
      expect(steps.reduce((sum, { minutes, people }) => sum + minutes * people, 0)).toBe(line.minutes)
      const origin = lineOrigin(DUBLIN, line, offer.plan.operations)
      expect(origin).not.toBe('')
      expect(origin).not.toMatch(/panel wipe|refine|layer \d/i)
    }
  })
  test('what is buffed off is not called cleaning for a coating that is not bought', () => {
    const gentle = makeOffer(template('tideline'), offerInput())
    const origins = summaryOf(gentle).priceLines.map((line) =>
      lineOrigin(DUBLIN, line, gentle.plan.operations),
    )
    expect(origins.join('; ')).toContain('buffing off')
    expect(origins.join('; ')).not.toContain('protected')
  })
  test('every kind of line has words of its own', () => {
    const words = summary.priceLines.map((line) => lineText(DUBLIN, line))
    expect(new Set(words).size).toBe(words.length)
    expect(words).toEqual(
      expect.arrayContaining([
        'Discount 5%',
        'Headlamp restoration × 2, 1 h 20 min',
        'Dent removal by Oona Marsh',
        'Pads, towels and tape',
      ]),
    )
    const kinds = new Set(summary.priceLines.map(({ kind }) => kind))
    const all: PriceLine['kind'][] = ['labour', 'product', 'extra', 'vendor', 'consumables', 'discount']
    expect([...kinds].sort()).toEqual([...all].sort())
  })
  test('the tax is called what it is called where the customer reads', () => {
    const names = (region: typeof DUBLIN, tax: Partial<typeof summary> = {}) =>
      sumRows(region, { ...summary, ...tax }).map(({ name }) => name.replace(/\s/g, ' '))
    expect(names(DUBLIN)).toEqual(['Price excluding VAT', 'VAT 23%'])
    expect(names(OHIO, { taxName: 'Sales tax' })).toEqual(['Subtotal', 'Sales tax 23%'])
    expect(names(german, { taxName: 'GST' })).toEqual(['Nettopreis', 'GST 23 %'])
    expect(names(french)).toEqual(['Prix hors taxe', 'TVA 23 %'])
    expect(names(german)).toEqual(['Nettopreis', 'MwSt. 23 %'])
    const two = [
      { percent: 19, onCents: 10_000, cents: 1900 },
      { percent: 7, onCents: 100, cents: 7 },
    ]
    expect(names(german, { taxes: two, taxIncluded: true })).toEqual([
      'enthält MwSt. 19 %',
      'enthält MwSt. 7 %',
    ])
    expect(names(french, { taxes: two })).toEqual(['Prix hors taxe', 'TVA 19 %', 'TVA 7 %'])
    const odd = [{ percent: 14.975, onCents: 100, cents: 15 }]
    expect(names(DUBLIN, { taxes: odd }).at(-1)).toBe('VAT 14.975%')
    expect(names(DUBLIN, { taxes: [] })).toEqual(['No VAT charged'])
    // A price from before there could be several rates.
    const { taxes: _, ...former } = summary
    expect(sumRows(DUBLIN, { ...former, taxPercent: 21 })[1]!.name).toBe('VAT 21%')
  })
})

describe('a version in words', () => {
  const told = {
    shop: 'Fern Yard',
    customer: 'Ita Corrigan',
    jobNumber: 12,
    pitch: 'What a car in daily use deserves.',
    summary,
    operations: offer.plan.operations,
    totalCents: offer.price.totalCents,
    depositPercent: 20,
  }
  const written = {
    kind: 'written',
    version: 3,
    writtenAt: instantOrThrow('2027-01-12T23:30:00Z'),
    validUntil: instantOrThrow('2027-01-27T00:00:00Z'),
  } as const
  test('is called by its number and the day it was written, where the shop stands, and names its last day', () => {
    const text = quoteText(DUBLIN, told, written)
    expect(text.title).toBe('Quote 3, Tuesday 12 January 2027')
    expect(text.about).toBe('Job 12. Valid until Tuesday 26 January 2027.')
    expect(text.collection).toBeUndefined()
  })
  test('says when the car would have been ready, where that was found, and fixes nothing', () => {
    const text = quoteText(DUBLIN, told, {
      ...written,
      couldCollectAt: instantOrThrow('2027-01-20T14:45:00Z'),
    })
    expect(text.collection).toContain('ready on Wednesday 20 January 2027 at 14:45')
    expect(text.collection).toContain('We confirm the day when you accept.')
  })
  test('is French for a French customer, and German for a German one', () => {
    expect(quoteText(french, told, written)).toMatchObject({
      language: 'fr',
      title: 'Devis 3 du mardi 12 janvier 2027',
      accepted: 'Bon pour accord, Ita Corrigan (signature et date)',
    })
    expect(quoteText(german, told, written)).toMatchObject({
      title: 'Angebot 3 vom Dienstag, 12. Januar 2027',
      accepted: 'Angenommen: Ita Corrigan (Unterschrift und Datum)',
    })
  })
  test('a draft says that it is none yet, and how long it will be valid', () => {
    const draft = (validDays: number) => quoteText(DUBLIN, told, { kind: 'draft', validDays })
    expect(draft(14)).toMatchObject({ title: 'Draft quote', about: 'Job 12. Valid for 14 days once saved.' })
    expect(draft(1).about).toContain('Valid for one day once saved.')
  })
})

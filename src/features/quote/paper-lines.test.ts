import { describe, expect, test } from 'vitest'
import { makeOffer, type PriceLine, type QuoteState, summaryOf } from '@/core/offer'
import { offerInput, template } from '@/core/offer/offer.fixture'
import { instantOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { lineText } from '../plan/price-lines'
import { coatLines, lineOrigin, workLines } from './paper-lines'
import { stateText } from './state-text'

const offer = makeOffer(template('boathouse'), offerInput({ thin: ['roof'] }), {
  extras: [{ key: 'headlamps', count: 2 }],
  terms: { discountPercent: 5, depositPercent: 20 },
})
const summary = summaryOf(offer)

describe('what stands on the paper', () => {
  test('names every panel once: with its process, or as cleaned and not polished', () => {
    const said = workLines(summary).join(' ')
    for (const { name, process } of summary.panels) {
      expect(said).toContain(name.toLowerCase())
      if (process !== 'Leave') expect(said).toContain(process)
    }
    expect(said).toMatch(/Cleaned, not polished: .*roof/)
  })
  test('says how closely it is worked only where something is worked', () => {
    expect(workLines(summary).at(-1)).toMatch(/^Highest care: /)
    const nothing = summaryOf(makeOffer(template('headland'), offerInput({ defects: {} })))
    expect(workLines(nothing).join(' ')).not.toMatch(/care/)
  })
  test('says in one line what lies on the paint, then what lies on the rest', () => {
    expect(coatLines(summary)).toEqual([
      'Paint: Ebb Single.',
      'Glass: Rill Glass.',
      'Trim: Kelp Trim.',
      'Wheels: Ebb Single.',
    ])
    const layered = summaryOf(makeOffer(template('lantern'), offerInput()))
    expect(coatLines(layered)).toEqual(['Paint: Cladonia Base, then Tern Top, then Tern Top.'])
  })
  test('every line of labour is traced to the steps it is made of, whose minutes are its own', () => {
    for (const line of summary.priceLines) {
      if (line.kind !== 'labour') continue
      const steps = offer.plan.operations.filter(({ id }) => line.operations.includes(id))
      expect(steps.reduce((sum, { minutes, people }) => sum + minutes * people, 0)).toBe(line.minutes)
      for (const { title } of steps)
        expect(lineOrigin(DUBLIN, line, offer.plan.operations)).toContain(title.toLowerCase())
    }
  })
  test('every kind of line has words of its own', () => {
    const words = summary.priceLines.map((line) => lineText(DUBLIN, line))
    expect(new Set(words).size).toBe(words.length)
    expect(words).toEqual(
      expect.arrayContaining([
        'Discount 5%',
        'Headlamp restoration × 2, 1 h 20 min',
        'Dent removal by Oona Marsh',
        'Pads, towels, tape',
      ]),
    )
    const kinds = new Set(summary.priceLines.map(({ kind }) => kind))
    const all: PriceLine['kind'][] = ['labour', 'product', 'extra', 'vendor', 'consumables', 'discount']
    expect([...kinds].sort()).toEqual([...all].sort())
  })
})

describe('how a quote stands, in a line', () => {
  const at = instantOrThrow('2027-01-27T00:00:00Z')
  const cases: [QuoteState, string][] = [
    [{ kind: 'open', until: at }, 'open until 26 Jan 2027'],
    [{ kind: 'accepted', at }, 'accepted 27 Jan 2027'],
    [{ kind: 'declined', at, words: '' }, 'declined 27 Jan 2027'],
    [{ kind: 'declined', at, words: 'too dear' }, 'declined 27 Jan 2027: “too dear”'],
    [{ kind: 'expired', since: at }, 'past its day since 27 Jan 2027'],
    [{ kind: 'superseded' }, 'replaced by a later version'],
  ]
  test.each(cases)('%o', (state, words) => {
    expect(stateText(state, DUBLIN)).toBe(words)
  })
})

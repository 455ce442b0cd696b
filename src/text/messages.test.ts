import { describe, expect, test } from 'vitest'
import { asksToStop, type Facts, fillIn, OCCASION, OCCASIONS, unknownFacts } from '@/core/messages'
import { LANGUAGES, type Language, readIn } from '@/core/region'
import { localDayOrThrow } from '@/core/time'
import { dueFacts, repairText, standardText } from './messages'
import { DUBLIN } from './region.fixture'

const from = localDayOrThrow('2027-01-13')
const until = localDayOrThrow('2027-02-10')
const ALL: Required<Facts> = {
  name: 'Nuala Feathering',
  car: 'Hearth Estate',
  shop: 'Fern Yard',
  phone: '0555 100',
  from: '13 January 2027',
  until: '10 February 2027',
  panels: 'bonnet',
  guarantee: 'It keeps the guarantee.',
  page: 'https://shop.example/o/abc',
  words: 'We put it right.',
}
const filledIn = (occasion: (typeof OCCASIONS)[number], language: Language, facts: Facts = ALL) => {
  const filled = fillIn(standardText(occasion, language), facts)
  if (!filled.ok) throw new Error(filled.error.name)
  return filled.value
}

describe('the standard texts', () => {
  test.each(OCCASIONS.flatMap((occasion) => LANGUAGES.map((language) => [occasion, language] as const)))(
    '%s in %s can be filled in, names the car and the shop, and has nothing left in braces',
    (occasion, language) => {
      expect(unknownFacts(standardText(occasion, language))).toEqual([])
      const { subject, text } = filledIn(occasion, language)
      expect(text).toContain('Nuala Feathering')
      expect(`${subject}${text}`).toContain('Hearth Estate')
      expect(text).toContain('Fern Yard')
      expect(text).not.toMatch(/[{}]/)
    },
  )
  test('every reminder says how to end them, in a word the shop understands', () => {
    for (const occasion of OCCASIONS.filter((each) => OCCASION[each].needsConsent))
      for (const language of LANGUAGES) {
        const word = /STOPP?/.exec(filledIn(occasion, language).text)?.[0]
        expect(asksToStop(word ?? ''), `${occasion} ${language}`).toBe(true)
      }
  })
  test('a guarantee is spoken of only to whoever has one', () => {
    const said = (language: Language, guaranteed: boolean) => {
      const facts = dueFacts(DUBLIN, language, { occasion: 'visit-due', facts: { from, until, guaranteed } })
      return filledIn('visit-due', language, { name: 'A', car: 'B', shop: 'C', ...facts }).text
    }
    for (const [language, word] of [
      ['en', /guarantee/],
      ['fr', /garantie/],
      ['de', /Garantie/],
    ] as const) {
      expect(said(language, true)).toMatch(word)
      expect(said(language, false)).not.toMatch(word)
    }
  })
  test('days are written as the language writes them, with their year', () => {
    const fact = (language: Language) =>
      dueFacts(DUBLIN, language, { occasion: 'visit-due', facts: { from, until } }).from
    expect(fact('en')).toBe('Wednesday 13 January 2027')
    expect(fact('fr')).toBe('mercredi 13 janvier 2027')
    expect(fact('de')).toBe('Mittwoch, 13. Januar 2027')
    expect(repairText(readIn(DUBLIN, 'de'), from, true)).toContain('Mittwoch, 13. Januar 2027')
  })
})

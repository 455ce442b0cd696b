import { describe, expect, test } from 'vitest'
import { CARE_RULES, type CareDate, type Milestone, VISIT_REASONS } from '@/core/aftercare'
import { LANGUAGES, type Language, readIn } from '@/core/region'
import { DEFECT_KINDS, PLACE_DEFECT_KINDS } from '@/core/survey'
import { localDayOrThrow } from '@/core/time'
import { panelsOf, placesOf, SHAPES } from '@/core/vehicle'
import { careWords, saidOf, wordedDate, wordedMilestone } from './care'
import { AMERICAN } from './en/terms'
import { expectationText } from './expectation'
import { EXPECTATIONS, SIGN_OFF_FACTS } from './facts.fixture'
import { fieldWords } from './fields'
import { handoverWords } from './handover'
import { historyWords } from './history'
import { markName, markNeeds } from './marks'
import { NEVER } from './never.fixture'
import { ownerWords } from './owner'
import { placeName, placeTitle } from './panels'
import { quoteWords } from './quote-words'
import { DUBLIN, OHIO } from './region.fixture'
import { signOffLine, signOffWords } from './sign-off'
import { workWords } from './work'

/** Every sentence of every catalogue, said once in each language. */

const day = localDayOrThrow('2026-11-17')
const span = { key: 'k', first: day, last: day }
const DATES: CareDate[] = [
  { ...span, kind: 'topper', hard: true, everyWeeks: 2 },
  { ...span, kind: 'topper', hard: false, everyWeeks: 4 },
  { ...span, kind: 'decontamination', season: 'after-winter' },
  { ...span, kind: 'decontamination', season: 'before-winter' },
  ...VISIT_REASONS.map((why): CareDate => ({ ...span, kind: 'visit', why })),
  { ...span, kind: 'visit', why: 'rhythm', missedBy: day },
  { ...span, kind: 'light-polish', spare: true },
  { ...span, kind: 'light-polish', spare: false },
  { ...span, kind: 'renewal' },
  { ...span, kind: 'renewal', wornBy: day },
]
const MILESTONES: Milestone['key'][] = [
  'dry-until',
  'indoors-until',
  'first-wash',
  'topper-from',
  'full-cure',
  'first-visit',
]
const IDS = [
  ...new Set(SHAPES.flatMap((shape) => [...panelsOf(shape), ...placesOf(shape)].map(({ id }) => id))),
]

function textsOf(region: typeof DUBLIN): string[] {
  const care = careWords(region)
  const owner = ownerWords(region)
  const milestone = (key: Milestone['key']) =>
    wordedMilestone(region, { key, hold: true, when: { kind: 'day', day } })
  return [
    ...DATES.flatMap((date) => Object.values(saidOf(region, date))),
    ...DATES.map((date) => wordedDate(region, date).text),
    ...MILESTONES.map(milestone).flatMap(({ title, text }) => [title, text]),
    ...CARE_RULES.flatMap(({ id }) =>
      [true, false].flatMap((guaranteed) => Object.values(care.rule[id]({ guaranteed }))),
    ),
    ...Object.values(care.visitReason),
    care.do,
    care.avoid,
    care.firstDays,
    ...Object.values(care.when).map((say) => say('1', '2')),
    ...flat(owner),
    ...Object.values(fieldWords(region)),
    ...IDS.map((id) => placeName(region, id)),
    ...[...DEFECT_KINDS, ...PLACE_DEFECT_KINDS].map((kind) => markName(region, kind)),
    ...PLACE_DEFECT_KINDS.map((kind) => markNeeds(region, kind)),
    ...SIGN_OFF_FACTS.map((fact) => signOffLine(region, fact).text),
    ...flat(leaf(signOffWords(region), 'line')),
    ...EXPECTATIONS.map((each) => expectationText(region, each)),
    ...flat(workWords(region)),
    ...flat({
      ...leaf(quoteWords(region), 'validFor'),
      day: quoteWords(region).validFor(1),
      days: quoteWords(region).validFor(14),
    }),
    ...flat(handoverWords(region)),
    ...flat(historyWords(region)),
  ]
}

/** A fact that can stand in a sentence by itself, and is asked for its parts as well. */
const FACT = new Proxy(new String('A'), {
  get: (fact, part) => (typeof part === 'symbol' ? undefined : part in fact ? () => 'A' : 'B'),
})

/** All texts of a catalogue of words and sentences, its facts filled in. */
const flat = (words: object): string[] =>
  Object.values(words).flatMap((each) =>
    typeof each === 'string' ? [each] : typeof each === 'function' ? [each(FACT, 'B', 'C')] : flat(each),
  )

/** A catalogue without a part that is said with facts of its own. */
const leaf = <W extends object, K extends keyof W>(words: W, part: K): object => {
  const { [part]: _, ...others } = words
  return others
}

const regionOf = (language: Language) => readIn(DUBLIN, language)

describe.each(LANGUAGES.map((language) => [language]))('the words in %s', (language) => {
  const texts = textsOf(regionOf(language))
  test('none is empty, or has a hole where a fact should stand', () => {
    for (const text of texts) {
      expect(text.trim()).not.toBe('')
      expect(text).not.toMatch(/undefined|null|NaN|\[object/)
      expect(text).not.toMatch(/ {2}|^ | $/)
    }
  })
  test('none is of the words nobody should read', () => {
    for (const text of texts) expect(text).not.toMatch(NEVER)
  })
})

/** Facts filled in alone, and words that are spelt alike in two languages. */
const ALIKE = ['1', '2', 'A', 'A: B.', 'correction', 'inspection', 'SUV', 'coupé', 'gelcoat', 'microfibre']

test('what is said in French and in German is not left in English', () => {
  const english = new Set(textsOf(DUBLIN))
  for (const language of ['fr', 'de'] as const) {
    const same = textsOf(regionOf(language)).filter((text) => english.has(text))
    expect(same.filter((text) => !ALIKE.includes(text))).toEqual([])
  }
})

test('America has its own words for the parts of a car, and no British ones', () => {
  const texts = textsOf(OHIO).join(' ')
  expect(texts).not.toMatch(
    /\b(bonnet|wing|boot lid|sills?|windscreen|tyres?|colour\w*|kerb\w*|odour|grey|centre)\b/i,
  )
  for (const word of [AMERICAN.bonnet, AMERICAN.wing, AMERICAN.boot, AMERICAN.sills])
    expect(texts).toContain(word)
})

test('every panel and place of every body has a name, with its side where it has one', () => {
  for (const language of LANGUAGES)
    for (const id of IDS) expect(placeName(regionOf(language), id)).not.toBe(id.includes('-') ? id : '')
  expect(placeTitle(DUBLIN, 'front-door-left')).toBe('Left front door')
  expect(placeTitle(regionOf('fr'), 'front-door-right')).toBe('Porte avant droite')
  expect(placeTitle(regionOf('fr'), 'mirror-right')).toBe('Rétroviseur droit')
  expect(placeTitle(regionOf('de'), 'front-wing-left')).toBe('Kotflügel vorne links')
  expect(placeName(OHIO, 'front-wing-left')).toBe('left front fender')
  // In Britain they are what the drawing of the car has always called them.
  for (const shape of SHAPES)
    for (const { id, name } of [...panelsOf(shape), ...placesOf(shape)])
      expect(placeTitle(DUBLIN, id)).toBe(name)
})

test('a brush wash ends a guarantee only where there is one', () => {
  const reason = (guaranteed: boolean) => careWords(DUBLIN).rule['no-brushes']({ guaranteed }).reason
  expect(reason(true)).toContain('guarantee')
  expect(reason(false)).not.toContain('guarantee')
})

test('a visit that was missed says by when it was due, with the year, and asks to book', () => {
  const said = saidOf(DUBLIN, { ...span, kind: 'visit', why: 'rhythm', missedBy: day })
  expect(said.title).toBe('Inspection visit overdue (was due by Tuesday 17 November 2026)')
  expect(said.advice).toMatch(/^Please book now\./)
})

test('a coating that should have ended says so, and promises nothing of it', () => {
  const said = saidOf(DUBLIN, { ...span, kind: 'renewal', wornBy: day })
  expect(said.title).toBe('Recoating: the coating has probably worn off (by Tuesday 17 November 2026)')
  for (const language of LANGUAGES) {
    const words = ownerWords({ language })
    const worn = words.protectedUntil('Drizzle Sealant', '29 Apr 2025', 'Aug 2025')
    expect(worn).toContain('Drizzle Sealant')
    expect(worn).not.toBe(words.protectedWith('Drizzle Sealant', '29 Apr 2025', 'Aug 2025'))
  }
})

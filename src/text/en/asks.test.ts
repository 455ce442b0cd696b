import { describe, expect, test } from 'vitest'
import { type AskFacts, ask, type PlainAsk } from '@/core/asks'
import type { Region } from '@/core/region'
import { instantOrThrow } from '@/core/time'
import { DUBLIN, OHIO } from '../region.fixture'
import { asked } from './asks'
import { PLAIN } from './plain-asks'

/** One of each, so that a code whose facts change does not compile here. */
const EVERY: { [Code in keyof AskFacts]: AskFacts[Code] } = {
  'keep-under': { characters: 2000 },
  between: { quantity: 'temperature', least: -20, most: 60 },
  'number-of': { of: 'bucket' },
  'more-of': { of: 'flow' },
  'of-between': { of: 'arm-speed', least: 5, most: 400 },
  'case-panel': { panel: 'wing-99' },
  'case-method': { method: 'scrubbing' },
  'case-spot-twice': { spot: 2 },
  'method-steps-enough': { most: 5 },
  'method-named-twice': { name: 'Gentle' },
  'product-named-twice': { name: 'Ebb' },
  'product-in-package': { name: 'Lantern' },
  'method-in-package': { name: 'Headland' },
  'below-nothing': { of: 'hour-prep' },
  'amount-of': { of: 'consumables' },
  'percent-of': { of: 'discount' },
  'holds-no-more': { of: 'bucket', ml: 200_000 },
  'flow-most': { lPerMin: 100 },
  'ml-most': { ml: 5000 },
  'pour-most': { ml: 1000 },
  'parts-off': { names: ['Fuel flap', 'Badge'] },
  'torque-nm': { least: 20, most: 600 },
  'pieces-most': { most: 1000 },
  square: { least: 0.1, most: 1 },
  'no-such-size': { what: 'length' },
  'room-too-small': { what: 'height' },
  'room-too-large': { what: 'length' },
  'name-of': { of: 'bay' },
  'nobody-left': { skill: 'coat' },
  'still-planned': { name: 'Oran', title: 'Cut', plate: 'IM 1' },
  'hours-unread': { part: 'mornings' },
  'hours-backwards': { part: '17:00–08:00' },
  'hours-overlap': { from: '11:00', to: '13:00' },
  'outage-day': { end: 'from' },
  'outage-time': { end: 'until' },
  'breaks-rule': { rule: 'fault:starts-closed' },
  overtaken: { what: 'Cut, IM 1' },
  'does-not-fit': { why: 'Nobody who coats works then.' },
  'removal-most': { um: 100 },
  'no-paint-to-spare': { panels: ['bonnet', 'roof'], um: 2.4 },
  'not-metal': { panel: 'front-bumper' },
  'photo-too-large': { megabytes: 30 },
  'photo-too-many-pixels': { millions: 60 },
  'packages-enough': { most: 12 },
  'package-named-twice': { name: 'Lantern' },
  'subcontractor-needed': { name: 'Lantern' },
  'agreed-already': { name: 'Lantern' },
  'quote-answered': { kind: 'declined' },
  'inspector-worked': { name: 'Oran' },
  'fault-found': { note: 'a high spot' },
  'money-open': { cents: 48_050 },
  'water-ahead': { kind: 'rain', from: instantOrThrow('2027-02-03T14:00:00Z'), roof: false },
  'text-fact-missing': { fact: 'page' },
  'vehicle-known': { plate: 'IM 1' },
  'tries-again-in': { seconds: 40 },
  'file-number-most': { most: 600 },
  'file-list-most': { most: 5000 },
  'file-characters-most': { most: 2000 },
  'file-year': { first: 1880, last: 2199 },
}

const withFacts = (region: Region, code: keyof AskFacts) =>
  asked(region, ask(code, EVERY[code] as AskFacts['keep-under']))

const all = (region: Region) => [
  ...(Object.keys(PLAIN) as PlainAsk[]).map((code) => [code, asked(region, ask(code))] as const),
  ...(Object.keys(EVERY) as (keyof AskFacts)[]).map((code) => [code, withFacts(region, code)] as const),
]
/** Said in the middle of another sentence: “The file is damaged at …: must be a number.” */
const isPart = (code: string) => /^(file-(?!.*history)|contradicts|locale|time-zone|currency)/.test(code)

describe('what a form or an action asks for', () => {
  test('is a sentence that ends, for every code', () => {
    for (const [code, text] of all(DUBLIN))
      if (!isPart(code)) expect(text, code).toMatch(/^[\p{Lu}“\d].*[.?]$/u)
  })
  test('is never a code or a fact that nobody put into words', () => {
    for (const region of [DUBLIN, OHIO])
      for (const [code, text] of all(region))
        expect(text, code).not.toMatch(/ask:|fault:[a-z]|undefined|NaN|\[object/)
  })
  test('in America it is in American units, hours and words', () => {
    const said = Object.fromEntries(all(OHIO))
    expect(said.between).toBe('It must lie between −4 and 140 °F.')
    expect(said['pour-most']).toBe('One car cannot take more than 33.8 fl oz.')
    expect(said['removal-most']).toContain('3.9 mil')
    expect(said['no-paint-to-spare']).toMatch(/^Hood, Roof: the paint cannot spare the 0.09 mil/)
    expect(said['a-time']).toContain('8:00 PM')
    expect(said['whole-km']).toContain('whole miles')
    expect(said.colour).toBe('Write the color as the customer calls it.')
    for (const text of Object.values(said)) expect(text).not.toMatch(/colour|tyre|metre|litre|µm|°C|kilomet/)
  })
  test('anything else is told as it is', () => {
    expect(asked(DUBLIN, 'Too big')).toBe('Too big')
    expect(asked(DUBLIN, 'ask: somebody')).toBe('ask: somebody')
  })
})

import { coded, readCoded } from './coded'
import type { StepName } from './offer'

/**
 * What a form or an action asks for where it cannot take what it was given. Whoever refuses names a code and its facts;
 * `src/text` makes the sentence. On its way through Zod and answers it is a string.
 */

/** What asks for nothing but itself. */
export type PlainAsk =
  // Any field
  | 'a-number'
  | 'a-whole-number'
  | 'a-number-or-empty'
  | 'an-amount'
  | 'not-below-nothing'
  | 'more-than-nothing'
  | 'a-day'
  | 'a-day-or-empty'
  | 'a-date-and-time'
  | 'a-time'
  | 'a-note'
  | 'an-email'
  | 'whole-km'
  | 'who-looks'
  | 'past-day'
  | 'same-names'
  | 'end-after-begin'

  // Whoever asks, and what was sent
  | 'not-for-you-to-see'
  | 'not-for-you-to-do'
  | 'no-answer'
  | 'nothing-changed'
  | 'no-key'
  | 'key-of-another'
  | 'too-long'
  | 'shown-once'
  | 'not-from-a-tablet'
  | 'no-record'
  | 'long-entry'
  | 'read-already'
  | 'contradicts'

  // Check-in
  | 'customer-name'
  | 'plate'
  | 'vin-too-long'
  | 'make'
  | 'model'
  | 'year'
  | 'shape'
  | 'colour'
  | 'paint-system'
  | 'yearly-km'
  | 'treatments-enough'
  | 'fuel'
  | 'wishes'
  | 'budget'
  | 'arrival-day'
  | 'before-arrival'
  | 'shorter-search'
  | 'percent-least'
  | 'percent-most'
  | 'an-hour'
  | 'locale'
  | 'time-zone'
  | 'currency'

  // Vehicles
  | 'panel'
  | 'removal-day'
  | 'removal-note'
  | 'history-file'
  | 'history-too-large'
  | 'new-owner'
  | 'file-day'
  | 'file-instant'
  | 'file-number'
  | 'file-base64'
  | 'file-picture'
  | 'file-jpeg'
  | 'file-positive'
  | 'file-not-negative'

  // Survey, test spots, wash, sign-off
  | 'extent'
  | 'readings-enough'
  | 'defects-enough'
  | 'no-gloss-meter'
  | 'survey-kept'
  | 'round-agreed'
  | 'air-temperature'
  | 'film-readings'
  | 'film-readings-enough'
  | 'spot-panel'
  | 'spot-process'
  | 'machine'
  | 'pad'
  | 'liquid'
  | 'speed'
  | 'passes'
  | 'one-pass'
  | 'passes-enough'
  | 'spot-mark'
  | 'cleared'
  | 'verdict'
  | 'before-missing'
  | 'spot-taken-back'
  | 'sign'
  | 'signature-too-long'
  | 'signed-by'
  | 'sign-off-stale'
  | 'signed-meanwhile'

  // Photographs
  | 'photo-empty'
  | 'photo-unread'
  | 'photo-damaged'
  | 'photo-nowhere'
  | 'photo-of-gone'
  | 'photo-drawn-on'
  | 'photo-marks-enough'

  // Offers, quotes, packages, prices
  | 'count-of-extra'
  | 'count-below-nothing'
  | 'count-too-large'
  | 'package-name'
  | 'package-pitch'
  | 'layers-enough'
  | 'one-package'
  | 'valid-days'
  | 'valid-a-day'
  | 'valid-a-year'
  | 'tax-name'
  | 'subcontractor-day'
  | 'subcontractor-goes'
  | 'subcontractor-name'
  | 'subcontractor-hours'
  | 'subcontractor-time'
  | 'subcontractor-too-long'
  | 'subcontractor-price'
  | 'subcontractor-below-nothing'
  | 'subcontractors-enough'
  | 'process-unknown'
  | 'survey-changed'
  | 'process-gone'
  | 'price-changed'
  | 'unmeasured'
  | 'package-gone'
  | 'agreed-meanwhile'
  | 'answered-already'
  | 'quote-accepted'
  | 'quote-declined'
  | 'quote-expired'
  | 'quote-replaced'

  // At the car
  | 'lot'
  | 'poured-number'
  | 'poured'

  // Final inspection, handover, payments
  | 'what-is-wrong'
  | 'no-agreed-work'
  | 'no-such-place'
  | 'step-to-redo'
  | 'payment-number'
  | 'payment'
  | 'payment-too-large'
  | 'steps-open'
  | 'wheel-nuts'

  // Visits, repairs, owners
  | 'water'
  | 'angle'
  | 'angle-range'
  | 'nothing-looked-at'
  | 'panels-to-coat'
  | 'look-day'
  | 'visit-day'
  | 'page-closed'
  | 'wish-day'
  | 'wish-known'
  | 'not-our-coating'
  | 'looks-kept'
  | 'visit-booked'
  | 'in-hand'
  | 'no-such-part'
  | 'visit-has-steps'
  | 'repair-booked'

  // Messages
  | 'no-consent'
  | 'about-what'
  | 'message-text'
  | 'message-sent'
  | 'text-subject'
  | 'text-text'

  // Stock
  | 'product'
  | 'bottle-content'
  | 'one-bottle'
  | 'bottles-enough'
  | 'set-name'
  | 'one-piece'

  // People, bays, hours, set-up
  | 'skills'
  | 'bay-kinds'
  | 'one-car'
  | 'cars-enough'
  | 'no-wash-bay'
  | 'no-paint-bay'
  | 'logo-too-detailed'
  | 'logo-too-large'
  | 'shop-name'
  | 'setup-changed'
  | 'lance-time'
  | 'bay'
  | 'sensor-minutes'
  | 'sensor-ten-minutes'
  | 'sensor-two-days'
  | 'no-sensors'
  | 'practice-film'
  | 'learned-since'

  // Schedule
  | 'who-or-what'
  | 'enquiry-day'
  | 'enquiry-time'
  | 'moved-since'
  | 'nothing-to-take-back'
  | 'step-unplanned'
  | 'shop-thing-gone'
  | 'over-already'
  | 'longer-than-a-year'
  | 'no-wash-outside'
  | 'step'
  | 'longer-minutes'
  | 'longer-whole-minutes'
  | 'longer-too-long'
  | 'longer-two-days'
  | 'step-not-to-do'
  | 'schedule-changed'
  | 'schedule-changed-check'
  | 'plan-gone'

  // What is no longer there
  | 'job-gone'
  | 'vehicle-gone'
  | 'visit-gone'
  | 'quote-gone'
  | 'owner-gone'
  | 'photo-gone'
  | 'photo-other'
  | 'bottle-gone'
  | 'product-gone'
  | 'set-gone'
  | 'list-missing'
  | 'list-brought'
  | 'list-incomplete'
  | 'list-gone'
  | 'list-taken-back'

/** What a value is the value of, where one form has several. */
export type AskedThing =
  | 'hour-prep'
  | 'hour-correct'
  | 'hour-coat'
  | 'consumables'
  | 'extra-material'
  | 'discount'
  | 'deposit'
  | 'tax-work'
  | 'tax-products'
  | 'tax-subcontractors'
  | 'bucket'
  | 'spray-bottle'
  | 'cap'
  | 'lance-bottle'
  | 'emptying'
  | 'flow'
  | 'square'

/** What asks with facts; quantities in SI or as their names say, panels by id. */
export type AskFacts = {
  'keep-under': { characters: number }
  between: { quantity: 'temperature' | 'percent'; least: number; most: number }
  'number-of': { of: AskedThing }
  'more-of': { of: AskedThing }
  'below-nothing': { of: AskedThing }
  'amount-of': { of: AskedThing }
  'percent-of': { of: AskedThing }
  'holds-no-more': { of: AskedThing; ml: number }
  'flow-most': { lPerMin: number }
  'ml-most': { ml: number }
  'pour-most': { ml: number }
  'pieces-most': { most: number }
  square: { least: number; most: number }
  'no-such-size': { what: 'length' | 'height' }
  'room-too-small': { what: 'length' | 'height' }
  'room-too-large': { what: 'length' | 'height' }
  'name-of': { of: 'person' | 'bay' }
  'nobody-left': { skill: 'prep' | 'correct' | 'coat' }
  'still-planned': { name: string; title: StepName; plate: string }
  'hours-unread': { part: string }
  'hours-backwards': { part: string }
  'hours-overlap': { from: string; to: string }
  'outage-day': { end: 'from' | 'until' }
  'outage-time': { end: 'from' | 'until' }
  /** The fault as the checker found it. */
  'breaks-rule': { rule: string }
  overtaken: { what: string }
  'does-not-fit': { why: string }
  'removal-most': { um: number }
  'no-paint-to-spare': { panels: readonly string[]; um: number }
  'not-metal': { panel: string }
  'photo-too-large': { megabytes: number }
  'photo-too-many-pixels': { millions: number }
  'packages-enough': { most: number }
  'package-named-twice': { name: string }
  'subcontractor-needed': { name: string }
  'agreed-already': { name: string }
  'quote-answered': { kind: 'accepted' | 'declined' }
  'inspector-worked': { name: string }
  'fault-found': { note: string }
  'text-fact-missing': { fact: string }
  'vehicle-known': { plate: string }
}

/** An ask as it travels. Only `ask` makes one. */
export type Asked = string & { readonly __asked: true }

export function ask(code: PlainAsk): Asked
export function ask<Code extends keyof AskFacts>(code: Code, facts: AskFacts[Code]): Asked
export function ask(code: string, facts?: object): Asked {
  return coded('ask', code, facts) as Asked
}

export type Ask =
  | { code: PlainAsk; facts?: undefined }
  | { [Code in keyof AskFacts]: { code: Code; facts: AskFacts[Code] } }[keyof AskFacts]

/** What an ask says; undefined for any other string. */
export const readAsk = (text: string) => readCoded('ask', text) as Ask | undefined

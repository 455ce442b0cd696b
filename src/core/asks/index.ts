import { coded, readCoded } from '../coded'
import type { Instant } from '../time'
import type { PlainAsk } from './plain'

export type { EventAsk } from './events'
export type { PeopleAsk } from './people'
export type { StaffAsk } from './staff'
export type { PlainAsk }

/**
 * What a form or an action asks for where it cannot take what it was given. Whoever refuses names a code and its facts;
 * `src/text` makes the sentence. On its way through Zod and answers it is a string.
 */

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
  | 'dial'
  | 'removal-per-pass'
  | 'haze'
  | 'section'
  | 'pad-width'
  | 'arm-speed'
  | 'change-over'
  | 'spreading'
  | 'wiping'
  | 'pad-cleaning'
  | 'dilution'
  | 'dwell'
  | 'ml-per-m2'
  | 'bottle-ml'
  | 'flash'
  | 'recoat'
  | 'hold'
  | 'first-wash'
  | 'cure'
  | 'life'
  | 'guarantee'
  | 'first-visit'
  | 'shelf-life'
  | 'product-air'
  | 'product-humidity'
  | 'price-per-ml'
  | 'topper-from'

/** What asks with facts; quantities in SI or as their names say, panels by id. */
export type AskFacts = {
  'keep-under': { characters: number }
  between: { quantity: 'temperature' | 'percent'; least: number; most: number }
  'number-of': { of: AskedThing }
  'more-of': { of: AskedThing }
  'of-between': { of: AskedThing; least: number; most: number }
  'case-panel': { panel: string }
  'case-method': { method: string }
  'case-spot-twice': { spot: number }
  'method-steps-enough': { most: number }
  'method-named-twice': { name: string }
  'method-in-package': { name: string }
  'product-named-twice': { name: string }
  'product-in-package': { name: string }
  'below-nothing': { of: AskedThing }
  'amount-of': { of: AskedThing }
  'percent-of': { of: AskedThing }
  'holds-no-more': { of: AskedThing; ml: number }
  'flow-most': { lPerMin: number }
  'ml-most': { ml: number }
  'pour-most': { ml: number }
  'parts-off': { names: string[] }
  'torque-nm': { least: number; most: number }
  'pieces-most': { most: number }
  square: { least: number; most: number }
  'no-such-size': { what: 'length' | 'height' }
  'room-too-small': { what: 'length' | 'height' }
  'room-too-large': { what: 'length' | 'height' }
  'name-of': { of: 'person' | 'bay' }
  'nobody-left': { skill: 'prep' | 'correct' | 'coat' }
  /** The step as the staff call it. */
  'still-planned': { name: string; title: string; plate: string }
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
  'money-open': { cents: number }
  'water-ahead': { kind: 'rain' | 'frost'; from: Instant; roof: boolean }
  'text-fact-missing': { fact: string }
  'vehicle-known': { plate: string }
  'tries-again-in': { seconds: number }
  /** A number in a file that is larger than anything of its kind ever was. */
  'file-number-most': { most: number }
  'file-list-most': { most: number }
  'file-characters-most': { most: number }
  'file-year': { first: number; last: number }
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

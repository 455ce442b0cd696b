import type { PlainAsk } from '@/core/asks'
import type { Region } from '@/core/region'

/** What is asked for where offers, quotes, packages and prices are written. */
export const OFFER_ASKS = {
  'count-of-extra': () => 'Type how many as a whole number.',
  'count-below-nothing': () => 'Type 0 or more.',
  'count-too-large': () => 'No car has more than forty.',
  'package-name': () => 'A package needs a name the customer can ask for.',
  'package-pitch': () => 'Say in a sentence what it is for.',
  'layers-enough': () => 'Apply no more than four layers on paint.',
  'one-package': () => 'A shop sells one package at least.',
  'valid-days': () => 'Type for how many days it is valid, as a whole number.',
  'valid-a-day': () => 'A quote is valid for a day at least.',
  'valid-a-year': () => 'A quote is valid for a year at most.',
  'tax-name': () => 'Type what the tax is called, such as VAT.',
  'subcontractor-day': () => 'Choose a day on which they come.',
  'subcontractor-goes': () => 'The end must be after the start.',
  'subcontractor-name': () => 'Type a name.',
  'subcontractor-hours': () => 'Type how long they take, in hours.',
  'subcontractor-time': () => 'Type more than 0 hours.',
  'subcontractor-too-long': () => 'Forty hours at most. Split what takes longer.',
  'subcontractor-price': () => 'Type what they charge as an amount.',
  'subcontractor-below-nothing': () => 'Type 0 or more.',
  'subcontractors-enough': () => 'A hundred subcontractors are enough.',
  'process-unknown': () => 'A panel has a method that is not known here. Reload and choose again.',
  'survey-changed': () => 'The survey has changed. Reload and choose again.',
  'process-gone': () =>
    'The survey has changed, and a panel can no longer take its method. Reload and choose again.',
  'price-changed': () => 'The survey has changed since this price was worked out. Reload and check again.',
  unmeasured: () => 'Nothing is measured yet. Read the paint first.',
  'package-gone': () => 'This package is no longer sold. Reload to see the others.',
  'agreed-meanwhile': () => 'Someone else has just agreed a package. Reload to see it.',
  'answered-already': () => 'Somebody has answered for it already. Reload to see it.',
  'quote-accepted': () => 'This quote was accepted already. Reload to see it.',
  'quote-declined': () => 'This quote was declined. Write a new version.',
  'quote-expired': () => 'This quote has expired. Write a new version at today’s price.',
  'one-off-words': () => 'Say in a few words what it is.',
  'one-off-price': () => 'Type its price as an amount, 0 or more.',
  'one-off-minutes': () => 'Type how long it takes, 0 where nobody works on it here.',
  'one-offs-enough': () => 'Twenty lines of its own are enough for one quote.',
  'change-overtaken': () =>
    'What is agreed has changed since this was written. Write it once more, from what stands now.',
  'work-went-on': () =>
    'The work is further on than when this was written, at a step that it changes. Write it once more.',
  'change-needs-yes': () => 'Have the customer sign, or write who agreed by telephone and when.',
  'nothing-agreed': () => 'Nothing is agreed for this car. Write a quote.',
  'nothing-differs': () => 'Nothing differs from what is agreed. Change something first.',
  'coated-already': () =>
    'A panel whose method was changed is coated already. Send it back as rework from the final inspection.',
  'layer-lies': () =>
    'A product that lies on the car already is missing here, or is another one. Keep what was applied, and change the rest.',
  'work-under-way': () => 'A step is under way. End it, or take it back, then call off the rest.',
  'home-already': () => 'The car is handed over. Check it in again for more work.',
  'who-said-so': () => 'Write who agreed to it.',
  'told-later': () => 'That time is still to come.',
  'quote-replaced': () => 'A later version has taken its place. Reload to see it.',
} satisfies Partial<Record<PlainAsk, (region: Region) => string>>

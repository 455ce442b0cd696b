import { type AskedThing, type AskFacts, type PlainAsk, readAsk } from '@/core/asks'
import type { Region } from '@/core/region'
import { figure, measured, number, percent, timeText, unitSign } from '../formats'
import { faultText } from './contract'
import { spelt } from './spelling'
import { staffPanel } from './staff-panels'
import { stepTitle } from './step-names'

/** What a form or an action asks for, in the staff's English. */

export const PLAIN: Record<PlainAsk, (region: Region) => string> = {
  // Any field
  'a-number': () => 'Type a number.',
  'a-whole-number': () => 'Type a whole number.',
  'a-number-or-empty': () => 'Type a number, or leave it empty.',
  'an-amount': (region) => `Type an amount, such as ${amount(region, 2450)}.`,
  'not-below-nothing': () => 'Type 0 or more.',
  'more-than-nothing': () => 'Type more than 0.',
  'a-day': () => 'Choose a day.',
  'a-day-or-empty': () => 'Choose a day, or leave it empty.',
  'a-date-and-time': () => 'Choose a date and a time.',
  'a-time': (region) => `Type a time, such as ${timeText(region, '20:00')}.`,
  'a-note': () => 'Say in a few words why.',
  'an-email': () => 'This is no e-mail address. Correct it, or leave it empty.',
  'whole-km': (region) => `Write the odometer in whole ${distance(region)}, or leave it empty.`,
  'who-looks': () => 'Say who looks.',
  'past-day': () => 'That day has passed. Choose today or later.',
  'same-names': () => 'Two of them have the same name.',
  'end-after-begin': () => 'It must end after it begins.',

  // Whoever asks, and what was sent
  'not-for-you-to-see': () => 'This is not for you to see. Ask the manager.',
  'not-for-you-to-do': () => 'This is not for you to do. Ask the manager.',
  'no-answer': () => 'The shop could not answer this. Try again.',
  'nothing-changed': () => 'The shop could not do this, and nothing was changed. Try again.',
  'no-key': () => 'This form has lost its key. Reload the page and do it again.',
  'key-of-another': () => 'This form was used for something else already. Reload the page and do it again.',
  'too-long': () => 'This is too long. Shorten it and do it again.',
  'shown-once': () => 'This was done, and what it gave is shown only once. Do it again for a new one.',
  'not-from-a-tablet': () => 'This cannot wait on a tablet. Do it at the desk.',
  'no-record': () => 'The shop has no record of it. Do it once more.',
  'long-entry': () => 'An entry is longer than anything that is done at a car.',
  'read-already': () => 'Somebody has read this already. Reload the page.',
  contradicts: () => 'it contradicts what is recorded',

  // Check-in
  'customer-name': () => 'Write the customer’s name.',
  plate: () => 'Write the plate, or “none”.',
  'vin-too-long': () => 'No vehicle number is this long. Look again.',
  make: () => 'Write the make.',
  model: () => 'Write the model.',
  year: () => 'Write the year with four digits, or leave it empty.',
  shape: () => 'Choose the body shape that comes closest.',
  colour: (region) => spelt(region, 'Write the colour as the customer calls it.'),
  'paint-system': () => 'Choose the paint system. The guide beside it tells them apart.',
  'yearly-km': (region) => `Write the yearly distance in whole ${distance(region)}, or leave it empty.`,
  'treatments-enough': () => 'Twenty are enough. Put the rest into a note.',
  fuel: () => 'Write fuel or charge in percent, 0 to 100, or leave it empty.',
  wishes: () => 'Write what the customer wants, in their words.',
  budget: () => 'Write the budget as an amount, such as 600, or leave it empty.',
  'arrival-day': () => 'Choose the day the vehicle comes in.',
  'before-arrival': () => 'That is before the vehicle comes in. Choose a later day.',
  'shorter-search': () => 'Type less: a few letters of the plate will do.',
  'percent-least': () => 'At least 1%.',
  'percent-most': () => 'At most 100%.',
  'an-hour': (region) => `Type an hour, such as ${timeText(region, '09:00')}.`,
  locale: () => 'must be a locale, such as en-IE',
  'time-zone': () => 'must be an IANA time zone, such as Europe/Dublin',
  currency: () => 'must be an ISO 4217 currency, such as EUR',

  // Vehicles
  panel: () => 'Choose at least one panel.',
  'removal-day': () => 'Choose the day, as near as you know.',
  'removal-note': () => 'Write who says so, and what was done.',
  'history-file': () => 'Choose the history file that came with the car.',
  'history-too-large': () => 'This file is too large for the history of one car. Choose another one.',
  'new-owner': () => 'Write whose car it is now.',
  'file-day': () => 'must be a day such as 2027-01-13',
  'file-instant': () => 'must be an instant in UTC such as 2027-01-13T10:20:00.000Z',
  'file-number': () => 'must be a number',
  'file-base64': () => 'must be base64',
  'file-picture': () => 'is larger than a small picture',
  'file-jpeg': () => 'must be a JPEG',
  'file-positive': () => 'must be more than 0',
  'file-not-negative': () => 'must not be less than 0',

  // Survey, test spots, wash, sign-off
  extent: () => 'Give the extent in whole percent.',
  'readings-enough': () => 'Too many readings on one panel.',
  'defects-enough': () => 'Forty defects a panel are enough.',
  'no-gloss-meter': () =>
    'The shop has no gloss meter on a line. Type its readings, or choose one under Shop, Sensors.',
  'survey-kept': () => 'The vehicle has been handed over. Its survey can no longer be changed.',
  'round-agreed': () => 'This round was agreed with the customer and can no longer be changed.',
  'air-temperature': () => 'Type the air temperature as a number.',
  'film-readings': (region) => `Type film readings as numbers of ${unitSign(region, 'depth')}.`,
  'film-readings-enough': () => 'Thirty readings are enough.',
  'spot-panel': () => 'Choose the panel of the test spot.',
  'spot-process': () => 'Choose what was tried.',
  machine: () => 'Say which machine.',
  pad: () => 'Say which pad.',
  liquid: () => 'Say which liquid.',
  speed: () => 'Type the speed as the dial has it.',
  passes: () => 'Type the passes as a whole number.',
  'one-pass': () => 'One pass at least.',
  'passes-enough': () => 'More than twenty passes are not a test spot.',
  'spot-mark': () => 'Choose a mark that polishing can clear.',
  cleared: () => 'Say how much of it went, in percent.',
  verdict: () => 'Choose a verdict.',
  'before-missing': () => 'There are readings after but none before. Read both, or neither.',
  'spot-taken-back': () => 'It has been deleted already. Reload the page.',
  sign: () => 'Have the customer sign in the field.',
  'signature-too-long': () => 'The signature is too long.',
  'signed-by': () => 'Write the name of whoever signs.',
  'sign-off-stale': () => 'The survey has changed since this was read out. Reload, and read it out again.',
  'signed-meanwhile': () => 'Another version has been signed in the meantime. Reload to see it.',

  // Photographs
  'photo-empty': () => 'The file is empty. Take the photograph again.',
  'photo-unread': () =>
    'This is no photograph we can read. Send a JPEG, PNG or WebP; set a phone to “most compatible”.',
  'photo-damaged': () => 'The picture is damaged. Send it again, or take it again.',
  'photo-nowhere': () => 'Choose a panel or a place first, then take the photograph.',
  'photo-of-gone': () => 'The photograph this one repeats is no longer there.',
  'photo-drawn-on': () => 'Someone else has drawn on this photograph. Reload to see it, then draw again.',
  'photo-marks-enough': () => 'Forty marks on one photograph are enough.',

  // Offers, quotes, packages, prices
  'count-of-extra': () => 'Type how many as a whole number.',
  'count-below-nothing': () => 'Type 0 or more.',
  'count-too-large': () => 'No car has more than forty.',
  'package-name': () => 'A package needs a name the customer can ask for.',
  'package-pitch': () => 'Say in a sentence what it is for.',
  'layers-enough': () => 'Apply no more than four layers on paint.',
  'one-package': () => 'A shop sells one package at least.',
  'valid-days': () => 'Type the days it holds as a whole number.',
  'valid-a-day': () => 'A quote holds for a day at least.',
  'valid-a-year': () => 'A quote holds for a year at most.',
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
  'process-unknown': () => 'A panel has a process that is not known here. Reload and choose again.',
  'survey-changed': () => 'The survey has changed. Reload and choose again.',
  'process-gone': () =>
    'The survey has changed, and a panel can no longer take its process. Reload and choose again.',
  'price-changed': () => 'The survey has changed since this price was worked out. Reload and look again.',
  unmeasured: () => 'Nothing is measured yet. Read the paint first.',
  'package-gone': () => 'This package is no longer sold. Reload to see the others.',
  'agreed-meanwhile': () => 'Someone else has just agreed a package. Reload to see it.',
  'answered-already': () => 'Somebody has answered for it already. Reload to see it.',
  'quote-accepted': () => 'This quote was accepted already. Reload to see it.',
  'quote-declined': () => 'This quote was declined. Write a new version.',
  'quote-expired': () => 'This quote is past its day. Write a new version at today’s price.',
  'quote-replaced': () => 'A later version has taken its place. Reload to see it.',

  // At the car
  lot: () => 'Write the lot from the bottle.',
  'poured-number': () => 'Type how much was used as a number.',
  poured: () => 'Type how much was used.',

  // Final inspection, handover, payments
  'what-is-wrong': () => 'Say in a few words what is wrong.',
  'no-agreed-work': () => 'There is no agreed work on this car. Reload the page.',
  'no-such-place': () => 'This car has no such place. Reload the page.',
  'step-to-redo': () => 'Choose the step it goes back to.',
  'payment-number': (region) => `Type an amount, such as ${amount(region, 48_050)}.`,
  payment: () => 'Type how much came in.',
  'payment-too-large': () => 'That is more than any job here costs.',
  'steps-open': () => 'Not every step is done yet.',
  'wheel-nuts': () => 'Confirm the wheel-nut torque before handover: tick it on the job card.',

  // Visits, repairs, owners
  water: () => 'Say what the water does.',
  angle: () => 'Type the angle as a number of degrees.',
  'angle-range': () => 'An angle lies between 0° and 180°.',
  'nothing-looked-at': () => 'Nothing was looked at yet.',
  'panels-to-coat': () => 'Choose the panels that are to be coated again.',
  'look-day': () => 'Choose a day to look from.',
  'visit-day': () => 'Choose the day on which it comes.',
  'page-closed': () => 'This page is not open any more. Ask the shop for a new link.',
  'wish-day': () => 'Choose a day from today on, within a year.',
  'wish-known': () => 'We have your wish already and will write to you.',
  'not-our-coating': () => 'The coating on these panels is not one of ours. Quote a package instead.',
  'looks-kept': () => 'The car has been handed over. What was recorded can no longer be changed.',
  'visit-booked': () => 'This car is on the calendar already. Reload to see it.',
  'in-hand': () => 'This car is in hand for other work. Look at it there.',
  'no-such-part': () => 'This car has no such part. Reload the page.',
  'visit-has-steps': () => 'This visit has steps of its own; hand it over when they are done.',
  'repair-booked': () => 'A repair was booked from this visit already. Reload to see it.',

  // Messages
  'no-consent': () => 'Consent or address is missing.',
  'about-what': () => 'Write what it is about.',
  'message-text': () => 'Write what you want to say.',
  'message-sent': () => 'It is on its way already and cannot be called back.',
  'text-subject': () => 'Write a subject.',
  'text-text': () => 'Write a text.',

  // Stock
  product: () => 'Choose the product.',
  'bottle-content': () => 'Type how much is in it.',
  'one-bottle': () => 'At least one bottle.',
  'bottles-enough': () => 'At most fifty at a time.',
  'set-name': () => 'Give the set a name.',
  'one-piece': () => 'A set has at least one piece.',

  // People, bays, hours, set-up
  skills: () => 'Choose what they do.',
  'bay-kinds': () => 'Choose what may be done in it.',
  'one-car': () => 'At least one car fits.',
  'cars-enough': () => 'At most twenty cars fit.',
  'no-wash-bay': () => 'There is no bay left for washing.',
  'no-paint-bay': () => 'There is no bay left for paint work.',
  'logo-too-detailed': () => 'This logo is too detailed. Choose a simpler or smaller picture.',
  'logo-too-large': () => 'This logo is too large.',
  'shop-name': () => 'Type the name of the shop.',
  'setup-changed': () =>
    'Somebody has changed the set-up of the shop meanwhile. Open this page in a second window to compare; what you typed stays here.',
  'lance-time': () => 'No bottle takes longer than an hour.',
  bay: () => 'Choose the bay.',
  'sensor-minutes': () => 'Type how long as whole minutes, such as 240.',
  'sensor-ten-minutes': () => 'At least ten minutes.',
  'sensor-two-days': () => 'At most two days.',
  'no-sensors': () => 'The shop has no sensors that could meet it. Choose the simulated ones first.',
  'practice-film': () => 'Say what the film tells.',
  'learned-since': () => 'Another car has been handed over since. Reload the page and look again.',

  // Schedule
  'who-or-what': () => 'Choose who or what it is.',
  'enquiry-day': () => 'Choose the day on which the car can come.',
  'enquiry-time': (region) => `Type the time at which it can come, such as ${timeText(region, '08:30')}.`,
  'moved-since': () => 'The calendar has changed since. Reload the page and try again.',
  'nothing-to-take-back': () => 'There is nothing more to undo.',
  'step-unplanned': () => 'This step is no longer planned. Reload the page.',
  'shop-thing-gone': () => 'This is no longer in the shop. Reload the page.',
  'over-already': () => 'This is already over; it changes no plan.',
  'longer-than-a-year': () => 'Longer than a year: change who works here instead.',
  'no-wash-outside': () => 'No wash outside is planned for that time.',
  step: () => 'Choose the step.',
  'longer-minutes': () => 'Type how many minutes, such as 90.',
  'longer-whole-minutes': () => 'Type whole minutes, such as 90.',
  'longer-too-long': () => 'That is more than the step can take.',
  'longer-two-days': () => 'Longer than two days: agree on something else with the customer first.',
  'step-not-to-do': () => 'This step is no longer to be done. Reload the page.',
  'schedule-changed': () => 'The schedule has changed since. Re-plan.',
  'schedule-changed-check': () => 'The schedule has changed since. Re-plan and check again.',
  'plan-gone': () => 'This plan is no longer saved. Re-plan.',

  // What is no longer there
  'job-gone': () => 'This job is no longer there. Go back to the yard.',
  'vehicle-gone': () => 'This vehicle is no longer there. Go back to the list.',
  'visit-gone': () => 'This visit is no longer there. Reload the page.',
  'quote-gone': () => 'This quote is no longer there. Reload the page.',
  'owner-gone': () => 'This owner is no longer there. Reload the page.',
  'photo-gone': () => 'This photograph is no longer there. Reload the page.',
  'photo-other': () => 'That photograph is no longer there. Choose another, or none.',
  'bottle-gone': () => 'This bottle is no longer on the shelf. Reload the page.',
  'product-gone': () => 'This product is no longer there. Reload the page.',
  'set-gone': () => 'This set is no longer there. Reload the page.',
  'list-missing': () => 'This list is no longer here. Choose the file again.',
  'list-brought': () => 'This list has been brought already.',
  'list-incomplete': () => 'Not all of the list has arrived. Choose the file again.',
  'list-gone': () => 'There is no such list. Reload the page.',
  'list-taken-back': () => 'This import has been undone already. Reload the page.',
}

const THING: Record<AskedThing, string> = {
  'hour-prep': 'The hour of preparation',
  'hour-correct': 'The hour at the machine',
  'hour-coat': 'The hour of coating',
  consumables: 'The sum for pads, towels and tape',
  'extra-material': 'The material of an extra',
  discount: 'The discount',
  deposit: 'The deposit',
  'tax-work': 'The tax on work',
  'tax-products': 'The tax on products',
  'tax-subcontractors': 'The tax on subcontractors',
  bucket: 'The bucket',
  'spray-bottle': 'The spray bottle',
  cap: 'The cap',
  'lance-bottle': 'The lance bottle',
  emptying: 'The time to empty it',
  flow: 'The flow',
  square: 'The side of the square',
}

const distance = ({ units }: Region) => (units.distance === 'mi' ? 'miles' : 'kilometres')
const amount = (region: Region, minor: number) => number(region, minor / 100, 2)
const range = (region: Region, { quantity, least, most }: AskFacts['between']) =>
  quantity === 'percent'
    ? `${number(region, least)} and ${percent(region, most)}`
    : `${figure(region, 'temperature', least)} and ${measured(region, 'temperature', most)}`

const WITH_FACTS: { [Code in keyof AskFacts]: (facts: AskFacts[Code], region: Region) => string } = {
  'keep-under': ({ characters }, region) => `Keep it under ${number(region, characters)} characters.`,
  between: (facts, region) => `It must lie between ${range(region, facts)}.`,
  'number-of': ({ of }) => `${THING[of]} must be a number.`,
  'more-of': ({ of }) => `${THING[of]} must be more than 0.`,
  'below-nothing': ({ of }) => `${THING[of]} must be 0 or more.`,
  'amount-of': ({ of }, region) => `${THING[of]} must be an amount, such as ${amount(region, 4200)}.`,
  'percent-of': ({ of }) => `${THING[of]} must be a percentage from 0 to 100.`,
  'holds-no-more': ({ of, ml }, region) =>
    `${THING[of]} holds no more than ${measured(region, 'volume', ml)}.`,
  'flow-most': ({ lPerMin }, region) =>
    `No lance gives more than ${measured(region, 'water', lPerMin)} a minute.`,
  'ml-most': ({ ml }, region) => `It cannot be more than ${measured(region, 'volume', ml)}.`,
  'pour-most': ({ ml }, region) => `One car cannot take more than ${measured(region, 'volume', ml)}.`,
  'pieces-most': ({ most }, region) => `It cannot be more than ${number(region, most)}.`,
  square: ({ least, most }, region) =>
    `The side of the square is between ${figure(region, 'length', least, 1)} and ${measured(region, 'length', most, 1)}.`,
  'no-such-size': ({ what }) => `No vehicle has this ${what}. Look again, or leave it empty.`,
  'room-too-small': ({ what }) =>
    `Too ${what === 'length' ? 'short' : 'low'} for any vehicle. Check the unit.`,
  'room-too-large': ({ what }) =>
    `No vehicle is that ${what === 'length' ? 'long' : 'high'}. Check the unit.`,
  'name-of': ({ of }) => `Type a name for ${of === 'bay' ? 'the bay' : 'whoever works here'}.`,
  'nobody-left': ({ skill }) =>
    `Nobody is left who can ${{ prep: 'prepare', correct: 'correct', coat: 'coat' }[skill]}.`,
  'still-planned': ({ name, title, plate }, region) =>
    `${name} still has “${stepTitle(region, title)}” of ${plate} planned. Say that ${name} is out, take the new plan, and then take ${name} away here.`,
  'hours-unread': ({ part }, region) =>
    `“${part}” is no time. Type hours such as ${timeText(region, '07:00')}–${timeText(region, '11:30')}, ${timeText(region, '12:00')}–${timeText(region, '15:30')}, or nothing for a day off.`,
  'hours-backwards': ({ part }) =>
    `“${part}” ends before it begins. Over midnight, write the rest on the next day.`,
  'hours-overlap': ({ from, to }, region) =>
    `${timeText(region, from)}–${timeText(region, to)} overlaps the hours before it.`,
  'outage-day': ({ end }) => `Choose the day ${SINCE[end]}.`,
  'outage-time': ({ end }, region) => `Type the time ${SINCE[end]}, such as ${timeText(region, '13:30')}.`,
  'breaks-rule': ({ rule }) => `This would break a rule of the schedule: ${faultText(rule)}.`,
  overtaken: ({ what }) => `“${what}” cannot be undone or redone: the calendar has changed since.`,
  'does-not-fit': ({ why }) => `It does not fit on that day: ${why} Choose another one.`,
  'removal-most': ({ um }, region) =>
    `No car has ${measured(region, 'depth', um)} to lose. Look at the unit.`,
  'no-paint-to-spare': ({ panels, um }, region) =>
    `${panels.map((panel) => staffPanel(region, panel)).join(', ')}: the paint cannot spare the ${measured(region, 'depth', um, 1)} of a light polish. Clean it and use a topper, or have it refinished by a licensed shop.`,
  'not-metal': ({ panel }, region) => `${staffPanel(region, panel)} is not metal; a gauge cannot read it.`,
  'photo-too-large': ({ megabytes }) =>
    `The file is larger than ${megabytes} MB. Send a smaller copy; 12 megapixels are plenty.`,
  'photo-too-many-pixels': ({ millions }) =>
    `The picture has more than ${millions} million pixels. Send a smaller copy.`,
  'packages-enough': ({ most }) => `Keep it to ${most} packages.`,
  'package-named-twice': ({ name }) => `Two packages are called “${name}”. Give one another name.`,
  'subcontractor-needed': ({ name }) =>
    `“${name}” calls in somebody who is taken out here. Change that package first.`,
  'agreed-already': ({ name }) => `“${name}” is agreed already. Reload to see it.`,
  'quote-answered': ({ kind }) => `This version was ${kind} already. Reload to see it.`,
  'inspector-worked': ({ name }) => `${name} worked on this paint. Somebody else has to look.`,
  'fault-found': ({ note }) =>
    `The final inspection found a fault: ${note}. Put it right, then inspect again.`,
  'text-fact-missing': ({ fact }) =>
    `The text for this occasion asks for {${fact}}, which this car does not have. Change it under Texts.`,
  'vehicle-known': ({ plate }) =>
    `${plate} is known here already, with a history of its own. Open it and enter what is missing.`,
}

const SINCE = { from: 'from which it holds', until: 'until which it holds' } as const

/** The sentence of what was asked for, or of what is wrong with a schedule; any other text as it is. */
export function asked(region: Region, text: string): string {
  const read = readAsk(text)
  if (!read) return faultText(text)
  if (!read.facts) return PLAIN[read.code](region)
  const say = WITH_FACTS[read.code] as (facts: object, region: Region) => string
  return say(read.facts, region)
}

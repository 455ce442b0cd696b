import { type AskedThing, type AskFacts, readAsk } from '@/core/asks'
import type { Region } from '@/core/region'
import { figure, list, measured, money, number, paperMoment, percent, timeText } from '../formats'
import { faultText } from './contract'
import { amount, PLAIN } from './plain-asks'
import { staffPanel } from './staff-panels'

/** What a form or an action asks for, in the staff's English. */

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
  dial: 'The speed on the dial',
  'removal-per-pass': 'What a pass removes',
  haze: 'The haze it leaves',
  section: 'The side of a section',
  'pad-width': 'The width of the pad',
  'arm-speed': 'The speed of the arm',
  'change-over': 'The time to set up a panel',
  spreading: 'The time to spread',
  wiping: 'The time to wipe and check',
  'pad-cleaning': 'The time to clean the pad',
  dilution: 'The strength',
  dwell: 'The time it stays on',
  'ml-per-m2': 'What it takes for a square metre',
  'bottle-ml': 'The bottle',
  flash: 'The time until it is levelled',
  recoat: 'The wait before the next layer',
  hold: 'The time it must stay dry or indoors',
  'first-wash': 'The days before the first wash',
  cure: 'The days until it is fully hard',
  life: 'How long it lasts',
  guarantee: 'The guarantee',
  'first-visit': 'The first visit',
  'shelf-life': 'The time a bottle keeps',
  'product-air': 'The air it is applied in',
  'product-humidity': 'The humidity it is applied in',
  'price-per-ml': 'The price of a millilitre',
  'topper-from': 'The wait before a topper',
}

const range = (region: Region, { quantity, least, most }: AskFacts['between']) =>
  quantity === 'percent'
    ? `${number(region, least)} and ${percent(region, most)}`
    : `${figure(region, 'temperature', least)} and ${measured(region, 'temperature', most)}`

const SKY = { rain: 'Rain is forecast', frost: 'Frost is forecast' }

const WITH_FACTS: { [Code in keyof AskFacts]: (facts: AskFacts[Code], region: Region) => string } = {
  'keep-under': ({ characters }, region) => `Keep it under ${number(region, characters)} characters.`,
  between: (facts, region) => `It must lie between ${range(region, facts)}.`,
  'number-of': ({ of }) => `${THING[of]} must be a number.`,
  'of-between': ({ of, least, most }, region) =>
    `${THING[of]} must lie between ${number(region, least, 3)} and ${number(region, most)}.`,
  'case-panel': ({ panel }) => `This shape has no panel “${panel}”. “yard vocabulary” lists them.`,
  'case-method': ({ method }) => `There is no method “${method}”. “yard vocabulary” lists them.`,
  'case-spot-twice': ({ spot }) => `Spot ${spot} is there twice. Put all its readings into one.`,
  'method-steps-enough': ({ most }) => `A method has ${most} steps at most.`,
  'method-named-twice': ({ name }) => `Two methods are called “${name}”. Give one another name.`,
  'product-named-twice': ({ name }) => `Two products are called “${name}”. Give one another name.`,
  'product-in-package': ({ name }) =>
    `The package “${name}” uses this product. Choose another one there before you retire it.`,
  'method-in-package': ({ name }) =>
    `The package “${name}” stops at this method. Choose another one there before you retire it.`,
  'more-of': ({ of }) => `${THING[of]} must be more than 0.`,
  'below-nothing': ({ of }) => `${THING[of]} must be 0 or more.`,
  'amount-of': ({ of }, region) => `${THING[of]} must be an amount, such as ${amount(region, 4200)}.`,
  'percent-of': ({ of }) => `${THING[of]} must be a percentage from 0 to 100.`,
  'holds-no-more': ({ of, ml }, region) =>
    `${THING[of]} holds no more than ${measured(region, 'volume', ml)}.`,
  'flow-most': ({ lPerMin }, region) =>
    `No lance gives more than ${measured(region, 'water', lPerMin)} a minute.`,
  'ml-most': ({ ml }, region) => `It cannot be more than ${measured(region, 'volume', ml)}.`,
  'parts-off': ({ names }, region) =>
    `Not back on or in the car: ${list(region, names)}. Tick it on the job card, or settle it with the owner there.`,
  'torque-nm': ({ least, most }) => `Type the torque in Nm: ${least} to ${most}.`,
  'pour-most': ({ ml }, region) => `One car cannot take more than ${measured(region, 'volume', ml)}.`,
  'pieces-most': ({ most }, region) => `It cannot be more than ${number(region, most)}.`,
  square: ({ least, most }, region) =>
    `The side of the square is between ${figure(region, 'length', least, 1)} and ${measured(region, 'length', most, 1)}.`,
  'no-such-size': ({ what }) => `No vehicle has this ${what}. Check it, or leave it empty.`,
  'room-too-small': ({ what }) =>
    `Too ${what === 'length' ? 'short' : 'low'} for any vehicle. Check the unit.`,
  'room-too-large': ({ what }) =>
    `No vehicle is that ${what === 'length' ? 'long' : 'high'}. Check the unit.`,
  'name-of': ({ of }) => `Type a name for ${of === 'bay' ? 'the bay' : 'whoever works here'}.`,
  'nobody-left': ({ skill }) =>
    `Nobody is left who can ${{ prep: 'prepare', correct: 'correct', coat: 'coat' }[skill]}.`,
  'still-planned': ({ name, title, plate }) =>
    `${name} still has “${title}” of ${plate} planned. Say that ${name} is out, take the new plan, and then take ${name} away here.`,
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
  'removal-most': ({ um }, region) => `No car has ${measured(region, 'depth', um)} to lose. Check the unit.`,
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
    `“${name}” calls in somebody who is removed here. Change that package first.`,
  'agreed-already': ({ name }) => `“${name}” is agreed already. Reload to see it.`,
  'quote-answered': ({ kind }) => `This version was ${kind} already. Reload to see it.`,
  'inspector-worked': ({ name }) => `${name} worked on this paint. Somebody else has to inspect it.`,
  'fault-found': ({ note }) =>
    `The final inspection found a fault: ${note}. Put it right, then inspect again.`,
  'money-open': ({ cents }, region) =>
    `Still to be paid: ${money(region, cents)}. Hand over anyway only if that is agreed.`,
  'water-ahead': ({ kind, from, roof }, region) =>
    roof
      ? `${SKY[kind]} on the way home (from ${paperMoment(region, from)}). Wait until it is over, keep the car in, or have the exception signed.`
      : `${SKY[kind]} from ${paperMoment(region, from)}, before the coating may get wet. Keep the car in, or have the exception signed.`,
  'text-fact-missing': ({ fact }) =>
    `The text for this occasion asks for {${fact}}, which this car does not have. Change it under Texts.`,
  'file-number-most': ({ most }, region) =>
    `must be a number between ${number(region, -most)} and ${number(region, most)}`,
  'file-characters-most': ({ most }, region) => `must not be longer than ${number(region, most)} characters`,
  'file-year': ({ first, last }) => `must be a year between ${first} and ${last}`,
  'file-list-most': ({ most }, region) => `must not have more than ${number(region, most)} entries`,
  'tries-again-in': ({ seconds }, region) =>
    `Wrong too often. Wait ${seconds < 90 ? `${number(region, seconds)} seconds` : `${number(region, Math.ceil(seconds / 60))} minutes`}, then try again.`,
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

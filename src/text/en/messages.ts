import type { Channel } from '@/core/customer'
import type { HeldReason, Occasion } from '@/core/messages'
import { FACT_NAMES, type TemplateError } from '@/core/messages'
import type { MessageWords } from '../messages'

const STOP = 'To stop these reminders, reply STOP.'

export const messagesInEnglish: MessageWords = {
  standard: {
    curing: {
      subject: 'Your {car}: the next days',
      text: 'Hello {name},\nyour {car} is back with you. Please keep it dry until {from} and do not wash it before {until}. Blot a drop or a bird dropping with a wet cloth; do not rub.\nYour page: {page}\n{shop}',
    },
    'first-wash': {
      subject: 'Your {car} may be washed',
      text: 'Hello {name},\nfrom {from} your {car} may be washed: by hand, with two buckets, a clean mitt and a mild shampoo. No brush car wash, please.\nHow to: {page}\n{shop}',
    },
    'visit-due': {
      subject: 'Inspection visit for your {car}',
      text: `Hello {name},\nbetween {from} and {until} we would like to inspect the coating of your {car}: a wash, a water test on every panel and a fresh topper, about three hours.\n{guarantee}\nRequest a day: {page}\n${STOP}\n{shop}`,
    },
    'visit-overdue': {
      subject: 'Your {car} is due for its inspection',
      text: `Hello {name},\nthe inspection of your {car} was due by {until}. Please choose a day that suits you soon.\n{guarantee}\nRequest a day: {page}\n${STOP}\n{shop}`,
    },
    'panel-failed': {
      subject: 'What we found on your {car}',
      text: 'Hello {name},\nwhen we inspected your {car}, everything was in good order except here: {panels}. The coating has worn off there. {words}\nYour page: {page}\n{shop}',
    },
    'frost-and-salt': {
      subject: 'Frost and salt: your {car}',
      text: `Hello {name},\nthe roads are being salted. Rinse your {car} once a week, sills and wheel arches too, and do not scrape frost off the paint.\nMore: {page}\n${STOP}\n{shop}`,
    },
    pollen: {
      subject: 'Pollen on your {car}',
      text: `Hello {name},\npollen turns acid when it gets damp. Rinse your {car} before you touch it, and never wipe the yellow dust off dry.\nMore: {page}\n${STOP}\n{shop}`,
    },
    'guarantee-lapses': {
      subject: 'The guarantee on your {car} ends soon',
      text: `Hello {name},\nour guarantee on the coating of your {car} ends on {until}. Let us inspect it before then: what has failed by that day we put right.\nRequest a day: {page}\n${STOP}\n{shop}`,
    },
    renewal: {
      subject: 'Recoating your {car}',
      text: `Hello {name},\nthe coating of your {car} has probably worn off by now. Recoating soon means less preparation. Would you like us to have a look?\nRequest a day: {page}\n${STOP}\n{shop}`,
    },
    words: { subject: 'Your {car}', text: 'Hello {name},\n{words}\nYour page: {page}\n{shop}' },
  },
  guarantee: {
    'visit-due': 'This visit keeps your guarantee valid.',
    'visit-overdue': 'Without it your guarantee cannot be kept valid.',
  },
  repair: (day, onGuarantee) =>
    onGuarantee
      ? `We will put it right under guarantee; it is booked for ${day}.`
      : `We can put it right; it is booked for ${day}.`,
}

/** What staff read of messages. */
export const OCCASION_NAME: Record<Occasion, { name: string; when: string }> = {
  curing: { name: 'While it cures', when: 'The day the car is handed over' },
  'first-wash': { name: 'First wash', when: 'When the first wash is allowed' },
  'visit-due': { name: 'Visit due', when: 'Two weeks before the visit is due' },
  'visit-overdue': { name: 'Visit overdue', when: 'A week after the visit was due' },
  'panel-failed': { name: 'A panel has failed', when: 'After a visit, by hand' },
  'frost-and-salt': { name: 'Frost and salt', when: 'When the frost begins' },
  pollen: { name: 'Pollen', when: 'When the pollen begins' },
  'guarantee-lapses': { name: 'Guarantee ends', when: 'Six weeks before its last day' },
  renewal: { name: 'Recoat due', when: 'When the coating has probably worn off' },
  words: { name: 'In your own words', when: 'By hand' },
}

export const HELD_TEXT: Record<HeldReason, string> = {
  'no-consent': 'They have not agreed to reminders. Ask them when they are here.',
  'no-address': 'There is neither an e-mail address nor a telephone number. Enter one.',
}

export const TEMPLATE_ERROR_TEXT: Record<TemplateError['code'], (name: string) => string> = {
  'unknown-fact': (name) =>
    `{${name}} is not a word a message knows. Use ${FACT_NAMES.map((each) => `{${each}}`).join(', ')}.`,
  'fact-missing': (name) => `This car has no {${name}}. Take it out of the text.`,
}

export const CHANNEL_NAME: Record<Channel, string> = { email: 'E-mail', text: 'Text message' }

/** Why a message that was waiting will not go. */
export const CONSENT_WITHDRAWN = 'Consent was withdrawn.'

/** Stands in a preview for the address that is made when the message goes. */
export const PAGE_SHOWN = '(their private page)'

/** The token of a page is put in as a message is handed over, and is seen by its owner alone. */
export const withoutToken = (text: string) => text.replaceAll('{page}', '…')

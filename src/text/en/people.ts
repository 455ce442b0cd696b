import type { Consent, ConsentChannel, PhotoChoice, RetentionKind, SaidBy } from '@/core/people'
import type { Region } from '@/core/region'
import { list } from '../formats'

/** What a customer is asked before they are reminded: kept with their answer. */
export const CONSENT_WORDING = 'Agrees to reminders: washing, visits, seasons, guarantee, recoating'

export const SAID_BY_NAME: Record<SaidBy, string> = {
  'in-person': 'Here in the shop',
  telephone: 'By telephone',
  writing: 'In writing',
}

const CHANNEL_WORDS: Record<ConsentChannel, string> = {
  'in-person': 'here in the shop',
  telephone: 'by telephone',
  writing: 'in writing',
  message: 'by answering a message',
  'check-in': 'at check-in',
  unknown: 'before this was written down',
}

export const consentText = ({ given, channel, by }: Pick<Consent, 'given' | 'channel' | 'by'>): string =>
  `${given ? 'Agreed' : 'Withdrew it'} ${CHANNEL_WORDS[channel]}${by ? `, noted by ${by}` : ''}`

export const RETENTION_NAME: Record<RetentionKind, { name: string; words: string }> = {
  messages: {
    name: 'Messages',
    words: 'Words that went out and came back, counted from the day they were written.',
  },
  photographs: { name: 'Photographs', words: 'Counted from the day they were taken.' },
  customers: {
    name: 'Customers',
    words: 'Counted from the day their last car went out. The record of the paint stays with the car.',
  },
}

export const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`

/** What the shop is asked about once a month. */
export function outdatedText(
  region: Region,
  found: { messages: number; photographs: number; customers: readonly unknown[] },
): string {
  const { messages, photographs, customers } = found
  const all = [
    ...(messages > 0 ? [counted(messages, 'message', 'messages')] : []),
    ...(photographs > 0 ? [counted(photographs, 'photograph', 'photographs')] : []),
    ...(customers.length > 0 ? [counted(customers.length, 'past customer', 'past customers')] : []),
  ]
  return `Past the time the shop keeps them: ${list(region, all)}. Delete them, or leave them for this month.`
}

export const PLATE_NAME = {
  anywhere: 'All of it',
  box: 'The box only',
  none: 'Nothing: no plate shows',
} as const

export const PHOTO_CHOICE_NAME: Record<PhotoChoice, string> = {
  keep: 'Keep them',
  blur: 'Blur the plates',
  remove: 'Remove them all',
}

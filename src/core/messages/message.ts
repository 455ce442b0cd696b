import type { Channel, Language } from '../customer'
import type { CustomerId, MessageId, VehicleId } from '../ids'
import type { Instant } from '../time'
import type { Occasion } from './occasion'

export const MESSAGE_STATES = ['waiting', 'sending', 'sent', 'withdrawn', 'failed'] as const

export type MessageState = (typeof MESSAGE_STATES)[number]

export type MessageEvent = {
  kind: 'delivered' | 'bounced' | 'replied'
  words: string
  at: Instant
  readAt?: Instant
}

export type Message = {
  id: MessageId
  key: string
  customerId: CustomerId
  vehicleId: VehicleId
  occasion: Occasion
  language: Language
  channel: Channel
  address: string
  subject: string
  text: string
  madeAt: Instant
  notBefore: Instant
  state: MessageState
  attempts: number
  lastError: string
  sentAt?: Instant
  gatewayId?: string
  events: MessageEvent[]
}

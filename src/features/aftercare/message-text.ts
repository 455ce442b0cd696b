import type { Message } from '@/core/messages'

/** How a message stands, in a word or two. */
export function messageStateText({
  state,
  events,
  lastError,
}: Pick<Message, 'state' | 'events' | 'lastError'>): string {
  const last = events.at(-1)
  if (last) return last.kind
  switch (state) {
    case 'waiting':
      return lastError ? 'will be tried again' : 'waits in the queue'
    case 'sending':
      return 'is being sent'
    case 'sent':
      return 'sent'
    case 'withdrawn':
      return 'withdrawn'
    case 'failed':
      return 'could not be sent'
  }
}

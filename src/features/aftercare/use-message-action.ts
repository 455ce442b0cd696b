'use client'

import { useState, useTransition } from 'react'
import type { MessageAnswer } from '@/server/messages/message-actions'

/** Runs an action on messages: what it refused stays to be read. */
export function useMessageAction() {
  const [pending, startTransition] = useTransition()
  const [answer, setAnswer] = useState<MessageAnswer>()
  const run = (action: () => Promise<MessageAnswer>, then?: () => void) =>
    startTransition(async () => {
      const told = await action().catch(
        (): MessageAnswer => ({
          kind: 'refused',
          field: '',
          message: 'The server does not answer. Nothing was sent, and what you typed stays; try again.',
        }),
      )
      setAnswer(told)
      if (told.kind === 'done') then?.()
    })
  return { run, pending, answer, refusal: answer?.kind === 'refused' ? answer : undefined }
}

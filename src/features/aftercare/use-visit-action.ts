'use client'

import { useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import type { VisitAnswer } from '@/server/aftercare/visit-actions'

const SILENT: VisitAnswer = {
  kind: 'refused',
  field: '',
  message: 'The server does not answer. Nothing was written; try again.',
}

/** Runs an action of aftercare: what it refused stays to be read, and where it leads one follows. */
export function useVisitAction() {
  const router = useRouter()
  const [pending, startTransition] = useTransition()
  const [answer, setAnswer] = useState<VisitAnswer>()
  const run = (
    action: () => Promise<VisitAnswer>,
    then?: (answer: VisitAnswer) => void,
    goTo?: (id: string) => string,
  ) =>
    startTransition(async () => {
      const told = await action().catch(() => SILENT)
      setAnswer(told)
      if (told.kind === 'refused') return
      then?.(told)
      if (goTo && told.jobId) router.push(goTo(told.jobId))
    })
  return {
    run,
    pending,
    clear: () => setAnswer(undefined),
    refusal: answer?.kind === 'refused' ? answer : undefined,
  }
}

'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { StoredWash, WashFindings } from '@/core/wash'
import { keepWash } from '@/server/survey/wash-actions'
import { freshKey } from '@/ui/fresh-key'
import { holdLinks } from '@/ui/patient-link'
import { reach } from '@/ui/use-action'
import { useAgain } from '@/ui/use-again'
import { dropDraft, keepDraft, readDraft } from '../queue/drafts'

/** The newest findings, what was sent of them and not answered yet with its key, and the version that is based on. */
type Draft = { version: number; latest: WashFindings; sent?: { key: string; findings: WashFindings } }

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Findings that are kept at every touch: one save at a time, the newest last, and over a reload what was not with the shop yet. */
export function useFindings(jobId: JobId, stored: StoredWash, first: WashFindings) {
  const [findings, setFindings] = useState<WashFindings>(stored.findings ?? first)
  const [message, setMessage] = useState<string>()
  const draft = useRef<Draft | undefined>(undefined)
  const version = useRef(stored.version)
  const flight = useRef<Promise<void> | undefined>(undefined)
  const key = `wash:${jobId}`

  const anew = useRef(() => {})
  const again = useAgain(() => {
    if (draft.current) anew.current()
  })
  const send = useCallback(async () => {
    while (draft.current) {
      const { latest } = draft.current
      // What was not answered goes again under its key before anything newer: it may have arrived.
      const sent = draft.current.sent ?? { key: freshKey(), findings: latest }
      draft.current = { ...draft.current, version: version.current, sent }
      await keepDraft(key, draft.current)
      const input = { jobId, version: version.current, findings: sent.findings }
      const answer = await reach(keepWash({ key: sent.key, input }))
      setMessage(answer.ok ? undefined : answer.message)
      if (!answer.ok && answer.code === 'unreached') {
        again.soon()
        return
      }
      if (answer.ok) version.current = answer.value.version
      const newest = draft.current.latest
      if (!answer.ok || same(newest, sent.findings)) {
        draft.current = undefined
        await dropDraft(key)
      } else draft.current = { version: version.current, latest: newest }
    }
  }, [jobId, key, again])
  anew.current = () => {
    flight.current ??= send().finally(() => {
      flight.current = undefined
    })
  }

  const change = useCallback(
    (next: WashFindings) => {
      setFindings(next)
      draft.current = { ...draft.current, version: version.current, latest: next }
      void keepDraft(key, draft.current)
      anew.current()
      if (flight.current) holdLinks(flight.current)
    },
    [key],
  )

  useEffect(() => {
    void readDraft<Draft>(key).then((left) => {
      if (!left || draft.current) return
      draft.current = left
      version.current = left.version
      change(left.latest)
    })
  }, [key, change])

  return { findings, change, message, setMessage }
}

'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import { mergeFindings, type StoredWash, type WashFindings } from '@/core/wash'
import { keepWash } from '@/server/survey/wash-actions'
import { freshKey } from '@/ui/fresh-key'
import { holdLinks } from '@/ui/patient-link'
import { reach } from '@/ui/use-action'
import { useAgain } from '@/ui/use-again'
import { dropDraft, keepDraft, readDraft } from '../queue/drafts'

/**
 * The newest findings and what they were made from, at which version; and what was sent of them and not answered yet, with its
 * key.
 */
type Draft = {
  version: number
  base: WashFindings
  latest: WashFindings
  sent?: { key: string; findings: WashFindings }
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * Findings that are kept at every touch: one save at a time, the newest last, and over a reload what was not with the shop yet. What another
 * tablet found meanwhile is taken in.
 */
export function useFindings(jobId: JobId, stored: StoredWash, first: WashFindings) {
  const [findings, setFindings] = useState<WashFindings>(stored.findings ?? first)
  const [message, setMessage] = useState<string>()
  const draft = useRef<Draft | undefined>(undefined)
  /** What stands in the shop, as far as this tablet knows. */
  const known = useRef({ version: stored.version, base: stored.findings ?? first })
  const flight = useRef<Promise<void> | undefined>(undefined)
  const key = `wash:${jobId}`

  const anew = useRef(() => {})
  const again = useAgain(() => {
    if (draft.current) anew.current()
  })
  const send = useCallback(async () => {
    while (draft.current) {
      // What was not answered goes again under its key before anything newer: it may have arrived.
      const sent = draft.current.sent ?? { key: freshKey(), findings: draft.current.latest }
      draft.current = { ...draft.current, ...known.current, sent }
      await keepDraft(key, draft.current)
      const input = { jobId, version: known.current.version, findings: sent.findings }
      const answer = await reach(keepWash({ key: sent.key, input }))
      setMessage(answer.ok ? undefined : answer.message)
      if (!answer.ok && answer.code === 'unreached') {
        again.soon()
        return
      }
      let { latest } = draft.current
      let stands = sent.findings
      if (answer.ok && answer.value.kind === 'saved')
        known.current = { version: answer.value.version, base: stands }
      if (answer.ok && answer.value.kind === 'stale') {
        const { version, findings: theirs } = answer.value.current
        stands = theirs ?? known.current.base
        latest = mergeFindings(known.current.base, latest, stands)
        known.current = { version, base: stands }
        setFindings(latest)
      }
      if (!answer.ok || same(latest, stands)) {
        draft.current = undefined
        await dropDraft(key)
      } else draft.current = { ...known.current, latest }
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
      draft.current = { ...draft.current, ...known.current, latest: next }
      void keepDraft(key, draft.current)
      anew.current()
      if (flight.current) holdLinks(flight.current)
    },
    [key],
  )

  useEffect(() => {
    void readDraft<Omit<Draft, 'base'> & { base?: WashFindings }>(key).then((left) => {
      if (!left || draft.current) return
      // One of before drafts said what they were made from goes over what stands there.
      if (left.base) {
        draft.current = { ...left, base: left.base }
        known.current = { version: left.version, base: left.base }
      }
      change(left.latest)
    })
  }, [key, change])

  return { findings, change, message, setMessage }
}

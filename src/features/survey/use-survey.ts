'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { StoredSurvey } from '@/core/survey'
import { emptyRecord, mergeSurveys, type SurveyRecord } from '@/core/survey'
import { keepSurvey } from '@/server/survey/survey-actions'
import { holdLinks } from '@/ui/patient-link'
import { act } from '@/ui/use-action'
import { useAgain } from '@/ui/use-again'
import { dropDraft, keepDraft, readDraft } from '../queue/drafts'

export type SaveState =
  | { kind: 'kept'; merged: string[] }
  | { kind: 'keeping' }
  | { kind: 'refused'; message: string }
  | { kind: 'elsewhere'; theirs: StoredSurvey; conflicts: string[] }

export type Survey = ReturnType<typeof useSurvey>

/** What was typed and is not with the shop yet, with what it was typed on. */
type Draft = { base: SurveyRecord; latest: SurveyRecord }

/** One kept by a page of before may lack what a survey holds since. */
const whole = (record: SurveyRecord): SurveyRecord => ({ ...emptyRecord(), ...record })

function recordOf({ version, ...record }: StoredSurvey): SurveyRecord {
  return record
}

/**
 * The survey on the screen and its copy on the server. Every change is sent at once, one after the other; what the
 * server refuses stays on the screen with the reason. What another tablet wrote is merged in panel by panel; only
 * where both changed the same panel does somebody have to choose.
 */
export function useSurvey(jobId: JobId, stored: StoredSurvey) {
  const [data, setData] = useState<SurveyRecord>(() => recordOf(stored))
  const [state, setState] = useState<SaveState>({ kind: 'kept', merged: [] })
  const draftKey = `survey:${jobId}`
  const latest = useRef(data)
  const base = useRef(data)
  const version = useRef(stored.version)
  const sending = useRef(false)
  const dirty = useRef(false)

  const adopt = useCallback((theirs: StoredSurvey, merged: SurveyRecord) => {
    version.current = theirs.version
    base.current = recordOf(theirs)
    latest.current = merged
    setData(merged)
  }, [])

  const anew = useRef(() => {})
  const again = useAgain(() => {
    if (latest.current !== base.current) anew.current()
  })
  const send = useCallback(async () => {
    if (sending.current) return
    sending.current = true
    let merged: string[] = []
    while (dirty.current) {
      dirty.current = false
      setState({ kind: 'keeping' })
      const sent = latest.current
      const told = await act(keepSurvey, { jobId, version: version.current, record: sent })
      if (!told.ok) {
        setState({ kind: 'refused', message: told.message })
        // What the shop does not have yet is kept on the device, and goes by itself when the network is back.
        if (told.code === 'unreached') again.soon()
        break
      }
      const answer = told.value
      if (answer.kind === 'saved') {
        version.current = answer.version
        base.current = sent
        setState({ kind: 'kept', merged })
        if (!dirty.current) void dropDraft(draftKey)
        continue
      }
      const merge = mergeSurveys(base.current, latest.current, recordOf(answer.current))
      if (merge.conflicts.length > 0) {
        setState({ kind: 'elsewhere', theirs: answer.current, conflicts: merge.conflicts })
        break
      }
      merged = [...new Set([...merged, ...merge.taken])]
      adopt(answer.current, merge.merged)
      dirty.current = true
    }
    sending.current = false
  }, [jobId, adopt, draftKey, again])
  anew.current = () => {
    dirty.current = true
    if (!sending.current) void send()
  }

  // What was typed here and never reached the shop, before this page was loaded anew.
  useEffect(() => {
    void readDraft<Draft>(draftKey).then((draft) => {
      if (!draft || dirty.current || sending.current) return
      const [was, mine] = [whole(draft.base), whole(draft.latest)]
      const { merged } = mergeSurveys(was, mine, base.current, 'mine')
      latest.current = merged
      setData(merged)
      anew.current()
    })
  }, [draftKey])

  const change = useCallback(
    (edit: (before: SurveyRecord) => SurveyRecord) => {
      latest.current = edit(latest.current)
      setData(latest.current)
      dirty.current = true
      void keepDraft(draftKey, { base: base.current, latest: latest.current } satisfies Draft)
      // A round that is already under way takes this change with it.
      if (!sending.current) holdLinks(send())
    },
    [send, draftKey],
  )

  /** Settles a conflict: what stands here or what the other tablet wrote, on the panels both have changed. */
  const settle = useCallback(
    (choice: 'mine' | 'theirs', theirs: StoredSurvey) => {
      const { merged } = mergeSurveys(base.current, latest.current, recordOf(theirs), choice)
      adopt(theirs, merged)
      dirty.current = true
      void send()
    },
    [adopt, send],
  )

  return { data, state, change, settle }
}

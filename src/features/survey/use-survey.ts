'use client'

import { useCallback, useRef, useState } from 'react'
import { keepSurvey } from '@/server/actions/survey'
import type { SurveyData } from '@/server/survey-schema'
import type { StoredSurvey } from '@/server/survey-store'

export type SaveState =
  | { kind: 'kept' }
  | { kind: 'keeping' }
  | { kind: 'refused'; message: string }
  | { kind: 'elsewhere'; theirs: StoredSurvey }

/**
 * The survey on the screen and its copy on the server. Every change is sent at once, one after the other; what the
 * server refuses stays on the screen with the reason. A change from another tablet is never overwritten silently.
 */
export function useSurvey(jobId: string, stored: StoredSurvey) {
  const [data, setData] = useState<SurveyData>({ readings: stored.readings, defects: stored.defects })
  const [state, setState] = useState<SaveState>({ kind: 'kept' })
  const latest = useRef(data)
  const version = useRef(stored.version)
  const sending = useRef(false)
  const dirty = useRef(false)

  const send = useCallback(async () => {
    if (sending.current) return
    sending.current = true
    while (dirty.current) {
      dirty.current = false
      setState({ kind: 'keeping' })
      const answer = await keepSurvey(jobId, version.current, latest.current).catch(
        () =>
          ({
            kind: 'refused',
            message:
              'The server does not answer. What you typed stays here; it is sent with the next change.',
          }) as const,
      )
      if (answer.kind === 'saved') {
        version.current = answer.version
        setState({ kind: 'kept' })
      } else if (answer.kind === 'stale') setState({ kind: 'elsewhere', theirs: answer.current })
      else setState(answer)
      if (answer.kind !== 'saved') break
    }
    sending.current = false
  }, [jobId])

  const change = useCallback(
    (edit: (before: SurveyData) => SurveyData) => {
      latest.current = edit(latest.current)
      setData(latest.current)
      dirty.current = true
      void send()
    },
    [send],
  )

  /** Settles a conflict: keeps what stands here, or takes what the other tablet wrote. */
  const settle = useCallback(
    (choice: 'mine' | 'theirs', theirs: StoredSurvey) => {
      version.current = theirs.version
      if (choice === 'mine') return change((mine) => mine)
      latest.current = { readings: theirs.readings, defects: theirs.defects }
      setData(latest.current)
      setState({ kind: 'kept' })
    },
    [change],
  )

  return { data, state, change, settle }
}

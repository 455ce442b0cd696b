'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { JobKind, StepState, WayStep } from '@/core/job'
import { useMayOpen } from '@/ui/me'
import { PatientLink } from '@/ui/patient-link'
import { roomsOf } from './rooms'

/** How a state is drawn before its page, and said to who does not see it. */
const MARK: Record<StepState, { sign: string; words: string; look: string }> = {
  done: { sign: '✓', words: ', done', look: 'text-fern' },
  next: { sign: '●', words: ', next', look: 'text-copper' },
  waits: { sign: '◌', words: ', waiting', look: 'text-copper' },
  missing: { sign: '!', words: ', missing', look: 'font-bold text-copper' },
  'to-come': { sign: '', words: '', look: '' },
}

type Props = {
  jobId: JobId
  kind: JobKind
  /** How far the job has come; a visit and a repair have a way of their own. */
  way?: Readonly<Record<WayStep, StepState>>
}

/** The way as it stands on this page: the frame around the pages stays as it is while one walks on, so it is asked for again. */
function useWay(jobId: JobId, path: string, first: Props['way']): Props['way'] {
  const [way, setWay] = useState(first)
  const cameFrom = useRef(path)
  useEffect(() => setWay(first), [first])
  useEffect(() => {
    if (cameFrom.current === path) return
    cameFrom.current = path
    const left = new AbortController()
    fetch(`/api/jobs/${jobId}/way`, { signal: left.signal })
      .then((answer) => (answer.ok ? answer.json() : undefined))
      .then((now) => now && setWay(now))
      .catch(() => undefined)
    return () => left.abort()
  }, [jobId, path])
  return way
}

/** The way through a job, from measuring to care, with what is done, what is next and what is missing. */
export function JobRooms({ jobId, kind, way: first }: Props) {
  const path = usePathname()
  const way = useWay(jobId, path, first)
  const mayOpen = useMayOpen()
  const rooms = roomsOf(kind).filter(({ room }) => mayOpen(`/jobs/${jobId}/${room}`))
  return (
    <nav aria-label="This job" className="flex flex-wrap">
      {rooms.map(({ room, label }) => {
        const here = path.endsWith(`/${room}`)
        const state = (room !== 'visit' && way?.[room]) || 'to-come'
        const { sign, words, look } = MARK[state]
        return (
          <PatientLink
            key={room}
            href={`/jobs/${jobId}/${room}`}
            aria-current={here ? 'page' : undefined}
            aria-label={words ? `${label}${words}` : undefined}
            data-state={state}
            className={clsx(
              'relative flex min-h-11 items-center border-b-[3px] pr-1 pl-3.5 font-head text-sm font-semibold whitespace-nowrap no-underline lg:pr-2 lg:pl-4 lg:text-base',
              here ? 'border-fern' : 'border-transparent hover:text-ink',
              !here && state !== 'next' && 'text-ink-soft',
            )}
          >
            {sign && (
              <span aria-hidden className={clsx('absolute left-0.5 text-xs', look)}>
                {sign}
              </span>
            )}
            {label}
          </PatientLink>
        )
      })}
    </nav>
  )
}

'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import type { JobId } from '@/core/ids'
import type { JobKind } from '@/core/job'
import { PatientLink } from '@/ui/patient-link'
import { roomsOf } from './rooms'

/** The way through a job, from measuring to care. */
export function JobRooms({ jobId, kind }: { jobId: JobId; kind: JobKind }) {
  const path = usePathname()
  return (
    <nav aria-label="This job" className="flex flex-wrap">
      {roomsOf(kind).map(({ room, label }) => {
        const here = path.endsWith(`/${room}`)
        return (
          <PatientLink
            key={room}
            href={`/jobs/${jobId}/${room}`}
            aria-current={here ? 'page' : undefined}
            className={clsx(
              'flex min-h-11 items-center border-b-[3px] px-1.5 font-head text-[15px] font-semibold whitespace-nowrap no-underline lg:px-3 lg:text-base',
              here ? 'border-fern' : 'border-transparent text-ink-soft hover:text-ink',
            )}
          >
            {label}
          </PatientLink>
        )
      })}
    </nav>
  )
}

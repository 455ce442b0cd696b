'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Job } from '@/core/job'
import type { Instant } from '@/core/time'
import { callOffJob } from '@/server/quotes/change-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'
import { SayYes } from './say-yes'

/** Calls off what is not done yet. What was done is charged as agreed, and the bay is free. */
export function CallOff({ job, from, now }: { job: Job; from: number; now: Instant }) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  const [open, setOpen] = useState(false)
  const [found, setFound] = useState('')
  if (!open)
    return (
      <Button look="quiet" className="w-full" onClick={() => setOpen(true)}>
        Call off the rest
      </Button>
    )
  return (
    <section aria-label="Call off the rest" className="space-y-3 border-t border-line pt-4">
      <h2 className="text-xl">Call off the rest</h2>
      <p className="text-[15px]">
        Steps that are not done leave the calendar. What is done stays charged as agreed; what was paid beyond
        that is given back at the handover.
      </p>
      <Field label="Why">
        <input className="field" value={found} onChange={(event) => setFound(event.target.value)} />
      </Field>
      <SayYes
        customer={job.customer.name}
        now={now}
        label="Call it off"
        pending={pending}
        refusal={refusal}
        onYes={(yes) =>
          run(callOffJob, { jobId: job.id, from, found, yes }, () => router.push(`/jobs/${job.id}/handover`))
        }
      />
      <Button look="quiet" className="w-full" onClick={() => setOpen(false)}>
        Keep the job
      </Button>
    </section>
  )
}

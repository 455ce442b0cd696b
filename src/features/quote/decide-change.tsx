'use client'

import { useRouter } from 'next/navigation'
import type { Job } from '@/core/job'
import type { Instant } from '@/core/time'
import { acceptSupplement } from '@/server/quotes/change-actions'
import { useAction } from '@/ui/use-action'
import { Decline } from './decide'
import { SayYes } from './say-yes'

/** What the customer says to a supplement. Until they say yes nothing of it holds. */
export function DecideChange({ job, version, now }: { job: Job; version: number; now: Instant }) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  return (
    <section aria-label="The customer’s answer" className="space-y-3 border-t border-line pt-4">
      <SayYes
        customer={job.customer.name}
        now={now}
        label="Agreed: change the job"
        pending={pending}
        refusal={refusal}
        onYes={(yes) =>
          run(acceptSupplement, { jobId: job.id, version, yes }, () =>
            router.push(`/jobs/${job.id}/schedule`),
          )
        }
      />
      <Decline jobId={job.id} version={version} />
    </section>
  )
}

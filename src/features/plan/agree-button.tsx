'use client'

import { useRouter } from 'next/navigation'
import type { JobId } from '@/core/ids'
import { agree } from '@/server/quotes/agree-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

type Props = { jobId: JobId; packageKey: string; name: string; shownCents: number }

/** Agrees a package at the price that is on the screen. */
export function AgreeButton({ jobId, packageKey, name, shownCents }: Props) {
  const { run, pending, refusal } = useAction()
  const router = useRouter()
  return (
    <>
      <Button
        className="w-full"
        disabled={pending}
        onClick={() =>
          run(agree, { jobId, packageKey, shownCents }, () => router.push(`/jobs/${jobId}/schedule`))
        }
      >
        {pending ? 'Placing it on the calendar…' : `Agree ${name}`}
      </Button>
      {refusal && (
        <p role="alert" className="mt-2 text-copper">
          {refusal.message}
        </p>
      )}
    </>
  )
}

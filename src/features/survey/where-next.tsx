import type { JobId } from '@/core/ids'
import type { JobKind } from '@/core/job'
import { ButtonLink } from '@/ui/button'

/** Where one goes on once the paint is measured. */
export function WhereNext({ jobId, kind, agreed }: { jobId: JobId; kind: JobKind; agreed: boolean }) {
  return (
    <div className="flex flex-wrap justify-end gap-2">
      {kind === 'visit' ? (
        <ButtonLink href={`/jobs/${jobId}/visit`}>Back to the inspection</ButtonLink>
      ) : (
        <>
          <ButtonLink look="outline" href={`/jobs/${jobId}/sign-off`}>
            Go to sign-off
          </ButtonLink>
          <ButtonLink href={`/jobs/${jobId}/plan`}>{agreed ? 'See the plan' : 'Choose a package'}</ButtonLink>
        </>
      )}
    </div>
  )
}

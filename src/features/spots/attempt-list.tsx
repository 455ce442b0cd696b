'use client'

import Image from 'next/image'
import type { JobId } from '@/core/ids'
import { removalAtSpot } from '@/core/survey'
import type { KeptAttempt } from '@/core/test-spot'
import type { Instant } from '@/core/time'
import { takeBackAttempt } from '@/server/survey/spot-actions'
import { SPOT_VERDICT } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { SEVERITY_NAME } from '@/text/en/survey'
import { figure, measured, moment, percent } from '@/text/formats'
import { markName } from '@/text/marks'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { useMethodNames } from '../method-names'
import { StepsDone } from './steps-done'

type Props = {
  jobId: JobId
  attempts: readonly KeptAttempt[]
  now: Instant
  readOnly: boolean
}

/** What was tried on a group so far, as rungs of a ladder from the first upwards. */
export function AttemptList({ jobId, attempts, now, readOnly }: Props) {
  const region = useRegion()
  const { title } = useMethodNames()
  const { run, pending, refusal } = useAction()
  if (attempts.length === 0) return null
  return (
    <section className="mt-5" aria-label="Tried so far">
      <h2 className="text-xl">Tried so far</h2>
      <ol className="mt-1 space-y-2">
        {attempts.map((attempt) => {
          const removal = removalAtSpot(attempt.beforeUm, attempt.afterUm)
          return (
            <li key={attempt.id} className="flex gap-3 border-l-4 border-fern-soft pl-3 text-[15px]">
              <div className="grow">
                <p className="flex flex-wrap justify-between gap-x-4">
                  <strong>
                    {title(attempt.process)} on {staffPanelName(region, attempt.panel)}
                  </strong>
                  <span
                    className={attempt.verdict === 'too-much' ? 'font-semibold text-copper' : 'font-semibold'}
                  >
                    {SPOT_VERDICT[attempt.verdict].name}
                  </span>
                </p>
                <p>
                  {percent(region, Math.round(100 * attempt.cleared))} of{' '}
                  {SEVERITY_NAME[attempt.mark.severity]} {markName(region, attempt.mark.kind)} removed, haze{' '}
                  {attempt.haze}, panel {attempt.heat}
                  {removal
                    ? `, ${figure(region, 'depth', removal.removedUm, 1)} ± ${measured(region, 'depth', removal.uncertaintyUm, 1)} taken by the gauge`
                    : ''}
                  .
                </p>
                <StepsDone steps={attempt.steps} />
                <p className="text-sm text-ink-soft">{moment(region, attempt.madeAt, now)}</p>
                {attempt.note && <p className="text-sm italic">“{attempt.note}”</p>}
                {!readOnly && (
                  <button
                    type="button"
                    className="min-h-11 text-sm underline underline-offset-4"
                    disabled={pending}
                    onClick={() => run(takeBackAttempt, { jobId, id: attempt.id })}
                  >
                    Delete test spot
                  </button>
                )}
              </div>
              {attempt.photoHash && (
                <Image
                  src={`/api/photos/${attempt.photoHash}`}
                  alt={`Test spot on ${staffPanelName(region, attempt.panel)}`}
                  width={112}
                  height={84}
                  unoptimized
                  className="h-20 w-28 rounded object-cover"
                />
              )}
            </li>
          )
        })}
      </ol>
      <Refused refusal={refusal} />
    </section>
  )
}

'use client'

import type { Method } from '@/core/correction'
import type { JobId, PersonId } from '@/core/ids'
import type { SpotNews } from '@/core/planning'
import type { Instant } from '@/core/time'
import { planBySpots, takeSettled } from '@/server/survey/spot-actions'
import { GROUP, wordOf } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { list } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { MethodPreview } from '../work/method-preview'
import { useMe } from '../work/use-me'

type Props = {
  jobId: JobId
  news: SpotNews
  methods: readonly Method[]
  people: readonly { id: PersonId; name: string }[]
  now: Instant
}

/** What was tried since the job was agreed, and what it changes of the work and the day: to be taken over, or left. */
export function OnThisJob({ jobId, news, methods, people, now }: Props) {
  const region = useRegion()
  const { run, pending, refusal } = useAction()
  const [me, setMe] = useMe(people[0]!.id)
  return (
    <section
      className="sheet mb-4 border-l-4 border-l-bracken p-4"
      aria-label="What this changes about the job"
    >
      <h2 className="text-xl">What this changes about the job</h2>
      {news.settled.length > 0 && (
        <Field label="Who changes it">
          <select
            className="field"
            value={me}
            onChange={(event) => setMe(people.find(({ id }) => id === event.target.value)!.id)}
          >
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {news.settled.map(({ group, panels, process, preview }) => (
        <div key={group} className="mt-3">
          <p>
            {GROUP[group].name}: the test spot settled {wordOf(methods, process)}. Agreed otherwise for{' '}
            {list(
              region,
              panels.map((id) => staffPanelName(region, id)),
            )}
            .
          </p>
          <MethodPreview preview={preview} now={now} />
          <Button
            className="mt-2"
            disabled={pending}
            onClick={() => run(takeSettled, { jobId, panels, process, by: me, reason: 'by the test spot' })}
          >
            Use it for {panels.length === 1 ? 'this panel' : `these ${panels.length} panels`}
          </Button>
        </div>
      ))}
      {news.anew && news.settled.length === 0 && (
        <div className="mt-2">
          <p>
            By what was tried the methods stay, and their passes do not: this paint takes another time than
            was planned.
          </p>
          <MethodPreview preview={news.anew} now={now} />
          <Button className="mt-2" disabled={pending} onClick={() => run(planBySpots, { jobId })}>
            Plan it so
          </Button>
        </div>
      )}
      {refusal && (
        <p role="alert" className="mt-2 text-copper">
          {refusal.message}
        </p>
      )}
    </section>
  )
}

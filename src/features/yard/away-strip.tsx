'use client'

import clsx from 'clsx'
import { useState } from 'react'
import type { PersonId } from '@/core/ids'
import type { AwaitedThere, AwayThere } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { moveAway } from '@/server/work/away-actions'
import { awayThing, awayWith, backText } from '@/text/en/away'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { MomentInput, type TypedMoment } from '@/ui/moment-input'
import { useAction } from '@/ui/use-action'
import { typedAt } from '../typed-moment'
import { useMe } from '../work/use-me'

type Named = { id: PersonId; name: string }
type Props = {
  away: readonly AwayThere[]
  /** Ordered for a step, and not here. */
  awaited: readonly AwaitedThere[]
  people: readonly Named[]
  region: Region
  now: Instant
}

/** What has left the shop and when it is back, what leaves soon; each by one tap. */
export function AwayStrip({ away, awaited, people, region, now }: Props) {
  const [me, setMe] = useMe(people[0]!.id)
  if (away.length + awaited.length === 0) return null
  return (
    <section aria-label="Away" className="border-x-[3px] border-b-[3px] border-ink bg-sheet px-4 py-3">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-lg">Away</h2>
        <label className="flex items-center gap-2 text-sm text-ink-soft">
          Said by
          <select
            className="field w-auto"
            value={me}
            onChange={({ target }) => setMe(people.find(({ id }) => id === target.value)!.id)}
          >
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ul>
        {away.map((each) => (
          <AwayLine
            key={`${each.jobId} ${each.operation.id}`}
            away={each}
            me={me}
            region={region}
            now={now}
          />
        ))}
        {awaited.map(({ jobId, plate, operation, what, supplier, due }) => (
          <li key={`${jobId} ${operation}`} className="border-t border-line py-2 first:border-0">
            <Link href={`/jobs/${jobId}/work`} className="font-head font-bold">
              {plate}
            </Link>{' '}
            waits for {what} from {supplier},{' '}
            <span className={clsx(due < now && 'font-semibold text-copper')}>
              {due < now ? 'was due' : 'due'} {moment(region, due, now)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

function AwayLine({
  away,
  me,
  region,
  now,
}: {
  away: AwayThere
  me: PersonId
  region: Region
  now: Instant
}) {
  const { jobId, plate, operation, thing, out, planned, late, note } = away
  const { run, pending, refusal, clear } = useAction()
  const [isLater, setIsLater] = useState(false)
  const back = out?.dueBack ?? planned?.back ?? now
  const typed = typedAt(region, back)
  const say = (what: Parameters<typeof moveAway>[0]['input']['what']) =>
    run(moveAway, { jobId, operation: operation.id, by: me, what }, () => setIsLater(false))
  return (
    <li className="border-t border-line py-2 first:border-0">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p className="min-w-60 grow leading-snug">
          <Link href={`/jobs/${jobId}/work`} className="font-head font-bold">
            {plate}
          </Link>{' '}
          {awayThing(operation.title, thing).toLowerCase()} {out ? 'with' : 'to'} {awayWith(operation.title)}
          <br />
          <span className={clsx('text-[15px]', late ? 'font-semibold text-copper' : 'text-ink-soft')}>
            {out
              ? `out since ${moment(region, out.since, now)}, ${backText(region, now, { ...away, dueBack: back })}`
              : `${late ? 'should have left' : 'leaves'} ${moment(region, planned!.out, now)}, back ${moment(region, back, now)}`}
            {note ? ` (${note})` : ''}
          </span>
        </p>
        {out ? (
          <>
            <Button disabled={pending} onClick={() => say({ kind: 'back' })}>
              Back
            </Button>
            <Button
              look="outline"
              aria-expanded={isLater}
              onClick={() => {
                clear()
                setIsLater(!isLater)
              }}
            >
              Back later
            </Button>
          </>
        ) : (
          <Button look="outline" disabled={pending} onClick={() => say({ kind: 'out', ...typed })}>
            Out
          </Button>
        )}
      </div>
      {isLater ? (
        <LaterForm
          typed={typed}
          error={refusal?.message}
          pending={pending}
          onSay={(when) => say({ kind: 'later', ...when })}
        />
      ) : (
        refusal && (
          <p role="alert" className="mt-1 font-semibold text-copper">
            {refusal.message}
          </p>
        )
      )}
    </li>
  )
}

/** When it is back instead, and what they say of it. */
function LaterForm({
  typed,
  error,
  pending,
  onSay,
}: {
  typed: TypedMoment
  error: string | undefined
  pending: boolean
  onSay: (when: TypedMoment & { note: string }) => void
}) {
  const [when, setWhen] = useState(typed)
  const [note, setNote] = useState('')
  return (
    <div className="mt-2 grid items-end gap-3 rounded bg-lichen p-3 md:grid-cols-[minmax(0,22rem)_minmax(0,1fr)_auto]">
      <MomentInput label="Back" value={when} error={error} onChange={setWhen} />
      <Field label="What they say (optional)">
        <input
          className="field"
          maxLength={300}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </Field>
      <Button disabled={pending} onClick={() => onSay({ ...when, note })}>
        Save the new time
      </Button>
    </div>
  )
}

import { useState } from 'react'
import { workOn } from '@/core/card'
import { progressAt } from '@/core/job'
import { type Instant, plusMinutes } from '@/core/time'
import { awayThing, awayWith, backText } from '@/text/en/away'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { MomentInput } from '@/ui/moment-input'
import { momentOf, typedAt } from '../typed-moment'
import type { StepProps } from './use-card'

const WHEN = 'Choose a day and type a time, such as 16:00.'

/** What leaves the shop for a step: out, due back, later than said, back. */
export function AwayActions({ card, operation, me }: StepProps) {
  const { view, state, now } = card
  const { region } = view
  const progress = progressAt({ ...view.live, progress: state.progress }, operation, now)
  const planned = view.live.published.find((each) => each.operation === operation.id)
  const dueBack = progress.kind === 'started' ? progress.dueBack : undefined
  const back = dueBack ?? planned?.end ?? plusMinutes(now, operation.minutes)
  const [when, setWhen] = useState(typedAt(region, back))
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const say = (act: (due: Instant) => Parameters<typeof card.add>[1]) => {
    const due = momentOf(region, when)
    const isPast = due !== undefined && due <= now
    setError(due ? (isPast ? 'It can only be due back later than now.' : undefined) : WHEN)
    if (due && !isPast) card.add(me, act(due))
  }
  const id = operation.id
  const large = 'min-h-14 px-7 text-lg'
  const thing = awayThing(operation.title, operation.away ?? 'car')
  const first = workOn(state, id).said[0]?.back
  if (progress.kind === 'open')
    return (
      <div className="mt-5 max-w-xl space-y-3">
        <p className="text-lg">
          {thing} {thing === 'Wheels' ? 'go' : 'goes'} to {awayWith(operation.title)}.
        </p>
        <MomentInput label="Due back" value={when} error={error} onChange={setWhen} />
        <Button
          className={large}
          onClick={() => say((due) => ({ kind: 'begin', operation: id, dueBack: due }))}
        >
          Out now
        </Button>
      </div>
    )
  if (progress.kind === 'done') return null
  return (
    <div className="mt-5 max-w-xl space-y-3">
      <p className="text-lg" data-testid="away">
        {thing} with {awayWith(operation.title)},{' '}
        {backText(region, now, {
          dueBack: back,
          late: back < now,
          ...(first ? { firstSaid: first } : {}),
        })}
        .
      </p>
      <Button className={large} onClick={() => card.add(me, { kind: 'done', operation: id })}>
        Back now
      </Button>
      <details>
        <summary className="min-h-11 py-2 font-head font-semibold underline decoration-ink-soft/50 underline-offset-4">
          Back at another time
        </summary>
        <div className="space-y-3">
          <MomentInput label="Back" value={when} error={error} onChange={setWhen} />
          <Field label="What they say (optional)">
            <input
              className="field"
              maxLength={300}
              value={note}
              onChange={({ target }) => setNote(target.value)}
            />
          </Field>
          <Button
            look="outline"
            onClick={() =>
              say((due) => ({ kind: 'due-back', operation: id, dueBack: due, note: note.trim() }))
            }
          >
            Save the new time
          </Button>
        </div>
      </details>
    </div>
  )
}

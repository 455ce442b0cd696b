'use client'

import { useState } from 'react'
import type { Outage, Proposal } from '@/core/planning'
import type { TypedOutage } from '@/core/planning/outage-told'
import type { Region } from '@/core/region'
import { dayIn, type Instant, plusDays } from '@/core/time'
import { foresee, foreseeFrost, foreseeLate, foreseeLonger, isBack } from '@/server/planning/outage-actions'
import { moment } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { MomentInput } from '@/ui/moment-input'
import { useAction } from '@/ui/use-action'
import { Late, Longer, type OpenStep, type OutThing } from './happening-fields'
import { ProposedPlan } from './proposed-plan'

type Named = { id: string; name: string }
/** An outage that is known, in words. */
export type KnownOutage = { id: string; name: string; kind: Outage['what']['kind']; until: Instant }

/** What has happened: somebody or something is out, or the work itself changes. */
type Happening = TypedOutage['what']['kind'] | 'frost' | 'longer' | 'late'

/** How it is told that something is out, and over. */
const OUT: Record<KnownOutage['kind'], { is: string; over: string }> = {
  person: { is: 'is away', over: 'Is back' },
  place: { is: 'is out of use', over: 'In use again' },
  air: { is: 'is too damp to coat', over: 'Dry enough again' },
  extra: { is: 'is in longer', over: 'Not after all' },
  power: { is: 'is off', over: 'The power is back' },
}

type Props = {
  steps: OpenStep[]
  away: OutThing[]
  people: Named[]
  subcontractors: Named[]
  places: Named[]
  known: KnownOutage[]
  region: Region
  now: Instant
  clockNow: string
}

const NameOptions = ({ named }: { named: readonly Named[] }) =>
  named.map(({ id, name }) => (
    <option key={id} value={id}>
      {name}
    </option>
  ))

/** Reports a change, shows its effect, and only then has it hold. */
export function ReportOutage({
  steps,
  away,
  people,
  subcontractors,
  places,
  known,
  region,
  now,
  clockNow,
}: Props) {
  const today = dayIn(region.timezone, now)
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState<TypedOutage>({
    what: { kind: 'person', id: '' },
    from: { day: today, time: clockNow },
    until: { day: plusDays(today, 1), time: '20:00' },
  })
  const [happening, setHappening] = useState<Happening>('person')
  const [longer, setLonger] = useState({ step: '', minutes: '' })
  const [late, setLate] = useState({ thing: '', back: away[0]?.due ?? { day: today, time: clockNow } })
  const { run, pending, refusal, clear } = useAction()
  const [proposal, setProposal] = useState<Proposal>()
  const [message, setMessage] = useState('')
  const change = (next: Partial<TypedOutage>) => {
    setTyped({ ...typed, ...next })
    setProposal(undefined)
    clear()
  }
  const look = () => {
    setMessage('')
    setProposal(undefined)
    if (happening === 'frost') return run(foreseeFrost, { from: typed.from, until: typed.until }, setProposal)
    if (happening === 'late') {
      const [job = '', operation = ''] = late.thing.split(' ')
      return run(foreseeLate, { job, operation, back: late.back }, setProposal)
    }
    if (happening !== 'longer') return run(foresee, typed, setProposal)
    const [job = '', operation = ''] = longer.step.split(' ')
    return run(foreseeLonger, { job, operation, minutes: numberOf(longer.minutes) }, setProposal)
  }
  const back = (id: string) =>
    run(isBack, { id }, () => setMessage('Saved. The plan stays as it is until you re-plan.'))
  const fields = ['from', 'until', 'operation', 'minutes', 'id', 'back', 'job']
  const wrong = (...names: string[]) =>
    refusal?.field.split('.').some((part) => names.includes(part)) ? refusal.message : undefined
  const unplaced = refusal && !refusal.field.split('.').some((part) => fields.includes(part))
  const { what } = typed
  return (
    <section className="contents" aria-label="Away and out of use">
      <p role="status" className="text-sm text-ink-soft">
        {unplaced ? refusal.message : message}
      </p>
      <Button look="outline" aria-expanded={open} onClick={() => setOpen(!open)}>
        Report a change
      </Button>
      {open && (
        <div className="sheet order-1 w-full space-y-4 p-4">
          <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
            <Choice
              label="What has happened"
              options={[
                { value: 'person', name: 'Somebody is away or late' },
                { value: 'place', name: 'A bay is out of use' },
                { value: 'extra', name: 'Somebody stays longer or comes in' },
                { value: 'air', name: 'The air is too damp' },
                { value: 'power', name: 'The power is off' },
                { value: 'frost', name: 'It freezes' },
                { value: 'longer', name: 'A step takes longer' },
                ...(away.length > 0 ? [{ value: 'late' as const, name: 'Something comes back later' }] : []),
              ]}
              value={happening}
              onChange={(next) => {
                setHappening(next)
                if (next === 'person' || next === 'extra' || next === 'place')
                  change({ what: { kind: next, id: '' } })
                else change(next === 'air' || next === 'power' ? { what: { kind: next } } : {})
              }}
            />
            {happening === 'longer' && (
              <Longer
                steps={steps}
                longer={longer}
                wrong={{ step: wrong('operation'), minutes: wrong('minutes') }}
                onChange={(next) => {
                  setLonger(next)
                  change({})
                }}
              />
            )}
            {happening === 'late' && (
              <Late
                away={away}
                late={late}
                wrong={{ thing: wrong('operation', 'job'), back: wrong('back') }}
                onChange={(next) => {
                  setLate(next)
                  change({})
                }}
              />
            )}
            {happening === what.kind && 'id' in what && (
              <Field label={what.kind === 'place' ? 'Which bay' : 'Who'} error={wrong('id')}>
                <select
                  className="field"
                  value={what.id}
                  onChange={(event) => change({ what: { ...what, id: event.target.value } })}
                >
                  <option value="">Choose</option>
                  <NameOptions named={what.kind === 'place' ? places : people} />
                  {what.kind !== 'place' && subcontractors.length > 0 && (
                    <optgroup label="Subcontractors">
                      <NameOptions named={subcontractors} />
                    </optgroup>
                  )}
                </select>
              </Field>
            )}
          </div>
          {happening === 'air' && (
            <p className="max-w-prose text-ink-soft">
              Nothing is coated in that time: layers wait for dry air, or are applied before it. All other
              work goes on.
            </p>
          )}
          {happening === 'power' && (
            <p className="max-w-prose text-ink-soft">
              Nobody of the house works in that time. What cures or dries goes on; make sure lamps and heaters
              do not come back on by themselves.
            </p>
          )}
          {happening === 'frost' && (
            <p className="max-w-prose text-ink-soft">
              Water would freeze in locks and seals: what was to be washed outside is washed without a hose in
              the bay where the car then stays.
            </p>
          )}
          {happening !== 'longer' && happening !== 'late' && (
            <div className="flex flex-wrap gap-x-6 gap-y-3">
              <MomentInput
                label="From"
                value={typed.from}
                error={wrong('from')}
                onChange={(from) => change({ from })}
              />
              <MomentInput
                label="Until"
                value={typed.until}
                error={wrong('until')}
                onChange={(until) => change({ until })}
              />
            </div>
          )}
          <div className="flex flex-wrap gap-2">
            <Button disabled={pending} onClick={look}>
              {pending && !proposal ? 'Working it out…' : 'Show the effect'}
            </Button>
            <Button look="outline" onClick={() => setOpen(false)}>
              Close
            </Button>
          </div>
          {proposal && (
            <ProposedPlan
              proposal={proposal}
              title="What follows"
              take="Use this plan"
              leave="Keep the current plan"
              region={region}
              now={now}
              onClosed={(answer) => {
                setProposal(undefined)
                if (answer) setMessage(answer.said)
                if (answer?.taken) setOpen(false)
              }}
            />
          )}
        </div>
      )}
      {known.length > 0 && (
        <ul className="order-1 flex w-full flex-wrap gap-x-5">
          {known.map((outage) => (
            <li key={outage.id} className="flex items-center gap-2 text-copper">
              {outage.name} {OUT[outage.kind].is} until {moment(region, outage.until, now)}
              <Button look="quiet" disabled={pending} onClick={() => back(outage.id)}>
                {OUT[outage.kind].over}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

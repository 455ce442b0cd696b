'use client'

import { useState } from 'react'
import { toPersonId } from '@/core/ids'
import type { Outage, Proposal } from '@/core/planning'
import type { TypedOutage } from '@/core/planning/outage-told'
import type { Region } from '@/core/region'
import { dayIn, type Instant, plusDays } from '@/core/time'
import {
  foresee,
  foreseeForCar,
  foreseeFrost,
  foreseeLent,
  foreseeLonger,
  isBack,
} from '@/server/planning/outage-actions'
import { moment } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { MomentInput } from '@/ui/moment-input'
import { useAction } from '@/ui/use-action'
import { useMe } from '../work/use-me'
import { carEventOf, Details } from './happening-details'
import type { TypedCar } from './happening-fields'
import {
  canHappen,
  HAPPENINGS,
  type Happening,
  type KnownOutage,
  lasts,
  NOTES,
  type Reportable,
} from './happenings'
import { ProposedPlan } from './proposed-plan'

/** How it is told that something is out, and over. */
const OUT: Record<Outage['what']['kind'], { is: string; over: string }> = {
  person: { is: 'is away', over: 'Is back' },
  place: { is: 'is out of use', over: 'In use again' },
  equipment: { is: 'is out of use', over: 'In use again' },
  air: { is: 'is too damp to coat', over: 'Dry enough again' },
  extra: { is: 'is in longer', over: 'Not after all' },
  power: { is: 'is off', over: 'The power is back' },
}

type Props = {
  of: Reportable
  known: KnownOutage[]
  region: Region
  now: Instant
  clockNow: string
}

/** Reports a change, shows its effect, and only then has it hold. */
export function ReportChange({ of, known, region, now, clockNow }: Props) {
  const today = dayIn(region.timezone, now)
  const [open, setOpen] = useState(false)
  const [happening, setHappening] = useState<Happening>('person')
  const [id, setId] = useState('')
  const [times, setTimes] = useState<Pick<TypedOutage, 'from' | 'until'>>({
    from: { day: today, time: clockNow },
    until: { day: plusDays(today, 1), time: '20:00' },
  })
  const [car, setCar] = useState<TypedCar>({
    job: '',
    step: '',
    at: of.away[0]?.due ?? { day: plusDays(today, 1), time: '12:00' },
    what: '',
    supplier: '',
  })
  const [longer, setLonger] = useState({ step: '', minutes: '' })
  const [lent, setLent] = useState({ name: '', like: '' })
  const [me] = useMe(toPersonId(of.people[0]?.id ?? ''))
  const { run, pending, refusal, clear } = useAction()
  const [proposal, setProposal] = useState<Proposal>()
  const [message, setMessage] = useState('')

  /** What is typed has changed: the answer to what was typed before is gone. */
  const typing =
    <T,>(set: (next: T) => void) =>
    (next: T) => {
      set(next)
      setProposal(undefined)
      clear()
    }
  const look = () => {
    setMessage('')
    setProposal(undefined)
    if (happening === 'frost') return run(foreseeFrost, times, setProposal)
    if (happening === 'lent') return run(foreseeLent, { ...lent, ...times }, setProposal)
    if (happening === 'longer') {
      const [job = '', operation = ''] = longer.step.split(' ')
      return run(foreseeLonger, { job, operation, minutes: numberOf(longer.minutes) }, setProposal)
    }
    const event = carEventOf(happening, car, me)
    if (event) return run(foreseeForCar, event, setProposal)
    return run(foresee, { what: outOf(happening, id), ...times }, setProposal)
  }
  const back = (outage: string) =>
    run(isBack, { id: outage }, () => setMessage('Saved. The plan stays as it is until you re-plan.'))
  const wrong = (...names: string[]) =>
    refusal?.field.split('.').some((part) => names.includes(part)) ? refusal.message : undefined
  const unplaced = refusal && !wrong(...FIELDS)
  const note = NOTES[happening]
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
          <h2 className="text-xl">What has happened?</h2>
          <div className="grid gap-x-8 gap-y-3 xl:grid-cols-2">
            {HAPPENINGS.map(({ of: whom, all }) => (
              <Choice
                key={whom}
                label={whom}
                options={all.filter(({ value }) => canHappen(value, of))}
                value={happening}
                onChange={(next) => {
                  typing(setHappening)(next)
                  setId('')
                }}
              />
            ))}
          </div>
          <div className="flex flex-wrap items-end gap-x-6 gap-y-3 border-t border-line pt-3">
            <Details
              {...{ happening, of, id, car, longer, lent, wrong }}
              onId={typing(setId)}
              onCar={typing(setCar)}
              onLonger={typing(setLonger)}
              onLent={typing(setLent)}
            />
            {lasts(happening) && (
              <>
                <MomentInput
                  label="From"
                  value={times.from}
                  error={wrong('from')}
                  onChange={(from) => typing(setTimes)({ ...times, from })}
                />
                <MomentInput
                  label="Until"
                  value={times.until}
                  error={wrong('until')}
                  onChange={(until) => typing(setTimes)({ ...times, until })}
                />
              </>
            )}
          </div>
          {note && <p className="max-w-prose text-ink-soft">{note}</p>}
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

/** Fields beside which a refusal is shown; any other is said above. */
const FIELDS = [
  'from',
  'until',
  'operation',
  'minutes',
  'id',
  'at',
  'job',
  'what',
  'supplier',
  'name',
  'like',
]

const outOf = (happening: Happening, id: string): TypedOutage['what'] =>
  happening === 'air' || happening === 'power'
    ? { kind: happening }
    : ({ kind: happening, id } as TypedOutage['what'])

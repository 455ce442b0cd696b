'use client'

import { useState } from 'react'
import { type Act, type CoatLog, type Conflict, conflictText } from '@/core/card'
import { toPersonId } from '@/core/ids'
import { atLocal, dayIn, type Instant, localDayOrThrow } from '@/core/time'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { clock, moment } from '@/ui/when'
import { AskReason } from './ask-reason'
import { CoatLogForm } from './coat-log'
import type { StepProps } from './use-card'

/** What an `<input type="datetime-local">` holds, on the shop's clock. */
function toLocalText(zone: string, at: Instant): string {
  return `${dayIn(zone, at)}T${clock(zone, at)}`
}

function fromLocalText(zone: string, text: string): Instant | undefined {
  const [day, time] = text.split('T')
  return day && time ? atLocal(zone, localDayOrThrow(day), time.slice(0, 5)) : undefined
}

/** Which field a conflict is about; what is about none stands below. */
const FIELD: Partial<Record<Conflict['code'], 'from' | 'to'>> = {
  'times-crossed': 'to',
  ahead: 'to',
  'too-early': 'from',
  'still-soft': 'from',
}

/**
 * A step written down afterwards, with the times at which it really was. It is an act like any other: it goes through the card's
 * own journal, without a network too, and books what was poured.
 */
export function RecordForm({ card, operation, me }: StepProps) {
  const { view, state } = card
  const { zone, people } = view
  const progress = state.progress[operation.id] ?? { kind: 'open' as const }
  const coat = view.sheets[operation.id]?.coat
  // The moment at which the form was opened; it does not run on while somebody types.
  const [now] = useState(card.now)
  const started = progress.kind === 'started' ? progress.at : now
  const [by, setBy] = useState((progress.kind === 'started' && progress.by) || me)
  const [from, setFrom] = useState(toLocalText(zone, started))
  const [to, setTo] = useState(toLocalText(zone, now))
  const [fault, setFault] = useState<{ field: 'from' | 'to' | ''; message: string }>()
  const [late, setLate] = useState<{ coat?: CoatLog }>()
  const at = (field: 'from' | 'to' | '') => (fault?.field === field ? fault.message : undefined)
  const finish = (log?: CoatLog, despite?: string) => {
    const [began, ended] = [fromLocalText(zone, from), fromLocalText(zone, to)]
    if (!began) return setFault({ field: 'from', message: 'Choose a date and a time.' })
    if (!ended) return setFault({ field: 'to', message: 'Choose a date and a time.' })
    const act: Act = {
      kind: 'record',
      operation: operation.id,
      from: began,
      to: ended,
      ...(log ? { coat: log } : {}),
      ...(despite ? { despite } : {}),
    }
    const against = card.conflictWith(by, act)
    if (against?.code === 'window-closed') return setLate(log ? { coat: log } : {})
    if (against) {
      const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? id
      const message = conflictText(against, { who: nameOf, when: (when) => moment(zone, when, card.now) })
      return setFault({ field: FIELD[against.code] ?? '', message })
    }
    setFault(undefined)
    card.add(by, act)
  }
  return (
    <div className="pt-2">
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Who">
          <select className="field" value={by} onChange={(event) => setBy(toPersonId(event.target.value))}>
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Really began" error={at('from')}>
          <input
            className="field"
            type="datetime-local"
            value={from}
            onChange={(event) => setFrom(event.target.value)}
          />
        </Field>
        <Field label="Really ended" error={at('to')}>
          <input
            className="field"
            type="datetime-local"
            value={to}
            onChange={(event) => setTo(event.target.value)}
          />
        </Field>
      </div>
      {at('') && (
        <p role="alert" className="mt-3 font-semibold text-copper">
          {at('')}
        </p>
      )}
      {late && (
        <div className="mt-4">
          <AskReason
            words="Record it all the same"
            onReason={(despite) => finish(late.coat, despite)}
            onLeave={() => setLate(undefined)}
          >
            <p>By these times it was begun after its window had closed.</p>
          </AskReason>
        </div>
      )}
      <div className="mt-4">
        {coat ? (
          <CoatLogForm
            coat={coat}
            isLayer={operation.kind === 'layer'}
            words="Record it"
            onDone={(log) => finish(log)}
          />
        ) : (
          <Button className="mt-1 min-h-14 px-8 text-lg" onClick={() => finish()}>
            Record it
          </Button>
        )}
      </div>
    </div>
  )
}

'use client'

import { useState } from 'react'
import type { Act, CoatLog, Conflict } from '@/core/card'
import { toPersonId } from '@/core/ids'
import { conflictText } from '@/text/en/card'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { MomentInput } from '@/ui/moment-input'
import { momentOf, typedAt } from '../typed-moment'
import { AskReason } from './ask-reason'
import { CoatLogForm } from './coat-log'
import type { StepProps } from './use-card'

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
  const { region, people } = view
  const progress = state.progress[operation.id] ?? { kind: 'open' as const }
  const coat = view.sheets[operation.id]?.coat
  // The moment at which the form was opened; it does not run on while somebody types.
  const [now] = useState(card.now)
  const started = progress.kind === 'started' ? progress.at : now
  const [by, setBy] = useState((progress.kind === 'started' && progress.by) || me)
  const [from, setFrom] = useState(typedAt(region, started))
  const [to, setTo] = useState(typedAt(region, now))
  const [fault, setFault] = useState<{ field: 'from' | 'to' | ''; message: string }>()
  const [late, setLate] = useState<{ coat?: CoatLog }>()
  const at = (field: 'from' | 'to' | '') => (fault?.field === field ? fault.message : undefined)
  const finish = (log?: CoatLog, despite?: string) => {
    const [began, ended] = [momentOf(region, from), momentOf(region, to)]
    if (!began) return setFault({ field: 'from', message: 'Type a day and a time, such as 13:30.' })
    if (!ended) return setFault({ field: 'to', message: 'Type a day and a time, such as 13:30.' })
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
      const message = conflictText(against, {
        who: nameOf,
        when: (when) => moment(region, when, card.now),
        region,
      })
      return setFault({ field: FIELD[against.code] ?? '', message })
    }
    setFault(undefined)
    card.add(by, act)
  }
  return (
    <div className="pt-2">
      <div className="grid gap-3 sm:grid-cols-2">
        <div className="sm:col-span-2 sm:max-w-xs">
          <Field label="Who">
            <select className="field" value={by} onChange={(event) => setBy(toPersonId(event.target.value))}>
              {people.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <MomentInput label="Really began" value={from} error={at('from')} onChange={setFrom} />
        <MomentInput label="Really ended" value={to} error={at('to')} onChange={setTo} />
      </div>
      {at('') && (
        <p role="alert" className="mt-3 font-semibold text-copper">
          {at('')}
        </p>
      )}
      {late && (
        <div className="mt-4">
          <AskReason
            words="Record anyway"
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

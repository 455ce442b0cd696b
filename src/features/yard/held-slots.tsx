'use client'

import clsx from 'clsx'
import { useState } from 'react'
import { endsSoon, type Hold } from '@/core/planning'
import type { Region } from '@/core/region'
import { dayIn, type Instant } from '@/core/time'
import { endHold, keepHold } from '@/server/planning/hold-actions'
import { moment, paperDay } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'

export type HeldSlot = Pick<Hold, 'id' | 'name' | 'phone' | 'car' | 'packageName' | 'bringAt' | 'until'>

type Props = { slots: readonly HeldSlot[]; region: Region; now: Instant }

/** Slots that are held for callers: whom to call before one frees itself. */
export function HeldSlots({ slots, region, now }: Props) {
  if (slots.length === 0) return null
  return (
    <section aria-label="Held slots" className="mt-4">
      <h2 className="text-lg">Held for callers</h2>
      <ul>
        {slots.map((slot) => (
          <Slot key={slot.id} slot={slot} region={region} now={now} />
        ))}
      </ul>
    </section>
  )
}

function Slot({ slot, region, now }: { slot: HeldSlot } & Omit<Props, 'slots'>) {
  const { id, name, phone, car, packageName, bringAt, until } = slot
  const today = dayIn(region.timezone, now)
  const { run, pending, refusal } = useAction()
  const [later, setLater] = useState<string>()
  const soon = endsSoon(slot, today)
  return (
    <li className="border-t border-line py-2 first:border-0">
      <p className="leading-snug">
        <span className="font-head font-bold">{name}</span>,{' '}
        <a href={`tel:${phone}`} className="underline underline-offset-4">
          {phone}
        </a>
        <br />
        <span className="text-[15px] text-ink-soft">
          {[car, packageName].filter(Boolean).join(', ')}; comes {moment(region, bringAt, now)}
        </span>
        <br />
        <span className={clsx('text-[15px]', soon ? 'font-semibold text-copper' : 'text-ink-soft')}>
          {soon ? 'Call them: held only' : 'Held'} until the end of{' '}
          {until === today ? 'today' : paperDay(region, until)}
        </span>
      </p>
      <div className="flex flex-wrap items-end gap-1">
        <ButtonLink look="outline" href={`/intake?hold=${id}`}>
          Check in
        </ButtonLink>
        <Button
          look="quiet"
          aria-expanded={later !== undefined}
          onClick={() => setLater(later === undefined ? until : undefined)}
        >
          Another day
        </Button>
        <Button look="quiet" disabled={pending} onClick={() => run(endHold, { hold: id })}>
          Free it
        </Button>
      </div>
      {later !== undefined && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <Field label="Keep it until the end of">
            <DayInput value={later} onChange={setLater} />
          </Field>
          <Button
            disabled={pending}
            onClick={() => run(keepHold, { hold: id, until: later }, () => setLater(undefined))}
          >
            Save
          </Button>
        </div>
      )}
      {refusal && (
        <p role="alert" className="text-[15px] text-copper">
          {refusal.message}
        </p>
      )}
    </li>
  )
}

'use client'

import { useState } from 'react'
import { bringTime } from '@/core/planning'
import type { Collection } from '@/core/planning/caller'
import type { Region } from '@/core/region'
import { dayIn, type LocalDay, localDayOrThrow, plusDays } from '@/core/time'
import { holdSlot } from '@/server/planning/hold-actions'
import { paperDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { useAction } from '@/ui/use-action'

type Props = {
  /** What was said on the telephone of the car. */
  told: Omit<Parameters<typeof holdSlot>[0]['input'], 'name' | 'phone' | 'car' | 'until' | 'said'>
  usual: Collection
  region: Region
  today: LocalDay
}

/** A slot is kept unless somebody says otherwise for so many days, and never beyond the day the car has to come (mem). */
const USUAL_DAYS = 2

/** The caller wants to think about it: the slot is kept under their name until a day. */
export function HoldSlot({ told, usual, region, today }: Props) {
  const bringDay = dayIn(region.timezone, bringTime(usual.operations))
  const usually = plusDays(today, USUAL_DAYS)
  const [typed, setTyped] = useState<{ name: string; phone: string; car: string; until: string }>({
    name: '',
    phone: '',
    car: '',
    until: usually < bringDay ? usually : bringDay,
  })
  const [held, setHeld] = useState(false)
  const { run, pending, refusal } = useAction()
  const wrong = (field: string) => (refusal?.field === field ? { error: refusal.message } : {})
  if (held)
    return (
      <p role="status" className="sheet border-l-4 border-l-fern p-4">
        Held for {typed.name} until the end of {paperDay(region, localDayOrThrow(typed.until))}.{' '}
        <Link href="/">It is on the yard</Link>, and on the schedule.
      </p>
    )
  return (
    <form
      aria-label="Hold this slot"
      className="sheet space-y-3 p-4"
      onSubmit={(event) => {
        event.preventDefault()
        run(holdSlot, { ...told, ...typed, said: usual.collectAt }, () => setHeld(true))
      }}
    >
      <h2 className="text-xl">Hold this slot</h2>
      <p className="text-ink-soft">
        If they want to think about it. Nobody else gets it until then; the day after, it frees itself.
      </p>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        <Field label="Caller" {...wrong('name')}>
          <input
            className="field"
            autoComplete="off"
            value={typed.name}
            onChange={({ target }) => setTyped({ ...typed, name: target.value })}
          />
        </Field>
        <Field label="Telephone" {...wrong('phone')}>
          <input
            className="field"
            type="tel"
            autoComplete="off"
            value={typed.phone}
            onChange={({ target }) => setTyped({ ...typed, phone: target.value })}
          />
        </Field>
        <Field label="Which car (optional)" {...wrong('car')}>
          <input
            className="field"
            value={typed.car}
            onChange={({ target }) => setTyped({ ...typed, car: target.value })}
          />
        </Field>
        <Field label="Keep it until the end of" {...wrong('until')}>
          <DayInput value={typed.until} onChange={(until) => setTyped({ ...typed, until })} />
        </Field>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" disabled={pending}>
          {pending ? 'Holding it…' : 'Hold it'}
        </Button>
        {refusal && !['name', 'phone', 'car', 'until'].includes(refusal.field) && (
          <p role="alert" className="text-copper">
            {refusal.message}
          </p>
        )}
      </div>
    </form>
  )
}

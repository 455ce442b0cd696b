'use client'

import { useState } from 'react'
import type { Given } from '@/core/answer'
import type { JobId } from '@/core/ids'
import type { DayOffered } from '@/core/planning'
import type { Region } from '@/core/region'
import { isLocalDay } from '@/core/time'
import { bookRepair, daysForRepair } from '@/server/aftercare/visit-actions'
import { duration, money } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { reach, useAction } from '@/ui/use-action'
import { BookingDialog } from './booking-dialog'
import { DayChoice } from './day-choice'

type Props = {
  visitId: JobId
  panels: readonly { id: string; name: string }[]
  standsForAll: boolean
  region: Region
  today: string
}

/** Plans the repair into the schedule: which panels, who pays, and on which day. */
export function BookRepair({ visitId, panels, standsForAll, region, today }: Props) {
  const [open, setOpen] = useState(false)
  const [chosen, setChosen] = useState<readonly string[]>(panels.map(({ id }) => id))
  const [onGuarantee, setOnGuarantee] = useState(standsForAll)
  const [from, setFrom] = useState(today)
  const [found, setFound] = useState<Given<typeof daysForRepair> | { message: string }>()
  const [day, setDay] = useState<DayOffered>()
  const { run, pending, refusal, clear } = useAction()
  const search = async (wanted: { panels: readonly string[]; onGuarantee: boolean; from: string }) => {
    setChosen(wanted.panels)
    setOnGuarantee(wanted.onGuarantee)
    setFrom(wanted.from)
    setFound(undefined)
    setDay(undefined)
    clear()
    if (!isLocalDay(wanted.from)) return
    const typed = { panels: [...wanted.panels], onGuarantee: wanted.onGuarantee }
    const answer = await reach(daysForRepair({ visitId, ...typed, from: wanted.from }))
    setFound(answer.ok ? answer.value : answer)
    if (answer.ok) setDay(answer.value.days[0])
  }
  const now = { panels: chosen, onGuarantee, from }
  return (
    <BookingDialog
      title="Recoat the failed panels"
      trigger={<Button>Plan the repair</Button>}
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        if (next) void search(now)
      }}
      refusal={refusal}
      pending={pending}
      ready={day !== undefined}
      onBook={() =>
        run(bookRepair, { visitId, panels: [...chosen], onGuarantee, day: day!.day }, () => setOpen(false))
      }
    >
      <fieldset>
        <legend className="mb-1 font-head text-sm font-semibold">Panels</legend>
        <div className="flex flex-wrap gap-1.5">
          {panels.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={chosen.includes(id)}
              onClick={() =>
                void search({
                  ...now,
                  panels: chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id],
                })
              }
              className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 aria-pressed:border-fern aria-pressed:bg-fern aria-pressed:text-on-fern"
            >
              {name}
            </button>
          ))}
        </div>
      </fieldset>
      <Choice
        label="Who pays"
        options={[
          { value: 'shop', name: 'We do, on guarantee' },
          { value: 'owner', name: 'The owner' },
        ]}
        value={onGuarantee ? 'shop' : 'owner'}
        onChange={(who) => void search({ ...now, onGuarantee: who === 'shop' })}
      />
      {onGuarantee && !standsForAll && (
        <p className="text-copper">
          The guarantee does not cover this. You can still choose to do it free of charge.
        </p>
      )}
      {found && !('message' in found) && (
        <p>
          {found.steps.join(' · ')}. {duration(region, found.minutes)} of work,{' '}
          <strong>{onGuarantee ? 'nothing to pay' : money(region, found.totalCents)}</strong>.
        </p>
      )}
      <Field label="From">
        <DayInput value={from} onChange={(wanted) => void search({ ...now, from: wanted })} />
      </Field>
      <DayChoice found={found} from={from} chosen={day} onChoose={setDay} />
    </BookingDialog>
  )
}

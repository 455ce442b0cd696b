'use client'

import { useState } from 'react'
import type { Given } from '@/core/answer'
import type { VehicleId } from '@/core/ids'
import type { DayOffered } from '@/core/planning'
import type { Region } from '@/core/region'
import { isLocalDay, type LocalDay } from '@/core/time'
import { bookVisit, daysForVisit } from '@/server/aftercare/visit-actions'
import { money } from '@/text/formats'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { reach, useAction } from '@/ui/use-action'
import { BookingDialog } from './booking-dialog'
import { DayChoice } from './day-choice'

type Props = { vehicleId: VehicleId; plate: string; from: LocalDay; region: Region }

/** Takes a visit into the schedule: the days on which it fits, and one of them chosen. */
export function BookVisit({ vehicleId, plate, from, region }: Props) {
  const [open, setOpen] = useState(false)
  const [start, setStart] = useState<string>(from)
  const [found, setFound] = useState<Given<typeof daysForVisit> | { message: string }>()
  const [day, setDay] = useState<DayOffered>()
  const [words, setWords] = useState('')
  const { run, pending, refusal, clear } = useAction()
  const search = async (wanted: string) => {
    setStart(wanted)
    setFound(undefined)
    setDay(undefined)
    clear()
    if (!isLocalDay(wanted)) return
    const answer = await reach(daysForVisit({ vehicleId, from: wanted }))
    setFound(answer.ok ? answer.value : answer)
    if (answer.ok) setDay(answer.value.days[0])
  }
  return (
    <BookingDialog
      title={`A visit for ${plate}`}
      trigger={<Button look="outline">Book a visit</Button>}
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        if (next) void search(from)
      }}
      refusal={refusal}
      pending={pending}
      ready={day !== undefined}
      onBook={() => run(bookVisit, { vehicleId, day: day!.day, words }, () => setOpen(false))}
    >
      <Field label="From">
        <DayInput value={start} onChange={(wanted) => void search(wanted)} />
      </Field>
      <DayChoice found={found} from={start} chosen={day} onChoose={setDay} />
      <Field label="What the owner says (optional)">
        <input className="field" value={words} onChange={(event) => setWords(event.target.value)} />
      </Field>
      {found && !('message' in found) && (
        <p>
          Wash, decontamination, every panel inspected, fresh topper:{' '}
          <strong>{money(region, found.totalCents)}</strong>.
        </p>
      )}
    </BookingDialog>
  )
}

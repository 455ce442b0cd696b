'use client'

import { RadioGroup } from 'radix-ui'
import type { DayOffered } from '@/core/planning'
import type { Region } from '@/core/region'
import { dayIn, type LocalDay } from '@/core/time'
import { clock, paperDay, screenDay } from '@/text/formats'

type Props = {
  found: { days: DayOffered[]; region: Region; plannedUntil: LocalDay } | { message: string } | undefined
  chosen: DayOffered | undefined
  /** The day from which one was asked for. */
  from: string
  onChoose: (day: DayOffered) => void
}

/** With its day, unless that is the day it comes: “tomorrow” would be one of two days here. */
function collected(region: Region, { day, collectAt }: DayOffered): string {
  const until = dayIn(region.timezone, collectAt)
  const at = clock(region, collectAt)
  return until === day ? at : `${screenDay(region, until, day)}, ${at}`
}

/** Days on which a short job fits without moving anybody, each with the hour at which the car can be fetched. */
export function DayChoice({ found, chosen, from, onChoose }: Props) {
  if (!found) return <p role="status">Finding free days…</p>
  if ('message' in found)
    return (
      <p role="alert" className="font-semibold text-copper">
        {found.message}
      </p>
    )
  if (found.days.length === 0)
    return (
      <p role="alert" className="font-semibold text-copper">
        {from > found.plannedUntil
          ? `The schedule is planned until ${paperDay(found.region, found.plannedUntil)}. Choose a day before that; until then the car stays on this list.`
          : 'There is no room on the next twelve days. Choose a later day, or move something on the schedule.'}
      </p>
    )
  return (
    <RadioGroup.Root
      aria-label="Day"
      className="grid gap-2 sm:grid-cols-2"
      value={chosen?.day ?? ''}
      onValueChange={(value) => onChoose(found.days.find(({ day }) => day === value)!)}
    >
      {found.days.map((offered) => (
        <RadioGroup.Item
          key={offered.day}
          value={offered.day}
          className="min-h-14 rounded border border-ink-soft/45 bg-sheet px-3 py-2 text-left hover:bg-lichen data-[state=checked]:border-fern data-[state=checked]:bg-fern data-[state=checked]:text-on-fern"
        >
          <span className="block font-head font-semibold">{paperDay(found.region, offered.day)}</span>
          <span className="text-sm">
            in at {clock(found.region, offered.arriveAt)}, collected {collected(found.region, offered)}
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  )
}

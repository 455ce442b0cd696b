import type { Region } from '@/core/region'
import { atLocal, dayIn, type Instant, type LocalDay, minutesBetween, plusDays, weekdayOf } from '@/core/time'

/** Where moments lie on a drawn schedule: whole days from one midnight, a fixed width for an hour. */
export type Timeline = { region: Region; from: Instant; days: LocalDay[]; pxPerHour: number }

/** How much of the calendar is drawn at once. */
export const SPANS = {
  day: { name: 'Day', days: 2, pxPerHour: 40 },
  week: { name: 'Week', days: 7, pxPerHour: 13 },
  fortnight: { name: 'Two weeks', days: 14, pxPerHour: 9 },
  month: { name: 'Month', days: 31, pxPerHour: 1.5 },
} as const
export type Span = keyof typeof SPANS
export const isSpan = (text: unknown): text is Span => typeof text === 'string' && Object.hasOwn(SPANS, text)

/** Below this an hour is too narrow for single steps; the stays alone are drawn. */
export const PX_PER_HOUR_FOR_STEPS = 6

export function timelineFrom(region: Region, at: Instant, days: number, pxPerHour: number): Timeline {
  return timelineOn(region, dayIn(region.timezone, at), days, pxPerHour)
}

export function timelineOn(region: Region, first: LocalDay, days: number, pxPerHour: number): Timeline {
  return {
    region,
    from: atLocal(region.timezone, first, '00:00'),
    days: Array.from({ length: days }, (_, index) => plusDays(first, index)),
    pxPerHour,
  }
}

export function xOf(timeline: Timeline, at: Instant): number {
  return (minutesBetween(timeline.from, at) / 60) * timeline.pxPerHour
}

export function endOf(timeline: Timeline): Instant {
  return atLocal(timeline.region.timezone, timeline.days.at(-1)!, '24:00')
}

export function widthOf(timeline: Timeline): number {
  return xOf(timeline, endOf(timeline))
}

/** The dark of each night and the whole of closed days, as stretches to shade. */
export function nights(
  timeline: Timeline,
  opens: string,
  closes: string,
  closedDays: readonly string[],
): { from: Instant; to: Instant }[] {
  return timeline.days.flatMap((day) => {
    const at = (clock: string) => atLocal(timeline.region.timezone, day, clock)
    if (closedDays.includes(weekdayOf(day))) return [{ from: at('00:00'), to: at('24:00') }]
    return [
      { from: at('00:00'), to: at(opens) },
      { from: at(closes), to: at('24:00') },
    ]
  })
}

export function within(timeline: Timeline, from: Instant, to: Instant): boolean {
  return to > timeline.from && from < endOf(timeline)
}

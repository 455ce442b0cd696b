import { z } from 'zod'
import { ask } from '../asks'
import type { ProblemCalendar } from '../schedule'
import { WEEKDAYS, type Weekday } from '../time'
import { checkedVendor, vendorShape } from './vendor'

/** The days on which somebody from outside comes, as a shop says it: some weekdays, from one hour to another. */

const hour = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/, ask('an-hour'))

export const vendorDaysSchema = z
  .strictObject({
    days: z.array(z.enum(WEEKDAYS)).min(1, ask('subcontractor-day')),
    from: hour,
    to: hour,
  })
  .refine(({ from, to }) => from < to, { path: ['to'], message: ask('subcontractor-goes') })
export type VendorDays = z.infer<typeof vendorDaysSchema>

/** A subcontractor as a shop types them: with their days in place of a calendar. */
export const vendorWhenSchema = checkedVendor(
  vendorShape.omit({ calendar: true }).extend({ when: vendorDaysSchema }),
)

/** Monday first, as a week is read. */
export const WEEK: readonly Weekday[] = [...WEEKDAYS.slice(1), WEEKDAYS[0]]

export function calendarOfDays({ days, from, to }: VendorDays): ProblemCalendar {
  return { weekly: Object.fromEntries(days.map((day) => [day, [[from, to]]])) } as ProblemCalendar
}

/** The days of a calendar and its earliest and latest hour. Breaks and exceptions are not told here. */
export function daysOfCalendar(calendar: ProblemCalendar): VendorDays {
  if ('always' in calendar) return { days: [...WEEK], from: '00:00', to: '24:00' }
  const days = WEEK.filter((day) => (calendar.weekly[day] ?? []).length > 0)
  const hours = days.flatMap((day) => calendar.weekly[day] ?? [])
  return {
    days,
    from: hours.map(([from]) => from).sort()[0] ?? '09:00',
    to:
      hours
        .map(([, to]) => to)
        .sort()
        .at(-1) ?? '17:00',
  }
}

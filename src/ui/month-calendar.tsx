'use client'

import { DayPicker } from 'react-day-picker'
import type { Region } from '@/core/region'
import { type LocalDay, localDayOrThrow } from '@/core/time'
import { fieldWords } from '@/text/fields'
import { fieldDay, monthHeading, weekdayName } from '@/text/formats'
import { firstWeekday } from '@/text/typed-time'

/** The picker counts in days of the browser; only their names are used, never their moments. */
const dateOf = (day: LocalDay) => {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  return new Date(year, month - 1, date)
}
const dayOf = (date: Date): LocalDay => {
  const part = (value: number) => String(value).padStart(2, '0')
  return localDayOrThrow(`${date.getFullYear()}-${part(date.getMonth() + 1)}-${part(date.getDate())}`)
}

type Props = {
  region: Region
  today: LocalDay
  day: LocalDay | undefined
  min: LocalDay | undefined
  max: LocalDay | undefined
  onChoose: (day: LocalDay) => void
}

const SQUARE = 'h-11 w-11 rounded text-center'

/** A month with its days, by finger and by arrow keys. */
export function MonthCalendar({ region, today, day, min, max, onChoose }: Props) {
  const words = fieldWords(region)
  const outside = [...(min ? [{ before: dateOf(min) }] : []), ...(max ? [{ after: dateOf(max) }] : [])]
  return (
    <DayPicker
      mode="single"
      autoFocus
      today={dateOf(today)}
      defaultMonth={dateOf(day ?? today)}
      selected={day && dateOf(day)}
      onSelect={(chosen) => chosen && onChoose(dayOf(chosen))}
      disabled={outside}
      weekStartsOn={firstWeekday(region)}
      formatters={{
        formatCaption: (month) => monthHeading(region, dayOf(month)),
        formatWeekdayName: (weekday) => weekdayName(region, dayOf(weekday)),
      }}
      labels={{
        labelDayButton: (date, { today: isToday, selected }) =>
          [fieldDay(region, dayOf(date)), isToday ? words.today : '', selected ? words.chosen : '']
            .filter(Boolean)
            .join(', '),
        labelNext: () => words.nextMonth,
        labelPrevious: () => words.previousMonth,
      }}
      classNames={{
        months: 'relative',
        month_caption: 'flex h-11 items-center justify-center font-head font-semibold',
        nav: 'absolute inset-x-0 top-0 flex justify-between',
        button_previous: `${SQUARE} grid place-items-center hover:bg-lichen disabled:opacity-40`,
        button_next: `${SQUARE} grid place-items-center hover:bg-lichen disabled:opacity-40`,
        chevron: 'h-4 w-4 fill-current',
        month_grid: 'border-collapse',
        weekday: 'h-8 w-11 text-sm font-normal text-ink-soft',
        day: 'p-0',
        day_button: `${SQUARE} hover:bg-lichen disabled:opacity-35`,
        today: 'font-bold underline underline-offset-4',
        selected: '[&>button]:bg-fern [&>button]:text-on-fern',
        outside: 'opacity-50',
      }}
    />
  )
}

'use client'

import { Popover } from 'radix-ui'
import { type ComponentProps, useState } from 'react'
import { isLocalDay, type LocalDay, localDayOrThrow } from '@/core/time'
import { fieldWords } from '@/text/fields'
import { fieldDay, shortDay } from '@/text/formats'
import { readDay } from '@/text/typed-time'
import { later } from './later'
import { useRegion, useToday } from './region'

// Seldom opened, and heavy: typing a day needs nothing of it.
const MonthCalendar = later(() => import('./month-calendar').then(({ MonthCalendar: calendar }) => calendar))

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'min' | 'max' | 'type'> & {
  /** `YYYY-MM-DD`, or what was typed and is no day. */
  value: string
  onChange: (day: string) => void
  min?: LocalDay | undefined
  max?: LocalDay | undefined
}

/**
 * A day, typed as the shop’s locale writes it or chosen from a calendar. What was read stands below while one types, with the month
 * as a word, so that nobody has to trust the order of two numbers.
 */
export function DayInput({ value, onChange, min, max, onBlur, className = '', ...rest }: Props) {
  const [region, today] = [useRegion(), useToday()]
  const [draft, setDraft] = useState<string>()
  const [open, setOpen] = useState(false)
  const day = isLocalDay(value) ? localDayOrThrow(value) : undefined
  const shown = day ? fieldDay(region, day) : value
  const type = (text: string) => {
    setDraft(text)
    onChange(readDay(region, text, today) ?? text)
  }
  return (
    <div className={className}>
      <div className="relative">
        <input
          {...rest}
          className="field pr-12"
          inputMode="text"
          autoComplete="off"
          placeholder={shortDay(region, today)}
          value={draft ?? shown}
          onChange={({ target }) => type(target.value)}
          onBlur={(event) => {
            setDraft(undefined)
            onBlur?.(event)
          }}
        />
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            aria-label={fieldWords(region).openCalendar}
            className="absolute inset-y-0 right-0 grid w-11 place-items-center text-ink-soft hover:text-ink"
          >
            <CalendarSign />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={4}
              className="z-40 rounded border border-line bg-sheet p-3 shadow-lg"
            >
              <MonthCalendar
                region={region}
                today={today}
                day={day}
                min={min}
                max={max}
                onChoose={(chosen) => {
                  setDraft(undefined)
                  onChange(chosen)
                  setOpen(false)
                }}
              />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
        <p
          aria-live="polite"
          className="absolute top-full left-0 z-10 mt-1 rounded bg-sheet px-2 text-sm shadow empty:hidden"
        >
          {draft !== undefined && day && draft !== shown ? shown : ''}
        </p>
      </div>
    </div>
  )
}

function CalendarSign() {
  return (
    <svg viewBox="0 0 20 20" className="h-5 w-5" fill="none" stroke="currentColor" aria-hidden="true">
      <path d="M3 5h14v12H3zM3 9h14M7 3v4M13 3v4" strokeWidth={1.5} strokeLinecap="round" />
      <path d="M6 12h2M9 12h2M12 12h2M6 14.5h2M9 14.5h2" strokeWidth={1.2} />
    </svg>
  )
}

'use client'

import { type ComponentProps, useState } from 'react'
import { keptHours, shownHours } from '@/text/typed-hours'
import { useRegion } from './region'

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'type'> & {
  /** `07:00–11:30, 12:00–15:30`, or what was typed and cannot be read; empty for none. */
  value: string
  onChange: (hours: string) => void
}

/** The hours of a day in one field, typed as anybody types times, shown on the shop’s clock. */
export function HoursInput({ value, onChange, className = '', ...rest }: Props) {
  const region = useRegion()
  const [draft, setDraft] = useState<string>()
  return (
    <input
      {...rest}
      className={`field tabular-nums ${className}`}
      autoComplete="off"
      value={draft ?? shownHours(region, value)}
      onChange={({ target }) => {
        setDraft(target.value)
        onChange(keptHours(target.value))
      }}
      onBlur={() => setDraft(undefined)}
    />
  )
}

'use client'

import { type ComponentProps, useState } from 'react'
import { isClock } from '@/core/time'
import { timeText } from '@/text/formats'
import { readTime } from '@/text/typed-time'
import { useRegion } from './region'

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'type'> & {
  /** `HH:MM`, or what was typed and is no time. */
  value: string
  onChange: (time: string) => void
}

/** A time of day, typed as anybody types one, shown on the shop’s clock. */
export function TimeInput({ value, onChange, className = '', ...rest }: Props) {
  const region = useRegion()
  const [draft, setDraft] = useState<string>()
  return (
    <input
      {...rest}
      className={`field ${className}`}
      inputMode="text"
      autoComplete="off"
      placeholder={timeText(region, '13:30')}
      value={draft ?? (isClock(value) ? timeText(region, value) : value)}
      onChange={({ target }) => {
        setDraft(target.value)
        onChange(readTime(target.value) ?? target.value)
      }}
      onBlur={() => setDraft(undefined)}
    />
  )
}

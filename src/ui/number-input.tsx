'use client'

import { type ComponentProps, useState } from 'react'
import type { Quantity } from '@/core/region'
import { fieldText, MOST_DECIMALS, type NumberText, numberText, readNumber, shownNumber } from '@/text/typed'
import { Button } from './button'
import { useRegion } from './region'

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'type'> & {
  value: NumberText
  onChange: (value: NumberText) => void
  /** What it counts, where it is shown in a unit of the shop’s. */
  quantity?: Quantity
  /** Whole numbers only: a sign before three digits parts thousands. */
  whole?: boolean
}

/**
 * A number as the shop’s locale and units write it. One that two readers would read differently is asked about at once, with both
 * meanings to choose from.
 */
export function NumberInput(props: Props) {
  const { value, onChange, quantity, whole = false, onBlur, className = '', ...rest } = props
  const region = useRegion()
  const [draft, setDraft] = useState<string>()
  const kind = quantity ? { quantity, whole } : { whole }
  const text = draft ?? shownNumber(region, value, kind)
  const take = (typed: string) => {
    setDraft(typed)
    onChange(numberText(region, typed, kind))
  }
  const typed = readNumber(region, text, kind)
  return (
    <>
      <input
        {...rest}
        className={`field ${className}`}
        inputMode={whole ? 'numeric' : 'decimal'}
        autoComplete="off"
        value={text}
        onChange={({ target }) => take(target.value)}
        onBlur={(event) => {
          setDraft(undefined)
          onBlur?.(event)
        }}
      />
      {typed.kind === 'ambiguous' && (
        <div role="alert" className="mt-1 flex flex-wrap items-center gap-2 text-sm font-semibold">
          Which number is “{text}”?
          {[typed.large, typed.small].map((meant) => (
            <Button key={meant} look="outline" onClick={() => take(fieldText(region, meant, MOST_DECIMALS))}>
              {fieldText(region, meant, MOST_DECIMALS)}
            </Button>
          ))}
        </div>
      )}
    </>
  )
}

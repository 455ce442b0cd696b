'use client'

import { type ComponentProps, useState } from 'react'
import { type Quantity, type Region, shown } from '@/core/region'
import {
  fieldText,
  type NumberText,
  readNumber,
  readQuantity,
  type TypedNumber,
  unread,
  unreadText,
} from '@/text/typed'
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

/** Decimals of a quantity that was converted; one that was not shows as many as it has. */
const CONVERTED_DECIMALS = 2
const MOST_DECIMALS = 6

/** What stands in the field for a value nobody is typing just now. */
function fieldOf(region: Region, { value, quantity, whole }: Props): string {
  const typed = unreadText(value)
  if (typed !== undefined || value.trim() === '') return typed ?? ''
  const number = Number(value)
  if (Number.isNaN(number)) return value
  if (whole)
    return fieldText(region, Math.round(quantity ? shown(region.units, quantity, number) : number), 0)
  const fixed = value.split('.')[1]?.length ?? 0
  const inUnit = quantity ? shown(region.units, quantity, number) : number
  return inUnit === number
    ? fieldText(region, number, MOST_DECIMALS, fixed)
    : fieldText(region, inUnit, CONVERTED_DECIMALS)
}

function passedOn(typed: TypedNumber, text: string, whole: boolean): NumberText {
  if (typed.kind === 'empty') return ''
  if (typed.kind !== 'number') return unread(text)
  return String(whole ? Math.round(typed.value) : Number(typed.value.toFixed(MOST_DECIMALS)))
}

/**
 * A number as the shop’s locale and units write it. One that two readers would read differently is asked about at once, with both
 * meanings to choose from.
 */
export function NumberInput(props: Props) {
  const { value, onChange, quantity, whole = false, onBlur, className = '', ...rest } = props
  const region = useRegion()
  const [draft, setDraft] = useState<string>()
  const text = draft ?? fieldOf(region, props)
  const read = (typed: string) =>
    quantity ? readQuantity(region, quantity, typed, { whole }) : readNumber(region, typed, { whole })
  const take = (typed: string) => {
    setDraft(typed)
    onChange(passedOn(read(typed), typed, whole))
  }
  const typed = read(text)
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

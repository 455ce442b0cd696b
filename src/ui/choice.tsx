'use client'

import { RadioGroup } from 'radix-ui'
import { useId } from 'react'

type Props<T extends string | number> = {
  label: string
  options: readonly { value: T; name: string }[]
  value: T | undefined
  onChange: (value: T) => void
}

/** One of a few, as buttons a wet glove can hit. */
export function Choice<T extends string | number>({ label, options, value, onChange }: Props<T>) {
  const id = useId()
  return (
    <div>
      <p id={id} className="mb-1 font-head text-sm font-semibold">
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        className="flex flex-wrap gap-1.5"
        value={value === undefined ? '' : String(value)}
        onValueChange={(chosen) => {
          const option = options.find((each) => String(each.value) === chosen)
          if (option) onChange(option.value)
        }}
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={String(option.value)}
            className="min-h-11 min-w-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen data-[state=checked]:border-fern data-[state=checked]:bg-fern data-[state=checked]:text-on-fern"
          >
            {option.name}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  )
}

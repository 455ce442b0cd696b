'use client'

import { useId } from 'react'

type Props<T extends string | number> = {
  label: string
  options: readonly { value: T; name: string }[]
  value: T | undefined
  onChange: (value: T) => void
}

/**
 * One of a few, as buttons a wet glove can hit. The browser's own radio buttons lie over them: arrows, groups and forms come with
 * them, and they bring no script to the car.
 */
export function Choice<T extends string | number>({ label, options, value, onChange }: Props<T>) {
  const id = useId()
  return (
    <div role="radiogroup" aria-labelledby={id}>
      <p id={id} className="mb-1 font-head text-sm font-semibold">
        {label}
      </p>
      <div className="flex flex-wrap gap-1.5">
        {options.map((option) => (
          <label
            key={option.value}
            className="relative flex min-h-11 min-w-11 items-center justify-center rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen has-checked:border-fern has-checked:bg-fern has-checked:text-on-fern has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-fern"
          >
            <input
              type="radio"
              name={id}
              className="absolute inset-0 size-full cursor-pointer appearance-none opacity-0"
              checked={option.value === value}
              onChange={() => onChange(option.value)}
            />
            {option.name}
          </label>
        ))}
      </div>
    </div>
  )
}

'use client'

import { useEffect, useState } from 'react'
import type { Region } from '@/core/region'
import type { LocalDay } from '@/core/time'
import { paperDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'

type Area = { code: string; name: string }
type Holiday = { day: LocalDay; name: string }
type Found = { states: readonly Area[]; days: readonly Holiday[] }

/** The country a locale is written in. */
const countryOf = ({ locale }: Region) => new Intl.Locale(locale).maximize().region ?? 'IE'

type Props = {
  countries: readonly Area[]
  closed: readonly string[]
  onChange: (closed: string[]) => void
}

/** The public holidays of the next two years, to be closed all together or one by one. */
export function HolidayList({ countries, closed, onChange }: Props) {
  const region = useRegion()
  const [area, setArea] = useState({ country: countryOf(region), state: '' })
  const [found, setFound] = useState<Found>()
  const [isOpen, setIsOpen] = useState(false)
  useEffect(() => {
    if (!isOpen) return
    const left = new AbortController()
    fetch(`/api/holidays?${new URLSearchParams(area)}`, { signal: left.signal })
      .then((answer) => (answer.ok ? answer.json() : undefined))
      .then(setFound)
      .catch(() => undefined)
    return () => left.abort()
  }, [area, isOpen])
  const days = found?.days ?? []
  const open = days.filter(({ day }) => !closed.includes(day))
  const close = (more: readonly Holiday[]) => onChange([...closed, ...more.map(({ day }) => day)].toSorted())
  return (
    <details className="sheet p-4" onToggle={({ currentTarget }) => setIsOpen(currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer content-center font-head font-semibold">
        Public holidays of the next two years
      </summary>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Field label="Holidays of">
          <select
            className="field"
            value={area.country}
            onChange={({ target }) => setArea({ country: target.value, state: '' })}
          >
            {countries.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        {found && found.states.length > 0 && (
          <Field label="State or region">
            <select
              className="field"
              value={area.state}
              onChange={({ target }) => setArea({ ...area, state: target.value })}
            >
              <option value="">The whole country</option>
              {found.states.map(({ code, name }) => (
                <option key={code} value={code}>
                  {name}
                </option>
              ))}
            </select>
          </Field>
        )}
        <Button look="outline" disabled={open.length === 0} onClick={() => close(open)}>
          Close on all of them
        </Button>
      </div>
      <ul className="mt-3 grid gap-x-6 sm:grid-cols-2" aria-label="Public holidays">
        {days.map((holiday) => (
          <li key={holiday.day}>
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0 accent-fern"
                checked={closed.includes(holiday.day)}
                onChange={({ target }) =>
                  target.checked ? close([holiday]) : onChange(closed.filter((day) => day !== holiday.day))
                }
              />
              <span>
                {holiday.name} <span className="text-ink-soft">{paperDay(region, holiday.day)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </details>
  )
}

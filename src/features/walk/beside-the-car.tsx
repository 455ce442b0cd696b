'use client'

import clsx from 'clsx'
import type { Job } from '@/core/job'
import { EASILY_MISSED } from '@/core/survey'
import { EASILY_MISSED_WORDS } from '@/text/en/easily-missed'
import { measured, percent } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** Places that are easily missed, ticked off as they are looked at. */
export function Missed({
  looked,
  readOnly,
  onChange,
}: {
  looked: readonly string[]
  readOnly: boolean
  onChange: (looked: string[]) => void
}) {
  const region = useRegion()
  return (
    <section className="sheet p-4" aria-label="Easily missed">
      <h2 className="flex items-baseline justify-between text-lg">
        Easily missed
        <span className="text-sm font-normal text-ink-soft">
          {looked.length} of {EASILY_MISSED.length} checked
        </span>
      </h2>
      <ul className="mt-1 gap-x-6 lg:columns-2">
        {EASILY_MISSED.map((id) => {
          const { name, look } = EASILY_MISSED_WORDS[id](region)
          const done = looked.includes(id)
          return (
            <li key={id}>
              <label className="flex min-h-11 items-center gap-3 text-[15px]">
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-fern"
                  disabled={readOnly}
                  checked={done}
                  onChange={() => onChange(done ? looked.filter((each) => each !== id) : [...looked, id])}
                />
                <span className={clsx(done && 'text-ink-soft')}>
                  {name}
                  <span className="ml-2 text-sm text-ink-soft">{look}</span>
                </span>
              </label>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** How it stood here when it came in, as written at the intake. */
export function Belongings({ job }: { job: Job }) {
  const region = useRegion()
  const rows = [
    ['Odometer', job.odometerKm === undefined ? '' : measured(region, 'distance', job.odometerKm)],
    ['Fuel or charge', job.fuelPercent === undefined ? '' : percent(region, job.fuelPercent)],
    ['Keys', job.keys],
    ['Left inside', job.belongings],
    ['Faults on arrival', job.warnings],
  ].filter(([, text]) => text)
  if (rows.length === 0) return null
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 px-4 text-[15px]">
      {rows.map(([name, text]) => (
        <div key={name} className="contents">
          <dt className="text-ink-soft">{name}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  )
}

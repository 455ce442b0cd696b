'use client'

import { useState } from 'react'
import type { Setup } from '@/core/shop'
import { saveTimes } from '@/server/messages/message-actions'
import { monthName } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { TimeInput } from '@/ui/time-input'
import { useAction } from '@/ui/use-action'

const MONTHS = Array.from({ length: 12 }, (_, at) => at + 1)

type Props = Pick<Setup, 'quiet' | 'climate'> & { version: number }

/** When nobody is written to, and the seasons in which everybody is. */
export function TimesForm({ quiet: keptQuiet, climate: keptClimate, version: readAt }: Props) {
  const [quiet, setQuiet] = useState(keptQuiet)
  const [climate, setClimate] = useState(keptClimate)
  const [version, setVersion] = useState(readAt)
  const { run, pending, refusal, isDone, errorAt: error } = useAction()
  const typed = { quiet, climate }
  const changed = JSON.stringify(typed) !== JSON.stringify({ quiet: keptQuiet, climate: keptClimate })
  return (
    <section className="mt-12 border-t border-line pt-6">
      <h2 className="text-2xl">Quiet hours and seasons</h2>
      <p className="mt-1 max-w-prose text-ink-soft">
        Nobody’s telephone rings at night for a wash. What is due in the quiet hours waits for their end.
      </p>
      <div className="mt-4 grid gap-4 sm:grid-cols-3">
        <Field label="Quiet from" {...error('quiet.from')}>
          <TimeInput value={quiet.from} onChange={(from) => setQuiet({ ...quiet, from })} />
        </Field>
        <Field label="Quiet until" {...error('quiet.until')}>
          <TimeInput value={quiet.until} onChange={(until) => setQuiet({ ...quiet, until })} />
        </Field>
        <Choice
          label="Sundays"
          options={[
            { value: 'quiet', name: 'Quiet all day' },
            { value: 'open', name: 'As other days' },
          ]}
          value={quiet.sundays ? 'quiet' : 'open'}
          onChange={(sundays) => setQuiet({ ...quiet, sundays: sundays === 'quiet' })}
        />
      </div>
      <p className="mt-6 max-w-prose text-ink-soft">
        In the first three weeks of a season a message about it is proposed for every car whose coating still
        holds. The care calendar has iron and tar taken off after the salt and, by the sea, before it as well.
      </p>
      <div className="mt-3 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <Months
          label="Frost and salt"
          span={climate.frost}
          onChange={(frost) => setClimate({ ...climate, frost })}
        />
        <Months
          label="Pollen"
          span={climate.pollen}
          onChange={(pollen) => setClimate({ ...climate, pollen })}
        />
        <Choice
          label="The air here"
          options={[
            { value: 'sea', name: 'Salt from the sea' },
            { value: 'inland', name: 'Inland' },
          ]}
          value={climate.seaAir ? 'sea' : 'inland'}
          onChange={(air) => setClimate({ ...climate, seaAir: air === 'sea' })}
        />
      </div>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button
          disabled={pending}
          onClick={() => run(saveTimes, { version, ...typed }, (kept) => setVersion(kept.version))}
        >
          Save times
        </Button>
        {isDone && !changed && <p role="status">Saved.</p>}
        {refusal?.field === '' && (
          <p role="alert" className="text-copper">
            {refusal.message}
          </p>
        )}
      </div>
    </section>
  )
}

type Span = { from: number; to: number }

/** A season, by its first and last month. */
function Months({ label, span, onChange }: { label: string; span: Span; onChange: (span: Span) => void }) {
  const region = useRegion()
  const select = (end: keyof Span, name: string) => (
    <select
      className="field"
      aria-label={`${label}, ${name}`}
      value={span[end]}
      onChange={(event) => onChange({ ...span, [end]: Number(event.target.value) })}
    >
      {MONTHS.map((month) => (
        <option key={month} value={month}>
          {monthName(region, month)}
        </option>
      ))}
    </select>
  )
  return (
    <fieldset>
      <legend className="mb-1 font-head text-sm font-semibold">{label}</legend>
      <div className="flex items-center gap-2">
        {select('from', 'first month')}
        <span>to</span>
        {select('to', 'last month')}
      </div>
    </fieldset>
  )
}

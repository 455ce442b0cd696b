'use client'

import { TRADES, type Trade, VENDOR_STAGES, type VendorStage, WEEK } from '@/core/offer'
import type { Region } from '@/core/region'
import type { Weekday } from '@/core/time'
import { tradeName } from '@/text/en/step-names'
import { VENDOR_STAGE_NAME } from '@/text/en/steps'
import { currencySign } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { TimeInput } from '@/ui/time-input'
import type { TypedVendor } from './typed-prices'

type Props = {
  vendor: TypedVendor
  region: Region
  error: (field: string) => string | undefined
  onChange: (vendor: TypedVendor) => void
  onRemove: () => void
}

const WHERE: { value: TypedVendor['away']; name: string }[] = [
  { value: 'here', name: 'They come here' },
  { value: 'car', name: 'The car goes there' },
  { value: 'piece', name: 'A piece goes there' },
]

const DAY_NAME: Record<Weekday, string> = {
  mon: 'Mon',
  tue: 'Tue',
  wed: 'Wed',
  thu: 'Thu',
  fri: 'Fri',
  sat: 'Sat',
  sun: 'Sun',
}

/** Somebody from outside: what they do and when in the job, for how long and how much, and on which days. */
export function VendorForm({ vendor, region, error, onChange, onRemove }: Props) {
  const set = (change: Partial<TypedVendor>) => onChange({ ...vendor, ...change })
  const { when } = vendor
  const isAway = vendor.away !== 'here'
  return (
    <fieldset className="sheet space-y-3 p-4">
      <legend className="sr-only">{vendor.name || 'New subcontractor'}</legend>
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Name" error={error('name')}>
          <input
            className="field"
            autoComplete="off"
            value={vendor.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Field>
        <Field label="What they do">
          <select
            className="field"
            value={vendor.trade}
            onChange={(event) => set({ trade: event.target.value as Trade })}
          >
            {TRADES.map((trade) => (
              <option key={trade} value={trade}>
                {tradeName(trade)}
              </option>
            ))}
          </select>
        </Field>
        <Field label="When in the job">
          <select
            className="field"
            value={vendor.stage}
            onChange={(event) => set({ stage: event.target.value as VendorStage })}
          >
            {VENDOR_STAGES.map((stage) => (
              <option key={stage} value={stage}>
                {VENDOR_STAGE_NAME[stage]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      {vendor.trade === 'film' && vendor.stage === 'after-coating' && (
        <p className="border-l-4 border-copper bg-copper-soft px-3 py-1 text-[15px]">
          Film does not stick to a coating. Film first, on bare (uncoated) paint; the coating goes over it.
        </p>
      )}
      <Choice
        label="Where it is done"
        options={WHERE}
        value={vendor.away}
        onChange={(away) => set({ away })}
      />
      {isAway && (
        <div className="grid gap-3 sm:grid-cols-4">
          <Field label="One way, minutes" error={error('away.travelMinutes')}>
            <NumberInput value={vendor.travel} onChange={(travel) => set({ travel })} />
          </Field>
          <Field label="At a time" error={error('away.atOnce')}>
            <NumberInput value={vendor.atOnce} onChange={(atOnce) => set({ atOnce })} />
          </Field>
        </div>
      )}
      <div className="grid gap-3 sm:grid-cols-4">
        <Field label={isAway ? 'Keeps it, hours' : 'Takes, hours'} error={error('minutes')}>
          <NumberInput value={vendor.hours} onChange={(hours) => set({ hours })} />
        </Field>
        <Field label={`Charges, ${currencySign(region)}`} error={error('cents')}>
          <NumberInput value={vendor.amount} onChange={(amount) => set({ amount })} />
        </Field>
        <Field label={isAway ? 'Opens at' : 'Comes at'} error={error('when.from')}>
          <TimeInput value={when.from} onChange={(from) => set({ when: { ...when, from } })} />
        </Field>
        <Field label={isAway ? 'Closes at' : 'Goes at'} error={error('when.to')}>
          <TimeInput value={when.to} onChange={(to) => set({ when: { ...when, to } })} />
        </Field>
      </div>
      <div>
        <p className="mb-1 font-head text-sm font-semibold">{isAway ? 'Open on' : 'Comes on'}</p>
        <div className="flex flex-wrap gap-1.5">
          {WEEK.map((day) => (
            <label
              key={day}
              className="flex min-h-11 items-center gap-2 rounded border border-ink-soft/45 bg-sheet px-3 has-checked:border-fern has-checked:bg-lichen"
            >
              <input
                type="checkbox"
                className="size-5 accent-fern"
                checked={when.days.includes(day)}
                onChange={(event) =>
                  set({
                    when: {
                      ...when,
                      days: event.target.checked
                        ? [...when.days, day]
                        : when.days.filter((each) => each !== day),
                    },
                  })
                }
              />
              {DAY_NAME[day]}
            </label>
          ))}
        </div>
        {error('when.days') && (
          <p role="alert" className="mt-1 text-sm font-semibold text-copper">
            {error('when.days')}
          </p>
        )}
      </div>
      <Button look="quiet" onClick={onRemove}>
        Remove
      </Button>
    </fieldset>
  )
}

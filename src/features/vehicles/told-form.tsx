'use client'

import { useState } from 'react'
import type { VehicleId } from '@/core/ids'
import type { Panel } from '@/core/vehicle'
import { tellRemoval } from '@/server/vehicles/ledger-actions'
import { unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

const BLANK = { day: '', removedUm: '', uncertaintyUm: '1', note: '' }

/** Enters what an owner or another shop tells: a correction nobody here has measured. */
export function ToldForm({ vehicleId, panels }: { vehicleId: VehicleId; panels: readonly Panel[] }) {
  const [chosen, setChosen] = useState<readonly string[]>([])
  const [typed, setTyped] = useState(BLANK)
  const { run, pending, refusal, isDone, clear } = useAction()
  const error = (field: string) => (refusal?.field === field ? refusal.message : undefined)
  const unit = unitSign(useRegion(), 'depth')
  const set = (field: keyof typeof BLANK) => (text: string) => {
    setTyped({ ...typed, [field]: text })
    clear()
  }
  const keep = () =>
    run(
      tellRemoval,
      {
        vehicleId,
        panels: [...chosen],
        day: typed.day,
        removedUm: numberOf(typed.removedUm),
        uncertaintyUm: numberOf(typed.uncertaintyUm),
        note: typed.note,
      },
      () => {
        setChosen([])
        setTyped(BLANK)
      },
    )
  return (
    <details className="mt-4">
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        Add earlier polishing reported by the customer
      </summary>
      <div className="mt-2 space-y-3 rounded bg-lichen/60 p-4">
        <fieldset>
          <legend className="mb-1 font-head text-sm font-semibold">Panels</legend>
          <div className="flex flex-wrap gap-1.5">
            {panels.map(({ id, name }) => (
              <button
                key={id}
                type="button"
                aria-pressed={chosen.includes(id)}
                className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-2.5 text-[15px] aria-pressed:border-fern aria-pressed:bg-fern aria-pressed:text-on-fern"
                onClick={() =>
                  setChosen(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id])
                }
              >
                {name}
              </button>
            ))}
          </div>
          {error('panels') && (
            <p role="alert" className="mt-1 text-sm font-semibold text-copper">
              {error('panels')}
            </p>
          )}
        </fieldset>
        <div className="grid gap-3 sm:grid-cols-3">
          <Field label="When" error={error('day')}>
            <DayInput value={typed.day} onChange={set('day')} />
          </Field>
          <Field label={`Taken, ${unit}`} error={error('removedUm')}>
            <NumberInput quantity="depth" value={typed.removedUm} onChange={set('removedUm')} />
          </Field>
          <Field label={`Give or take, ${unit}`} error={error('uncertaintyUm')}>
            <NumberInput quantity="depth" value={typed.uncertaintyUm} onChange={set('uncertaintyUm')} />
          </Field>
        </div>
        <Field label="Who says so, and what was done" error={error('note')}>
          <input className="field" value={typed.note} onChange={(event) => set('note')(event.target.value)} />
        </Field>
        <div className="flex items-center gap-3">
          <Button disabled={pending} onClick={keep}>
            Add entry
          </Button>
          {isDone && <p role="status">Saved.</p>}
          {refusal?.field === '' && (
            <p role="alert" className="text-copper">
              {refusal.message}
            </p>
          )}
        </div>
        <p className="text-sm text-ink-soft">
          Ledger entries cannot be changed. To correct one, add another entry and explain it in the note.
        </p>
      </div>
    </details>
  )
}

'use client'

import { useState } from 'react'
import type { TypedLife } from '@/core/aftercare/visit-told'
import type { JobId } from '@/core/ids'
import { STORAGES, WASHINGS } from '@/core/vehicle'
import { keepLife } from '@/server/aftercare/visit-actions'
import { STORAGE_NAME, WASHING_NAME } from '@/text/en/vehicle'
import { measured, unitSign } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

type Props = { jobId: JobId; life: TypedLife; lastKm?: number }

/** The short intake of a visit: what has changed in how the car lives since it was last here. */
export function VisitLife({ jobId, life, lastKm }: Props) {
  const region = useRegion()
  const [typed, setTyped] = useState(life)
  const { run, pending, refusal, isDone, clear } = useAction()
  const change = (changed: Partial<TypedLife>) => {
    setTyped({ ...typed, ...changed })
    clear()
  }
  return (
    <details className="mb-4">
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        What has changed since last time: odometer, garage, washing
      </summary>
      <div className="mt-2 space-y-3 rounded bg-lichen/60 p-4">
        <Field
          label={`Odometer, ${unitSign(region, 'distance')}`}
          {...(lastKm === undefined ? {} : { hint: `Last time ${measured(region, 'distance', lastKm)}.` })}
          {...(refusal?.field === 'odometerKm' ? { error: refusal.message } : {})}
        >
          <NumberInput
            quantity="distance"
            whole
            value={typed.odometerKm}
            onChange={(text) => change({ odometerKm: text })}
          />
        </Field>
        <Choice
          label="Sleeps"
          options={STORAGES.map((value) => ({ value, name: STORAGE_NAME[value] }))}
          value={typed.storage}
          onChange={(storage) => change({ storage })}
        />
        <Choice
          label="Is washed"
          options={WASHINGS.map((value) => ({ value, name: WASHING_NAME[value] }))}
          value={typed.washing}
          onChange={(washing) => change({ washing })}
        />
        <div className="flex items-center gap-3">
          <Button look="outline" disabled={pending} onClick={() => run(keepLife, { jobId, ...typed })}>
            Save
          </Button>
          {isDone && <p role="status">Saved; the outlook uses it.</p>}
          {refusal && refusal.field !== 'odometerKm' && (
            <p role="alert" className="font-semibold text-copper">
              {refusal.message}
            </p>
          )}
        </div>
      </div>
    </details>
  )
}

'use client'

import { useState } from 'react'
import { USUAL_SIZE, type Vehicle } from '@/core/vehicle'
import { saveSize } from '@/server/vehicles/size-actions'
import { figure, unitSign } from '@/text/formats'
import { type NumberText, numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

const textOf = (metres: number | undefined): NumberText => (metres === undefined ? '' : String(metres))
const metresOf = (text: NumberText) => (text === '' ? null : numberOf(text))

/** How long and high the vehicle is, folded away until somebody has to change it. */
export function SizeForm({ vehicle }: { vehicle: Pick<Vehicle, 'id' | 'shape' | 'lengthM' | 'heightM'> }) {
  const region = useRegion()
  const [typed, setTyped] = useState({ lengthM: textOf(vehicle.lengthM), heightM: textOf(vehicle.heightM) })
  const { run, pending, refusal, isDone, errorAt } = useAction()
  const usual = USUAL_SIZE[vehicle.shape]
  const measure = (field: 'lengthM' | 'heightM', label: string) => (
    <Field label={`${label}, ${unitSign(region, 'length')}`} {...errorAt(field)}>
      <NumberInput
        className="w-28"
        quantity="length"
        placeholder={figure(region, 'length', usual[field], 1)}
        value={typed[field]}
        onChange={(text) => setTyped({ ...typed, [field]: text })}
      />
    </Field>
  )
  return (
    <details className="text-sm">
      <summary className="inline-block min-h-8 cursor-pointer underline decoration-ink-soft/40 underline-offset-4">
        Length and height
      </summary>
      <div className="flex flex-wrap items-end gap-4 py-2">
        {measure('lengthM', 'Length')}
        {measure('heightM', 'Height')}
        <Button
          look="outline"
          disabled={pending}
          onClick={() =>
            run(saveSize, {
              vehicleId: vehicle.id,
              lengthM: metresOf(typed.lengthM),
              heightM: metresOf(typed.heightM),
            })
          }
        >
          Save
        </Button>
        {isDone && <p role="status">Saved.</p>}
        {refusal && !['lengthM', 'heightM'].includes(refusal.field) && (
          <p role="alert" className="text-copper">
            {refusal.message}
          </p>
        )}
      </div>
      <p className="text-ink-soft">
        Decides which bays it fits. Left empty, the usual size for its shape is used.
      </p>
    </details>
  )
}

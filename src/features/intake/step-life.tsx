'use client'

import { STORAGES, WASHINGS } from '@/core/vehicle'
import { STORAGE_NAME, WASHING_NAME } from '@/text/en/vehicle'
import { Amount, type Form, Pick, Text, Tick } from './fields'

/** How it lives, and how it stands here today: what wears on the paint, and what must go home again. */
export function StepLife({ form }: { form: Form }) {
  return (
    <>
      <div className="grid gap-5 sm:grid-cols-2">
        <Pick
          form={form}
          name="storage"
          label="Where does it sleep?"
          options={STORAGES.map((value) => ({ value, name: STORAGE_NAME[value] }))}
        />
        <Pick
          form={form}
          name="washing"
          label="How is it washed?"
          options={WASHINGS.map((value) => ({ value, name: WASHING_NAME[value] }))}
        />
        <Amount form={form} name="yearlyKm" label="Distance a year" quantity="distance" whole />
        <div className="self-end">
          <Tick form={form} name="salted">
            Salted roads or sea air
          </Tick>
          <Tick form={form} name="hardWater">
            Hard water at home
          </Tick>
        </div>
      </div>
      <h3 className="mt-6 mb-3 text-lg">As it stands here today</h3>
      <div className="grid gap-4 sm:grid-cols-3">
        <Amount form={form} name="odometerKm" label="Odometer" quantity="distance" whole />
        <Amount form={form} name="fuelPercent" label="Fuel or charge, %" whole />
        <Text form={form} name="keys" label="Keys" hint="How many, and any tags or fobs." />
      </div>
      <div className="mt-4 grid gap-4 sm:grid-cols-2">
        <Text form={form} name="belongings" label="Left in the vehicle" />
        <Text
          form={form}
          name="warnings"
          label="Warning lights, broken trim"
          hint="Anything already faulty before we start."
        />
      </div>
    </>
  )
}

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aVehicle } from '@/core/inputs'
import { SIZE_BOUNDS } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { writeSize } from './vehicle-store'

const metres = ([least, most]: readonly [number, number], what: 'length' | 'height') => {
  const wrong = ask('no-such-size', { what })
  return z.number({ error: wrong }).min(least, wrong).max(most, wrong).nullable()
}

/** Keeps how long and how high a vehicle is; where that is null, what is usual for its shape is taken. */
export const saveSize = defineAction({
  name: 'vehicles.save-size',
  who: 'desk',
  input: z.strictObject({
    vehicleId: aVehicle,
    lengthM: metres(SIZE_BOUNDS.lengthM, 'length'),
    heightM: metres(SIZE_BOUNDS.heightM, 'height'),
  }),
  write: async ({ trx }, { vehicleId, ...size }) =>
    (await writeSize(trx, vehicleId, size)) ? done() : refuse('gone', ask('vehicle-gone')),
})

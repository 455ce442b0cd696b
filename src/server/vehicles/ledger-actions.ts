'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { aVehicle, day, id } from '@/core/inputs'
import { panelsOf } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { appendRemovals } from './ledger-store'
import { findKnown } from './vehicle-store'

const MOST_UM = 100
const um = (what: string) =>
  z
    .number({ error: `Type ${what} as a number of µm, such as 2.5.` })
    .min(0, `Type ${what} as a number of µm, 0 or more.`)
    .max(MOST_UM, `No car has ${MOST_UM} µm to lose. Look at the unit.`)

/** Enters into the ledger what somebody tells was taken elsewhere or before our time. */
export const tellRemoval = defineAction({
  name: 'vehicles.tell-removal',
  who: 'desk',
  input: z.strictObject({
    vehicleId: aVehicle,
    panels: z.array(id).min(1, 'Choose at least one panel.').max(100),
    day: day('Choose the day, as near as anybody knows.'),
    removedUm: um('what was taken'),
    uncertaintyUm: um('how sure that is'),
    note: z
      .string()
      .trim()
      .min(1, 'Write who says so, and what was done.')
      .max(200, 'Keep it under 200 characters.'),
  }),
  write: async ({ trx, at }, { vehicleId, panels, ...told }) => {
    const known = await findKnown(trx, vehicleId)
    if (!known) return refuse('gone', 'This vehicle is no longer there.')
    const own = new Set(panelsOf(known.vehicle.shape).map((panel) => panel.id))
    const unknown = panels.find((panel) => !own.has(panel))
    if (unknown) return refuse('input', `“${unknown}” is no panel of this shape.`, 'panels')
    const removals = panels.map((panel) => ({ panel, source: 'told' as const, ...told }))
    await appendRemovals(trx, vehicleId, undefined, removals, at)
    return done()
  },
})

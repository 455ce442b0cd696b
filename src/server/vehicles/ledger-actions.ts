'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aVehicle, day, id } from '@/core/inputs'
import { panelsOfVehicle } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { appendRemovals } from './ledger-store'
import { findKnown } from './vehicle-store'

const MOST_UM = 100
const um = z
  .number({ error: ask('a-number') })
  .min(0, ask('not-below-nothing'))
  .max(MOST_UM, ask('removal-most', { um: MOST_UM }))

/** Enters into the ledger what somebody tells was taken elsewhere or before our time. */
export const tellRemoval = defineAction({
  name: 'vehicles.tell-removal',
  who: 'desk',
  input: z.strictObject({
    vehicleId: aVehicle,
    panels: z.array(id).min(1, ask('panel')).max(100),
    day: day(ask('removal-day')),
    removedUm: um,
    uncertaintyUm: um,
    note: z
      .string()
      .trim()
      .min(1, ask('removal-note'))
      .max(200, ask('keep-under', { characters: 200 })),
  }),
  write: async ({ trx, at }, { vehicleId, panels, ...told }) => {
    const known = await findKnown(trx, vehicleId)
    if (!known) return refuse('gone', ask('vehicle-gone'))
    const own = new Set(panelsOfVehicle(known.vehicle).map((panel) => panel.id))
    const unknown = panels.find((panel) => !own.has(panel))
    if (unknown) return refuse('input', ask('no-such-part'), 'panels')
    const removals = panels.map((panel) => ({ panel, source: 'told' as const, ...told }))
    await appendRemovals(trx, vehicleId, undefined, removals, at)
    return done()
  },
})

'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aVehicle } from '@/core/inputs'
import { anyPanelOf, panelsFactsSchema } from '@/core/vehicle'
import { defineAction } from '../action/define'
import { findKnown, writePanelFacts } from './vehicle-store'

/** Keeps what is told of single panels; panels that are not named stay as they were. */
export const keepPanelFacts = defineAction({
  name: 'vehicles.keep-panel-facts',
  who: 'team',
  input: z.strictObject({ vehicleId: aVehicle, facts: panelsFactsSchema }),
  write: async ({ trx }, { vehicleId, facts }) => {
    const known = await findKnown(trx, vehicleId)
    if (!known) return refuse('gone', ask('vehicle-gone'))
    const panels = new Set(anyPanelOf(known.vehicle.shape).map(({ id }) => id))
    if (Object.keys(facts).some((panel) => !panels.has(panel))) return refuse('input', ask('no-such-part'))
    await writePanelFacts(trx, vehicleId, { ...known.vehicle.panelFacts, ...facts })
    return done()
  },
})

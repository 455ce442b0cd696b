'use server'

import { z } from 'zod'
import { done } from '@/core/answer'
import { ask } from '@/core/asks'
import { aVehicle } from '@/core/inputs'
import { defineReadAction } from '../action/define'
import { plain } from '../db/plain'
import { listKnown, ownersWithoutCar } from '../vehicles/vehicle-store'
import { loadPast } from './past'

const MOST_FOUND = 6
const typed = z.string().max(100, ask('shorter-search'))

/**
 * Vehicles whose plate, owner, make, model or number holds what was typed, and owners who have none here yet; spaces and accents do
 * not matter.
 */
export const searchKnown = defineReadAction({
  name: 'intake.search-known',
  who: 'desk',
  input: z.strictObject({ query: typed }),
  read: async ({ db }, { query }) =>
    plain(query).length < 2
      ? done({ vehicles: [], owners: [] })
      : done({
          vehicles: (await listKnown(db, query, 0, MOST_FOUND)).known,
          owners: await ownersWithoutCar(db, query, MOST_FOUND),
        }),
})

/** A page of the vehicles that hold what was typed. */
export const findVehicles = defineReadAction({
  name: 'vehicles.find',
  who: 'team',
  input: z.strictObject({ query: typed, page: z.int().min(0).max(100_000) }),
  read: async ({ db }, { query, page }) => done(await listKnown(db, query, page)),
})

/** What the shop remembers of a vehicle, to show while it is taken in again. */
export const pastOf = defineReadAction({
  name: 'intake.past-of',
  who: 'desk',
  input: z.strictObject({ vehicleId: aVehicle }),
  read: async ({ db }, { vehicleId }) => done(await loadPast(db, vehicleId)),
})

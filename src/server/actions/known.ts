'use server'

import { takenByPanel } from '@/core/survey'
import { dayIn, type LocalDay } from '@/core/time'
import { findAgreement } from '../agreement-store'
import { database } from '../db'
import { visitsOf } from '../job-store'
import { loadLedger } from '../ledger-store'
import { loadShop } from '../shop-store'
import { findKnown, type KnownVehicle, listKnown } from '../vehicle-store'

const MOST_FOUND = 6
const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]/g, '')

/** Vehicles whose plate, owner, make, model or number holds what was typed; spaces and accents do not matter. */
export async function searchKnown(query: string): Promise<KnownVehicle[]> {
  const wanted = plain(query)
  if (wanted.length < 2) return []
  const known = await listKnown(await database())
  return known
    .filter(({ customer, vehicle }) =>
      [vehicle.plate, customer.name, `${vehicle.make}${vehicle.model}`, vehicle.vin, customer.phone].some(
        (text) => plain(text).includes(wanted),
      ),
    )
    .slice(0, MOST_FOUND)
}

export type Past = {
  known: KnownVehicle
  visits: {
    jobId: string
    number: number
    day: LocalDay
    wishes: string
    packageName?: string
    odometerKm?: number
  }[]
  /** Panels with paint taken, the most first, µm. */
  taken: { panel: string; takenUm: number; uncertaintyUm: number }[]
}

/** What the shop remembers of a vehicle, to show while it is taken in again. */
export async function pastOf(vehicleId: string): Promise<Past | undefined> {
  const db = await database()
  const known = await findKnown(db, vehicleId)
  if (!known) return undefined
  const { setup } = await loadShop(db)
  const visits = await Promise.all(
    (await visitsOf(db, vehicleId)).map(async (job) => {
      const agreement = await findAgreement(db, job.id)
      return {
        jobId: job.id,
        number: job.number,
        day: dayIn(setup.timezone, job.arriveAt),
        wishes: job.wishes,
        ...(agreement ? { packageName: agreement.packageName } : {}),
        ...(job.odometerKm === undefined ? {} : { odometerKm: job.odometerKm }),
      }
    }),
  )
  const taken = Object.entries(takenByPanel(await loadLedger(db, vehicleId)))
    .map(([panel, entry]) => ({ panel, ...entry }))
    .sort((a, b) => b.takenUm - a.takenUm)
  return { known, visits, taken }
}

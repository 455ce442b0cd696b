'use server'

import type { KnownVehicle } from '@/core/job'
import { takenByPanel } from '@/core/survey'
import { dayIn, type LocalDay } from '@/core/time'
import { database } from '../db/connection'
import { plain } from '../db/plain'
import { visitsOf } from '../floor/job-store'
import { findAgreement } from '../quotes/agreement-store'
import { loadShop } from '../shop/shop-store'
import { loadLedger } from '../vehicles/ledger-store'
import { findKnown, listKnown } from '../vehicles/vehicle-store'

const MOST_FOUND = 6
/** Vehicles whose plate, owner, make, model or number holds what was typed; spaces and accents do not matter. */
export async function searchKnown(query: string): Promise<KnownVehicle[]> {
  if (plain(query).length < 2) return []
  return (await listKnown(await database(), query, 0, MOST_FOUND)).known
}

/** A page of the vehicles that hold what was typed. */
export async function findVehicles(
  query: string,
  page: number,
): Promise<{ known: KnownVehicle[]; more: boolean }> {
  return listKnown(await database(), String(query).slice(0, 100), Math.max(0, Math.floor(page)))
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

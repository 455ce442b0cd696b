import { cache } from 'react'
import type { Floor, FloorJob } from '@/core/planning'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { jobOnFloor, loadFloor } from '@/server/floor/floor'
import { findKnown } from '@/server/vehicles/vehicle-store'

/** The floor at the moment of a request, read once however many parts of the page ask for it. */
export const requestFloor = cache(async (): Promise<Floor> => loadFloor(await database(), now()))

/** The floor and one job, of today or of long ago; the job is undefined where there is none of that id. */
export async function requestJob(id: string): Promise<{ floor: Floor; entry: FloorJob | undefined }> {
  const floor = await requestFloor()
  return { floor, entry: await jobOnFloor(await database(), floor, id) }
}

/** A vehicle the shop knows, looked up once in a request. */
export const requestVehicle = cache(async (id: string) => findKnown(await database(), id))

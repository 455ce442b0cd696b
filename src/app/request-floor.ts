import { cache } from 'react'
import type { CardView } from '@/core/card/view'
import type { JobId, VehicleId } from '@/core/ids'
import type { Floor, FloorJob } from '@/core/planning'
import { now } from '@/server/clock'
import { atOneMoment, database } from '@/server/db/connection'
import { jobOnFloor, loadFloor } from '@/server/floor/floor'
import { floorRevision } from '@/server/floor/revision'
import { findKnown } from '@/server/vehicles/vehicle-store'
import { loadCardView } from '@/server/work/card'

/** The floor, and the word for all that has happened on it, at one moment of a request: read once however many parts of the page ask. */
const atThisMoment = cache(() =>
  atOneMoment(async (db) => ({ revision: await floorRevision(db), floor: await loadFloor(db, now()) })),
)

export const requestFloor = async (): Promise<Floor> => (await atThisMoment()).floor

/** What a page that is kept up to date was read at: whatever is read beside the floor is of then or later. */
export const requestRevision = async () => (await atThisMoment()).revision

/** The floor and one job, of today or of long ago; the job is undefined where there is none of that id. */
export async function requestJob(id: JobId): Promise<{ floor: Floor; entry: FloorJob | undefined }> {
  const floor = await requestFloor()
  return { floor, entry: await jobOnFloor(await database(), floor, id) }
}

/**
 * The card of a job, all of it as it stood at one moment: a beginning of which the journal knows and the step does not would let the
 * step stand open for a blink. Undefined where there is no such job; without a view where nothing is agreed.
 */
export async function requestCard(id: JobId): Promise<{ view: CardView | undefined } | undefined> {
  return atOneMoment(async (db) => {
    const floor = await loadFloor(db, now())
    const entry = await jobOnFloor(db, floor, id)
    return entry && { view: await loadCardView(db, floor, entry) }
  })
}

/** A vehicle the shop knows, looked up once in a request. */
export const requestVehicle = cache(async (id: VehicleId) => findKnown(await database(), id))

import { cache } from 'react'
import { now } from './clock'
import { database } from './db'
import { type Floor, type FloorJob, loadFloor } from './floor'

/** The floor at the moment of a request, read once however many parts of the page ask for it. */
export const requestFloor = cache(async (): Promise<Floor> => loadFloor(await database(), now()))

/** The floor and one job on it; the job is undefined where there is none of that id. */
export async function requestJob(id: string): Promise<{ floor: Floor; entry: FloorJob | undefined }> {
  const floor = await requestFloor()
  return { floor, entry: floor.jobs.find(({ job }) => job.id === id) }
}

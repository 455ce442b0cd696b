import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import type { Setup } from '@/core/shop'
import { type PromiseLine, promisesFor } from '@/core/survey'
import { placesOf } from '@/core/vehicle'
import { loadJudged } from './judged'

/** What must be said before the work on a vehicle, as it stands in the survey now. */
export async function promisesOf(db: Knex, job: Job, setup: Setup): Promise<PromiseLine[]> {
  const { judgement, survey } = await loadJudged(db, job, setup)
  const places = placesOf(job.vehicle.shape).map((place) => ({
    place,
    defects: survey.places[place.id] ?? [],
  }))
  return promisesFor({ panels: judgement.panels, places })
}

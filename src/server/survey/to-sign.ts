import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import { boughtIn, mendedBy } from '@/core/offer'
import { readIn } from '@/core/region'
import type { Setup } from '@/core/shop'
import { type SignOffLine, signOffFor } from '@/core/survey'
import { placesOf } from '@/core/vehicle'
import { signOffLine } from '@/text/sign-off'
import { findAgreement } from '../quotes/agreement-store'
import { loadJudged } from './judged'

/** What must be said before the work on a vehicle, as it stands in the survey now, in the customer’s language. */
export async function linesToSign(db: Knex, job: Job, setup: Setup): Promise<SignOffLine[]> {
  const { judgement, survey } = await loadJudged(db, job, setup)
  const agreement = await findAgreement(db, job.id)
  const bought = agreement ? boughtIn(agreement.plan, setup.vendors) : { extras: [], trades: [] }
  const places = placesOf(job.vehicle.shape).map((place) => ({
    place,
    defects: survey.places[place.id] ?? [],
  }))
  const region = readIn(setup.region, job.customer.language)
  return signOffFor({ panels: judgement.panels, places }, mendedBy(bought)).map((fact) =>
    signOffLine(region, fact),
  )
}

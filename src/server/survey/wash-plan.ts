import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import type { WashSetup } from '@/core/shop'
import { placesOf } from '@/core/vehicle'
import { type PlannedStep, planWash, type WashPlan } from '@/core/wash'
import { loadSurvey } from './survey-store'
import { loadWash } from './wash-store'

/** What of a car, beside its dirt, decides on the wash. */
export async function washedCar(db: Knex, job: Job): Promise<{ softTop: boolean; bakedWheels: boolean }> {
  const { places } = await loadSurvey(db, job.id)
  return {
    softTop: placesOf(job.vehicle.shape).some(({ surface }) => surface === 'fabric'),
    bakedWheels: Object.values(places).some((defects) => defects.some(({ kind }) => kind === 'baked-dust')),
  }
}

/** The wash of a job as it was planned; empty until somebody has felt and seen how dirty the car is. */
export async function washLines(db: Knex, job: Job, { school, gear }: WashSetup): Promise<PlannedStep[]> {
  const { findings } = await loadWash(db, job.id)
  if (!findings) return []
  const { contamination, place, method } = findings
  const plan: WashPlan = planWash({
    contamination,
    place,
    school,
    gear,
    ...(method ? { method } : {}),
    ...(await washedCar(db, job)),
  })
  return plan.steps
}
